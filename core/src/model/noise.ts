import type { DisplayScale } from '../circuit/sensorCircuit.ts';
import { normalCdf } from '../numeric/normal.ts';
import type { Accuracy, Instruments } from '../kit/instruments.ts';

/**
 * How one reading of one quantity scatters about what the circuit predicts. `value` and `predicted` in V, Ω (Infinity is OL) or °C.
 * Densities are per V, Ω or °C; OL and the ends of a display scale are single outcomes with a probability of their own.
 */
export interface NoiseModel {
  /** ln likelihood of a value when the reading is no blunder. */
  logGood(value: number, predicted: number): number;
  /** ln likelihood of a value when it is a blunder: anything the meter can show. */
  logBlunder(value: number): number;
  /** Deviation in units of 1σ, signed, 0 where the value is what is predicted; finite everywhere and smooth between the ends. */
  residual(value: number, predicted: number): number;
  /** 1σ of a reading that is predicted to be this, in its own unit. */
  sigma(predicted: number): number;
  /** One noisy, rounded reading; `z` standard normal. */
  draw(predicted: number, z: number): number;
  /** One blunder; `p` uniform in (0, 1). */
  drawBlunder(p: number): number;
}

/** Variance of a reading that is predicted to be p, by the meter's range. */
function varianceBy(ranges: readonly Accuracy[]): (p: number) => number {
  const squares = ranges.map((r) => ({
    upTo: r.upTo,
    relative: r.relative ** 2,
    absolute: r.absolute ** 2,
    cross: r.together ? 2 * r.relative * r.absolute : 0,
  }));
  if (squares.length === 1 && squares[0].cross === 0) {
    // The generic meter, in the innermost loop of the ranking.
    const [{ relative, absolute }] = squares;
    return (p) => relative * p * p + absolute;
  }
  return (p) => {
    let i = 0;
    while (i < squares.length - 1 && Math.abs(p) > squares[i].upTo) i++;
    return squares[i].relative * p * p + squares[i].absolute + squares[i].cross * Math.abs(p);
  };
}

const LOG_ROOT_2PI = 0.5 * Math.log(2 * Math.PI);
const FAR = 1e4;

/** ln of the normal density, from the variance: no root is needed. */
function logNormalOf(deviation: number, variance: number): number {
  return -0.5 * ((deviation * deviation) / variance + Math.log(variance)) - LOG_ROOT_2PI;
}

function logNormal(value: number, mean: number, sigma: number): number {
  const z = (value - mean) / sigma;
  return -0.5 * z * z - Math.log(sigma) - LOG_ROOT_2PI;
}

export function voltsNoise(instruments: Instruments, supplyV: number): NoiseModel {
  const variance = varianceBy(instruments.volts);
  const sigma = (p: number): number => Math.sqrt(variance(p));
  const [low, high] = [-1, supplyV + 2];
  return {
    sigma,
    logGood: (v, p) => logNormalOf(v - p, variance(p)),
    logBlunder: () => -Math.log(high - low),
    residual: (v, p) => (p - v) / sigma(p),
    draw: (p, z) => p + sigma(p) * z,
    drawBlunder: (p) => low + (high - low) * p,
  };
}

const OHM_LOW = 0.01;
const OL_BLUNDER = 0.2;
/** ln chance that a sound meter shows OL for a resistance it could measure, or a figure for one it could not. */
const LOG_WRONG_OVERLOAD = Math.log(1e-4);

export function ohmsNoise(instruments: Instruments): NoiseModel {
  const variance = varianceBy(instruments.ohms);
  const sigma = (p: number): number => (p === Infinity ? Infinity : Math.sqrt(variance(p)));
  const high = instruments.meterOverloadOhm;
  const span = Math.log(high / OHM_LOW);
  return {
    sigma,
    logGood: (v, p) => {
      if (v === Infinity) return p === Infinity ? 0 : LOG_WRONG_OVERLOAD - 2 * Math.log(high / Math.max(p, OHM_LOW));
      if (p === Infinity)
        return LOG_WRONG_OVERLOAD - Math.log(Math.max(v, 1)) - 2 * Math.log(high / Math.max(v, OHM_LOW));
      return logNormalOf(v - p, variance(p));
    },
    logBlunder: (v) =>
      v === Infinity ? Math.log(OL_BLUNDER) : Math.log((1 - OL_BLUNDER) / span / Math.max(v, 5 * OHM_LOW)),
    residual: (v, p) => {
      if (v === Infinity) return p === Infinity ? 0 : -Math.min(FAR, Math.log(high / Math.max(p, OHM_LOW)) / 0.05 + 4);
      if (p === Infinity) return Math.min(FAR, Math.log(high / Math.max(v, OHM_LOW)) / 0.05 + 4);
      // Logarithmic far away, so that the sign and the order of magnitude survive; the plain deviation near by.
      const scale = sigma(p) / Math.max(p, 1e-9);
      return scale < 0.1 && v > 0 ? Math.log(p / v) / scale : (p - v) / sigma(p);
    },
    draw: (p, z) => (p === Infinity ? p : Math.max(0, p + sigma(p) * z)),
    drawBlunder: (p) => (p < OL_BLUNDER ? Infinity : OHM_LOW * Math.exp((span * (p - OL_BLUNDER)) / (1 - OL_BLUNDER))),
  };
}

const RAIL_BLUNDER = 0.15;
/** Chance that a display at the end of its scale shows something else than that end. */
const RAIL_SLIP = 1e-3;

export function displayedNoise(instruments: Instruments, scale: DisplayScale): NoiseModel {
  const { minC, maxC, resolutionC, substituteC } = scale;
  const spread = Math.hypot(instruments.displayedK, resolutionC / Math.sqrt(12));
  const half = resolutionC / 2;
  const isEnd = (v: number): boolean => v <= minC + half || v >= maxC - half || v === substituteC;
  const exact = (p: number): boolean => p <= minC || p >= maxC || p === substituteC;
  return {
    sigma: (p) => (exact(p) ? 1e-3 : spread),
    logGood: (v, p) => {
      if (exact(p)) {
        const same = Math.abs(v - p) <= half || (p <= minC && v < p) || (p >= maxC && v > p);
        if (same) return Math.log(1 - RAIL_SLIP);
        return Math.log(RAIL_SLIP) + logNormal(v, p, spread);
      }
      if (v <= minC + half) return logTail((minC + half - p) / spread);
      if (v >= maxC - half) return logTail((p - maxC + half) / spread);
      return logNormal(v, p, spread);
    },
    logBlunder: (v) => Math.log(isEnd(v) ? RAIL_BLUNDER : (1 - 2 * RAIL_BLUNDER) / (maxC - minC)),
    residual: (v, p) => {
      const target = Math.min(maxC, Math.max(minC, v));
      if (exact(p) && Math.abs(target - p) <= half) return 0;
      return (p - target) / spread;
    },
    draw: (p, z) => {
      if (exact(p)) return p;
      const rounded = Math.round((p + instruments.displayedK * z) / resolutionC) * resolutionC;
      return Math.min(maxC, Math.max(minC, rounded));
    },
    drawBlunder: (p) => {
      if (p < RAIL_BLUNDER) return minC;
      if (p > 1 - RAIL_BLUNDER) return maxC;
      return Math.round(minC + ((maxC - minC) * (p - RAIL_BLUNDER)) / (1 - 2 * RAIL_BLUNDER));
    },
  };
}

/** ln Φ(z), also where Φ underflows. */
function logTail(z: number): number {
  return z > -6 ? Math.log(normalCdf(z)) : -0.5 * z * z - Math.log(-z) - LOG_ROOT_2PI;
}

/** ln of the mixture of two ln likelihoods that carry their weights already. */
export function logMixture(good: number, bad: number): number {
  const difference = good - bad;
  if (difference > 30) return good;
  if (difference < -30) return bad;
  return difference > 0 ? good + Math.log1p(Math.exp(-difference)) : bad + Math.log1p(Math.exp(difference));
}
