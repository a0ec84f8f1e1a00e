/** One step of the file format. Frozen once released; each has a fixture before and after. */
export interface Migration {
  to: number;
  migrate(data: Record<string, unknown>): Record<string, unknown>;
}
