import { type ColumnUnit } from './cellFigure.ts';
import { BY_RESISTANCE, type ColumnChoices, figuresOf, type Found, isOhms, unitInCells, valuesOf } from './columns.ts';
import type { ColumnRole } from './headings.ts';

const TEMPERATURE_UNITS: readonly ColumnUnit[] = ['°C', '°F', 'K'];

/** Below this all through, Ω is hardly meant; from this on all through, kΩ is not. */
const [FEW_OHMS, MANY_KILOHMS] = [60, 1000];

/** The unit of a column whose role is settled: its own, that of its siblings, else by the size of its figures; what cannot be told is asked. */
export function settleUnit(column: Found, columns: readonly Found[], choices: ColumnChoices): void {
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
  const bare = figuresOf(column).flatMap((f) => (f && f.unit === null ? [f.value] : []));
  if (column.unit === 'K') column.unit = 'kΩ';
  if (!isOhms(column.unit)) column.unit = toldElsewhere(column, columns, choices, bare.length > 0);
  // Which unit, hangs on the decimal mark: one question after the other.
  if (bare.length === 0 || column.asked.decimal) column.unit ??= 'Ω';
  else if (column.unit === null && bare.every((v) => v < FEW_OHMS)) {
    Object.assign(column, { unit: 'kΩ', asked: { ...column.asked, unit: ['kΩ', 'Ω', 'MΩ', 'V'] } });
  } else if (column.unit === 'kΩ' && bare.length >= 2 && bare.every((v) => v >= MANY_KILOHMS)) {
    Object.assign(column, { asked: { ...column.asked, unit: ['Ω', 'kΩ'] } });
  } else column.unit ??= 'Ω';
}

/** The unit of another column of resistances: the one that a person said, else for bare figures the one that is named; null where none is. */
function toldElsewhere(
  column: Found,
  columns: readonly Found[],
  choices: ColumnChoices,
  isBare: boolean,
): ColumnUnit | null {
  const others = columns.filter((c) => c !== column && isOhms(c.unit));
  const said = others.find((c) => choices[columns.indexOf(c)]?.unit);
  // Limits are in the unit of their nominal value, where that alone is named.
  const named = isBare ? others.find((c) => BY_RESISTANCE.includes(c.role as ColumnRole)) : undefined;
  return (said ?? named)?.unit ?? null;
}
