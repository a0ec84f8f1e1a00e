// `npm run words`: every sentence that the program says, in one Markdown file, to be read from top to bottom by someone who does not know the code.
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { everySentence, sentencesIn } from './sentences.ts';

const FILE = path.resolve(import.meta.dirname, '../test-results/words.md');
const sentences = await everySentence();
const lists = new Map<string, string[]>();
for (const { at, text } of sentences) {
  const list = at.split(/[. ]/)[0];
  lists.set(list, [...(lists.get(list) ?? []), text]);
}
const whole = sentences.flatMap((s) => sentencesIn(s.text)).filter((s) => s.words > 1);
const average = whole.reduce((sum, s) => sum + s.words, 0) / whole.length;
mkdirSync(path.dirname(FILE), { recursive: true });
writeFileSync(
  FILE,
  [
    '# Every sentence',
    '',
    `${sentences.length} texts; ${average.toFixed(1)} words a sentence.`,
    ...[...lists].flatMap(([list, texts]) => ['', `## ${list}`, '', ...texts.map((t) => `- ${t}`)]),
    '',
  ].join('\n'),
);
console.log(`${FILE}: ${sentences.length} texts, ${average.toFixed(1)} words a sentence.`);
