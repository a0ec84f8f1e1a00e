import { apart, type CellShape, lookOf } from './glyphs.ts';
import type { GrayPicture } from './grayPicture.ts';

/** A figure of the table as it was read from the picture. */
export interface ReadFigure {
  text: string;
  /** Two ways of reading it disagree, or something stands there that is no figure: someone must look. */
  doubtful: boolean;
}

/** A figure must look like another digit by this much more before the reader of text is overruled. */
const RATHER = 0.75;
/** A look that is farther than this from every digit of the page is none of them. */
const STRANGE = 0.62;
const ROUNDS = 4;

/**
 * Each cell's figure, from what a reader of text made of it and from the ink itself. The digits of one page look alike: what the reader called each
 * shape is averaged over the page, and a shape that looks like another digit is called that. Marks and minus are taken from the ink. Where reader
 * and ink do not agree, the figure is doubtful.
 *
 * @param said what the reader of text made of each cell
 */
export function readFigures(page: GrayPicture, shapes: readonly CellShape[], said: readonly string[]): ReadFigure[] {
  const digits = said.map((text) => text.replace(/\D/g, ''));
  const looks = shapes.map((s) => s.figures.map((box) => lookOf(page, box)));
  const counted = shapes.map((s, i) => !s.odd && s.figures.length > 0 && s.figures.length === digits[i].length);
  const samples = looks.flatMap((cell, i) =>
    counted[i] ? cell.map((look, k) => ({ look, digit: digits[i][k] })) : [],
  );
  let alphabet = meansOf(samples);
  for (let round = 0; round < ROUNDS; round++)
    alphabet = meansOf(samples.map(({ look, digit }) => ({ look, digit: calledBy(alphabet, look, digit).digit })));
  return shapes.map((shape, i) => {
    if (shape.figures.length === 0 || alphabet.size === 0) return { text: said[i], doubtful: true };
    const called = looks[i].map((look, k) => calledBy(alphabet, look, counted[i] ? digits[i][k] : null));
    const byInk = inscribed(shape, called.map((c) => c.digit).join(''));
    const strange = called.some((c) => c.distance > STRANGE || c.digit === '');
    if (shape.odd || strange) return { text: counted[i] && !strange ? byInk : said[i], doubtful: true };
    const agree = called.map((c) => c.digit).join('') === digits[i];
    const otherMark = /[.,]/.test(said[i]) && markPlace(said[i]) !== markPlace(byInk);
    return { text: byInk, doubtful: !agree || otherMark || shape.marks.length > 1 || called.some((c) => c.close) };
  });
}

/** The digit a look is nearest to; the reader's word stands unless another is clearly nearer. `close`: a second is nearly as near. */
function calledBy(
  alphabet: ReadonlyMap<string, Float64Array>,
  look: Float64Array,
  said: string | null,
): { digit: string; distance: number; close: boolean } {
  const order = [...alphabet].map(([digit, mean]) => ({ digit, distance: apart(mean, look) }));
  order.sort((a, b) => a.distance - b.distance);
  const best = order.at(0) ?? { digit: '', distance: Infinity };
  const word = said === null ? undefined : order.find((o) => o.digit === said);
  const taken = word && best.distance > RATHER * word.distance ? word : best;
  const other = order.find((o) => o.digit !== taken.digit);
  return { ...taken, close: (other?.distance ?? Infinity) < 1.1 * taken.distance };
}

/** Mean look of each digit. */
function meansOf(samples: readonly { look: Float64Array; digit: string }[]): Map<string, Float64Array> {
  const sums = new Map<string, { sum: Float64Array; number: number }>();
  for (const { look, digit } of samples) {
    const entry = sums.get(digit) ?? { sum: new Float64Array(look.length), number: 0 };
    look.forEach((v, i) => (entry.sum[i] += v));
    entry.number++;
    sums.set(digit, entry);
  }
  return new Map([...sums].map(([digit, { sum, number }]) => [digit, sum.map((v) => v / number)]));
}

/** Digits with the marks and the minus of the ink. */
function inscribed({ marks, minus }: CellShape, digits: string): string {
  let text = digits;
  for (const { after, comma } of [...marks].reverse())
    text = `${text.slice(0, after)}${comma ? ',' : '.'}${text.slice(after)}`;
  return `${minus ? '-' : ''}${text}`;
}

/** Behind how many digits the last mark stands. */
const markPlace = (text: string): number =>
  text
    .replace(/[.,](?=.*[.,])/g, '')
    .replace(/[^\d.,]/g, '')
    .search(/[.,]/);
