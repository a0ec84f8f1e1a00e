import type { Assessment, Suspect } from '../inference/verdict/assessment.ts';
import { measurementById } from '../circuit/measurements/list.ts';
import type { TemperatureUnit } from '../base/units/format.ts';
import { slipText } from './slipText.ts';
import { inside } from '../base/numeric/interval.ts';

/** What one reading says, in a line: how it stands, whom it clears and whom it leaves. */
export interface OutcomeText {
  standing: 'fits' | 'off' | 'doubtful';
  title: string;
  text: string;
}

/** Null for a reading that the verdict does not count (not readable, voided). */
export function outcomeText(a: Assessment, readingId: string, unit: TemperatureUnit): OutcomeText | null {
  const at = a.readings.findIndex((r) => r.id === readingId);
  if (at < 0) return null;
  const { verdict, blunder, slip, measurement } = a.readings[at];
  const value = a.values[at];
  const fits = (s: Suspect): boolean => inside(s.predicts[at], value) === 'inside';
  const leaves = a.suspects.filter((s) => s.fault !== 'healthy' && fits(s)).map((s) => s.name);
  const against = a.suspects.filter((s) => !fits(s)).map((s) => (s.fault === 'healthy' ? 'a healthy circuit' : s.name));
  const title = verdict === 'inside' ? 'Within range.' : verdict === 'low' ? 'Low.' : 'High.';
  if (slip) return { standing: 'doubtful', title, text: slipText(slip, measurementById(measurement).quantity, unit) };
  if (blunder > 0.5)
    return {
      standing: 'doubtful',
      title,
      text: 'The leading suspect does not explain it. A bad contact, a wrong pin or a wrong unit? Repeat it.',
    };
  const parts: string[] = [];
  if (against.length > 0) parts.push(`Contradicts ${list(against)}.`);
  if (verdict !== 'inside' && leaves.length > 0) parts.push(`Still possible: ${list(leaves)}.`);
  if (parts.length === 0) parts.push(a.suspects.length > 1 ? 'It does not separate the suspects.' : 'Fits.');
  return { standing: verdict === 'inside' ? 'fits' : 'off', title, text: parts.join(' ') };
}

function list(names: readonly string[]): string {
  const shown = names.slice(0, 3);
  const more = names.length - shown.length;
  return shown.join(', ') + (more > 0 ? ` and ${more} more` : '');
}
