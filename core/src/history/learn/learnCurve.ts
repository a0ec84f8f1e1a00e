import { linearFit } from '../../base/numeric/linearFit.ts';
import { type Curve, curveModel, curveSchema } from '../../circuit/curves/curve.ts';
import { KELVIN } from '../../circuit/curves/curveModel.ts';

/** A pair of temperature and resistance from a check. */
export interface LearnedPair {
  id: string;
  /** The check it is from, and the thermometer: pairs of one share what that has wrong. */
  check: string;
  thermometer: string;
  temperatureC: number;
  /** 1σ of the thermometer, K, and of the resistance, relative. */
  sigmaK: number;
  resistanceOhm: number;
  sigmaRelative: number;
}

export type LearnForm = 'beta' | 'steinhart-hart' | 'table';

export type LearnedCurve =
  | {
      ok: true;
      curve: Curve;
      form: LearnForm;
      /** Half the 95 % band of the curve at a temperature, K. */
      bandK: (temperatureC: number) => number;
      /** The pairs reach from … to, °C; outside that the curve only runs on. */
      fromC: number;
      toC: number;
      /** Pairs that the others contradict, by id, the worst first; they do not count. */
      outliers: string[];
      /** Residual of each pair, K: what it was measured at minus what the curve says. */
      residualsK: Record<string, number>;
      /** A pair at this temperature would narrow the band most, °C. */
      nextC: number;
    }
  | { ok: false; reason: 'too-few' | 'too-near' | 'contradictory' };

/** Fewest pairs of each form, and their number of coefficients. */
const FORMS = {
  beta: { least: 3, size: 2 },
  'steinhart-hart': { least: 6, size: 3 },
  table: { least: 4, size: 3 },
} as const;
/** Pairs must lie at least so far apart, K. */
const LEAST_SPAN_K = 8;
/** Of a thermometer's variance this share is the same in all its pairs: its calibration. Common practice, no source. */
const CALIBRATION_SHARE = 0.5;
/** A pair this many of its σ from the others is named and left out; never more than a fifth of them. */
const [OUT_SIGMAS, MOST_OUT] = [4, 0.2];
/** What a B that is no constant misses between the ends of a span of 60 K, 1σ in K: it grows with the square of the span. Common practice, no source. */
const [BETA_MISSES_K, OVER_K] = [0.35, 60];

/** The curve that pairs of one part number or place bear out, with how far it can be trusted. NTC by B or Steinhart–Hart, chosen by evidence; PTC as a smooth table. */
export function learnCurve(pairs: readonly LearnedPair[]): LearnedCurve {
  let used = [...pairs].filter((p) => p.resistanceOhm > 0 && p.temperatureC > -KELVIN);
  if (used.length < FORMS.beta.least) return { ok: false, reason: 'too-few' };
  const outliers: string[] = [];
  for (;;) {
    const span = spanOf(used);
    if (span.toC - span.fromC < LEAST_SPAN_K) return { ok: false, reason: 'too-near' };
    // A form whose coefficients make no sensor, or another one than was fitted, is none.
    const fits = fitsOf(used).filter((fit) => isOwn(fit, span, used));
    if (fits.length === 0) return { ok: false, reason: used.length < 4 ? 'too-few' : 'contradictory' };
    const best = fits.reduce((a, b) => (b.cost < a.cost ? b : a));
    const z = used.map((p) => Math.abs(best.residualK(p)) / best.sigmaOf(p));
    const worst = z.indexOf(Math.max(...z));
    if (z[worst] > OUT_SIGMAS && used.length > 4 && outliers.length < MOST_OUT * pairs.length) {
      outliers.push(used[worst].id);
      used = used.filter((_, i) => i !== worst);
      continue;
    }
    const curve = curveOf(best, span)!;
    const common = commonSigmaK(used);
    const form = best.form === 'beta' ? BETA_MISSES_K * Math.min(4, ((span.toC - span.fromC) / OVER_K) ** 2) : 0;
    const bandK = (t: number): number => 2 * Math.hypot(best.sigmaK(t), common, form);
    return {
      ok: true,
      curve: { ...curve, toleranceLog: toleranceOf(curve, span, bandK) } as Curve,
      form: best.form,
      bandK,
      ...span,
      outliers,
      residualsK: Object.fromEntries(pairs.map((p) => [p.id, best.residualK(p)])),
      nextC: nextOf(used, span, best),
    };
  }
}

interface Fit {
  form: LearnForm;
  /** −2 ln likelihood and a charge for each coefficient (BIC). */
  cost: number;
  coefficients: readonly number[];
  /** 1σ of the fitted temperature by the coefficients, K. */
  sigmaK: (temperatureC: number) => number;
  residualK: (pair: LearnedPair) => number;
  sigmaOf: (pair: LearnedPair) => number;
  /** 1σ of it with one pair more at this temperature. */
  with: (temperatureC: number, sigmaK: number) => (at: number) => number;
}

function spanOf(pairs: readonly LearnedPair[]): { fromC: number; toC: number } {
  const t = pairs.map((p) => p.temperatureC);
  return { fromC: Math.min(...t), toC: Math.max(...t) };
}

/** All forms that these pairs can bear. */
function fitsOf(pairs: readonly LearnedPair[]): Fit[] {
  const sorted = [...pairs].sort((a, b) => a.temperatureC - b.temperatureC);
  const third = Math.max(1, Math.floor(sorted.length / 3));
  const mean = (list: readonly LearnedPair[], of: (p: LearnedPair) => number): number =>
    list.reduce((sum, p) => sum + of(p), 0) / list.length;
  const [cold, hot] = [sorted.slice(0, third), sorted.slice(-third)];
  const rise = mean(hot, (p) => Math.log(p.resistanceOhm)) - mean(cold, (p) => Math.log(p.resistanceOhm));
  const perK = rise / (mean(hot, (p) => p.temperatureC) - mean(cold, (p) => p.temperatureC));
  if (!Number.isFinite(perK) || perK === 0) return [];
  const forms: LearnForm[] = perK < 0 ? ['beta', 'steinhart-hart'] : ['table'];
  return forms.flatMap((form) => (pairs.length < FORMS[form].least ? [] : (fitOf(pairs, form, perK) ?? [])));
}

/** Basis of each form: of ln R for an NTC, whose y is 1/T; of t for a PTC, whose y is ln R. */
const BASIS: Record<LearnForm, (x: number) => number[]> = {
  beta: (l) => [1, l],
  'steinhart-hart': (l) => [1, l, l * l * l],
  table: (t) => [1, t / 100, (t / 100) ** 2],
};

function fitOf(pairs: readonly LearnedPair[], form: LearnForm, perK: number): Fit | null {
  const ntc = form !== 'table';
  const basis = BASIS[form];
  /** What the thermometer scatters from pair to pair, and the meter, as K. */
  const sigmaOf = (p: LearnedPair): number =>
    Math.hypot(p.sigmaK * Math.sqrt(1 - CALIBRATION_SHARE), p.sigmaRelative / Math.abs(perK));
  const scale = (t: number): number => (ntc ? 1 / (t + KELVIN) ** 2 : Math.abs(perK));
  const weight = (p: LearnedPair): number => 1 / (sigmaOf(p) * scale(p.temperatureC));
  const xOf = (p: LearnedPair): number => (ntc ? Math.log(p.resistanceOhm) : p.temperatureC);
  const yOf = (p: LearnedPair): number => (ntc ? 1 / (p.temperatureC + KELVIN) : Math.log(p.resistanceOhm));
  const columns = basis(0).map((_, k) => pairs.map((p) => basis(xOf(p))[k] * weight(p)));
  let coefficients: number[];
  let covariance: number[][];
  try {
    const fit = linearFit(
      columns,
      pairs.map((p) => yOf(p) * weight(p)),
    );
    coefficients = fit.coefficients;
    // The scatter is known beforehand: the covariance is that of unit weights.
    covariance = fit.covariance.map((row) => row.map((v) => v / fit.scatter ** 2));
  } catch {
    return null;
  }
  if (covariance.flat().some((v) => !Number.isFinite(v))) return null;
  const value = (x: number): number => basis(x).reduce((sum, b, k) => sum + b * coefficients[k], 0);
  /** x at a temperature: of an NTC by the fitted curve itself. */
  const xAt = (t: number): number => {
    if (!ntc) return t;
    let [low, high] = [-5, 25];
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2;
      if (value(middle) < 1 / (t + KELVIN)) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  const spread = (cov: readonly (readonly number[])[], t: number): number => {
    const b = basis(xAt(t));
    let sum = 0;
    b.forEach((x, i) => b.forEach((y, j) => (sum += x * y * cov[i][j])));
    return Math.sqrt(Math.max(0, sum)) / scale(t);
  };
  const residualK = (p: LearnedPair): number => (yOf(p) - value(xOf(p))) / (ntc ? -scale(p.temperatureC) : perK);
  const chi = pairs.reduce((sum, p) => sum + (residualK(p) / sigmaOf(p)) ** 2, 0);
  return {
    form,
    cost: chi + FORMS[form].size * Math.log(pairs.length),
    coefficients,
    sigmaK: (t) => spread(covariance, t),
    residualK,
    sigmaOf,
    with(t, sigmaK) {
      // Rank-one update of the covariance by one pair more (Sherman and Morrison).
      const b = basis(xAt(t));
      const w = 1 / (sigmaK * scale(t)) ** 2;
      const cb = covariance.map((row) => row.reduce((sum, v, j) => sum + v * b[j], 0));
      const down = 1 + w * b.reduce((sum, v, i) => sum + v * cb[i], 0);
      const next = covariance.map((row, i) => row.map((v, j) => v - (w * cb[i] * cb[j]) / down));
      return (at) => spread(next, at);
    },
  };
}

function curveOf({ form, coefficients }: Fit, { fromC, toC }: { fromC: number; toC: number }): Curve | null {
  const [a, b, c] = coefficients;
  const bounds = { minC: Math.floor(fromC), maxC: Math.ceil(toC) };
  const made =
    form === 'beta'
      ? { kind: 'beta', r25Ohm: Math.exp((1 / (25 + KELVIN) - a) / b), betaK: 1 / b }
      : form === 'steinhart-hart'
        ? { kind: 'steinhart-hart', a, b, c, ...bounds }
        : {
            kind: 'table',
            points: Array.from({ length: 9 }, (_, i) => {
              const t = fromC + ((toC - fromC) * i) / 8;
              return {
                temperatureC: t,
                resistanceOhm: Math.exp(BASIS.table(t).reduce((s, x, k) => s + x * coefficients[k], 0)),
              };
            }),
          };
  const parsed = curveSchema.safeParse(made);
  if (!parsed.success) return null;
  const model = curveModel(parsed.data);
  const ohms = Array.from({ length: 9 }, (_, i) => model.resistanceOhm(fromC + ((toC - fromC) * i) / 8));
  const rises = ohms[8] > ohms[0];
  return ohms.every((r, i) => Number.isFinite(r) && r > 0 && (i === 0 || r > ohms[i - 1] === rises))
    ? parsed.data
    : null;
}

/** Does the curve that is made of these coefficients say at the pairs what was fitted to them? */
function isOwn(fit: Fit, span: { fromC: number; toC: number }, pairs: readonly LearnedPair[]): boolean {
  const curve = curveOf(fit, span);
  if (!curve) return false;
  const model = curveModel(curve);
  return pairs.every((p) => {
    const said = p.temperatureC - model.temperatureC(p.resistanceOhm);
    return Math.abs(said - fit.residualK(p)) < 1 + 0.1 * Math.abs(said);
  });
}

/** What the thermometers have wrong in all their pairs alike, 1σ in K: by the share of each in the whole. */
function commonSigmaK(pairs: readonly LearnedPair[]): number {
  const byThermometer = new Map<string, { count: number; variance: number }>();
  for (const p of pairs) {
    const own = byThermometer.get(p.thermometer) ?? { count: 0, variance: 0 };
    byThermometer.set(p.thermometer, { count: own.count + 1, variance: own.variance + p.sigmaK ** 2 });
  }
  let sum = 0;
  for (const { count, variance } of byThermometer.values())
    sum += (count / pairs.length) ** 2 * CALIBRATION_SHARE * (variance / count);
  return Math.sqrt(sum);
}

/** The band as a tolerance of the curve, 1σ of ln R, in the middle of what is known. */
function toleranceOf(
  curve: Curve,
  { fromC, toC }: { fromC: number; toC: number },
  bandK: (t: number) => number,
): number {
  const model = curveModel(curve);
  const at = [fromC, (fromC + toC) / 2, toC];
  const logs = at.map((t) => {
    const slope = Math.log(model.resistanceOhm(t + 0.5) / model.resistanceOhm(t - 0.5));
    return (bandK(t) / 2) * Math.abs(slope);
  });
  return Math.min(0.5, Math.max(1e-4, logs.reduce((a, b) => a + b, 0) / logs.length));
}

/** Pairs are wished for up to so far beyond those there are, K. */
const BEYOND_K = 25;

/** The temperature at which one pair more narrows the band most, over the pairs' range and a little beyond, °C in whole fives. */
function nextOf(pairs: readonly LearnedPair[], { fromC, toC }: { fromC: number; toC: number }, fit: Fit): number {
  const sigma = pairs.reduce((sum, p) => sum + p.sigmaK, 0) / pairs.length;
  const whole = (t: number): number => 5 * Math.round(t / 5);
  const [low, high] = [fromC - BEYOND_K, toC + BEYOND_K];
  const asked = Array.from({ length: 9 }, (_, i) => low + ((high - low) * i) / 8);
  const candidates = [...new Set(asked.map(whole))];
  const left = (t: number): number => {
    const after = fit.with(t, sigma);
    return asked.reduce((sum, at) => sum + after(at) ** 2, 0);
  };
  return candidates.reduce((a, b) => (left(b) < left(a) ? b : a));
}
