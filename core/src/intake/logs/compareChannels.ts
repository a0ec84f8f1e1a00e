import { linearFit } from '../../base/numeric/linearFit.ts';
import { correlationFactor } from '../../base/numeric/exponentialFit.ts';
import { medianOf } from '../../base/numeric/quantiles.ts';
import { type Blocks, blocksOf, valueAt } from './blocks.ts';
import { machineVerdict } from '../../inference/machine/machineSensors.ts';
import type { Found, LogEvent } from './finding.ts';
import type { LogChannel } from './log.ts';

/** Width of a bin of temperature, K, and fewest points of each direction in it. */
const BIN_K = 4;
const IN_BIN = 3;
/** Sensors are compared with a lag up to this between them, s. */
const MOST_LAG_S = 90;
/** Course between rising and falling: less than this a minute is neither, K. */
const STILL_K_MIN = 0.8;

/** Two channels of temperature on common times: x is the one against which y is held. */
interface Pairs {
  t: number[];
  x: number[];
  y: number[];
}

function pairsOf(x: Blocks, y: Blocks, lagS = 0): Pairs {
  const out: Pairs = { t: [], x: [], y: [] };
  for (let i = 0; i < y.t.length; i++) {
    const at = valueAt(x, y.t[i] - lagS);
    if (Number.isNaN(at)) continue;
    out.t.push(y.t[i]);
    out.x.push(at);
    out.y.push(y.x[i]);
  }
  return out;
}

/** +1 while x rises, −1 while it falls, 0 where it stands; by its change over a minute. */
function directions({ t, x }: Pairs): number[] {
  const series = { t, x };
  return t.map((at, i) => {
    const before = valueAt(series, Math.max(t[0], at - 30));
    const after = valueAt(series, Math.min(t[t.length - 1], at + 30));
    const minutes = (Math.min(t[t.length - 1], at + 30) - Math.max(t[0], at - 30)) / 60;
    const slope = minutes > 0 ? (after - before) / minutes : 0;
    return Number.isNaN(x[i]) || Math.abs(slope) < STILL_K_MIN ? 0 : Math.sign(slope);
  });
}

/** How far y lies apart, at the same x, between heating and cooling: the mean over bins that have both, its 1σ, and how many; null without such bins. */
function apart(pairs: Pairs): { widthK: number; sigmaK: number; bins: number } | null {
  const way = directions(pairs);
  const bins = new Map<number, { up: number[]; down: number[] }>();
  pairs.x.forEach((x, i) => {
    if (way[i] === 0) return;
    const key = Math.floor(x / BIN_K);
    const bin = bins.get(key) ?? { up: [], down: [] };
    (way[i] > 0 ? bin.up : bin.down).push(pairs.y[i] - x);
    bins.set(key, bin);
  });
  const gaps = [...bins.values()]
    .filter((b) => b.up.length >= IN_BIN && b.down.length >= IN_BIN)
    .map((b) => medianOf(b.down) - medianOf(b.up));
  if (gaps.length < 3) return null;
  const mean = gaps.reduce((a, b) => a + b, 0) / gaps.length;
  const spread = Math.sqrt(gaps.reduce((a, g) => a + (g - mean) ** 2, 0) / (gaps.length - 1));
  return { widthK: mean, sigmaK: Math.max(0.1, spread) / Math.sqrt(gaps.length), bins: gaps.length };
}

/**
 * Heating against cooling: how far y stands higher on the way down than on the way up at the same x; how much of that is a lag between the two, and what
 * is left when it is taken out. Null where there is no cooling, or it comes to less than a kelvin.
 */
export function loopOf(
  timeS: Float64Array,
  x: LogChannel,
  y: LogChannel,
  leave: readonly LogEvent[],
): Found<'loop'> | null {
  const [bx, by] = [blocksOf(timeS, x.values, 2), blocksOf(timeS, y.values, 2, leave)];
  const plain = apart(pairsOf(bx, by));
  if (!plain || Math.abs(plain.widthK) < 1) return null;
  let [lagS, left] = [0, plain];
  for (let lag = -MOST_LAG_S; lag <= MOST_LAG_S; lag += 3) {
    const now = apart(pairsOf(bx, by, lag));
    if (now && now.bins >= plain.bins / 2 && Math.abs(now.widthK) < Math.abs(left.widthK)) [lagS, left] = [lag, now];
  }
  // A lag at the end of what was tried explains nothing.
  if (Math.abs(lagS) >= MOST_LAG_S - 3) [lagS, left] = [0, plain];
  return {
    kind: 'loop',
    channel: y.id,
    against: x.id,
    widthK: plain.widthK,
    lagS,
    leftK: left.widthK,
    sigmaK: left.sigmaK,
  };
}

/** So often must the course turn round, and so much of the time must each way take, that it counts as cycling. */
const [TURNS, EACH_WAY] = [6, 0.2] as const;

function cycles(way: readonly number[]): boolean {
  const moving = way.filter((w) => w !== 0);
  const turns = moving.filter((w, i) => i > 0 && w !== moving[i - 1]).length;
  const up = moving.filter((w) => w > 0).length / way.length;
  const down = moving.filter((w) => w < 0).length / way.length;
  return turns >= TURNS && Math.min(up, down) >= EACH_WAY;
}

/** How y runs away from x over time: K an hour, 1σ with the correlation of neighbours. Null where the log is shorter than ten minutes. */
export function driftOf(
  timeS: Float64Array,
  x: LogChannel,
  y: LogChannel,
  leave: readonly LogEvent[],
): Found<'drift'> | null {
  const pairs = pairsOf(blocksOf(timeS, x.values, 5, leave), blocksOf(timeS, y.values, 5, leave));
  const n = pairs.t.length;
  if (n < 24 || pairs.t[n - 1] - pairs.t[0] < 600) return null;
  // On the move a lag looks like a difference: only where both stand.
  const way = directions(pairs);
  const every = pairs.t.map((_, i) => i);
  // A burner that cycles never lets it stand, but what lags on the way up lags back on the way down.
  const still = cycles(way) ? every : every.filter((i) => way[i] === 0);
  if (still.length < 24) return null;
  const hours = still.map((i) => (pairs.t[i] - pairs.t[0]) / 3600);
  if (hours[hours.length - 1] - hours[0] < 1 / 6) return null;
  const off = still.map((i) => pairs.y[i] - pairs.x[i]);
  const fit = linearFit([hours.map(() => 1), hours], off);
  const left = off.map((v, k) => v - fit.coefficients[0] - fit.coefficients[1] * hours[k]);
  const sigma = Math.sqrt(fit.covariance[1][1] * correlationFactor(left));
  return { kind: 'drift', channel: y.id, against: x.id, perHourK: fit.coefficients[1], sigma, meanK: medianOf(off) };
}

/** y less x over the whole range of temperature, in bins of 4 K; null where they overlap in fewer than three. */
export function compareOf(
  timeS: Float64Array,
  x: LogChannel,
  y: LogChannel,
  leave: readonly LogEvent[],
): Found<'compare'> | null {
  const pairs = pairsOf(blocksOf(timeS, x.values, 2, leave), blocksOf(timeS, y.values, 2, leave));
  const binned = new Map<number, number[]>();
  pairs.x.forEach((v, i) => {
    const key = Math.floor(v / BIN_K);
    binned.set(key, [...(binned.get(key) ?? []), pairs.y[i] - v]);
  });
  const bins = [...binned.entries()]
    .filter(([, d]) => d.length >= IN_BIN)
    .sort(([a], [b]) => a - b)
    .map(([key, d]) => {
      const middle = medianOf(d);
      const spread = 1.4826 * medianOf(d.map((v) => Math.abs(v - middle)));
      return { atC: (key + 0.5) * BIN_K, differenceK: middle, sigmaK: Math.max(0.2, spread) / Math.sqrt(d.length) };
    });
  if (bins.length < 3) return null;
  const worst = bins.reduce((a, b) => (Math.abs(b.differenceK) > Math.abs(a.differenceK) ? b : a));
  return { kind: 'compare', channel: y.id, against: x.id, bins, worstK: worst.differenceK, worstAtC: worst.atC };
}

/** Sensors of a machine that stood are so near each other, K, and none of it is warmer than this, °C. Common practice, no source. */
const [ALIKE_K, COLD_AT_MOST_C] = [6, 45];

/** At the start of a log, before anything warms: what the temperature sensors show, and the one that is out of line with the others. */
export function coldStart(timeS: Float64Array, channels: readonly LogChannel[]): Found<'cold-start'> | null {
  const shown = channels.flatMap((c) => {
    const { t, x } = blocksOf(timeS, c.values, 1);
    const first = x.filter((_, i) => t[i] < t[0] + 15);
    // What changes at once was warm already, or is on the move.
    if (first.length < 3 || Math.abs(first[first.length - 1] - first[0]) > 3) return [];
    return [{ channel: c.id, valueC: medianOf(first) }];
  });
  if (shown.length < 2) return null;
  const all = shown.map((s) => s.valueC).sort((a, b) => a - b);
  // A machine that stood is as its surroundings: most of its sensors show that, and none of them shows heat.
  const near = shown.filter((s) => Math.abs(s.valueC - medianOf(all)) <= ALIKE_K).length;
  if (medianOf(all) > COLD_AT_MOST_C || (shown.length > 2 ? near <= shown.length / 2 : all[1] > COLD_AT_MOST_C))
    return null;
  // The same weighing as for all sensors of a machine that are compared by hand.
  const { kind, named } = machineVerdict(
    shown.map((s) => ({ id: s.channel, valuesC: [s.valueC], shares: [] })),
    [{ rested: true, airC: null }],
  );
  const apartK = all[all.length - 1] - all[0];
  const oddOne = kind === 'off' && named.length === 1 ? named[0] : null;
  return { kind: 'cold-start', channels: shown, oddOne, apartK };
}
