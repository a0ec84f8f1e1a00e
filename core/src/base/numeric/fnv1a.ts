/** Where the sum starts, by its authors. */
const OFFSET = 0x811c9dc5;

/**
 * A sum of bytes that differs where they differ, 32 bits: no secret, the same everywhere. FNV-1a, by its authors' public-domain description, from memory.
 *
 * @example fnv1a(new TextEncoder().encode('a')) // 0xe40c292c
 */
export function fnv1a(bytes: Iterable<number>, start = OFFSET): number {
  let h = start >>> 0;
  for (const byte of bytes) h = Math.imul(h ^ byte, 0x01000193) >>> 0;
  return h;
}
