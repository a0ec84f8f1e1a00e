// Taps of a guided check from an empty browser to its firm verdict, beside the keys of the figures, for the eighteen cases of docs/strokes.md; writes that
// part of it. Each machine has the fault of its case at the middle of its sizes, and shows what it would. `npx tsx studies/guidedTaps.ts`
import type { Advice } from '../web/src/workers/engineAnswer.ts';
import { engine } from '../web/src/workers/engine.ts';
import { seededUniform } from '../core/src/base/numeric/random.ts';
import { entryOf } from '../core/src/base/units/entry.ts';
import { formatQuantity } from '../core/src/base/units/format.ts';
import { CATALOGUE_CIRCUITS } from '../core/src/catalogue/parts/circuits.ts';
import { codesIn } from '../core/src/catalogue/parts/troubleCodes.ts';
import { measurementById } from '../core/src/circuit/measurements/list.ts';
import { checkJob } from '../core/src/check/job/checkJob.ts';
import type { Job, JobConditions } from '../core/src/check/job/jobSchema.ts';
import { circuitFromCatalogue, newJob } from '../core/src/check/job/newJob.ts';
import { newReading } from '../core/src/check/job/newReading.ts';
import { hypothesesOf, settingOf, weightedFaults } from '../core/src/inference/model/hypotheses.ts';
import { type Hypothesis, Predictor } from '../core/src/inference/model/predictor.ts';
import type { Problem } from '../core/src/inference/model/problem.ts';
import type { Assessment } from '../core/src/inference/verdict/assessment.ts';
import { taker } from '../core/src/training/simulation/simulateCase.ts';
import { verdictText } from '../core/src/wording/verdictText.ts';
import { table, writeSection } from './sections.ts';

interface GuidedCase {
  name: string;
  circuit: string;
  air: string;
  fault: string;
  /** What the complaint is tapped as. */
  symptoms: readonly string[];
  /** Codes that are typed: keys, no taps. */
  codes?: string;
  /** What the module shows for an end of its scale. */
  shows?: number;
  /** The fault is there only with the machine hot. */
  hot?: true;
  replaced?: true;
}

const CASES: readonly GuidedCase[] = [
  ['open sensor', '2.49 kΩ · NTC 2.8 kΩ', '18', 'sensor-open', ['end-cold']],
  ['shorted sensor', '2.49 kΩ · NTC 2.8 kΩ', '18', 'sensor-short', ['end-hot']],
  ['sensor drifted high at room temperature', 'Room or duct air', '22', 'sensor-high', ['reads-cold']],
  ['sensor of the wrong type', 'Evaporator or coil', '20', 'sensor-wrong-type', ['reads-cold']],
  [
    'reference fine but series resistance in the signal wire',
    'Engine intake air',
    '15',
    'signal-resistive',
    ['reads-cold'],
  ],
  ['return open', '2.49 kΩ · NTC 2 kΩ', '10', 'return-open', ['end-cold']],
  [
    'signal leaking to ground: in-between volts that a grounded return does not change',
    'Engine oil · 5 V · 1 kΩ',
    '20',
    'signal-to-ground',
    ['reads-hot'],
  ],
  ['wet connector', 'Evaporator or coil', '8', 'signal-to-return', ['reads-hot']],
  [
    'reference dragged down by a neighbour, several codes',
    '2.49 kΩ · NTC 2 kΩ',
    '14',
    'reference-low',
    ['warning-light'],
    { codes: 'P0117, P0197, P0642' },
  ],
  ['module shows a default', '2.49 kΩ · NTC 2.8 kΩ', '16', 'signal-open', ['stuck'], { shows: 60 }],
  [
    'gauge sender measured instead of the controller’s sensor',
    '2.49 kΩ · NTC 2 kΩ',
    '20',
    'signal-resistive',
    ['reads-cold'],
  ],
  ['platinum exhaust sensor among three, found by unplugging', 'Pt200', '20', 'sensor-open', ['end-hot']],
  [
    'evaporator sensor proved by a substitute resistor that must come out again',
    'Evaporator or coil',
    '10',
    'sensor-low',
    ['reads-hot'],
  ],
  [
    'outdoor sensor in the sun with a long cable, measured from the panel',
    'Outdoor coil',
    '9',
    'placement',
    ['reads-hot'],
  ],
  ['boiler flow sensor drifted by moisture', 'Boiler flow', '45', 'sensor-high', ['reads-cold']],
  [
    'sensor that fails only after a heat cycle',
    '2.49 kΩ · NTC 2.8 kΩ',
    '29',
    'sensor-open',
    ['only-hot'],
    { hot: true },
  ],
  [
    'code from the past with nothing wrong now',
    'Engine oil · 5 V · 1 kΩ',
    '16',
    'healthy',
    ['warning-light'],
    { codes: 'P0198' },
  ],
  [
    'new sensor already fitted and fault still there',
    '2.49 kΩ · NTC 2 kΩ',
    '11',
    'return-resistive',
    ['reads-cold'],
    { replaced: true },
  ],
].map(([name, circuit, air, fault, symptoms, rest]) => ({
  ...{ name, circuit, air, fault, symptoms },
  ...(rest as object),
})) as GuidedCase[];

const NOW = '2026-01-02T03:04:05.000Z';
/** A check gives up after this many tests. */
const MOST_TESTS = 12;

/** The check as it is after the three questions. */
function asked(c: GuidedCase): Job {
  const job = newJob('guided', NOW);
  const circuit = CATALOGUE_CIRCUITS.find((each) => each.name.includes(c.circuit));
  if (!circuit) throw new Error(`no circuit "${c.circuit}"`);
  job.circuit = circuitFromCatalogue(circuit);
  job.field = circuit.field;
  job.moments[0].temperatureC = { ...job.moments[0].temperatureC, ...entryOf(c.air, 'celsius', 'C') };
  job.complaint.symptoms = [...c.symptoms];
  codesIn(c.codes ?? '', []).forEach(({ code }, i) =>
    job.complaint.codes.push({ id: `c${i}`, code, state: c.fault === 'healthy' ? 'past' : 'present' }),
  );
  if (c.replaced) job.complaint.replaced.push('sensor');
  return job;
}

/** The machine of a case: what each test shows, with the meter's own scatter. */
function machineOf(c: GuidedCase, job: Job): (proposal: Advice['proposals'][number]) => number {
  const problem: Problem = { ...checkJob(job).problem!, readings: [] };
  const sure: Problem = { ...problem, instruments: { ...problem.instruments, blunder: 0 } };
  const predictor = new Predictor(sure);
  const hypothesisOf = (id: string): Hypothesis => {
    const weighted = weightedFaults(sure).find(({ fault }) => fault.id === id);
    if (!weighted) throw new Error(`no fault "${id}" in this circuit`);
    return hypothesesOf(weighted.fault, settingOf(sure), sure).sort((a, b) => b.logShare - a.logShare)[0];
  };
  const uniform = seededUniform(7);
  const takes = ['healthy', c.fault].map((id) =>
    taker(
      {
        predictor,
        hypothesis: hypothesisOf(id),
        position: 0.5,
        u: new Float64Array(predictor.latent.dimension),
        substituteC: c.shows ?? null,
      },
      uniform,
      [],
    ),
  );
  return ({ measurement, conditions, state }) =>
    takes[c.hot && state !== 'hot' ? 0 : 1]({ measurement: measurementById(measurement), conditions, state });
}

async function judged(job: Job): Promise<{ assessment: Assessment; advice: Advice }> {
  let assessment: Assessment | undefined;
  let advice: Advice | undefined;
  await engine.judge(job, false, (part) => {
    if (part.kind === 'verdict') assessment = part.answer.result?.assessment;
    if (part.kind === 'advice') advice = part.advice ?? undefined;
    return Promise.resolve(part.kind !== 'advice');
  });
  return { assessment: assessment!, advice: advice! };
}

function typed({ measurement, conditions, state }: Advice['proposals'][number], value: number, n: number) {
  const { quantity } = measurementById(measurement);
  const figure = (v: number) => ({ text: String(v), value: v });
  const { substituteOhm, bathC, airC, wire, position, side } = conditions;
  const given: JobConditions = {
    ...(substituteOhm === undefined ? {} : { substituteOhm: figure(substituteOhm) }),
    ...(airC === undefined ? {} : { airC: figure(airC) }),
    ...(bathC === undefined ? {} : { bathC: figure(bathC) }),
    ...(wire && position ? { wire, position, ...(side && { side }) } : {}),
  };
  return newReading(`r${n}`, measurement, {
    text: Number.isFinite(value) ? formatQuantity(value, quantity, 'C') : 'OL',
    value: Number.isFinite(value) ? value : 'OL',
    ...{ conditions: given, state, takenAt: NOW },
  });
}

/** Plays a case by the suggested tests. Taps: begin, the sensor, the complaint, Next after it and after the temperature, Next after each figure. */
async function played(c: GuidedCase): Promise<{ taps: number; tests: string[]; verdict: string; firm: boolean }> {
  const job = asked(c);
  const shows = machineOf(c, job);
  const tests: string[] = [];
  for (;;) {
    const { assessment, advice } = await judged(job);
    const words = verdictText(assessment, (id) => id, 'C', null);
    const [next] = advice.proposals;
    const firm = words.state === 'firm';
    if (firm || !next || tests.length === MOST_TESTS)
      return { taps: 4 + c.symptoms.length + tests.length, tests, verdict: words.title, firm };
    job.readings.push(typed(next, shows(next), tests.length));
    tests.push(`${next.measurement}${next.state === 'steady' ? '' : ` (${next.state})`}`);
  }
}

const rows: string[][] = [];
let [few, firm] = [0, 0];
for (const c of CASES) {
  const { taps, tests, verdict, firm: sure } = await played(c);
  few += Number(taps <= 10);
  firm += Number(sure);
  rows.push([c.name, String(tests.length), String(taps), verdict]);
  console.log(`${c.name}: ${taps} taps, ${verdict} [${tests.join(', ')}]`);
}
console.log(`at most 10 taps in ${few} of ${CASES.length}, firm in ${firm}`);
writeSection(
  'guided',
  `${table(['case', 'tests', 'taps', 'verdict at the end'], rows)}

At most 10 taps in ${few} of ${CASES.length} cases (bar: 15); the verdict is firm in ${firm}.`,
  'strokes.md',
);
