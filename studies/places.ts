// Where a fault lies: 300 looms of 2–6 connectors with unequal priors and reach, a fault of a wire at a place drawn by its weight, readings with a
// meter's scatter and blunders. The tool proposes reading after reading until a place has 90 %; beside it the least minutes possible if readings
// never lied (dynamic programming), end to end, and always the middle.
import { putAt, type Strand, usualWeights } from '../core/src/circuit/network/placeWeights.ts';
import { CATALOGUE_CIRCUITS } from '../core/src/catalogue/parts/circuits.ts';
import { faultById } from '../core/src/circuit/faults/list.ts';
import { posteriorOf } from '../core/src/inference/posterior/posterior.ts';
import { checkJob } from '../core/src/check/job/checkJob.ts';
import { newJob } from '../core/src/check/job/newJob.ts';
import { measurementById } from '../core/src/circuit/measurements/list.ts';
import type { Conditions } from '../core/src/circuit/measurements/measurement.ts';
import { settingOf } from '../core/src/inference/model/hypotheses.ts';
import { noiseOf, Predictor } from '../core/src/inference/model/predictor.ts';
import type { Problem } from '../core/src/inference/model/problem.ts';
import { normalQuantile } from '../core/src/base/numeric/normal.ts';
import { drawIndex, happens, pick, seededUniform } from '../core/src/base/numeric/random.ts';
import { placeAdvice } from '../core/src/advice/place/placeAdvice.ts';
import type { HarnessReach } from '../core/src/advice/place/harnessReach.ts';

const CASES = Number(process.argv[2] ?? 300);
const uniform = seededUniform(20261126);
const MOST_READINGS = 14;
/** The tests with which it became plain that a wire is bad. */
const FIRST = ['displayed', 'open-voltage', 'loaded-voltage', 'sensor-ohms', 'return-drop', 'isolation-ground'];

interface Tally {
  minutes: number;
  best: number;
  endToEnd: number;
  middle: number;
}
const tally: Tally = { minutes: 0, best: 0, endToEnd: 0, middle: 0 };
let [right, named, readings, asked] = [0, 0, 0, 0];
for (let n = 0; n < CASES; n++) {
  const one = oneCase(n);
  if (!one) {
    n--;
    continue;
  }
  asked++;
  for (const key of Object.keys(tally) as (keyof Tally)[]) tally[key] += one[key];
  readings += one.readings;
  if (one.named) named++;
  if (one.right) right++;
}
const mean = (key: keyof Tally): string => (tally[key] / asked).toFixed(1);
console.log(`${asked} looms, ${(readings / asked).toFixed(1)} readings on the way each`);
console.log(
  `minutes to 90 % on a place: tool ${mean('minutes')}, least possible with sure readings ${mean('best')} (${(tally.minutes / tally.best).toFixed(3)} times; bar 1.1), end to end ${mean('endToEnd')}, always the middle ${mean('middle')}`,
);
console.log(`a place named in ${named}, the right one in ${right} (${((100 * right) / asked).toFixed(1)} %; bar 97 %)`);

function oneCase(n: number): (Tally & { readings: number; named: boolean; right: boolean }) | null {
  const circuits = CATALOGUE_CIRCUITS.filter((c) => c.layout === 'pull-up' && c.pullUpOhm !== null);
  const entry = pick(circuits, uniform);
  const { problem: bare } = checkJob(newJob(String(n), '2026-01-01T00:00:00.000Z', entry));
  const connectors = 2 + Math.floor(uniform() * 5);
  const usual = usualWeights(connectors);
  const unequal = (list: readonly number[]): number[] =>
    list.map((w) => w * Math.exp(2 * (uniform() - 0.5)) * (happens(0.15, uniform) ? 6 : 1));
  const series = unequal(usual.signal);
  const placeWeights = { signal: series, return: series, leak: unequal(usual.leak) };
  const temperatureC = 5 + 60 * uniform();
  const problem: Problem = {
    ...bare!,
    circuit: { ...bare!.circuit, connectors, placeWeights },
    thermometers: { steady: { readC: temperatureC, sigmaK: 1.5 } },
  };
  const reach: HarnessReach = {
    minutes: Array.from({ length: connectors + 2 }, () => Math.round(2 + 28 * uniform() ** 2)),
    opening: Array.from({ length: connectors + 2 }, (_, i) => (i > 1 && happens(0.2, uniform) ? i - 1 : i)),
    looks: [],
  };
  const ids = [
    'signal-resistive',
    'return-resistive',
    'signal-open',
    'return-open',
    'signal-to-ground',
    'signal-to-return',
  ];
  const fault = faultById(pick(ids, uniform));
  const strand: Strand = fault.id.startsWith('return') ? 'return' : fault.id.includes('-to-') ? 'leak' : 'signal';
  const element = drawIndex(placeWeights[strand], uniform);
  // The fault itself, its size and the unknowns by the model; its place as drawn.
  const predictor = new Predictor(problem);
  const [branch] = fault.branches(settingOf(problem));
  const position = uniform();
  const u = Float64Array.from({ length: predictor.latent.dimension }, () => normalQuantile(uniform()));
  const h = { fault, branch, ratiometric: true, curve: problem.circuit.curve, onlyIn: null, logShare: 0 };
  const take = (measurement: string, conditions: Conditions): number => {
    const m = measurementById(measurement);
    const solved = predictor.solvedAt(h, position, u, 'steady');
    putAt(solved.state, strand, element);
    const ideal = m.predict(solved, conditions);
    const noise = noiseOf(problem, m, conditions);
    const [chance, p] = [uniform(), uniform()];
    return chance < problem.instruments.blunder ? noise.drawBlunder(p) : noise.draw(ideal, normalQuantile(p));
  };
  const taken: Problem['readings'][number][] = [];
  const read = (measurement: string, conditions: Conditions): void =>
    void taken.push({
      id: `r${taken.length}`,
      measurement,
      value: take(measurement, conditions),
      conditions,
      state: 'steady',
    });
  for (const test of FIRST) read(test, {});
  const result = { minutes: 0, best: 0, endToEnd: 0, middle: 0, readings: 0, named: false, right: false };
  for (let step = 0; step <= MOST_READINGS; step++) {
    const advice = placeAdvice(posteriorOf({ ...problem, readings: taken }), reach);
    // Where it is not yet plain that this wire is bad, the question where does not arise.
    if (step === 0 && (advice.strand !== strand || advice.probability < 0.8 || !advice.next)) return null;
    if (step === 0) Object.assign(result, advice.next!.expected);
    if (advice.known) {
      result.named = true;
      result.right = advice.strand === strand && element >= advice.known.from && element < advice.known.to;
      break;
    }
    if (!advice.next) break;
    result.minutes += advice.next.minutes;
    result.readings++;
    read(advice.next.measurement, advice.next.conditions);
  }
  return result;
}
