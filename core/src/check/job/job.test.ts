import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import { CATALOGUE_CIRCUITS } from '../../catalogue/parts/circuits.ts';
import { FINDINGS } from '../../catalogue/parts/findings.ts';
import { FAULTS } from '../../circuit/faults/list.ts';
import { issueText, openFaultText } from '../../wording/issueText.ts';
import { checkJob } from './checkJob.ts';
import { figure } from '../../base/units/entry.ts';
import type { FieldIssue } from './fieldIssue.ts';
import type { Job } from './jobSchema.ts';
import { mergeThreeWay } from '../../base/records/mergeThreeWay.ts';
import { MIGRATIONS } from './migrations/list.ts';
import { newJob } from './newJob.ts';
import { newReading } from './newReading.ts';
import { MAX_FILE_BYTES, openJob, openJobData, saveJob } from './openJob.ts';
import { MOST } from './most.ts';
import { LONGEST } from '../../base/units/bounds.ts';
import { pooled } from '../../inference/model/priorFactor.ts';
import { priorFactors } from './priorFactors.ts';
import { readingsCsv } from './readingsCsv.ts';

const NOW = '2026-01-02T03:04:05.000Z';
const fresh = (): Job => newJob('one', NOW);
const typed = (text: string) => ({ text, value: null });
const reading = (
  id: string,
  measurement: string,
  text: string,
  value: number | 'OL' | null = null,
): Job['readings'][number] => newReading(id, measurement, { text, value, takenAt: NOW });

describe('the job file', () => {
  test('every circuit of the catalogue makes a job that is complete, and survives the file', () => {
    for (const circuit of CATALOGUE_CIRCUITS) {
      const job = newJob('x', NOW, circuit);
      expect(checkJob(job)).toMatchObject({ issues: [], problem: expect.anything() as unknown });
      expect(openJob(saveJob(job))).toEqual({ ok: true, job });
    }
  });

  test('every example opens without an issue', () => {
    const folder = new URL('../../../../examples/demo/', import.meta.url);
    const names = readdirSync(folder);
    expect(names.length).toBeGreaterThanOrEqual(3);
    for (const name of names) {
      const opened = openJob(readFileSync(new URL(name, folder), 'utf8'));
      expect(opened.ok, name).toBe(true);
      if (opened.ok) expect(checkJob(opened.job).issues, name).toEqual([]);
    }
  });

  test.each(MIGRATIONS.map((m) => [m.to] as const))(
    'the step to version %d turns its fixture before into the one after',
    (to) => {
      const read = (when: string): string =>
        readFileSync(
          new URL(`migrations/fixtures/${String(to).padStart(4, '0')}-${when}.json`, import.meta.url),
          'utf8',
        );
      const before = JSON.parse(read('before')) as { formatVersion: number };
      expect(before.formatVersion).toBe(to - 1);
      const migrated = MIGRATIONS.find((m) => m.to === to)!.migrate(structuredClone(before));
      expect(migrated).toEqual(JSON.parse(read('after')));
      const opened = openJob(read('before'));
      expect(opened.ok).toBe(true);
    },
  );

  test('what is voided is kept in the file and left out of the verdict', () => {
    const job = fresh();
    job.readings = [
      { ...reading('a', 'open-voltage', '5', 5), voided: { reason: 'wrong pin', at: NOW } },
      reading('b', 'open-voltage', '4.9', 4.9),
    ];
    expect(checkJob(job).problem!.readings.map((r) => r.id)).toEqual(['b']);
    expect(openJob(saveJob(job))).toEqual({ ok: true, job });
  });

  test.each([
    ['', 'empty'],
    ['  \n', 'empty'],
    ['{"format": ', 'not-json'],
    ['PK\u0003\u0004 binary', 'not-json'],
    ['[1, 2]', 'not-a-job'],
    ['null', 'not-a-job'],
    ['{"format":"other/thing"}', 'not-a-job'],
    ['{"format":"mellow-probe/job","formatVersion":99}', 'newer-version'],
    ['{"format":"mellow-probe/job","formatVersion":1}', 'bad-field'],
    [' '.repeat(MAX_FILE_BYTES + 1), 'too-large'],
  ])('refused with its reason: %#', (text, reason) => {
    const opened = openJob(text);
    expect(opened).toMatchObject({ ok: false, reason });
    if (!opened.ok) expect(openFaultText(opened).length).toBeGreaterThan(10);
  });

  test('a byte order mark in front is no part of the file', () => {
    expect(openJob(`\uFEFF${saveJob(fresh())}`)).toEqual({ ok: true, job: fresh() });
  });
  test.each([0, -5, 1.5, null, true, [1], {}, '2', undefined])(
    'a version that is none is refused: %j',
    (formatVersion) => {
      const opened = openJobData({ ...fresh(), formatVersion });
      expect(opened).toMatchObject({ ok: false, reason: 'bad-version' });
      if (!opened.ok) expect(openFaultText(opened)).toContain('this version is unknown');
    },
  );
  test('lists longer than a hand may make them still open, absurd ones do not', () => {
    const code = (i: number) => ({ id: `c${i}`, code: 'P0118', state: 'present' as const });
    const job = fresh();
    job.title = 'x'.repeat(LONGEST.line + 7);
    job.complaint.codes = Array.from({ length: MOST.codes + 1 }, (_, i) => code(i));
    job.readings = [
      { ...reading('a', 'open-voltage', '5', 5), history: Array.from({ length: 51 }, () => ({ text: '4', at: NOW })) },
    ];
    expect(openJob(saveJob(job))).toEqual({ ok: true, job });
    job.complaint.codes = Array.from({ length: 10 * MOST.codes + 1 }, (_, i) => code(i));
    expect(openJob(saveJob(job))).toMatchObject({ reason: 'bad-field', path: ['complaint', 'codes'] });
  });
  test('names the field that is wrong', () => {
    const spoil = (change: (job: Job) => void): ReturnType<typeof openJob> => {
      const job = fresh();
      job.readings.push(reading('r1', 'open-voltage', '5', 5));
      change(job);
      return openJob(JSON.stringify(job));
    };
    expect(spoil((j) => Object.assign(j.readings[0], { measurement: 'magic' }))).toMatchObject({
      path: ['readings', 0, 'measurement'],
    });
    expect(spoil((j) => Object.assign(j.circuit, { layout: 'sideways' }))).toMatchObject({
      path: ['circuit', 'layout'],
    });
    expect(spoil((j) => Object.assign(j, { extra: 1 }))).toMatchObject({
      reason: 'bad-field',
      detail: 'unknown: extra',
    });
    expect(spoil((j) => Object.assign(j.moments[0].temperatureC, { text: '', value: 12 }))).toMatchObject({
      path: ['moments', 0, 'temperatureC'],
    });
    // 1e999 is Infinity in JSON: no figure.
    expect(openJob(JSON.stringify(fresh()).replace('"value":2490', '"value":1e999'))).toMatchObject({
      reason: 'bad-field',
    });
  });
});

describe('what is typed', () => {
  const issueAt = (change: (job: Job) => void, path: string): FieldIssue | undefined => {
    const job = fresh();
    change(job);
    return checkJob(job).issues.find((i) => i.path === path)?.issue;
  };
  const r25b = (r25: string, beta: string): Job['circuit']['curve'] => ({
    source: 'typed',
    kind: 'beta',
    form: '',
    figures: { r25Ohm: typed(r25), betaK: typed(beta) },
  });
  const points = (...list: [string, string][]): Job['circuit']['curve'] => ({
    source: 'points',
    points: list.map(([t, r]) => ({ temperatureC: typed(t), resistanceOhm: typed(r) })),
  });

  test.each<[string, (job: Job) => void, string, FieldIssue['reason']]>([
    [
      'letters in a number',
      (j) => (j.moments[0].temperatureC = typed('warm')),
      'moments.steady.temperatureC',
      'not-a-number',
    ],
    [
      'below absolute zero',
      (j) => (j.moments[0].temperatureC = typed('-300')),
      'moments.steady.temperatureC',
      'below-absolute-zero',
    ],
    [
      'outside the curve',
      (j) => ((j.circuit.curve = { source: 'catalogue', id: 'ntc-12k' }), (j.moments[0].temperatureC = typed('-20'))),
      'moments.steady.temperatureC',
      'outside-curve',
    ],
    ['a negative resistance', (j) => j.readings.push(reading('a', 'sensor-ohms', '-20')), 'readings.a', 'negative'],
    ['volts on an ohms field', (j) => j.readings.push(reading('a', 'sensor-ohms', '5 V')), 'readings.a', 'wrong-unit'],
    ['an ambiguous figure', (j) => j.readings.push(reading('a', 'sensor-ohms', '11,883')), 'readings.a', 'ambiguous'],
    ['a pull-up of 0', (j) => (j.circuit.pullUpOhm = typed('0')), 'circuit.pullUpOhm', 'must-be-positive'],
    ['R25 of 0', (j) => (j.circuit.curve = r25b('0', '3600')), 'circuit.curve.figures.r25Ohm', 'must-be-positive'],
    ['an absurd B', (j) => (j.circuit.curve = r25b('2k', '36')), 'circuit.curve.figures.betaK', 'too-low'],
    [
      'two equal points',
      (j) => (j.circuit.curve = points(['20', '2500'], ['20', '2400'])),
      'circuit.curve.points.1.temperatureC',
      'equal-points',
    ],
    [
      'a curve that turns round',
      (j) => (j.circuit.curve = points(['0', '9k'], ['20', '2k5'], ['40', '3k'])),
      'circuit.curve.points.2.resistanceOhm',
      'not-monotone',
    ],
    ['one point', (j) => (j.circuit.curve = points(['20', '2500'])), 'circuit.curve', 'too-few-points'],
    [
      'a curve that is gone',
      (j) => (j.circuit.curve = { source: 'catalogue', id: 'gone' }),
      'circuit.curve',
      'unknown-curve',
    ],
    ['a reference of 400 V', (j) => (j.circuit.referenceV = typed('400')), 'circuit.referenceV', 'out-of-range'],
    [
      'a substitute without its resistor',
      (j) => j.readings.push(reading('a', 'displayed-substituted', '12')),
      'readings.a.substituteOhm',
      'needs-condition',
    ],
    [
      'a return of a one-wire sender',
      (j) => ((j.circuit.layout = 'one-wire'), j.readings.push(reading('a', 'return-drop', '0.1'))),
      'readings.a',
      'not-on-this-layout',
    ],
  ])('%s', (_, change, path, reason) => {
    const issue = issueAt(change, path);
    expect(issue?.reason).toBe(reason);
    expect(issueText(issue!, 'ohms', 'C').length).toBeGreaterThan(5);
  });

  test('what is of a wrong kind, or missing, is told in plain words', () => {
    const told = (change: (data: Record<string, unknown>) => void): string => {
      const data = JSON.parse(saveJob(newJob('one', NOW))) as Record<string, unknown>;
      change(data);
      const opened = openJob(JSON.stringify(data));
      return opened.ok ? 'opened' : openFaultText(opened);
    };
    expect(told((d) => (d.photos = 3))).toBe('At photos: number in place of array.');
    expect(told((d) => delete d.title)).toBe('At title: this is missing.');
    expect(told((d) => (d.title = null))).toBe('At title: null in place of string.');
    expect(told((d) => (d.createdAt = 'then'))).toBe('At createdAt: Invalid ISO datetime.');
  });
  test('what cannot be read is left out, the rest still gives a problem', () => {
    const job = fresh();
    job.moments[0].temperatureC = typed('warm');
    job.readings = [reading('a', 'sensor-ohms', 'x'), reading('b', 'open-voltage', '5.01')];
    const { problem, issues } = checkJob(job);
    expect(issues).toHaveLength(2);
    expect(problem!.readings.map((r) => r.id)).toEqual(['b']);
    expect(problem!.thermometers.steady).toBeUndefined();
  });

  test('unknown pull-up, table points in any order, OL', () => {
    const job = fresh();
    job.circuit.pullUpOhm = typed('unknown');
    job.circuit.curve = points(['48', '1000'], ['17', '3650'], ['', ''], ['21', '3040']);
    job.readings = [reading('a', 'sensor-ohms', 'OL', 'OL')];
    const { problem } = checkJob(job);
    expect(problem!.circuit.pullUpOhm).toBeNull();
    expect(problem!.circuit.curve.resistanceOhm(21)).toBeCloseTo(3040, 6);
    expect(problem!.readings[0].value).toBe(Infinity);
  });

  test('what is told is pooled, and only faults that exist are named', () => {
    const known = FAULTS.map((f) => f.id);
    for (const f of FINDINGS)
      for (const fault of Object.keys(f.ratios)) expect(known, `${f.id}: ${fault}`).toContain(fault);
    const factors = (change: Partial<Job>): Record<string, number> =>
      pooled(priorFactors({ ...fresh(), ...change }, null));
    const told = factors({ findings: ['moisture', 'corrosion'] });
    // 5 × 3, drawn together; nothing that is told carries one fault further than thirty times another.
    expect(told['signal-to-return']).toBeGreaterThan(5);
    expect(told['signal-to-return']).toBeLessThan(15);
    const all = factors({ findings: FINDINGS.map((f) => f.id) });
    expect(Math.max(...Object.values(all)) / Math.min(...Object.values(all))).toBeLessThan(30);
    expect(told['signal-to-return']).toBeGreaterThan(told['signal-to-ground']);
    expect(factors({ findings: ['no such thing'] })).toEqual({});
    // What is changed by hand stands outside the pool.
    const moist = factors({ findings: ['moisture'] })['signal-to-return'];
    expect(
      factors({ findings: ['moisture'], weightFactors: { 'signal-to-return': 200 } })['signal-to-return'],
    ).toBeCloseTo(200 * moist, 9);
  });
});

describe('two windows', () => {
  test('both sets of changes are kept; the same field: mine', () => {
    const base = {
      ...fresh(),
      readings: [reading('a', 'open-voltage', '5', 5), reading('b', 'sensor-ohms', '3k', 3000)],
    };
    const mine = structuredClone(base);
    const theirs = structuredClone(base);
    mine.title = 'Tern';
    mine.readings[0] = reading('a', 'open-voltage', '4.9', 4.9);
    mine.readings.push(reading('c', 'return-drop', '0.1', 0.1));
    theirs.note = 'wet';
    theirs.moments[0].temperatureC = figure(12);
    theirs.readings = [reading('a', 'open-voltage', '4.8', 4.8), reading('d', 'displayed', '9', 9)];
    const merged = mergeThreeWay(base, mine, theirs);
    expect(merged).toMatchObject({ title: 'Tern', note: 'wet', moments: [{ temperatureC: { value: 12 } }, {}] });
    expect(merged.readings.map((r) => [r.id, r.value])).toEqual([
      ['a', 4.9],
      ['c', 0.1],
      ['d', 9],
    ]);
  });
  test('nothing typed on either side is ever lost (property)', () => {
    const text = fc.string({ maxLength: 3 });
    fc.assert(
      fc.property(
        fc.record({ title: text, note: text, machine: text }),
        fc.record({ title: text, note: text, machine: text }),
        (a, b) => {
          const base = fresh();
          const merged = mergeThreeWay(base, { ...base, ...a }, { ...base, ...b });
          for (const key of ['title', 'note', 'machine'] as const) {
            expect(merged[key]).toBe(a[key] !== base[key] ? a[key] : b[key]);
          }
        },
      ),
      { seed: 2 },
    );
  });
});

describe('readings as CSV', () => {
  test('one row a reading with unit and conditions; formulas cannot run; minus signs stay figures', () => {
    const job = fresh();
    job.moments[0].temperatureC = { text: '-12', value: -12 };
    job.readings = [
      {
        ...reading('a', 'displayed-substituted', '12', 12),
        conditions: { substituteOhm: { text: '1k', value: 1000 } },
        note: '=HYPERLINK("x")',
      },
      { ...reading('b', 'sensor-ohms', 'OL', 'OL'), note: '@SUM(A1)' },
    ];
    const csv = readingsCsv(job);
    expect(csv.endsWith('\r\n')).toBe(true);
    const rows = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true }).data;
    expect(rows).toHaveLength(3);
    expect(rows[0]).toMatchObject({ value: '-12', typed: '-12', unit: '°C' });
    expect(rows[1]).toMatchObject({ value: '12', unit: '°C', 'substitute (Ω)': '1000', note: '\'=HYPERLINK("x")' });
    expect(rows[2]).toMatchObject({ value: 'OL', unit: 'Ω', note: "'@SUM(A1)" });
  });
});
