import type { Fault } from './fault.ts';

/** Faults of one element or wire: only one of them can be so at a time. */
const EXCLUSIVE: readonly (readonly string[])[] = [
  ['sensor-open', 'sensor-short', 'sensor-high', 'sensor-low', 'sensor-wrong-type'],
  ['signal-open', 'signal-resistive'],
  ['return-open', 'return-resistive'],
  ['reference-low', 'reference-missing', 'reference-high'],
];

/** Can both be so at once? Nothing wrong is no fault, and one element or wire has one state. */
export function canStandTogether(a: Fault, b: Fault): boolean {
  if (a === b || a.group === 'healthy' || b.group === 'healthy') return false;
  return !EXCLUSIVE.some((list) => list.includes(a.id) && list.includes(b.id));
}
