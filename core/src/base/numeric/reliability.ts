/** Something that was said with a probability, and whether it was so. */
export interface Said {
  probability: number;
  right: boolean;
}

/** What was said within a band of probabilities: how surely on average, and how often it was so. */
export interface ReliabilityBand {
  from: number;
  to: number;
  said: number;
  right: number;
  count: number;
}

/** Borders of the bands. */
const BANDS = [0, 0.5, 0.7, 0.9, 1.0001] as const;

/**
 * How often it was so where so much was said: a reliability curve. Empty bands are left out.
 *
 * @example reliabilityOf([{ probability: 0.8, right: true }])[0].right // 1
 */
export function reliabilityOf(points: readonly Said[]): ReliabilityBand[] {
  return BANDS.slice(1).flatMap((to, i) => {
    const within = points.filter((p) => p.probability >= BANDS[i] && p.probability < to);
    if (within.length === 0) return [];
    const mean = (f: (p: Said) => number): number => within.reduce((sum, p) => sum + f(p), 0) / within.length;
    return [
      {
        ...{ from: BANDS[i], to: Math.min(1, to), count: within.length },
        said: mean((p) => p.probability),
        right: mean((p) => Number(p.right)),
      },
    ];
  });
}
