import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

const FILE = path.resolve(import.meta.dirname, '../docs/reliability.md');

/** Writes what a campaign has counted into its row of docs/reliability.md, with the day; the row before it goes. */
export function noteReliability(what: string, told: string): void {
  const row = `| ${what} | ${new Date().toISOString().slice(0, 10)} | ${told} |`;
  const lines = readFileSync(FILE, 'utf8').trimEnd().split('\n');
  const at = lines.findIndex((line) => line.replace(/\s+/g, ' ').startsWith(`| ${what} |`));
  if (at >= 0) lines[at] = row;
  else lines.push(row);
  writeFileSync(FILE, `${lines.join('\n')}\n`);
}
