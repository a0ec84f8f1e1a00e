import type { Problem } from '@mellow-probe/core/inference/model/problem';
import type { FaultGroup } from '@mellow-probe/core/base/units/vocabulary';
import type { PlannedTest } from '@mellow-probe/core/inference/model/healthyRanges';
import { groupProbabilities } from '@mellow-probe/core/inference/verdict/assessment';
import { type FaultPosterior, posteriorOf } from '@mellow-probe/core/inference/posterior/posterior';
import { simulateCase, withReadings } from '@mellow-probe/core/training/simulation/simulateCase';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { HAND_RULES } from '@mellow-probe/core/training/cases/handRules';

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

/** How a problem was judged, whose guilty group is known. */
export interface Score {
  right: boolean;
  /** The leading fault. */
  leader: string;
  /** Probability given to the leading and to the true group. */
  leading: number;
  onTruth: number;
}

/** One case judged at one stage. */
export interface Judged extends Score {
  seed: number;
  truth: string;
  /** What was read wrong in the case. */
  blunders: readonly string[];
  /** Size of the true fault in its unit, NaN where it has none. */
  size: number;
}

export interface StageStudy {
  stages: Judged[][];
  rules: { name: string; right: number }[];
  cases: number;
}

/** A case whose tests of all stages were taken, as it stood after each stage. */
export function atStages(all: Problem): Problem[] {
  let taken = 0;
  return STAGES.map(({ adds }) => ({ ...all, readings: all.readings.slice(0, (taken += adds.length)) }));
}

/** Ranks a problem and holds it against the group that is really at fault. */
export function judge(problem: Problem, group: FaultGroup): Score {
  return scoreOf(posteriorOf(problem).faults, group);
}

/** A ranking, most probable first, held against the group that is really at fault. */
export function scoreOf(faults: readonly FaultPosterior[], group: FaultGroup): Score {
  const groups = groupProbabilities(faults);
  return {
    right: groups[0].group === group,
    leader: faults[0].fault.id,
    leading: groups[0].probability,
    onTruth: groups.find((g) => g.group === group)!.probability,
  };
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
    const { seed: own, fault: truth, blunders, size } = simulated;
    atStages(all).forEach((problem, s) => {
      stages[s].push({ seed: own, truth, blunders, size, ...judge(problem, simulated.group) });
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
export function logLoss(judged: readonly Pick<Score, 'onTruth'>[]): number {
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
