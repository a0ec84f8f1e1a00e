import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, test } from 'vitest';
import { jobJsonSchema } from './jobJsonSchema.ts';

const root = path.resolve(import.meta.dirname, '..');
const read = (name: string): string => readFileSync(path.join(root, name), 'utf8');

test('docs/job.schema.json is the schema the program uses (npm run schema writes it)', () => {
  expect(read('docs/job.schema.json')).toBe(jobJsonSchema());
});

test('every link of the README and the docs leads somewhere', () => {
  for (const name of [
    'README.md',
    ...readdirSync(path.join(root, 'docs'))
      .filter((f) => f.endsWith('.md'))
      .map((f) => `docs/${f}`),
  ]) {
    for (const [, target] of read(name).matchAll(/\]\(([^)#]+)(?:#[^)]*)?\)/g)) {
      if (/^[a-z]+:/.test(target)) continue;
      expect(existsSync(path.join(root, path.dirname(name), target)), `${name}: ${target}`).toBe(true);
    }
  }
});

test('the lock file names no registry and every version is pinned', () => {
  expect(read('package-lock.json')).not.toMatch(/"resolved": "\w+:|registry\./);
  for (const name of [
    'package.json',
    'core/package.json',
    'web/package.json',
    'server/package.json',
    'cli/package.json',
  ]) {
    const pack = JSON.parse(read(name)) as Record<string, Record<string, string>>;
    for (const list of [pack.dependencies, pack.devDependencies]) {
      for (const version of Object.values(list ?? {})) expect(version).toMatch(/^\d+\.\d+\.\d+$/);
    }
  }
});
