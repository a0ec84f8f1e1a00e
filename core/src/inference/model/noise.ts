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
  /** Chance that a sound reading that is predicted to be this shows any other value; absent: none. */
  elsewhere?(predicted: number): number;
}

/** As `NoiseModel`, of a display; its values may be Infinity: dashes, or nothing shown. */
export interface DisplayNoise extends NoiseModel {
  /** Is this predicted value an end of the scale? */
  atEnd(predicted: number): boolean;
  /** Chance that the module substitutes something for an end of its scale. */
  share: number;
  /** ln likelihood of a value where the end itself is shown, of one shown before, and of any substitute. */
  logPlain(value: number, predicted: number): number;
  logSame(value: number, before: number): number;
  logFresh(value: number): number;
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
/** Chance that a module of which nothing is known shows something else while its pin is at an end of the scale. */
const HARDLY_EVER = 0.03;
/** What is shown then: in this share nothing (dashes, a dark field), else any value of the scale. Common practice, no source. */
const SHOWS_NOTHING = 0.15;
/** Chance that a display shows nothing while the pin is within the scale, and that "nothing" was read where there was a value. */
const [NOTHING_WITHIN, NOTHING_MISREAD] = [0.003, 0.02];
/** From here on a value is no end of the scale that was told a little wrong, K. */
const CLEARLY_WITHIN_K = 10;
/** Largest residual of a value that may be a substitute: about what it costs, −ln of its chance and of the width of the scale. */
const SUBSTITUTE_RESIDUAL = 3;

/**
 * A displayed value scatters about what the module computes; where that is an end of its scale, the module may show a substitute instead: a fixed
 * value, the last good one, or nothing (Infinity). The ends are known to some kelvin only (`spread`), so no figure is taken for exact.
 */
export function displayedNoise(instruments: Instruments, scale: DisplayScale, spread: Spread): DisplayNoise {
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
  const share = substituteC === null ? (scale.substitutes ?? HARDLY_EVER) : HARDLY_EVER;
  const [logShown, logSubstitute] = [Math.log1p(-share), Math.log(share)];
  const logFresh = (v: number): number =>
    v === Infinity ? Math.log(SHOWS_NOTHING) : Math.log1p(-SHOWS_NOTHING) + logAnywhere;
  const logPlain = (v: number, p: number): number => (v === Infinity ? -Infinity : logNormalOf(v - p, variance));
  const maybeSubstitute = (v: number, p: number): boolean =>
    share > HARDLY_EVER && atEnd(p) && v > minC + CLEARLY_WITHIN_K && v < maxC - CLEARLY_WITHIN_K;
  return {
    sigma: () => own,
    elsewhere: (p) => (atEnd(p) ? share : 0),
    atEnd,
    share,
    logPlain,
    logSame: (v, before) => (v === Infinity && before === Infinity ? 0 : logNormalOf(v - before, 2 * variance)),
    logFresh,
    logGood: (v, p) => {
      if (atEnd(p)) return logMixture(logShown + logPlain(v, p), logSubstitute + logFresh(v));
      return v === Infinity ? Math.log(NOTHING_WITHIN) : logPlain(v, p);
    },
    logBlunder: (v) =>
      v === Infinity
        ? Math.log(NOTHING_MISREAD)
        : logMixture(
            Math.log(1 - END_BLUNDER) + logAnywhere,
            Math.log(END_BLUNDER / 2) + logMixture(logEnd(v, minC, spread.lowEndK), logEnd(v, maxC, spread.highEndK)),
          ),
    residual: (v, p) => {
      if (v === Infinity) return atEnd(p) ? 0 : 4;
      const plain = (p - v) / own;
      return maybeSubstitute(v, p) ? Math.max(-SUBSTITUTE_RESIDUAL, Math.min(SUBSTITUTE_RESIDUAL, plain)) : plain;
    },
    draw: (p, z) => Math.round((p + instruments.displayedK * z) / resolutionC) * resolutionC,
    drawBlunder: (p) => {
      if (p < END_BLUNDER / 2) return minC;
      if (p > 1 - END_BLUNDER / 2) return maxC;
      return Math.round(low + ((high - low) * (p - END_BLUNDER / 2)) / (1 - END_BLUNDER));
    },
  };
}

/** Weight of a new value against those shown before, and of the last good value, where a module substitutes. Common practice, no source. */
const [NEW_VALUE, LAST_GOOD] = [0.2, 0.3];

/** ln of a sum of two, the first times a share and the second times the rest. */
const logShared = (share: number, a: number, b: number): number =>
  logMixture(Math.log(share) + a, Math.log1p(-share) + b);

/**
 * ln likelihood of displayed values all of which are predicted at an end of the scale. The module either always shows the end or always
 * substitutes, and then it mostly shows the same: the value it showed at an end before, or the last good one.
 * @param good the values that were shown with the pin within the scale
 * @param logBad ln of chance and likelihood of each value as a blunder
 */
export function logAtEnds(
  noise: DisplayNoise,
  shown: readonly { value: number; predicted: number; logBad: number }[],
  good: readonly number[],
  logSound: number,
): number {
  let [plain, substituted] = [0, 0];
  shown.forEach(({ value, predicted, logBad }, i) => {
    plain += logMixture(logSound + noise.logPlain(value, predicted), logBad);
    const before = shown.slice(0, i).map((s) => noise.logSame(value, s.value));
    const repeated = before.length > 0 ? logMean(before) : -Infinity;
    const last = good.length > 0 ? logMean(good.map((g) => noise.logSame(value, g))) : -Infinity;
    const fresh = good.length > 0 ? logShared(LAST_GOOD, last, noise.logFresh(value)) : noise.logFresh(value);
    const isNew = NEW_VALUE / (NEW_VALUE + i);
    const here = i === 0 ? fresh : logShared(isNew, fresh, repeated);
    substituted += logMixture(logSound + here, logBad);
  });
  return logShared(noise.share, substituted, plain);
}

function logMean(values: readonly number[]): number {
  return values.reduce((sum, v) => logMixture(sum, v), -Infinity) - Math.log(values.length);
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
