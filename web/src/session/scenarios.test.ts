// @vitest-environment happy-dom
import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/parts/circuits';
import { codesIn } from '@mellow-probe/core/catalogue/parts/troubleCodes';
import type { Job, JobConditions } from '@mellow-probe/core/check/job/jobSchema';
import { circuitFromCatalogue, newJob } from '@mellow-probe/core/check/job/newJob';
import { newReading } from '@mellow-probe/core/check/job/newReading';
import { entryOf, readTyped } from '@mellow-probe/core/base/units/entry';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { STATIONS } from '@mellow-probe/core/advice/workOrder/stations';
import { verdictText } from '@mellow-probe/core/wording/verdictText';
import { createPinia, setActivePinia } from 'pinia';
import { readFileSync } from 'node:fs';
import { beforeEach, expect, test, vi } from 'vitest';
import { fakeDoor } from '../../test/fakeDoor.ts';
import { emptyBrowser } from '../../test/browserWindow.ts';
import { engine } from '../workers/engine.ts';
import type { EngineLine } from '../workers/engineClient.ts';
import { type JobSession, jobSession } from './jobSession.ts';

/**
 * Cases of the trade with figures of our own invention, on a real session with the real engine: the verdict, the next test, and what they cost at
 * the keyboard (docs/strokes.md). Three more are driven through the page itself: e2e/scenarios.spec.ts.
 */
interface Scenario {
  name: string;
  /** Where it is not the name as far as it fits. */
  title?: string;
  circuit: string;
  air: string;
  readings: [test: string, text: string, conditions?: { ohm?: string; water?: string }][];
  /** What is told before the readings, and its strokes. */
  before?: [strokes: number, tell: (job: Job) => void];
  verdict: RegExp;
  next?: 'enough';
}

/** One click to the station, one on the finding. */
const finding = (id: string): Scenario['before'] => [2, (job) => job.findings.push(id)];
const code = (job: Job, text: string, state: 'present' | 'past' = 'present'): void =>
  codesIn(text, []).forEach((c, i) => job.complaint.codes.push({ id: `c${i}`, code: c.code, state }));

const SCENARIOS: readonly Scenario[] = [
  {
    name: 'open sensor',
    circuit: '2.49 kΩ · NTC 2.8 kΩ',
    air: '18',
    readings: [
      ['displayed', '-40'],
      ['displayed-bridged', '180'],
      ['sensor-ohms', 'OL'],
    ],
    verdict: /Sensor open/,
    next: 'enough',
  },
  {
    name: 'shorted sensor',
    circuit: '2.49 kΩ · NTC 2.8 kΩ',
    air: '18',
    readings: [
      ['displayed', '180'],
      ['displayed-unplugged', '-40'],
      ['sensor-ohms', '4'],
    ],
    verdict: /Sensor shorted/,
    next: 'enough',
  },
  {
    name: 'sensor drifted high at room temperature',
    circuit: 'Room or duct air',
    air: '22',
    readings: [
      ['displayed', '14'],
      ['sensor-ohms', '17k2'],
      ['bench-ohms', '4k3', { water: '60' }],
    ],
    verdict: /Sensor drifted high/,
  },
  {
    name: 'sensor of the wrong type',
    circuit: 'Evaporator or coil',
    air: '20',
    readings: [
      // Twice as much as it should have at 20 °C, more when hot and less when cold: the flat 10 kΩ type.
      ['displayed', '6'],
      ['sensor-ohms', '12,3k'],
      ['bench-ohms', '2760', { water: '60' }],
      ['bench-ohms', '29k5', { water: '0' }],
    ],
    verdict: /Sensor of another type fitted|Sensor fault/,
  },
  {
    name: 'reference fine but series resistance in the signal wire',
    circuit: 'Engine intake air',
    air: '15',
    readings: [
      ['displayed', '-8'],
      ['open-voltage', '5.00'],
      ['sensor-ohms', '3080'],
      ['displayed-substituted', '-4', { ohm: '2k2' }],
      ['return-drop', '0.003'],
    ],
    verdict: /Wiring fault: resistance in the signal wire/,
  },
  {
    name: 'return open',
    circuit: '2.49 kΩ · NTC 2 kΩ',
    air: '10',
    readings: [
      ['displayed', '-40'],
      ['open-voltage', '4.99'],
      ['open-voltage-return', '0.00'],
      ['supply-to-return', '0.00'],
    ],
    verdict: /Wiring fault: return wire open/,
  },
  {
    name: 'signal leaking to ground: in-between volts that a grounded return does not change',
    circuit: 'Engine oil · 5 V · 1 kΩ',
    air: '20',
    readings: [
      ['displayed', '51'],
      ['open-voltage', '2.80'],
      ['open-voltage-return-bridged', '2.80'],
      ['neighbour-reference', '5.00'],
    ],
    verdict: /Wiring fault.*signal leaks to ground/,
  },
  {
    name: 'wet connector',
    circuit: 'Evaporator or coil',
    air: '8',
    before: finding('moisture'),
    readings: [
      ['displayed', '27'],
      ['sensor-ohms', '10.9k'],
      ['open-voltage', '2.35'],
      ['isolation-return', '7.2k'],
    ],
    verdict: /signal leaks to the return \(wet connector\)/,
  },
  {
    name: 'reference dragged down by a neighbour, several codes',
    circuit: '2.49 kΩ · NTC 2 kΩ',
    air: '14',
    before: [21, (job) => code(job, 'P0117, P0197, P0642')],
    readings: [
      ['open-voltage', '2.90'],
      ['neighbour-reference', '2.90'],
      ['sensor-ohms', '3200'],
    ],
    verdict: /Reference supply fault: reference low/,
  },
  {
    name: 'module shows a default',
    circuit: '2.49 kΩ · NTC 2.8 kΩ',
    air: '16',
    before: [4, (job) => (job.circuit.display.substituteC = entryOf('60', 'celsius', 'C'))],
    readings: [
      ['displayed', '60'],
      ['displayed-unplugged', '60'],
      ['open-voltage', '0.00'],
      ['sensor-ohms', '4.2k'],
    ],
    verdict: /Wiring fault.*signal wire open/,
  },
  {
    name: 'boiler flow sensor drifted by moisture',
    circuit: 'Boiler flow',
    air: '45',
    before: finding('moisture'),
    readings: [
      ['displayed', '33'],
      ['sensor-ohms', '8750'],
      ['open-voltage', '4.98'],
      ['bench-ohms', '5k13', { water: '60' }],
    ],
    verdict: /Sensor drifted high/,
  },
  {
    name: 'outdoor sensor in the sun with a long cable, measured from the panel',
    circuit: 'Outdoor coil',
    air: '9',
    before: [
      6,
      (job) => {
        job.circuit.cableM = entryOf('40', 'number', 'C');
        job.findings.push('loose');
      },
    ],
    readings: [
      ['displayed', '24'],
      ['panel-ohms', '10k5'],
      ['loop-ohms', '2.4'],
      ['bench-ohms', '32k6', { water: '0' }],
    ],
    verdict: /Sensor position: sensor sits at another temperature/,
  },
  {
    name: 'code from the past with nothing wrong now',
    circuit: 'Engine oil · 5 V · 1 kΩ',
    air: '16',
    before: [9, (job) => code(job, 'P0198', 'past')],
    readings: [
      ['displayed', '16'],
      ['loaded-voltage', '4.05'],
      ['sensor-ohms', '4k25'],
      ['return-drop', '0.004'],
    ],
    // 94.8 % by long sampling: just below what is firm, and the volts unplugged are not tested.
    verdict: /Nothing wrong found so far/,
  },
  {
    name: 'new sensor already fitted and fault still there',
    circuit: '2.49 kΩ · NTC 2 kΩ',
    air: '11',
    before: [2, (job) => job.complaint.replaced.push('sensor')],
    readings: [
      ['displayed', '-25'],
      ['sensor-ohms', '3.7k'],
      ['loaded-voltage', '4.42'],
      ['return-drop', '3.4'],
    ],
    verdict: /Wiring fault: resistance in the return/,
  },
  {
    name: 'platinum exhaust sensor among three, found by unplugging',
    title: 'three exhaust sensors',
    circuit: 'Pt200',
    air: '20',
    // Three values and three plugs by name, four clicks, and the station.
    before: [41, () => undefined],
    readings: [
      ['displayed', '930'],
      ['displayed-bridged', '-40'],
      ['sensor-ohms', 'OL'],
    ],
    verdict: /Sensor open/,
  },
];

/** Strokes as the docs tell them. */
const told = new Map(
  [...readFileSync('docs/strokes.md', 'utf8').matchAll(/^\| (.+?) +\| (\d+) +\|$/gm)].map(([, name, n]) => [
    name,
    Number(n),
  ]),
);

const inThisThread: EngineLine = {
  judge: (job, chart, tell) => engine.judge(job, chart, (part) => Promise.resolve(tell(part))),
  withoutEach: () => Promise.resolve([]),
  course: () => Promise.resolve([]),
  plan: () => Promise.resolve(null),
};

/** Goes to a test as a hand does: the station, and the test where it is not the one that lies on its card. Returns the clicks. */
function goTo({ work }: JobSession, id: string): number {
  const station = STATIONS.find((s) => s.tests.includes(id))!;
  if (work.test === id) return 0;
  work.goStation(station.id);
  if (work.test === id) return 1;
  work.goTest(id);
  return 2;
}

beforeEach(async () => {
  await emptyBrowser();
  setActivePinia(createPinia());
});

test.each(SCENARIOS.map((s) => [s.name, s] as const))('%s', async (name, s) => {
  const job = newJob('a', '2026-01-02T03:04:05.000Z');
  const circuit = CATALOGUE_CIRCUITS.find((c) => c.name.includes(s.circuit))!;
  job.circuit = circuitFromCatalogue(circuit);
  job.field = circuit.field;
  const { door, control } = fakeDoor<Job>(`jobs/${name}`, job);
  const session = jobSession(door, control.stored!.value, control.stored, inThisThread);
  // The title, and the circuit from its list.
  let strokes = 3 + (s.title ?? name.slice(0, 24)).length + s.air.length + (s.before?.[0] ?? 0);
  session.job.moments[0].temperatureC = { ...session.job.moments[0].temperatureC, ...entryOf(s.air, 'celsius', 'C') };
  s.before?.[1](session.job);
  for (const [id, text, { ohm = '', water = '' } = {}] of s.readings) {
    strokes += goTo(session, id);
    const again = session.work.readingsOf(id).length > 0;
    if (again) session.work.again();
    strokes += (again ? 1 : 0) + ohm.length + water.length + text.length;
    const conditions: JobConditions = {
      ...(ohm && { substituteOhm: entryOf(ohm, 'ohms', 'C') }),
      ...(water && { bathC: entryOf(water, 'celsius', 'C') }),
    };
    const value = readTyped(text, measurementById(id).quantity, 'C', true);
    const takenAt = '2026-01-02T03:04:05.000Z';
    session.job.readings.push(newReading(again ? `${id} 2` : id, id, { text, value, conditions, takenAt }));
  }
  await vi.waitFor(() => expect(session.verdict.adviceEarlier || session.verdict.advice === null).toBe(false), {
    timeout: 60_000,
  });
  const { result, advice, two } = session.verdict;
  const words = verdictText(result!.assessment, (id) => id, 'C', two);
  expect(`${words.title} ${words.detail}`).toMatch(s.verdict);
  if (s.next === 'enough') expect(advice!.proposals[0]?.bits ?? 0).toBeLessThan(0.02);
  expect(strokes, `docs/strokes.md: | ${name} | ${strokes} |`).toBe(told.get(name));
  await session.close();
});
