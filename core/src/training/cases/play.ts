import { z } from 'zod';
import type { Job } from '../../check/job/jobSchema.ts';
import { newReading } from '../../check/job/newReading.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import type { Problem } from '../../inference/model/problem.ts';
import { repairsOf, USUAL_WORK } from '../../advice/plan/repairs.ts';
import { figure } from '../../base/units/entry.ts';
import { FAULT_GROUPS, type FaultGroup } from '../../base/units/vocabulary.ts';
import { rightPair, type Shown, showsOn } from './caseMeter.ts';
import { bridges, type SetUp, setUpSchema } from './setUp.ts';
import { guiltyGroups, PLUGS, problemOf, type TrainingCase } from './trainingCase.ts';

/** What a learner expects of a reading before he takes it, against a sound circuit. */
export const EXPECTED = ['sound', 'low', 'high', 'nothing'] as const;
export type Expected = (typeof EXPECTED)[number];

/** What a person sets or writes down beside a figure. */
export const conditionsSchema = z.strictObject({
  substituteOhm: z.number().positive().max(1e8).optional(),
  bathC: z.number().min(-80).max(1000).optional(),
  airC: z.number().min(-80).max(100).optional(),
});
const text = z.string().max(2000);

/** One move of a play. Everything else follows from the case and its moves. */
export const moveSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('measure'),
    /** Of the reading on the bench. */
    id: z.string().min(1).max(100),
    measurement: z.string().max(60),
    conditions: conditionsSchema,
    setUp: setUpSchema,
    expects: z.enum(EXPECTED).nullable(),
  }),
  z.strictObject({ kind: z.literal('diagram') }),
  z.strictObject({ kind: z.literal('look') }),
  z.strictObject({ kind: z.literal('which-plug'), at: z.enum(PLUGS) }),
  z.strictObject({ kind: z.literal('warm') }),
  z.strictObject({
    kind: z.literal('believe'),
    shares: z.partialRecord(z.enum(FAULT_GROUPS), z.number().min(0).max(1)),
  }),
  z.strictObject({ kind: z.literal('act'), group: z.enum(FAULT_GROUPS), reason: text }),
  z.strictObject({ kind: z.literal('cannot-tell'), reason: text }),
  z.strictObject({ kind: z.literal('give-up') }),
]);
export type Move = z.infer<typeof moveSchema>;
export type MeasureMove = Extract<Move, { kind: 'measure' }>;

/** Minutes of what is no measurement. Common practice, no source. */
export const MINUTES = { diagram: 1, look: 2, 'which-plug': 2, warm: 15, wiggle: 1 } as const;
/** What a blown fuse and a burnt input cost: minutes, and the module's price for the latter. */
const FUSE = { minutes: 10, money: 4 } as const;

/** What came of a move. */
export interface Happened {
  move: Move;
  minutes: number;
  money: number;
  /** Of a measurement. */
  shown: Shown | null;
  /** Of a look: what was seen. Of a trial of a plug: did the display move? Of a repair: did it help? */
  seen: readonly string[] | null;
  helped: 'healed' | 'better' | 'no' | null;
  /** A caution of the step that was passed over. */
  careless: 'bridged-unidentified' | 'ohms-on-live' | null;
}

/** How far a play has come. */
export interface PlayState {
  events: readonly Happened[];
  minutes: number;
  money: number;
  /** Minutes and money as one figure, in money. */
  total: number;
  knowsCavities: boolean;
  looked: boolean;
  warm: boolean;
  /** Groups that were put right, with or without success. */
  mended: readonly FaultGroup[];
  /** How it ended; null while it goes on. */
  ended: 'healed' | 'cannot-tell' | 'gave-up' | null;
  /** Events from which the readings of the machine as it is now count: after a repair that changed it the earlier ones are of another machine. */
  since: number;
}

/** Plays the moves on a case. Moves after the end count for nothing. Pure: the same moves, the same figures. */
export function replay(ofCase: TrainingCase, moves: readonly Move[]): PlayState {
  let state: PlayState = {
    ...{ events: [], minutes: 0, money: 0, total: 0 },
    ...{ knowsCavities: false, looked: false, warm: false, mended: [], ended: null, since: 0 },
  };
  for (const move of moves) {
    if (state.ended) break;
    state = after(ofCase, state, move);
  }
  return state;
}

/** The state after one more move. */
export function after(ofCase: TrainingCase, state: PlayState, move: Move): PlayState {
  const next = happen(ofCase, state, move);
  const { event } = next;
  const minutes = state.minutes + event.minutes;
  const money = state.money + event.money;
  return {
    ...state,
    ...next.change,
    events: [...state.events, event],
    ...{ minutes, money, total: minutes * ofCase.costs.perMinute + money },
  };
}

function happen(ofCase: TrainingCase, state: PlayState, move: Move): { event: Happened; change: Partial<PlayState> } {
  const event: Happened = { move, minutes: 0, money: 0, shown: null, seen: null, helped: null, careless: null };
  switch (move.kind) {
    case 'measure':
      return { event: measured(ofCase, state, move, event), change: {} };
    case 'diagram':
      return { event: { ...event, minutes: MINUTES.diagram }, change: { knowsCavities: true } };
    case 'look':
      return { event: { ...event, minutes: MINUTES.look, seen: ofCase.looks }, change: { looked: true } };
    case 'which-plug': {
      const moves = ofCase.other === null || move.at === ofCase.plug;
      return { event: { ...event, minutes: MINUTES['which-plug'], seen: moves ? ['moves'] : [] }, change: {} };
    }
    case 'warm':
      return { event: { ...event, minutes: state.warm ? 0 : MINUTES.warm }, change: { warm: true } };
    case 'believe':
      return { event, change: {} };
    case 'act':
      return acted(ofCase, state, move.group, event);
    case 'cannot-tell':
      return { event, change: { ended: 'cannot-tell' } };
    case 'give-up':
      return { event, change: { ended: 'gave-up' } };
  }
}

const isSame = (a: MeasureMove, b: MeasureMove): boolean =>
  a.measurement === b.measurement && JSON.stringify(a.conditions) === JSON.stringify(b.conditions);

function measured(ofCase: TrainingCase, state: PlayState, move: MeasureMove, event: Happened): Happened {
  const measurement = measurementById(move.measurement);
  const earlier = state.events.flatMap((e) => (e.move.kind === 'measure' ? [e.move] : []));
  const nth = earlier.filter((m) => isSame(m, move)).length;
  const shown = showsOn(ofCase, measurement, move.conditions, move.setUp, nth, state.mended);
  const burnt = shown.damage === 'input';
  const minutes =
    minutesOfTest(ofCase, earlier, move) +
    (shown.damage === null ? 0 : burnt ? ofCase.costs.moduleMinutes : FUSE.minutes);
  const money = shown.damage === null ? 0 : burnt ? ofCase.costs.module : FUSE.money;
  const blind = bridges(measurement) && !state.knowsCavities;
  const live = measurement.quantity === 'ohms' && shown.mistakes.includes('key-on');
  return { ...event, minutes, money, shown, careless: blind ? 'bridged-unidentified' : live ? 'ohms-on-live' : null };
}

/** Minutes of a test: less where its set-up stands already from the last one, a little more with the loom moved the while. */
export function minutesOfTest(
  { access }: TrainingCase,
  earlier: readonly MeasureMove[],
  { measurement, setUp }: MeasureMove,
): number {
  const { setup, minutes, repeatMinutes } = measurementById(measurement);
  const last = earlier[earlier.length - 1] as MeasureMove | undefined;
  const stands = last !== undefined && measurementById(last.measurement).setup === setup && last.setUp.at === setUp.at;
  return (
    (access.effort[setup] ?? 1) * (stands ? repeatMinutes : minutes) + (setUp.state === 'wiggling' ? MINUTES.wiggle : 0)
  );
}

function acted(
  ofCase: TrainingCase,
  state: PlayState,
  group: FaultGroup,
  event: Happened,
): { event: Happened; change: Partial<PlayState> } {
  const { costs } = ofCase;
  const repair = repairsOf(costs).find((r) => r.group === group)!;
  const left = guiltyGroups(ofCase).filter((g) => g === 'healthy' || !state.mended.includes(g));
  const hits = left.includes(group);
  const healed = hits && left.length === 1;
  const helped = healed ? 'healed' : hits ? 'better' : 'no';
  const money = repair.money + (hits ? 0 : costs.back);
  const change: Partial<PlayState> = { mended: [...state.mended, group] };
  if (healed) change.ended = 'healed';
  else if (hits) change.since = state.events.length + 1;
  // A stop that was wrong: the customer comes back, and his time is gone.
  const minutes = repair.minutes + (group === 'healthy' && !hits ? USUAL_WORK.proof : 0);
  return { event: { ...event, minutes, money, helped }, change };
}

/** The bench after a play: the case's job with its readings, what was seen, and the machine's temperature once it is hot. */
export function jobAfter(ofCase: TrainingCase, state: PlayState): Job {
  const job = structuredClone(ofCase.job);
  if (state.warm) job.moments[1].temperatureC = figure(ofCase.hotC);
  if (state.looked) job.findings = [...ofCase.looks];
  const tried = state.mended.includes('sensor') && !job.complaint.replaced.includes('sensor');
  if (tried) job.complaint.replaced.push('sensor');
  state.events.forEach(({ move, shown }, i) => {
    if (i < state.since || move.kind !== 'measure' || !shown || shown.text === '') return;
    job.readings.push(readingOf(move, shown));
  });
  return job;
}

/** The reading that a measurement puts on the bench. */
export function readingOf({ id, measurement, conditions, setUp }: MeasureMove, shown: Shown): Job['readings'][number] {
  const given = Object.entries(conditions).map(([name, value]) => [name, figure(value)] as const);
  return newReading(id, measurement, {
    text: shown.text,
    value: typed(shown),
    conditions: Object.fromEntries(given),
    state: setUp.state,
  });
}

/** What the figure says to one who writes it down as it stands there: on a range set by hand the k is easily missed. */
function typed({ text, value }: Shown): number | 'OL' {
  if (text === 'OL' || value === Infinity) return 'OL';
  return /^[\d.]+$/.test(text) ? Number(text) : value!;
}

/** What the bench of a play is computed from, its thermometers and readings included. */
export const problemAfter = (ofCase: TrainingCase, state: PlayState): Problem => problemOf(jobAfter(ofCase, state));

/** The pair of cavities a careful hand uses, the plug he means, and the state in which he measures. */
export const carefully = (
  ofCase: TrainingCase,
  state: SetUp['state'] = 'steady',
): Pick<SetUp, 'at' | 'across' | 'state'> => ({
  at: ofCase.plug,
  across: rightPair(ofCase),
  state,
});
