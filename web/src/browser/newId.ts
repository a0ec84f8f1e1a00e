/** A short id that no other job or reading has: 80 random bits. */
export function newId(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(10)), (b) => b.toString(16).padStart(2, '0')).join('');
}

/** The present moment, ISO 8601. */
export function nowIso(): string {
  return new Date().toISOString();
}
