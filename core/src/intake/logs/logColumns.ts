import { z } from 'zod';
import { headingOf } from '../pointTable/headings.ts';
import type { Quantity } from '../../base/units/quantity.ts';

/** What a column of a log can be. */
export const LOG_COLUMN_USES = ['time', 'values', 'mark', 'other'] as const;
export type LogColumnUse = (typeof LOG_COLUMN_USES)[number];

/** Units in which values of a log are written. */
export const LOG_UNITS = ['°C', '°F', 'K', 'V', 'mV', 'Ω', 'kΩ', 'MΩ'] as const;
export type LogUnit = (typeof LOG_UNITS)[number];

/** How the time of a log is written. */
export const TIME_KINDS = [
  'seconds',
  'milliseconds',
  'minutes',
  'clock',
  'date-time',
  'serial',
  'epoch',
  'epoch-ms',
  'rows',
] as const;
export type TimeKind = (typeof TIME_KINDS)[number];

/** How one column is read. */
export interface LogColumn {
  head: string;
  use: LogColumnUse;
  /** Of values; null while it is not known: the column waits for an answer. */
  unit: LogUnit | null;
  /** Of the column of time. */
  time: TimeKind | null;
}

/** What a person said of the columns, by their place from 0. */
export const logChoicesSchema = z.record(
  z.string().regex(/^\d{1,3}$/),
  z.strictObject({
    use: z.enum(LOG_COLUMN_USES).optional(),
    unit: z.enum(LOG_UNITS).optional(),
    time: z.enum(TIME_KINDS).optional(),
  }),
);
export type LogChoices = Readonly<z.infer<typeof logChoicesSchema>>;

const INSIDE: Record<LogUnit, { quantity: Quantity; to: (v: number) => number }> = {
  '°C': { quantity: 'celsius', to: (v) => v },
  '°F': { quantity: 'celsius', to: (v) => ((v - 32) * 5) / 9 },
  K: { quantity: 'celsius', to: (v) => v - 273.15 },
  V: { quantity: 'volts', to: (v) => v },
  mV: { quantity: 'volts', to: (v) => v / 1000 },
  Ω: { quantity: 'ohms', to: (v) => v },
  kΩ: { quantity: 'ohms', to: (v) => v * 1000 },
  MΩ: { quantity: 'ohms', to: (v) => v * 1e6 },
};

export const quantityOf = (unit: LogUnit): Quantity => INSIDE[unit].quantity;
/** A figure of this unit in °C, V or Ω. */
export const insideOf = (unit: LogUnit, value: number): number => INSIDE[unit].to(value);

const TIME_HEAD =
  /^\s*(?:time|t|elapsed|sec|seconds?|ms|millis|msec|milliseconds?|zeit|uhrzeit|heure|temps|hora|tid|tijd|timestamp|epoch|unix(?:\s?time)?|min|minutes?|date|datum|clock)\b|\btime\b|\[\s*(?:s|ms|sec|min)\s*\]$/i;
/** Sensors by the letters that scan tools give them; their unit is not in the name. */
const SENSOR_LETTERS = /\b(?:ect|clt|mat|iat|cht|egt|eot|oat|aat|act)\b/i;

/** A heading as words: `TimeMs`, `t_ms`, `CH2-mV` and `Voltage/mV` are two each. */
const wordsOf = (head: string): string =>
  head
    .replace(/(\p{Ll})(\p{Lu})/gu, (pair, a: string, b: string) => (/^(?:mV|kΩ)$/.test(pair) ? pair : `${a} ${b}`))
    .replace(/[_/-]+/g, ' ')
    .trim();
const MARK_HEAD = /^\s*(?:marks?|notes?|events?|remarks?|comment|bemerkung)\s*$/i;

/** What the heading and the first cells of each column say it is; what a person chose stands. */
export function logColumns(
  heads: readonly string[],
  rows: readonly (readonly string[])[],
  choices: LogChoices,
  comma: boolean,
): LogColumn[] {
  const width = Math.max(heads.length, ...rows.map((r) => r.length));
  const cellsOf = (k: number): string[] => rows.map((r) => (r[k] ?? '').trim()).filter((c) => c !== '');
  const columns = Array.from({ length: width }, (_, k): LogColumn => {
    const head = (heads[k] ?? '').trim();
    const chosen = choices[k];
    const cells = cellsOf(k);
    const time = timeKindOf(head, cells, comma);
    const use = chosen?.use ?? useOf(head, cells, time, comma);
    if (use === 'time') return { head, use, unit: null, time: chosen?.time ?? time ?? 'seconds' };
    return { head, use, unit: use === 'values' ? (chosen?.unit ?? likelyUnit(head, cells, comma)) : null, time: null };
  });
  oneTime(columns, choices, cellsOf);
  // A column of figures with no unit that nobody asked for is something else: engine speed, a count.
  for (const [k, c] of columns.entries())
    if (
      c.use === 'values' &&
      c.unit === null &&
      choices[k]?.use !== 'values' &&
      !soundsLikeOurs(c.head) &&
      !unitOf(c.head, cellsOf(k))
    )
      c.use = 'other';
  return columns;
}

function useOf(head: string, cells: readonly string[], time: TimeKind | null, comma: boolean): LogColumnUse {
  if (MARK_HEAD.test(head)) return 'mark';
  if (time) return 'time';
  return mostlyFigures(cells, comma) ? 'values' : 'other';
}

/** The unit that heading and cells name, where the figures can be in it. */
function likelyUnit(head: string, cells: readonly string[], comma: boolean): LogUnit | null {
  const unit = unitOf(head, cells);
  return unit && canBe(unit, cells, comma) ? unit : null;
}

/** What no sensor, meter or supply of a machine shows, inside °C, V and Ω. A supply of 24 V is charged at up to 30 V. Common practice, no source. */
const POSSIBLE: Readonly<Record<Quantity, { low: number; high: number }>> = {
  celsius: { low: -90, high: 1200 },
  volts: { low: -15, high: 60 },
  ohms: { low: -1, high: 200e6 },
};

/** Can a column be in this unit? Where most of its figures would be impossible, the unit was misread and is asked. */
export function canBe(unit: LogUnit, cells: readonly string[], comma: boolean): boolean {
  const { low, high } = POSSIBLE[quantityOf(unit)];
  const figures = cells.map((c) => insideOf(unit, figureOf(c, comma))).filter(Number.isFinite);
  return figures.filter((v) => v < low || v > high).length <= 0.5 * figures.length;
}

/** At most one column is the clock of the log: the one that says most; a date beside a clock is left to it. */
function oneTime(columns: LogColumn[], choices: LogChoices, cellsOf: (k: number) => string[]): void {
  const rank: Record<TimeKind, number> = {
    'date-time': 8,
    epoch: 7,
    'epoch-ms': 7,
    serial: 6,
    clock: 5,
    seconds: 4,
    milliseconds: 4,
    minutes: 3,
    rows: 0,
  };
  const times = columns.flatMap((c, k) => (c.use === 'time' ? [k] : []));
  const chosen = times.find((k) => choices[k]?.use === 'time' || choices[k]?.time !== undefined);
  const hasClock = (k: number): boolean => columns[k].time !== 'date-time' || cellsOf(k).some((c) => /\d:\d/.test(c));
  const best = chosen ?? times.filter(hasClock).sort((a, b) => rank[columns[b].time!] - rank[columns[a].time!])[0];
  for (const k of times) {
    if (k === best) continue;
    // Figures that merely rise may as well be values.
    const figures = columns[k].time !== 'date-time' && columns[k].time !== 'clock' && !TIME_HEAD.test(columns[k].head);
    const unit = figures ? (choices[k]?.unit ?? unitOf(columns[k].head, cellsOf(k))) : null;
    Object.assign(columns[k], { use: figures ? 'values' : 'other', unit, time: null });
  }
}

const CLOCK = /^\d{1,3}:\d{2}(?::\d{2})?(?:[.,]\d+)?(?:\s*[ap]m)?$/i;
const DATE_TIME = /^(?:\d{4}[-/.]\d{1,2}[-/.]\d{1,2}|\d{1,2}[-/.]\d{1,2}[-/.]\d{2,4})(?:[T\s,]+\d{1,2}:\d{2}.*)?$/;

function timeKindOf(head: string, cells: readonly string[], comma: boolean): TimeKind | null {
  if (cells.length === 0) return null;
  if (cells.every((c) => DATE_TIME.test(c))) return 'date-time';
  if (cells.every((c) => CLOCK.test(c))) return 'clock';
  if (!mostlyFigures(cells, comma) || cells.some((c) => /[°ΩVCFk]/.test(c))) return null;
  const v = cells.map((c) => figureOf(c, comma));
  const back = v.filter((x, i) => i > 0 && x < v[i - 1]).length;
  const words = wordsOf(head);
  const named = TIME_HEAD.test(words) && unitOf(words.replace(/\b(?:s|ms)\b/gi, ''), []) === null;
  // A clock may be set back now and then; what has no name must only ever rise.
  if (!(v[v.length - 1] > v[0]) || back > (named ? 0.4 * v.length : 0) || !(named || head === '')) return null;
  return figureTimeKind(words, v[0], v[v.length - 1]);
}

/** How a time in figures is written, by its heading and by where it begins and ends. */
function figureTimeKind(words: string, first: number, last: number): TimeKind {
  if (first > 1e12) return 'epoch-ms';
  if (first > 1e9) return 'epoch';
  if (first > 20_000 && first < 80_000 && last - first < 10 && !/\bs\b|sec|ms/i.test(words)) return 'serial';
  if (/\bm(?:illi)?s(?:ec(?:onds?)?)?\b|millis?\b|milliseconds?/i.test(words)) return 'milliseconds';
  if (/\bmin(?:utes?)?\b/i.test(words)) return 'minutes';
  return 'seconds';
}

function unitOf(head: string, cells: readonly string[]): LogUnit | null {
  if (/\bm\s?v(?:olts?)?\b|\bmilli\s?volts?\b/i.test(wordsOf(head))) return 'mV';
  const { unit } = headingOf(head);
  const known = LOG_UNITS.find((u) => u === unit);
  // A bare K is kelvin only where it stands as a unit of a temperature.
  if (known && known !== 'K') return known;
  if (known === 'K' && /[([/]\s*K\s*[)\]]?\s*$/.test(head)) return 'K';
  if (/volt|[([_ ]V[)\]]?\s*$/i.test(head)) return 'V';
  const letter = /[\s_([]([CF])[)\]]?\s*$/.exec(head)?.[1];
  if (letter) return letter === 'C' ? '°C' : '°F';
  const inCells = /(°\s*C|°\s*F|mV|k(?:Ω|ohm)|M(?:Ω|ohm)|Ω|ohm|V)\s*$/i.exec(cells[0] ?? '')?.[1].replace(/\s/g, '');
  if (!inCells) return null;
  return LOG_UNITS.find((u) => u.toLowerCase() === inCells.toLowerCase().replace('ohm', 'Ω').toLowerCase()) ?? null;
}

const soundsLikeOurs = (head: string): boolean =>
  head === '' ||
  SENSOR_LETTERS.test(wordsOf(head)) ||
  /temp|coolant|oil|air|ohm|resist|volt|°|sensor|signal/i.test(head);

const mostlyFigures = (cells: readonly string[], comma: boolean): boolean =>
  cells.length > 0 &&
  cells.filter((c) => !Number.isNaN(figureOf(c, comma)) || isOverload(c)).length >= 0.6 * cells.length;

const isOverload = (cell: string): boolean =>
  /^[+-]?\s*(?:O\.?L\.?|\.OL|0\.L|over(?:load|range)?|inf(?:inity)?|∞|9\.9E\+?37)(?![\p{L}\d])/iu.test(cell);

/** SCPI's infinity is 9.9e37; a figure from about there on is none of a sensor. */
const OVER_RANGE = 9.8e37;

/** A cell as a figure: NaN where it holds none, Infinity for OL. Units behind it are not looked at. */
export function figureOf(cell: string, comma: boolean): number {
  if (cell === '') return NaN;
  const plain = comma ? +cell.replace(',', '.') : +cell;
  if (plain === plain) return inRange(plain);
  if (isOverload(cell.trim())) return Infinity;
  const found = /^\s*([-+−–]?\d+(?:[.,]\d+)?(?:e[+-]?\d+)?)\s*(?:°?\s*[CFKV]|m?V|[kM]?(?:Ω|Ω|ohms?))?\s*$/i.exec(cell);
  if (!found) return NaN;
  return inRange(Number(found[1].replace(',', '.').replace(/[−–]/, '-')));
}

/** What instruments print for over range is OL; as much below nothing is no figure. */
const inRange = (v: number): number => (v >= OVER_RANGE ? Infinity : v <= -OVER_RANGE ? NaN : v);
