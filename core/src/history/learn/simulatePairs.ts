import { CATALOGUE_CURVES } from '../../catalogue/parts/curves.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import type { CurveModel } from '../../circuit/curves/curveModel.ts';
import { normalQuantile } from '../../base/numeric/normal.ts';
import type { Uniform } from '../../base/numeric/random.ts';
import { learnCurve, type LearnedPair } from './learnCurve.ts';

/** A thermometer of ± 1.5 K (1σ), half of its variance in all pairs alike, and a meter of 1 %. */
const [THERMOMETER_K, METER, IN_ALL] = [1.5, 0.01, 0.5];
const OWN_K = Math.sqrt(1 - IN_ALL) * THERMOMETER_K;

/** Pairs of one sensor as a workshop takes them: `count` between two temperatures, °C, both ends among them. */
export function simulatePairs(
  model: CurveModel,
  count: number,
  [fromC, toC]: readonly [number, number],
  uniform: Uniform,
): LearnedPair[] {
  const normal = (): number => normalQuantile(Math.min(1 - 1e-9, Math.max(1e-9, uniform())));
  const calibration = Math.sqrt(IN_ALL) * THERMOMETER_K * normal();
  return Array.from({ length: count }, (_, i) => {
    const t = fromC + (toC - fromC) * (i === 0 ? 0 : i === 1 ? 1 : uniform());
    return {
      id: `p${i}`,
      check: 'a',
      thermometer: 'a glass',
      temperatureC: t + calibration + OWN_K * normal(),
      sigmaK: THERMOMETER_K,
      resistanceOhm: model.resistanceOhm(t) * Math.exp(METER * normal()),
      sigmaRelative: METER,
    };
  });
}

/** How the band of one learned curve held. */
export interface BandScore {
  /** Of eleven temperatures between the extremes: how many have the true curve inside the band. */
  inside: number;
  places: number;
  /** Width of the band in its middle against the least that the known form would leave; null under 12 pairs or 40 K. */
  width: number | null;
}

/** One made-up NTC of the catalogue, learned from 5 to 40 pairs over 25 to 75 K. Same uniform, same sensor. */
export function scoreLearned(k: number, uniform: Uniform): BandScore {
  const known = CATALOGUE_CURVES.filter((c) => curveModel(c.curve).slope === 'ntc' && !c.id.includes('-with-'));
  const model = curveModel(known[k % known.length].curve);
  const count = 5 + Math.floor(36 * uniform());
  const span = 25 + 50 * uniform();
  const learned = learnCurve(simulatePairs(model, count, [10, 10 + span], uniform));
  if (!learned.ok) throw new Error(`scoreLearned: ${learned.reason}`);
  const own = curveModel(learned.curve);
  const at = Array.from({ length: 11 }, (_, i) => learned.fromC + ((learned.toC - learned.fromC) * i) / 10);
  const inside = at.filter((t) => Math.abs(own.temperatureC(model.resistanceOhm(t)) - t) <= learned.bandK(t)).length;
  // With the form known, only its coefficients and the calibration are open. An NTC changes some 4 % a kelvin.
  const least = 2 * Math.hypot(OWN_K, Math.hypot(OWN_K, METER * 25) / Math.sqrt(count / 2));
  const wide = count >= 12 && span >= 40;
  return { inside, places: at.length, width: wide ? learned.bandK((learned.fromC + learned.toC) / 2) / least : null };
}
