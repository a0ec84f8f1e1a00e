import { useLogRoomWords as say } from '@mellow-probe/core/wording/screens/logs';
import { fixed } from '@mellow-probe/core/base/units/writing';
import type { RecordingHead } from '../../data/storage/recordingStorage.ts';
import type { Beside, LogShape } from '../../workers/logs.ts';

/** A log of more values than this is not stored, the file is: handing it to the store would hold up the page. */
const MOST_STORED = 600_000;

export const isTooLarge = ({ rows, channels }: LogShape): boolean => rows * (channels.length + 1) > MOST_STORED;

/** The shortest range that is shown, s. */
const LEAST_SPAN_S = 0.2;

/** A range of time moved into the log, s: never longer than it, and never next to nothing. */
export function rangeWithin(lengthS: number, fromS: number, toS: number): [number, number] {
  const span = Math.min(lengthS, Math.max(LEAST_SPAN_S, toS - fromS));
  const from = Math.min(Math.max(0, fromS), lengthS - span);
  return [from, from + span];
}

/** The head under which a log from a file is stored. */
export function headOfFile(name: string, of: LogShape, id: string, at: string): RecordingHead {
  return {
    id,
    title: name,
    job: null,
    startedAt: at,
    endedAt: at,
    from: 'file',
    channels: of.channels.map(({ id: channel, name: called, quantity }) => ({ id: channel, name: called, quantity })),
    marks: of.marks,
    samples: of.channels.reduce((n, c) => n + c.values, 0),
    lengthS: of.lengthS,
  };
}

/** What became of a second file beside the log in hand. */
export function besideText(name: string, result: Beside): string {
  if (result === null) return say.noMatchByShape;
  if (!result.ok) return say.unreadable(name);
  const earlier = result.offsetS < 0;
  const seconds = fixed(Math.abs(result.offsetS), 1);
  if (result.correlation === null) return (earlier ? say.liesEarlier : say.liesLater)(name, seconds);
  const byCourse = earlier ? say.earlierByShape : say.laterByShape;
  return byCourse(name, seconds, fixed(result.correlation, 2));
}
