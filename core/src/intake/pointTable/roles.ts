import { isSteady, type ColumnUnit } from './cellFigure.ts';
import { BY_RESISTANCE, type ColumnChoices, type Found, valuesOf } from './columns.ts';
import type { ColumnRole } from './headings.ts';

/** Are the steps between neighbours those of temperatures in a table: whole halves of a degree, or of one told in °F, and not too unlike each other? */
function isEven(values: readonly number[]): boolean {
  if (values.length < 3 || !isSteady(values)) return false;
  const steps = values.slice(1).map((v, i) => Math.abs(v - values[i]));
  const inSteps = (of: number): boolean => steps.every((s) => Math.abs(s / of - Math.round(s / of)) < 1e-6);
  return (inSteps(0.5) || inSteps(0.9)) && Math.max(...steps) < 12 * Math.min(...steps);
}

const COLDEST_C = -273.15;
const HOTTEST = 1300;

/** What each column holds: by its heading or cells, else by how its figures run on; what cannot be told is asked. */
export function settleRoles(columns: readonly Found[], choices: ColumnChoices): void {
  const open = columns.filter((c) => c.role === null);
  twoTemperatures(columns);
  if (!columns.some((c) => c.role === 'temperature')) likelyTemperature(columns, choices);
  const rest = columns.filter((c) => c.role === 'resistance' || (c.role === null && open.includes(c)));
  const named = columns.filter((c) => BY_RESISTANCE.includes(c.role as ColumnRole));
  resistances(rest, named);
}

/** Takes the column that is most likely the temperature for it. */
function likelyTemperature(columns: readonly Found[], choices: ColumnChoices): void {
  const candidates = columns
    .filter((c) => c.role === null)
    .map((column) => ({ column, values: valuesOf(column) }))
    .filter(({ values }) => values.length > 0 && values.every((v) => v >= COLDEST_C && v <= HOTTEST));
  const [first, second] = candidates;
  const belowZero = candidates.find((c) => c.values.some((v) => v < 0));
  const better = belowZero ?? candidates.find((c) => isEven(c.values)) ?? first;
  if (better) better.column.role = 'temperature';
  if (belowZero || !second || columns.length !== 2 || choices[0]?.role || choices[1]?.role) return;
  // Two columns that could both be temperatures, and nothing that tells: the first is, as usual, but it is asked.
  if (better !== first || (isEven(second.values) && !isEven(first.values)))
    for (const c of columns) c.asked.role = ['temperature', 'nominal'];
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
    one.role = missingRole(taken);
    for (const m of more) m.role = 'other';
    return;
  }
  const columns = rest.map((column) => ({ column, values: valuesOf(column) }));
  if (taken.size === 0 && limitsSideBySide(columns)) return;
  // Several curves side by side, or columns of something else: the one that changes most is the guess.
  const widest = columns.reduce((a, b) => (reach(b.values) > reach(a.values) ? b : a));
  for (const { column } of columns) {
    column.role = column === widest.column ? 'nominal' : 'other';
    column.asked.role = ['nominal', 'other'];
  }
}

/** What a single column is beside those that are named. */
function missingRole(taken: ReadonlySet<Found['role']>): ColumnRole {
  if (!taken.has('nominal')) return 'nominal';
  if (taken.has('min')) return 'max';
  return taken.has('max') ? 'min' : 'other';
}

/** Two or three columns that run close above one another: limits, and the value between them. False where they are no such. */
function limitsSideBySide(columns: readonly { column: Found; values: readonly number[] }[]): boolean {
  const ordered = [...columns].sort((a, b) => mean(a.values) - mean(b.values));
  const near = ordered.slice(1).every(({ values }, i) => {
    const { values: below } = ordered[i];
    return values.length === below.length && values.every((v, k) => v >= below[k] && v < 2.5 * below[k]);
  });
  if (!near || columns.length > 3) return false;
  const roles: readonly ColumnRole[] = columns.length === 3 ? ['min', 'nominal', 'max'] : ['min', 'max'];
  ordered.forEach(({ column }, i) => (column.role = roles[i]));
  // Two curves side by side, or two limits? The heads would say.
  if (columns.length === 2) for (const { column } of ordered) column.asked.role = ['min', 'max', 'nominal', 'other'];
  return true;
}

const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;
const reach = (values: readonly number[]): number =>
  values.length === 0 || Math.min(...values) <= 0 ? 0 : Math.log(Math.max(...values) / Math.min(...values));
