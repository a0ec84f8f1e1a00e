// @vitest-environment happy-dom
import { sweepToolWords as say } from '@mellow-probe/core/wording/screens/tools';
import { formatOhm } from '@mellow-probe/core/base/units/format';
import { blank, entryOf, type Entry } from '@mellow-probe/core/base/units/entry';
import { curveModel } from '@mellow-probe/core/circuit/curves/curve';
import { describe, expect, test } from 'vitest';
import { blankDiagram, type DiagramDraft, marksOf, readDiagram, withoutPlaces } from './picture/diagramDraft.ts';
import {
  cornerHandles,
  nothingRead,
  type PictureReading,
  snippetStyle,
  withoutRow,
  withText,
} from './picture/pictureReading.ts';
import { blankMachine, blankSensor, isEnough, type MachineDraft, readSensors, verdictOf } from './machineDraft.ts';
import { machineFigure } from './machineFigure.ts';
import { blankOwnCurve, curveOfConstants, sharesLine, withoutLine } from './ownCurveDraft.ts';
import { useStraighten } from './picture/useStraighten.ts';
import { sweepLines } from './sweepLines.ts';

const celsius = (text: string): Entry => entryOf(text, 'celsius', 'C');

describe('all sensors of a machine, as they are typed', () => {
  const typed = (values: readonly string[], air = ''): MachineDraft => ({
    ...blankMachine(),
    moments: [{ id: 'm', how: 'rested', airC: air === '' ? blank() : celsius(air) }],
    sensors: values.map((v, i) => blankSensor(`s${i}`, v === '' ? [] : [celsius(v)])),
  });
  test('begins with four sensors without a name, at one moment of rest', () => {
    const { sensors, moments } = blankMachine();
    expect(sensors.map((s) => [s.name, s.shares, s.values])).toEqual(Array.from({ length: 4 }, () => ['', '', []]));
    expect(new Set(sensors.map((s) => s.id)).size).toBe(4);
    expect(moments.map((m) => [m.how, m.airC.text])).toEqual([['rested', '']]);
  });
  test('three sensors are enough, or two and the air; those without a value do not count', () => {
    expect(isEnough(typed(['18', '18.5', '']))).toBe(false);
    expect(isEnough(typed(['18', '18.5', ''], '18'))).toBe(true);
    expect(isEnough(typed(['18', '', ''], '18'))).toBe(false);
    const twice = typed(['18', '18.5'], '18');
    expect(isEnough({ ...twice, moments: [...twice.moments, { id: 'n', how: 'rested', airC: blank() }] })).toBe(true);
    expect(isEnough(typed(['18', '18.5', '18']))).toBe(true);
    expect(readSensors(typed(['18', '', '19'])).map((s) => s.name)).toEqual(['s0', 's2']);
    expect(verdictOf(typed(['18', '18.5', '']))).toBeNull();
  });
  test('one that is far out is named; several that share a plug are out together by it', () => {
    const one = typed(['18', '18.5', '31', '18.2']);
    expect(verdictOf(one)).toMatchObject({ kind: 'off', named: [one.sensors[2].id] });
    const two = typed(['18', '18.4', '9', '9.2', '18.1'], '18');
    [two.sensors[2].shares, two.sensors[3].shares] = [' Plug A, ', 'plug a;return'];
    expect(verdictOf(two)).toMatchObject({ kind: 'shared', shares: 'plug a' });
  });
});

describe('the chart of a machine', () => {
  const names = (figure: ReturnType<typeof machineFigure>) => figure.data.map((d) => (d as { name: string }).name);
  const trace = (figure: ReturnType<typeof machineFigure>, name: string) =>
    figure.data.find((d) => (d as { name: string }).name === name) as unknown as {
      x: number[];
      y: number[];
      mode: string;
    };
  test('at one moment each sensor is a short line in the band of those that agree; the odd one is a point', () => {
    const figure = machineFigure(
      [
        { name: 'a', isOdd: false, valuesC: [20] },
        { name: 'b', isOdd: false, valuesC: [21] },
        { name: 'c', isOdd: true, valuesC: [35] },
      ],
      'C',
      false,
    );
    expect(names(figure)).toEqual(['low', 'high', 'a', 'b', 'c']);
    expect(trace(figure, 'a').x).toEqual([0.6, 1.4]);
    expect([trace(figure, 'c').x, trace(figure, 'c').y, trace(figure, 'c').mode]).toEqual([[1], [35], 'markers']);
    expect(trace(figure, 'low').y).toEqual([18, 18]);
    expect(trace(figure, 'high').y).toEqual([23, 23]);
  });
  test('over several moments a line each, gaps left out; °F where that is read', () => {
    const figure = machineFigure(
      [
        { name: 'a', isOdd: false, valuesC: [20, null, 60] },
        { name: 'b', isOdd: false, valuesC: [22, 40, 60] },
      ],
      'F',
      true,
    );
    expect([trace(figure, 'a').x, trace(figure, 'a').y]).toEqual([
      [1, 3],
      [68, 140],
    ]);
    expect(trace(figure, 'low').x).toEqual([1, 2, 3]);
    expect(trace(figure, 'high').y[2] - trace(figure, 'low').y[2]).toBeCloseTo(9, 9);
    // 20 and 22 °C at the first moment, 40 °C alone at the second: the middle of those that are there.
    expect(trace(figure, 'low').y.map((v) => v + 4.5)).toEqual([69.8, 104, 140]);
    expect(figure.layout.xaxis).toMatchObject({ tick0: 1, dtick: 1 });
  });
});

describe('a curve of one’s own, as it is typed', () => {
  const constants = (
    change: Partial<Record<'r25' | 'beta' | 'a' | 'b' | 'c', number>>,
    way: 'r25b' | 'coefficients',
  ) => ({
    ...blankOwnCurve(),
    way,
    ...Object.fromEntries(Object.entries(change).map(([k, value]) => [k, { text: String(value), value }])),
  });
  test('R25 and B, or coefficients, give a curve; figures of no sensor give none', () => {
    expect(curveOfConstants(constants({ r25: 2000, beta: 3600 }, 'r25b'))).toEqual({
      kind: 'beta',
      r25Ohm: 2000,
      betaK: 3600,
    });
    expect(curveOfConstants(constants({ r25: 2000 }, 'r25b'))).toBeNull();
    // The coefficients of a 10 kΩ sensor (B about 3435), from memory; in thousandths they are of another convention.
    const usual = { a: 1.009249e-3, b: 2.378405e-4, c: 2.019202e-7 };
    const curve = curveOfConstants(constants(usual, 'coefficients'))!;
    expect(curveModel(curve).resistanceOhm(25)).toBeGreaterThan(9000);
    expect(curveModel(curve).resistanceOhm(25)).toBeLessThan(11_000);
    const milli = { a: 1009.249, b: 237.8405, c: 0.2019202 };
    expect(curveOfConstants(constants(milli, 'coefficients'))).toBeNull();
  });
  test('what was said of the columns holds while a line of the table is left', () => {
    expect(sharesLine('0 9420\n20 3520', '20 3520\n40 1459')).toBe(true);
    expect(sharesLine('0 9420\r\n20 3520', '20 3520')).toBe(true);
    expect(sharesLine('0 9420\n20 3520', '0 9421\n\n')).toBe(false);
    expect(sharesLine('0 9420\n\n', '\n')).toBe(false);
  });
  test('a line that is left out stays as a remark', () => {
    expect(withoutLine('a\nb\r\nc', 2)).toBe('a\n# b\nc');
    expect(withoutLine('a', 2)).toBe('a');
  });
});

describe('a table read from a picture', () => {
  const box = { left: 10, top: 20, right: 60, bottom: 40 };
  const cell = (text: string) => ({ text, doubtful: true, box });
  const reading: PictureReading = {
    ...nothingRead(),
    heads: ['°C', 'Ω'],
    rows: [
      [cell('0'), cell('9420')],
      [cell('20'), cell('3520')],
      [cell('40'), cell('1459')],
    ],
    looked: ['0:1', '2:0', '2:1'],
  };
  test('a corrected cell has its new text and counts as looked at, once', () => {
    const changed = withText(reading, 2, 1, '1460');
    expect(changed.rows[2].map((c) => c.text)).toEqual(['40', '1460']);
    expect(changed.rows[0]).toBe(reading.rows[0]);
    expect(changed.looked).toEqual(['0:1', '2:0', '2:1']);
    expect(withText(reading, 1, 0, '21').looked).toEqual(['0:1', '2:0', '2:1', '1:0']);
  });
  test('without a row, what was looked at below it moves up', () => {
    const left = withoutRow(reading, 1);
    expect(left.rows.map((r) => r[0].text)).toEqual(['0', '40']);
    expect(left.looked).toEqual(['0:1', '1:0', '1:1']);
    expect(withoutRow(reading, 2).looked).toEqual(['0:1']);
  });
  test('a snippet is the page behind a window of the cell’s size; without page or box there is none', () => {
    expect(snippetStyle(null, { url: 'u', width: 100, height: 100 })).toEqual({});
    expect(snippetStyle(box, null)).toEqual({});
    const style = snippetStyle({ left: 10, top: 20, right: 62, bottom: 38 }, { url: 'u', width: 100, height: 200 });
    expect(style).toEqual({
      width: '64px',
      height: '26px',
      backgroundImage: 'url(u)',
      backgroundSize: '100px 200px',
      backgroundPosition: '-4px -16px',
    });
  });
  test('the corners are handles with names, from the upper left one round', () => {
    const handles = cornerHandles([
      { x: 0, y: 0 },
      { x: 9, y: 0 },
      { x: 9, y: 9 },
      { x: 0, y: 9 },
    ]);
    expect(handles.map((h) => [h.id, h.kind])).toEqual(['0', '1', '2', '3'].map((id) => [id, 'corner']));
    expect(new Set(handles.map((h) => h.label)).size).toBe(4);
  });
});

describe('a diagram, as its places are set', () => {
  const mark = (x: number, y: number, value: number | null) => ({
    x,
    y,
    value: value === null ? blank() : { text: String(value), value },
  });
  const draft: DiagramDraft = {
    ...blankDiagram(),
    across: [mark(100, 600, 0), mark(900, 600, 100)],
    up: [mark(100, 600, 1000), mark(100, 100, 100_000)],
    points: [
      { x: 500, y: 350 },
      { x: 900, y: 600 },
    ],
  };
  test('before anything is set the marks lie about a tenth in from the edges', () => {
    const { across, up } = marksOf(blankDiagram(), { width: 1000, height: 500 });
    expect(across.map((m) => [m.x, m.y])).toEqual([
      [120, 450],
      [900, 450],
    ]);
    expect(up.map((m) => [m.x, m.y])).toEqual([
      [80, 420],
      [80, 50],
    ]);
    expect([...across, ...up].every((m) => m.value.text === '')).toBe(true);
  });
  test('places become temperatures and ohms: half-way on a logarithmic axis is the geometric mean', () => {
    const { points, faults } = readDiagram(draft, marksOf(draft, { width: 1000, height: 700 }));
    expect(faults).toEqual([]);
    expect(points.map((p) => [Math.round(p.temperatureC), Math.round(p.resistanceOhm)])).toEqual([
      [50, 10_000],
      [100, 1000],
    ]);
    const linear = { ...draft, logUp: false };
    expect(Math.round(readDiagram(linear, marksOf(linear, { width: 1, height: 1 })).points[0].resistanceOhm)).toBe(
      50_500,
    );
  });
  test('a missing value reads nothing; what is no axis is said', () => {
    const missing: DiagramDraft = { ...draft, up: [mark(100, 600, null), draft.up![1]] };
    expect(readDiagram(missing, marksOf(missing, { width: 1, height: 1 }))).toEqual({ points: [], faults: [] });
    const same: DiagramDraft = { ...draft, across: [mark(100, 600, 20), mark(900, 600, 20)] };
    const read = readDiagram(same, marksOf(same, { width: 1, height: 1 }));
    expect([read.points.length, read.faults.length]).toEqual([0, 1]);
  });
  test('on a straightened picture the values stay, the places begin anew, the points are gone', () => {
    const fresh = withoutPlaces(draft, { width: 500, height: 400 });
    expect(fresh.across!.map((m) => [m.x, m.value.value])).toEqual([
      [60, 0],
      [450, 100],
    ]);
    expect(fresh.up!.map((m) => [m.y, m.value.value])).toEqual([
      [336, 1000],
      [40, 100_000],
    ]);
    expect([fresh.points, fresh.logUp]).toEqual([[], true]);
    expect(withoutPlaces(blankDiagram(), { width: 500, height: 400 }).across![0].value.text).toBe('');
  });
});

describe('straightening a photo', () => {
  const picture = { url: 'u', width: 100, height: 80 } as never;
  test('begins with the corners of the picture; one is moved at a time; cancelled there is none', () => {
    const { begin, cancel, move, handles, canDo } = useStraighten({} as never, () => undefined);
    expect([move('0', 1, 1), handles.value, canDo.value]).toEqual([false, null, false]);
    begin(picture);
    const before = handles.value!;
    expect([before.length, canDo.value]).toEqual([4, true]);
    expect(move(before[1].id, 70, 5)).toBe(true);
    const after = handles.value!;
    expect([after[1].x, after[1].y, after[0], after[2]]).toEqual([70, 5, before[0], before[2]]);
    // Corners that cross go round no picture.
    move(before[0].id, 1000, 1000);
    expect(canDo.value).toBe(false);
    cancel();
    expect([handles.value, canDo.value]).toEqual([null, false]);
  });
});

describe('what a sweep of a module says', () => {
  type Sweep = Parameters<typeof sweepLines>[0];
  const nothing = {
    ...{ minC: null, maxC: null, fit: null, pullUp: null, against: [] },
    expects: { noneFits: false, candidates: [{ name: 'NTC 2 kΩ', probability: 0.9 }] },
  } as unknown as Sweep;
  const lines = (change: Partial<Sweep>, rows = 1) =>
    sweepLines({ ...nothing, ...change }, rows, 'NTC 2 kΩ', (c) => `${c} °C`);
  test('of one row nothing but what it shows; the ends of the scale where they were met', () => {
    expect(lines({})).toEqual([]);
    const pullUp = { value: 2490, sigma: 15, rows: 3 } as never;
    expect(lines({ pullUp }).map((l) => l.text)).toEqual([say.pullUpAbout(formatOhm(2490), formatOhm(30), '3 rows')]);
    expect(lines({ minC: -40, maxC: 150 })).toEqual([
      { text: say.coldEnd('-40 °C'), odd: false },
      { text: say.hotEnd('150 °C'), odd: false },
    ]);
  });
  test('which curve the module expects from two rows on; that none fits is odd', () => {
    expect(lines({}, 2).map((l) => l.odd)).toEqual([false]);
    expect(lines({ expects: { ...nothing.expects, noneFits: true } }, 1)).toEqual([]);
    expect(lines({ expects: { ...nothing.expects, noneFits: true } }, 2)).toEqual([
      { text: say.noCurveFits, odd: true },
    ]);
  });
  test('the sensor suits up to 5 K, by the row that is worst, whichever way it is off', () => {
    const against = (...errors: number[]) => errors.map((errorK, i) => ({ temperatureC: 20 * i, errorK }));
    expect(lines({ against: against(1, -5) }).map((l) => l.odd)).toEqual([false]);
    const fit = { sigmaK: 0.4 } as never;
    expect(lines({ against: against(1, 2), fit }).map((l) => l.text)).toContain(say.ownCurve(2, '0.8'));
    expect(lines({ against: against(6, -6) })[0].text).toContain('0 °C');
    const [worst] = lines({ against: against(1, -5.2, 3) });
    expect(worst.odd).toBe(true);
    expect(worst.text).toContain('20 °C');
  });
});
