import { z } from 'zod';
import { fromBase64, toBase64 } from '../../browser/base64.ts';

/**
 * A file under a passphrase. Layout: eight letters, the length of a head (32 bits, big-endian), the head as JSON, then pieces. The key is made from the
 * passphrase by PBKDF2 with SHA-256; every piece is AES-GCM with a nonce of a random start, its number and whether it is the last, and the head as
 * further data: a piece changed, moved, left out or cut off is seen. Sources: NIST SP 800-38D; OWASP Password Storage, for the count, from memory.
 */
const LETTERS = 'MPSEALED';
/** Rounds of PBKDF2: what a guess costs. About a third of a second on a phone. */
const ROUNDS = 600_000;
const PIECE = 64 * 1024;
const TAG = 16;

const headSchema = z.strictObject({
  format: z.literal('mellow-probe/sealed'),
  formatVersion: z.literal(1),
  kdf: z.literal('PBKDF2-SHA-256'),
  rounds: z.number().int().min(100_000).max(10_000_000),
  salt: z.string().max(100),
  cipher: z.literal('AES-256-GCM'),
  piece: z.literal(PIECE),
  nonce: z.string().max(100),
});

/** Can this browser seal at all? Over plain HTTP from another device it gives no cryptography. */
export const canSeal = (): boolean => 'crypto' in globalThis && 'subtle' in crypto && Boolean(crypto.subtle);

async function keyFrom(passphrase: string, salt: Uint8Array<ArrayBuffer>, rounds: number): Promise<CryptoKey> {
  const bytes = new TextEncoder().encode(passphrase.normalize('NFKC'));
  const base = await crypto.subtle.importKey('raw', bytes, 'PBKDF2', false, ['deriveKey']);
  return crypto.subtle.deriveKey(
    { name: 'PBKDF2', hash: 'SHA-256', salt, iterations: rounds },
    base,
    { name: 'AES-GCM', length: 256 },
    false,
    ['encrypt', 'decrypt'],
  );
}

/** Nonce of a piece: seven random bytes, four of its number, one for the last. */
function nonceOf(start: Uint8Array, piece: number, last: boolean): Uint8Array<ArrayBuffer> {
  const nonce = new Uint8Array(12);
  nonce.set(start);
  new DataView(nonce.buffer).setUint32(7, piece);
  nonce[11] = Number(last);
  return nonce;
}

/** Seals what is written to it, piece by piece. */
export async function sealing(passphrase: string): Promise<TransformStream<Uint8Array, Uint8Array>> {
  const salt = crypto.getRandomValues(new Uint8Array(16));
  const start = crypto.getRandomValues(new Uint8Array(7));
  const head = new TextEncoder().encode(
    JSON.stringify({
      ...{ format: 'mellow-probe/sealed', formatVersion: 1, kdf: 'PBKDF2-SHA-256', rounds: ROUNDS },
      ...{ salt: toBase64(salt), cipher: 'AES-256-GCM', piece: PIECE, nonce: toBase64(start) },
    }),
  );
  const key = await keyFrom(passphrase, salt, ROUNDS);
  const rest = new Uint8Array(PIECE);
  let [filled, number] = [0, 0];
  const seal = async (last: boolean): Promise<Uint8Array> =>
    new Uint8Array(
      await crypto.subtle.encrypt(
        { name: 'AES-GCM', iv: nonceOf(start, number++, last), additionalData: head },
        key,
        rest.slice(0, filled),
      ),
    );
  return new TransformStream<Uint8Array, Uint8Array>({
    start(to) {
      const length = new Uint8Array(4);
      new DataView(length.buffer).setUint32(0, head.length);
      for (const part of [new TextEncoder().encode(LETTERS), length, head]) to.enqueue(part);
    },
    async transform(chunk, to) {
      for (let at = 0; at < chunk.length;) {
        // A full piece waits until more comes: only then is it known that it is not the last.
        if (filled === PIECE) {
          to.enqueue(await seal(false));
          filled = 0;
        }
        const take = Math.min(PIECE - filled, chunk.length - at);
        rest.set(chunk.subarray(at, at + take), filled);
        filled += take;
        at += take;
      }
    },
    async flush(to) {
      to.enqueue(await seal(true));
    },
  });
}

/** Does a file begin as a sealed one? */
export async function isSealed(file: Blob): Promise<boolean> {
  const first = new Uint8Array(await file.slice(0, LETTERS.length).arrayBuffer());
  return new TextDecoder().decode(first) === LETTERS;
}

export type Unsealed = { ok: true; file: Blob } | { ok: false; reason: 'wrong-passphrase' | 'damaged' };

/** Opens a sealed file. The first piece tells whether the passphrase is right; a later one that does not fit is damage. Never throws on a bad file. */
export async function unsealed(file: Blob, passphrase: string): Promise<Unsealed> {
  const bytesAt = async (from: number, to: number): Promise<Uint8Array<ArrayBuffer>> =>
    new Uint8Array(await file.slice(from, to).arrayBuffer());
  const begin = LETTERS.length + 4;
  const length = new DataView((await bytesAt(LETTERS.length, begin)).buffer);
  const headLength = length.byteLength === 4 ? length.getUint32(0) : 0;
  if (headLength === 0 || headLength > 4096) return { ok: false, reason: 'damaged' };
  const headBytes = await bytesAt(begin, begin + headLength);
  let head: z.infer<typeof headSchema>;
  let start: Uint8Array;
  let key: CryptoKey;
  try {
    head = headSchema.parse(JSON.parse(new TextDecoder().decode(headBytes)));
    start = fromBase64(head.nonce);
    if (start.length !== 7) return { ok: false, reason: 'damaged' };
    key = await keyFrom(passphrase, fromBase64(head.salt), head.rounds);
  } catch {
    return { ok: false, reason: 'damaged' };
  }
  const parts: Blob[] = [];
  const step = PIECE + TAG;
  for (let at = begin + headLength, number = 0; at < file.size; at += step, number++) {
    const last = at + step >= file.size;
    try {
      const iv = nonceOf(start, number, last);
      const plain = await crypto.subtle.decrypt(
        { name: 'AES-GCM', iv, additionalData: headBytes },
        key,
        await bytesAt(at, at + step),
      );
      parts.push(new Blob([plain]));
    } catch {
      return { ok: false, reason: number === 0 ? 'wrong-passphrase' : 'damaged' };
    }
  }
  return parts.length > 0 ? { ok: true, file: new Blob(parts) } : { ok: false, reason: 'damaged' };
}
