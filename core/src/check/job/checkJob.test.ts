import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import { CATALOGUE_CIRCUITS } from '../../catalogue/parts/circuits.ts';
import { PULL_UP_SPREAD, YARD_SPREAD } from '../../circuit/network/spread.ts';
import { blank, type Entry, entryOf, figure } from '../../base/units/entry.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import { newStop } from '../../circuit/harness/harnessSchema.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import { noiseOf } from '../../inference/model/predictor.ts';
import { wireOhm } from '../../circuit/network/wireOhm.ts';
import { checkJob } from './checkJob.ts';
import { circuitCurve } from './circuitCurve.ts';
import { comparePairsOf, curveName } from './comparePairsOf.ts';
import { curveSlope } from './curveSlope.ts';
import { instrumentsOf, thermometerSigmaK } from '../../catalogue/kit/instrumentsOf.ts';
import { genericKit, type Kit } from '../../catalogue/kit/kitSchema.ts';
import { foldedHistory } from './foldedHistory.ts';
import { kitIssues } from './kitIssues.ts';
import { dueOf, type JobFilter, jobLineSchema, narrowed, NO_FILTER, tagsOf, typedTags } from './jobList.ts';
import { templateOf } from './jobAgain.ts';
import { jobLine, jobStateOf } from './jobLine.ts';
import type { CurveChoice, Job } from './jobSchema.ts';
import { MOST } from './most.ts';
import { newJob } from './newJob.ts';
import { newReading } from './newReading.ts';
import { priorFactors } from './priorFactors.ts';
import { isUnknown, readFigure, toldOf, valueOf } from './readFigure.ts';
import { readingsCsv } from './readingsCsv.ts';

const someStops = (count: number) => Array.from({ length: count }, (_, i) => newStop(`c${i}`, 'connector'));
const NOW = '2026-01-02T03:04:05.000Z';
const fresh = (change: (job: Job) => void = () => undefined): Job => {
  const job = newJob('one', NOW);
  change(job);
  return job;
};
const told = (text: string): Entry => entryOf(text, 'told-celsius', 'C');
const band = (text: string): Entry => entryOf(text, 'ohm-band', 'C');
const reading = (measurement: string, value: number, conditions: Job['readings'][number]['conditions'] = {}) => ({
  ...newReading(measurement, measurement, { text: String(value), value, takenAt: NOW }),
  conditions,
});
const issuesOf = (change: (job: Job) => void): [string, string][] =>
  checkJob(fresh(change)).issues.map(({ path, issue }) => [path, issue.reason]);
const problemOf = (change: (job: Job) => void) => checkJob(fresh(change)).problem!;

describe('the circuit of a job', () => {
  test('its figures as the engine takes them, told as well as they are known', () => {
    const { circuit, instruments } = problemOf((job) => {
      job.circuit.hotPullUpOhm = figure(350);
      job.circuit.display.substituteC = figure(40);
      job.loom.stops = someStops(2);
      job.kit.meter.leadOhm = figure(0.3);
    });
    expect(circuit).toMatchObject({
      layout: 'pull-up',
      referenceV: 5,
      pullUpOhm: 2490,
      hotPullUpOhm: 350,
      switchRatio: 0.2,
      supplyV: 12.6,
      connectors: 2,
      wireMinOhm: 0.05,
      wireMaxOhm: 1.5,
      display: { minC: -40, maxC: 150, resolutionC: 1, substituteC: 40, substitutes: 0.33, ratiometric: null },
      spread: { ...YARD_SPREAD, pullUpGiven: PULL_UP_SPREAD.usual },
      worksC: { low: -20, high: 110 },
    });
    expect(instruments.leadOhm).toBe(0.3);
    expect(problemOf(() => undefined).circuit).toMatchObject({ hotPullUpOhm: null, switchRatio: 0 });
    const { spread } = problemOf((job) => (job.circuit.pullUpSource = 'board')).circuit;
    expect(spread.pullUpGiven).toBe(PULL_UP_SPREAD.board);
    expect(problemOf((job) => (job.circuit.pullUpOhm = { text: 'unknown', value: null })).circuit.pullUpOhm).toBeNull();
  });
  test('a long run adds its copper, with a tenth either way', () => {
    const { circuit } = problemOf((job) => {
      job.circuit.cableM = figure(40);
      job.circuit.cableMm2 = figure(0.5);
    });
    expect(circuit.wireMinOhm).toBeCloseTo(0.05 + 0.9 * wireOhm(40, 0.5), 9);
    expect(circuit.wireMaxOhm).toBeCloseTo(1.5 + 1.1 * wireOhm(40, 0.5), 9);
    const plain = problemOf((job) => (job.circuit.cableM = figure(40))).circuit;
    expect(plain.wireMaxOhm).toBeCloseTo(1.5 + 1.1 * wireOhm(40, 0.75), 9);
    expect(problemOf((job) => (job.circuit.cableMm2 = figure(0.5))).circuit.wireMaxOhm).toBe(1.5);
  });
  test.each<[string, (job: Job) => void, string, string]>([
    ['no reference', (j) => (j.circuit.referenceV = blank()), 'circuit.referenceV', 'empty'],
    ['0.4 V', (j) => (j.circuit.referenceV = figure(0.4)), 'circuit.referenceV', 'too-low'],
    ['31 V', (j) => (j.circuit.referenceV = figure(31)), 'circuit.referenceV', 'too-high'],
    ['no ohms', (j) => (j.circuit.pullUpOhm = figure(0)), 'circuit.pullUpOhm', 'must-be-positive'],
    ['11 MΩ', (j) => (j.circuit.pullUpOhm = figure(11e6)), 'circuit.pullUpOhm', 'too-high'],
    [
      'a hot pull-up',
      (j) => (j.circuit.hotPullUpOhm = { text: 'x', value: null }),
      'circuit.hotPullUpOhm',
      'not-a-number',
    ],
    ['0.5 V supply', (j) => (j.circuit.supplyV = figure(0.5)), 'circuit.supplyV', 'too-low'],
    ['61 V supply', (j) => (j.circuit.supplyV = figure(61)), 'circuit.supplyV', 'too-high'],
    ['cold end', (j) => (j.circuit.display.minC = figure(-271)), 'circuit.display.minC', 'too-low'],
    ['ends that meet', (j) => (j.circuit.display.maxC = figure(-31)), 'circuit.display.maxC', 'too-low'],
    ['hot end', (j) => (j.circuit.display.maxC = figure(1501)), 'circuit.display.maxC', 'too-high'],
    ['a default', (j) => (j.circuit.display.substituteC = figure(-271)), 'circuit.display.substituteC', 'too-low'],
    ['a cable of 0 m', (j) => (j.circuit.cableM = figure(0)), 'circuit.cableM', 'must-be-positive'],
    ['0.04 mm²', (j) => (j.circuit.cableMm2 = figure(0.04)), 'circuit.cableMm2', 'too-low'],
  ])('%s is asked at its field', (_, change, path, reason) => {
    expect(issuesOf(change)).toEqual([[path, reason]]);
  });
  test.each(['referenceV', 'pullUpOhm', 'supplyV'] as const)('without %s there is nothing to compute', (key) => {
    expect(checkJob(fresh((j) => (j.circuit[key] = { text: 'x', value: null }))).problem).toBeNull();
  });
  test.each(['minC', 'maxC'] as const)('without %s neither', (key) => {
    expect(checkJob(fresh((j) => (j.circuit.display[key] = blank()))).problem).toBeNull();
  });
});

describe('a temperature as people have it', () => {
  const steady = (text: string) => problemOf((job) => (job.moments[0].temperatureC = told(text))).thermometers.steady;
  test('a figure has the thermometer’s spread, a rough one and a range their own', () => {
    expect(steady('20')).toEqual({ readC: 20, sigmaK: 1.5, halfWidthK: 0 });
    expect(steady('~20')).toEqual({ readC: 20, sigmaK: 3, halfWidthK: 0 });
    expect(steady('18…24')).toEqual({ readC: 21, sigmaK: 1, halfWidthK: 3 });
    expect(steady('hoses can be touched')).toEqual({ readC: 27.5, sigmaK: 1, halfWidthK: 22.5 });
    expect(steady('')).toBeUndefined();
    expect(problemOf((job) => (job.kit.thermometer = 'infra-red-shiny')).thermometers.steady).toBeUndefined();
    const hand = problemOf((job) => {
      job.kit.thermometer = 'hand';
      job.moments[0].temperatureC = told('40');
      job.moments[1].temperatureC = told('at the thermostat');
    }).thermometers;
    expect(hand).toEqual({
      steady: { readC: 40, sigmaK: 6, halfWidthK: 0 },
      hot: { readC: 90, sigmaK: 1, halfWidthK: 8 },
    });
  });
  test('typed in °F and kept as °C: the range is read again in the unit it was typed in', () => {
    const entry = entryOf('64-75', 'told-celsius', 'F');
    expect(toldOf(entry)!.kind).toBe('range');
    expect(toldOf(entry)!.middleC).toBeCloseTo(((69.5 - 32) * 5) / 9, 9);
    expect(toldOf({ text: '11,883 asked', value: 12 })).toMatchObject({ kind: 'figure', middleC: 12 });
    expect(toldOf(blank())).toBeNull();
  });
  test.each([
    ['hot', 'not-a-number'],
    ['24…18', 'upside-down'],
    ['18…', 'not-a-number'],
    ['1300', 'too-high'],
    ['-101', 'too-low'],
  ])('“%s” is asked: %s', (text, reason) => {
    expect(issuesOf((job) => (job.moments[0].temperatureC = told(text)))).toEqual([
      ['moments.steady.temperatureC', reason],
    ]);
    expect(issuesOf((job) => (job.moments[1].temperatureC = told(text)))).toEqual([
      ['moments.hot.temperatureC', reason],
    ]);
  });
  test('a figure outside the curve is left out and said; a range may reach beyond it', () => {
    expect(issuesOf((job) => (job.moments[0].temperatureC = told('250')))).toEqual([
      ['moments.steady.temperatureC', 'outside-curve'],
    ]);
    expect(issuesOf((job) => (job.moments[0].temperatureC = told('-60')))).toEqual([
      ['moments.steady.temperatureC', 'outside-curve'],
    ]);
    expect(steady('>150')).toMatchObject({ readC: 165 });
  });
});

describe('the readings of a job', () => {
  test('a bound goes along with its OL, from a reading and from a pair', () => {
    const open = { value: 'OL' as const, takenAt: NOW };
    const problem = problemOf((job) => {
      job.readings = [
        newReading('a', 'sensor-ohms', { ...open, text: '> 20 MΩ' }),
        newReading('b', 'loop-ohms', { ...open, text: 'OL' }),
      ];
      job.comparison.pairs = [
        {
          id: 'p',
          temperatureC: told('20'),
          resistanceOhm: { text: '>200k', value: null },
          phase: 'heating',
          sensor: 'this',
        },
      ];
    });
    expect(problem.readings.map((r) => [r.value, r.conditions.aboveOhm])).toEqual([
      [Infinity, 20e6],
      [Infinity, undefined],
      [Infinity, 200_000],
    ]);
  });
  test('a figure, its conditions and its state; what was voided or is empty is left out', () => {
    const { readings } = problemOf((job) => {
      job.readings = [
        { ...reading('open-voltage', 4.98), state: 'hot', moment: 'hot' },
        { ...reading('loaded-voltage', 2), voided: { reason: 'slipped', at: NOW } },
        { ...reading('return-drop', 0), text: '', value: null },
        reading('displayed-substituted', 48, { substituteOhm: figure(1000) }),
      ];
    });
    expect(readings).toEqual([
      { id: 'open-voltage', measurement: 'open-voltage', value: 4.98, conditions: {}, state: 'hot' },
      {
        id: 'displayed-substituted',
        measurement: 'displayed-substituted',
        value: 48,
        conditions: { substituteOhm: 1000 },
        state: 'steady',
      },
    ]);
  });
  test('a bath or the air told as a range brings a spread of its own', () => {
    const { readings, ...rest } = problemOf((job) => {
      job.readings = [
        reading('bench-ohms', 600, { bathC: told('58-62') }),
        { ...reading('bench-ohms', 600, { bathC: told('60') }), id: 'b' },
        reading('off-ohms', 2500, { airC: told('about 20') }),
      ];
    });
    expect(readings.map((r) => r.conditions)).toEqual([
      { bathC: 60, ownK: Math.hypot(1, 2 / Math.sqrt(3)) },
      { bathC: 60 },
      { airC: 20, ownK: 3 },
    ]);
    const spread = (i: number): number =>
      noiseOf({ ...rest, readings }, measurementById('bench-ohms'), readings[i].conditions).sigma(600);
    expect(spread(0)).toBeGreaterThan(2 * spread(1));
  });
  test.each<[string, ReturnType<typeof reading>, string, string]>([
    ['no resistor', reading('displayed-substituted', 20), 'displayed-substituted.substituteOhm', 'needs-condition'],
    ['no bath', reading('bench-ohms', 20, { bathC: blank() }), 'bench-ohms.bathC', 'needs-condition'],
    [
      'a bath that is hot',
      reading('bench-ohms', 20, { bathC: { text: 'hot', value: null } }),
      'bench-ohms.bathC',
      'not-a-number',
    ],
    [
      'a bath upside down',
      reading('bench-ohms', 20, { bathC: { text: '60-50', value: null } }),
      'bench-ohms.bathC',
      'upside-down',
    ],
    ['air of 200 °C', reading('off-ohms', 20, { airC: figure(200) }), 'off-ohms.airC', 'too-high'],
    [
      'a resistor of nothing',
      reading('displayed-substituted', 20, { substituteOhm: figure(0) }),
      'displayed-substituted.substituteOhm',
      'must-be-positive',
    ],
    [
      'no such connector',
      reading('connector-voltage', 2, { wire: 'signal', position: 3 }),
      'connector-voltage.position',
      'needs-condition',
    ],
    ['no connector told', reading('connector-voltage', 2), 'connector-voltage.position', 'needs-condition'],
    ['no figure', { ...reading('return-drop', 1), text: 'x', value: null }, 'return-drop', 'not-a-number'],
  ])('%s: asked, and the reading is left out', (_, one, path, reason) => {
    const { issues, problem } = checkJob(
      fresh((job) => {
        job.loom.stops = someStops(2);
        job.readings = [one];
      }),
    );
    expect(issues.map((i) => [i.path, i.issue.reason])).toEqual([[`readings.${path}`, reason]]);
    expect(problem!.readings).toEqual([]);
  });
  test('at a connector that is there: wire and number go along', () => {
    const { readings } = problemOf((job) => {
      job.loom.stops = someStops(2);
      job.readings = [reading('connector-voltage', 2, { wire: 'return', position: 2 })];
    });
    expect(readings[0].conditions).toEqual({ wire: 'return', position: 2 });
  });
  test('a test that this layout does not have is left out and said', () => {
    expect(
      issuesOf((job) => {
        job.circuit.layout = 'one-wire';
        job.readings = [reading('return-drop', 0)];
      }),
    ).toEqual([['readings.return-drop', 'not-on-this-layout']]);
  });
});

describe('the pairs of a comparison', () => {
  const pair = (change: Partial<Job['comparison']['pairs'][number]> = {}): Job['comparison']['pairs'][number] => ({
    id: 'p',
    sensor: 'this',
    phase: 'heating',
    temperatureC: figure(40),
    resistanceOhm: figure(1100),
    ...change,
  });
  const readingsOf = (...pairs: Job['comparison']['pairs']) =>
    problemOf((job) => (job.comparison.pairs = pairs)).readings;
  test('on this sensor they are readings in a bath; after the heat they count as hot', () => {
    expect(readingsOf(pair(), pair({ id: 'q', phase: 'after', temperatureC: told('38-42') }))).toEqual([
      { id: 'comparison.p', measurement: 'bench-ohms', value: 1100, conditions: { bathC: 40 }, state: 'steady' },
      {
        id: 'comparison.q',
        measurement: 'bench-ohms',
        value: 1100,
        conditions: { bathC: 40, ownK: Math.hypot(1, 2 / Math.sqrt(3)) },
        state: 'hot',
      },
    ]);
    expect(readingsOf(pair({ sensor: 'other' }), pair({ temperatureC: blank(), resistanceOhm: blank() }))).toEqual([]);
    expect(readingsOf(pair({ resistanceOhm: { text: 'OL', value: null } }))[0].value).toBe(Infinity);
  });
  test('what cannot be read is asked at its own field, also of the other sensor', () => {
    const bad = { text: 'x', value: null };
    const issues = issuesOf((job) => {
      job.comparison.pairs = [
        pair({ temperatureC: bad }),
        pair({ id: 'q', sensor: 'other', resistanceOhm: bad }),
        pair({ id: 'r', temperatureC: blank() }),
      ];
    });
    expect(issues).toEqual([
      ['comparison.p.temperatureC', 'not-a-number'],
      ['comparison.q.resistanceOhm', 'not-a-number'],
      ['comparison.r.temperatureC', 'empty'],
    ]);
  });
  test('judged on the curve, OL and unread ones apart; nothing without a curve or a pair', () => {
    const job = fresh((j) => (j.comparison.pairs = [pair(), pair({ id: 'q', sensor: 'other' })]));
    const view = comparePairsOf(job)!;
    expect(view.pairs).toEqual([
      { id: 'p', sensor: 'this', phase: 'heating', temperatureC: 40, resistanceOhm: 1100 },
      { id: 'q', sensor: 'other', phase: 'heating', temperatureC: 40, resistanceOhm: 1100 },
    ]);
    expect(view.slope).toBe('ntc');
    expect(comparePairsOf(fresh())).toBeNull();
    expect(comparePairsOf(fresh((j) => (j.comparison.pairs = [pair({ temperatureC: blank() })])))).toBeNull();
    expect(comparePairsOf({ ...job, circuit: { ...job.circuit, curve: { source: 'points', points: [] } } })).toBeNull();
  });
});

describe('the curve a circuit chose', () => {
  const choose = (curve: CurveChoice) => {
    const job = fresh((j) => (j.circuit.curve = curve));
    return {
      curve: circuitCurve(curve),
      issues: checkJob(job).issues.map(({ path, issue }) => [path, issue.reason]),
      name: curveName(curve),
      slope: curveSlope(curve),
    };
  };
  const points = (...rows: [string, string][]): CurveChoice => ({
    source: 'points',
    points: rows.map(([t, r]) => ({
      temperatureC: entryOf(t, 'celsius', 'C'),
      resistanceOhm: entryOf(r, 'ohms', 'C'),
    })),
  });
  const bands = (slope: 'ntc' | 'ptc', ...rows: [string, string][]): CurveChoice => ({
    source: 'band',
    slope,
    bands: rows.map(([t, r]) => ({ temperatureC: told(t), resistanceOhm: band(r) })),
  });
  test('of the catalogue, given, or not there', () => {
    expect(choose({ source: 'catalogue', id: 'pt200' })).toMatchObject({
      name: 'Platinum Pt200',
      slope: 'ptc',
      issues: [],
    });
    expect(choose({ source: 'catalogue', id: 'none' })).toMatchObject({
      curve: null,
      name: 'none',
      slope: 'ntc',
      issues: [['circuit.curve', 'unknown-curve']],
    });
    const given = { kind: 'platinum' as const, r0Ohm: 500 };
    expect(choose({ source: 'given', name: 'mine', curve: given })).toMatchObject({
      curve: given,
      name: 'mine',
      slope: 'ptc',
    });
  });
  test('a table of points, sorted; empty rows left out', () => {
    expect(choose(points(['60', '600'], ['', ''], ['20', '2500']))).toEqual({
      curve: {
        kind: 'table',
        points: [
          { temperatureC: 20, resistanceOhm: 2500 },
          { temperatureC: 60, resistanceOhm: 600 },
        ],
      },
      issues: [],
      name: 'table of 2 points',
      slope: 'ntc',
    });
    expect(choose(points(['20', '100'], ['60', '115'])).slope).toBe('ptc');
  });
  test.each<[string, CurveChoice, [string, string][]]>([
    ['one point', points(['20', '2500']), [['circuit.curve', 'too-few-points']]],
    [
      'a row half filled',
      points(['20', '2500'], ['30', ''], ['40', '1000']),
      [['circuit.curve.points.1.resistanceOhm', 'empty']],
    ],
    ['no temperature', points(['', '2500'], ['40', '1000']), [['circuit.curve.points.0.temperatureC', 'empty']]],
    [
      'the same twice',
      points(['20', '2500'], ['20', '2400'], ['40', '1000']),
      [['circuit.curve.points.1.temperatureC', 'equal-points']],
    ],
    [
      'a turn',
      points(['20', '2500'], ['60', '2600'], ['40', '1000']),
      [['circuit.curve.points.1.resistanceOhm', 'not-monotone']],
    ],
    ['too hot', points(['20', '2500'], ['1300', '1']), [['circuit.curve.points.1.temperatureC', 'too-high']]],
  ])('a table with %s is asked at the row as typed', (_, curve, issues) => {
    expect(choose(curve)).toMatchObject({ curve: null, issues });
  });
  test('a line of a specification, or two', () => {
    expect(choose(bands('ntc', ['20', '2–3 kΩ']))).toEqual({
      curve: { kind: 'band', slope: 'ntc', bands: [{ temperatureC: 20, lowOhm: 2000, highOhm: 3000 }] },
      issues: [],
      name: '2–3 kΩ at 20',
      slope: 'ntc',
    });
    const two = choose(bands('ptc', ['0', '98-102'], ['100', '136-141']));
    expect(two).toMatchObject({ issues: [], slope: 'ptc', name: '98-102 at 0, 136-141 at 100' });
    expect(two.curve).toMatchObject({ bands: [{ lowOhm: 98 }, { lowOhm: 136 }] });
    expect(choose(bands('ntc', ['20', '2-3k'], ['', ''])).curve).toMatchObject({ bands: [{ lowOhm: 2000 }] });
  });
  test.each<[string, CurveChoice, [string, string][]]>([
    ['no band', bands('ntc', ['20', '']), [['circuit.curve.bands.0.resistanceOhm', 'empty']]],
    ['no temperature', bands('ntc', ['', '2-3k']), [['circuit.curve.bands.0.temperatureC', 'empty']]],
    ['upside down', bands('ntc', ['20', '3-2k']), [['circuit.curve.bands.0.resistanceOhm', 'upside-down']]],
    [
      'the wrong way',
      bands('ntc', ['20', '2-3k'], ['60', '4-5k']),
      [['circuit.curve.bands.1.resistanceOhm', 'not-monotone']],
    ],
    [
      'twice the same',
      bands('ptc', ['20', '2-3k'], ['20', '4-5k']),
      [['circuit.curve.bands.1.resistanceOhm', 'not-monotone']],
    ],
    ['no line', { source: 'band', slope: 'ntc', bands: [] }, [['circuit.curve.bands', 'empty']]],
  ])('a specification with %s is asked at its field', (_, curve, issues) => {
    expect(choose(curve)).toMatchObject({ curve: null, issues });
  });
  test('not known: learned from the readings', () => {
    expect(choose({ source: 'unknown' })).toEqual({
      curve: { kind: 'unknown' },
      issues: [],
      name: 'not known',
      slope: 'ntc',
    });
  });
  test('typed figures that make no curve are asked at the first of them', () => {
    const typed: CurveChoice = { source: 'typed', kind: 'beta', form: '', figures: { r25Ohm: figure(2000) } };
    expect(choose(typed)).toMatchObject({
      curve: null,
      issues: [['circuit.curve.figures.betaK', 'empty']],
      slope: 'ntc',
    });
    expect(choose(typed).name).toContain('R25 2000, B (K) ?');
    const bent: CurveChoice = {
      source: 'typed',
      kind: 'steinhart-hart',
      form: '',
      figures: { a: figure(1e-3), b: figure(-2e-4), c: figure(1e-7) },
    };
    expect(choose(bent).curve).toBeNull();
  });
});

describe('figures', () => {
  test('bounds, and what was stored wins over the text', () => {
    expect(readFigure(figure(5), 'volts', 1, 10)).toBe(5);
    expect(readFigure({ text: '11,883', value: 11883 }, 'ohms', 0, 1e6)).toBe(11883);
    expect(readFigure({ text: '4k7', value: null }, 'ohms', 0, 1e6)).toBe(4700);
    expect(readFigure({ text: 'OL', value: null }, 'ohms', 0, 1e6)).toEqual({ ok: false, reason: 'overload-not-here' });
    expect(readFigure(figure(0), 'ohms', 1, 10)).toEqual({ ok: false, reason: 'must-be-positive' });
    expect(readFigure(figure(0), 'celsius', -10, 10)).toBe(0);
    expect(readFigure(figure(-11), 'celsius', -10, 10)).toEqual({ ok: false, reason: 'too-low', limit: -10 });
    expect(readFigure(figure(10), 'celsius', -10, 10)).toBe(10);
    expect(readFigure(figure(10.1), 'celsius', -10, 10)).toEqual({ ok: false, reason: 'too-high', limit: 10 });
    expect(valueOf('x', 'OL', 'ohms', {})).toBe(Infinity);
  });
  test.each(['', ' ', '?', 'unknown', ' Not known '])('“%s” leaves the figure open', (text) => {
    expect(isUnknown(text)).toBe(true);
  });
  test.each(['unknowns', '?k', '0'])('“%s” does not', (text) => expect(isUnknown(text)).toBe(false));
});

describe('what is told', () => {
  const sources = (change: (job: Job) => void): string[] => {
    const job = fresh(change);
    return priorFactors(job, checkJob(job).problem!.circuit).map((f) => `${f.source}: ${f.name}`);
  };
  const code = (text: string, state: Job['complaint']['codes'][number]['state'] = 'present') => ({
    id: text,
    code: text,
    state,
  });
  test('codes, history, findings, symptoms and the hand, each named', () => {
    expect(
      sources((job) => {
        job.complaint.codes = [code('P0118', 'came-back'), code('P0197')];
        job.complaint.replaced = ['sensor', 'connector', 'wiring', 'module'];
        job.findings = ['corrosion', 'no such finding'];
        job.complaint.symptoms = ['rich'];
        job.weightFactors = { healthy: 2 };
      }),
    ).toEqual([
      'finding: Several circuits of one supply have codes',
      'finding: A new sensor is fitted already and did not help',
      'finding: The wiring or connector was repaired already and did not help',
      'finding: Another module is fitted already and did not help',
      'finding: Corrosion or bent pins at the plug',
      'code: Code P0118, came back',
      ...sources((job) => (job.complaint.symptoms = ['rich'])),
      'by-hand: Changed by hand',
    ]);
  });
  test('a code of another sensor weighs only by what they share', () => {
    expect(sources((job) => (job.complaint.codes = [code('P0197')]))).toEqual([]);
    expect(sources((job) => (job.complaint.codes = [code('P0118', 'past')]))).toEqual([
      'code: Code P0118, from the past',
    ]);
    expect(
      priorFactors(
        fresh((job) => (job.complaint.codes = [code('P0118')])),
        null,
      ),
    ).toEqual([]);
  });
  test('a code of a high-voltage system keeps probes away, and the place is not searched for', () => {
    const touching = (...codes: string[]) => {
      const job = fresh((j) => (j.complaint.codes = codes.map((c) => code(c))));
      return checkJob(job).problem!.displayOnly ?? false;
    };
    expect([touching('P0118'), touching('P0118', 'P0A1F'), touching()]).toEqual([false, true, false]);
  });
  test('the temperature told is where the code was read', () => {
    const at = (text: string) => {
      const job = fresh((j) => {
        j.moments[0].temperatureC = told(text);
        j.complaint.codes = [code('P0116')];
      });
      return priorFactors(job, checkJob(job).problem!.circuit)[0].ratios;
    };
    expect(at('20')).toEqual(at(''));
    expect(at('90')).not.toEqual(at('20'));
  });
});

describe('loom and prices of a job', () => {
  test('what is no figure, or beyond sense, is told at its field and goes no further', () => {
    const told = issuesOf((j) => {
      j.loom.stops = someStops(2);
      j.loom.stops[0].minutes = figure(10_000);
      j.loom.stops[1].run.lengthM = { text: 'long', value: null };
      j.loom.module.run.areaMm2 = figure(-1);
      j.worth.hourPrice = figure(-60);
      j.worth.partPrice = { text: 'dear', value: null };
      j.worth.fitMinutes = figure(20_000);
      j.worth.backPrice = figure(0);
    });
    expect(told.map(([path]) => path).sort()).toEqual([
      'loom.c0.minutes',
      'loom.c1.lengthM',
      'loom.module.areaMm2',
      'worth.fitMinutes',
      'worth.hourPrice',
      'worth.partPrice',
    ]);
    expect(Object.fromEntries(told)).toMatchObject({ 'loom.c0.minutes': 'too-high', 'worth.hourPrice': 'too-low' });
  });
  test('runs told one by one are the cable; their copper counts', () => {
    const { circuit } = problemOf((j) => {
      j.loom.stops = someStops(1);
      j.circuit.cableM = figure(500);
      j.loom.module.run.lengthM = figure(20);
      j.loom.module.run.areaMm2 = figure(0.5);
      j.loom.stops[0].run.lengthM = figure(10);
    });
    const copper = wireOhm(20, 0.5) + wireOhm(10, 0.75);
    expect(circuit.wireMaxOhm).toBeCloseTo(1.5 + 1.1 * copper, 9);
    expect(circuit.wireMinOhm).toBeCloseTo(0.05 + 0.9 * copper, 9);
    expect([circuit.connectors, circuit.shares, circuit.placeWeights!.signal.length]).toEqual([1, 'unknown', 5]);
  });
  test('a reading on the way keeps its side; beyond the last stop it asks', () => {
    const at = (position: number, stops: number) =>
      checkJob(
        fresh((j) => {
          j.loom.stops = someStops(stops);
          j.readings = [reading('connector-voltage', 3, { wire: 'return', position, side: 'sensor' })];
        }),
      );
    expect(at(2, 2).problem!.readings[0].conditions).toEqual({ wire: 'return', position: 2, side: 'sensor' });
    expect(at(3, 2).issues.map((x) => x.issue.reason)).toEqual(['needs-condition']);
  });
});

describe('a list of jobs', () => {
  const done = { part: 'sensor', partNumber: 'A-17', cause: '', done: '', doneAt: NOW, standIn: null };
  const decision = { group: 'wiring', toolGroup: 'wiring', toolProbability: 0.9, reason: '', decidedAt: NOW } as const;
  test('how far a job has come', () => {
    expect(jobStateOf(fresh())).toBe('measuring');
    expect(jobStateOf(fresh((j) => (j.decision = decision)))).toBe('decided');
    expect(jobStateOf(fresh((j) => (j.repair = done)))).toBe('repaired');
    expect(jobStateOf(fresh((j) => (j.closed = { at: NOW, how: 'proved', reason: '' })))).toBe('closed');
  });
  const followUp = (dueOn: string, doneAt: string | null = null) => ({ id: dueOn, text: 'look', dueOn, doneAt });
  test('what is due, soonest first, and a stand-in still fitted', () => {
    const job = fresh((j) => {
      j.followUps = [followUp('2026-03-01'), followUp('2026-01-05'), followUp('2026-01-01', NOW)];
      j.repair = { ...done, standIn: { what: 'NTC', fittedAt: NOW, removedAt: null } };
    });
    expect(dueOf(jobLine(job), '2026-01-05')).toEqual({ open: 2, due: 1, next: '2026-01-05' });
    expect(dueOf(jobLine(job), '2026-01-04')).toMatchObject({ due: 0 });
    expect(jobLine(job).standIn).toEqual({ what: 'NTC', fittedAt: NOW });
    job.repair.standIn!.removedAt = NOW;
    expect(jobLine(job).standIn).toBeNull();
    expect(dueOf(jobLine(fresh()), '2026-01-04')).toEqual({ open: 0, due: 0, next: null });
  });
  const passes = (job: Job, filter: JobFilter, today: string): boolean =>
    narrowed([jobLine(job)], filter, today).length === 1;
  test('a line holds what a list shows of a job, counts what counts and is short', () => {
    const job = fresh((j) => {
      j.title = 'Pilot boat';
      j.note = 'n'.repeat(500);
      j.readings = [reading('open-voltage', 5), { ...reading('open-voltage', 5), voided: { reason: '', at: NOW } }];
      j.readings.push({ ...reading('open-voltage', 5), value: null });
      j.closed = { at: NOW, how: 'unproved', reason: '' };
      j.tags = ['Harbour'];
    });
    const line = jobLine(job);
    expect(jobLineSchema.parse(line)).toEqual(line);
    expect(line).toMatchObject({ id: job.id, title: 'Pilot boat', state: 'closed', unproved: true, readings: 1 });
    expect(line).toMatchObject({ group: null, archived: false, standIn: null, circuit: job.circuit.name });
    expect(line.about).toBe(`${'n'.repeat(240)}…`);
    job.complaint.text = 'smokes';
    expect(jobLine(job).about).toBe('smokes');
    job.closed = { at: NOW, how: 'proved', reason: '' };
    expect(jobLine(job).unproved).toBe(false);
  });
  test('tags: as typed, without blanks and doubles; found by word and by name; in use, by name', () => {
    expect(typedTags(' harbour, fleet 2;, harbour ,')).toEqual(['harbour', 'fleet 2']);
    const [a, b] = [['wet', 'Fleet 2'], ['wet']].map((tags) => fresh((j) => (j.tags = tags)));
    expect(tagsOf([a, b].map(jobLine))).toEqual(['Fleet 2', 'wet']);
    expect(passes(a, { ...NO_FILTER, tag: 'Fleet 2' }, '')).toBe(true);
    expect(passes(b, { ...NO_FILTER, tag: 'Fleet 2' }, '')).toBe(false);
    expect(passes(a, { ...NO_FILTER, words: 'fleet' }, '')).toBe(true);
  });
  test('each filter lets through what it names and nothing else', () => {
    const today = '2026-01-05';
    const job = fresh((j) => {
      j.title = 'Pilot boat';
      j.field = 'boiler';
      j.decision = decision;
      j.repair = { ...done, doneAt: null };
      j.complaint.codes = [{ id: 'c', code: 'P0118', state: 'present' }];
      j.complaint.text = 'smokes';
      j.note = 'wet';
      j.machine = 'MV Tern';
      j.followUps = [followUp(today)];
    });
    const lets = (filter: Partial<typeof NO_FILTER>): boolean => passes(job, { ...NO_FILTER, ...filter }, today);
    expect(lets({})).toBe(true);
    for (const words of ['pilot', 'BOAT tern', 'p0118', 'smokes wet', 'a-17', 'sensor', 'coolant', ' boat '])
      expect(lets({ words }), words).toBe(true);
    expect(lets({ words: 'boat ferry' })).toBe(false);
    expect([lets({ field: 'boiler' }), lets({ field: 'engine' })]).toEqual([true, false]);
    expect([lets({ state: 'decided' }), lets({ state: 'measuring' })]).toEqual([true, false]);
    expect([lets({ group: 'wiring' }), lets({ group: 'sensor' }), lets({ group: 'undecided' })]).toEqual([
      true,
      false,
      false,
    ]);
    expect([lets({ dueOnly: true }), passes(job, { ...NO_FILTER, dueOnly: true }, '2026-01-04')]).toEqual([
      true,
      false,
    ]);
    expect([
      lets({ archived: true }),
      passes({ ...job, archivedAt: NOW }, { ...NO_FILTER, archived: true }, today),
    ]).toEqual([false, true]);
    expect(passes({ ...job, archivedAt: NOW }, NO_FILTER, today)).toBe(false);
    expect(passes(fresh(), { ...NO_FILTER, group: 'undecided' }, today)).toBe(true);
    const standIn = fresh((j) => (j.repair.standIn = { what: 'x', fittedAt: NOW, removedAt: null }));
    expect(passes(standIn, { ...NO_FILTER, dueOnly: true }, today)).toBe(true);
  });
  test('a template keeps machine, circuit and kit, and nothing of the case', () => {
    const job = fresh((j) => {
      j.title = 'Pilot boat';
      j.machine = 'Tern';
      j.note = 'wet';
      j.moments[0].temperatureC = figure(20);
      j.moments[1].temperatureC = figure(90);
      j.readings = [reading('open-voltage', 5)];
      j.decision = decision;
      j.loom.stops = someStops(3);
      j.archivedAt = NOW;
    });
    const later = '2026-02-01T00:00:00.000Z';
    const copy = templateOf(job, 'two', later);
    expect(copy).toEqual({
      ...newJob('two', later, CATALOGUE_CIRCUITS[0]),
      title: 'Pilot boat',
      machine: 'Tern',
      circuit: job.circuit,
      loom: job.loom,
    });
    expect(copy.circuit).not.toBe(job.circuit);
  });
});

test('corrections are folded where they are too many: the first stays, and the latest', () => {
  const history = Array.from({ length: MOST.corrections + 5 }, (_, i) => ({ text: String(i), at: NOW }));
  const folded = foldedHistory(history);
  expect(folded).toHaveLength(MOST.corrections);
  expect([folded[0].text, folded[1].text, folded[folded.length - 1].text]).toEqual([
    '0',
    '6',
    String(MOST.corrections + 4),
  ]);
  const few = history.slice(0, MOST.corrections);
  expect(foldedHistory(few)).toBe(few);
});

test('readings as CSV: a column for every condition, OL and formulas as they are meant', () => {
  const csv = readingsCsv(
    fresh((job) => {
      job.moments[0].temperatureC = told('18-24');
      job.readings = [
        { ...reading('off-ohms', 2500, { airC: told('20') }), note: '=1+1' },
        reading('bench-ohms', 600, { bathC: figure(60) }),
        { ...reading('sensor-ohms', 1), text: 'OL', value: 'OL', voided: { reason: 'slipped', at: NOW } },
        reading('displayed-substituted', -12, { substituteOhm: figure(1000) }),
        reading('connector-voltage', -0.5, { wire: 'return', position: 2 }),
      ];
    }),
  );
  const [head, thermometer, air, bath, open, substitute, connector] = Papa.parse<string[]>(csv).data;
  const cell = (line: string[], name: string): string => line[head.indexOf(name)];
  expect([cell(thermometer, 'typed'), cell(thermometer, 'value'), cell(thermometer, 'unit')]).toEqual([
    '18-24',
    '21',
    '°C',
  ]);
  expect([cell(air, 'air (°C)'), cell(air, 'unit'), cell(air, 'note')]).toEqual(['20', 'Ω', "'=1+1"]);
  expect(cell(bath, 'bath (°C)')).toBe('60');
  expect([cell(open, 'value'), cell(open, 'voided')]).toEqual(['OL', 'slipped']);
  expect([cell(substitute, 'substitute (Ω)'), cell(substitute, 'value'), cell(substitute, 'unit')]).toEqual([
    '1000',
    '-12',
    '°C',
  ]);
  expect([cell(connector, 'wire'), cell(connector, 'connector'), cell(connector, 'unit')]).toEqual([
    'return',
    '2',
    'V',
  ]);
  expect(cell(bath, 'taken')).toBe(NOW);
});

test('every curve a job can choose makes a model that goes one way', () => {
  for (const { curveId } of CATALOGUE_CIRCUITS) {
    const curve = circuitCurve({ source: 'catalogue', id: curveId })!;
    const model = curveModel(curve);
    expect(Math.sign(model.resistanceOhm(60) - model.resistanceOhm(20))).toBe(model.slope === 'ntc' ? -1 : 1);
  }
});

test('a figure that no meter could show is asked at its field, and nothing is computed with it', () => {
  const asked = (measurement: string, text: string, value: number | 'OL') => {
    const { issues, problem } = checkJob(
      fresh((j) => (j.readings = [newReading('x', measurement, { text, value }), reading('open-voltage', 5)])),
    );
    return [issues.map((i) => `${i.path} ${i.issue.reason}`), problem?.readings.length];
  };
  expect(asked('sensor-ohms', '1e308', 1e308)).toEqual([['readings.x too-high'], 1]);
  expect(asked('loaded-voltage', '-1e308', -1e308)).toEqual([['readings.x too-low'], 1]);
  expect(asked('displayed', '1e308', 1e308)).toEqual([['readings.x too-high'], 1]);
  // Dashes: the display shows no value.
  expect(asked('displayed', '---', 'OL')).toEqual([[], 2]);
  expect(asked('loaded-voltage', 'OL', 'OL')).toEqual([['readings.x too-high'], 1]);
  expect(asked('sensor-ohms', 'OL', 'OL')).toEqual([[], 2]);
  expect(asked('loaded-voltage', '-0.02', -0.02)).toEqual([[], 2]);
  const pair = {
    id: 'p',
    sensor: 'this',
    phase: 'heating',
    temperatureC: figure(20),
    resistanceOhm: figure(1e308),
  } as const;
  const { issues } = checkJob(fresh((j) => (j.comparison.pairs = [pair])));
  expect(issues.map((i) => `${i.path} ${i.issue.reason}`)).toEqual(['comparison.p.resistanceOhm too-high']);
});

test('nearer to nothing than any meter shows is nothing; no resistance of a pair is negative', () => {
  const value = (figureText: string) =>
    problemOf(
      (j) => (j.readings = [newReading('x', 'loaded-voltage', { text: figureText, value: Number(figureText) })]),
    ).readings[0].value;
  expect(value('1e-320')).toBe(0);
  expect(value('-9e-10')).toBe(0);
  expect(value('1e-9')).toBe(1e-9);
  expect(value('0.0001')).toBe(0.0001);
  const pair = (id: string, sensor: 'this' | 'other', ohm: number) =>
    ({ id, sensor, phase: 'heating', temperatureC: figure(20), resistanceOhm: figure(ohm) }) as const;
  const job = fresh(
    (j) => (j.comparison.pairs = [pair('a', 'this', -40), pair('b', 'this', 0), pair('c', 'other', 2500)]),
  );
  expect(checkJob(job).issues.map((i) => `${i.path} ${i.issue.reason}`)).toEqual([
    'comparison.a.resistanceOhm too-low',
  ]);
  // A short is a pair, but none to hold beside a sound one: no ratio is made of it.
  const view = comparePairsOf(job)!;
  expect(view.pairs.map((p) => p.id)).toEqual(['b', 'c']);
  expect(view.own.jumps).toEqual(['b']);
  expect(view.other).toBeNull();
});

describe('the figures of a kit', () => {
  const kitWith = (change: (kit: Kit) => void): Kit => {
    const kit = genericKit();
    change(kit);
    return kit;
  };
  const range = (upTo: number, percent: number, digits: number, digit: number) => ({
    upTo: figure(upTo),
    percent: figure(percent),
    digits: figure(digits),
    digit: figure(digit),
  });
  const CASES: [string, (kit: Kit, entry: Entry) => void, low: number, high: number][] = [
    ['meter.inputOhm', (k, e) => (k.meter.inputOhm = e), 1e3, 1e13],
    ['meter.overloadOhm', (k, e) => (k.meter.overloadOhm = e), 100, 1e13],
    ['meter.leadOhm', (k, e) => (k.meter.leadOhm = e), 0, 100],
    ['thermometerK', (k, e) => (k.thermometerK = e), 0.001, 200],
    ['displayedK', (k, e) => (k.displayedK = e), 0.001, 200],
    ['resistors.tolerancePercent', (k, e) => (k.resistors.tolerancePercent = e), 0.001, 50],
    ['meter.volts.0.upTo', (k, e) => (k.meter.volts = [{ ...range(6, 0.5, 2, 0.001), upTo: e }]), 1e-3, 1e13],
    ['meter.volts.0.percent', (k, e) => (k.meter.volts = [{ ...range(6, 0.5, 2, 0.001), percent: e }]), 0, 50],
    ['meter.ohms.0.digits', (k, e) => (k.meter.ohms = [{ ...range(6, 0.5, 2, 0.001), digits: e }]), 0, 1e4],
    ['meter.ohms.0.digit', (k, e) => (k.meter.ohms = [{ ...range(6, 0.5, 2, 0.001), digit: e }]), 0, 1e7],
  ];
  test.each(CASES)(
    '%s: at its field where it cannot be, also in the job; taken at its ends',
    (path, set, low, high) => {
      const issues = (value: number) => kitIssues(kitWith((k) => set(k, figure(value)))).map((i) => i.path);
      for (const value of [low, high]) expect(issues(value), String(value)).toEqual([]);
      for (const value of [low === 0 ? -0.001 : 0.99 * low, 1.01 * high])
        expect(issues(value), String(value)).toEqual([`kit.${path}`]);
      expect(kitIssues(kitWith((k) => set(k, blank())))).toEqual([]);
      expect(kitIssues(kitWith((k) => set(k, { text: 'x', value: null })))[0]?.path).toBe(`kit.${path}`);
      const job = fresh((j) => set(j.kit, figure(1.01 * high)));
      expect(checkJob(job).issues.map((i) => i.path)).toEqual([`kit.${path}`]);
    },
  );
  test('what cannot be is not reckoned with: the generic figure is', () => {
    const bad = kitWith((k) => {
      for (const [, set] of CASES) set(k, figure(1e-320));
      k.meter.leadOhm = figure(-3);
      k.meter.volts = [range(1e-320, 0.5, 2, 0.001), range(6, 60, 2, 0.001)];
      k.meter.ohms = [range(1e3, 1, 1e308, 1e308)];
    });
    const generic = instrumentsOf(genericKit());
    expect(instrumentsOf(bad)).toEqual({
      ...generic,
      ohms: [{ upTo: Infinity, relative: 0.01 / Math.sqrt(3), absolute: 1e-4, together: true }],
    });
    expect(thermometerSigmaK(bad)).toBe(thermometerSigmaK(genericKit()));
    const good = kitWith((k) => {
      k.meter.inputOhm = figure(2e6);
      k.meter.overloadOhm = figure(4e7);
      k.meter.leadOhm = figure(0.3);
    });
    expect(instrumentsOf(good)).toEqual({ ...generic, meterInputOhm: 2e6, meterOverloadOhm: 4e7, leadOhm: 0.3 });
  });
});
