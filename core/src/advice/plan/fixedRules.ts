import { seededUniform } from '../../base/numeric/random.ts';
import { actOn, likeliest, type Prospect } from './lookAhead.ts';
import type { Spent } from './repairs.ts';

/** Draws that are walked through to the end. */
const WALKS = 160;

/**
 * Expected cost of a fixed rule: the trials in this order until one group has `sure`, then the repairs, likeliest for their cost first. By walking a
 * fixed sample of what may be wrong through the order, each outcome drawn by its chance; the same on every run.
 */
export function costOfRule(prospect: Prospect, order: readonly number[], sure: number): Spent {
  const { weights, groups, trials, costs, repairs } = prospect;
  const uniform = seededUniform(7);
  const mass = weights.reduce((a, b) => a + b, 0);
  let [minutes, money] = [0, 0];
  let [at, passed] = [0, weights[0] / mass];
  for (let w = 0; w < WALKS; w++) {
    // Systematic: the draws in proportion to their weights.
    const target = (w + 0.5) / WALKS;
    while (passed < target && at < weights.length - 1) passed += weights[++at] / mass;
    const believed = Float64Array.from(weights);
    let setup = '';
    for (const t of order) {
      if (likeliest(prospect, believed).share >= sure) break;
      const trial = trials[t];
      minutes += trial.setup === setup ? trial.repeatMinutes : trial.minutes;
      setup = trial.setup;
      let p = uniform();
      let outcome = 0;
      while (outcome < trial.outcomes - 1 && (p -= trial.chance[at * trial.outcomes + outcome]) >= 0) outcome++;
      for (let d = 0; d < believed.length; d++) believed[d] *= trial.chance[d * trial.outcomes + outcome];
    }
    for (const group of actOn(prospect, believed).order) {
      const i = repairs.findIndex((r) => r.group === group);
      minutes += repairs[i].minutes;
      money += repairs[i].money;
      if (i === groups[at]) break;
      money += costs.back;
    }
  }
  [minutes, money] = [minutes / WALKS, money / WALKS];
  return { minutes, money, total: minutes * costs.perMinute + money };
}
