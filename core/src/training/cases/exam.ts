import Papa from 'papaparse';
import { FORMULA_CELL } from '../../base/records/formulaCell.ts';
import { pick, seededUniform } from '../../base/numeric/random.ts';
import { FIELDS } from '../../base/units/vocabulary.ts';
import { caseNumberOf, type Difficulty, readCaseNumber } from './caseNumber.ts';
import type { Ended } from './progress.ts';
import { THEME_IDS } from './themes.ts';

/** Cases of an exam, by default and at most. */
export const EXAM_CASES = 6;
export const MOST_EXAM_CASES = 20;

/** The case numbers of an exam: themes without repetition as far as there are some, all of one difficulty. Same seed, same exam. */
export function examNumbers(seed: number, difficulty: Difficulty, count = EXAM_CASES): string[] {
  const uniform = seededUniform(seed * 6151 + difficulty);
  const themes: (typeof THEME_IDS)[number][] = [];
  while (themes.length < count) {
    const rest = [...THEME_IDS];
    while (rest.length > 0 && themes.length < count)
      themes.push(rest.splice(Math.floor(uniform() * rest.length), 1)[0]);
  }
  return themes.map((theme) =>
    caseNumberOf({
      theme,
      field: pick(FIELDS, uniform),
      difficulty,
      seed: 2_000_000 + Math.floor(uniform() * 1e6),
    }),
  );
}

/** Case numbers as an instructor writes them: one a line, or parted by commas; what is none is told. */
export function readExam(text: string): { numbers: string[]; wrong: string[] } {
  const words = text.split(/[\n,;]+/).flatMap((w) => (w.trim() === '' ? [] : [w.trim()]));
  const numbers: string[] = [];
  const wrong: string[] = [];
  for (const word of words) {
    const read = readCaseNumber(word);
    if (!read.ok) wrong.push(word);
    else if (!numbers.includes(read.number)) numbers.push(read.number);
  }
  return { numbers, wrong };
}

/** One case of one learner, as an instructor's table has it. */
export interface ExamRow {
  learner: string;
  number: string;
  right: string;
  healed: string;
  minutes: number;
  idealMinutes: number;
  cost: number;
  idealCost: number;
  tests: number;
  unneeded: number;
  cautionsMissed: number;
  setUpMistakes: number;
  logScore: string;
  endedAt: string;
}

const COLUMNS = [
  ...(['learner', 'number', 'right', 'healed', 'minutes', 'idealMinutes', 'cost', 'idealCost', 'tests'] as const),
  ...(['unneeded', 'cautionsMissed', 'setUpMistakes', 'logScore', 'endedAt'] as const),
] satisfies (keyof ExamRow)[];

const yes = (is: boolean | null): string => (is === null ? '' : is ? 'yes' : 'no');

/** The rows of a learner's exam. */
export function examRows(learner: string, ended: readonly Ended[]): ExamRow[] {
  return ended.map(({ play, result }) => ({
    learner,
    number: play.number,
    right: yes(result.right),
    healed: yes(result.healed),
    minutes: tenths(result.minutes),
    idealMinutes: tenths(result.idealMinutes),
    cost: tenths(result.total),
    idealCost: tenths(result.idealTotal),
    tests: result.tests,
    unneeded: result.unneeded.length,
    cautionsMissed: result.careless,
    setUpMistakes: result.mistakes,
    logScore: result.logScore === null ? '' : result.logScore.toFixed(3),
    endedAt: play.endedAt!,
  }));
}

const tenths = (value: number): number => Math.round(10 * value) / 10;

/** As CSV; a cell that a spreadsheet would take for a formula is written as text. */
export const examCsv = (rows: readonly ExamRow[]): string =>
  `${Papa.unparse([...rows], { columns: [...COLUMNS], escapeFormulae: FORMULA_CELL })}\n`;

/** Rows of a result's CSV; a fault names the file's line, counted from 1. */
export function readExamCsv(text: string): { rows: ExamRow[]; faults: { line: number; what: 'columns' | 'figure' }[] } {
  const parsed = Papa.parse<Record<string, string>>(text.trim(), { header: true, skipEmptyLines: true });
  const missing = COLUMNS.filter((c) => !(parsed.meta.fields ?? []).includes(c));
  if (missing.length > 0) return { rows: [], faults: [{ line: 1, what: 'columns' }] };
  const rows: ExamRow[] = [];
  const faults: { line: number; what: 'figure' }[] = [];
  parsed.data.forEach((cells, i) => {
    const figures = (['minutes', 'idealMinutes', 'cost', 'idealCost', 'tests'] as const).map((c) => Number(cells[c]));
    const counts = (['unneeded', 'cautionsMissed', 'setUpMistakes'] as const).map((c) => Number(cells[c]));
    if ([...figures, ...counts].some((n) => !Number.isFinite(n)) || !readCaseNumber(cells.number).ok) {
      faults.push({ line: i + 2, what: 'figure' });
      return;
    }
    const [minutes, idealMinutes, cost, idealCost, tests] = figures;
    const [unneeded, cautionsMissed, setUpMistakes] = counts;
    const { learner, number, right, healed, logScore, endedAt } = cells;
    rows.push({
      ...{ learner: learner.replace(/^'/, ''), number, right, healed, minutes, idealMinutes, cost, idealCost, tests },
      ...{ unneeded, cautionsMissed, setUpMistakes, logScore, endedAt },
    });
  });
  return { rows, faults };
}

/** One learner of a class. */
export interface ClassLine {
  learner: string;
  cases: number;
  right: number;
  minutes: number;
  overIdealMinutes: number;
  overIdealCost: number;
  unneeded: number;
  cautionsMissed: number;
  logScore: number | null;
}

/** A class's results as one table, best first: by cases right, then by cost above the ideal. A case that stands twice counts as it was first. */
export function classTable(rows: readonly ExamRow[]): ClassLine[] {
  const learners = [...new Set(rows.map((r) => r.learner))];
  return learners
    .map((learner): ClassLine => {
      const own = rows
        .filter((r) => r.learner === learner)
        .sort((a, b) => a.endedAt.localeCompare(b.endedAt))
        .filter((r, i, all) => all.findIndex((o) => o.number === r.number) === i);
      const sum = (f: (r: ExamRow) => number): number => own.reduce((all, r) => all + f(r), 0);
      const scores = own.flatMap((r) => (r.logScore === '' ? [] : [Number(r.logScore)]));
      return {
        learner,
        cases: own.length,
        right: own.filter((r) => r.right === 'yes').length,
        minutes: sum((r) => r.minutes),
        overIdealMinutes: sum((r) => r.minutes - r.idealMinutes),
        overIdealCost: sum((r) => r.cost - r.idealCost),
        unneeded: sum((r) => r.unneeded),
        cautionsMissed: sum((r) => r.cautionsMissed),
        logScore: scores.length === 0 ? null : scores.reduce((a, b) => a + b, 0) / scores.length,
      };
    })
    .sort((a, b) => b.right / b.cases - a.right / a.cases || a.overIdealCost - b.overIdealCost);
}
