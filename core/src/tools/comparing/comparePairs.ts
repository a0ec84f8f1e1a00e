import type { CurveModel } from '../../circuit/curves/curveModel.ts';

/** One pair of a comparison: °C and Ω, in the order in which they were taken. OL is Infinity. */
export interface Pair {
  id: string;
  sensor: 'this' | 'other';
  phase: 'heating' | 'cooling' | 'after';
  temperatureC: number;
  resistanceOhm: number;
}

/** What the pairs of one sensor say by themselves and against its curve. */
export interface PairsView {
  /** 'ntc' falls, 'ptc' rises with temperature; 'mixed': it turns round; 'open': fewer than two finite pairs at different temperatures. */
  direction: 'ntc' | 'ptc' | 'mixed' | 'open';
  /** Pairs at which the curve through the others is missed by more than what thermometer and meter allow. */
  jumps: string[];
  /** After heating and cooling: ratio to the first pair at the same temperature (curve-corrected), and whether it came back. */
  returned: { ratio: number; ok: boolean } | null;
  /** Slope at the middle of the pairs: Ω per K there, and how far along it holds to 10 %, K. */
  tangent: { atC: number; ohmPerK: number; holdsK: number } | null;
  /** Each pair against the curve: °C that this resistance means minus °C measured. */
  againstCurveK: { id: string; errorK: number }[];
}

/** Uncertainty of a pair, 1σ: thermometer in the same water, K, and ln Ω of the meter. */
const PAIR_K = 0.7;
const PAIR_LOG = 0.008;
/** A return within this many σ is a return. */
const ALLOWED = 3;

/** Neither open nor shorted: a figure to reckon with. */
const hasResistance = ({ resistanceOhm }: Pair): boolean => Number.isFinite(resistanceOhm) && resistanceOhm > 0;

/** Judges the pairs of one sensor. `curve`: the circuit's own. */
export function viewPairs(pairs: readonly Pair[], curve: CurveModel): PairsView {
  const finite = pairs.filter(hasResistance);
  // What is left when the curve's own change with temperature is taken out: constant for a sound sensor.
  const excess = new Map(finite.map((p) => [p.id, Math.log(p.resistanceOhm / curve.resistanceOhm(p.temperatureC))]));
  const allowance = (t: number): number => Math.hypot(PAIR_LOG, Math.abs(slopeLog(curve, t)) * PAIR_K);
  const during = finite.filter((p) => p.phase !== 'after');
  const jumps = pairs.filter((p) => !finite.includes(p)).map((p) => p.id);
  if (during.length >= 3) {
    const middle = median(during.map((p) => excess.get(p.id)!));
    for (const p of during)
      if (Math.abs(excess.get(p.id)! - middle) > ALLOWED * Math.SQRT2 * allowance(p.temperatureC)) jumps.push(p.id);
  }
  return {
    direction: directionOf(during),
    jumps,
    returned: returnOf(pairs, excess, allowance),
    tangent: tangentOf(finite, curve, excess),
    againstCurveK: finite.map((p) => ({ id: p.id, errorK: curve.temperatureC(p.resistanceOhm) - p.temperatureC })),
  };
}

/** This sensor against the other at temperatures within 2 K: mean ratio of resistances with the curve's change taken out; null when none meet. */
export function compareSensors(
  pairs: readonly Pair[],
  curve: CurveModel,
): { ratio: number; differs: boolean; pairs: number } | null {
  const [mine, theirs] = (['this', 'other'] as const).map((s) =>
    pairs.filter((p) => p.sensor === s && hasResistance(p)),
  );
  const logs = mine.flatMap((a) =>
    theirs
      .filter((b) => Math.abs(a.temperatureC - b.temperatureC) <= 2)
      .map(
        (b) =>
          Math.log(a.resistanceOhm / curve.resistanceOhm(a.temperatureC)) -
          Math.log(b.resistanceOhm / curve.resistanceOhm(b.temperatureC)),
      ),
  );
  if (logs.length === 0) return null;
  const mean = logs.reduce((a, b) => a + b, 0) / logs.length;
  const t = mine[0].temperatureC;
  const sigma = Math.SQRT2 * Math.hypot(PAIR_LOG, curve.toleranceLog, Math.abs(slopeLog(curve, t)) * PAIR_K);
  return { ratio: Math.exp(mean), differs: Math.abs(mean) > ALLOWED * sigma, pairs: logs.length };
}

/** d ln R / dT of a curve, 1/K. */
export function slopeLog(curve: CurveModel, temperatureC: number): number {
  return Math.log(curve.resistanceOhm(temperatureC + 0.5) / curve.resistanceOhm(temperatureC - 0.5));
}

function directionOf(pairs: readonly Pair[]): PairsView['direction'] {
  const sorted = [...pairs].sort((a, b) => a.temperatureC - b.temperatureC);
  const signs = new Set<number>();
  for (let i = 1; i < sorted.length; i++) {
    if (sorted[i].temperatureC - sorted[i - 1].temperatureC < 2) continue;
    signs.add(Math.sign(sorted[i].resistanceOhm - sorted[i - 1].resistanceOhm));
  }
  if (signs.size === 0) return 'open';
  return signs.size > 1 || signs.has(0) ? 'mixed' : signs.has(-1) ? 'ntc' : 'ptc';
}

function returnOf(
  pairs: readonly Pair[],
  excess: ReadonlyMap<string, number>,
  allowance: (t: number) => number,
): PairsView['returned'] {
  const first = pairs[0];
  const last = [...pairs].reverse().find((p) => p.phase === 'after');
  if (!first || !last || first === last) return null;
  const [before, after] = [excess.get(first.id), excess.get(last.id)];
  // Open after the heat: it did not come back at all.
  if (after === undefined) return { ratio: Infinity, ok: false };
  if (before === undefined) return null;
  const sigma = Math.hypot(allowance(first.temperatureC), allowance(last.temperatureC));
  return { ratio: Math.exp(after - before), ok: Math.abs(after - before) <= ALLOWED * sigma };
}

function tangentOf(
  pairs: readonly Pair[],
  curve: CurveModel,
  excess: ReadonlyMap<string, number>,
): PairsView['tangent'] {
  if (pairs.length === 0) return null;
  const atC = pairs.reduce((s, p) => s + p.temperatureC, 0) / pairs.length;
  const scale = Math.exp(median([...excess.values()]));
  const slopeAt = (t: number): number => scale * curve.resistanceOhm(t) * slopeLog(curve, t);
  const ohmPerK = slopeAt(atC);
  let holdsK = 0;
  while (holdsK < 200 && Math.abs(slopeAt(atC + holdsK + 0.5) / ohmPerK - 1) < 0.1) holdsK += 0.5;
  return { atC, ohmPerK, holdsK };
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
}
