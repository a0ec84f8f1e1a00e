import { useStationStateWords as say } from '@mellow-probe/core/wording/screens/bench';
import { ofThisHarness } from '@mellow-probe/core/advice/place/placeAdvice';
import { hasPrices } from '@mellow-probe/core/advice/plan/worthSchema';
import type { FormStationId } from '@mellow-probe/core/advice/workOrder/stations';
import { formatProbability } from '@mellow-probe/core/base/units/format';
import { directionOf } from '@mellow-probe/core/catalogue/parts/symptoms';
import { comparePairsOf } from '@mellow-probe/core/check/job/comparePairsOf';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { identifyPlugs } from '@mellow-probe/core/check/rightSensor/identifyPlugs';
import { closingName } from '@mellow-probe/core/wording/closingName';
import { compareText } from '@mellow-probe/core/wording/compareText';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { placeName } from '@mellow-probe/core/wording/placeText';
import type { VerdictView } from '../../session/verdict.ts';

/** How a station of the order of work stands, and what its line ends with: the last reading, or where it stands. */
export interface StationState {
  state: 'settled' | 'odd' | 'todo';
  last: string;
}
export const TODO: StationState = { state: 'todo', last: '' };

/** What a form is judged by. */
type Known = Pick<VerdictView, 'result' | 'advice'>;

/** How each form of the order of work stands. */
export const FORM_STATES: Readonly<Record<FormStationId, (job: Job, verdict: Known) => StationState>> = {
  quick: ({ readings }) =>
    readings.some((r) => !r.voided && r.value !== null) ? { state: 'settled', last: '' } : TODO,
  complaint({ complaint: { symptoms, codes, text } }) {
    if (symptoms.length + codes.length === 0 && text === '') return TODO;
    return { state: directionOf(symptoms) === 'both' ? 'odd' : 'settled', last: codes[0]?.code ?? '' };
  },
  'right-sensor'({ rightSensor }) {
    if (rightSensor.trials.length === 0) return TODO;
    const { wrongPlug, conflicts } = identifyPlugs(rightSensor);
    return { state: wrongPlug || conflicts.length > 0 ? 'odd' : 'settled', last: wrongPlug ? say.wrongPlug : '' };
  },
  look({ findings, photos }) {
    const seen = findings.length + photos.length;
    return seen > 0 ? { state: 'settled', last: say.noted(seen) } : TODO;
  },
  compare(job) {
    const view = comparePairsOf(job);
    if (!view) return TODO;
    const odd = compareText(view, 'C').some((l) => l.odd);
    return { state: odd ? 'odd' : 'settled', last: say.pairs(view.pairs.length) };
  },
  where({ loom }, { advice }) {
    const known = advice && loom.stops.length > 0 ? ofThisHarness(advice.where, loom)?.known : null;
    return known ? { state: 'settled', last: placeName(loom, known.from) } : TODO;
  },
  worth: ({ worth }) => (hasPrices(worth) ? { state: 'settled', last: '' } : TODO),
  readings({ readings }) {
    const voided = readings.filter((r) => r.voided).length;
    return { state: readings.length > 0 ? 'settled' : 'todo', last: voided > 0 ? say.voided(voided) : '' };
  },
  decision({ decision }, { result }) {
    if (decision)
      return {
        state: decision.group === decision.toolGroup ? 'settled' : 'odd',
        last: groupName(decision.group).split(' ')[0],
      };
    const first = result?.assessment.groups[0];
    const any = result?.assessment.doubt.kind !== 'no-readings';
    return first && any ? { state: 'todo', last: formatProbability(first.probability) } : TODO;
  },
  repair({ repair: { doneAt, standIn } }) {
    if (standIn && !standIn.removedAt) return { state: 'odd', last: 'stand-in' };
    return doneAt ? { state: 'settled', last: say.done } : TODO;
  },
  proof({ closed, proof }) {
    if (closed) return { state: closed.how === 'proved' ? 'settled' : 'odd', last: closingName(closed.how) };
    return Object.keys(proof.steps).length > 0 ? { state: 'todo', last: say.begun } : TODO;
  },
};
