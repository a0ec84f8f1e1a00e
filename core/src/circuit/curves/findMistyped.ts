import { middleOf } from '../../base/numeric/middleOf.ts';
import { choleskyFactor, solveLower, solveUpper } from '../../base/numeric/cholesky.ts';
import { KELVIN } from './curveModel.ts';
import type { TablePoint } from './table.ts';

/** A row that sticks out of its neighbours: by how much, K, and what it was probably meant to be, Ω. */
export interface Mistyped {
  row: number;
  errorK: number;
  meantOhm: number;
}

const MOST = 3;
/** Fewer rows than this cannot tell which of them is wrong. */
const LEAST = 4;
/** Less than this is not worth a word, K. */
const FLOOR_K = 0.6;
/** A row must lie this many of its own σ off the curve of all others. On clean tables of many kinds and spacings less than one in a hundred does. */
const FAR = 5;
/** No table is more exact than this, 1σ in K: rounding aside, makers smooth their own. */
const CALM_K = 0.04;
/** Rows that are looked at more closely in each round. */
const SUSPECTS = 8;

/** What is believed of a kind of curve before a table is seen: mean and 1σ of each coefficient of a polynomial in its own coordinates. */
interface Family {
  /** Coordinate of a temperature, and value of a resistance. */
  x(temperatureC: number): number;
  y(resistanceOhm: number): number;
  ohmOf(y: number): number;
  prior: readonly (readonly [mean: number, sigma: number])[];
}

/**
 * ln R over 1/T, in units of 10⁻³/K from 300 K. The bend and what follows it as of the catalogue's and the kernel's tables, which lie between −0.22
 * and 0, −0.04 and 0.05, −0.02 and 0.08 (measured on them), somewhat wider.
 */
function ntcFamily(ohms: readonly number[]): Family {
  const level = Math.log(ohms[ohms.length >> 1]);
  return {
    x: (t) => 1000 * (1 / (t + KELVIN) - 1 / 300),
    y: Math.log,
    ohmOf: Math.exp,
    prior: [
      [level, 10],
      [3.9, 1.2],
      [-0.13, 0.1],
      [0, 0.05],
      [0, 0.03],
    ],
  };
}

/** An NTC with a resistor inside the sensor bends as no bare one does. */
const BENT: Family['prior'] = [
  [8.4, 10],
  [3, 1.5],
  [-0.5, 1.2],
  [0, 0.8],
  [0, 0.4],
];
/** ln of how many sensors have one inside, against how many rows are mistyped anyhow: common practice, no source. */
const LOG_BENT_RATHER = -2;

/** R over T in hundreds of K from 25 °C, as a share of one of the rows: platinum, nickel and silicon lie within these. */
function ptcFamily(points: readonly TablePoint[]): Family {
  const near = points.reduce((a, b) => (Math.abs(b.temperatureC - 25) < Math.abs(a.temperatureC - 25) ? b : a));
  return {
    x: (t) => (t - 25) / 100,
    y: (r) => r / near.resistanceOhm,
    ohmOf: (y) => y * near.resistanceOhm,
    prior: [
      [1, 2],
      [0.5, 0.5],
      [0.07, 0.12],
      [0.002, 0.006],
      [0, 0.003],
    ],
  };
}

/** A table in the coordinates of its family. */
interface Spots {
  powers: Float64Array[];
  y: Float64Array;
  /** d y/dT there, and what rounding in print adds, 1σ of y. */
  perK: Float64Array;
  rounded: Float64Array;
}

/**
 * Rows that were probably mistyped. Each row is held against the curve through all others, a polynomial in the coordinates of its kind whose
 * coefficients are believed to lie where those of sensors do, with the uncertainty that curve has there: so a row at the end, or after a gap, is
 * given what it needs. The row is named without which the others lie calmest. At least four rows; at most three are named. Tables that span
 * decades upwards (motor windings) are left alone.
 */
export function findMistyped(points: readonly TablePoint[]): Mistyped[] {
  const ohms = points.map((p) => p.resistanceOhm);
  if (points.length < LEAST || points.some((p) => !(p.resistanceOhm > 0) || !(p.temperatureC > -KELVIN))) return [];
  const falls = ohms[ohms.length - 1] < ohms[0];
  if (!falls && ohms[ohms.length - 1] > 60 * ohms[0]) return [];
  const family = falls ? ntcFamily(ohms) : ptcFamily(points);
  const spots = spotsOf(points, family);
  const kept = new Set(points.keys());
  const found: Mistyped[] = [];
  while (found.length < MOST && kept.size >= LEAST) {
    let worst = worstOf(spots, family, [...kept]);
    if (worst && falls && bentRather(spots, family, [...kept], worst.calm))
      worst = worstOf(spots, { ...family, prior: BENT }, [...kept]);
    if (!worst) break;
    kept.delete(worst.row);
    found.push({ row: worst.row, errorK: worst.errorK, meantOhm: family.ohmOf(spots.y[worst.row] - worst.off) });
  }
  return found.sort((a, b) => a.row - b.row);
}

function spotsOf(points: readonly TablePoint[], family: Family): Spots {
  const n = points.length;
  const x = points.map((p) => family.x(p.temperatureC));
  const y = points.map((p) => family.y(p.resistanceOhm));
  const steps = printedSteps(points.map((p) => p.resistanceOhm));
  return {
    powers: family.prior.map((_, k) => Float64Array.from(x, (v) => v ** k)),
    y: Float64Array.from(y),
    // The slope from several rows around: one of them may be the wrong one.
    perK: Float64Array.from(points, (_, i) => {
      const slopes: number[] = [];
      for (let k = Math.max(1, i - 2); k <= Math.min(n - 1, i + 3); k++)
        slopes.push(Math.abs((y[k] - y[k - 1]) / (points[k].temperatureC - points[k - 1].temperatureC)));
      return Math.max(middleOf(slopes), 1e-9);
    }),
    rounded: Float64Array.from(points, (p, i) => Math.abs(family.y(p.resistanceOhm + 0.29 * steps[i]) - y[i])),
  };
}

/** The step in which each resistance is printed, Ω: as many figures as the longest has, never finer than the finest place. At most 1 % of it. */
function printedSteps(ohms: readonly number[]): number[] {
  const places = ohms.map((r) => {
    const [mantissa, exponent] = r.toExponential(9).split('e');
    const figures = mantissa.replace('.', '').replace(/0+$/, '').length;
    return { first: Number(exponent), figures };
  });
  const most = Math.max(...places.map((p) => p.figures));
  const finest = Math.min(...places.map((p) => p.first - p.figures + 1));
  return places.map((p, i) => Math.min(0.01 * ohms[i], 10 ** Math.max(finest, p.first - most + 1)));
}

interface Worst {
  row: number;
  errorK: number;
  /** Deviation in y, and in σ of the row and of the curve there. */
  off: number;
  z: number;
  /** ln evidence of the others. */
  calm: number;
}

/** Do all rows together make the curve of an NTC with a resistor inside, rather than a plain one with a row mistyped? */
function bentRather(spots: Spots, family: Family, rows: readonly number[], calm: number): boolean {
  return calmest(spots, { ...family, prior: BENT }, rows).logEvidence() + LOG_BENT_RATHER > calm;
}

/** The fit of some rows with the scatter that they have. */
function calmest(spots: Spots, family: Family, rows: readonly number[]): Fit {
  let fit = new Fit(spots, family, rows, CALM_K);
  for (let round = 0; round < 2; round++) fit = new Fit(spots, family, rows, Math.max(CALM_K, fit.scatterK()));
  return fit;
}

/** The row without which the others lie calmest, if it lies far off their curve. */
function worstOf(spots: Spots, family: Family, rows: readonly number[]): Worst | null {
  const all = new Fit(spots, family, rows, CALM_K);
  const suspects = [...rows]
    .map((row) => ({ row, far: Math.abs(all.without(row).z) }))
    .sort((a, b) => b.far - a.far)
    .slice(0, SUSPECTS);
  let best: Worst | null = null;
  for (const { row } of suspects) {
    const fit = calmest(
      spots,
      family,
      rows.filter((r) => r !== row),
    );
    const calm = fit.logEvidence();
    if (!best || calm > best.calm)
      best = { row, ...fit.beside(row), errorK: fit.beside(row).off / spots.perK[row], calm };
  }
  if (!best || !(Math.abs(best.z) > FAR) || !(Math.abs(best.errorK) > FLOOR_K)) return null;
  return best;
}

/** Bayesian least squares of the polynomial over some rows, by normal equations of its five unknowns. */
class Fit {
  private readonly inverse: number[][];
  private readonly mean: number[];
  private readonly logDet: number;

  constructor(
    private readonly spots: Spots,
    private readonly family: Family,
    private readonly rows: readonly number[],
    private readonly calmK: number,
  ) {
    const p = family.prior.length;
    const a = family.prior.map(([, sigma], k) => Array.from({ length: p }, (_, j) => (j === k ? 1 / sigma ** 2 : 0)));
    const b = family.prior.map(([mean, sigma]) => mean / sigma ** 2);
    for (const i of rows) {
      const weight = 1 / this.variance(i);
      for (let k = 0; k < p; k++) {
        const wk = weight * spots.powers[k][i];
        b[k] += wk * spots.y[i];
        for (let j = 0; j <= k; j++) a[k][j] += wk * spots.powers[j][i];
      }
    }
    for (let k = 0; k < p; k++) for (let j = 0; j < k; j++) a[j][k] = a[k][j];
    const factor = new Float64Array(p * p);
    this.logDet = choleskyFactor(Float64Array.from(a.flat()), p, factor);
    const column = new Float64Array(p);
    this.inverse = a.map((_, k) => {
      column.fill(0);
      column[k] = 1;
      return [...solveUpper(factor, p, solveLower(factor, p, column, column), column)];
    });
    this.mean = this.inverse.map((row) => row.reduce((sum, v, k) => sum + v * b[k], 0));
  }

  private variance(i: number): number {
    return (this.calmK * this.spots.perK[i]) ** 2 + this.spots.rounded[i] ** 2;
  }

  private at(i: number): { off: number; own: number } {
    const { powers, y } = this.spots;
    let [sum, own] = [0, 0];
    for (let k = 0; k < this.mean.length; k++) {
      sum += this.mean[k] * powers[k][i];
      for (let j = 0; j < this.mean.length; j++) own += powers[k][i] * this.inverse[k][j] * powers[j][i];
    }
    return { off: y[i] - sum, own };
  }

  /** Deviation of a row that is not among those of the fit, in y and in σ of itself and of the curve there. */
  beside(i: number): { off: number; z: number } {
    const { off, own } = this.at(i);
    return { off, z: off / Math.sqrt(this.variance(i) + own) };
  }

  /** As `beside`, of a row of the fit, as if it were not one. */
  without(i: number): { off: number; z: number } {
    const { off, own } = this.at(i);
    const free = Math.max(1e-9, 1 - own / this.variance(i));
    return { off: off / free, z: off / Math.sqrt(this.variance(i) * free) };
  }

  /** How far the rows scatter about the curve, 1σ in K, by their median: a second wrong row does not count. */
  scatterK(): number {
    const misses = this.rows.map((i) => Math.abs(this.without(i).off) / this.spots.perK[i]);
    return 1.4826 * middleOf(misses);
  }

  /** ln evidence of the rows under this family; a second wrong row does not count for more than fifty. */
  logEvidence(): number {
    let sum = -0.5 * this.logDet;
    for (const [k, [mean, sigma]] of this.family.prior.entries())
      sum -= Math.log(sigma) + 0.5 * ((this.mean[k] - mean) / sigma) ** 2;
    for (const i of this.rows) {
      const { off } = this.at(i);
      sum -= 0.5 * Math.log(this.variance(i)) + Math.min(50, (0.5 * off * off) / this.variance(i));
    }
    return sum;
  }
}
