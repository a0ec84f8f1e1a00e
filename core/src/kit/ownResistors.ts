import { seriesBetween } from '../catalogue/resistorSeries.ts';
import { parseReading } from '../units/parseReading.ts';
import type { Kit } from './kitSchema.ts';

/** The resistors of a kit, Ω ascending: a whole series from 10 Ω to 1 MΩ, or those typed, and what in them could not be read. */
export function ownResistors(resistors: Kit['resistors']): { ohms: number[]; unread: string[] } {
  if (resistors.series !== 'own') return { ohms: seriesBetween(resistors.series, 10, 1e6), unread: [] };
  const unread: string[] = [];
  const ohms = new Set<number>();
  for (const text of resistors.own
    .split(/[;\n]+|,\s+|\s{2,}/)
    .map((t) => t.trim())
    .filter(Boolean)) {
    for (const part of parseReading(text, 'ohms', { overload: false }).ok ? [text] : text.split(/\s+/)) {
      const parsed = parseReading(part, 'ohms', { overload: false });
      if (parsed.ok && parsed.value > 0) ohms.add(parsed.value);
      else unread.push(part);
    }
  }
  return { ohms: [...ohms].sort((a, b) => a - b), unread };
}
