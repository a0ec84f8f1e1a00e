import { putAt, type Strand } from '../network/placeWeights.ts';
import type { CircuitState } from '../network/sensorCircuit.ts';
import type { FaultGroup, Layout } from '../../base/units/vocabulary.ts';
import type { CurveModel } from '../curves/curveModel.ts';

/** The unit in which a fault's size is told: Ω, a factor on the healthy value, V, or K. */
export type SizeUnit = 'ohm' | 'factor' | 'volt' | 'kelvin';

/** A stretch of the chain (`circuit/network/chain.ts`) that the readings cannot tell apart: elements from … to − 1, and its share of the faults of its kind. */
export interface Stretch {
  from: number;
  to: number;
  share: number;
  /** Empty where it is the whole way. */
  name: string;
}

/** What a fault may know of the circuit it sits in. */
export interface Setting {
  layout: Layout;
  /** Where along the way a fault may sit, as far as the readings tell. */
  stretches: Readonly<Record<Strand, readonly Stretch[]>>;
  /** Curves of the common types that differ from this circuit's own, with their names. */
  otherCurves: readonly { name: string; model: CurveModel }[];
  /** Is the right curve known? Else of another type it is only known that it is another. */
  curveKnown: boolean;
  /** Is it a question whether a neighbour on the same reference drags it down? */
  neighbours: boolean;
  /** Resistance in a wire and leak that just show on the display anywhere in the working range, Ω; null where the curve is not known. */
  noticed: { wireOhm: number; leakOhm: number } | null;
}

/**
 * One way in which a fault can be present. `apply` writes the fault into a scratch circuit that is healthy on entry; `position` in [0, 1]
 * runs evenly through the sizes that are thought equally likely (unsized branches ignore it). It returns the size in the fault's unit.
 */
export interface Branch {
  /** Share of the fault's weight; the shares of a fault's branches sum to one. */
  readonly share: number;
  readonly sized: boolean;
  /** The end of the sizes at which hardly anybody would notice the fault: towards it they become rare. */
  readonly faint?: 'low' | 'high' | undefined;
  /** Which of several, where it matters: a stretch of the loom, a curve's name. */
  readonly detail?: string;
  /** What to do about it where that is not what the fault says. Branches that are mended differently are told apart like faults. */
  readonly repair?: string;
  /** The stretch it lies in, where it lies on the way between module and plug. */
  readonly place?: { strand: Strand; from: number; to: number };
  apply(circuit: CircuitState, position: number): number;
}

/** Density of the sizes at the faint end, against 1 where all positions are alike. */
const FAINTEST = 0.02;

/** ln of the prior density of a position in [0, 1] of a branch; 0 where every position is alike. It rises evenly from the faint end. */
export function logPositionDensity({ faint }: Branch, position: number): number {
  if (faint === undefined) return 0;
  const from = faint === 'low' ? position : 1 - position;
  return Math.log(FAINTEST + 2 * (1 - FAINTEST) * from);
}

/** The position of a branch that a number from (0, 1) stands for: drawn so, positions have their prior density. */
export function positionOf({ faint }: Branch, p: number): number {
  if (faint === undefined) return p;
  const share = faint === 'low' ? p : 1 - p;
  const [a, b] = [1 - FAINTEST, FAINTEST];
  const from = (Math.sqrt(b * b + 4 * a * share) - b) / (2 * a);
  return faint === 'low' ? from : 1 - from;
}

/** One hypothesis of what is wrong. Nothing here knows any measurement. */
export interface Fault {
  readonly id: string;
  readonly group: FaultGroup;
  /** As the verdict says it, without the size. */
  readonly name: string;
  /** Prior weight before any evidence; the list is normalised where it is used. Source: fault model, common practice. */
  readonly weight: number;
  readonly unit: SizeUnit | null;
  readonly layouts: readonly Layout[];
  /** Part of the drawing that is marked. */
  readonly part:
    'sensor' | 'signal' | 'return' | 'plug' | 'reference' | 'pullUp' | 'module' | 'ground' | 'place' | 'none';
  /** What to do once it is proved. */
  readonly repair: string;
  branches(setting: Setting): readonly Branch[];
}

/**
 * A size between two bounds, log-uniform; the bounds may depend on the circuit (a leak matters relative to the pull-up). `faint`: see `Branch`.
 */
export function logSized(
  from: (c: CircuitState) => number,
  to: (c: CircuitState) => number,
  put: (c: CircuitState, size: number) => void,
  share = 1,
  detail?: string,
  faint?: 'low' | 'high',
): Branch {
  const apply = (c: CircuitState, position: number): number => {
    const low = from(c);
    const size = low * Math.pow(to(c) / low, position);
    put(c, size);
    return size;
  };
  return { share, sized: true, detail, faint, apply };
}

/** A size between two bounds, every value alike. */
export function evenSized(from: number, to: number, put: (c: CircuitState, size: number) => void, share = 1): Branch {
  const apply = (c: CircuitState, position: number): number => {
    const size = from + (to - from) * position;
    put(c, size);
    return size;
  };
  return { share, sized: true, apply };
}

/** Extra resistance in any stretch of a wire. */
export function inEachStretch(
  setting: Setting,
  wire: 'signal' | 'return',
  from: (c: CircuitState) => number,
  to: (c: CircuitState) => number,
  faint?: 'low',
): readonly Branch[] {
  return setting.stretches[wire].map((stretch) => {
    const put = (c: CircuitState, ohm: number): void => {
      putAt(c, wire, stretch.from);
      if (wire === 'signal') c.signalFaultOhm = ohm;
      else c.returnFaultOhm = ohm;
    };
    return {
      ...logSized(from, to, put, stretch.share, stretch.name || undefined, faint),
      place: placeOf(wire, stretch),
    };
  });
}

const placeOf = (strand: Strand, { from, to }: Stretch): Branch['place'] => ({ strand, from, to });

/** A leak of the signal wire in any stretch; `put` takes its conductance, S. */
export function leakInEachStretch(
  setting: Setting,
  fromOhm: number,
  timesPullUpAtMost: number,
  put: (c: CircuitState, conductance: number) => void,
): readonly Branch[] {
  const { noticed } = setting;
  const atMost = (c: CircuitState): number => {
    const all = timesPullUp(timesPullUpAtMost)(c);
    return noticed ? Math.max(100 * fromOhm, Math.min(all, noticed.leakOhm)) : all;
  };
  return setting.stretches.leak.map((stretch) => {
    const leak = (c: CircuitState, ohm: number): void => {
      putAt(c, 'leak', stretch.from);
      put(c, 1 / ohm);
    };
    const sized = logSized(fixed(fromOhm), atMost, leak, stretch.share, stretch.name || undefined, 'high');
    return { ...sized, place: placeOf('leak', stretch) };
  });
}

/** Resistance of a clean break, Ω: no meter tells it from none at all. */
const CLEAN_BREAK_OHM = 1e12;

/**
 * An open wire: most are clean breaks, which show 0 V on a 10 MΩ meter; the others still conduct a little (2 MΩ–1 GΩ, through dirt or a
 * hair), which shows something in between.
 */
export function openInEachStretch(setting: Setting, wire: 'signal' | 'return'): readonly Branch[] {
  const dirty = inEachStretch(setting, wire, fixed(2e6), fixed(1e9)).map((b) => ({ ...b, share: 0.4 * b.share }));
  const clean = inEachStretch(setting, wire, fixed(CLEAN_BREAK_OHM), fixed(CLEAN_BREAK_OHM)).map((b) => ({
    ...b,
    share: 0.6 * b.share,
    sized: false,
  }));
  return [...clean, ...dirty];
}

/** What is done once a neighbour is known to drag the reference down. */
const MEND_NEIGHBOUR =
  'Plug the neighbours in again one by one, key off each time: the one at which it falls is short, or its wire is. This sensor and the module are not to blame.';

/** The reference times a factor, by the module itself or, in this share, by a neighbour; told apart where that is the question. */
export function ofReference(
  { neighbours }: Setting,
  from: number,
  to: number,
  byNeighbour: number,
  own: string,
): readonly Branch[] {
  const itself = evenSized(from, to, (c, factor) => (c.referenceV *= factor));
  if (!neighbours) return [itself];
  const dragged = evenSized(from, to, (c, factor) => {
    c.aloneV = c.referenceV;
    c.referenceV *= factor;
  });
  return [
    { ...dragged, share: byNeighbour, detail: 'dragged down by a neighbour', repair: MEND_NEIGHBOUR },
    { ...itself, share: 1 - byNeighbour, detail: 'by the module itself', repair: own },
  ];
}

/** Least resistance in a wire that anybody would notice: a smaller one explains no complaint. */
export const noticedInWire = ({ noticed }: Setting): ((c: CircuitState) => number) =>
  noticed ? fixed(Math.min(noticed.wireOhm, 1e5)) : timesPullUp(0.02);

/** A constant as a bound. */
export const fixed = (value: number) => (): number => value;
/** A multiple of the pull-up as a bound. */
export const timesPullUp =
  (factor: number) =>
  (c: CircuitState): number =>
    factor * c.nominalPullUpOhm;
