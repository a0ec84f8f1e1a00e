import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from 'vitest';

const root = import.meta.dirname;
const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter(
  (f) => f.endsWith('.ts') && !f.includes('.test.'),
);
const EXAMPLE = /^ \* @example (.+?) \/\/ (.+)$/gm;
const examples = files.flatMap((file) =>
  [...readFileSync(path.join(root, file), 'utf8').matchAll(EXAMPLE)].map(([, code, expected]) => ({
    file,
    code,
    expected,
  })),
);

describe('examples in docstrings', () => {
  test.each(examples.map((e) => [`${e.file}: ${e.code}`, e] as const))('%s', async (_, { file, code, expected }) => {
    const scope = (await import(path.join(root, file))) as Record<string, unknown>;
    // The examples are code of this repository, and running them is the point.
    const value = (text: string): unknown => {
      const run = new Function(...Object.keys(scope), `return (${text});`) as (...args: unknown[]) => unknown;
      return run(...Object.values(scope));
    };
    agree(value(code), value(expected), digitsOf(expected));
  });
  test('every exported function of the numeric room has one', () => {
    const without = files
      .filter((f) => f.startsWith('base/numeric/'))
      .flatMap((file) => {
        const text = readFileSync(path.join(root, file), 'utf8');
        return [...text.matchAll(/\/\*\*((?:(?!\*\/)[\s\S])*)\*\/\nexport function (\w+)/g)].flatMap(([, doc, name]) =>
          doc.includes('@example') ? [] : [`${file} ${name}`],
        );
      });
    expect(without).toEqual([]);
  });
});

/** Figures agree to the digits that the example gives; a figure computed there, to nine. */
function agree(actual: unknown, expected: unknown, digits: number): void {
  if (typeof expected === 'number') expect(actual).toBeCloseTo(expected, digits);
  else if (ArrayBuffer.isView(expected))
    [...(expected as Float64Array)].forEach((x, i) => agree((actual as Float64Array)[i], x, 9));
  else expect(actual).toEqual(expected);
}

function digitsOf(text: string): number {
  return /^-?[\d.]+$/.test(text) ? (text.split('.')[1]?.length ?? 0) : 9;
}
