import type { PointRow } from '../../circuit/curves/chooseFit.ts';
import { cellFigure, celsiusOf, eitherFigure, isEmptyCell, ohmsIn } from './cellFigure.ts';
import { cellTable, type CellLine } from './cells.ts';
import { BY_RESISTANCE, type ColumnChoices, type TableColumn } from './columns.ts';
import { isThousandOff } from './farFromSensors.ts';
import { layoutOf } from './layout.ts';

export type PointReason =
  | 'no-rows'
  | 'too-many'
  | 'one-column'
  | 'no-resistance'
  | 'not-a-temperature'
  | 'not-a-resistance'
  | 'limits-swapped'
  | 'same-temperature';

/** What is wrong with one line. */
export interface PointFault {
  line: number;
  reason: PointReason;
  text: string;
}

export interface PointsRead {
  /** Good rows in ascending temperature, °C and Ω. */
  rows: PointRow[];
  faults: PointFault[];
  /** How the columns were read. */
  columns: TableColumn[];
  /** Something must be said before the rows may be used. */
  asked: boolean;
  /** Lines that give only the ends of a range: their nominal value is the geometric mean of the two. */
  middles: number[];
}

/** Most rows of a table of points. */
export const MAX_POINTS = 2000;
const SHOWN_FAULTS = 50;

/**
 * Points of a curve from text as it is pasted, typed or stands in a CSV: columns by tab, semicolon, bar, comma or blanks, upright or on its side,
 * several pairs of columns side by side; headings in many languages or none; each column with its own decimal mark and unit; units in the cells.
 * What cannot be told is in `asked` of its column, read by a guess for the preview; `choices` are the answers. Every bad line is named.
 */
export function readPoints(text: string, choices: ColumnChoices = {}): PointsRead {
  const none = (reason: PointReason, line = 1, said = ''): PointsRead => ({
    rows: [],
    faults: [{ line, reason, text: said }],
    columns: [],
    asked: false,
    middles: [],
  });
  const table = cellTable(text);
  if (table.lines.length === 0) return none('no-rows');
  if (table.lines.length > MAX_POINTS)
    return none('too-many', table.lines[MAX_POINTS].line, `${table.lines.length} rows`);
  const lines = unstacked(table.lines);
  const columns = layoutOf(table.head, lines, choices);
  const faults: PointFault[] = [];
  const rows: PointRow[] = [];
  const middles: number[] = [];
  const place = placesOf(columns);
  if (columns.length < 2) return none('one-column', lines[0].line, lines[0].raw.trim().slice(0, 80));
  if (place.nominal < 0 && (place.min < 0 || place.max < 0)) {
    const said = columns.map((c) => c.head).join(' | ');
    return { ...none('no-resistance', lines[0].line, said.slice(0, 80)), columns };
  }
  for (const { line, raw, cells } of lines) {
    const read = readRow(cells, columns, place);
    if (typeof read === 'string') faults.push({ line, reason: read, text: raw.trim().slice(0, 80) });
    else rows.push({ line, ...read.row });
    if (typeof read !== 'string' && read.middle) middles.push(line);
  }
  rows.sort((a, b) => a.temperatureC - b.temperatureC || a.line - b.line);
  faults.push(...takeOutRepeats(rows));
  faults.sort((a, b) => a.line - b.line);
  // The decimal mark is asked first: it may be what puts the figures off.
  if (!columns.some((c) => c.asked.decimal) && isThousandOff(rows)) askUnits(columns, choices);
  const asked = columns.some((c) => c.asked.role ?? (c.role !== 'other' && Object.keys(c.asked).length > 0));
  return { rows, faults: faults.slice(0, SHOWN_FAULTS), columns, asked, middles };
}

/** Takes rows whose temperature an earlier line gave already out of sorted rows, and names them. */
function takeOutRepeats(rows: PointRow[]): PointFault[] {
  const faults: PointFault[] = [];
  for (let i = rows.length - 1; i > 0; i--) {
    const { line, temperatureC } = rows[i];
    if (temperatureC !== rows[i - 1].temperatureC) continue;
    const text = `${temperatureC} °C, also on line ${rows[i - 1].line}`;
    faults.push({ line, reason: 'same-temperature', text });
    rows.splice(i, 1);
  }
  return faults;
}

/** The units of resistance are asked, of every column where nobody has said it. */
function askUnits(columns: readonly TableColumn[], choices: ColumnChoices): void {
  columns.forEach((column, k) => {
    if (!BY_RESISTANCE.includes(column.role) || choices[k]?.unit) return;
    Object.assign(column, { thousandOff: true, asked: { ...column.asked, unit: ['Ω', 'kΩ', 'MΩ'] } });
  });
}

type Places = Record<'temperature' | 'nominal' | 'min' | 'max', number>;

const placesOf = (columns: readonly TableColumn[]): Places => {
  const at = (role: TableColumn['role']): number => columns.findIndex((c) => c.role === role);
  return { temperature: at('temperature'), nominal: at('nominal'), min: at('min'), max: at('max') };
};

/** Pairs of columns side by side, as a page of a manual sets them to save room, under one another. */
function unstacked(lines: readonly CellLine[]): readonly CellLine[] {
  const width = Math.max(...lines.map((l) => l.cells.length));
  if (width < 4 || width % 2 !== 0 || lines.length < 3) return lines;
  const value = (cell: string | undefined): number => eitherFigure(cell ?? '')?.value ?? NaN;
  const column = (k: number): number[] => lines.map((l) => value(l.cells[k])).filter((v) => !Number.isNaN(v));
  const warm = Array.from({ length: width / 2 }, (_, pair) => column(2 * pair));
  // The temperatures go on where those of the pair before ended, in the same steps.
  const goesOn = warm.every((values, pair) => {
    if (values.length < 2) return pair > 0 && values.length === 1;
    const step = values[1] - values[0];
    const even = values.every((v, i) => i === 0 || Math.abs(v - values[i - 1] - step) < 1e-6 * Math.abs(step) + 1e-9);
    const before = pair === 0 ? null : warm[pair - 1];
    return (
      even &&
      step !== 0 &&
      (!before || Math.abs(values[0] - before[before.length - 1] - step) < 1e-6 + 1e-6 * Math.abs(step))
    );
  });
  if (!goesOn) return lines;
  return warm
    .flatMap((_, pair) =>
      lines.map(({ line, raw, cells }) => ({ line, raw, cells: cells.slice(2 * pair, 2 * pair + 2) })),
    )
    .filter(({ cells }) => !cells.every(isEmptyCell));
}

interface Row {
  row: Omit<PointRow, 'line'>;
  /** The value is the middle of its limits. */
  middle: boolean;
}

function readRow(cells: readonly string[], columns: readonly TableColumn[], place: Places): Row | PointReason {
  if (cells.length < 2) return 'one-column';
  const temperatureC = temperatureIn(cells[place.temperature] ?? '', columns[place.temperature]);
  if (!(temperatureC > -273.15 && temperatureC < 2000)) return 'not-a-temperature';
  const ohms = (k: number): Ohms | null | undefined =>
    k < 0 || isEmptyCell(cells[k] ?? '') ? undefined : ohmsOf(cells[k], columns[k]);
  const [nominal, min, max] = [ohms(place.nominal), ohms(place.min), ohms(place.max)];
  if (nominal === null || min === null || max === null) return 'not-a-resistance';
  const [low, high] = [min?.ohm ?? nominal?.low, max?.ohm ?? nominal?.high];
  return limitedRow(temperatureC, nominal, low, high);
}

/** A row from its value and limits in Ω. Limits alone: what lies in the middle of them is the nominal value. */
function limitedRow(
  temperatureC: number,
  nominal: Ohms | undefined,
  low: number | undefined,
  high: number | undefined,
): Row | PointReason {
  const resistanceOhm = nominal?.ohm ?? Math.sqrt((low ?? NaN) * (high ?? NaN));
  if (!(resistanceOhm > 0)) return 'not-a-resistance';
  if ((low ?? 0) > resistanceOhm || (high ?? Infinity) < resistanceOhm) return 'limits-swapped';
  const row = { temperatureC, resistanceOhm, minOhm: low ?? null, maxOhm: high ?? null };
  return { row, middle: nominal === undefined || nominal.middle === true };
}

/** A temperature, °C; NaN where the cell holds none, or the table has no such column. */
function temperatureIn(cell: string, column: TableColumn | undefined): number {
  const figure = column && cellFigure(cell, column.decimal);
  return figure && figure.low === undefined ? celsiusOf(figure.value, figure.unit ?? column.unit) : NaN;
}

interface Ohms {
  ohm: number;
  low?: number;
  high?: number;
  middle?: true;
}

/** A resistance in Ω; null where it is none. The unit in the cell goes before that of its column. */
function ohmsOf(cell: string, column: TableColumn): Ohms | null {
  const figure = cellFigure(cell, column.decimal);
  if (!figure) return null;
  const scale = ohmsIn(figure.unit ?? column.unit);
  if (!(figure.value * scale > 0)) return null;
  // Twelve digits: 2.288 kΩ is 2288 Ω, not 2287.9999999999995.
  const ohm = (x: number): number => Number((x * scale).toPrecision(12));
  const { low, high, middle } = figure;
  const limits = low !== undefined && high !== undefined && { low: ohm(low), high: ohm(high), middle };
  return { ohm: ohm(figure.value), ...limits };
}
