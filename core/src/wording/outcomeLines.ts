import type { Proposal } from '../advice/nextTest/nextTest.ts';
import type { Interval } from '../base/numeric/interval.ts';
import { measurementById } from '../circuit/measurements/list.ts';
import { formatInterval, formatProbability, type TemperatureUnit } from '../base/units/format.ts';

/** One thing a test can show: where the reading then lies, what that leaves, and how likely it is. */
export interface OutcomeLine {
  interval: Interval;
  range: string;
  leaves: string;
  chance: string;
}

/** Names that a line holds; the others are only counted. */
const NAMED = 2;

function named(names: readonly string[]): string {
  if (names.length === 0) return 'many';
  const more = names.length > NAMED ? ' or another' : '';
  return names.slice(0, NAMED).join(' or ') + more;
}

/** What a proposed test can show, in words, likeliest first. Two classes that look alike on the display are told as one. */
export function outcomeLines({ measurement, outcomes }: Proposal, unit: TemperatureUnit): OutcomeLine[] {
  const { quantity } = measurementById(measurement);
  return outcomes.map(({ interval, probability, leaves }) => ({
    interval,
    range: interval.low === Infinity ? 'OL' : formatInterval(interval, quantity, unit),
    leaves: named(leaves.map((l) => l.name)),
    chance: formatProbability(probability),
  }));
}
