import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { describe, expect, test } from 'vitest';
import { parse } from 'vue/compiler-sfc';

/** Every sentence of the screens stands in `core/src/wording/`, so that a second language is a second set of files there and nothing else. */
const SOURCE = join(import.meta.dirname, '..');
/** Words of programs to programs: they stand in an error that is caught and told in a sentence of its own, or choose which one. */
const INNER = ['data/storage/stores.ts', 'data/backup/readBackup.ts'];
const files = readdirSync(SOURCE, { recursive: true, encoding: 'utf8' }).filter(
  (f) => /\.(vue|ts)$/.test(f) && !f.endsWith('.test.ts') && !INNER.includes(f),
);
/** Two words with a space between them: something a person reads. Single words are names of states more often than not. */
const PROSE = /[A-Za-z’]{2,}[.,:;]? [A-Za-z’]{2,}/;
/** Attributes that are shown or read out. */
const SHOWN = /^(label|placeholder|aria-label|title|alt|about|hint|what|purpose|prompt|text)$/;
/** Selectors, media queries, fonts, places in a chart, and ids with a space in them: nobody reads them. */
const NOT_SHOWN =
  /^[.[#(]|^th input|^button, input|^input, textarea|sans-serif|Mono Variable|^(bottom left|top center|told odd)$|^(band ptc|key on|key off|as healthy|job session|never stored)$|^(plug|sensor-at|wiggle) \w*$/;

interface Node {
  type: number;
  content?: unknown;
  children?: Node[];
  props?: { type: number; name: string; value?: { content: string }; exp?: { content: string } }[];
}
const TEXT = 2;
const INTERPOLATION = 5;
const ATTRIBUTE = 6;

/** Strings of a piece of TypeScript that a person would read; messages of thrown errors are for whoever reads the code. */
function proseOf(code: string): string[] {
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node) || ts.isThrowStatement(node)) return;
    if (ts.isStringLiteralLike(node)) found.push(node.text);
    if (ts.isTemplateExpression(node)) found.push(node.head.text, ...node.templateSpans.map((s) => s.literal.text));
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile('x.ts', code, ts.ScriptTarget.Latest, true));
  return found.filter((text) => PROSE.test(text) && !NOT_SHOWN.test(text));
}
/** What of a template is written in it: any word of its text, of an attribute that is shown, and prose in its expressions. */
function wordsOf(node: Node): string[] {
  const own: string[] = [];
  if (node.type === TEXT && /[A-Za-z]{2,}/.test(String(node.content))) own.push(String(node.content).trim());
  if (node.type === INTERPOLATION) own.push(...proseOf(`(${(node.content as { content: string }).content})`));
  for (const p of node.props ?? []) {
    if (p.type !== ATTRIBUTE) own.push(...(p.exp ? proseOf(`(${p.exp.content})`) : []));
    else if (SHOWN.test(p.name) && p.value && /[A-Za-z]{2,}/.test(p.value.content)) own.push(p.value.content);
  }
  return [...own, ...(node.children ?? []).flatMap(wordsOf)];
}
function writtenIn(source: string, vue: boolean): string[] {
  if (!vue) return proseOf(source);
  const { template, scriptSetup } = parse(source).descriptor;
  return [
    ...(template?.ast?.children ?? []).flatMap((n) => wordsOf(n as unknown as Node)),
    ...proseOf(scriptSetup?.content ?? ''),
  ];
}

describe('words of the screens', () => {
  test('what would be found is found', () => {
    expect(writtenIn('<template><p>Any word</p></template>', true)).toEqual(['Any word']);
    expect(writtenIn('<template><p>{{ a ? `Two ${b} left` : say.none }}</p></template>', true)).toEqual([]);
    expect(writtenIn('<template><p>{{ a ? `Two are ${b} left` : say.none }}</p></template>', true)).toEqual([
      'Two are ',
    ]);
    expect(writtenIn('<template><b title="Word" :label="`of all ${n}`" /></template>', true)).toEqual([
      'Word',
      'of all ',
    ]);
    expect(writtenIn("<script setup>const a = 'two words';</script>", true)).toEqual(['two words']);
    expect(writtenIn("throw new Error('two words'); const a = '.two words'", false)).toEqual([]);
  });
  test.each(files)('%s: no sentence is written here', (file) =>
    expect(writtenIn(readFileSync(join(SOURCE, file), 'utf8'), file.endsWith('.vue'))).toEqual([]),
  );
});
