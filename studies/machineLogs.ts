// The log laboratory on made-up machines: 400 faulty and 400 sound logs of eight machine kinds, as eleven sorts of loggers write them. Part of
// `npm run accuracy`; writes its part of docs/accuracy.md. `npx tsx studies/machineLogs.ts [logs each, 400] [set: test]`
import { percent } from '../cli/src/study/studyText.ts';
import { LOG_FAULTS, type LogSet } from '../core/src/training/simulation/machineLog.ts';
import { type LogScore, scoreLog } from './logBar.ts';
import { table, writeSection } from './sections.ts';

const count = Number(process.argv[2] ?? 400);
const set = (process.argv[3] ?? 'test') as LogSet;
const scores = (faulty: boolean): LogScore[] => Array.from({ length: count }, (_, seed) => scoreLog(set, seed, faulty));
const [sound, faulty] = [scores(false), scores(true)];
const share = (list: readonly LogScore[], is: (s: LogScore) => boolean): string =>
  `${percent(list.filter(is).length / Math.max(1, list.length))} (${list.filter(is).length} of ${list.length})`;
const all = [...sound, ...faulty];
const read = (list: readonly LogScore[]): LogScore[] => list.filter((s) => s.columns === 'right');
for (const s of all.filter((one) => !one.right))
  console.error(`${s.name}: ${s.columns}, told ${s.told.join(', ') || 'nothing'}`);

const rows = [
  ['columns, units and clock right', share(all, (s) => s.columns === 'right'), '≥ 97 %'],
  ['asked', share(all, (s) => s.columns === 'asked'), ''],
  ['silently wrong', share(all, (s) => s.columns === 'wrong'), 'none'],
  ['the right kind found, of faulty logs', share(read(faulty), (s) => s.right), '≥ 95 %'],
  ['something called odd, of sound logs', share(read(sound), (s) => !s.right), '≤ 1 %'],
  ...LOG_FAULTS.map((kind) => [
    `found: ${kind}`,
    share(
      read(faulty).filter((s) => s.name.includes(`, ${kind}, `)),
      (s) => s.right,
    ),
    '',
  ]),
];
const part = `${count} faulty and ${count} sound logs of the set “${set}” (\`core/src/training/simulation/machineLog.ts\`, \`loggerText.ts\`): sizes, noises, rates and
headings of the two sets are disjoint. Each is read and analysed as it comes, with no answer from a person. What such a machine cannot show (a step of
a few kelvin in exhaust gas) becomes a drop-out.

${table(['', 'measured', 'bar'], rows)}`;
if (set === 'test') writeSection('machine-logs', part);
else console.log(part);
