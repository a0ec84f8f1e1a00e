import { isRecord } from '@mellow-probe/core/base/records/plainData';
import { fromBase64, toBase64 } from '../../browser/base64.ts';

/** Lists of doubles stand in a packed text as their little-endian bytes, base64: every value comes back as it was, NaN too. */
const MARK = 'float64-base64';

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
