import { FINDINGS } from '../catalogue/parts/findings.ts';
import { OTHER_CAUSES } from '../catalogue/parts/otherCauses.ts';
import { SYMPTOMS } from '../catalogue/parts/symptoms.ts';
import { comparePairsOf, curveName } from '../check/job/comparePairsOf.ts';
import { curveSlope } from '../check/job/curveSlope.ts';
import type { Job, JobReading } from '../check/job/jobSchema.ts';
import { asFound } from '../check/job/moments.ts';
import { measurementById } from '../circuit/measurements/list.ts';
import { inside, type Interval } from '../base/numeric/interval.ts';
import { PROOF_STEPS } from '../check/proof/proofPlan.ts';
import { identifyPlugs } from '../check/rightSensor/identifyPlugs.ts';
import { formatInterval, formatProbability, formatQuantity } from '../base/units/format.ts';
import type { Assessment } from '../inference/verdict/assessment.ts';
import { circuitFacts } from '../wording/circuitFacts.ts';
import { codeText } from '../wording/codeText.ts';
import { compareText } from '../wording/compareText.ts';
import { complaintText } from '../wording/complaintText.ts';
import { readingConditionsText, readingNameById } from '../wording/conditionsText.ts';
import { wayThrough, whereAskedText } from '../wording/placeText.ts';
import { groupName } from '../wording/groupName.ts';
import { closedText } from '../wording/noticeText.ts';
import { plugText } from '../wording/plugText.ts';
import { suspectDetail, verdictText } from '../wording/verdictText.ts';
import type { PageOptions, ReportSection } from './reportSection.ts';

/** The job in detail: complaint, measured, expected, decided, why, done, proved. Sections without content are left out. */
export function technicalPage(
  job: Job,
  assessment: Assessment | null,
  proofHealthy: Readonly<Record<string, Interval>> | null,
  options: PageOptions,
): ReportSection[] {
  return [
    complaintSection(job, options),
    rightSensorSection(job),
    circuitSection(job, options),
    readingsSection(job, assessment, options),
    comparisonSection(job, options),
    lookSection(job),
    verdictSection(job, assessment, options),
    decisionSection(job, options),
    repairSection(job, options),
    proofSection(job, proofHealthy, options),
    followUpSection(job, options),
  ].filter((s) => s.lines.length > 0 || (s.table?.rows.length ?? 0) > 0);
}

const say = (label: string, text: string): string[] => (text.trim() === '' ? [] : [`${label}: ${text.trim()}`]);

function complaintSection(job: Job, { unit }: PageOptions): ReportSection {
  const { complaint: c } = job;
  const slope = curveSlope(job.circuit.curve);
  const states = { present: 'present', sporadic: 'sporadic', 'came-back': 'cleared, came back', past: 'from the past' };
  const causes = Object.entries(c.causes).map(
    ([id, state]) =>
      `${OTHER_CAUSES.find((x) => x.id === id)?.name ?? id}: ${state === 'found' ? 'found' : 'ruled out'}`,
  );
  return {
    id: 'complaint',
    title: 'Complaint',
    lines: [
      ...say('Said', c.text),
      ...say(
        'Symptoms',
        SYMPTOMS.filter((s) => c.symptoms.includes(s.id))
          .map((s) => s.name)
          .join('; '),
      ),
      ...c.codes.map((code) =>
        `Code ${code.code} (${states[code.state]}). ${codeText(code, job.circuit.layout, slope, job.circuit.name) ?? ''}`.trim(),
      ),
      ...say('Replaced before', c.replaced.join(', ')),
      ...say('Other causes', causes.join('; ')),
      ...say('Against the readings', complaintText(job, unit)?.text ?? ''),
    ],
  };
}

function rightSensorSection(job: Job): ReportSection {
  const lines =
    job.rightSensor.trials.length === 0
      ? []
      : plugText(job.rightSensor, identifyPlugs(job.rightSensor)).map((l) => l.text);
  return { id: 'right-sensor', title: 'Which sensor', lines };
}

function circuitSection(job: Job, { unit }: PageOptions): ReportSection {
  const facts = circuitFacts(job.circuit, asFound(job).temperatureC, unit);
  const layout = {
    'pull-up': 'sensor to ground, pull-up in the module',
    'pull-down': 'sensor to the reference, pull-down in the module',
    'one-wire': 'one wire, return through the body',
  };
  return {
    id: 'circuit',
    title: 'Circuit',
    lines: [
      `${job.circuit.name || 'Circuit'}: ${layout[job.circuit.layout]}; reference ${facts.reference}, ${facts.pullUp}; curve ${curveName(job.circuit.curve)}.`,
      ...say('On the way', wayThrough(job.loom)),
      ...say('Thermometer beside the sensor', facts.temperature),
      ...say('Measured with', job.kit.name),
    ],
  };
}

function readingsSection(job: Job, assessment: Assessment | null, { unit, when }: PageOptions): ReportSection {
  const first = assessment?.suspects[0];
  const suspect = first && first.fault !== 'healthy' ? first : null;
  const rows = job.readings.map((r) => {
    const { title, quantity } = measurementById(r.measurement);
    const at = assessment?.readings.findIndex((x) => x.id === r.id) ?? -1;
    const view = at < 0 ? null : assessment!.readings[at];
    const value = r.value === null ? r.text : formatQuantity(r.value === 'OL' ? Infinity : r.value, quantity, unit);
    return [
      [title, readingConditionsText(r, unit, job)].filter(Boolean).join(', '),
      value,
      view ? formatInterval(view.healthy, quantity, unit) : '',
      view && suspect ? formatInterval(suspect.predicts[at], quantity, unit) : '',
      remarksOn(r, view),
      r.takenAt ? when(r.takenAt) : '',
    ];
  });
  const head = ['Test', 'Measured', 'Healthy', suspect ? `if ${suspect.name}` : 'suspect', 'Standing', 'Taken'];
  return { id: 'readings', title: 'Measured and expected', lines: [], table: { head, rows } };
}

/** Whether a reading counts and how it compares, with its note and what it was corrected from. */
function remarksOn({ voided, note, history }: JobReading, view: Assessment['readings'][number] | null): string {
  const compared = view ? (view.verdict === 'inside' ? 'as healthy' : view.verdict) : 'not counted';
  const standing = voided ? `excluded: ${voided.reason}` : compared;
  const corrected = history.length > 0 ? `corrected from ${history.map((h) => h.text).join(', ')}` : '';
  return [standing, note, corrected].filter(Boolean).join('; ');
}

function comparisonSection(job: Job, { unit }: PageOptions): ReportSection {
  const view = comparePairsOf(job);
  return { id: 'comparison', title: 'Compared', lines: view ? compareText(view, unit).map((l) => l.text) : [] };
}

function lookSection(job: Job): ReportSection {
  const seen = FINDINGS.filter((f) => job.findings.includes(f.id)).map((f) => f.name);
  return { id: 'look', title: 'Seen', lines: [...seen, ...say('Note', job.note)] };
}

function verdictSection(
  job: Job,
  a: Assessment | null,
  { unit, two = null, where = null }: PageOptions,
): ReportSection {
  if (!a || a.doubt.kind === 'no-readings') return { id: 'verdict', title: 'Verdict of the tool', lines: [] };
  const words = verdictText(a, (id) => readingNameById(job, id), unit, two);
  const groups = a.groups.map((g) => `${groupName(g.group)} ${formatProbability(g.probability)}`).join(', ');
  const suspects = a.suspects
    .slice(0, 3)
    .map((s) => `${formatProbability(s.probability)} ${s.name}${suspectDetail(s) ? `, ${suspectDetail(s)}` : ''}`);
  const place = whereAskedText(where, job.loom);
  return {
    id: 'verdict',
    title: 'Verdict of the tool',
    lines: [words.title, words.detail, place, groups, ...suspects].filter(Boolean).map(asSentence),
  };
}

/** What stands on a line of its own begins like a sentence. */
const asSentence = (text: string): string => text[0].toUpperCase() + text.slice(1);

function decisionSection(job: Job, { when }: PageOptions): ReportSection {
  const d = job.decision;
  if (!d) return { id: 'decision', title: 'Decided', lines: [] };
  const differs =
    d.group === d.toolGroup
      ? 'as the tool'
      : `the tool then said ${groupName(d.toolGroup).toLowerCase()}, ${formatProbability(d.toolProbability)}`;
  return {
    id: 'decision',
    title: 'Decided',
    lines: [`${groupName(d.group)} (${differs}), ${when(d.decidedAt)}.`, ...say('Reason', d.reason)],
  };
}

function repairSection(job: Job, { when }: PageOptions): ReportSection {
  const { part, partNumber, cause, done, doneAt, standIn } = job.repair;
  return {
    id: 'repair',
    title: 'Done',
    lines: [
      ...say('Part', [part, partNumber].filter(Boolean).join(', ')),
      ...say('Cause', cause),
      ...say('Work', done),
      ...(doneAt ? [`Repaired ${when(doneAt)}.`] : []),
      ...(standIn
        ? [
            standIn.removedAt
              ? `A temporary replacement (${standIn.what}) is out since ${when(standIn.removedAt)}.`
              : `TEMPORARY stand-in still fitted: ${standIn.what || 'not named'}, since ${when(standIn.fittedAt)}. Not a repair.`,
          ]
        : []),
    ],
  };
}

function proofSection(
  job: Job,
  healthy: Readonly<Record<string, Interval>> | null,
  { unit, when }: PageOptions,
): ReportSection {
  const { proof, closed } = job;
  const steps = PROOF_STEPS.flatMap((s) => {
    const done = proof.steps[s.id];
    return done
      ? [`${s.name}: ${done.state.replace('-', ' ')}${done.note ? ` (${done.note})` : ''}, ${when(done.at)}.`]
      : [];
  });
  const rows = proof.readings.map(({ measurement, text, value }) => {
    const { name, quantity } = measurementById(measurement);
    const range = healthy?.[measurement];
    const number = value === 'OL' ? Infinity : value;
    const standing =
      number === null || !range ? '' : { inside: 'as healthy', low: 'low', high: 'high' }[inside(range, number)];
    return [
      name,
      number === null ? text : formatQuantity(number, quantity, unit),
      range ? formatInterval(range, quantity, unit) : '',
      standing,
    ];
  });
  const end = closed ? [closedText(closed, when)] : [];
  const temperature = proof.temperatureC.text === '' ? [] : [`Thermometer at the proof: ${proof.temperatureC.text}`];
  return {
    id: 'proof',
    title: 'Proved',
    lines: [...temperature, ...steps, ...end],
    table: { head: ['Read again', 'Measured', 'Healthy', 'Standing'], rows },
  };
}

function followUpSection(job: Job, { when, day }: PageOptions): ReportSection {
  return {
    id: 'follow-ups',
    title: 'Still to do',
    lines: job.followUps.map(
      (f) => `${f.text || 'follow-up'}: ${f.doneAt ? `done ${when(f.doneAt)}` : `due ${day(f.dueOn)}`}`,
    ),
  };
}
