// Base rates of a workshop's own against the default weights: log loss on 1 000 simulated checks after 100 closed ones, for a workshop whose rates are the
// default's and for one with others. Arguments: checks judged (1000), workshops (20), readings a check (4).
import { DEFAULT_SHARES, type KnownCase, ownShares, type Shares } from '../core/src/history/experience/experience.ts';
import { STRENGTHS } from '../core/src/history/experience/strengths.ts';
import { posteriorOf } from '../core/src/inference/posterior/posterior.ts';
import { happens, pick, seededUniform } from '../core/src/base/numeric/random.ts';
import { FAULT_GROUPS, type FaultGroup } from '../core/src/base/units/vocabulary.ts';
import { groupProbabilities } from '../core/src/inference/verdict/assessment.ts';
import { seededCase } from './cases.ts';

const [judged, workshops, readings] = [1000, 20, 4].map((usual, i) => Number(process.argv[2 + i] ?? usual));
const OTHER: Shares = { sensor: 0.12, wiring: 0.62, reference: 0.04, module: 0.04, installation: 0.1, healthy: 0.08 };

interface Judged {
  group: FaultGroup;
  odds: ReadonlyMap<FaultGroup, number>;
}
const pool: Judged[] = [];
for (let seed = 50_000; pool.length < 3 * judged; seed++) {
  const { simulated, problem } = seededCase(seed, readings);
  const odds = new Map(groupProbabilities(posteriorOf(problem).faults).map((g) => [g.group, g.probability]));
  pool.push({ group: simulated.group, odds });
}
/** ln loss of one check when the groups' weights are changed: the readings' part stays as it is, so the odds are only weighed anew. */
function loss({ group, odds }: Judged, own: Shares): number {
  const weighed = (g: FaultGroup): number => ((odds.get(g) ?? 0) * own[g]) / DEFAULT_SHARES[g];
  return -Math.log(Math.max(1e-12, weighed(group) / FAULT_GROUPS.reduce((sum, g) => sum + weighed(g), 0)));
}
for (const [name, rates] of [
  ['the default’s', DEFAULT_SHARES],
  ['others', OTHER],
] as const)
  for (const strength of STRENGTHS) {
    let [usual, own, n] = [0, 0, 0];
    for (let w = 0; w < workshops; w++) {
      const uniform = seededUniform(w + 7);
      const most = Math.max(...FAULT_GROUPS.map((g) => rates[g] / DEFAULT_SHARES[g]));
      // A workshop of these rates, out of the pool: a check is met as often as its group is.
      const met = (): Judged => {
        for (;;) {
          const one = pick(pool, uniform);
          if (happens(rates[one.group] / DEFAULT_SHARES[one.group] / most, uniform)) return one;
        }
      };
      const closed = Array.from({ length: 100 }, (): KnownCase => ({
        field: 'engine',
        circuit: 'c',
        group: met().group,
      }));
      const learned = ownShares(closed, 'engine', 'c', strength);
      for (let i = 0; i < judged; i++) {
        const one = met();
        usual += loss(one, DEFAULT_SHARES);
        own += loss(one, learned);
        n++;
      }
    }
    console.log(
      `rates ${name}, the defaults count for ${strength}: log loss ${(usual / n).toFixed(4)} with the default weights, ${(own / n).toFixed(4)} with one’s own (${((own - usual) / n).toFixed(4)})`,
    );
  }
