import { medianOf } from '../../base/numeric/quantiles.ts';
import type { Found } from './finding.ts';
import { finitePart, lengthS, type Log, type LogChannel } from './log.ts';

/** A change of a supply is slow over at least so long, s, and worth telling from so much of it on. Common practice, no source. */
const [SLOW_S, WORTH_TELLING] = [300, 0.03];
/** It goes one way: of ten parts of the log, the middles follow each other but for so many. */
const [PARTS, MAY_TURN] = [10, 1];

/** A reference or a supply that sags or climbs over minutes, as heat or load does it: too slow for a step, too small for an end of the scale. */
export function supplySag(log: Log, channel: LogChannel): Found<'sag'> | null {
  const { t, x } = finitePart(log.timeS, channel.values);
  if (lengthS(log) < SLOW_S || x.length < 5 * PARTS) return null;
  const middles = Array.from({ length: PARTS }, (_, k) =>
    medianOf([...x.subarray(Math.floor((k * x.length) / PARTS), Math.floor(((k + 1) * x.length) / PARTS))]),
  );
  const [fromV, toV] = [middles[0], middles[PARTS - 1]];
  if (!(fromV > 0) || Math.abs(toV - fromV) < WORTH_TELLING * fromV) return null;
  const way = Math.sign(toV - fromV);
  const turns = middles.filter((v, k) => k > 0 && way * (v - middles[k - 1]) < 0).length;
  // One great change between two parts is a step, and told as such.
  const greatest = Math.max(...middles.slice(1).map((v, k) => Math.abs(v - middles[k])));
  if (turns > MAY_TURN || greatest > 0.5 * Math.abs(toV - fromV)) return null;
  return { kind: 'sag', channel: channel.id, fromV, toV, overS: t[t.length - 1] - t[0] };
}
