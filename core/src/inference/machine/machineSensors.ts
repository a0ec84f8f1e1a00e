import { choleskyFactor, solveLower, solveUpper } from '../../base/numeric/cholesky.ts';
import { logSumExp } from '../../base/numeric/logSumExp.ts';

/** One temperature sensor of a machine: what it showed at each moment, °C; null where it was not read. */
export interface MachineSensor {
  id: string;
  valuesC: readonly (number | null)[];
  /** What it shares with others: the name of a plug, a return, a reference or a module's board. */
  shares: readonly string[];
}

/** A moment at which sensors of a machine were read that should agree: after a rest all of them, while it runs those in one medium. */
export interface MachineMoment {
  rested: boolean;
  /** Temperature of the air, where it is known, °C. */
  airC: number | null;
}

/** How one sensor stands to the others. */
export interface SensorStanding {
  id: string;
  /** Probability that it is out of line, and, as a part of that, that it is truly warmer: residual heat, sun, a heater. */
  off: number;
  warm: number;
  /** How far it reads from what the others say, K, and 1σ of that. */
  offK: number;
  sigmaK: number;
}

export interface MachineVerdict {
  sensors: SensorStanding[];
  /**
   * none: all agree; off: those in `named` are out of line; shared: those in `named` are off together by what they share; cannot-tell: the readings do not
   * decide it.
   */
  kind: 'none' | 'off' | 'shared' | 'cannot-tell';
  named: string[];
  /** What the named share, where that is the verdict. */
  shares: string | null;
  /** Probability of the verdict; of the likeliest explanation, where it cannot be told. */
  probability: number;
  /** What would decide it, or comes next: the air's temperature, a longer rest, a second thermometer beside a sensor, a check of the suspect. */
  next: 'air' | 'wait' | 'second-thermometer' | 'check' | null;
}

/** Most sensors and moments that are weighed at once. */
export const [MOST_SENSORS, MOST_MOMENTS] = [8, 6];

/** 1σ of what a sound sensor with its circuit is off at all moments alike, and of what it differs at one: steps of the display, places. K. Common practice, no source. */
const [TOLERANCE_K, PLACE_K, RUNNING_PLACE_K] = [1.2, 0.8, 2.5];
/** 1σ by which a machine that stood may still differ from the air, K; and what is believed where the air is not known, °C and K. */
const [NEAR_AIR_K, UNKNOWN_C, UNKNOWN_K] = [2.5, 20, 25];
/**
 * Ways in which one sensor is: share beforehand, what it is off by in the middle, and 1σ of that, K. Out of line is at least some kelvin: nobody would
 * call less so. Common practice, no source.
 */
const STATES = [
  { off: false, warm: false, share: 0.86, middleK: 0, sigmaK: 0 },
  { off: true, warm: false, share: 0.025, middleK: -8, sigmaK: 3.5 },
  { off: true, warm: false, share: 0.025, middleK: 8, sigmaK: 3.5 },
  { off: true, warm: false, share: 0.025, middleK: -35, sigmaK: 18 },
  { off: true, warm: false, share: 0.025, middleK: 35, sigmaK: 18 },
  { off: true, warm: true, share: 0.04, middleK: 7, sigmaK: 4 },
] as const;
/** So many may be out of line each for itself: a minority, one more where the air is known, and two beside what is shared. */
function mostAlone(count: number, shared: boolean, airKnown: boolean): number {
  return shared ? 2 : Math.max(2, Math.ceil(count / 2) - 1 + Number(airKnown));
}
/** Share beforehand of a fault of what several share, where that is said, and of what all share; 1σ of its size, K. */
const [SHARED_SHARE, ALL_SHARE, SHARED_K] = [0.03, 0.02, 14];
/** From this probability on the likeliest explanation is the verdict; the rest with heat counts as a question from this share on. */
const [TOLD, WORTH_WAITING] = [0.65, 0.25];

/** What one sensor in one state adds to the belief about the temperatures (and the shared size): precision, its product with the middle, ln of the rest. */
interface Part {
  precision: Float64Array;
  vector: Float64Array;
  log: number;
}

/**
 * Which of a machine's temperature sensors is out of line, by summing over all ways in which they can be wrong, alone or together. At most eight
 * sensors and six moments count. Nothing is a threshold but the last step, from which probability on the likeliest way is said.
 */
export function machineVerdict(sensors: readonly MachineSensor[], moments: readonly MachineMoment[]): MachineVerdict {
  const list = sensors.slice(0, MOST_SENSORS);
  const times = moments.slice(0, MOST_MOMENTS);
  const rested = times.every((m) => m.rested);
  const states = rested ? STATES : STATES.filter((s) => !s.warm);
  const groups = groupsOf(list);
  const size = times.length + 1;
  const prior = priorOf(times, size);
  /** Sums of weights by group (the last is none) and by the set of sensors that are out of line each for itself. */
  const bySet = groups.map(() => new Map<number, number>());
  const ways: { log: number; group: number; set: number; warm: number; middle: Float64Array }[] = [];
  groups.forEach((group, g) => {
    const parts = list.map((s) => states.map((state) => partOf(s, times, state, group.members.has(s.id), size)));
    const airKnown = times.some((m) => m.rested && m.airC !== null);
    const most = mostAlone(list.length, group.members.size > 0, airKnown);
    /** Sums down to each sensor, written over and over. */
    const sums = Array.from({ length: list.length + 1 }, () => emptyPart(size));
    sums[0] = { ...prior, log: prior.log + Math.log(group.share) };
    const walk = (i: number, set: number, warm: number, left: number): void => {
      if (i === list.length) {
        ways.push({ ...evidence(sums[i], size), group: g, set, warm });
        return;
      }
      states.forEach((state, k) => {
        if (state.off && left === 0) return;
        add(sums[i], parts[i][k], sums[i + 1]);
        walk(i + 1, state.off ? set | (1 << i) : set, state.warm ? warm | (1 << i) : warm, left - Number(state.off));
      });
    };
    walk(0, 0, 0, most);
  });
  const total = logSumExp(ways.map((w) => w.log));
  const off = new Float64Array(list.length);
  const warm = new Float64Array(list.length);
  const middle = new Float64Array(times.length);
  for (const l of ways) {
    const w = Math.exp(l.log - total);
    bySet[l.group].set(l.set, (bySet[l.group].get(l.set) ?? 0) + w);
    for (let i = 0; i < list.length; i++) {
      if (l.set & (1 << i) || groups[l.group].members.has(list[i].id)) off[i] += w;
      if (l.warm & (1 << i)) warm[i] += w;
    }
    for (let m = 0; m < times.length; m++) middle[m] += w * l.middle[m];
  }
  const standing = list.map((s, i): SensorStanding => {
    const apart = s.valuesC.slice(0, times.length).flatMap((v, m) => (v === null ? [] : [v - middle[m]]));
    const offK = apart.reduce((a, b) => a + b, 0) / Math.max(1, apart.length);
    const sigmaK = Math.hypot(TOLERANCE_K, PLACE_K / Math.sqrt(Math.max(1, apart.length)));
    return { id: s.id, off: off[i], warm: warm[i], offK, sigmaK };
  });
  return verdictOf(standing, groups, bySet, times);
}

interface Group {
  name: string | null;
  members: ReadonlySet<string>;
  share: number;
}

/** What can be wrong with several at once: each thing that two or more share, what all share, and nothing. */
function groupsOf(list: readonly MachineSensor[]): Group[] {
  const names = [...new Set(list.flatMap((s) => s.shares))];
  const said = names.flatMap((name): Group[] => {
    const members = new Set(list.filter((s) => s.shares.includes(name)).map((s) => s.id));
    return members.size > 1 ? [{ name, members, share: SHARED_SHARE }] : [];
  });
  const all: Group = { name: '', members: new Set(list.map((s) => s.id)), share: list.length > 1 ? ALL_SHARE : 0 };
  const taken = [...said, ...(all.share > 0 ? [all] : [])];
  const rest = 1 - taken.reduce((sum, g) => sum + g.share, 0);
  return [...taken, { name: null, members: new Set<string>(), share: Math.max(rest, 0.5) }];
}

/** Belief about the temperature of each moment before any reading, with the size of what is shared in the last place. */
function priorOf(times: readonly MachineMoment[], size: number): Part {
  const precision = new Float64Array(size * size);
  const vector = new Float64Array(size);
  let log = 0;
  const put = (k: number, middle: number, sigma: number): void => {
    precision[k * size + k] = 1 / (sigma * sigma);
    vector[k] = middle / (sigma * sigma);
    log -= Math.log(sigma) + (middle * middle) / (2 * sigma * sigma);
  };
  times.forEach(({ airC, rested }, m) =>
    rested && airC !== null ? put(m, airC, NEAR_AIR_K) : put(m, UNKNOWN_C, UNKNOWN_K),
  );
  put(size - 1, 0, SHARED_K);
  return { precision, vector, log };
}

/**
 * A sensor in a state: its values are the temperature of their moment, an own deviation that is the same at all of them, and a little of each. The own
 * deviation is summed out: (vJ + σ²I)⁻¹ = (I − v/(σ² + nv) J)/σ².
 */
function partOf(
  { valuesC }: MachineSensor,
  times: readonly MachineMoment[],
  state: (typeof STATES)[number],
  shared: boolean,
  size: number,
): Part {
  const precision = new Float64Array(size * size);
  const vector = new Float64Array(size);
  const read = times.flatMap(({ rested }, m) => {
    const value = valuesC[m] ?? null;
    return value === null ? [] : [{ m, x: value - state.middleK, place: rested ? PLACE_K : RUNNING_PLACE_K }];
  });
  let log = Math.log(state.share);
  if (read.length === 0) return { precision, vector, log };
  const n = read.length;
  const noise = read.reduce((sum, r) => sum + r.place * r.place, 0) / n;
  const own = TOLERANCE_K * TOLERANCE_K + state.sigmaK * state.sigmaK;
  const [diagonal, cross] = [1 / noise, own / (noise * (noise + n * own))];
  let quadratic = 0;
  for (const a of read)
    for (const b of read) {
      const w = (a === b ? diagonal : 0) - cross;
      for (const j of shared ? [a.m, size - 1] : [a.m]) {
        vector[j] += w * b.x;
        for (const k of shared ? [b.m, size - 1] : [b.m]) precision[j * size + k] += w;
      }
      quadratic += w * a.x * b.x;
    }
  log -= 0.5 * (quadratic + (n - 1) * Math.log(noise) + Math.log(noise + n * own) + n * Math.log(2 * Math.PI));
  return { precision, vector, log };
}

const emptyPart = (size: number): Part => ({
  precision: new Float64Array(size * size),
  vector: new Float64Array(size),
  log: 0,
});

/** The sum of two parts, into `out`. */
function add(a: Part, b: Part, out: Part): void {
  for (let k = 0; k < a.precision.length; k++) out.precision[k] = a.precision[k] + b.precision[k];
  for (let k = 0; k < a.vector.length; k++) out.vector[k] = a.vector[k] + b.vector[k];
  out.log = a.log + b.log;
}

/** ln of the probability of all values, the temperatures summed out, and where these are. */
function evidence({ precision, vector, log }: Part, size: number): { log: number; middle: Float64Array } {
  const factor = new Float64Array(size * size);
  const logDeterminant = choleskyFactor(precision, size, factor);
  const half = solveLower(factor, size, vector, new Float64Array(size));
  let quadratic = 0;
  for (const h of half) quadratic += h * h;
  return {
    log: log + 0.5 * (quadratic - logDeterminant),
    middle: solveUpper(factor, size, half, new Float64Array(size)),
  };
}

function verdictOf(
  sensors: SensorStanding[],
  groups: readonly Group[],
  bySet: readonly ReadonlyMap<number, number>[],
  times: readonly MachineMoment[],
): MachineVerdict {
  let best = { group: groups.length - 1, set: 0, probability: 0 };
  bySet.forEach((sets, group) =>
    sets.forEach((probability, set) => {
      if (probability > best.probability) best = { group, set, probability };
    }),
  );
  const { members, name } = groups[best.group];
  const named = sensors.filter((s, i) => best.set & (1 << i) || members.has(s.id)).map((s) => s.id);
  const told = best.probability >= TOLD && sensors.length > 1;
  const kind = !told ? 'cannot-tell' : named.length === 0 ? 'none' : members.size > 0 ? 'shared' : 'off';
  const heat = sensors.some((s) => named.includes(s.id) && s.warm > WORTH_WAITING * s.off);
  const airMissing = times.some((m) => m.rested && m.airC === null);
  return {
    sensors,
    kind,
    named: told ? named : [],
    shares: kind === 'shared' ? name : null,
    probability: best.probability,
    next:
      kind === 'none'
        ? null
        : kind !== 'cannot-tell'
          ? heat
            ? 'wait'
            : 'check'
          : airMissing
            ? 'air'
            : 'second-thermometer',
  };
}
