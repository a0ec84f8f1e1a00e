import { measurementById } from '../../circuit/measurements/list.ts';
import type { Debrief } from './score.ts';
import { guiltyGroups, type TrainingCase } from './trainingCase.ts';

/** What goes wrong in the trade, as far as a play shows it: each with the plays in which it could have. */
export const SLIPS = [
  'five-volts-as-proof',
  'sensor-on-suspicion',
  'acted-early',
  'too-sure',
  'set-up',
  'tested-on',
  'state-not-tried',
  'unidentified-pins',
  'not-stopped',
] as const;
export type SlipId = (typeof SLIPS)[number];

/** A reading of the reference that is taken for good, as a share of it: 4.8 … 5.3 V of 5 V. Common practice, no source. */
const [TAKEN_FROM, TAKEN_TO] = [0.96, 1.06];
/** Held for almost certain. */
const VERY_SURE = 0.9;
/** Tests after it could be known, from which on it is too many. */
const ONE_MORE = 2;
/** Less than this was known when it was acted on. */
const HARDLY_KNOWN = 0.8;

/** Which of them this play could have shown, and which it did. */
export function slipsOf(ofCase: TrainingCase, { score, steps }: Debrief): { could: SlipId[]; did: SlipId[] } {
  const guilty = guiltyGroups(ofCase);
  const { referenceV } = ofCase.machine.problem.circuit;
  const acts = steps.filter((s) => s.event.move.kind === 'act');
  const firstAct = acts[0] as (typeof acts)[number] | undefined;
  const groupOf = (s: (typeof steps)[number]): string | null =>
    s.event.move.kind === 'act' ? s.event.move.group : null;
  const sawReference = steps.some(
    ({ event }) =>
      event.move.kind === 'measure' &&
      event.move.measurement.startsWith('open-voltage') &&
      (event.shown?.value ?? 0) > TAKEN_FROM * referenceV &&
      (event.shown?.value ?? 0) < TAKEN_TO * referenceV,
  );
  const bridged = steps.some(
    ({ event }) => event.move.kind === 'measure' && measurementById(event.move.measurement).risky,
  );
  const states = new Set(steps.flatMap(({ event }) => (event.move.kind === 'measure' ? [event.move.setUp.state] : [])));
  const leading = firstAct ? firstAct.before.find((g) => g.group === groupOf(firstAct))!.probability : 1;
  const after = score.knownAt === null ? 0 : steps.slice(score.knownAt + 1).filter((s) => s.won !== null).length;
  const comes = ofCase.told === 'hot' ? 'hot' : ofCase.told === 'wiggle' ? 'wiggling' : null;
  const table: Record<SlipId, [could: boolean, did: boolean]> = {
    'five-volts-as-proof': [
      sawReference && guilty.includes('wiring'),
      firstAct !== undefined && groupOf(firstAct) === 'sensor' && !guilty.includes('sensor'),
    ],
    'sensor-on-suspicion': [!guilty.includes('sensor'), acts.some((s) => groupOf(s) === 'sensor')],
    'acted-early': [firstAct !== undefined, leading < HARDLY_KNOWN && score.right === false],
    'too-sure': [
      score.said.some((p) => p.probability >= VERY_SURE),
      score.said.some((p) => p.probability >= VERY_SURE && !p.right),
    ],
    'set-up': [score.tests > 0, score.mistakes > 0],
    'tested-on': [score.knownAt !== null, after > ONE_MORE],
    'state-not-tried': [comes !== null, comes !== null && !states.has(comes)],
    'unidentified-pins': [bridged, steps.some((s) => s.event.careless === 'bridged-unidentified')],
    'not-stopped': [guilty.includes('healthy'), guilty.includes('healthy') && score.unneeded.length > 0],
  };
  const could = SLIPS.filter((id) => table[id][0]);
  return { could, did: could.filter((id) => table[id][1]) };
}
