import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from 'vitest';

const root = path.resolve(import.meta.dirname, '../..');
const filesIn = (folder: string, ending: RegExp): string[] =>
  readdirSync(path.join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((f) => ending.test(f) && !/node_modules|dist/.test(f))
    .map((f) => path.join(folder, f));
const importsOf = (file: string): string[] =>
  [...readFileSync(path.join(root, file), 'utf8').matchAll(/(?:from|import)\s*\(?\s*'([^']+)'/g)].map((m) => m[1]);
const code = /(?<!\.test)\.(ts|vue)$/;

describe('dependencies run one way', () => {
  test('core depends on nothing but zod, papaparse and ml-matrix', () => {
    for (const file of filesIn('core/src', code)) {
      for (const from of importsOf(file)) {
        expect(
          from.startsWith('.') || ['zod', 'papaparse', 'ml-matrix'].includes(from),
          `${file} imports ${from}`,
        ).toBe(true);
        if (from.startsWith('.')) expect(path.join(path.dirname(file), from)).toMatch(/^core\/src\//);
      }
    }
  });
  test('web, server and cli do not import each other', () => {
    for (const room of ['web/src', 'server/src', 'cli/src']) {
      for (const file of filesIn(room, code)) {
        for (const from of importsOf(file)) {
          if (!from.startsWith('.')) continue;
          const target = path.join(path.dirname(file), from);
          expect(target.startsWith(room) || target.startsWith('examples/'), `${file} imports ${from}`).toBe(true);
        }
      }
    }
  });
  test('only the storage room knows localForage, only the worker computes verdicts', () => {
    for (const file of filesIn('web/src', code)) {
      const imports = importsOf(file);
      if (!file.startsWith('web/src/storage/')) expect(imports, file).not.toContain('localforage');
      if (!file.endsWith('.worker.ts'))
        expect(
          imports.filter((i) => i.endsWith('/engine.ts')),
          file,
        ).toEqual([]);
      if (file !== 'web/src/workers/engine.ts') {
        expect(
          imports.filter((i) => /diagnosis\/posterior|job\/checkJob$/.test(i) && !isTypeOnly(file, i)),
          file,
        ).toEqual([]);
      }
    }
  });
});

function isTypeOnly(file: string, from: string): boolean {
  const text = readFileSync(path.join(root, file), 'utf8');
  return new RegExp(`import type [^;]+ from '${from.replace(/[/.]/g, '\\$&')}'`).test(text);
}
