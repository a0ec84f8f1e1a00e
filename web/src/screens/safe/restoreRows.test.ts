import { expect, test } from 'vitest';
import type { BackupEntry } from '../../data/backup/manifest.ts';
import type { Standing } from '../../data/backup/restore.ts';
import { KIND_LIST } from '../../data/backup/manifest.ts';
import { withKind } from './kinds.ts';
import { restoreRows, STANDINGS } from './restoreRows.ts';

test('a backup kind by kind: how many of each standing, and their size; kinds of which it has none are left out', () => {
  const entry = (kind: BackupEntry['kind'], key: string, bytes: number): BackupEntry => ({
    ...{ kind, key, bytes, path: `${kind}/${key}` },
    sha256: 'a'.repeat(64),
  });
  const found = new Map<BackupEntry, Standing>([
    [entry('job', 'a', 100), 'new'],
    [entry('job', 'b', 20), 'same'],
    [entry('job', 'c', 3), 'new'],
    [entry('photo', 'a/p', 5000), 'both-changed'],
  ]);
  const rows = restoreRows(found);
  expect(rows.map((r) => [r.kind, r.bytes])).toEqual([
    ['job', 123],
    ['photo', 5000],
  ]);
  expect(STANDINGS.map((s) => rows[0].counts[s])).toEqual([2, 1, 0, 0, 0]);
  expect(rows[1].counts['both-changed']).toBe(1);
  expect(restoreRows(new Map())).toEqual([]);
});

test('a kind is put in or left out; the others stay as they are, in their own order', () => {
  const [first, second, third] = KIND_LIST;
  expect(withKind([third, first], second, true)).toEqual([first, second, third]);
  expect(withKind([first, second, third], second, false)).toEqual([first, third]);
  expect(withKind([first], first, true)).toEqual([first]);
});
