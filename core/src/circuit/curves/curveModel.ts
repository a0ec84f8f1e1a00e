/** 0 °C in kelvin. */
export const KELVIN = 273.15;

/**
 * What every kind of sensor curve can do. Temperatures in °C, resistances in Ω. The two functions are total and monotone: outside
 * `minC…maxC` they continue smoothly, so that a search never meets a hole; who shows a value checks the range (`resistanceAt`, `temperatureOf`).
 */
export interface CurveModel {
  /** Range in which the curve is known. */
  readonly minC: number;
  readonly maxC: number;
  /** 'ntc': resistance falls with temperature; 'ptc': it rises. */
  readonly slope: 'ntc' | 'ptc';
  /** Resistance at a temperature. */
  resistanceOhm(temperatureC: number): number;
  /** Temperature of a resistance; 0 and Infinity give the ends (±Infinity). */
  temperatureC(resistanceOhm: number): number;
  /**
   * As `temperatureC` for a whole log, into `out`. Only where a kind is met in long logs: the loop stands inside the kind itself, so that the
   * compiler sees one function and not any of six.
   */
  temperaturesC?(resistancesOhm: Float64Array, out: Float64Array): void;
  /** 1σ of ln R that comes from the sensor's tolerance; where that is made to a class in kelvin, at the temperature where most sensors live. */
  readonly toleranceLog: number;
  /** The same at a temperature, °C, for sensors that are made to a class in kelvin. */
  toleranceLogAt?(temperatureC: number): number;
  /** 1σ of ln R at a temperature that comes from the curve's form being only an approximation; 0 where the form is trusted. */
  formErrorLog(temperatureC: number): number;
  /** Where the form error is nothing and changes its sign, °C; 25 where it is not given. */
  readonly pivotC?: number;
  /** ln of the factor by which the curve of sensor and module both lies off, by a standard normal unknown; none where the curve is known. */
  readonly level?: (u: number) => number;
  /** Where the very kind is open: the curves it may be, shares summing to one. */
  readonly alternatives?: readonly { share: number; model: CurveModel }[];
}

/** 1σ of ln R of a sensor against its curve at a temperature, °C. */
export const toleranceAt = ({ toleranceLog, toleranceLogAt }: CurveModel, temperatureC: number): number =>
  toleranceLogAt?.(temperatureC) ?? toleranceLog;

/** Tolerance of an NTC whose curve says nothing of it, 1σ of ln R: 5 % as a limit of 2 σ. Common practice, no source. */
export const DEFAULT_TOLERANCE_LOG = 0.025;

/**
 * Argument at which a monotone function has the value `target`, by secants and halving in turn within [low, high]; the nearer end where the
 * target lies outside. At most eighty steps.
 *
 * @example invertMonotone((x) => x * x, 2, 0, 4) // Math.SQRT2
 */
export function invertMonotone(f: (x: number) => number, target: number, low: number, high: number): number {
  let [a, b] = [low, high];
  const rising = f(b) > f(a);
  if (rising ? target <= f(a) : target >= f(a)) return a;
  if (rising ? target >= f(b) : target <= f(b)) return b;
  let [fa, fb] = [f(a), f(b)];
  for (let i = 0; i < 80 && Math.abs(b - a) > 1e-12 * (1 + Math.abs(a)); i++) {
    // Secant, and the middle every third step: a bracket that only moves at one end still halves.
    const x = i % 3 === 2 ? (a + b) / 2 : a + ((target - fa) * (b - a)) / (fb - fa);
    const fx = f(x);
    if (fx === target) return x;
    if (fx < target === rising) [a, fa] = [x, fx];
    else [b, fb] = [x, fx];
  }
  return (a + b) / 2;
}

/** Temperatures of many resistances, °C; the fast way where the kind has one. */
export function temperaturesOf(model: CurveModel, resistancesOhm: Float64Array): Float64Array {
  const out = new Float64Array(resistancesOhm.length);
  if (model.temperaturesC) model.temperaturesC(resistancesOhm, out);
  else for (let i = 0; i < out.length; i++) out[i] = model.temperatureC(resistancesOhm[i]);
  return out;
}
