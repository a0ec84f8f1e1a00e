import { middleOf } from '../../base/numeric/middleOf.ts';
import { indexAt, type Log, type LogChannel } from './log.ts';

/** The middle of a channel's values over a stretch, OL among them; NaN of none. */
export function middleIn({ timeS }: Log, { values }: LogChannel, fromS: number, toS: number): number {
  const part: number[] = [];
  for (let i = indexAt(timeS, fromS); i < timeS.length && timeS[i] <= toS; i++)
    if (!Number.isNaN(values[i])) part.push(values[i]);
  return middleOf(part);
}
