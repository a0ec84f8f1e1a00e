import { readdirSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { CURVE_KINDS } from './curves/curve.ts';
import { FAULTS } from './faults/list.ts';
import { MEASUREMENTS } from './measurements/list.ts';

/** A kind is one file and one line in a list: the file whose line was forgotten is named here. */
const ROOMS = [
  { room: 'faults', list: FAULTS, marks: ['branches', 'repair'], at: 'FAULTS in core/src/faults/list.ts' },
  {
    room: 'measurements',
    list: MEASUREMENTS,
    marks: ['predict', 'steps'],
    at: 'MEASUREMENTS in core/src/measurements/list.ts',
  },
  { room: 'curves', list: CURVE_KINDS, marks: ['schema', 'typed'], at: 'CURVE_KINDS in core/src/curves/curve.ts' },
] as const;

describe.each(ROOMS)('$room', ({ room, list, marks, at }) => {
  const listed = new Set<unknown>(list);
  const files = readdirSync(new URL(room, import.meta.url)).filter((f) => f.endsWith('.ts') && !f.includes('.test.'));
  test('every file that describes one stands in its list', async () => {
    let found = 0;
    for (const file of files) {
      const exported = (await import(`./${room}/${file.slice(0, -3)}.ts`)) as object;
      for (const [name, value] of Object.entries(exported)) {
        if (typeof value !== 'object' || value === null || !marks.every((mark) => mark in value)) continue;
        found++;
        expect(listed.has(value), `${name} in ${room}/${file} is not listed: add it to ${at}`).toBe(true);
      }
    }
    expect(found).toBe(listed.size);
  });
});
