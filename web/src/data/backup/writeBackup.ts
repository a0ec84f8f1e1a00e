import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { TextReader, Uint8ArrayReader, ZipWriter } from '@zip.js/zip.js';
import { nowIso } from '../../browser/newId.ts';
import { itemOf, placesOf } from './items.ts';
import { type BackupEntry, type Kind, MANIFEST, type Manifest } from './manifest.ts';

/** How far it has come: records done, of how many. */
export type OnProgress = (done: number, all: number) => void;

/**
 * Writes everything of the given kinds as one ZIP of the exported files, record by record, with a manifest of their SHA-256 at its end. Nothing is
 * held but the record in hand. Rejects with a `StorageError`, with what the sink threw, or with an `AbortError`.
 *
 * @returns the manifest that was written
 */
export async function writeBackup(
  sink: WritableStream<Uint8Array>,
  kinds: readonly Kind[],
  onProgress: OnProgress = () => undefined,
  signal?: AbortSignal,
): Promise<Manifest> {
  const zip = new ZipWriter(sink, { useWebWorkers: false, extendedTimestamp: false });
  const all = await placesOf(kinds);
  const entries: BackupEntry[] = [];
  for (const [i, { kind, key }] of all.entries()) {
    signal?.throwIfAborted();
    onProgress(i, all.length);
    const item = await itemOf(kind, key);
    // Removed since the keys were listed.
    if (!item) continue;
    const { data, ...told } = item;
    // A photo is packed already.
    await zip.add(item.path, new Uint8ArrayReader(data), { level: item.path.endsWith('.jpg') ? 0 : 6 });
    entries.push({ ...told, bytes: data.length, sha256: bytesToHex(sha256(data)) });
  }
  const manifest: Manifest = { format: 'mellow-probe/backup', formatVersion: 1, createdAt: nowIso(), entries };
  await zip.add(MANIFEST, new TextReader(`${JSON.stringify(manifest, null, 1)}\n`));
  await zip.close();
  onProgress(all.length, all.length);
  return manifest;
}

/** Something to write a file to, and the file that came of it. The parts are the browser's: it may lay them on the disk. */
export function intoBlob(): { sink: WritableStream<Uint8Array>; blob: () => Blob } {
  const parts: Blob[] = [];
  return {
    sink: new WritableStream<Uint8Array>({ write: (chunk) => void parts.push(new Blob([chunk.slice()])) }),
    blob: () => new Blob(parts, { type: 'application/zip' }),
  };
}
