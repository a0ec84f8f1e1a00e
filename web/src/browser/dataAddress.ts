/** The bytes behind a base64 data address. Throws where it is none. */
export function blobOf(address: string): Blob {
  const parts = /^data:([\w/+.-]+);base64,(.*)$/s.exec(address);
  if (!parts) throw new TypeError('blobOf: no base64 data address');
  const text = atob(parts[2]);
  return new Blob([Uint8Array.from(text, (c) => c.charCodeAt(0))], { type: parts[1] });
}
