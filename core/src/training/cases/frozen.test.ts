import { expect, test } from 'vitest';
import { DRAWN_TESTS } from '../simulation/drawnFrom.ts';
import type { Measurement } from '../../circuit/measurements/measurement.ts';
import { happens, pick, seededUniform, type Uniform } from '../../base/numeric/random.ts';
import { FAULT_GROUPS, FIELDS, MACHINE_STATES } from '../../base/units/vocabulary.ts';
import { type CaseKey, DIFFICULTIES } from './caseNumber.ts';
import { carefully, EXPECTED, jobAfter, type Move, replay } from './play.ts';
import { OHM_RANGES, PAIRS, PLUGGED, rightSetUp, type SetUp } from './setUp.ts';
import { THEME_IDS } from './themes.ts';
import { guiltyGroups, PLUGS, trainingCase, type TrainingCase } from './trainingCase.ts';

/**
 * The number of a case stands on pages that were signed and in messages to colleagues: it has to be the same case, with the same figures on the
 * meter, in every later version. One that draws otherwise needs another sign in front of its numbers (`caseNumber.ts`), and then these lists are
 * written anew: `npx vitest run core/src/training/cases/frozen -u`.
 */
const KEYS: CaseKey[] = THEME_IDS.flatMap((theme, i) =>
  DIFFICULTIES.map((difficulty, k) => ({ theme, field: FIELDS[(i + k) % 3], difficulty, seed: 500 + 10 * i + k })),
);
const CASES = KEYS.map(trainingCase);

const short = (v: number): string => (Number.isFinite(v) ? String(Number(v.toPrecision(6))) : String(v));

function described(made: TrainingCase): string[] {
  const { job, machine, other } = made;
  const { complaint, worth } = job;
  const money = Object.entries(worth).map(([name, v]) => `${name} ${typeof v === 'object' ? v?.text : String(v)}`);
  return [
    `# ${made.number} ${Object.values(made.key).join(' ')} ${job.circuit.name}`,
    `${job.machine}: ${complaint.text} | ${complaint.symptoms.join(' ')} | ${complaint.replaced.join(' ')}`,
    `codes: ${complaint.codes.map((c) => JSON.stringify(c)).join(' ')}`,
    `${job.moments[0].temperatureC.text} °C, hot ${made.hotC} °C, ${made.told}, plug ${made.plug} of ${other ? 2 : 1}, ${made.cavities.join(' ')}`,
    `shares ${job.circuit.shares}, kit ${job.kit.tools.join(' ')}, ${money.join(', ')}`,
    `allowed ${made.allowed.minutes} min, ${made.allowed.money}; looks ${made.looks.join(' ')}`,
    ...machine.faults.map((f) => `at fault: ${f.fault.id} at ${short(f.position)} in ${f.onlyIn ?? 'all'}`),
  ];
}

const CONDITIONS = { substituteOhm: 2200, bathC: 60, airC: 20 };
const conditionsOf = ({ needs }: Measurement): Partial<typeof CONDITIONS> =>
  Object.fromEntries(Object.entries(CONDITIONS).filter(([name]) => (needs as readonly string[]).includes(name)));
const testsOf = ({ machine }: TrainingCase): Measurement[] =>
  DRAWN_TESTS.filter((m) => m.layouts.includes(machine.problem.circuit.layout));

/** A measurement set up rightly, or in three of ten with something about it drawn anew. */
function measuring(made: TrainingCase, measurement: Measurement, id: string, uniform: Uniform): Move {
  const state = pick(MACHINE_STATES, uniform);
  const wild: Partial<SetUp> = {
    ...(happens(0.3, uniform) && { key: happens(0.5, uniform) }),
    ...(happens(0.3, uniform) && { plug: pick(PLUGGED, uniform) }),
    ...(happens(0.3, uniform) && { at: pick(PLUGS, uniform) }),
    ...(happens(0.3, uniform) && { across: pick(PAIRS, uniform) }),
    ...(happens(0.5, uniform) && { range: pick(OHM_RANGES, uniform) }),
    ...(happens(0.3, uniform) && { waited: false }),
  };
  const conditions = conditionsOf(measurement);
  const setUp = { ...rightSetUp(measurement, carefully(made, state)), ...wild };
  return { kind: 'measure', id, measurement: measurement.id, conditions, setUp, expects: pick(EXPECTED, uniform) };
}

/** Every test once, some twice, and what else can be done, in an order of chance; what heals comes last but for one in four, then a give-up. */
function moved(made: TrainingCase, seed: number): Move[] {
  const uniform = seededUniform(seed);
  const others: Move[] = [
    { kind: 'diagram' },
    { kind: 'look' },
    { kind: 'warm' },
    { kind: 'warm' },
    { kind: 'which-plug', at: 'A' },
    { kind: 'which-plug', at: 'B' },
    { kind: 'believe', shares: { sensor: 0.7, wiring: 0.3 } },
    ...FAULT_GROUPS.map((group) => ({ kind: 'act' as const, group, reason: 'of chance' })),
  ];
  const tests = testsOf(made).flatMap((m, i) =>
    Array.from({ length: happens(0.3, uniform) ? 2 : 1 }, (_, k) => measuring(made, m, `m${i}-${k}`, uniform)),
  );
  const heals = (move: Move): boolean => move.kind === 'act' && guiltyGroups(made).includes(move.group);
  const order = [...tests, ...others].map((move) => ({
    move,
    at: uniform() + (heals(move) ? pick([0, 0.5, 1, 1], uniform) : 0),
  }));
  order.sort((a, b) => a.at - b.at);
  return [...order.map(({ move }) => move), { kind: 'give-up' }];
}

test('same number, same case', async () => {
  await expect(`${CASES.flatMap(described).join('\n')}\n`).toMatchFileSnapshot('../../../test/data/trainingCases.txt');
});

test('same moves, same figures, minutes and money', async () => {
  const lines = CASES.flatMap((made, i) => {
    const moves = moved(made, 900 + i);
    const state = replay(made, moves);
    const { readings, complaint, findings, moments } = jobAfter(made, state);
    return [
      `# ${made.number}: ${state.ended} ${short(state.minutes)} min, ${short(state.money)}, ${short(state.total)} in all, since ${state.since}`,
      ...state.events.map(({ move, minutes, money, shown, seen, helped, careless }) => {
        const what = move.kind === 'measure' ? move.measurement : move.kind === 'act' ? move.group : move.kind;
        const figure = shown && `"${shown.text}" ${shown.value} ${shown.mistakes.join(' ')} ${shown.damage ?? ''}`;
        const rest = [figure, seen?.join(' '), helped, careless].map((x) => x ?? '·').join(' | ');
        return `${what} ${short(minutes)} ${short(money)} ${rest}`;
      }),
      `bench: ${readings.map((r) => `${r.id} ${r.text} ${r.value} ${r.state}`).join(', ')} | ${complaint.replaced.join(' ')} | ${findings.join(' ')} | ${moments[1].temperatureC.text}`,
    ];
  });
  await expect(`${lines.join('\n')}\n`).toMatchFileSnapshot('../../../test/data/trainingMoves.txt');
});
