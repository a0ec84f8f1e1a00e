import { fnv1a } from '../../base/numeric/fnv1a.ts';

/**
 * A text told in pictures, one after the other, each short enough to be read off a screen: `MP1 sum number of count text`. They may come in any order
 * and more than once.
 */
const LETTERS = 'MP1';
/** Signs in one picture: what a phone reads off a screen at arm's length. */
export const FRAME_SIGNS = 420;
const MOST_FRAMES = 400;
const FRAME = new RegExp(`^${LETTERS} ([0-9a-f]{8}) (\\d{1,3}) (\\d{1,3}) (.+)$`);

/** A check sum of a text, as eight hexadecimal digits. */
const sumOf = (text: string): string => fnv1a(new TextEncoder().encode(text)).toString(16).padStart(8, '0');

/** Cuts a text into its frames; null where it is too long to be told so. */
export function framesOf(text: string): string[] | null {
  const count = Math.ceil(text.length / FRAME_SIGNS);
  if (count < 1 || count > MOST_FRAMES) return null;
  const sum = sumOf(text);
  return Array.from(
    { length: count },
    (_, i) => `${LETTERS} ${sum} ${i + 1} ${count} ${text.slice(i * FRAME_SIGNS, (i + 1) * FRAME_SIGNS)}`,
  );
}

/** What has been collected of a text so far. */
export interface Collected {
  sum: string;
  count: number;
  parts: ReadonlyMap<number, string>;
}

export type Took =
  { kind: 'other' } | { kind: 'more'; collected: Collected } | { kind: 'whole'; text: string } | { kind: 'broken' };

/** Takes one picture's text to what was collected. A frame of another text begins anew; what is no frame changes nothing. */
export function takeFrame(collected: Collected | null, frame: string): Took {
  const found = FRAME.exec(frame);
  if (!found) return { kind: 'other' };
  const [sum, number, count, part] = [found[1], Number(found[2]), Number(found[3]), found[4]];
  if (number < 1 || number > count || count > MOST_FRAMES) return { kind: 'other' };
  const before = collected?.sum === sum && collected.count === count ? collected.parts : new Map<number, string>();
  const parts = new Map(before).set(number, part);
  if (parts.size < count) return { kind: 'more', collected: { sum, count, parts } };
  const text = Array.from({ length: count }, (_, i) => parts.get(i + 1)!).join('');
  return sumOf(text) === sum ? { kind: 'whole', text } : { kind: 'broken' };
}
