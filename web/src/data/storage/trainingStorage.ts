import { type PlayRecord, playSchema } from '@mellow-probe/core/training/cases/playRecord';
import { type Door, doorTo } from './door.ts';
import { unwrapped } from './kept.ts';
import { withStore } from './stores.ts';

/** The door to one play of a training case. */
export function playDoor(id: string): Door<PlayRecord> {
  return doorTo<PlayRecord>('training', id, (data) => {
    const parsed = playSchema.safeParse(data);
    return parsed.success
      ? { ok: true, value: parsed.data }
      : { ok: false, detail: parsed.error.issues[0]?.message ?? '' };
  });
}

/** All plays, oldest first; one that cannot be read is left out and stays as it is. Rejects with a `StorageError`. */
export async function listPlays(): Promise<PlayRecord[]> {
  const keys = await withStore('training', (s) => s.keys());
  const all = await Promise.all(keys.map((key) => withStore('training', (s) => s.getItem(key))));
  return all
    .flatMap((data) => {
      const parsed = data === null ? null : playSchema.safeParse(unwrapped(data).value);
      return parsed?.success ? [parsed.data] : [];
    })
    .sort((a, b) => a.startedAt.localeCompare(b.startedAt));
}
