import { FIELDS, type MachineField } from '../../base/units/vocabulary.ts';
import { THEME_IDS, type ThemeId } from './themes.ts';

/** The generator that turns a number into a case. Raised whenever the same number would become another case. */
export const GENERATOR = 2;

/** 1: plain faults, everything at hand. 2: any size, fewer tools. 3: a small kit, findings that may mislead. */
export const DIFFICULTIES = [1, 2, 3] as const;
export type Difficulty = (typeof DIFFICULTIES)[number];

/** What a case number says. */
export interface CaseKey {
  theme: ThemeId;
  field: MachineField;
  difficulty: Difficulty;
  /** 0 … `MOST_SEEDS` − 1. */
  seed: number;
}

/** Why a text is no case number. */
export type CaseNumberFault = 'form' | 'mistyped' | 'other-generator';

/** Numbers run over this many bits; themes above the known ones leave room. */
const BITS = 30;
const MASK = 2 ** BITS - 1;
const ROOM = 16;
const KINDS = ROOM * FIELDS.length * DIFFICULTIES.length;
export const MOST_SEEDS = Math.floor(2 ** BITS / KINDS);
/** An odd factor and its inverse modulo 2³⁰: numbers that follow each other do not look it, and tell nothing of the theme. */
const SCRAMBLE = 0x1b873593;
const UNSCRAMBLE = inverseOf(SCRAMBLE);
/** Digits that are not taken for each other when read aloud or written by hand (after D. Crockford's base 32, from memory). */
const DIGITS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

function inverseOf(odd: number): number {
  // Newton: each step doubles the bits that are right.
  let x = odd;
  for (let i = 0; i < 5; i++) x = Math.imul(x, 2 - Math.imul(odd, x));
  return x;
}

/**
 * The number of a case as it is written: generator, six digits, a check digit.
 *
 * @example caseNumberOf({ theme: 'any', field: 'engine', difficulty: 1, seed: 0 }) // '2-000000-0'
 */
export function caseNumberOf({ theme, field, difficulty, seed }: CaseKey): string {
  const kind =
    (THEME_IDS.indexOf(theme) * FIELDS.length + FIELDS.indexOf(field)) * DIFFICULTIES.length + difficulty - 1;
  let rest = Math.imul(seed * KINDS + kind, SCRAMBLE) & MASK;
  let text = '';
  for (let i = 0; i < BITS / 5; i++) {
    text = DIGITS[rest & 31] + text;
    rest >>>= 5;
  }
  return `${GENERATOR}-${text}-${checkDigit(text)}`;
}

/** What a case number says, however it was typed: small letters, O for 0, I or L for 1, without its strokes. */
export function readCaseNumber(
  text: string,
): { ok: true; key: CaseKey; number: string } | { ok: false; why: CaseNumberFault } {
  const plain = text
    .toUpperCase()
    .replace(/[\s–—-]/g, '')
    .replace(/O/g, '0')
    .replace(/[IL]/g, '1');
  const found = /^(\d)([0-9A-HJKMNP-TV-Z]{6})([0-9A-HJKMNP-TV-Z])$/.exec(plain);
  if (!found) return { ok: false, why: 'form' };
  const [, generator, digits, check] = found;
  if (checkDigit(digits) !== check) return { ok: false, why: 'mistyped' };
  if (Number(generator) !== GENERATOR) return { ok: false, why: 'other-generator' };
  const scrambled = [...digits].reduce((sum, d) => sum * 32 + DIGITS.indexOf(d), 0);
  const value = Math.imul(scrambled, UNSCRAMBLE) & MASK;
  const kind = value % KINDS;
  const theme = THEME_IDS[Math.floor(kind / (FIELDS.length * DIFFICULTIES.length))] as ThemeId | undefined;
  if (!theme || value >= MOST_SEEDS * KINDS) return { ok: false, why: 'mistyped' };
  const field = FIELDS[Math.floor(kind / DIFFICULTIES.length) % FIELDS.length];
  const difficulty = DIFFICULTIES[kind % DIFFICULTIES.length];
  const key = { theme, field, difficulty, seed: Math.floor(value / KINDS) };
  return { ok: true, key, number: caseNumberOf(key) };
}

/** Any one wrong digit gives another check digit: the places weigh 1, 3, 5 … modulo 32, all odd. */
function checkDigit(digits: string): string {
  const sum = [...digits].reduce((all, d, i) => all + (2 * i + 1) * DIGITS.indexOf(d), 0);
  return DIGITS[sum % 32];
}
