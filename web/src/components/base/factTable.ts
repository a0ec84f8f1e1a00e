/** A column of a table of facts. */
export interface Column<Row> {
  key: string;
  title: string;
  /** Its cell as text; a slot of the column's name draws it otherwise. */
  text?: (row: Row, index: number) => string | number;
  mono?: boolean;
  soft?: boolean;
  /** Ascending by this; the head then sorts. */
  order?: (a: Row, b: Row) => number;
  /** Left out where there is little room: what it says stands elsewhere, or is worth no scrolling sideways. `desk`: on a tablet held upright too. */
  wideOnly?: true | 'desk';
  /** A head that is read out and not shown. */
  quietTitle?: boolean;
}
