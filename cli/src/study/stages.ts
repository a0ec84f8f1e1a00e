import type { PlannedTest } from '@mellow-probe/core/model/healthyRanges';
import { groupProbabilities } from '@mellow-probe/core/verdict/assessment';
import { posteriorOf } from '@mellow-probe/core/inference/posterior';
import { simulateCase, withReadings } from '@mellow-probe/core/simulation/simulateCase';
import { measurementById } from '@mellow-probe/core/measurements/list';
import { HAND_RULES } from './handRules.ts';

const plain = (id: string): PlannedTest => ({ measurement: measurementById(id), conditions: {}, state: 'steady' });

/** What has been read by when, in the order of work; each stage adds to the one before. */
export const STAGES: readonly { name: string; adds: readonly PlannedTest[] }[] = [
  { name: 'displayed value', adds: [plain('displayed')] },
  { name: '+ supply and ground', adds: ['open-voltage', 'open-voltage-return', 'supply-to-return'].map(plain) },
  { name: '+ loaded volts and sensor ohms', adds: ['loaded-voltage', 'return-drop', 'sensor-ohms'].map(plain) },
  {
    name: '+ harness and bench',
    adds: [
      ...[
        'displayed-unplugged',
        'neighbour-reference',
        'signal-wire-ohms',
        'return-wire-ohms',
        'isolation-ground',
        'isolation-return',
        'pin-to-body',
      ].map(plain),
      ...[60, 0].map((bathC) => ({
        measurement: measurementById('bench-ohms'),
        conditions: { bathC },
        state: 'steady' as const,
      })),
    ],
  },
];

/** One case judged at one stage. */
export interface Judged {
  seed: number;
  truth: string;
  right: boolean;
  leader: string;
  /** What was read wrong in the case. */
  blunders: readonly string[];
  /** Size of the true fault in its unit, NaN where it has none. */
  size: number;
  /** Probability given to the leading and to the true group. */
  leading: number;
  onTruth: number;
}

export interface StageStudy {
  stages: Judged[][];
  rules: { name: string; right: number }[];
  cases: number;
}

/** Judges `count` simulated cases at every stage and by every hand rule. */
export function studyStages(count: number, seed: number, progress: (done: number) => void): StageStudy {
  const stages: Judged[][] = STAGES.map(() => []);
  const rules = HAND_RULES.map((r) => ({ name: r.name, right: 0 }));
  for (let i = 0; i < count; i++) {
    const simulated = simulateCase(seed + i);
    const all = withReadings(
      simulated,
      STAGES.flatMap((s) => s.adds),
    );
    let taken = 0;
    STAGES.forEach((stage, s) => {
      taken += stage.adds.length;
      const problem = { ...all, readings: all.readings.slice(0, taken) };
      const posterior = posteriorOf(problem);
      const groups = groupProbabilities(posterior.faults);
      stages[s].push({
        seed: simulated.seed,
        truth: simulated.fault,
        right: groups[0].group === simulated.group,
        leader: posterior.faults[0].fault.id,
        blunders: simulated.blunders,
        size: simulated.size,
        leading: groups[0].probability,
        onTruth: groups.find((g) => g.group === simulated.group)!.probability,
      });
    });
    HAND_RULES.forEach((rule, r) => {
      const again = simulateCase(seed + i);
      const readings = rule.tests(again.problem).map((t) => again.take(t));
      if (rule.judge(readings, again.problem) === simulated.group) rules[r].right++;
    });
    if ((i + 1) % 50 === 0) progress(i + 1);
  }
  return { stages, rules, cases: count };
}

/** Mean −ln of the probability given to the truth; a probability below 1e-6 counts as that. */
export function logLoss(judged: readonly Judged[]): number {
  return judged.reduce((sum, j) => sum - Math.log(Math.max(j.onTruth, 1e-6)), 0) / judged.length;
}

/** How often the leading group is right, where it was given so much: calibration in bands. */
export function calibration(
  judged: readonly Judged[],
): { from: number; to: number; said: number; right: number; cases: number }[] {
  return [0, 0.5, 0.7, 0.9, 0.95, 0.99].flatMap((from, i, all) => {
    const to = all[i + 1] ?? 1.0001;
    const inBand = judged.filter((j) => j.leading >= from && j.leading < to);
    if (inBand.length === 0) return [];
    const mean = (f: (j: Judged) => number): number => inBand.reduce((s, j) => s + f(j), 0) / inBand.length;
    return [
      {
        from,
        to: Math.min(to, 1),
        said: mean((j) => j.leading),
        right: mean((j) => Number(j.right)),
        cases: inBand.length,
      },
    ];
  });
}
