import { openJobData } from '@mellow-probe/core/check/job/openJob';
import { playSchema } from '@mellow-probe/core/training/cases/playRecord';
import { unwrapped } from '../storage/kept.ts';
import { isRecordingPart } from '../storage/recordingStorage.ts';
import { shelfSchemaOf } from '../storage/shelfSchemas.ts';
import { type Item, storedOf } from './items.ts';
import { type Kind, KINDS } from './manifest.ts';

/** Is a value what a record of its kind must be? Right bytes say nothing of it. */
const SHAPES: Readonly<Record<Kind, (value: unknown, key: string) => boolean>> = {
  job: (value) => openJobData(value).ok,
  photo: (value) => typeof value === 'string' && value.startsWith('data:image/'),
  shelf: (value, key) => shelfSchemaOf(key).safeParse(value).success,
  log: (value, key) => isRecordingPart(key, value),
  training: (value) => playSchema.safeParse(value).success,
};

/** Could such an item be restored? Its schemas are looked at once, before it is staged: what is staged is restored without them at the next start. */
export function isStorable(item: Item): boolean {
  try {
    const stored = storedOf(item);
    return SHAPES[item.kind](KINDS[item.kind].envelope ? unwrapped(stored).value : stored, item.key);
  } catch {
    return false;
  }
}
