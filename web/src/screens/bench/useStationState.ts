import type { Station } from '@mellow-probe/core/advice/workOrder/stations';
import { useSession } from '../../session/jobSession.ts';
import { readingStanding } from '../../session/readingView.ts';
import { FORM_STATES, type StationState, TODO } from './formStates.ts';

/** How each station of the order of work stands. */
export function useStationState(): (station: Station) => StationState {
  const { job, verdict, work } = useSession();

  return (station) => {
    if (station.kind === 'form') return FORM_STATES[station.id](job, verdict);
    const readings = station.tests.flatMap((t) => work.readingsOf(t)).filter((r) => !r.voided && r.value !== null);
    if (readings.length === 0) return TODO;
    const standings = readings.map((r) => readingStanding(verdict, r));
    return {
      // Taken, but judged by nobody (the engine failed): not settled.
      state: standings.includes('off') ? 'odd' : standings.includes('fits') ? 'settled' : 'todo',
      last: station.tests.length === 1 ? readings[readings.length - 1].text : '',
    };
  };
}
