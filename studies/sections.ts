import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

const DOCS = path.resolve(import.meta.dirname, '../docs');

/**
 * Puts a part of a page of docs/, the accuracy report where none is named, in its place between its marks, the others left as they are: the parts take from minutes
 * to an hour and can be run one by one. Throws where the marks are missing.
 */
export function writeSection(name: string, text: string, page = 'accuracy.md'): void {
  const file = path.join(DOCS, page);
  const whole = readFileSync(file, 'utf8');
  const [from, to] = [`<!-- ${name} -->`, `<!-- end of ${name} -->`];
  const [start, end] = [whole.indexOf(from), whole.indexOf(to)];
  if (start < 0 || end < start) throw new Error(`docs/${page} has no place for "${name}"`);
  writeFileSync(file, `${whole.slice(0, start + from.length)}\n\n${text.trim()}\n\n${whole.slice(end)}`);
}

/** A table in Markdown. */
export function table(head: readonly string[], rows: readonly (readonly string[])[]): string {
  const line = (cells: readonly string[]): string => `| ${cells.join(' | ')} |`;
  return [line(head), line(head.map(() => '---')), ...rows.map(line)].join('\n');
}
