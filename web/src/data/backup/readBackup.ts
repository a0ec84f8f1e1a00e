import { deeperThan } from '@mellow-probe/core/base/records/deeperThan';
import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { BlobReader, type FileEntry, Uint8ArrayWriter, ZipReader } from '@zip.js/zip.js';
import type { Item } from './items.ts';
import { type BackupEntry, MANIFEST, type Manifest, manifestSchema, MOST_BYTES } from './manifest.ts';
import { isStorable } from './shapes.ts';
import type { OnProgress } from './writeBackup.ts';

export type BackupFault = 'not-a-zip' | 'no-manifest' | 'bad-manifest' | 'newer-version' | 'path-outside';

/** An opened backup: its manifest, and the way to each of its records. */
export interface Backup {
  manifest: Manifest;
  /** A record whose bytes are as the manifest says; null where they are not. */
  readonly item: (entry: BackupEntry) => Promise<Item | null>;
  readonly close: () => Promise<void>;
}

export type OpenedBackup = { ok: true; backup: Backup } | { ok: false; reason: BackupFault; detail: string };

/** Opens a backup file. Never throws on a bad file: it says what is wrong. */
export async function openBackup(file: Blob): Promise<OpenedBackup> {
  const zip = new ZipReader(new BlobReader(file), { useWebWorkers: false });
  const files = new Map<string, FileEntry>();
  try {
    for await (const entry of zip.getEntriesGenerator()) {
      // Of two with one name only the first is looked at: the manifest's sum decides.
      if (!entry.directory && !files.has(entry.filename)) files.set(entry.filename, entry);
    }
  } catch (error) {
    return { ok: false, reason: 'not-a-zip', detail: wordsOf(error) };
  }
  const bytesOf = async (path: string, most: number): Promise<Uint8Array<ArrayBuffer> | null> => {
    const entry = files.get(path);
    if (!entry || entry.uncompressedSize > most) return null;
    try {
      return await entry.getData<Uint8Array<ArrayBuffer>>(new Uint8ArrayWriter());
    } catch {
      return null;
    }
  };
  const told = await bytesOf(MANIFEST, MOST_BYTES);
  if (!told) return { ok: false, reason: 'no-manifest', detail: '' };
  let manifest: unknown;
  try {
    manifest = JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(told));
  } catch (error) {
    return { ok: false, reason: 'bad-manifest', detail: wordsOf(error) };
  }
  if (deeperThan(manifest, 8, 20_000_000)) return { ok: false, reason: 'bad-manifest', detail: 'nested too deep' };
  const version = (manifest as { formatVersion?: unknown } | null)?.formatVersion;
  if (typeof version === 'number' && version > 1)
    return { ok: false, reason: 'newer-version', detail: `format ${version}` };
  const parsed = manifestSchema.safeParse(manifest);
  if (!parsed.success) return { ok: false, reason: 'bad-manifest', detail: parsed.error.issues[0].message };
  const outside = parsed.data.entries.find(({ path }) => isOutside(path));
  if (outside) return { ok: false, reason: 'path-outside', detail: outside.path.slice(0, 200) };
  return {
    ok: true,
    backup: {
      manifest: parsed.data,
      async item(entry) {
        // One byte more than told is wrong already: nothing is unpacked without end.
        const data = await bytesOf(entry.path, Math.min(entry.bytes, MOST_BYTES));
        if (!data || data.length !== entry.bytes || bytesToHex(sha256(data)) !== entry.sha256) return null;
        const { kind, key, path, kept } = entry;
        return { kind, key, path, data, ...(kept ? { kept } : {}) };
      },
      close: () => zip.close(),
    },
  };
}

/** Does a path lead out of its archive? No backup of this program has such a one. */
const isOutside = (path: string): boolean =>
  /^(?:[/\\]|[a-z]:)/i.test(path) || path.split(/[/\\]/).some((part) => part === '..' || part === '.');

const wordsOf = (error: unknown): string => (error instanceof Error ? error.message : String(error)).slice(0, 200);

/** Reads every record of a backup once, and tells which are not as the manifest says, or not what a record of their kind must be. */
export async function damagedIn(
  { manifest, item }: Backup,
  onProgress: OnProgress = () => undefined,
): Promise<BackupEntry[]> {
  const damaged: BackupEntry[] = [];
  for (const [i, entry] of manifest.entries.entries()) {
    onProgress(i, manifest.entries.length);
    const read = await item(entry);
    if (!read || !isStorable(read)) damaged.push(entry);
  }
  onProgress(manifest.entries.length, manifest.entries.length);
  return damaged;
}
