// Hostile texts and files, in process: nothing throws, nothing takes longer than two seconds, no figure that is none stands on paper.
// Arguments: texts (1 000 000), files that are to be judged (20 000), first seed (1). Part of `npm run campaign`.
import { hostileSource, oddFigure } from '../core/test/hostileJobs.ts';
import { readOwnCodes } from '../core/src/catalogue/parts/ownCodes.ts';
import { checkJob } from '../core/src/check/job/checkJob.ts';
import { jobLine } from '../core/src/check/job/jobLine.ts';
import { openJob } from '../core/src/check/job/openJob.ts';
import { readingsCsv } from '../core/src/check/job/readingsCsv.ts';
import { readPoints } from '../core/src/intake/pointTable/readPoints.ts';
import { typedPlaceCode } from '../core/src/history/register/placeKey.ts';
import { reportOf } from '../core/src/report/reportOf.ts';
import { takeFrame } from '../core/src/check/sharing/frames.ts';
import { parseField } from '../core/src/base/units/parseField.ts';
import { noteReliability } from '../scripts/noteReliability.ts';
import { assess } from '../core/src/inference/verdict/assessment.ts';
import { openFaultText } from '../core/src/wording/issueText.ts';

const [texts, toJudge, first] = [1_000_000, 20_000, 1].map((usual, i) => Number(process.argv[2 + i] ?? usual));
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

const hostile = hostileSource(first);

for (let i = 0; i < texts; i++) {
  const text = hostile.text(8);
  guarded(`text ${JSON.stringify(text).slice(0, 80)}`, () => {
    const quantity = QUANTITIES[i % QUANTITIES.length];
    const read = parseField(text, quantity, { temperatureUnit: i % 2 ? 'C' : 'F', overload: true });
    if (
      read.ok &&
      (Number.isNaN(read.value) || (read.value === Infinity && quantity !== 'ohms' && !/OL|0L|over|inf/i.test(text)))
    )
      throw new Error(`read as ${read.value}`);
    if (i % 10 === 0) {
      const table = Array.from({ length: 4 }, () => `${hostile.text(3)};${hostile.text(3)}`).join('\n');
      readPoints(table);
      readOwnCodes(table);
      typedPlaceCode(text);
      takeFrame(null, `MP1 ${text}`);
    }
  });
}
const textsTold = `${texts} texts: ${faults.length} faults, ${slow.length} slower than 2 s`;
console.log(textsTold);

let [files, judged, opened] = [0, 0, 0];
while (judged < toJudge) {
  const job = hostile.job();
  guarded(`file ${first}/${files++}`, () => {
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
    const odd = oddFigure(paper);
    if (odd) throw new Error(`on paper: ${odd}`);
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
