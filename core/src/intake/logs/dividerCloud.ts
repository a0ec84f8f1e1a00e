import type { CurveModel } from '../../circuit/curves/curveModel.ts';
import { leastSquares, type LeastSquares } from '../../base/numeric/leastSquares.ts';
import { medianOf } from '../../base/numeric/quantiles.ts';
import { blocksOf, valueAt } from './blocks.ts';
import type { Found } from './finding.ts';
import type { LogChannel } from './log.ts';

/** What is known of the divider beforehand; nothing of it must be. */
export interface DividerKnown {
  layout: 'pull-up' | 'pull-down';
  /** Curve of the sensor, where it is known. */
  curve: CurveModel | null;
  referenceV: number;
  pullUpOhm: number | null;
}

const BIN_K = 2;
const IN_BIN = 2;
/** Residuals beyond so many scales count no more (Tukey's biweight). */
const TUKEY = 4.685;
/** The line is left where it is off by at least so much, K, over two bins. */
const LEAVES_K = 2.5;
const KELVIN = 273.15;
/** 1σ of the thermometer against the sensor, common to all points, K. */
const THERMOMETER_K = 1;

/**
 * The curve of the divider through the cloud of voltage against temperature: reference and pull-up learned with their 1σ where the sensor's curve is known,
 * else reference, pull-up in multiples of the sensor at 25 °C, and the B of the sensor. Points are the medians of bins of 2 K, so that a thousand samples at
 * one temperature count as one; a part that leaves the line does not pull it (Tukey's biweight). Null with less than 20 K or 6 bins.
 *
 * @param untilS what comes later is left out: after a lasting step it is another circuit
 */
export function dividerCloud(
  timeS: Float64Array,
  volts: LogChannel,
  temperature: LogChannel,
  known: DividerKnown,
  leave: readonly { fromS: number; toS: number }[],
  untilS = Infinity,
): Found<'divider'> | null {
  const points = binsOf(timeS, volts, temperature, leave, untilS);
  if (points.length < 6 || points[points.length - 1].atC - points[0].atC < 20) return null;
  const ohmOf = (c: number, betaK: number): number =>
    known.curve ? known.curve.resistanceOhm(c) : Math.exp(betaK * (1 / (c + KELVIN) - 1 / (25 + KELVIN)));
  // Logarithms, so that nothing runs below zero. Without a curve the sensor is 1 at 25 °C.
  const start = [
    Math.log(known.referenceV),
    Math.log(known.curve ? (known.pullUpOhm ?? 2500) : 1.2),
    ...(known.curve ? [] : [3600]),
  ];
  const model = (p: readonly number[], c: number): number => {
    const [reference, fixed, sensor] = [Math.exp(p[0]), Math.exp(p[1]), ohmOf(c, p[2])];
    return (reference * (known.layout === 'pull-up' ? sensor : fixed)) / (sensor + fixed);
  };
  const fit = robust(points, model, start);
  if (!fit) return null;
  const slope = (c: number): number => (model(fit.parameters, c + 0.5) - model(fit.parameters, c - 0.5)) / 1;
  const bins = points.map(({ atC, volts: v }) => {
    const fitted = model(fit.parameters, atC);
    return { atC, volts: v, fitted, offK: (v - fitted) / slope(atC) };
  });
  const [reference, fixed] = fit.parameters.map(Math.exp);
  // The thermometer may be off by a kelvin, and behind or ahead by as much while it warms: all points together.
  const shifted = robust(
    points.map((q) => ({ ...q, atC: q.atC + THERMOMETER_K })),
    model,
    fit.parameters,
  );
  const sigma = (k: number): number =>
    Math.hypot(Math.sqrt(fit.covariance[k][k]), (shifted?.parameters[k] ?? fit.parameters[k]) - fit.parameters[k]);
  return {
    kind: 'divider',
    volts: volts.id,
    against: temperature.id,
    referenceV: { value: reference, sigma: reference * sigma(0) },
    pullUpOhm: known.curve ? { value: fixed, sigma: fixed * sigma(1) } : null,
    betaK: known.curve ? null : { value: fit.parameters[2], sigma: sigma(2) },
    bins,
    leaves: leavesAt(bins),
  };
}

interface Point {
  atC: number;
  volts: number;
}

function binsOf(
  timeS: Float64Array,
  volts: LogChannel,
  temperature: LogChannel,
  leave: readonly { fromS: number; toS: number }[],
  untilS: number,
): Point[] {
  const [v, t] = [blocksOf(timeS, volts.values, 1, leave), blocksOf(timeS, temperature.values, 1)];
  const bins = new Map<number, { c: number[]; v: number[] }>();
  v.t.forEach((at, i) => {
    const c = valueAt(t, at);
    if (Number.isNaN(c) || at > untilS) return;
    const key = Math.floor(c / BIN_K);
    const bin = bins.get(key) ?? { c: [], v: [] };
    bin.c.push(c);
    bin.v.push(v.x[i]);
    bins.set(key, bin);
  });
  return [...bins.values()]
    .filter((b) => b.c.length >= IN_BIN)
    .map((b) => ({ atC: b.c.reduce((a, c) => a + c, 0) / b.c.length, volts: medianOf(b.v) }))
    .sort((a, b) => a.atC - b.atC);
}

/** Least squares by rounds: after each, a point counts less the farther it lies out. */
function robust(
  points: readonly Point[],
  model: (p: readonly number[], c: number) => number,
  start: readonly number[],
): LeastSquares | null {
  let weights = points.map(() => 1);
  let fit: LeastSquares | null = null;
  for (let round = 0; round < 8; round++) {
    const root = weights.map(Math.sqrt);
    fit = leastSquares((p) => points.map((q, i) => root[i] * (model(p, q.atC) - q.volts)), fit?.parameters ?? start);
    if (!fit) return null;
    const { parameters } = fit;
    const left = points.map((q) => Math.abs(model(parameters, q.atC) - q.volts));
    const scale = Math.max(0.002, 1.4826 * medianOf(left));
    weights = left.map((r) => (r < TUKEY * scale ? (1 - (r / (TUKEY * scale)) ** 2) ** 2 : 0));
  }
  return fit;
}

/** The stretch of temperature in which two neighbouring bins or more are off on the same side. */
function leavesAt(bins: readonly { atC: number; offK: number }[]): { fromC: number; toC: number; offK: number } | null {
  let best: { fromC: number; toC: number; offK: number } | null = null;
  for (let i = 0; i < bins.length; i++) {
    if (!(Math.abs(bins[i].offK) > LEAVES_K)) continue;
    let end = i;
    while (end + 1 < bins.length && bins[end + 1].offK * Math.sign(bins[i].offK) > LEAVES_K) end++;
    const worst = Math.max(...bins.slice(i, end + 1).map((b) => Math.abs(b.offK)));
    if (end > i && (!best || worst > Math.abs(best.offK)))
      best = { fromC: bins[i].atC, toC: bins[end].atC, offK: worst * Math.sign(bins[i].offK) };
    i = end;
  }
  return best;
}
