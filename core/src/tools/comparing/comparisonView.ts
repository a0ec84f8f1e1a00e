import type { CurveModel } from '../../circuit/curves/curveModel.ts';
import { compareSensors, type Pair, type PairsView, viewPairs } from './comparePairs.ts';

/** A whole comparison: this sensor by itself, and against the other one. */
export interface ComparisonView {
  pairs: readonly Pair[];
  slope: 'ntc' | 'ptc';
  own: PairsView;
  other: { ratio: number; differs: boolean; pairs: number } | null;
}

export function comparisonView(pairs: readonly Pair[], curve: CurveModel): ComparisonView {
  return {
    pairs,
    slope: curve.slope,
    own: viewPairs(
      pairs.filter((p) => p.sensor === 'this'),
      curve,
    ),
    other: compareSensors(pairs, curve),
  };
}
