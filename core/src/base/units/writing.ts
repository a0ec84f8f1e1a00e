/**
 * How figures and days are written for the reader. There is one reader, so there is one way for the whole program: whoever shows something says it once.
 * What is kept or handed to other programs (checks, CSV, tables of points) has decimal points and ISO days whatever is chosen here.
 */
export interface Writing {
  decimal: '.' | ',';
  /** A day, from an ISO day or time. */
  day: (iso: string) => string;
  /** A day with hour and minute, from an ISO time. */
  moment: (iso: string) => string;
}

let writing: Writing = {
  decimal: '.',
  day: (iso) => iso.slice(0, 10),
  moment: (iso) => iso.slice(0, 16).replace('T', ' '),
};

/** Everything from here on is written so. The object is asked anew for every figure: one that is changed later changes what is written later. */
export function writeBy(way: Writing): void {
  writing = way;
}

/** A day as the reader writes it. */
export const dayText = (iso: string): string => writing.day(iso);
/** A day with hour and minute as the reader writes it. */
export const momentText = (iso: string): string => writing.moment(iso);

/**
 * A figure with so many digits behind the decimal mark, with a true minus and never a negative nothing.
 *
 * @example fixed(-1.234, 2) // '−1.23'
 */
export const fixed = (value: number, digits: number): string => marked(value.toFixed(digits));

/**
 * A figure of at most so many significant ones, without noughts at its end.
 *
 * @example significant(1240.04, 4) // '1240'
 */
export const significant = (value: number, figures: number): string =>
  marked(String(Number(value.toPrecision(figures))));

/**
 * A count in groups of three digits: by commas, or by narrow blanks where the comma is the decimal mark.
 *
 * @example counted(1234567) // '1,234,567'
 */
export const counted = (count: number): string =>
  String(Math.round(count)).replace(/\B(?=(\d{3})+$)/g, writing.decimal === '.' ? ',' : '\u202F');

/** A plain number as the reader writes it. */
function marked(text: string): string {
  const sound = /^-0(\.0*)?$/.test(text) ? text.slice(1) : text;
  return sound.replace('-', '−').replace('.', writing.decimal);
}
