import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from 'vitest';

const root = path.resolve(import.meta.dirname, '../..');
const filesIn = (folder: string, ending: RegExp): string[] =>
  readdirSync(path.join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((f) => ending.test(f) && !/node_modules|dist/.test(f))
    .map((f) => path.join(folder, f));
const importsOf = (file: string): string[] =>
  [...readFileSync(path.join(root, file), 'utf8').matchAll(/(?:from|import)\s*\(?\s*'([^'\s]+)'/g)].map((m) => m[1]);
const code = /(?<!\.test)\.(ts|vue)$/;

/** The rooms of core from the ground up: each imports only rooms that stand before it. */
const CORE_ROOMS = [
  ...[
    'numeric',
    'records',
    'units',
    'curves',
    'pointTable',
    'picture',
    'circuit',
    'faults',
    'measurements',
    'catalogue',
  ],
  ...['kit', 'loom', 'baths', 'divider', 'comparing', 'judging', 'identify', 'instruments', 'logs'],
  ...['model', 'simulation', 'inference', 'verdict', 'advice', 'place', 'plan', 'workOrder'],
  ...['job', 'rightSensor', 'proof', 'register', 'experience', 'sharing', 'trend', 'training', 'wording', 'report'],
];

/** The rooms of the page from the ground up. */
const WEB_ROOMS = ['browser', 'storage', 'instruments', 'workers', 'stores', 'session', 'components', 'screens', 'app'];

/** Arrows that run up or sideways out of the order, as "file → file"; a room that is not in the list counts as one. */
function arrowsUp(folder: string, rooms: readonly string[]): string[] {
  const roomOf = (file: string): string => path.relative(folder, file).split(path.sep)[0];
  return filesIn(folder, code).flatMap((file) =>
    importsOf(file)
      .filter((from) => from.startsWith('.'))
      .map((from) => path.join(path.dirname(file), from))
      .filter((target) => target.startsWith(`${folder}/`) && roomOf(target) !== roomOf(file))
      .filter(
        (target) =>
          !(rooms.indexOf(roomOf(target)) >= 0 && rooms.indexOf(roomOf(target)) < rooms.indexOf(roomOf(file))),
      )
      .map((target) => `${file} → ${target}`),
  );
}

const roomsOf = (folder: string): string[] =>
  readdirSync(path.join(root, folder), { withFileTypes: true })
    .filter((d) => d.isDirectory())
    .map((d) => d.name)
    .sort();

describe('dependencies run one way', () => {
  test('core is a tower: no arrow runs up, so there is no ring', () => {
    expect(roomsOf('core/src')).toEqual([...CORE_ROOMS].sort());
    expect(arrowsUp('core/src', CORE_ROOMS)).toEqual([]);
  });
  test('the page is a tower too', () => {
    expect(roomsOf('web/src')).toEqual([...WEB_ROOMS].sort());
    expect(arrowsUp('web/src', WEB_ROOMS)).toEqual([]);
  });
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
      if (!['engine', 'logs'].map((n) => `web/src/workers/${n}.ts`).includes(file)) {
        expect(
          imports.filter((i) => /inference\/posterior|job\/checkJob$/.test(i) && !isTypeOnly(file, i)),
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
