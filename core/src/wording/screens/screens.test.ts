import { readdirSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import type { Shown } from './shown.ts';

/** What holds for every sentence of the screens, whoever writes the next one, in whatever language. */
type Said = string | ((...shown: Shown[]) => string) | { [part: string]: string };
const files = readdirSync(import.meta.dirname).filter((f) => f.endsWith('.ts') && !/test|shown/.test(f));
const lists = (
  await Promise.all(
    files.map(async (f) => Object.entries((await import(`./${f}`)) as Record<string, Record<string, Said>>)),
  )
).flat();
function textsOf(sentence: Said, handed: readonly string[]): string[] {
  if (typeof sentence === 'string') return [sentence];
  return typeof sentence === 'function' ? [sentence(...handed)] : Object.values(sentence);
}

describe('sentences of the screens', () => {
  test('there is a list for every component that says something', () => {
    expect(lists.length).toBeGreaterThan(150);
  });
  test.each(lists)('%s: whole sentences with everything they are handed, in typographic marks', (_, sentences) => {
    for (const sentence of Object.values(sentences)) {
      const marks = typeof sentence === 'function' ? Array.from({ length: sentence.length }, (_, i) => `⟦${i}⟧`) : [];
      for (const text of textsOf(sentence, marks)) {
        for (const mark of marks) expect(text).toContain(mark);
        expect(text).not.toMatch(/undefined|null|\[object|"|'/);
        expect(text).toBe(text.trim());
        expect(text).not.toBe('');
        // What stands out is marked in pairs.
        expect(text.split('**').length % 2).toBe(1);
      }
    }
  });
});
