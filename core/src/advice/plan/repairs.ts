import type { FaultGroup } from '../../base/units/vocabulary.ts';

/** What a job costs, in money and minutes. Money in whatever the reader pays with; 0 where nothing is known of it. */
export interface Costs {
  /** Money of a minute of work; 1 where no prices are known, so that minutes are what counts. */
  perMinute: number;
  /** Price of the sensor, with all that comes with it, and minutes to fit it. */
  part: number;
  fitMinutes: number;
  /** Price of a module put right, and minutes with taking it out. */
  module: number;
  moduleMinutes: number;
  /** Minutes to find and mend the bad place in the loom, and what drags the reference down. */
  wiringMinutes: number;
  referenceMinutes: number;
  /** Minutes to put the sensor where it should sit. */
  placeMinutes: number;
  /** What it costs, in money, when it did not help and one has to come back. */
  back: number;
  /** Does the circuit protect (frost, overheat, flue, flame)? Then nobody leaves without the proof. */
  protects: boolean;
  /** Probability that the customer wants behind a repair before it is done; 0: what pays is done. */
  sure: number;
}

/** Minutes of work whose length nobody told. Common practice, no source. */
export const USUAL_WORK = { fit: 20, module: 90, wiring: 35, reference: 40, place: 25, back: 45, proof: 5 } as const;

/** What is done about a group: its repair, with the proof after it; for "nothing wrong now": to stop. */
export interface Repair {
  group: FaultGroup;
  minutes: number;
  money: number;
}

/** The repairs there are. A circuit that protects is never left without the proof, so "stop" costs its proof there and is none of the cheap ways out. */
export function repairsOf(costs: Costs): Repair[] {
  const { proof } = USUAL_WORK;
  return [
    { group: 'sensor', minutes: costs.fitMinutes + proof, money: costs.part },
    { group: 'wiring', minutes: costs.wiringMinutes + proof, money: 0 },
    { group: 'reference', minutes: costs.referenceMinutes + proof, money: 0 },
    { group: 'module', minutes: costs.moduleMinutes + proof, money: costs.module },
    { group: 'installation', minutes: costs.placeMinutes + proof, money: 0 },
    { group: 'healthy', minutes: costs.protects ? 6 * proof : 0, money: 0 },
  ];
}

/** Expected cost: minutes, money, and both in money. */
export interface Spent {
  minutes: number;
  money: number;
  total: number;
}

/** Repairs one after the other until one helped. */
export interface Sequence extends Spent {
  order: FaultGroup[];
}

/**
 * The cheapest order in which to try the repairs, of which exactly one helps, if nothing more is measured between them: by probability over cost, the
 * classical rule of sequential search (Bellman 1957; it is checked against every order). `first`: the one that is tried first in any case.
 * `weights` by group in the order of `repairs`, any scale; the costs are of the same scale.
 */
export function actNow(repairs: readonly Repair[], weights: ArrayLike<number>, costs: Costs, first = -1): Sequence {
  const { perMinute, back } = costs;
  const priceOf = ({ minutes, money }: Repair): number => minutes * perMinute + money;
  const index = repairs.map((_, i) => i);
  const order = index.sort((a, b) => {
    if (a === first) return -1;
    if (b === first) return 1;
    return weights[b] / (priceOf(repairs[b]) + back) - weights[a] / (priceOf(repairs[a]) + back);
  });
  let left = 0;
  for (let i = 0; i < weights.length; i++) left += weights[i];
  let [minutes, money, total] = [0, 0, 0];
  for (const i of order) {
    if (!(left > 1e-12)) break;
    const failed = Math.max(0, left - weights[i]);
    minutes += repairs[i].minutes * left;
    money += repairs[i].money * left + back * failed;
    total += priceOf(repairs[i]) * left + back * failed;
    left = failed;
  }
  return { minutes, money, total, order: order.map((i) => repairs[i].group) };
}
