import { z } from 'zod';
import {
  cellFigure,
  COLUMN_UNITS,
  type CellFigure,
  type ColumnUnit,
  type DecimalMark,
  eitherFigure,
  isSteady,
  ohmsIn,
} from './cellFigure.ts';
import type { CellLine } from './cells.ts';
import { COLUMN_ROLES, type ColumnRole, headingOf } from './headings.ts';

/** What can be asked of a column. */
export type ColumnAspect = 'role' | 'unit' | 'decimal';

/** How one column is read. */
export interface TableColumn {
  head: string;
  role: ColumnRole;
  unit: ColumnUnit;
  decimal: DecimalMark;
  /** What cannot be told from the text and must be said by a person, with the ways there are. */
  asked: Partial<Record<ColumnAspect, readonly string[]>>;
}

/** What a person said of the columns, by their place from 0. */
export const columnChoicesSchema = z.record(
  z.string().regex(/^\d{1,2}$/),
  z.strictObject({
    role: z.enum(COLUMN_ROLES).optional(),
    unit: z.enum(COLUMN_UNITS).optional(),
    decimal: z.enum(['.', ',']).optional(),
  }),
);
export type ColumnChoices = Readonly<z.infer<typeof columnChoicesSchema>>;

const BY_RESISTANCE: readonly ColumnRole[] = ['nominal', 'min', 'max'];
const TEMPERATURE_UNITS: readonly ColumnUnit[] = ['°C', '°F', 'K'];
const isOhms = (unit: ColumnUnit | null): boolean => unit !== null && !Number.isNaN(ohmsIn(unit)) && unit !== 'K';

/** A column while it is being found out. */
interface Found {
  head: string;
  cells: readonly string[];
  role: ColumnRole | 'resistance' | null;
  unit: ColumnUnit | null;
  decimal: DecimalMark;
  asked: TableColumn['asked'];
}

/** Finds out how a table is to be read; what a person chose stands, what cannot be told is asked. */
export function layoutOf(heads: readonly string[], lines: readonly CellLine[], choices: ColumnChoices): TableColumn[] {
  const width = Math.max(0, ...lines.map((l) => l.cells.length));
  const columns: Found[] = Array.from({ length: width }, (_, k) => {
    const head = heads[k] ?? '';
    const cells = lines.map((l) => l.cells[k] ?? '');
    const { role, unit } = headingOf(head);
    return { head, cells, role, unit, decimal: '.', asked: {} };
  });
  // A, B, C are names of curves where another column is the temperature.
  for (const column of columns) {
    if (/^\s*[cfk]\s*$/i.test(column.head) && columns.some((c) => c !== column && c.role === 'temperature'))
      Object.assign(column, { role: null, unit: null });
  }
  for (const [k, column] of columns.entries()) {
    const own = unitInCells(column.cells);
    // What stands in the cells is nearer to the figures than a heading.
    if (own && own !== 'K') column.role ??= isOhms(own) ? 'resistance' : own === 'V' ? 'other' : 'temperature';
    Object.assign(column, choices[k]);
    // Who says the unit says what it is.
    const said = choices[k]?.unit;
    if (said && !choices[k]?.role && column.role !== 'min' && column.role !== 'max')
      column.role = isOhms(said) ? 'resistance' : said === 'V' ? 'other' : 'temperature';
  }
  settleDecimals(columns, choices);
  settleRoles(columns, choices);
  columns.forEach((column) => settleUnit(column, columns, choices));
  return columns.map(({ head, role, unit, decimal, asked }) => ({
    head,
    role: role === null || role === 'resistance' ? 'other' : role,
    unit: unit ?? 'Ω',
    decimal,
    asked,
  }));
}

/** The unit that more than half of the cells carry themselves. */
function unitInCells(cells: readonly string[]): ColumnUnit | null {
  const units = cells.map((c) => eitherFigure(c)?.unit ?? null);
  for (const unit of new Set(units)) if (unit && units.filter((u) => u === unit).length > cells.length / 2) return unit;
  return null;
}

const figuresOf = (column: Found, mark = column.decimal): (CellFigure | null)[] =>
  column.cells.map((c) => cellFigure(c, mark));
const valuesOf = (column: Found, mark = column.decimal): number[] =>
  figuresOf(column, mark).flatMap((f) => (f ? [f.value * (isOhms(f.unit) ? ohmsIn(f.unit!) : 1)] : []));

/**
 * The decimal mark of each column: by cells that can be read one way only, else by the way in which the figures run on steadily, else as in the
 * other columns, else as prefixed units are written. Left over: the mark is asked.
 */
function settleDecimals(columns: readonly Found[], choices: ColumnChoices): void {
  const open: Found[] = [];
  const said = new Set<DecimalMark>();
  for (const [k, column] of columns.entries()) {
    if (choices[k]?.decimal) {
      // One answer goes for the whole table.
      said.add(column.decimal);
      continue;
    }
    const reads = column.cells.map((c) => [cellFigure(c, '.'), cellFigure(c, ',')] as const);
    const onlyPoint = reads.some(([p, c]) => p && !c);
    const onlyComma = reads.some(([p, c]) => c && !p);
    const both = reads.filter(([p, c]) => p && c && p.value !== c.value);
    if (onlyComma && !onlyPoint) column.decimal = ',';
    if (both.length === 0 || onlyPoint !== onlyComma) {
      if (onlyPoint !== onlyComma) said.add(column.decimal);
      continue;
    }
    open.push(column);
  }
  for (const column of open) {
    const steady = ([',', '.'] as const).filter((mark) => isSteady(valuesOf(column, mark)));
    // Both marks stand for decimals in one column: what can be both is asked, and left out as long.
    const mixed = column.cells.some((c) => cellFigure(c, '.') && !cellFigure(c, ','));
    const [elsewhere] = said.size === 1 ? said : [undefined];
    const unit = unitInCells(column.cells) ?? column.unit;
    const prefixed = unit === 'kΩ' || unit === 'MΩ' || (unit === 'K' && column.role !== 'temperature');
    const written = column.cells.some((c) => c.includes('.')) ? '.' : ',';
    if (!mixed && steady.length === 1 && column.cells.length >= 3) [column.decimal] = steady;
    else if (!mixed && elsewhere) column.decimal = elsewhere;
    else if (!mixed && prefixed) column.decimal = written;
    else Object.assign(column, { decimal: written, asked: { ...column.asked, decimal: ['.', ','] } });
  }
}

/** Are the steps between neighbours those of temperatures in a table: whole halves of a degree, or of one told in °F, and not too unlike each other? */
function isEven(values: readonly number[]): boolean {
  if (values.length < 3 || !isSteady(values)) return false;
  const steps = values.slice(1).map((v, i) => Math.abs(v - values[i]));
  const inSteps = (of: number): boolean => steps.every((s) => Math.abs(s / of - Math.round(s / of)) < 1e-6);
  return (inSteps(0.5) || inSteps(0.9)) && Math.max(...steps) < 12 * Math.min(...steps);
}

const COLDEST_C = -273.15;
const HOTTEST = 1300;

function settleRoles(columns: readonly Found[], choices: ColumnChoices): void {
  const open = columns.filter((c) => c.role === null);
  twoTemperatures(columns);
  if (!columns.some((c) => c.role === 'temperature')) {
    const candidates = columns
      .filter((c) => c.role === null)
      .map((column) => ({ column, values: valuesOf(column) }))
      .filter(({ values }) => values.length > 0 && values.every((v) => v >= COLDEST_C && v <= HOTTEST));
    const [first, second] = candidates;
    const better =
      candidates.find((c) => c.values.some((v) => v < 0)) ?? candidates.find((c) => isEven(c.values)) ?? first;
    if (better) better.column.role = 'temperature';
    // Two columns that could both be temperatures, and nothing that tells: the first is, as usual, but it is asked.
    const unclear =
      second !== undefined &&
      !first.values.some((v) => v < 0) &&
      (better !== first || (isEven(second.values) && !isEven(first.values)));
    if (
      better &&
      unclear &&
      !candidates.some((c) => c.values.some((v) => v < 0)) &&
      columns.length === 2 &&
      !choices[0]?.role &&
      !choices[1]?.role
    )
      for (const c of columns) c.asked.role = ['temperature', 'nominal'];
  }
  const rest = columns.filter((c) => c.role === 'resistance' || (c.role === null && open.includes(c)));
  const named = columns.filter((c) => BY_RESISTANCE.includes(c.role as ColumnRole));
  resistances(rest, named);
}

/** °C beside °F, or beside K: one of the two is read, and each helps to know the other. */
function twoTemperatures(columns: readonly Found[]): void {
  for (const [i, a] of columns.entries()) {
    for (const b of columns.slice(i + 1)) {
      const may = (c: Found): boolean => c.role === null || c.role === 'temperature';
      if (!may(a) || !may(b)) continue;
      const [x, y] = [valuesOf(a), valuesOf(b)];
      if (x.length < 2 || x.length !== y.length) continue;
      const all = (
        from: readonly number[],
        to: readonly number[],
        map: (v: number) => number,
        within: number,
      ): boolean => from.every((v, k) => Math.abs(map(v) - to[k]) <= within);
      const fahrenheit = (v: number): number => v * 1.8 + 32;
      const kelvin = (v: number): number => v + 273.15;
      const set = (one: Found, other: Found, unit: ColumnUnit): void => {
        Object.assign(one, { role: 'temperature', unit: '°C' });
        Object.assign(other, { role: 'other', unit });
      };
      if (all(x, y, fahrenheit, 1)) return set(a, b, '°F');
      if (all(y, x, fahrenheit, 1)) return set(b, a, '°F');
      if (all(x, y, kelvin, 0.6)) return set(a, b, 'K');
      if (all(y, x, kelvin, 0.6)) return set(b, a, 'K');
      if (a.role === 'temperature' && b.role === 'temperature') b.role = 'other';
    }
  }
}

/** Which of the columns left are the nominal value and its limits: by their order, in whatever language they are named. */
function resistances(rest: readonly Found[], named: readonly Found[]): void {
  if (rest.length === 0) return;
  const taken = new Set(named.map((c) => c.role));
  if (rest.length === 1 || (rest.length === 2 && taken.size > 0)) {
    const [one, ...more] = rest;
    if (!taken.has('nominal')) one.role = 'nominal';
    else one.role = taken.has('min') ? 'max' : taken.has('max') ? 'min' : 'other';
    for (const m of more) m.role = 'other';
    return;
  }
  const columns = rest.map((column) => ({ column, values: valuesOf(column) }));
  const ordered = [...columns].sort((a, b) => mean(a.values) - mean(b.values));
  const near = ordered.every(
    ({ values }, i) =>
      i === 0 ||
      (values.length === ordered[i - 1].values.length &&
        values.every((v, k) => v >= ordered[i - 1].values[k] && v < 2.5 * ordered[i - 1].values[k])),
  );
  if (near && rest.length === 3 && taken.size === 0) {
    const roles = ['min', 'nominal', 'max'] as const;
    ordered.forEach(({ column }, i) => (column.role = roles[i]));
    return;
  }
  if (near && rest.length === 2 && taken.size === 0 && rest.every((c) => c.role === null || c.role === 'resistance')) {
    const [low, high] = ordered;
    // Two curves side by side, or two limits? The heads would say.
    Object.assign(low.column, { role: 'min' });
    Object.assign(high.column, { role: 'max' });
    for (const { column } of ordered) column.asked.role = ['min', 'max', 'nominal', 'other'];
    return;
  }
  // Several curves side by side, or columns of something else: the one that changes most is the guess.
  const widest = columns.reduce((a, b) => (reach(b.values) > reach(a.values) ? b : a));
  for (const { column } of columns) {
    column.role = column === widest.column ? 'nominal' : 'other';
    column.asked.role = ['nominal', 'other'];
  }
}

const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;
const reach = (values: readonly number[]): number =>
  values.length === 0 || Math.min(...values) <= 0 ? 0 : Math.log(Math.max(...values) / Math.min(...values));

/** Below this all through, Ω is hardly meant; from this on all through, kΩ is not. */
const [FEW_OHMS, MANY_KILOHMS] = [60, 1000];

function settleUnit(column: Found, columns: readonly Found[], choices: ColumnChoices): void {
  if (column.role === 'temperature') settleTemperature(column, columns, choices);
  else if (BY_RESISTANCE.includes(column.role as ColumnRole)) settleResistance(column, columns, choices);
}

function settleTemperature(column: Found, columns: readonly Found[], choices: ColumnChoices): void {
  const own = unitInCells(column.cells);
  if (!TEMPERATURE_UNITS.includes(column.unit!)) column.unit = own && TEMPERATURE_UNITS.includes(own) ? own : null;
  if (choices[columns.indexOf(column)]?.unit || column.unit) return;
  const values = valuesOf(column);
  const fractions = values.filter((v) => Math.abs(Math.abs(v % 1) - 0.15) < 1e-6).length;
  if (values.length > 0 && fractions === values.length) column.unit = 'K';
  else if (values.length > 1 && values.every((v) => v >= 200 && v <= 520) && isNtc(columns)) {
    Object.assign(column, { unit: '°C', asked: { ...column.asked, unit: ['°C', 'K', '°F'] } });
  } else if (
    values.length >= 3 &&
    values.every((v) => Math.abs(((v - 32) / 9) % 1) < 1e-9) &&
    values.some((v) => v % 5 !== 0)
  ) {
    // Steps of 18 from 32 on: tens of °C told in °F.
    Object.assign(column, { unit: '°F', asked: { ...column.asked, unit: ['°F', '°C'] } });
  } else column.unit = '°C';
}

function isNtc(columns: readonly Found[]): boolean {
  const ohms = columns.find((c) => c.role === 'nominal' || c.role === 'resistance');
  const warm = columns.find((c) => c.role === 'temperature');
  if (!ohms || !warm) return false;
  const [r, t] = [valuesOf(ohms), valuesOf(warm)];
  return (r[0] - r[r.length - 1]) * (t[0] - t[t.length - 1]) < 0;
}

function settleResistance(column: Found, columns: readonly Found[], choices: ColumnChoices): void {
  if (choices[columns.indexOf(column)]?.unit) return;
  if (column.unit === 'K') column.unit = 'kΩ';
  if (!isOhms(column.unit)) column.unit = null;
  const told = columns.find((c, k) => c !== column && choices[k]?.unit && isOhms(c.unit));
  column.unit ??= told?.unit ?? null;
  const bare = figuresOf(column).flatMap((f) => (f && f.unit === null ? [f.value] : []));
  const sibling = columns.find((c) => c !== column && isOhms(c.unit) && BY_RESISTANCE.includes(c.role as ColumnRole));
  // Limits are in the unit of their nominal value, where that alone is named.
  if (column.unit === null && sibling && bare.length > 0) column.unit = sibling.unit;
  if (bare.length === 0) column.unit ??= 'Ω';
  // Which unit, hangs on the decimal mark: one question after the other.
  else if (column.asked.decimal) column.unit ??= 'Ω';
  else if (column.unit === null && bare.every((v) => v < FEW_OHMS)) {
    Object.assign(column, { unit: 'kΩ', asked: { ...column.asked, unit: ['kΩ', 'Ω', 'MΩ', 'V'] } });
  } else if (column.unit === 'kΩ' && bare.length >= 2 && bare.every((v) => v >= MANY_KILOHMS)) {
    Object.assign(column, { asked: { ...column.asked, unit: ['Ω', 'kΩ'] } });
  } else column.unit ??= 'Ω';
}
