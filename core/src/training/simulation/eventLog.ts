import type { EventKind } from '../../intake/logs/finding.ts';
import { USUAL_ENDS } from '../../intake/logs/events/ends.ts';
import { normalQuantile } from '../../base/numeric/normal.ts';
import { happens, pick, seededUniform, type Uniform } from '../../base/numeric/random.ts';
import type { Quantity } from '../../base/units/quantity.ts';
import { afterHeat, coldMachine } from './machine/heat.ts';

/** What was put into a log. Steps have no length. */
export interface PlantedEvent {
  kind: EventKind;
  fromS: number;
  toS: number;
}

/** Is this event the one that was planted: the same kind at the same place, within so many seconds? */
export const samePlanted = (planted: PlantedEvent, event: PlantedEvent, besideS: number): boolean =>
  planted.kind === event.kind && event.fromS <= planted.toS + besideS && event.toS >= planted.fromS - besideS;

export interface EventLog {
  timeS: Float64Array;
  values: Float64Array;
  quantity: Quantity;
  planted: PlantedEvent[];
}

/** Ways a value is shown: its noise (1σ) and its step. */
const LOOKS: readonly { quantity: Quantity; noise: number; quantum: number }[] = [
  { quantity: 'celsius', noise: 0.25, quantum: 1 },
  { quantity: 'celsius', noise: 0.15, quantum: 0.1 },
  { quantity: 'celsius', noise: 0.6, quantum: 1 },
  { quantity: 'volts', noise: 0.003, quantum: 0.001 },
  { quantity: 'volts', noise: 0.001, quantum: 0.005 },
];
const RATES_HZ = [0.5, 1, 2, 5, 10, 20];
const KINDS = ['drop-out', 'step', 'spike', 'stuck', 'noise', 'rate'] as const;

/**
 * A made-up log: a cold start, a warm-up, the thermostat and the fan, on one of several displays at one of several rates, with `count` events of
 * at least 4σ (and two steps of the display) and three samples. Same seed, same log.
 */
export function eventLog(seed: number, count: number): EventLog {
  const uniform = seededUniform(seed * 7001 + 3);
  const look = pick(LOOKS, uniform);
  const rate = pick(RATES_HZ, uniform);
  const n = 900 + Math.floor(2600 * uniform());
  const timeS = Float64Array.from({ length: n }, (_, i) => i / rate);
  const course = courseOf(timeS, uniform);
  const shown = Float64Array.from(course, (c) => (look.quantity === 'volts' ? dividerVolts(c) : c));
  const series: Series = {
    ...{ look, rate, n, timeS, shown, uniform },
    noise: new Float64Array(n).fill(look.noise),
    ends: USUAL_ENDS[look.quantity],
    least: Math.max(4 * Math.hypot(look.noise, look.quantum / Math.sqrt(12)), 2.2 * look.quantum),
  };
  const planted: PlantedEvent[] = [];
  const room = n / (count + 1);
  for (let k = 0; k < count; k++) {
    const from = Math.round(room * (k + 0.6 + 0.6 * uniform()));
    const kind = pick(KINDS, uniform);
    const size = series.least * (1 + 4 * uniform() ** 2) * (happens(0.5, uniform) ? -1 : 1);
    const brief = 3 + Math.floor(13 * uniform());
    const length = PLANTS[kind](series, from, size, brief);
    if (length !== null) planted.push({ kind, fromS: timeS[from], toS: timeS[Math.min(n - 1, from + length - 1)] });
  }
  const values = shown.map((v, i) => rounded(v + series.noise[i] * normalQuantile(uniform()), look.quantum));
  for (const { kind, fromS, toS } of planted) {
    if (kind !== 'stuck') continue;
    const from = Math.round(fromS * rate);
    for (let i = from; timeS[i] <= toS; i++) values[i] = values[from];
  }
  return { timeS, values, quantity: look.quantity, planted };
}

/** A log while events are put into it. */
interface Series {
  look: (typeof LOOKS)[number];
  rate: number;
  n: number;
  timeS: Float64Array;
  /** What the display would show without noise. */
  shown: Float64Array;
  /** 1σ of each sample. */
  noise: Float64Array;
  ends: { low: number; high: number };
  /** The smallest size that is to be found. */
  least: number;
  uniform: Uniform;
}

/** Puts an event of a kind in at a sample; its length in samples, or null where it would be another kind or could not be seen. */
type Plant = (series: Series, from: number, size: number, brief: number) => number | null;

const PLANTS: Readonly<Record<(typeof KINDS)[number], Plant>> = {
  spike({ rate, shown, ends }, from, size, brief) {
    const length = Math.min(brief, Math.max(3, Math.round(8 * rate)));
    // What goes to an end of the scale would be a drop-out.
    if (!inside(shown[from] + size, ends)) return null;
    for (let i = from; i < from + length; i++) shown[i] += size;
    return length;
  },
  'drop-out'({ n, shown, ends, uniform }, from, size, brief) {
    const length = happens(0.6, uniform) ? brief : Math.round(brief * (2 + 6 * uniform()));
    const span = ends.high - ends.low;
    const level = size < 0 ? ends.low - 0.02 * span * uniform() : ends.high + 0.02 * span;
    shown.fill(level, from, Math.min(n, from + length));
    return length;
  },
  step({ n, shown, ends }, from, size) {
    if (!inside(shown[from] + size, ends) || !inside(shown[n - 1] + size, ends)) return null;
    for (let i = from; i < n; i++) shown[i] += size;
    return 1;
  },
  stuck({ n, look, shown, least, uniform }, from) {
    // Long enough that it misses something, where there is something to miss, or that its noise is missed.
    const end = Math.min(n - 1, from + Math.round(40 + 60 * uniform()));
    const noisy = look.noise > 0.6 * look.quantum;
    return noisy || Math.abs(shown[end] - shown[from]) > 2.5 * least ? end - from : null;
  },
  noise({ n, noise, least, uniform }, from) {
    const length = Math.round(40 + 60 * uniform());
    noise.fill(2 * least, from, Math.min(n, from + length));
    return length;
  },
  rate({ look, rate, n, shown, ends, uniform }, from, size) {
    if (look.quantity !== 'celsius' || rate < 2) return null;
    const length = Math.max(4, Math.round((2 + 2 * uniform()) * rate));
    const rise = (8 + 10 * uniform()) * (length / rate) * Math.sign(size);
    if (!inside(shown[from] + rise, ends) || !inside(shown[n - 1] + rise, ends) || length <= 12) return null;
    for (let i = from; i < n; i++) shown[i] += rise * Math.min(1, (i - from) / length);
    return length;
  },
};

const inside = (v: number, { low, high }: { low: number; high: number }): boolean => v > low && v < high;
const rounded = (v: number, quantum: number): number => Number((Math.round(v / quantum) * quantum).toFixed(6));

/** Temperature of the sensor over the log, °C: the machine starts somewhere in the first tenth. */
function courseOf(timeS: Float64Array, uniform: Uniform): Float64Array {
  const heat = {
    ambientC: 5 + 20 * uniform(),
    powerW: 5000 + 5000 * uniform(),
    thermostat: { opensC: 84, spanK: 8, stuckOpen: happens(0.15, uniform) },
    fan: { onC: 92, offC: 88 },
    airflow: 0.8 + 0.5 * uniform(),
  };
  let state = coldMachine(heat);
  let element = heat.ambientC;
  const startS = timeS[timeS.length - 1] * 0.1 * uniform();
  return Float64Array.from(timeS, (t, i) => {
    const dt = i > 0 ? t - timeS[i - 1] : 0;
    if (dt > 0) state = afterHeat(state, heat, t > startS, dt);
    element += (state.coolantC - element) * (1 - Math.exp(-dt / 6));
    return element;
  });
}

/** V of a 5 V divider with 2.49 kΩ over an NTC of 2 kΩ at 25 °C and B 3600 K. */
function dividerVolts(c: number): number {
  const ohm = 2000 * Math.exp(3600 * (1 / (c + 273.15) - 1 / 298.15));
  return (5 * ohm) / (ohm + 2490);
}
