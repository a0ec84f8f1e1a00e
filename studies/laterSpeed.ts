// What came after the bench: a long log against its parser alone, and the training bench. Ratios of this one run.
import { createRequire } from 'node:module';
import { posteriorOf } from '../core/src/inference/posterior/posterior.ts';
import { analyseLog } from '../core/src/intake/logs/analyseLog.ts';
import { parseLog } from '../core/src/intake/logs/parseLog.ts';
import { problemAfter, replay } from '../core/src/training/cases/play.ts';
import { playBy } from '../core/src/training/cases/policies.ts';
import { debriefOf, follow, followFrom } from '../core/src/training/cases/score.ts';
import { THEME_IDS } from '../core/src/training/cases/themes.ts';
import { trainingCase } from '../core/src/training/cases/trainingCase.ts';

const Papa = createRequire(new URL('../core/package.json', import.meta.url))('papaparse') as {
  parse(text: string): unknown;
};
const time = (work: () => void): number => {
  const at = performance.now();
  work();
  return performance.now() - at;
};
const middle = (list: number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];

const rows = Array.from(
  { length: 1_000_000 },
  (_, i) =>
    `${(i / 20).toFixed(2)},${(80 + Math.sin(i / 1000)).toFixed(1)},${(1 + Math.sin(i / 900)).toFixed(3)},${(70 + Math.cos(i / 1000)).toFixed(1)}`,
);
const text = `time [s],a [°C],b [V],c [°C]\n${rows.join('\n')}\n`;
rows.length = 0;
const alone = time(() => void Papa.parse(text));
const ours = time(() => {
  const read = parseLog(text);
  if (read.ok) analyseLog(read.log, { roles: {} });
});
console.log(
  `a million rows of three channels: read and analysed in ${(ours / alone).toFixed(2)} times the parser of CSV alone (bar: 3)`,
);

const begun: number[] = [];
const moves: number[] = [];
const ends: number[] = [];
const ideals: number[] = [];
const rankings: number[] = [];
THEME_IDS.forEach((theme, i) => {
  const key = { theme, field: 'engine', difficulty: 1, seed: 9000 + i } as const;
  begun.push(time(() => void trainingCase(key)));
  const made = trainingCase(key);
  let played = playBy(made, 'supply-first');
  ideals.push(time(() => (played = playBy(made, 'ideal'))));
  rankings.push(time(() => void posteriorOf(problemAfter(made, replay(made, played.moves.slice(0, 2))))));
  let followed = followFrom(made);
  for (const move of played.moves) moves.push(time(() => (followed = follow(made, followed, move))));
  ends.push(time(() => void debriefOf(made, followed, played)));
});
const said = (list: number[]): string => `${middle(list).toFixed(0)} ms, slowest ${Math.max(...list).toFixed(0)}`;
console.log(`training, next case: ${said(begun)} (bar: 1000)`);
console.log(`training, a move followed with its score: ${said(moves)} (bar: 1000)`);
console.log(`training, the debrief at the end: ${said(ends)} (bar: 1000)`);
console.log(
  `training, the ideal order, worked out while the learner works: ${said(ideals)}, ${(middle(ideals) / middle(rankings)).toFixed(1)} rankings`,
);
