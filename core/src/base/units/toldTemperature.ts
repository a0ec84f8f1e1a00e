import type { TemperatureUnit } from './format.ts';
import { parseReading, type ParseReason } from './parseReading.ts';

/** A temperature as people have it. °C and K. */
export interface ToldTemperature {
  /** A figure of a thermometer, a rough one, a range with its bounds, or something noticed. */
  kind: 'figure' | 'about' | 'range' | 'noticed';
  middleC: number;
  /** Half the width of what is told, 0 for a figure. */
  halfWidthK: number;
  /** 1σ of its edges, or of a rough figure; NaN for a figure, whose thermometer decides. */
  edgeK: number;
}

export type Told = { ok: true; told: ToldTemperature } | { ok: false; reason: Exclude<ParseReason, 'ambiguous'> };

/** Something already noticed that tells a temperature: nobody is asked to touch anything for it. */
export interface Noticed {
  id: string;
  /** What a tap writes into the field; also read when typed. */
  text: string;
  reads: RegExp;
  lowC: number;
  highC: number;
  source: string;
}

const PRACTICE = 'common practice, no source';

export const NOTICED: readonly Noticed[] = [
  {
    id: 'overnight',
    text: 'stood overnight',
    reads: /^(stood |after standing |over ?)*(over ?night|as the air)$/i,
    lowC: -5,
    highC: 28,
    source: PRACTICE,
  },
  {
    id: 'touchable',
    text: 'hoses can be touched',
    reads: /^(hoses? |pipes? |it )?(can|could) be touched$/i,
    lowC: 5,
    highC: 50,
    source: 'skin can rest on metal up to about 50 °C: ISO 13732-1, from memory',
  },
  {
    id: 'too-hot',
    text: 'too hot to touch',
    reads: /^too hot( to touch)?$/i,
    lowC: 55,
    highC: 115,
    source: 'ISO 13732-1, from memory, and common practice',
  },
  { id: 'ice', text: 'ice on it', reads: /^(ice|frost)( on it)?$/i, lowC: -22, highC: 1, source: PRACTICE },
  {
    id: 'thermostat',
    text: 'at the thermostat',
    reads: /^(at the thermostat|fully warm|warmed up)$/i,
    lowC: 82,
    highC: 98,
    source: 'thermostat holds about 85–95 °C: common practice, no source',
  },
];

/** A figure that is said to be a rough one. */
export const ROUGHLY = /^(?:~|≈|about |approx\.? |ca\.? |around )\s*(.+)$/i;

/** 1σ at the edges of a told range, of an air temperature that a sensor has taken overnight, and of a rough figure, K. */
const [EDGE_K, OVERNIGHT_K, ABOUT_K] = [1, 2, 3];
/** Nothing told by a bound lies beyond these, °C. */
const [COLDEST_C, HOTTEST_C] = [-10, 120];

/**
 * Reads a temperature as people have it: `20`, `~20`, `about 20`, `18…24`, `18-24`, `20±3`, `<50`, `over 60`, `stood overnight`, and
 * `stood overnight, 12`. A bare figure is in `unit`. What says nothing ("hot") and a range upside down are asked.
 *
 * @example toldTemperature('18…24', 'C') // { ok: true, told: { kind: 'range', middleC: 21, halfWidthK: 3, edgeK: 1 } }
 */
export function toldTemperature(text: string, unit: TemperatureUnit): Told {
  const clean = text.normalize('NFKC').replace(/[−]/g, '-').replace(/\s+/g, ' ').trim();
  if (clean === '') return { ok: false, reason: 'empty' };
  for (const reads of [noticed, roughFigure, bound, plusMinus, between]) {
    const told = reads(clean, unit);
    if (told) return told;
  }
  const value = figure(clean, unit);
  if (typeof value !== 'number') return value;
  return { ok: true, told: { kind: 'figure', middleC: value, halfWidthK: 0, edgeK: NaN } };
}

type Unread = Extract<Told, { ok: false }>;

/** One way of telling a temperature: null where the text is not told this way. */
type Reads = (clean: string, unit: TemperatureUnit) => Told | null;

const noticed: Reads = (clean) => {
  const found = NOTICED.find((n) => n.reads.test(clean));
  return found ? range(found.lowC, found.highC, 'noticed') : null;
};

const roughFigure: Reads = (clean, unit) => {
  const overnight = /^(?:stood )?overnight[,:]? (?:air |at )?(.+)$/i.exec(clean);
  if (overnight) return rough(overnight[1], unit, OVERNIGHT_K);
  const about = ROUGHLY.exec(clean) ?? /^(.+?)\s?ish$/i.exec(clean);
  return about ? rough(about[1], unit, ABOUT_K) : null;
};

const bound: Reads = (clean, unit) => {
  const found = /^(<|>|≤|≥|under|below|up to|over|above|more than|less than)\s*(.+)$/i.exec(clean);
  if (!found) return null;
  const limit = figure(found[2], unit);
  if (typeof limit !== 'number') return limit;
  return /^(<|≤|under|below|up to|less than)$/i.test(found[1])
    ? range(Math.min(COLDEST_C, limit - 30), limit, 'range')
    : range(limit, Math.max(HOTTEST_C, limit + 30), 'range');
};

const plusMinus: Reads = (clean, unit) => {
  const found = /^(.+?)\s*(?:±|\+\/-)\s*([\d.,]+)\s*(.*)$/.exec(clean);
  if (!found) return null;
  const middle = figure(`${found[1]} ${found[3]}`, unit);
  const width = parseReading(found[2], 'number');
  if (typeof middle !== 'number') return middle;
  if (!width.ok || !(width.value > 0)) return { ok: false, reason: 'not-a-number' };
  const kelvin = width.value * (isFahrenheit(`${found[1]}${found[3]}`, unit) ? 5 / 9 : 1);
  return range(middle - kelvin, middle + kelvin, 'range');
};

const FROM_TO =
  /^(?:between )?(-?[\d.,]+\s*(?:°?\s*[CFK])?)\s*(?:…|\.{2,3}|-|–|—|to|and)\s*(-?[\d.,]+\s*(°?\s*[CFK])?)$/i;

const between: Reads = (clean, unit) => {
  const found = FROM_TO.exec(clean);
  if (!found) return null;
  // A unit said once, at the end, goes for both.
  const own = /[CFK]\s*$/i.test(found[1]) ? '' : ` ${found[3] ?? ''}`;
  const [low, high] = [figure(`${found[1]}${own}`, unit), figure(found[2], unit)];
  if (typeof low !== 'number') return low;
  if (typeof high !== 'number') return high;
  return high > low ? range(low, high, 'range') : { ok: false, reason: 'upside-down' };
};

function figure(text: string, unit: TemperatureUnit): number | Unread {
  const parsed = parseReading(text, 'celsius', { temperatureUnit: unit, overload: false });
  if (parsed.ok) return parsed.value;
  return { ok: false, reason: parsed.reason === 'ambiguous' ? 'not-a-number' : parsed.reason };
}

function rough(text: string, unit: TemperatureUnit, edgeK: number): Told {
  const value = figure(text, unit);
  return typeof value === 'number'
    ? { ok: true, told: { kind: 'about', middleC: value, halfWidthK: 0, edgeK } }
    : value;
}

function range(lowC: number, highC: number, kind: 'range' | 'noticed'): Told {
  return {
    ok: true,
    told: { kind, middleC: (lowC + highC) / 2, halfWidthK: (highC - lowC) / 2, edgeK: EDGE_K },
  };
}

function isFahrenheit(text: string, unit: TemperatureUnit): boolean {
  return /F/i.test(text) || (unit === 'F' && !/[CK]/i.test(text));
}

/** 1σ of a told temperature as if it were a normal one, K; of a figure the thermometer's. */
export function toldSigmaK({ kind, halfWidthK, edgeK }: ToldTemperature, thermometerK: number): number {
  return kind === 'figure' ? thermometerK : Math.hypot(edgeK, halfWidthK / Math.sqrt(3));
}
