import type { DisplayScale } from '../../circuit/network/sensorCircuit.ts';
import type { Spread } from '../../circuit/network/spread.ts';
import type { Accuracy, Instruments } from '../../catalogue/kit/instruments.ts';

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

/** As `ohmsNoise`, of a meter whose range ends at `aboveOhm` (`> 20 MΩ`): what is predicted beyond it shows as OL there. */
export function boundNoise(instruments: Instruments, aboveOhm: number): NoiseModel {
  const noise = ohmsNoise({ ...instruments, meterOverloadOhm: aboveOhm });
  const shown = (p: number): number => (p > aboveOhm ? Infinity : p);
  return {
    ...noise,
    logGood: (v, p) => noise.logGood(v, shown(p)),
    residual: (v, p) => noise.residual(v, shown(p)),
    draw: (p, z) => noise.draw(shown(p), z),
  };
}

/** Share of blunders that are one of the two ends of the scale. */
const END_BLUNDER = 0.3;
/** Chance that a module whose pin is at an end shows a default in its place: any value of its scale. */
const DEFAULT_SHOWN = 0.03;

/**
 * A displayed value scatters about what the module computes; where that is an end of its scale, the module may show a default instead. The ends
 * are known to some kelvin only (`spread`), so no figure is taken for exact.
 */
export function displayedNoise(instruments: Instruments, scale: DisplayScale, spread: Spread): NoiseModel {
  const { minC, maxC, resolutionC, substituteC } = scale;
  const own = Math.hypot(instruments.displayedK, resolutionC / Math.sqrt(12));
  const variance = own * own;
  const [low, high] = [minC - 20, maxC + 20];
  const logAnywhere = -Math.log(high - low);
  // An end may be this far from where it was told.
  const [nearLow, nearHigh] = [minC + 3 * spread.lowEndK + own, maxC - 3 * spread.highEndK - own];
  const logEnd = (v: number, end: number, sigmaK: number): number =>
    logNormalOf(v - end, variance + (1.5 * sigmaK) ** 2);
  const atEnd = (p: number): boolean => p <= nearLow || p >= nearHigh || p === substituteC;
  return {
    sigma: () => own,
    logGood: (v, p) => {
      const shown = logNormalOf(v - p, variance);
      if (!atEnd(p)) return shown;
      return logMixture(Math.log1p(-DEFAULT_SHOWN) + shown, Math.log(DEFAULT_SHOWN) + logAnywhere);
    },
    logBlunder: (v) =>
      logMixture(
        Math.log(1 - END_BLUNDER) + logAnywhere,
        Math.log(END_BLUNDER / 2) + logMixture(logEnd(v, minC, spread.lowEndK), logEnd(v, maxC, spread.highEndK)),
      ),
    residual: (v, p) => (p - v) / own,
    draw: (p, z) => Math.round((p + instruments.displayedK * z) / resolutionC) * resolutionC,
    drawBlunder: (p) => {
      if (p < END_BLUNDER / 2) return minC;
      if (p > 1 - END_BLUNDER / 2) return maxC;
      return Math.round(low + ((high - low) * (p - END_BLUNDER / 2)) / (1 - END_BLUNDER));
    },
  };
}

/** 1σ of what another sensor shows against the temperature it was said to have: its own tolerance and that temperature, K. Common practice, no source. */
const NEIGHBOUR_K = 4;
/** Chance that a neighbour has a fault of its own and shows anything. Common practice, no source. */
const NEIGHBOUR_BAD = 0.05;

/** As `displayedNoise`, of another sensor: its temperature is known roughly, and it may be bad itself. */
export function neighbourNoise(instruments: Instruments, scale: DisplayScale, spread: Spread): NoiseModel {
  const displayedK = Math.hypot(instruments.displayedK, NEIGHBOUR_K);
  const sound = displayedNoise({ ...instruments, displayedK }, scale, spread);
  const [logSound, logBad] = [Math.log(1 - NEIGHBOUR_BAD), Math.log(NEIGHBOUR_BAD)];
  return {
    ...sound,
    logGood: (v, p) => logMixture(logSound + sound.logGood(v, p), logBad + sound.logBlunder(v)),
  };
}

/** ln of the mixture of two ln likelihoods that carry their weights already. */
export function logMixture(good: number, bad: number): number {
  const difference = good - bad;
  if (difference > 30) return good;
  if (!(difference >= -30)) return bad;
  return difference > 0 ? good + Math.log1p(Math.exp(-difference)) : bad + Math.log1p(Math.exp(difference));
}
