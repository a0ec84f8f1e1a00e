import fc from 'fast-check';
import { expect, test } from 'vitest';
import { type Collected, FRAME_SIGNS, framesOf, takeFrame } from './frames.ts';

const readAll = (frames: readonly string[]): string | null => {
  let collected: Collected | null = null;
  for (const frame of frames) {
    const took = takeFrame(collected, frame);
    if (took.kind === 'whole') return took.text;
    if (took.kind === 'more') collected = took.collected;
  }
  return null;
};
const text = (n: number): string => Array.from({ length: n }, (_, i) => 'abcXYZ019-_'[(i * 7) % 11]).join('');

test('a text comes through, in any order and with repeats', () => {
  for (const n of [1, FRAME_SIGNS, FRAME_SIGNS + 1, 5 * FRAME_SIGNS + 3]) {
    const frames = framesOf(text(n))!;
    expect(frames).toHaveLength(Math.ceil(n / FRAME_SIGNS));
    expect(readAll(frames)).toBe(text(n));
    expect(readAll([...frames, ...frames].reverse())).toBe(text(n));
    expect(readAll(frames.slice(1))).toBeNull();
  }
});
test('too long or empty is not told; what is no frame changes nothing; another text begins anew', () => {
  expect(framesOf('')).toBeNull();
  expect(framesOf(text(400 * FRAME_SIGNS))).toHaveLength(400);
  expect(framesOf(text(400 * FRAME_SIGNS + 1))).toBeNull();
  const [one, two] = framesOf(text(FRAME_SIGNS + 5))!;
  const [other] = framesOf(text(2 * FRAME_SIGNS))!;
  expect(readAll([one, 'https://shop.example/', 'MP1 00000000 3 2 a', 'MP1 00000000 0 2 a', two])).toBe(
    text(FRAME_SIGNS + 5),
  );
  expect(readAll([one, other, two])).toBeNull();
  expect(takeFrame(null, 'MP1 0000000g 1 1 a').kind).toBe('other');
});
test('a sign read wrongly is seen by the sum', () => {
  const [frame] = framesOf('abcdef')!;
  expect(takeFrame(null, frame).kind).toBe('whole');
  expect(takeFrame(null, frame.replace('def', 'dfe')).kind).toBe('broken');
});
test('any string is taken without a fault', () => {
  fc.assert(
    fc.property(fc.string(), (s) => {
      expect(['other', 'more', 'whole', 'broken']).toContain(takeFrame(null, `MP1 ${s}`).kind);
    }),
  );
});
