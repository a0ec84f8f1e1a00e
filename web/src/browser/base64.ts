/** Bytes taken at once: more are too many arguments for some browsers. */
const CHUNK = 0x8000;

/** Bytes as base64, RFC 4648 section 4. */
export function toBase64(bytes: Uint8Array): string {
  let text = '';
  for (let i = 0; i < bytes.length; i += CHUNK) text += String.fromCharCode(...bytes.subarray(i, i + CHUNK));
  return btoa(text);
}

/** The bytes behind base64. Throws where it is none. */
export const fromBase64 = (text: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(text), (c) => c.charCodeAt(0));
