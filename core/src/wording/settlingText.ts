import type { Settling } from '../tools/baths/settling.ts';
import { fixed, significant } from '../base/units/writing.ts';

/** Where a value will settle, in words. */
export function settlingText(s: Settling): string {
  if (!s.ok) {
    if (s.reason === 'too-few') return 'Three readings at least, at different minutes.';
    return s.reason === 'same-times'
      ? 'The readings need three different minutes.'
      : 'It does not settle yet: it still runs almost straight. Wait and read again.';
  }
  const figure = (v: number): string => significant(v, 4);
  if (s.settled) return `Settled at ${figure(s.final)} (± ${significant(s.uncertainty, 2)}).`;
  return `Will settle at about ${figure(s.final)} (± ${significant(s.uncertainty, 2)}), to 1 % at minute ${fixed(s.settledAtMin, 1)}.`;
}
