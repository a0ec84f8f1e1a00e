// Hostile texts and job files, seeded: for the campaigns in process and through the page.
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { seededUniform } from '../src/base/numeric/random.ts';
import { isRecord } from '../src/base/records/plainData.ts';

const PIECES = [
  ...[
    '',
    ' ',
    '\t',
    '\n',
    '\u0000',
    '\u202e',
    '\ufeff',
    '\ud800',
    '💧',
    '０',
    '＝1+1',
    '=cmd',
    "'",
    '"',
    '<b>',
    '${x}',
    '{{x}}',
  ],
  ...[
    '0',
    '1',
    '9',
    '20',
    '-40',
    '−7',
    '1e308',
    '-1e308',
    '1e-320',
    '9'.repeat(400),
    'NaN',
    'Infinity',
    'OL',
    '0L',
    '.',
    ',',
    ';',
    '…',
    '-',
    '±',
    '~',
  ],
  ...[
    'k',
    'M',
    'Ω',
    'ohm',
    'V',
    'mV',
    '°C',
    '°F',
    'F',
    'K',
    '<',
    '>',
    '(',
    ')',
    '[',
    '{',
    'null',
    'R25',
    'B',
    'P0118',
    'MP1 ',
    '\\',
    '/',
    '../',
    '%00',
    '#',
  ],
];

const HOSTILE: readonly unknown[] = [
  null,
  {},
  [],
  '',
  'x'.repeat(5000),
  1e308,
  -1e308,
  1e-320,
  0,
  -1,
  'OL',
  true,
  [[]],
  '＝1+1',
  { text: '5', value: 1e308 },
];
const FIGURES = ['0', '-40', '1e308', '-1e308', '1e-320', '5', '20', '4999999999', '0.0001', '-0', '1e15', '273'];

const folder = path.resolve(import.meta.dirname, '../../examples/demo');
const good = readdirSync(folder).map((f) => readFileSync(path.join(folder, f), 'utf8'));

/** The place in a page or a paper where a figure stands that is none, with what stands around it; null where there is none. */
export const oddFigure = (shown: string): string | null =>
  /.{0,60}(NaN|Infinity|undefined|\[object).{0,40}/.exec(shown)?.[0] ?? null;

/** A source of hostile things; the same seed gives the same ones in the same order. */
interface Hostile {
  /** A text of at most so many pieces. */
  text: (most: number) => string;
  /** The same without the names of what is no figure: a page that shows them shows what was typed. */
  figurelessText: (most: number) => string;
  /** A check that was good, struck in one to three places: every other one in its figures only, so that it opens. */
  job: () => Record<string, unknown>;
}

export function hostileSource(seed: number): Hostile {
  const uniform = seededUniform(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(uniform() * list.length)];
  const text = (most: number): string =>
    Array.from({ length: Math.floor(uniform() * most) + 1 }, () => pick(PIECES)).join('');
  const figurelessText = (most: number): string => text(most).replace(/NaN|Infinity/g, '');
  let made = 0;
  const job = (): Record<string, unknown> => {
    const figuresOnly = made++ % 2 === 0;
    const struck = JSON.parse(pick(good)) as Record<string, unknown>;
    const changes = 1 + Math.floor(uniform() * 3);
    for (let c = 0; c < changes; c++) strike(struck, figuresOnly);
    return struck;
  };

  /** Replaces a part of the job, any depth, by something hostile, or a figure by another of its kind. */
  function strike(node: unknown, figuresOnly: boolean): void {
    if (figuresOnly) {
      const figure = pick(FIGURES);
      Object.assign(pick(entriesOf(node)), { text: figure, value: Number(figure) });
      return;
    }
    let at = node as Record<string, unknown>;
    for (;;) {
      const keys = Object.keys(at).filter((k) => !['format', 'formatVersion', 'image'].includes(k));
      if (keys.length === 0) return;
      const key = pick(keys);
      const value = at[key];
      // A figure and its text together: it is taken as typed.
      if (isRecord(value) && 'text' in value && 'value' in value && uniform() < 0.7) {
        const figure = pick(FIGURES);
        at[key] = { ...value, text: figure, value: Number(figure) };
        return;
      }
      if (typeof value === 'object' && value !== null && Object.keys(value).length > 0 && uniform() < 0.8) {
        at = value as Record<string, unknown>;
        continue;
      }
      // Half of the strikes keep the kind, so that the file opens and is judged.
      if (typeof value === 'number' && uniform() < 0.5) at[key] = value * pick([0, -1, 1e3, 1e-6, 1e12]);
      else if (typeof value === 'string' && uniform() < 0.5) at[key] = figurelessText(4);
      else at[key] = structuredClone(pick(HOSTILE));
      return;
    }
  }
  return { text, figurelessText, job };
}

/** Everything in a job that is a figure with its text. */
function entriesOf(node: unknown): Record<string, unknown>[] {
  if (typeof node !== 'object' || node === null) return [];
  if (isRecord(node) && 'text' in node && 'value' in node) return [node];
  return Object.values(node).flatMap(entriesOf);
}
