/** A text, deflated and in the signs of addresses: base64url, RFC 4648 section 5. */
export async function packText(text: string): Promise<string> {
  const bytes = await through(new Blob([text]), new CompressionStream('deflate-raw'), Infinity);
  let raw = '';
  for (const byte of bytes) raw += String.fromCharCode(byte);
  return btoa(raw).replace(/\+/g, '-').replace(/\//g, '_').replace(/=+$/, '');
}

/** What `packText` made; null where it is something else, or would be larger than `most` bytes. */
export async function unpackText(packed: string, most: number): Promise<string | null> {
  try {
    const raw = atob(packed.replace(/-/g, '+').replace(/_/g, '/'));
    const bytes = Uint8Array.from(raw, (c) => c.charCodeAt(0));
    const plain = await through(new Blob([bytes]), new DecompressionStream('deflate-raw'), most);
    return new TextDecoder('utf-8', { fatal: true }).decode(plain);
  } catch {
    return null;
  }
}

async function through(
  blob: Blob,
  by: ReadableWritablePair<Uint8Array, BufferSource>,
  most: number,
): Promise<Uint8Array> {
  const reader = blob.stream().pipeThrough(by).getReader();
  const parts: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.length;
    if (size > most) {
      await reader.cancel();
      throw new Error('larger than it may be');
    }
    parts.push(value);
  }
  const all = new Uint8Array(size);
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  return all;
}
