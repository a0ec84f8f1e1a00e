import { type PlaceWeights, USUAL, USUAL_RUN_M } from '../network/placeWeights.ts';
import { hintFactor } from './hints.ts';
import { type Harness, stopsOf } from './harnessSchema.ts';

/** A splice has no contact that can be pushed out, but a crimp or solder joint under tape. Common practice, no source. */
const SPLICE = { series: 1.4, leak: 0.8 } as const;
/** A shield or a twist keeps a run from rubbing through. Common practice, no source. */
const LEAK_BY_MAKE = { plain: 1, twisted: 0.9, shielded: 0.7 } as const;

/** How likely each place of this loom is to be the bad one: by kind, length and what is known of it. */
export function harnessWeights(loom: Harness): PlaceWeights {
  const of = (kind: 'series' | 'leak'): number[] => {
    const { contact, plug, module, run, metre } = USUAL[kind];
    const ofKind = { module, plug, connector: contact, splice: SPLICE[kind] };
    return stopsOf(loom)
      .flatMap((stop) => {
        const metres = lengthM(stop.run.lengthM.value) ?? USUAL_RUN_M;
        const make = kind === 'leak' ? LEAK_BY_MAKE[stop.run.make] : 1;
        return [
          ofKind[stop.kind] * hintFactor(stop.hints, kind),
          (run + metre * metres) * make * hintFactor(stop.run.hints, kind),
        ];
      })
      .slice(0, -1);
  };
  const series = of('series');
  return { signal: series, return: series, leak: of('leak') };
}

const lengthM = (value: number | null): number | null => (value !== null && value > 0 ? Math.min(value, 5000) : null);
