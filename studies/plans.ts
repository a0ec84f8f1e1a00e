// Whether looking further is worth it: cases of the fault model at four settings of prices, each worked to the end by the advised plan and by fixed
// rules: the sensor first, the most telling test until 95 %, every school until 95 %. All meet the same readings. A repair that does not help costs
// coming back; then the next likeliest for its cost is tried.
import { proposeTests } from '../core/src/advice/nextTest/nextTest.ts';
import { schoolOrder, SCHOOLS } from '../core/src/advice/nextTest/schools.ts';
import { posteriorOf, type Posterior } from '../core/src/inference/posterior/posterior.ts';
import { accessOf } from '../core/src/catalogue/kit/access.ts';
import { genericKit } from '../core/src/catalogue/kit/kitSchema.ts';
import { measurementById } from '../core/src/circuit/measurements/list.ts';
import type { PlannedTest } from '../core/src/inference/model/healthyRanges.ts';
import type { ReadingInput } from '../core/src/inference/model/problem.ts';
import { candidateTests, minutesOf } from '../core/src/advice/nextTest/nextTest.ts';
import { cheapestStep } from '../core/src/advice/plan/planOf.ts';
import { actNow, type Costs, repairsOf, USUAL_WORK } from '../core/src/advice/plan/repairs.ts';
import { simulateCase } from '../core/src/training/simulation/simulateCase.ts';
import { groupProbabilities } from '../core/src/inference/verdict/assessment.ts';

const CASES = Number(process.argv[2] ?? 300);
const SURE = 0.95;
const MOST_TESTS = 12;
const minutes: Costs = {
  perMinute: 1,
  part: 0,
  fitMinutes: USUAL_WORK.fit,
  module: 0,
  moduleMinutes: USUAL_WORK.module,
  wiringMinutes: USUAL_WORK.wiring,
  referenceMinutes: USUAL_WORK.reference,
  placeMinutes: USUAL_WORK.place,
  back: USUAL_WORK.back,
  protects: false,
  sure: 0,
};
const usual = genericKit();
const hard = { ...usual, access: { plug: 'hard', module: 'usual', sensor: 'easy' } } as const;
const SETTINGS: { name: string; costs: Costs; kit: typeof usual }[] = [
  { name: 'minutes alone', costs: minutes, kit: usual },
  { name: 'cheap part, easy; plug hard to reach', costs: { ...minutes, part: 5, fitMinutes: 4, back: 20 }, kit: hard },
  {
    name: 'dear part, deep in the plant',
    costs: { ...minutes, part: 250, fitMinutes: 120, module: 400, back: 60 },
    kit: usual,
  },
  { name: 'coming back is dear', costs: { ...minutes, perMinute: 1.5, part: 40, module: 500, back: 300 }, kit: usual },
];

type Rule = (posterior: Posterior, taken: readonly string[]) => PlannedTest | null;

const total = new Map<string, number[]>();
for (let seed = 1; seed <= CASES; seed++) {
  const simulated = simulateCase(seed);
  const values = new Map<string, number>();
  const known = new Map<string, Posterior>();
  const keyOf = ({ measurement, conditions }: PlannedTest): string => `${measurement.id} ${JSON.stringify(conditions)}`;
  /** The same test shows the same to everybody. */
  const read = (test: PlannedTest): ReadingInput => {
    const key = keyOf(test);
    if (!values.has(key)) values.set(key, simulated.take(test));
    return {
      id: key,
      measurement: test.measurement.id,
      value: values.get(key)!,
      conditions: test.conditions,
      state: 'steady',
    };
  };
  const believed = (readings: readonly ReadingInput[]): Posterior => {
    const key = readings.map((r) => r.id).join('|');
    if (!known.has(key)) known.set(key, posteriorOf({ ...simulated.problem, readings }));
    return known.get(key)!;
  };
  for (const { name, costs, kit } of SETTINGS) {
    const access = accessOf(kit);
    /** Works a case to the end and returns what it cost. */
    const worked = (rule: Rule, sensorFirst = false): number => {
      let spent = 0;
      let readings: ReadingInput[] = [];
      for (let n = 0; n < MOST_TESTS; n++) {
        const posterior = believed(readings);
        const test = sensorFirst
          ? null
          : rule(
              posterior,
              readings.map((r) => r.measurement),
            );
        if (!test) break;
        spent += minutesOf(test, { ...simulated.problem, readings }, access) * costs.perMinute;
        readings = [...readings, read(test)];
      }
      const repairs = repairsOf(costs);
      const groups = groupProbabilities(believed(readings).faults);
      const weights = repairs.map((r) => groups.find((g) => g.group === r.group)!.probability);
      for (const group of actNow(repairs, weights, costs, sensorFirst ? 0 : -1).order) {
        const repair = repairs.find((r) => r.group === group)!;
        spent += repair.minutes * costs.perMinute + repair.money;
        if (group === simulated.group) return spent;
        spent += costs.back;
      }
      // Everything was tried but what the posterior gave no weight at all.
      const truth = repairs.find((r) => r.group === simulated.group)!;
      return spent + truth.minutes * costs.perMinute + truth.money;
    };
    const firm = (posterior: Posterior): boolean => groupProbabilities(posterior.faults)[0].probability >= SURE;
    const bySchool =
      (order: readonly string[]): Rule =>
      (posterior, taken) => {
        if (firm(posterior)) return null;
        const left = candidateTests(posterior.predictor.problem, access);
        const id = order.find((o) => !taken.includes(o) && left.some((t) => t.measurement.id === o));
        return left.find((t) => t.measurement.id === id) ?? null;
      };
    const telling: Rule = (posterior) => {
      if (firm(posterior)) return null;
      const [first] = proposeTests(posterior.predictor.problem, posterior, access, 1);
      return first
        ? { measurement: measurementById(first.measurement), conditions: first.conditions, state: 'steady' }
        : null;
    };
    const add = (rule: string, cost: number): void => {
      const key = `${name}|${rule}`;
      total.set(key, [...(total.get(key) ?? []), cost]);
    };
    add(
      'plan',
      worked((posterior) => cheapestStep(posterior, access, costs).test),
    );
    add(
      'sensor first',
      worked(() => null, true),
    );
    add('most telling to 95 %', worked(telling));
    for (const school of SCHOOLS) add(school.name, worked(bySchool(schoolOrder(school))));
  }
}
const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;
for (const { name } of SETTINGS) {
  const plan = total.get(`${name}|plan`)!;
  console.log(`${name}: plan ${mean(plan).toFixed(1)} (${CASES} cases)`);
  for (const [key, costs] of total) {
    if (!key.startsWith(`${name}|`) || key.endsWith('|plan')) continue;
    const ratios = costs.map((c, i) => c - plan[i]);
    const spread = Math.sqrt(ratios.reduce((s, r) => s + (r - mean(ratios)) ** 2, 0) / ratios.length ** 2);
    console.log(
      `  ${key.slice(name.length + 1).padEnd(24)} ${mean(costs).toFixed(1).padStart(7)}  ${((100 * mean(ratios)) / mean(plan)).toFixed(1)} % dearer (± ${((100 * spread) / mean(plan)).toFixed(1)})`,
    );
  }
}
