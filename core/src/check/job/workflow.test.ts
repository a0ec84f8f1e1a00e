import { CATALOGUE_CIRCUITS } from '../../catalogue/parts/circuits.ts';
import { describe, expect, test } from 'vitest';
import { readdirSync, readFileSync } from 'node:fs';
import { comparisonView } from '../../tools/comparing/comparisonView.ts';
import type { Pair } from '../../tools/comparing/comparePairs.ts';
import { CATALOGUE_CURVES } from '../../catalogue/parts/curves.ts';
import { directionOf, SYMPTOMS } from '../../catalogue/parts/symptoms.ts';
import { awgAreaMm2, wireOhm } from '../../circuit/network/wireOhm.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import { assess } from '../../inference/verdict/assessment.ts';
import { measurementById, MEASUREMENTS } from '../../circuit/measurements/list.ts';
import { PROOF_STEPS, proofStateOf, proofStepsFor } from '../proof/proofPlan.ts';
import { proofRanges } from '../proof/proofRanges.ts';
import { reportOf } from '../../report/reportOf.ts';
import { identifyPlugs } from '../rightSensor/identifyPlugs.ts';
import { compareText } from '../../wording/compareText.ts';
import { complaintText } from '../../wording/complaintText.ts';
import { plugText } from '../../wording/plugText.ts';
import { nextOfSchool, STATIONS, stationsFor } from '../../advice/workOrder/stations.ts';
import { checkJob } from './checkJob.ts';
import { curveSlope } from './curveSlope.ts';
import { dueOf, type JobFilter, narrowed, NO_FILTER } from './jobList.ts';
import { templateOf } from './jobAgain.ts';
import { jobLine, jobStateOf } from './jobLine.ts';
import type { Job } from './jobSchema.ts';
import { newJob } from './newJob.ts';
import { openJob, saveJob } from './openJob.ts';

const NOW = '2026-01-02T03:04:05.000Z';
const entry = (value: number) => ({ text: String(value), value });
const demo = (name: string): Job => {
  const opened = openJob(readFileSync(new URL(`../../../../examples/demo/${name}`, import.meta.url), 'utf8'));
  if (!opened.ok) throw new Error(name);
  return opened.job;
};

describe('the order of work', () => {
  test('every test of the list stands at one station', () => {
    const placed = STATIONS.flatMap((s) => s.tests);
    for (const { id } of MEASUREMENTS)
      expect(
        placed.filter((p) => p === id),
        `${id} belongs to one station: see core/src/advice/workOrder/stations.ts`,
      ).toHaveLength(1);
    expect(placed).toHaveLength(MEASUREMENTS.length);
  });
  test('a test stands at the station that it names', () => {
    for (const { id, kind, tests } of STATIONS)
      if (kind === 'tests') for (const t of tests) expect(measurementById(t).station, t).toBe(id);
  });
  test('a school moves stations, loses none, and leads through every test', () => {
    const plain = stationsFor('proposal', 'pull-up', 0);
    const sensorFirst = stationsFor('sensor-first', 'pull-up', 0);
    expect(sensorFirst.map((s) => s.id).sort()).toEqual(plain.map((s) => s.id).sort());
    expect(sensorFirst.find((s) => s.kind === 'tests')!.id).toBe('sensor');
    expect(plain.map((s) => s.id)).not.toContain('places');
    expect(stationsFor('proposal', 'pull-up', 1).flatMap((s) => s.tests)).toContain('connector-ohms');
    expect(stationsFor('proposal', 'one-wire', 2).flatMap((s) => s.tests)).not.toContain('return-drop');
    expect(nextOfSchool('supply-first', ['open-voltage', 'supply-to-return'], new Set(['open-voltage']))).toBe(
      'supply-to-return',
    );
    expect(nextOfSchool('proposal', ['open-voltage'], new Set())).toBeNull();
  });
});

describe('the right sensor', () => {
  const record = (trials: [string, string | null][], change: object = {}) => ({
    plugs: [
      { id: 'p1', name: 'front' },
      { id: 'p2', name: 'middle' },
      { id: 'p3', name: 'rear' },
    ],
    values: [
      { id: 'v1', name: 'EGT 1' },
      { id: 'v2', name: 'EGT 2' },
      { id: 'v3', name: 'EGT 3' },
    ],
    trials: trials.map(([plugId, movedId], i) => ({ id: String(i), plugId, movedId, how: 'unplugged' as const })),
    wantedValueId: 'v2',
    measuredPlugId: 'p1',
    ...change,
  });
  test('two of three pulled: the third is left over; measured on the wrong one', () => {
    const map = identifyPlugs(
      record([
        ['p1', 'v3'],
        ['p2', 'v1'],
      ]),
    );
    expect(map.pairs).toContainEqual({ plugId: 'p3', valueId: 'v2', how: 'left-over' });
    expect(map).toMatchObject({ wrongPlug: true, next: null, openPlugs: [] });
    expect(
      plugText(
        record([
          ['p1', 'v3'],
          ['p2', 'v1'],
        ]),
        map,
      )[0],
    ).toMatchObject({ odd: true });
  });
  test('nothing tried: nothing claimed; the measured plug first', () => {
    expect(identifyPlugs(record([]))).toMatchObject({ pairs: [], wrongPlug: null, next: 'p1' });
  });
  test('contradictions and dead plugs are said', () => {
    const map = identifyPlugs(
      record([
        ['p1', 'v1'],
        ['p2', 'v1'],
        ['p3', null],
      ]),
    );
    expect(map.conflicts).toEqual([{ kind: 'two-plugs', plugIds: ['p1', 'p2'], valueIds: ['v1'] }]);
    expect(map.dead).toEqual(['p3']);
    expect(
      identifyPlugs(
        record([
          ['p1', 'v1'],
          ['p1', 'v2'],
        ]),
      ).conflicts[0].kind,
    ).toBe('two-values');
  });
});

describe('comparing', () => {
  const curve = curveModel(CATALOGUE_CURVES.find((c) => c.id === 'ntc-2k8')!.curve);
  const pair = (
    temperatureC: number,
    resistanceOhm: number,
    phase: Pair['phase'] = 'heating',
    sensor: Pair['sensor'] = 'this',
  ): Pair => ({
    id: `${temperatureC} ${resistanceOhm} ${phase}`,
    sensor,
    phase,
    temperatureC,
    resistanceOhm,
  });
  test('a sound sensor: falls, fits, comes back', () => {
    const view = comparisonView(
      [pair(20, 3520), pair(40, 1459), pair(60, 667), pair(40, 1465, 'cooling'), pair(20, 3540, 'after')],
      curve,
    );
    expect(view.own).toMatchObject({ direction: 'ntc', jumps: [], returned: { ok: true } });
    for (const e of view.own.againstCurveK) expect(Math.abs(e.errorK)).toBeLessThan(1);
    expect(compareText(view, 'C').every((l) => !l.odd)).toBe(true);
  });
  test('passes at 29 °C and is far out when read again after being heated (common practice, no source)', () => {
    const view = comparisonView([pair(29, 2330), pair(60, 665), pair(29, 14_500, 'after')], curve);
    expect(view.own.returned).toMatchObject({ ok: false });
    expect(comparisonView([pair(29, 2330), pair(29, Infinity, 'after')], curve).own.returned).toEqual({
      ratio: Infinity,
      ok: false,
    });
  });
  test('a jump, a turn, a PTC', () => {
    expect(
      comparisonView([pair(20, 3520), pair(30, 2238), pair(40, 2600), pair(50, 973), pair(60, 667)], curve).own,
    ).toMatchObject({ direction: 'mixed', jumps: ['40 2600 heating'] });
    expect(comparisonView([pair(20, 1000), pair(60, 1200)], curve).own.direction).toBe('ptc');
  });
  test('old against new at the same temperature', () => {
    expect(comparisonView([pair(20, 3520), pair(20, 3500, 'heating', 'other')], curve).other).toMatchObject({
      differs: false,
    });
    expect(comparisonView([pair(20, 5600), pair(21, 3380, 'heating', 'other')], curve).other).toMatchObject({
      differs: true,
    });
    expect(comparisonView([pair(20, 5600), pair(50, 973, 'heating', 'other')], curve).other).toBeNull();
  });
  test('the slope is a tangent: about 150 Ω per °C near 19 °C, about 40 at 48 °C (common practice, no source)', () => {
    const engine = curveModel({
      kind: 'table',
      points: [
        [17, 3650],
        [21, 3040],
        [48, 1000],
      ].map(([temperatureC, resistanceOhm]) => ({ temperatureC, resistanceOhm })),
    });
    const at = (t: number): number =>
      Math.abs(comparisonView([pair(t, engine.resistanceOhm(t))], engine).own.tangent!.ohmPerK);
    expect(at(19)).toBeGreaterThan(135);
    expect(at(19)).toBeLessThan(165);
    expect(at(47)).toBeGreaterThan(35);
    expect(at(47)).toBeLessThan(48);
  });
});

describe('proof', () => {
  test('closes only with values read again, every step, nothing outside, no stand-in', () => {
    const job = newJob('a', NOW);
    const { problem } = checkJob(job);
    const healthy = proofRanges(problem!, { readC: 14, sigmaK: 1.5 });
    expect(Object.keys(healthy)).toContain('loaded-voltage');
    const steps = Object.fromEntries(
      proofStepsFor(job).map((s) => [s.id, { state: 'passed' as const, note: '', at: NOW }]),
    );
    const middle = (healthy['loaded-voltage'].low + healthy['loaded-voltage'].high) / 2;
    job.proof = {
      temperatureC: entry(14),
      readings: [{ measurement: 'loaded-voltage', text: 'x', value: middle }],
      steps,
    };
    expect(proofStateOf(job, healthy).proved).toBe(true);
    const spoil = (change: (j: Job) => void) => {
      const copy = structuredClone(job);
      change(copy);
      return proofStateOf(copy, healthy);
    };
    expect(spoil((j) => (j.proof.readings[0].value = 4.4))).toMatchObject({
      proved: false,
      outside: ['loaded-voltage'],
    });
    expect(spoil((j) => (j.proof.readings = [])).proved).toBe(false);
    expect(spoil((j) => delete j.proof.steps['road-test'])).toMatchObject({ proved: false, missing: ['road-test'] });
    expect(spoil((j) => (j.proof.steps['road-test'].state = 'failed'))).toMatchObject({ failed: ['road-test'] });
    expect(spoil((j) => (j.repair.standIn = { what: '', fittedAt: NOW, removedAt: null })).proved).toBe(false);
  });
  test('every machine and sensor has its steps', () => {
    const ids = (name: string): string[] => {
      const circuit = CATALOGUE_CIRCUITS.find((c) => c.name.startsWith(name))!;
      return proofStepsFor(newJob('a', NOW, circuit)).map((s) => s.id);
    };
    expect(ids('Engine coolant')).toEqual(['codes-read-again', 'cold-plausible', 'warm-plausible', 'road-test']);
    expect(ids('Engine intake air')).not.toContain('warm-plausible');
    expect(ids('Climate outdoor air')).toContain('waited');
    expect(ids('Evaporator')).not.toContain('waited');
    expect(ids('Boiler flow')).toContain('heating-cycle');
    const withCode = newJob('a', NOW);
    withCode.complaint.codes = [{ id: 'c', code: 'P0118', state: 'present' }];
    expect(proofStepsFor(withCode).map((s) => s.id)).toContain('codes-cleared');
    expect(new Set(PROOF_STEPS.map((s) => s.id)).size).toBe(PROOF_STEPS.length);
  });
});

describe('the ledger', () => {
  const filter = (change: object) => ({ ...NO_FILTER, ...change });
  const passes = (job: Job, by: JobFilter, today: string): boolean => narrowed([jobLine(job)], by, today).length === 1;
  test('states, filters and dues', () => {
    const [boat, cold, bath] = ['pilot-boat-jacket-water', 'cold-store-air-coil', 'swimming-bath-boiler'].map((n) =>
      demo(`${n}.json`),
    );
    expect([boat, cold, bath].map(jobStateOf)).toEqual(['measuring', 'repaired', 'closed']);
    expect(passes(boat, filter({ words: 'tern p0118' }), '2026-04-01')).toBe(true);
    expect(passes(boat, filter({ words: 'tern p0999' }), '2026-04-01')).toBe(false);
    expect(passes(cold, filter({ dueOnly: true }), '2026-03-20')).toBe(false);
    expect(passes(cold, filter({ dueOnly: true }), '2026-03-25')).toBe(true);
    const standIn = {
      ...boat,
      repair: { ...boat.repair, standIn: { what: 'x', fittedAt: NOW, removedAt: null as string | null } },
    };
    expect(passes(boat, filter({ dueOnly: true }), '2026-03-25')).toBe(false);
    expect(passes(standIn, filter({ dueOnly: true }), '2026-03-25')).toBe(true);
    standIn.repair.standIn.removedAt = NOW;
    expect(passes(standIn, filter({ dueOnly: true }), '2026-03-25')).toBe(false);
    expect(dueOf(jobLine(cold), '2026-03-25')).toMatchObject({ open: 1, due: 1 });
    expect(passes(bath, filter({ group: 'sensor', field: 'boiler', state: 'closed' }), '2026-03-25')).toBe(true);
    expect(passes({ ...bath, archivedAt: NOW }, NO_FILTER, '2026-03-25')).toBe(false);
  });
  test('a template keeps the machine and nothing of the case', () => {
    const fresh = templateOf(demo('swimming-bath-boiler.json'), 'new', NOW);
    expect(fresh).toMatchObject({
      id: 'new',
      readings: [],
      closed: null,
      decision: null,
      machine: 'Swimming bath, boiler 1',
    });
    expect(openJob(saveJob(fresh))).toEqual({ ok: true, job: fresh });
  });
});

describe('complaint, report, wires', () => {
  test('symptoms against the readings', () => {
    const job = newJob('a', NOW);
    expect(complaintText(job, 'C')).toBeNull();
    job.complaint.symptoms = ['fans-never'];
    job.moments[0].temperatureC = entry(12);
    job.readings = [{ ...demo('pilot-boat-jacket-water.json').readings[0] }];
    expect(complaintText(job, 'C')).toMatchObject({ odd: false });
    job.complaint.symptoms = ['fans-never', 'lean'];
    expect(directionOf(job.complaint.symptoms)).toBe('both');
    expect(complaintText(job, 'C')).toMatchObject({ odd: true });
    job.complaint.symptoms = ['lean'];
    expect(complaintText(job, 'C')).toMatchObject({ odd: true });
    expect(new Set(SYMPTOMS.map((s) => s.id)).size).toBe(SYMPTOMS.length);
  });
  test('every example makes a report that says what was measured and always carries its cautions', () => {
    for (const name of readdirSync(new URL('../../../../examples/demo/', import.meta.url))) {
      const job = demo(name);
      const { problem } = checkJob(job);
      const report = reportOf(job, assess(problem!), null, {
        unit: 'C',
        when: (iso) => iso.slice(0, 10),
        day: (iso) => iso.slice(0, 10),
      });
      const rows = report.sections.find((s) => s.id === 'readings')?.table?.rows ?? [];
      expect(rows).toHaveLength(job.readings.length);
      expect(report.cautions[report.cautions.length - 1]).toContain('The maker’s data');
      for (const s of report.sections) for (const line of s.lines) expect(line).not.toMatch(/undefined|NaN|null/);
    }
  });
  test('copper by AWG (GNU units): 0.0209478, 0.0333083, 0.0529622 Ω/m for 18, 20, 22', () => {
    expect([18, 20, 22].map((g) => wireOhm(1, awgAreaMm2(g)).toPrecision(4))).toEqual([
      '0.02095',
      '0.03331',
      '0.05296',
    ]);
  });
  test('a long cable widens what its wires may have', () => {
    const job = newJob('a', NOW);
    job.circuit.cableM = entry(40);
    job.circuit.cableMm2 = entry(0.5);
    expect(checkJob(job).problem!.circuit.wireMinOhm).toBeGreaterThan(1.2);
    job.circuit.cableM = { text: 'far', value: null };
    expect(checkJob(job).issues[0].path).toBe('circuit.cableM');
  });
  test('which way a chosen curve goes', () => {
    expect(curveSlope({ source: 'catalogue', id: 'pt200' })).toBe('ptc');
    expect(curveSlope({ source: 'catalogue', id: 'gone' })).toBe('ntc');
    expect(
      curveSlope({
        source: 'points',
        points: [
          [0, 100],
          [100, 138],
        ].map(([t, r]) => ({ temperatureC: entry(t), resistanceOhm: entry(r) })),
      }),
    ).toBe('ptc');
  });
});
