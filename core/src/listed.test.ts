import { readdirSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from 'vitest';
import { CURVE_KINDS } from './circuit/curves/curve.ts';
import { FAULTS } from './circuit/faults/list.ts';
import { MEASUREMENTS } from './circuit/measurements/list.ts';

/** A kind is one file and one line in a list: the file whose line was forgotten is named here. */
const ROOMS = [
  {
    room: 'circuit/faults',
    list: FAULTS,
    marks: ['branches', 'repair'],
    at: 'FAULTS in core/src/circuit/faults/list.ts',
  },
  {
    room: 'circuit/measurements',
    list: MEASUREMENTS,
    marks: ['predict', 'steps'],
    at: 'MEASUREMENTS in core/src/circuit/measurements/list.ts',
  },
  {
    room: 'circuit/curves',
    list: CURVE_KINDS,
    marks: ['schema', 'typed'],
    at: 'CURVE_KINDS in core/src/circuit/curves/curve.ts',
  },
] as const;

describe.each(ROOMS)('$room', ({ room, list, marks, at }) => {
  const listed = new Set<unknown>(list);
  const folder = path.join(import.meta.dirname, room);
  const files = readdirSync(folder).filter((f) => f.endsWith('.ts') && !f.includes('.test.'));
  test('every file that describes one stands in its list', async () => {
    let found = 0;
    for (const file of files) {
      const exported = (await import(/* @vite-ignore */ path.join(folder, file))) as object;
      for (const [name, value] of Object.entries(exported)) {
        if (typeof value !== 'object' || value === null || !marks.every((mark) => mark in value)) continue;
        found++;
        expect(listed.has(value), `${name} in ${room}/${file} is not listed: add it to ${at}`).toBe(true);
      }
    }
    expect(found).toBe(listed.size);
  });
});
