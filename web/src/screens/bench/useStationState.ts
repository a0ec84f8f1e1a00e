import { useStationStateWords as say } from '@mellow-probe/core/wording/screens/bench';
import { directionOf } from '@mellow-probe/core/catalogue/parts/symptoms';
import { comparePairsOf } from '@mellow-probe/core/check/job/comparePairsOf';
import { identifyPlugs } from '@mellow-probe/core/check/rightSensor/identifyPlugs';
import type { Station } from '@mellow-probe/core/advice/workOrder/stations';
import { formatProbability } from '@mellow-probe/core/base/units/format';
import { compareText } from '@mellow-probe/core/wording/compareText';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { useSession } from '../../session/jobSession.ts';
import { useReadingView } from '../../session/readingView.ts';

interface StationState {
  state: 'settled' | 'odd' | 'todo';
  /** Said at the end of its line: the last reading, or where it stands. */
  last: string;
}
type Judge = () => StationState;
const todo: StationState = { state: 'todo', last: '' };

/** How each station of the order of work stands. */
export function useStationState(): (station: Station) => StationState {
  const { job, verdict, work } = useSession();
  const viewOf = useReadingView();

  const forms: Record<string, Judge> = {
    quick: () => {
      const count = job.readings.filter((r) => !r.voided && r.value !== null).length;
      return count > 0 ? { state: 'settled', last: '' } : todo;
    },
    complaint: () => {
      const { symptoms, codes, text } = job.complaint;
      if (symptoms.length + codes.length === 0 && text === '') return todo;
      const reads = directionOf(symptoms);
      return { state: reads === 'both' ? 'odd' : 'settled', last: codes[0]?.code ?? '' };
    },
    'right-sensor': () => {
      const record = job.rightSensor;
      if (record.trials.length === 0) return todo;
      const { wrongPlug, conflicts } = identifyPlugs(record);
      return { state: wrongPlug || conflicts.length > 0 ? 'odd' : 'settled', last: wrongPlug ? say.wrongPlug : '' };
    },
    look: () => {
      const seen = job.findings.length + job.photos.length;
      return seen > 0 ? { state: 'settled', last: say.noted(seen) } : todo;
    },
    compare: () => {
      const view = comparePairsOf(job);
      if (!view) return todo;
      const odd = compareText(view, 'C').some((l) => l.odd);
      return { state: odd ? 'odd' : 'settled', last: say.pairs(view.pairs.length) };
    },
    readings: () => {
      const voided = job.readings.filter((r) => r.voided).length;
      return { state: job.readings.length > 0 ? 'settled' : 'todo', last: voided > 0 ? say.voided(voided) : '' };
    },
    decision: () => {
      const { decision } = job;
      if (decision)
        return {
          state: decision.group === decision.toolGroup ? 'settled' : 'odd',
          last: groupName(decision.group).split(' ')[0],
        };
      const first = verdict.result?.assessment.groups[0];
      const any = verdict.result?.assessment.doubt.kind !== 'no-readings';
      return first && any ? { state: 'todo', last: formatProbability(first.probability) } : todo;
    },
    repair: () => {
      const { doneAt, standIn } = job.repair;
      if (standIn && !standIn.removedAt) return { state: 'odd', last: 'stand-in' };
      return doneAt ? { state: 'settled', last: say.done } : todo;
    },
    proof: () => {
      const { closed, proof } = job;
      if (closed) return { state: closed.how === 'proved' ? 'settled' : 'odd', last: closed.how };
      return Object.keys(proof.steps).length > 0 ? { state: 'todo', last: say.begun } : todo;
    },
  };

  return (station) => {
    if (!job) return todo;
    if (station.kind === 'form') return forms[station.id]?.() ?? todo;
    const readings = station.tests.flatMap((t) => work.readingsOf(t)).filter((r) => !r.voided && r.value !== null);
    if (readings.length === 0) return todo;
    const standings = readings.map((r) => viewOf(r.measurement, r).standing);
    return {
      // Taken, but judged by nobody (the engine failed): not settled.
      state: standings.includes('off') ? 'odd' : standings.includes('fits') ? 'settled' : 'todo',
      last: station.tests.length === 1 ? readings[readings.length - 1].text : '',
    };
  };
}
