import { CATALOGUE_CURVES } from '../../catalogue/parts/curves.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import type { CurveModel } from '../../circuit/curves/curveModel.ts';
import type { PointRow } from '../../circuit/curves/chooseFit.ts';

/** Points that are compared: the ends of a table and a few between say enough. */
const COMPARED = 9;
/** Decades of resistance: further than FAR from every known sensor as read, and within NEAR of one a thousand times larger or smaller. */
const [FAR, NEAR] = [0.75, 0.5];

let known: readonly CurveModel[] | null = null;
const knownSensors = (): readonly CurveModel[] => (known ??= CATALOGUE_CURVES.map(({ curve }) => curveModel(curve)));

/**
 * Is a table a thousand times off every known sensor, so that its unit was probably read wrong (kΩ as Ω)? Rows in °C and Ω. The distance of a
 * sensor is the root mean square of log10 of the ratio of resistances.
 */
export function isThousandOff(rows: readonly PointRow[]): boolean {
  if (rows.length < 2) return false;
  const every = Math.ceil(rows.length / COMPARED);
  const compared = rows.filter((_, i) => i % every === 0 || i === rows.length - 1);
  const distance = (scale: number): number =>
    Math.min(
      ...knownSensors()
        .map((model) => decades(compared, model, scale))
        .filter(Number.isFinite),
    );
  return distance(1) > FAR && Math.min(distance(1000), distance(1e-3)) < NEAR;
}

function decades(rows: readonly PointRow[], model: CurveModel, scale: number): number {
  const misses = rows.map(
    ({ temperatureC, resistanceOhm }) => Math.log10((scale * resistanceOhm) / model.resistanceOhm(temperatureC)) ** 2,
  );
  return Math.sqrt(misses.reduce((sum, miss) => sum + miss, 0) / misses.length);
}
