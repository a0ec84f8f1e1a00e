import { isRecord } from '@mellow-probe/core/base/records/plainData';

/** A record as it stands in a store. */
export interface Kept<T> {
  /** Random, new with every write: two writes within one tick of the clock are two. */
  revision: string;
  /** When it became what it is (typed, not written), ISO 8601. */
  at: string;
  /** The revisions it was made from, newest first, as far as they are remembered. */
  follows: readonly string[];
  value: T;
}

/** Revisions remembered: more than windows can be apart. */
export const REMEMBERED = 12;

/** What was read from a store, taken out of its envelope. Records of earlier versions stand there bare. */
export function unwrapped(data: unknown): Kept<unknown> {
  if (isRecord(data) && data.kept === 1 && typeof data.revision === 'string') {
    return {
      revision: data.revision,
      at: typeof data.at === 'string' ? data.at : '',
      follows: Array.isArray(data.follows) ? data.follows.filter((r) => typeof r === 'string') : [],
      value: data.value,
    };
  }
  const at = isRecord(data) && typeof data.updatedAt === 'string' ? data.updatedAt : '';
  return { revision: `bare ${at}`, at, follows: [], value: data };
}

/** A record in its envelope. */
export function wrapped<T>({ revision, at, follows, value }: Kept<T>): object {
  return { kept: 1, revision, at, follows, value };
}
