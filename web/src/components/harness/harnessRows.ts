import { harnessRowsWords as say } from '@mellow-probe/core/wording/screens/drawing';
import { pointAt, type Side, SIDES } from '@mellow-probe/core/circuit/network/chain';
import type { Strand } from '@mellow-probe/core/circuit/network/placeWeights';
import { HINTS } from '@mellow-probe/core/circuit/harness/hints';
import { type Harness, type Run, type Stop, stopsOf } from '@mellow-probe/core/circuit/harness/harnessSchema';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import type { PlaceAdvice } from '@mellow-probe/core/advice/place/placeAdvice';
import { stopName } from '@mellow-probe/core/wording/placeText';
import { significant } from '@mellow-probe/core/base/units/writing';

/** One line of the drawing of a loom: a stop or the run after it. */
export interface HarnessRow {
  element: number;
  stop: Stop;
  run: Run | null;
  name: string;
  /** Where it is, how far, its colours: what stands under the name. */
  about: string;
  /** Probability that the fault lies here, on the strand that leads; null where nothing is said of places. */
  share: number | null;
  /** How long its stretch of the drawing is, px: by the work to get at it. */
  height: number;
}

/** The lines of a loom from the module to the sensor plug; `minutes` to get at each stop. */
export function harnessRows(loom: Harness, minutes: readonly number[], where: PlaceAdvice | null): HarnessRow[] {
  const stops = stopsOf(loom);
  const said = where !== null && where.connectors === loom.stops.length && where.probability >= 0.02;
  const share = (element: number): number | null => (said ? where.shares[where.strand][element] : null);
  return stops.flatMap((stop, i) => {
    const at: HarnessRow = {
      element: 2 * i,
      stop,
      run: null,
      name: [stopName(stop, i), pinsText(stop)].filter(Boolean).join(', '),
      about: [stop.where.trim(), say.min(round(minutes[i])), ...hintNames(stop.hints)].filter(Boolean).join(' · '),
      share: share(2 * i),
      height: 46,
    };
    if (i === stops.length - 1) return [at];
    const { run } = stop;
    const effort = Math.min(40, (minutes[i] + minutes[i + 1]) / 2);
    const after: HarnessRow = {
      element: 2 * i + 1,
      stop,
      run,
      name: '',
      about: [
        run.lengthM.value ? `${round(run.lengthM.value)} m` : '',
        run.make === 'plain' ? '' : run.make,
        ...hintNames(run.hints),
      ]
        .filter(Boolean)
        .join(' · '),
      share: share(2 * i + 1),
      height: 26 + effort,
    };
    return [at, after];
  });
}

const round = (value: number): string => significant(value, 2);
const hintNames = (ids: readonly string[]): string[] => HINTS.filter((h) => ids.includes(h.id)).map((h) => h.name);

function pinsText({ pins }: Stop): string {
  const both = [pins.signal, pins.return].map((p) => p.trim()).filter(Boolean);
  return both.length > 0 ? say.pin(both.join(' · ')) : '';
}

/** A voltage measured on the way: at which point, and how much. */
export interface WayMark {
  element: number;
  side: Side;
  volts: number;
}

/** The voltages of a job that were read on the way, on one wire. */
export function wayMarks(job: Job, strand: Strand): WayMark[] {
  return job.readings.flatMap((r) => {
    if (r.measurement !== 'connector-voltage' || r.voided || typeof r.value !== 'number') return [];
    if ((r.conditions.wire ?? 'signal') !== strand) return [];
    const side = r.conditions.side ?? 'module';
    return [{ element: pointAt(r.conditions.position ?? 1, side) - SIDES.indexOf(side), side, volts: r.value }];
  });
}
