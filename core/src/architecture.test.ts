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

/**
 * The wings of core from the ground up, and the rooms of each: a room imports only rooms that stand before it. A wing without rooms is one
 * room itself.
 */
const CORE_WINGS: Record<string, readonly string[]> = {
  base: ['numeric', 'records', 'units'],
  circuit: ['curves', 'network', 'faults', 'measurements', 'harness'],
  catalogue: ['parts', 'kit'],
  inference: ['model', 'posterior', 'verdict', 'machine'],
  advice: ['nextTest', 'place', 'plan', 'workOrder'],
  intake: ['pointTable', 'picture', 'instruments', 'logs'],
  tools: ['baths', 'divider', 'comparing', 'judging', 'identify'],
  check: ['job', 'rightSensor', 'proof', 'sharing'],
  history: ['register', 'experience', 'trend', 'learn'],
  training: ['simulation', 'cases'],
  wording: [],
  report: [],
};

/** The rooms of the page from the ground up. */
const WEB_WINGS: Record<string, readonly string[]> = {
  browser: [],
  instruments: [],
  workers: [],
  data: ['storage', 'backup', 'stores'],
  session: [],
  components: [],
  screens: [],
  app: [],
};

/** Where a file lives: `wing/room`, or the wing alone where it has no rooms. */
function roomOf(file: string, folder: string, wings: typeof CORE_WINGS): string {
  const [wing, room] = path.relative(folder, file).split(path.sep);
  return (wings[wing]?.length ?? 0) > 0 ? `${wing}/${room}` : wing;
}

/** Every room in the order of the house. */
const inOrder = (wings: typeof CORE_WINGS): string[] =>
  Object.entries(wings).flatMap(([wing, rooms]) => (rooms.length > 0 ? rooms.map((r) => `${wing}/${r}`) : [wing]));

/** The files of a house that each file imports, type-only imports included. */
function arrowsOf(folder: string): Map<string, string[]> {
  return new Map(
    filesIn(folder, code).map((file) => [
      file,
      importsOf(file)
        .filter((from) => from.startsWith('.'))
        .map((from) => path.join(path.dirname(file), from))
        .filter((target) => target.startsWith(`${folder}/`)),
    ]),
  );
}

/** Arrows that run up or sideways out of the order, as "file → file"; a room that is not in the list counts as one. */
function arrowsUp(folder: string, wings: typeof CORE_WINGS): string[] {
  const order = inOrder(wings);
  const rank = (file: string): number => order.indexOf(roomOf(file, folder, wings));
  return [...arrowsOf(folder)].flatMap(([file, targets]) =>
    targets
      .filter((target) => roomOf(target, folder, wings) !== roomOf(file, folder, wings))
      .filter((target) => rank(target) < 0 || rank(target) >= rank(file))
      .map((target) => `${file} → ${target}`),
  );
}

/** Files that can be reached from themselves, each circle as "file → … → file". */
function circles(folder: string): string[] {
  const arrows = arrowsOf(folder);
  const done = new Set<string>();
  const found: string[] = [];
  const visit = (file: string, way: readonly string[]): void => {
    const at = way.indexOf(file);
    if (at >= 0) found.push([...way.slice(at), file].join(' → '));
    if (at >= 0 || done.has(file)) return;
    for (const target of arrows.get(file) ?? []) visit(target, [...way, file]);
    done.add(file);
  };
  for (const file of arrows.keys()) visit(file, []);
  return found;
}

const foldersIn = (folder: string): string[] =>
  readdirSync(path.join(root, folder), { withFileTypes: true })
    .filter((d) => d.isDirectory())
    .map((d) => d.name)
    .sort();

/** The house as its folders have it. */
const builtOf = (folder: string, wings: typeof CORE_WINGS): Record<string, string[]> =>
  Object.fromEntries(
    foldersIn(folder).map((wing) => [wing, (wings[wing]?.length ?? 0) > 0 ? foldersIn(`${folder}/${wing}`) : []]),
  );
const sorted = (wings: typeof CORE_WINGS): Record<string, string[]> =>
  Object.fromEntries(Object.entries(wings).map(([wing, rooms]) => [wing, [...rooms].sort()]));

describe('dependencies run one way', () => {
  describe.each([
    ['core/src', CORE_WINGS],
    ['web/src', WEB_WINGS],
  ])('%s', (folder, wings) => {
    test('has the wings and rooms of the list', () => {
      expect(builtOf(folder, wings)).toEqual(sorted(wings));
    });
    test('no import leads to a later room', () => {
      expect(arrowsUp(folder, wings)).toEqual([]);
    });
    test('no file imports itself by way of others', () => {
      expect(circles(folder)).toEqual([]);
    });
  });
  test('every wing of core says in at most ten lines what it is for', () => {
    for (const wing of Object.keys(CORE_WINGS)) {
      const lines = readFileSync(path.join(root, 'core/src', wing, 'README.md'), 'utf8')
        .trimEnd()
        .split('\n');
      expect(lines.length, wing).toBeLessThanOrEqual(10);
      for (const room of CORE_WINGS[wing]) expect(lines.join('\n'), wing).toContain(`\`${room}/\``);
    }
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
      if (!file.startsWith('web/src/data/storage/')) expect(imports, file).not.toContain('localforage');
      if (!file.endsWith('.worker.ts'))
        expect(
          imports.filter((i) => i.endsWith('/engine.ts')),
          file,
        ).toEqual([]);
      if (!['engine', 'logs'].map((n) => `web/src/workers/${n}.ts`).includes(file)) {
        expect(
          imports.filter((i) => /posterior\/posterior|job\/checkJob$/.test(i) && !isTypeOnly(file, i)),
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
