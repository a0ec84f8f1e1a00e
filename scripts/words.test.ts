import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from 'vitest';
import { FAULT_GROUPS } from '../core/src/base/units/vocabulary.ts';
import { FAULTS } from '../core/src/circuit/faults/list.ts';
import { MEASUREMENTS } from '../core/src/circuit/measurements/list.ts';
import { STATIONS } from '../core/src/advice/workOrder/stations.ts';
import { TOOLS } from '../web/src/screens/tools/tools.ts';
import { groupName } from '../core/src/wording/groupName.ts';
import { everySentence, proseOf, sentencesIn } from './sentences.ts';

/** Phrases that nobody in a workshop says, or that have another name here. Phrases, not single words: "Keep hands clear" is fine. */
const BANNED: readonly RegExp[] = [
  /\b[Ll]oom\b/,
  /\b[Ss]hel(?:f|ves)\b/,
  /\b[Ss]tand-ins?\b/,
  /\b[Ss]afe-keeping\b/,
  /\b[Tt]ak(?:e|en) (?:back|in)\b/,
  /\b[Bb](?:roken|reak) off\b/,
  /\b[Mm]end(?:s|ed|ing)?\b/,
  /\b[Vv]oid(?:ed|s)?\b/,
  /\bfor they\b/,
  /\b(?:is|are) n(?:one|o picture|o value|o code)\b/,
  /\b[Pp]ut right\b/,
  /\bit stands\b/i,
  /\bstands? (?:here|there|behind|beside|apart|twice|already)\b/,
  /\bis (?:told|asked)\b/,
  /\b(?:tells|worth) … bits?\b/,
  /\bsay so\b/i,
  /\bread far\b/i,
  /\b[Uu]nplugged volts\b|\b[Pp]lugged-in volts\b/,
  /\bmost telling\b/i,
  /\bway of working\b/i,
  /\bkeeping…/,
];
const sentences = await everySentence();

describe('the words of the program', () => {
  test('there are as many as there are lists and tests', () => {
    expect(sentences.length).toBeGreaterThan(1200);
  });
  test('no phrase that nobody says', () => {
    const found = sentences.filter(({ text }) => BANNED.some((phrase) => phrase.test(text)));
    expect(found.map(({ at, text }) => `${at}: ${text}`)).toEqual([]);
  });
  test('no sentence of more than twenty words, and twelve on average at most', () => {
    const parts = sentences.flatMap(({ at, text }) => sentencesIn(text).map((s) => ({ at, ...s })));
    expect(parts.filter((s) => s.words > 20).map((s) => `${s.at}: ${s.text}`)).toEqual([]);
    const whole = parts.filter((s) => s.words > 1);
    expect(whole.reduce((sum, s) => sum + s.words, 0) / whole.length).toBeLessThanOrEqual(12);
  });
});

describe('the words of the docs', () => {
  const root = path.resolve(import.meta.dirname, '..');
  const docs = [
    ...['README.md', 'CONTRIBUTING.md', 'CHANGELOG.md'],
    ...readdirSync(path.join(root, 'docs'), { recursive: true, encoding: 'utf8' })
      .filter((name) => name.endsWith('.md'))
      .map((name) => `docs/${name}`),
  ];
  const prose = docs.flatMap((at) => proseOf(readFileSync(path.join(root, at), 'utf8')).map((text) => ({ at, text })));
  test('code, links and comments are left out, and a cell is read by itself', () => {
    const text = 'See [the shelf](a.md) and `loom`.\n<!-- mended -->\n\n| one | two\n| - |\n\n- A point\n  goes on.';
    expect(proseOf(text)).toEqual(['See the shelf and code.', 'one', 'two', 'A point goes on.']);
  });
  test('no phrase that nobody says; the glossary names those words', () => {
    const found = prose.filter(({ at, text }) => at !== 'docs/glossary.md' && BANNED.some((b) => b.test(text)));
    expect(found).toEqual([]);
  });
  test('no sentence of more than twenty words', () => {
    const parts = prose.flatMap(({ at, text }) => sentencesIn(text).map((s) => ({ at, ...s })));
    expect(parts.length).toBeGreaterThan(500);
    expect(parts.filter((s) => s.words > 20).map((s) => `${s.at}: ${s.text}`)).toEqual([]);
  });
});

describe('one name for one thing', () => {
  const glossary = readFileSync(path.resolve(import.meta.dirname, '../docs/glossary.md'), 'utf8');
  const terms = [...glossary.matchAll(/^\| ([^|]+?) +\|/gm)]
    .map(([, term]) => term)
    .filter((t) => !/^(term|-+)$/.test(t));
  test('the glossary has every test, fault, group, step and tool by its name, and each once', () => {
    const names = [
      ...MEASUREMENTS.map((m) => m.name),
      ...FAULTS.map((f) => f.name),
      ...FAULT_GROUPS.map(groupName),
      ...STATIONS.map((s) => s.name),
      ...TOOLS.map((t) => t.name),
    ];
    const known = new Set(terms.map((t) => t.toLowerCase()));
    expect([...new Set(names)].filter((name) => !known.has(name.toLowerCase()))).toEqual([]);
    expect(new Set(terms).size).toBe(terms.length);
  });
  test('a planted second name is found', () => {
    const planted = [{ at: 'planted', text: 'Unplugged volts at the loom' }];
    expect(planted.filter(({ text }) => BANNED.some((phrase) => phrase.test(text)))).toHaveLength(1);
  });
});
