/** One look at the sensor in a heat cycle: what it should be and what it is, °C; its time, s. */
export interface CycleLook {
  /** What a thermometer beside it shows, °C, or null: only the values are compared. */
  besideC: number | null;
  /** What the sensor says it is, °C (displayed, or from its ohms). */
  sensorC: number;
  atS: number;
}

/** A sensor read cold, hot, and again after the heat. */
export interface HeatCycle {
  before: CycleLook | null;
  hot: CycleLook | null;
  after: CycleLook | null;
}

export type CycleVerdict =
  | { verdict: 'unfinished'; missing: 'before' | 'hot' | 'after' }
  /** Warmed by too little, or read again too soon, to say anything. */
  | { verdict: 'not-told'; why: 'little-heat' | 'too-soon' | 'no-thermometer' }
  /** `offK`: how far it is off, and `shiftK`: by how much more than before. */
  | { verdict: 'sound'; shiftK: number }
  | { verdict: 'wrong-from-the-start' | 'fails-hot' | 'fails-after-heat'; offK: number; shiftK: number };

/** A cycle warms by at least so much, K, and is read again at least so long after the heat, s. Common practice, no source: about ten minutes. */
export const CYCLE = { leastHeatK: 25, againAfterS: 600, leastAgainS: 240 } as const;
/** So far off is a fault, and so much apart from before is a shift, K: a thermometer of 1.5 K and a sensor of 2 K, twice. */
const OFF_K = 6;
const SHIFT_K = 5;

/**
 * What a heat cycle says of a sensor. Its error, against the thermometer beside it, is held against what it was before: cold against hot, cold against after.
 * So an offset that was there all the time is told apart from one that the heat made.
 */
export function judgeCycle({ before, hot, after }: HeatCycle): CycleVerdict {
  if (!before) return { verdict: 'unfinished', missing: 'before' };
  if (!hot) return { verdict: 'unfinished', missing: 'hot' };
  if (before.besideC === null || hot.besideC === null || (after !== null && after.besideC === null))
    return { verdict: 'not-told', why: 'no-thermometer' };
  const off = (l: CycleLook): number => l.sensorC - l.besideC!;
  if (Math.abs(off(before)) > OFF_K) return { verdict: 'wrong-from-the-start', offK: off(before), shiftK: 0 };
  if (hot.besideC - before.besideC < CYCLE.leastHeatK) return { verdict: 'not-told', why: 'little-heat' };
  const hotShift = off(hot) - off(before);
  if (Math.abs(off(hot)) > OFF_K && Math.abs(hotShift) > SHIFT_K)
    return { verdict: 'fails-hot', offK: off(hot), shiftK: hotShift };
  if (!after) return { verdict: 'unfinished', missing: 'after' };
  if (after.atS - hot.atS < CYCLE.leastAgainS) return { verdict: 'not-told', why: 'too-soon' };
  const shift = off(after) - off(before);
  if (Math.abs(off(after)) > OFF_K && Math.abs(shift) > SHIFT_K)
    return { verdict: 'fails-after-heat', offK: off(after), shiftK: shift };
  return { verdict: 'sound', shiftK: shift };
}
