import type { z } from 'zod';
import { type Door, doorTo } from './door.ts';

/** The door to one entry of the shelf: kit, own curves, drafts of its tools. */
export function shelfDoor<T>(key: string, schema: z.ZodType<T>): Door<T> {
  return doorTo<T>(
    'shelf',
    key,
    (data) => {
      const parsed = schema.safeParse(data);
      return parsed.success
        ? { ok: true, value: parsed.data }
        : { ok: false, detail: parsed.error.issues[0]?.message ?? '' };
    },
    'start-anew',
  );
}
