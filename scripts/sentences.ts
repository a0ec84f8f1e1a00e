// Every sentence that the program says, with the place it stands at, for the list of words (`npm run words`) and for the test that reads them all.
import { readdirSync } from 'node:fs';
import path from 'node:path';
import { FAULTS } from '../core/src/circuit/faults/list.ts';
import { MEASUREMENTS } from '../core/src/circuit/measurements/list.ts';
import { SYMPTOMS } from '../core/src/catalogue/parts/symptoms.ts';
import { FINDINGS } from '../core/src/catalogue/parts/findings.ts';
import { STATIONS } from '../core/src/advice/workOrder/stations.ts';
import { PROOF_STEPS } from '../core/src/check/proof/proofPlan.ts';

export interface Sentence {
  /** The list and the name of the sentence in it. */
  at: string;
  text: string;
}

const SCREENS = path.resolve(import.meta.dirname, '../core/src/wording/screens');
type Said = string | ((...shown: string[]) => string) | Record<string, string>;

/** Placeholders of a sentence are shown as `…`. */
function textsOf(said: Said): string[] {
  if (typeof said === 'string') return [said];
  return typeof said === 'function' ? [said(...Array.from({ length: said.length }, () => '…'))] : Object.values(said);
}

/** All sentences of the screens, of tests, faults, symptoms, findings, steps and stations. */
export async function everySentence(): Promise<Sentence[]> {
  const found: Sentence[] = [];
  const add = (at: string, ...texts: (string | null | undefined)[]): void => {
    for (const text of texts) if (text) found.push({ at, text });
  };
  for (const file of readdirSync(SCREENS).filter((f) => f.endsWith('.ts') && !/test|shown/.test(f))) {
    const lists = (await import(path.join(SCREENS, file))) as Record<string, Record<string, Said>>;
    for (const [list, sentences] of Object.entries(lists))
      for (const [name, said] of Object.entries(sentences)) add(`${list}.${name}`, ...textsOf(said));
  }
  for (const s of STATIONS) add(`station ${s.id}`, s.name);
  for (const m of MEASUREMENTS) add(`test ${m.id}`, m.name, m.title, ...m.steps, m.caution);
  for (const f of FAULTS) add(`fault ${f.id}`, f.name, f.repair);
  for (const s of SYMPTOMS) add(`symptom ${s.id}`, s.name);
  for (const f of FINDINGS) add(`finding ${f.id}`, f.name);
  for (const s of PROOF_STEPS) add(`verification ${s.id}`, s.name);
  return found;
}

/** Sentences of a text, and the words of each. */
export function sentencesIn(text: string): { text: string; words: number }[] {
  return text
    .split(/(?<=[.?!:;])\s+/)
    .map((part) => ({ text: part, words: part.split(/\s+/).filter((word) => /\p{L}/u.test(word)).length }));
}

/** The sentences of a Markdown text: without code, comments, links and pictures; each cell of a table by itself. */
export function proseOf(markdown: string): string[] {
  return markdown
    .replace(/```[\s\S]*?```|<!--[\s\S]*?-->/g, '')
    .split(/\n\s*\n|\n(?=\s*(?:[-*#|]|\d+\.)\s?)/)
    .flatMap((block) => (block.trim().startsWith('|') ? block.split('|') : [block]))
    .map((block) =>
      block
        .replace(/^\s*(?:[-*#]+|\d+\.)\s*/, '')
        .replace(/!?\[([^\]]*)\]\([^)]*\)/g, '$1')
        .replace(/`[^`]*`/g, 'code')
        .replace(/\s+/g, ' ')
        .trim(),
    )
    .filter(Boolean);
}
