import { fromBase64 } from './base64.ts';

/** The bytes behind a base64 data address. Throws where it is none. */
export function blobOf(address: string): Blob {
  const parts = /^data:([\w/+.-]+);base64,(.*)$/s.exec(address);
  if (!parts) throw new TypeError('blobOf: no base64 data address');
  return new Blob([fromBase64(parts[2])], { type: parts[1] });
}
