import { exponentialFit } from '../../base/numeric/exponentialFit.ts';
import { blocksOf } from './blocks.ts';
import type { Found } from './finding.ts';
import type { LogChannel } from './log.ts';

/** What is left must be at least so many times the scatter of the values. */
const STANDS_OUT = 4;
/** A course that has run less than this is standing: K, V or Ω by share of its end. */
const LEAST = { celsius: 2, share: 0.02 } as const;

/**
 * What the last stretch of a channel is running to: its end with 1σ, its time constant, and how far it still has to go. Null where it stands, or does not
 * run to an end that its course tells.
 *
 * @param fromS where the stretch begins: the last mark or step
 */
export function settlingOf(timeS: Float64Array, channel: LogChannel, fromS: number): Found<'settling'> | null {
  const all = blocksOf(timeS, channel.values, 0.5);
  const from = all.t.findIndex((t) => t >= fromS);
  if (from < 0) return null;
  const [t, x] = [all.t.slice(from), all.x.slice(from)];
  if (t.length < 12) return null;
  const fit = exponentialFit(t, x);
  if (!fit) return null;
  const leftNow = x[x.length - 1] - fit.end;
  const moved = Math.abs(fit.start - fit.end);
  if (moved < (channel.quantity === 'celsius' ? LEAST.celsius : LEAST.share * Math.abs(fit.end))) return null;
  if (moved < STANDS_OUT * fit.scatter || fit.sigma.end > 0.25 * moved) return null;
  return {
    kind: 'settling',
    channel: channel.id,
    fromS: t[0],
    toS: t[t.length - 1],
    endsAt: fit.end,
    sigma: fit.sigma.end,
    timeConstantS: fit.timeConstantS,
    leftNow,
  };
}
