import { isRecord } from '@mellow-probe/core/records/plainData';

/** Lists of doubles stand in a packed text as their little-endian bytes, base64: every value comes back as it was, NaN too. */
const MARK = 'float64-base64';

const CHUNK = 0x8000;
export function toBase64(bytes: Uint8Array): string {
  let text = '';
  for (let i = 0; i < bytes.length; i += CHUNK) text += String.fromCharCode(...bytes.subarray(i, i + CHUNK));
  return btoa(text);
}
export function fromBase64(text: string): Uint8Array<ArrayBuffer> {
  const raw = atob(text);
  const bytes = new Uint8Array(raw.length);
  for (let i = 0; i < raw.length; i++) bytes[i] = raw.charCodeAt(i);
  return bytes;
}

/** A record as text: JSON, two spaces, keys in their order. */
export function packed(data: unknown): string {
  const plain = (_key: string, value: unknown): unknown =>
    value instanceof Float64Array
      ? { [MARK]: toBase64(new Uint8Array(value.buffer, value.byteOffset, value.byteLength)) }
      : value;
  return `${JSON.stringify(data, plain, 2)}\n`;
}

/** What `packed` wrote. Throws on anything else. */
export function unpacked(text: string): unknown {
  return JSON.parse(text, (_key, value: unknown) => {
    if (!isRecord(value) || typeof value[MARK] !== 'string') return value;
    return new Float64Array(fromBase64(value[MARK]).buffer);
  });
}
