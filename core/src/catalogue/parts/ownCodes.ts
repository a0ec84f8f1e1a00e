import Papa from 'papaparse';
import { FORMULA_CELL } from '../../base/records/formulaCell.ts';
import { z } from 'zod';
import { line } from '../../base/units/bounds.ts';
import { CODE_MEANINGS, type CodeMeaning } from '../../base/units/vocabulary.ts';

/** A code of the user's own: of a boiler, a cold room, a machine that follows no standard. */
export const ownCodeSchema = z.strictObject({
  /** As the machine shows it. */
  code: line.min(1),
  /** The circuit it speaks of: "flue gas temperature". */
  what: line.min(1),
  says: z.enum(CODE_MEANINGS),
});
export type OwnCode = z.infer<typeof ownCodeSchema>;

/** Most codes of one's own. */
export const MOST_OWN_CODES = 500;

const plain = (code: string): string => code.replace(/[\s.:-]/g, '').toUpperCase();

/**
 * The user's code of that name, however it is spelt: case, blanks, points, colons and dashes do not count.
 *
 * @example findOwnCode([{ code: 'E-12', what: 'flue gas', says: 'open' }], 'e 12')?.what // 'flue gas'
 */
export function findOwnCode(own: readonly OwnCode[], code: string): OwnCode | undefined {
  return plain(code) === '' ? undefined : own.find((c) => plain(c.code) === plain(code));
}

/** Words of the trade for each meaning, as they stand in a list and in a file. */
export const MEANING_NAMES: Readonly<Record<CodeMeaning, string>> = {
  circuit: 'circuit at fault',
  range: 'implausible',
  low: 'voltage too low',
  high: 'voltage too high',
  'low-or-open': 'voltage too low or open',
  'high-or-open': 'voltage too high or open',
  'ohms-low': 'short or resistance too low',
  'ohms-high': 'resistance too high',
  intermittent: 'comes and goes',
  open: 'open',
  other: 'no circuit fault',
};

/** Own codes as a CSV: code, circuit, meaning. */
export function ownCodesCsv(codes: readonly OwnCode[]): string {
  const rows = codes.map((c) => [c.code, c.what, MEANING_NAMES[c.says]]);
  return `${Papa.unparse([['code', 'circuit', 'meaning'], ...rows], { newline: '\n', escapeFormulae: FORMULA_CELL })}\n`;
}

export interface OwnCodesRead {
  codes: OwnCode[];
  /** Lines that are none, and why. */
  faults: { line: number; reason: 'no-code' | 'no-circuit' | 'meaning' | 'twice' | 'too-many'; text: string }[];
}

/** Reads own codes from a CSV (comma, semicolon or tab; with or without the heading). Bad lines are named, the good ones taken. */
export function readOwnCodes(text: string): OwnCodesRead {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { delimitersToGuess: [',', ';', '\t', '|'] });
  const read: OwnCodesRead = { codes: [], faults: [] };
  data.forEach((cells, i) => {
    // A cell that would be a formula comes back with the mark that the file protects it by.
    const [code, what, meaning] = [0, 1, 2].map((k) => (cells[k] ?? '').trim().replace(/^'(?=[=+\-@])/, ''));
    if (cells.every((c) => c.trim() === '') || (i === 0 && /^code$/i.test(code))) return;
    const bad = (reason: OwnCodesRead['faults'][number]['reason']): void =>
      void read.faults.push({ line: i + 1, reason, text: cells.join(' ').slice(0, 80) });
    const says = meaningNamed(meaning);
    if (code === '') bad('no-code');
    else if (what === '' || !line.safeParse(what).success || !line.safeParse(code).success) bad('no-circuit');
    else if (!says) bad('meaning');
    else if (findOwnCode(read.codes, code)) bad('twice');
    else if (read.codes.length >= MOST_OWN_CODES) bad('too-many');
    else read.codes.push({ code, what, says });
  });
  return read;
}

/** The meaning of that name: as this program writes it, or its short form. */
function meaningNamed(name: string): CodeMeaning | undefined {
  const wanted = name.toLowerCase();
  return CODE_MEANINGS.find((m) => m === wanted || MEANING_NAMES[m] === wanted);
}
