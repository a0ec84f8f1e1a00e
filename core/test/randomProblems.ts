import { CATALOGUE_CURVES } from '../src/catalogue/parts/curves.ts';
import { YARD_SPREAD } from '../src/circuit/network/spread.ts';
import { CURVE_KINDS, type Curve, curveModel } from '../src/circuit/curves/curve.ts';
import { FAULTS } from '../src/circuit/faults/list.ts';
import { GENERIC_INSTRUMENTS } from '../src/catalogue/kit/instruments.ts';
import { MEASUREMENTS } from '../src/circuit/measurements/list.ts';
import type { Conditions } from '../src/circuit/measurements/measurement.ts';
import type { Problem, ReadingInput } from '../src/inference/model/problem.ts';
import { seededUniform } from '../src/base/numeric/random.ts';
import { LAYOUTS, MACHINE_STATES } from '../src/base/units/vocabulary.ts';

const CURVES: readonly Curve[] = [
  ...CATALOGUE_CURVES.map((c) => c.curve),
  ...CURVE_KINDS.flatMap((k) => k.examples as readonly Curve[]),
];

/**
 * A problem that nobody would meet, but that a person can type: any circuit, layout and curve, a thermometer that is missing or absurd, and
 * readings at and beyond the ends of what a meter can show. Same seed, same problem. `small`: few readings and no long loom, for quick tests.
 */
export function randomProblem(seed: number, small = false): Problem {
  const uniform = seededUniform(seed * 104_729 + 7);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(uniform() * list.length)];
  const chance = (p: number): boolean => uniform() < p;
  const between = (low: number, high: number): number => low + (high - low) * uniform();
  const logBetween = (low: number, high: number): number => low * Math.pow(high / low, uniform());
  // R25 and B without a thermometer is where the curve's form reaches furthest: every third problem.
  const curve: Curve = chance(0.33)
    ? { kind: 'beta', r25Ohm: logBetween(0.1, 1e8), betaK: between(500, 10_000) }
    : pick(CURVES);
  const model = curveModel(curve);
  const layout = pick(LAYOUTS);
  const minC = Math.round(between(-60, 0));
  const connectors = chance(small ? 0.08 : 0.3) ? Math.floor(between(1, small ? 3 : 9)) : 0;
  const hotPullUpOhm = chance(0.2) ? logBetween(10, 1e5) : null;
  const temperature = (): { readC: number; sigmaK: number } | undefined =>
    chance(0.5) ? { readC: between(model.minC, model.maxC), sigmaK: pick([0.1, 1, 5, 30]) } : undefined;
  const volts = (): number => pick([0, -0.3, 5, 12.6, 60, -60, between(0, 5), between(-1, 15)]);
  const ohms = (): number =>
    pick([0, 0.01, Infinity, 1e10, 20e6, logBetween(0.1, 1e9), model.resistanceOhm(between(-40, 120))]);
  const celsius = (): number => pick([-40, 150, minC, -273.15, 2000, Math.round(between(-60, 200))]);
  const tests = MEASUREMENTS.filter(
    (m) => m.layouts.includes(layout) && (connectors > 0 || !m.needs.includes('position')),
  );
  const readings = Array.from({ length: Math.floor(between(0, small ? 4 : 10)) }, (_, i): ReadingInput => {
    const m = pick(tests);
    const conditions: Conditions = {};
    if (m.needs.includes('substituteOhm')) conditions.substituteOhm = pick([0.01, 1e8, logBetween(1, 1e6)]);
    if (m.needs.includes('bathC')) conditions.bathC = pick([-80, 0, 60, 100, 1000]);
    if (m.needs.includes('wire')) conditions.wire = pick(['signal', 'return'] as const);
    if (m.needs.includes('position')) conditions.position = 1 + Math.floor(between(0, connectors));
    const value = { volts, ohms, celsius }[m.quantity]();
    return {
      id: `r${i}`,
      measurement: m.id,
      value,
      conditions,
      state: chance(small ? 0.05 : 0.2) ? pick(MACHINE_STATES) : 'steady',
    };
  });
  return {
    circuit: {
      layout,
      referenceV: pick([5, 3.3, 0.5, 30, 12]),
      pullUpOhm: chance(0.25) ? null : logBetween(1, 1e7),
      hotPullUpOhm,
      switchRatio: hotPullUpOhm === null ? 0 : 0.2,
      curve: model,
      display: {
        minC,
        maxC: minC + pick([10, 100, 190, 900]),
        resolutionC: pick([0.1, 1, 10]),
        substituteC: chance(0.2) ? 40 : null,
        ratiometric: pick([true, false, null]),
      },
      supplyV: pick([12.6, 1, 60, 24]),
      wireMinOhm: 0.05,
      wireMaxOhm: pick([1.5, 200]),
      connectors,
      spread: YARD_SPREAD,
    },
    thermometers: { steady: temperature(), hot: temperature() },
    readings,
    instruments: chance(0.5)
      ? GENERIC_INSTRUMENTS
      : {
          ...GENERIC_INSTRUMENTS,
          volts: [{ upTo: Infinity, relative: pick([1e-3, 0.05]), absolute: pick([1e-4, 0.1]), together: true }],
          meterInputOhm: logBetween(1e3, 1e10),
          meterOverloadOhm: logBetween(1e3, 1e9),
          leadOhm: pick([0, 5]),
        },
    factors: chance(0.3) ? { [pick(FAULTS).id]: pick([0, 1000, 0.2]) } : {},
  };
}

/** Paths of every number in plain data that is no number: NaN, or an Infinity that is not the OL of a resistance (`overload` allows it). */
export function nonFinite(data: unknown, overload: (path: string) => boolean, path = ''): string[] {
  if (typeof data === 'number') {
    const good = Number.isFinite(data) || (data === Infinity && overload(path));
    return good ? [] : [`${path} ${data}`];
  }
  if (typeof data !== 'object' || data === null) return [];
  return Object.entries(data).flatMap(([key, value]) => nonFinite(value, overload, `${path}/${key}`));
}
