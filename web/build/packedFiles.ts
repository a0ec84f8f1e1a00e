import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip, type InputType } from 'node:zlib';
import type { Plugin } from 'vite';
import { compression } from 'vite-plugin-compression2';

const CACHE = path.join(import.meta.dirname, '../../node_modules/.cache/packed');
type Pack = (input: InputType) => Promise<Buffer>;

/** The same, but what was packed before is read from the cache: most of a build is vendored files that never change. */
function remembered(ending: string, pack: Pack): Pack {
  return async (input) => {
    const bytes = Buffer.from(input as Uint8Array);
    const file = path.join(CACHE, `${createHash('sha256').update(bytes).digest('hex')}${ending}`);
    try {
      return readFileSync(file);
    } catch {
      const packed = await pack(bytes);
      mkdirSync(CACHE, { recursive: true });
      // Two builds at a time each write a file of their own: none is ever read half written.
      const own = `${file}.${process.pid}`;
      writeFileSync(own, packed);
      renameSync(own, file);
      return packed;
    }
  };
}

const gzipped = remembered('.gz', (input) => promisify(gzip)(input, { level: constants.Z_BEST_COMPRESSION }));
const brotli = remembered('.br', (input) => promisify(brotliCompress)(input));

/** Packs the built files once, with gzip and with Brotli at its best quality, so that the server need not at every call. */
export function packedFiles(): Plugin {
  return compression({
    algorithms: [
      [gzipped, {}],
      [brotli, {}],
    ],
    filename: (id, { algorithm }) => `${id}${algorithm === gzipped ? '.gz' : '.br'}`,
    include: /\.(js|css|html|svg|wasm)$/,
    threshold: 1000,
  });
}
