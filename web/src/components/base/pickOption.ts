/** An entry of a list to pick from. */
export interface PickOption<T extends string | number> {
  value: T;
  label: string;
  /** A second line: what tells this one from its neighbours. */
  about?: string;
}
