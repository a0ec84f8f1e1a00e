import { elementsOf, SIDES } from '../circuit/network/chain.ts';
import type { Strand } from '../circuit/network/placeWeights.ts';
import type { HintId } from '../circuit/harness/hints.ts';
import { type Harness, partAt, type Stop, stopsOf } from '../circuit/harness/harnessSchema.ts';
import { measurementById } from '../circuit/measurements/list.ts';
import type { Conditions } from '../circuit/measurements/measurement.ts';
import type { LookFirst } from '../advice/place/lookFirst.ts';
import {
  asksWhere,
  ofThisHarness,
  type PlaceAdvice,
  type PlaceTest,
  type Places,
} from '../advice/place/placeAdvice.ts';
import { formatInterval, formatProbability, type TemperatureUnit } from '../base/units/format.ts';
import type { OutcomeLine } from './outcomeLines.ts';

const KINDS = { module: 'module', connector: 'connector', splice: 'splice', plug: 'sensor plug' } as const;

/** What a stop is called: by its name, else by its kind and number from the module. */
export function stopName(stop: Stop, index: number): string {
  const name = stop.name.trim();
  if (name !== '') return name;
  return stop.kind === 'module' || stop.kind === 'plug' ? KINDS[stop.kind] : `${KINDS[stop.kind]} ${index}`;
}

/** The stop at a position of the loom (1 = next to the module), by name. */
export function positionName(loom: Harness | undefined, position: number): string {
  const stop = loom?.stops[position - 1];
  return stop ? stopName(stop, position) : `connector ${position}`;
}

/** Where on the way a reading is taken: "return wire, C2, sensor side". */
export function wayText({ wire, position, side }: Conditions, loom?: Harness): string {
  if (!wire || !position) return '';
  return [`${wire} wire`, positionName(loom, position), ...(side ? [`${side} side`] : [])].join(', ');
}

/** The way from the module to the sensor plug, stop by stop, with what is written of each; empty for a loom without stops. */
export function wayThrough(loom: Harness): string {
  if (loom.stops.length === 0) return '';
  return stopsOf(loom)
    .map((stop, i) => (stop.where.trim() === '' ? stopName(stop, i) : `${stopName(stop, i)} (${stop.where.trim()})`))
    .join(' – ');
}

const CONTACTS = {
  module: 'plug of the module',
  connector: 'contact at',
  splice: 'joint at',
  plug: 'terminal of the sensor plug',
};

/** One place of the loom in words: "contact at C2", "run from C2 to C1". */
export function placeName(loom: Harness, element: number): string {
  const { stop, run } = partAt(loom, element);
  const index = element >> 1;
  if (run) return `run from ${stopName(stop, index)} to ${stopName(stopsOf(loom)[index + 1], index + 1)}`;
  if (stop.kind === 'module') return CONTACTS.module;
  return stop.kind === 'plug' ? CONTACTS.plug : `${CONTACTS[stop.kind]} ${stopName(stop, index)}`;
}

/** A stretch of the loom in words: one place by its name, several by their ends. */
export function placesName(loom: Harness, { from, to }: Places): string {
  if (to === from + 1) return placeName(loom, from);
  const stops = stopsOf(loom);
  const name = (index: number): string => stopName(stops[index], index);
  const last = to - 1;
  if (from === 0 && to === elementsOf(loom.stops.length)) return 'anywhere in the harness';
  const start = from % 2 === 0 ? name(from >> 1) : `beyond ${name(from >> 1)}`;
  const end = last % 2 === 0 ? name(last >> 1) : `short of ${name((last >> 1) + 1)}`;
  return `${start} … ${end}`;
}

const STRANDS: Readonly<Record<Strand, string>> = {
  signal: 'signal wire',
  return: 'return wire',
  leak: 'leak of the signal wire',
};

/** The strand that leads: "return wire". */
export const strandText = (strand: Strand): string => STRANDS[strand];

/** Where the fault lies, in a sentence; empty where nothing is to be said of places yet. */
export function whereText({ strand, known, shares, probability, next }: PlaceAdvice, loom: Harness): string {
  if (known) {
    const share = shares[strand].slice(known.from, known.to).reduce((a, b) => a + b, 0);
    return `${capital(placesName(loom, known))}, ${STRANDS[strand]}: ${formatProbability(share)}.`;
  }
  if (!next) return '';
  const list = shares[strand];
  const likeliest = list.indexOf(Math.max(...list));
  return `${capital(STRANDS[strand])}, ${formatProbability(probability)}. Likeliest place: ${placeName(loom, likeliest)}, ${formatProbability(list[likeliest])}.`;
}

/** The same, once where it lies is the question on this loom; empty before. */
export function whereAskedText(where: PlaceAdvice | null, loom: Harness): string {
  const told = where && ofThisHarness(where, loom);
  return told && (told.known || asksWhere(told)) ? whereText(told, loom) : '';
}

/** The name of a reading on the way: "Voltage at a connector, return wire, C2, sensor side". */
export const wayTestName = ({ measurement, conditions }: PlaceTest, loom: Harness): string =>
  `${measurementById(measurement).name}, ${wayText(conditions, loom)}`;

/** What the next reading on the way can show and what each would leave. */
export function placeOutcomeLines(
  { measurement, outcomes }: PlaceTest,
  loom: Harness,
  unit: TemperatureUnit,
): OutcomeLine[] {
  const { quantity } = measurementById(measurement);
  return outcomes.map(({ shows, probability, from, to }, i) => ({
    interval: shows,
    range: shows.low === Infinity ? 'OL' : formatInterval(shows, quantity, unit),
    leaves: `towards the ${SIDES[i]}: ${placesName(loom, { from, to })}`,
    chance: formatProbability(probability),
  }));
}

const LOOKS = {
  wiggle: {
    what: (name: string) => `wiggle ${name} and its wires while the value is watched`,
    says: ['It moves', 'It does not move'],
  },
  look: {
    what: (name: string) => `inspect ${name}: corrosion, water, a pin pushed back`,
    says: ['Something seen', 'Nothing seen'],
  },
} as const;

/** What to look at or to wiggle before the next reading: "wiggle C2 and its wires while the value is watched". */
export function lookText({ kind, stop }: LookFirst, loom: Harness): string {
  return LOOKS[kind].what(stopName(stopsOf(loom)[stop], stop));
}

/** Either outcome of it: what to note of the stop, how it is said, and what it leaves. */
export function lookLines(
  { kind, outcomes }: LookFirst,
  loom: Harness,
): { hint: HintId; says: string; leaves: string; chance: string }[] {
  return outcomes.map(({ hint, probability, likeliest, share }, i) => ({
    hint,
    says: LOOKS[kind].says[i],
    leaves: `then most likely ${placeName(loom, likeliest)}, ${formatProbability(share)}`,
    chance: formatProbability(probability),
  }));
}

/** What the search is expected to take in its order and in two plain ones. */
export function searchText({ expected: { best, endToEnd, middle } }: PlaceTest): string {
  const minutes = (value: number): string => `${Math.round(value)} min`;
  return `In this order about ${minutes(best)} until the place is known; from the sensor backwards ${minutes(endToEnd)}, always the middle ${minutes(middle)}.`;
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
