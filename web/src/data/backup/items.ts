import { isRecord } from '@mellow-probe/core/base/records/plainData';
import { fromBase64, toBase64 } from '../../browser/base64.ts';
import { unwrapped, wrapped } from '../storage/kept.ts';
import { withStore } from '../storage/stores.ts';
import { type BackupEntry, type Kind, KINDS } from './manifest.ts';
import { packed, unpacked } from './packed.ts';

/** A record as it goes into a backup: its bytes, and what the manifest says of it. */
export interface Item extends Omit<BackupEntry, 'bytes' | 'sha256'> {
  data: Uint8Array<ArrayBuffer>;
}

/** Entries of the shelf that belong to the workshop. */
const SHELF_KEY = /^(kit|curves|codes|looms|workshop|draft\.[\w .-]{1,80})$/;

/** Keys of everything of a kind. Rejects with a `StorageError`. */
export async function keysOf(kind: Kind): Promise<string[]> {
  const keys = await withStore(KINDS[kind].store, (s) => s.keys());
  return kind === 'shelf' ? keys.filter((k) => SHELF_KEY.test(k)) : keys;
}

/** Everything of several kinds, kind after kind. Rejects with a `StorageError`. */
export async function placesOf(kinds: readonly Kind[]): Promise<{ kind: Kind; key: string }[]> {
  const keys = await Promise.all(kinds.map(async (kind) => (await keysOf(kind)).map((key) => ({ kind, key }))));
  return keys.flat();
}

const JPEG = /^data:image\/jpeg;base64,([A-Za-z0-9+/]+=*)$/;

/** One record as it goes into a backup; null where it is gone. Rejects with a `StorageError`. */
export async function itemOf(kind: Kind, key: string): Promise<Item | null> {
  const stored: unknown = await withStore(KINDS[kind].store, (s) => s.getItem(key));
  if (stored === null) return null;
  const path = (ending: string): string =>
    `${KINDS[kind].folder}/${key.split('/').map(encodeURIComponent).join('/')}.${ending}`;
  const jpeg = kind === 'photo' && typeof stored === 'string' ? JPEG.exec(stored) : null;
  if (jpeg) return { kind, key, path: path('jpg'), data: fromBase64(jpeg[1]) };
  const text = (data: unknown): Uint8Array<ArrayBuffer> => new TextEncoder().encode(packed(data));
  if (!KINDS[kind].envelope) return { kind, key, path: path('json'), data: text(stored) };
  const { value, revision, at, follows } = unwrapped(stored);
  return { kind, key, path: path('json'), data: text(value), kept: { revision, at, follows: [...follows] } };
}

/** What stands in the store for such an item. Throws where it is none. */
export function storedOf({ kind, key, path, data, kept }: Item): unknown {
  if (kind === 'shelf' && !SHELF_KEY.test(key)) throw new Error(`not of the shelf: ${key}`);
  if (kind === 'photo' && path.endsWith('.jpg')) {
    // Start of image, and of the first segment: ISO/IEC 10918-1.
    if (data[0] !== 0xff || data[1] !== 0xd8 || data[2] !== 0xff) throw new Error(`no JPEG: ${key}`);
    return `data:image/jpeg;base64,${toBase64(data)}`;
  }
  const value = unpacked(new TextDecoder('utf-8', { fatal: true }).decode(data));
  if (!KINDS[kind].envelope) return value;
  if (!kept) throw new Error(`without its envelope: ${key}`);
  if (kind === 'job' && isRecord(value) && 'id' in value && value.id !== key)
    throw new Error(`another check’s: ${key}`);
  return wrapped({ ...kept, value });
}
