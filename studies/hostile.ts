// Hostile texts and files, in process: nothing throws, nothing takes longer than two seconds, no figure that is none stands on paper.
// Arguments: texts (1 000 000), files that are to be judged (20 000), first seed (1). Part of `npm run campaign`.
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { readOwnCodes } from '../core/src/catalogue/ownCodes.ts';
import { checkJob } from '../core/src/job/checkJob.ts';
import { jobLine } from '../core/src/job/jobList.ts';
import { openJob } from '../core/src/job/openJob.ts';
import { readingsCsv } from '../core/src/job/readingsCsv.ts';
import { seededUniform } from '../core/src/numeric/random.ts';
import { isRecord } from '../core/src/records/plainData.ts';
import { readPoints } from '../core/src/pointTable/readPoints.ts';
import { typedPlaceCode } from '../core/src/register/placeKey.ts';
import { reportOf } from '../core/src/report/reportOf.ts';
import { takeFrame } from '../core/src/sharing/frames.ts';
import { parseField } from '../core/src/units/parseField.ts';
import { noteReliability } from '../scripts/noteReliability.ts';
import { assess } from '../core/src/verdict/assessment.ts';
import { openFaultText } from '../core/src/wording/issueText.ts';

const [texts, toJudge, first] = [1_000_000, 20_000, 1].map((usual, i) => Number(process.argv[2 + i] ?? usual));
const PIECES = [
  ...[
    '',
    ' ',
    '\t',
    '\n',
    '\u0000',
    '\u202e',
    '\ufeff',
    '\ud800',
    '💧',
    '０',
    '＝1+1',
    '=cmd',
    "'",
    '"',
    '<b>',
    '${x}',
    '{{x}}',
  ],
  ...[
    '0',
    '1',
    '9',
    '20',
    '-40',
    '−7',
    '1e308',
    '-1e308',
    '1e-320',
    '9'.repeat(400),
    'NaN',
    'Infinity',
    'OL',
    '0L',
    '.',
    ',',
    ';',
    '…',
    '-',
    '±',
    '~',
  ],
  ...[
    'k',
    'M',
    'Ω',
    'ohm',
    'V',
    'mV',
    '°C',
    '°F',
    'F',
    'K',
    '<',
    '>',
    '(',
    ')',
    '[',
    '{',
    'null',
    'R25',
    'B',
    'P0118',
    'MP1 ',
    '\\',
    '/',
    '../',
    '%00',
    '#',
  ],
];
const QUANTITIES = ['volts', 'ohms', 'celsius', 'told-celsius', 'ohm-band', 'number'] as const;
const faults: string[] = [];
const slow: string[] = [];
function guarded(what: string, work: () => void): void {
  // Processor time: what else runs on the machine is no fault of ours.
  const begun = process.cpuUsage();
  try {
    work();
  } catch (error) {
    if (faults.length < 20) console.log(`${what}: ${String(error).slice(0, 200)}`);
    faults.push(what);
  }
  const { user, system } = process.cpuUsage(begun);
  const ms = (user + system) / 1000;
  if (ms > 2000) {
    slow.push(what);
    console.log(`${what}: ${Math.round(ms)} ms`);
  }
}

const uniform = seededUniform(first);
const pick = <T>(list: readonly T[]): T => list[Math.floor(uniform() * list.length)];
const hostileText = (most: number): string =>
  Array.from({ length: Math.floor(uniform() * most) + 1 }, () => pick(PIECES)).join('');

for (let i = 0; i < texts; i++) {
  const text = hostileText(8);
  guarded(`text ${JSON.stringify(text).slice(0, 80)}`, () => {
    const quantity = QUANTITIES[i % QUANTITIES.length];
    const read = parseField(text, quantity, { temperatureUnit: i % 2 ? 'C' : 'F', overload: true });
    if (
      read.ok &&
      (Number.isNaN(read.value) || (read.value === Infinity && quantity !== 'ohms' && !/OL|0L|over|inf/i.test(text)))
    )
      throw new Error(`read as ${read.value}`);
    if (i % 10 === 0) {
      const table = Array.from({ length: 4 }, () => `${hostileText(3)};${hostileText(3)}`).join('\n');
      readPoints(table);
      readOwnCodes(table);
      typedPlaceCode(text);
      takeFrame(null, `MP1 ${text}`);
    }
  });
}
const textsTold = `${texts} texts: ${faults.length} faults, ${slow.length} slower than 2 s`;
console.log(textsTold);

const folder = path.resolve(import.meta.dirname, '../examples/demo');
const good = readdirSync(folder).map((f) => readFileSync(path.join(folder, f), 'utf8'));
const HOSTILE: readonly unknown[] = [
  null,
  {},
  [],
  '',
  'x'.repeat(5000),
  1e308,
  -1e308,
  1e-320,
  0,
  -1,
  'OL',
  true,
  [[]],
  '＝1+1',
  { text: '5', value: 1e308 },
];
const FIGURES = ['0', '-40', '1e308', '-1e308', '1e-320', '5', '20', '4999999999', '0.0001', '-0', '1e15', '273'];
let [files, judged, opened] = [0, 0, 0];
for (let i = 0; judged < toJudge; i++) {
  files++;
  // Half of the files are struck in their figures only: those are the ones that open.
  const figuresOnly = i % 2 === 0;
  const job = JSON.parse(pick(good)) as Record<string, unknown>;
  const changes = 1 + Math.floor(uniform() * 3);
  for (let c = 0; c < changes; c++) strike(job, figuresOnly);
  guarded(`file ${first}/${i}`, () => {
    const result = openJob(JSON.stringify(job));
    if (!result.ok) {
      if (openFaultText(result) === '') throw new Error('refused without words');
      return;
    }
    opened++;
    jobLine(result.job);
    const csv = readingsCsv(result.job);
    if (/(^|\n|,)"?[=@＝]/.test(csv)) throw new Error('a formula in a cell');
    const { problem } = checkJob(result.job);
    const assessment = problem ? assess(problem) : null;
    if (assessment) judged++;
    const options = { unit: 'C', two: null, when: (at: string) => at.slice(0, 10), day: (on: string) => on } as const;
    const paper = JSON.stringify(reportOf(result.job, assessment, null, options));
    if (/NaN|Infinity|undefined|\[object/.test(paper))
      throw new Error(`on paper: ${/.{0,40}(NaN|Infinity|undefined|\[object).{0,20}/.exec(paper)![0]}`);
  });
  if (files % 1000 === 0) console.error(`${files} files, ${judged} judged, ${faults.length} faults`);
}
const told = `${files} files: ${opened} opened, ${judged} judged; in all ${faults.length} faults, ${slow.length} slower than 2 s (bar: 0)`;
console.log(told);
noteReliability(
  `hostile texts and files, in process${first === 1 ? '' : `, from seed ${first}`}`,
  `${textsTold}; ${told}`,
);
process.exit(faults.length + slow.length === 0 ? 0 : 1);

/** Replaces a part of the job, any depth, by something hostile, or a figure by another of its kind. */
function strike(node: unknown, figuresOnly: boolean): void {
  if (figuresOnly) {
    const text = pick(FIGURES);
    Object.assign(pick(entriesOf(node)), { text, value: Number(text) });
    return;
  }
  let at = node as Record<string, unknown>;
  for (;;) {
    const keys = Object.keys(at).filter((k) => !['format', 'formatVersion', 'image'].includes(k));
    if (keys.length === 0) return;
    const key = pick(keys);
    const value = at[key];
    // A figure and its text together: it is taken as typed.
    if (isRecord(value) && 'text' in value && 'value' in value && uniform() < 0.7) {
      const text = pick(FIGURES);
      at[key] = { ...value, text, value: Number(text) };
      return;
    }
    if (typeof value === 'object' && value !== null && Object.keys(value).length > 0 && uniform() < 0.8) {
      at = value as Record<string, unknown>;
      continue;
    }
    // Half of the strikes keep the kind, so that the file opens and is judged.
    if (typeof value === 'number' && uniform() < 0.5) at[key] = value * pick([0, -1, 1e3, 1e-6, 1e12]);
    else if (typeof value === 'string' && uniform() < 0.5) at[key] = hostileText(4).replace(/NaN|Infinity/g, '');
    else at[key] = structuredClone(pick(HOSTILE));
    return;
  }
}

/** Everything in a job that is a figure with its text. */
function entriesOf(node: unknown): Record<string, unknown>[] {
  if (typeof node !== 'object' || node === null) return [];
  if (isRecord(node) && 'text' in node && 'value' in node) return [node];
  return Object.values(node).flatMap(entriesOf);
}
