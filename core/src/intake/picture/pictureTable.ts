import { KELVIN } from '../../circuit/curves/curveModel.ts';
import { findMistyped } from '../../circuit/curves/findMistyped.ts';
import type { PointRow } from '../../circuit/curves/chooseFit.ts';
import { middleOf } from '../../base/numeric/middleOf.ts';
import { COLUMN_UNITS, type ColumnUnit } from '../pointTable/cellFigure.ts';
import { BY_RESISTANCE } from '../pointTable/columns.ts';
import { type PointsRead, readPoints } from '../pointTable/readPoints.ts';
import type { TableRead } from './readTable.ts';

/** A table from a picture as text, and which of its cells must be looked at. */
export interface PictureTable {
  /** A heading, then a line each row, cells parted by tabs: as `readPoints` takes it. */
  text: string;
  read: PointsRead;
  /** For each row and column: why it is doubtful, null where it is not. */
  doubts: (PictureDoubt | null)[][];
  /** The headings of the columns that are used, each with its unit: none may be used before someone has confirmed it. */
  headings: PictureHeading[];
}

/** How the heading of one column was read. */
export interface PictureHeading {
  /** Place of the column, from 0. */
  column: number;
  /** As the reader of text made it out. */
  words: string;
  /** The unit said by a person, or by a heading of plain words; null where neither says one. */
  unit: ColumnUnit | null;
  /** The units that may be meant. */
  units: readonly ColumnUnit[];
  confirmed: boolean;
}

/** Units a person has confirmed, by the place of their columns. */
export type ConfirmedUnits = Readonly<Record<string, ColumnUnit>>;

export type PictureDoubt = 'unclear' | 'no-figure' | 'out-of-step' | 'off-the-curve';

/** What a heading says of its column, as far as a reader of text makes it out: an Ω comes out as Q, O, 0 or 2. */
export function headingOf(words: string): string {
  const role = /min|max|nom|typ/i.exec(words)?.[0].toLowerCase() ?? '';
  const rest = words.replace(/(?:min|max|nom|typ)(?:imum|inal|ical|\.)?/gi, ' ');
  const unit = UNITS.find(([pattern]) => pattern.test(rest))?.[1] ?? '';
  return `${role === 'typ' ? 'nom' : role} ${unit}`.trim();
}

/** The words of headings that a reader of text is believed to have read right: anything else may be a unit with a letter lost. */
const PLAIN_WORDS =
  /^(?:t|temp|temperature?|température|temperatura|r|resistance|résistance|widerstand|resistenza|resistencia|(?:k|kilo?|meg|m)?ohms?|[kM]?Ω|min(?:imum)?|max(?:imum)?|nom(?:inal)?|typ(?:ical)?|celsius|fahrenheit|kelvin|°?[cfk]|°|in|of|at|sensor|value)$/i;

/** Does a heading hold only words of the trade? */
export const isPlainHeading = (words: string): boolean => {
  const parts = words.split(/[\s,;:()[\]/_.=-]+/).filter((part) => part !== '');
  return parts.length > 0 && parts.every((part) => PLAIN_WORDS.test(part));
};

const UNITS: readonly (readonly [RegExp, string])[] = [
  [/(?:[°*º'"o]\s*|^\s*)F\b|fahrenheit/i, '°F'],
  [/(?:[°*º'"o]\s*|^\s*)C\b|celsius/i, '°C'],
  [/(?:^|[^a-z])k\s*(?:[QOΩ02]|ohm)/i, 'kΩ'],
  [/(?:^|[^a-z])M\s*(?:[QΩ2]|ohm)/i, 'MΩ'],
  [/[QΩ]|ohm|(?:^|\s)[O02]$/i, 'Ω'],
];

/**
 * Puts a table that was read from a picture together as text. A cell is doubtful where its reading is; where the temperatures of a table in even
 * steps fall out of step; and where a row leaves the curve of the others.
 *
 * @param looked cells that someone has looked at, by row and column: they are doubtful no more
 * @param confirmed units that someone has confirmed
 */
export function pictureTable(
  table: TableRead,
  looked: (row: number, column: number) => boolean = () => false,
  confirmed: ConfirmedUnits = {},
): PictureTable {
  const heads = table.heads.map((words, c) => headingWith(words, confirmed[c]));
  const lines = [heads, ...table.rows.map((row) => row.map((c) => c.text))].map((cells) => cells.join('\t'));
  const text = lines.join('\n');
  const read = readPoints(text);
  const doubts: (PictureDoubt | null)[][] = table.rows.map((row) =>
    row.map((cell) => (!/\d/.test(cell.text) ? 'no-figure' : cell.doubtful ? 'unclear' : null)),
  );
  const mark = (row: number, roles: readonly string[], why: PictureDoubt): void => {
    read.columns.forEach((column, c) => {
      if (roles.includes(column.role) && doubts[row]?.[c] === null) doubts[row][c] = why;
    });
  };
  // Lines count from 1, and the first is the heading.
  const byLine = [...read.rows].sort((a, b) => a.line - b.line);
  for (const row of outOfStep(byLine)) mark(row.line - 2, ['temperature'], 'out-of-step');
  for (const fault of read.faults) mark(fault.line - 2, ['temperature', 'nominal', 'min', 'max'], 'off-the-curve');
  const series = [
    ['nominal', (r: PointRow) => r.resistanceOhm],
    ['min', (r: PointRow) => r.minOhm],
    ['max', (r: PointRow) => r.maxOhm],
  ] as const;
  for (const [role, of] of series) {
    const points = read.rows.flatMap((r) => {
      const resistanceOhm = of(r);
      return resistanceOhm === null ? [] : [{ line: r.line, temperatureC: r.temperatureC, resistanceOhm }];
    });
    for (const line of offTheCurve(points)) mark(line - 2, [role, 'temperature'], 'off-the-curve');
  }
  const headings = read.columns.flatMap((column, c) =>
    column.role === 'other' ? [] : [pictureHeading(c, table.heads[c] ?? '', column.role, confirmed)],
  );
  return { text, read, headings, doubts: doubts.map((row, r) => row.map((why, c) => (looked(r, c) ? null : why))) };
}

const headingWith = (words: string, unit: ColumnUnit | undefined): string =>
  unit === undefined ? headingOf(words) : `${/^(?:min|max|nom)\b/.exec(headingOf(words))?.[0] ?? ''} ${unit}`.trim();

function pictureHeading(
  column: number,
  words: string,
  role: PointsRead['columns'][number]['role'],
  confirmed: ConfirmedUnits,
): PictureHeading {
  const units = COLUMN_UNITS.filter((unit) =>
    BY_RESISTANCE.includes(role) ? /Ω/.test(unit) : /[°K]/.test(unit) && !/Ω/.test(unit),
  );
  const said = confirmed[column] ?? (isPlainHeading(words) ? headingOf(words).split(' ').at(-1) : undefined);
  const unit = units.find((u) => u === said) ?? null;
  return { column, words, unit, units, confirmed: confirmed[column] !== undefined };
}

/** Rows whose temperature does not continue the even steps that most rows keep. */
function outOfStep(rows: readonly PointRow[]): PointRow[] {
  if (rows.length < 4) return [];
  const steps = rows.slice(1).map((r, i) => r.temperatureC - rows[i].temperatureC);
  const usual = middleOf(steps);
  const fits = (step: number | undefined): boolean =>
    step === undefined || Math.abs(step - usual) < 0.02 * Math.abs(usual);
  if (steps.filter((s) => fits(s)).length < 0.6 * steps.length) return [];
  return rows.filter((_, i) => !fits(steps[i - 1]) || !fits(steps[i]));
}

interface Point {
  line: number;
  temperatureC: number;
  resistanceOhm: number;
}

/** 1σ of one row of a table in print, Ω/Ω, and how many of it are looked at. */
const [SIGMA, FAR] = [0.002, 3.5];

/** Rows off the curve of the others: by the finder of mistyped rows, by their nearest neighbours, and where the course turns round. */
function offTheCurve(points: readonly Point[]): Set<number> {
  const found = new Set(findMistyped(points).map((m) => points[m.row].line));
  const left = [...points];
  while (left.length >= 5) {
    const miss = left.map((_, i) => missOf(left, i));
    const worst = miss.indexOf(Math.max(...miss));
    if (miss[worst] <= FAR) break;
    found.add(left[worst].line);
    left.splice(worst, 1);
  }
  const falls = points.length > 1 && points[points.length - 1].resistanceOhm < points[0].resistanceOhm;
  points.slice(1).forEach((p, i) => {
    if (p.resistanceOhm < points[i].resistanceOhm !== falls) found.add(p.line).add(points[i].line);
  });
  return found;
}

/** By how many σ a row misses the cubic in ln R over 1/T through the four rows nearest to it. */
function missOf(points: readonly Point[], i: number): number {
  const from = Math.max(0, Math.min(points.length - 5, i - 2));
  const near = points.slice(from, from + 5).filter((p) => p !== points[i]);
  const x = (p: Point): number => 1000 / (p.temperatureC + KELVIN);
  const weights = near.map((p) =>
    near.reduce((w, q) => (q === p ? w : (w * (x(points[i]) - x(q))) / (x(p) - x(q))), 1),
  );
  const said = near.reduce((sum, p, k) => sum + weights[k] * Math.log(p.resistanceOhm), 0);
  const sigma = SIGMA * Math.sqrt(weights.reduce((sum, w) => sum + w * w, 1));
  return Math.abs(Math.log(points[i].resistanceOhm) - said) / sigma;
}
