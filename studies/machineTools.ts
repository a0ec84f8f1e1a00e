// Two tools on made-up data: all sensors of a machine against each other, and curves learned from readings. Part of `npm run accuracy`; writes its
// parts of docs/accuracy.md. `npx tsx studies/machineTools.ts [machines, 400] [sensors, 400]`
import { percent } from '../cli/src/study/studyText.ts';
import { seededUniform } from '../core/src/base/numeric/random.ts';
import { scoreLearned } from '../core/src/history/learn/simulatePairs.ts';
import { machineVerdict } from '../core/src/inference/machine/machineSensors.ts';
import { simulateMachine } from '../core/src/inference/machine/simulateMachine.ts';
import { calibrationError } from './calibration.ts';
import { table, writeSection } from './sections.ts';

const [machines, sensors] = [400, 400].map((n, i) => Number(process.argv[2 + i] ?? n));

function machinePart(): string {
  const uniform = seededUniform(20_261_202);
  let [right, clear, alarms, sound] = [0, 0, 0, 0];
  const said: { probability: number; is: boolean }[] = [];
  for (let k = 0; k < machines; k++) {
    const { sensors: own, moments, off, between, knowable } = simulateMachine(uniform);
    const verdict = machineVerdict(own, moments);
    if (between) continue;
    said.push(...verdict.sensors.map((s) => ({ probability: s.off, is: off.includes(s.id) })));
    if (off.length === 0) {
      sound++;
      alarms += Number(verdict.kind === 'off' || verdict.kind === 'shared');
    }
    if (!knowable) continue;
    clear++;
    right += Number(verdict.kind !== 'cannot-tell' && verdict.named.join() === off.join());
  }
  return `${machines} made-up machines of three to eight sensors after a rest (\`core/src/inference/machine/simulateMachine.ts\`). Those with a sensor that is out by less than 4.5 K count
neither way.

${table(
  ['', 'measured', 'bar'],
  [
    ['right set named, where it can be known', `${percent(right / clear)} (${right} of ${clear})`, '≥ 95 %'],
    ['a sound machine called out of line', `${percent(alarms / sound)} (${alarms} of ${sound})`, '≤ 2 %'],
    ['calibration error', calibrationError(said).toFixed(3), '≤ 0.03'],
  ],
)}`;
}

function learnedPart(): string {
  const uniform = seededUniform(20_261_203);
  const scores = Array.from({ length: sensors }, (_, k) => scoreLearned(k, uniform));
  const sum = (of: (s: (typeof scores)[number]) => number): number => scores.reduce((all, s) => all + of(s), 0);
  const widths = scores.flatMap((s) => s.width ?? []).sort((a, b) => a - b);
  return `${sensors} made-up NTC sensors of the catalogue, each learned from 5 to 40 pairs over 25 to 75 K. The thermometer has ± 1.5 K (half of its variance in all pairs alike), the meter 1 %
(\`core/src/history/learn/simulatePairs.ts\`).

${table(
  ['', 'measured', 'bar'],
  [
    [
      'true curve inside the band, of eleven temperatures each',
      percent(sum((s) => s.inside) / sum((s) => s.places)),
      '≥ 95 %',
    ],
    [
      `width of the band against the least of the known form, from 12 pairs over 40 K (${widths.length} sensors)`,
      `median ${widths[widths.length >> 1].toFixed(2)}, most ${widths[widths.length - 1].toFixed(2)}`,
      '≤ 1.3',
    ],
  ],
)}`;
}

writeSection('all-sensors', machinePart());
writeSection('learned', learnedPart());
