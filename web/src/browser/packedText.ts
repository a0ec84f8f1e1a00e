import { fromBase64, toBase64 } from './base64.ts';

/** A text, deflated and in the signs of addresses: base64url, RFC 4648 section 5. */
export async function packText(text: string): Promise<string> {
  const packed = await through(new Blob([text]), new CompressionStream('deflate-raw'), Infinity);
  const bytes = new Uint8Array(await packed.arrayBuffer());
  return toBase64(bytes).replace(/\+/g, '-').replace(/\//g, '_').replace(/=+$/, '');
}

/** What `packText` made; null where it is something else, or would be larger than `most` bytes. */
export async function unpackText(packed: string, most: number): Promise<string | null> {
  try {
    const bytes = fromBase64(packed.replace(/-/g, '+').replace(/_/g, '/'));
    const plain = await through(new Blob([bytes]), new DecompressionStream('deflate-raw'), most);
    return new TextDecoder('utf-8', { fatal: true }).decode(await plain.arrayBuffer());
  } catch {
    return null;
  }
}

/** Throws as soon as more than `most` bytes have come out: a small text may unpack without end. */
async function through(blob: Blob, by: ReadableWritablePair<Uint8Array, BufferSource>, most: number): Promise<Blob> {
  const reader = blob.stream().pipeThrough(by).getReader();
  const parts: BlobPart[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return new Blob(parts);
    size += value.length;
    if (size > most) {
      await reader.cancel();
      throw new Error('larger than it may be');
    }
    parts.push(value as Uint8Array<ArrayBuffer>);
  }
}
