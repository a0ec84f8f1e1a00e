import { seriesBetween } from '../parts/resistorSeries.ts';
import { parseReading } from '../../base/units/parseReading.ts';
import { readUnit } from '../../base/units/readUnit.ts';
import type { Kit } from './kitSchema.ts';

/** The resistors of a kit, Ω ascending: a whole series from 10 Ω to 1 MΩ, or those typed, and what in them could not be read. */
export function ownResistors(resistors: Kit['resistors']): { ohms: number[]; unread: string[] } {
  if (resistors.series !== 'own') return { ohms: seriesBetween(resistors.series, 10, 1e6), unread: [] };
  const unread: string[] = [];
  const ohms = new Set<number>();
  for (const text of figuresOf(resistors.own)) {
    const parsed = parseReading(text, 'ohms', { overload: false });
    if (parsed.ok && parsed.value > 0) ohms.add(parsed.value);
    else unread.push(text);
  }
  return { ohms: [...ohms].sort((a, b) => a - b), unread };
}

/**
 * The figures of a list, however it is set apart. In a drawer blanks part the resistors: `100 220 470` is three, and a unit belongs to the figure
 * before it.
 */
function figuresOf(list: string): string[] {
  const figures: string[] = [];
  for (const word of list.split(/[;\s]+|,(?=\s|$)/).filter(Boolean)) {
    const last = figures.length - 1;
    if (last >= 0 && /\d$/.test(figures[last]) && isUnit(word)) figures[last] += ` ${word}`;
    else figures.push(...partedByCommas(word));
  }
  return figures;
}

const isUnit = (word: string): boolean => !/\d/.test(word) && readUnit(word, 'ohms', 'C').length > 0;

/** One comma may be a decimal one; more, or one that makes no number, part figures. */
function partedByCommas(word: string): string[] {
  const parts = word.split(',');
  const whole = parts.length === 2 ? parseReading(word, 'ohms', { overload: false }) : null;
  return whole && (whole.ok || whole.reason === 'ambiguous') ? [word] : parts.filter(Boolean);
}
