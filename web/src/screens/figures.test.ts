// @vitest-environment happy-dom
import type { Pair } from '@mellow-probe/core/tools/comparing/comparePairs';
import { curveModel } from '@mellow-probe/core/circuit/curves/curve';
import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/parts/circuits';
import { assess } from '@mellow-probe/core/inference/verdict/assessment';
import { chartLines, type ChartLines } from '@mellow-probe/core/inference/verdict/chartLines';
import { checkJob } from '@mellow-probe/core/check/job/checkJob';
import { newReading } from '@mellow-probe/core/check/job/newReading';
import { newJob } from '@mellow-probe/core/check/job/newJob';
import type { CourseStep } from '@mellow-probe/core/inference/verdict/verdictCourse';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { courseFigureWords } from '@mellow-probe/core/wording/screens/benchVerdict';
import { describe, expect, test } from 'vitest';
import { chartColours } from '../components/chartLook.ts';
import { fileName } from '../browser/saveFile.ts';
import { curveFigures } from '../components/curveFigure.ts';
import { courseFigure } from './bench/courseFigure.ts';
import { comparisonFigures } from './bench/forms/comparisonFigure.ts';
import { lineFigure } from './tools/lineFigure.ts';

type Line = {
  x: number[];
  y: number[];
  mode: string;
  marker?: { symbol?: string; color: string };
  line?: { dash?: string; color?: string; width?: number };
};

/** The chart of a circuit with a sensor that is far too high. */
function linesOf(id: string): ChartLines {
  const job = newJob(
    'x',
    '2026-01-02T03:04:05.000Z',
    CATALOGUE_CIRCUITS.find((c) => c.id === id),
  );
  job.moments[0].temperatureC = { text: '20 °C', value: 20 };
  const model = checkJob(job).problem!.circuit.curve;
  const reading = (measurement: string, value: number) =>
    newReading(measurement, measurement, { text: String(value), value });
  job.readings = [reading('sensor-ohms', 1.6 * model.resistanceOhm(20)), reading('loaded-voltage', 1)];
  const { problem } = checkJob(job);
  return chartLines(problem!, assess(problem!));
}

describe.each(CATALOGUE_CIRCUITS.map((c) => [c.id, c] as const))('the charts of %s', (id, entry) => {
  const lines = linesOf(id);
  test('axes are named with the units that are drawn, ticks lie inside', () => {
    for (const unit of ['C', 'F'] as const) {
      const { resistance, voltage } = curveFigures(lines, unit, false);
      const largest = Math.max(...(resistance.data as Line[]).flatMap((d) => d.y));
      const title = String(resistance.layout.annotations![0].text);
      expect(title).toBe(`Sensor, ${Math.max(...lines.resistance.middle) > 2000 ? 'kΩ' : 'Ω'} against °${unit}`);
      const ticks = resistance.layout.yaxis!.tickvals as number[];
      expect(ticks.length).toBeGreaterThan(1);
      expect(Math.max(...ticks)).toBeLessThanOrEqual(1.4 * largest);
      expect(voltage === null).toBe(entry.pullUpOhm === null && lines.voltage === null);
    }
  });
  test('°F moves the points and leaves the ohms', () => {
    const [c, f] = (['C', 'F'] as const).map((unit) => (curveFigures(lines, unit, false).resistance.data as Line[])[2]);
    expect(f.y).toEqual(c.y);
    c.x.forEach((t, i) => expect(f.x[i]).toBeCloseTo(1.8 * t + 32, 9));
  });
  test('a reading off the curve is a diamond in amber: told by shape as well as by colour', () => {
    const point = (curveFigures(lines, 'C', false).resistance.data as Line[]).find((d) => d.mode === 'markers')!;
    expect(point.marker).toMatchObject({ symbol: 'diamond', color: chartColours(false).amber });
  });
});

describe('charts of the shelf', () => {
  const traces = [
    { name: 'sound <b>', x: [0, 1], y: [1, 10] },
    { name: 'with faults', x: [0, 1], y: [2, 20], kind: 'dashed' as const },
    { name: 'pairs', x: [0.5], y: [3], kind: 'points' as const },
  ];
  test('lines differ by dash and colour; labels are text; the scale is the wanted one', () => {
    const band = (['band-low', 'band-high'] as const).map((kind) => ({ name: kind, x: [0, 1], y: [1, 2], kind }));
    const [low, high] = lineFigure('Ω', band, false).data as (Line & { fill?: string })[];
    expect([low.fill, high.fill, low.line]).toEqual([undefined, 'tonexty', { width: 0 }]);
    expect(lineFigure('Ω', band, false).layout.yaxis!.type).not.toBe('log');
    const { data, layout } = lineFigure('kΩ against °C', traces, false, true);
    const [solid, dashed, points] = data as (Line & { name: string })[];
    expect([solid.line!.dash, dashed.line!.dash, points.mode]).toEqual(['solid', 'dash', 'markers']);
    const { spruce, plum, amber } = chartColours(false);
    expect([solid.line!.color, dashed.line!.color, points.marker!.color]).toEqual([spruce, plum, amber]);
    // The fourth line has the colour of the first again.
    const four = lineFigure('V', Array(4).fill(traces[0]), false).data as Line[];
    expect(four.map((l) => l.line!.color)).toEqual([spruce, plum, amber, spruce]);
    expect(solid.name).toBe('sound &lt;b&gt;');
    expect(layout.yaxis!.type).toBe('log');
    expect(lineFigure('V', traces, false, false, { x: [0, 1], y: [0, 5] }).layout.yaxis!.range).toEqual([0, 5]);
  });
  test('ink and ground of either theme differ enough to be read (WCAG 2.1: 4.5 to 1)', () => {
    const luminance = (hex: string): number => {
      const [r, g, b] = [1, 3, 5]
        .map((i) => parseInt(hex.slice(i, i + 2), 16) / 255)
        .map((v) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4));
      return 0.2126 * r + 0.7152 * g + 0.0722 * b;
    };
    for (const [dark, ground] of [
      [false, '#fffdf8'],
      [true, '#1b2927'],
    ] as const) {
      const contrast = (c: string): number => {
        const [a, b] = [luminance(c), luminance(ground)].sort((x, y) => y - x);
        return (a + 0.05) / (b + 0.05);
      };
      const { ink, soft, spruce, plum } = chartColours(dark);
      for (const c of [ink, soft, spruce, plum]) expect(contrast(c), c).toBeGreaterThan(4.5);
    }
  });
});

describe('saving', () => {
  test.each([
    ['Pilot boat Tern · jacket water', 'Pilot-boat-Tern-jacket-water.json'],
    ['../../etc/passwd', 'etc-passwd.json'],
    ['=SUM(A1)', 'SUM-A1.json'],
    ['冷却水 2', '冷却水-2.json'],
    ['…', 'check.json'],
    ['x'.repeat(200), `${'x'.repeat(60)}.json`],
  ])('a file from “%s”', (title, name) => expect(fileName(title, 'json')).toBe(name));
});

describe('the comparison of sensors', () => {
  const model = curveModel({ kind: 'beta', r25Ohm: 10_000, betaK: 3950 });
  const pair = (sensor: Pair['sensor'], phase: Pair['phase'], temperatureC: number, share: number, i = 0): Pair => ({
    id: `${sensor}${phase}${temperatureC}${i}`,
    sensor,
    phase,
    temperatureC,
    resistanceOhm: share * model.resistanceOhm(temperatureC),
  });
  const pairs = [
    pair('this', 'heating', 0, 1),
    pair('this', 'heating', 50, 1.1),
    pair('this', 'cooling', 25, 1.2),
    pair('other', 'heating', 25, 1),
  ];
  test('each path is a line of its own; off the curve it stands as kelvin, in the direction that a display would be wrong', () => {
    const { ohms, off } = comparisonFigures(pairs, model, 'C', false);
    const named = (data: unknown, name: string) => (data as (Line & { name: string })[]).find((d) => d.name === name)!;
    expect(named(ohms.data, 'this, heating').x).toEqual([0, 50]);
    expect(named(ohms.data, 'this, cooling').line!.dash).toBe('dash');
    expect(named(ohms.data, 'this, after heat')).toBeUndefined();
    const [sound, high] = named(off.data, 'this, heating').y;
    expect(sound).toBeCloseTo(0, 9);
    // Ten per cent too many ohms: 1/T grows by ln 1.1 / B, so the display reads cold.
    expect(high).toBeCloseTo(1 / (1 / 323.15 + Math.log(1.1) / 3950) - 323.15, 6);
    expect(named(off.data, 'the other').y[0]).toBeCloseTo(0, 9);
    expect(ohms.layout.yaxis!.type).toBe('log');
    const [low, upper, middle] = ohms.data as (Line & { fill?: string })[];
    // The band of the part lies around its curve, from below the coldest pair to above the warmest.
    expect([low.x[0] < 0, low.x[0] >= -8, middle.x.at(-1)! > 50, middle.x.at(-1)! <= 58]).toEqual(Array(4).fill(true));
    for (const i of [0, 40, middle.x.length - 1]) {
      expect(middle.y[i]).toBeCloseTo(model.resistanceOhm(middle.x[i]), 6);
      expect([low.y[i] < middle.y[i], upper.y[i] > middle.y[i]]).toEqual([true, true]);
    }
    expect([low.line!.width, upper.line!.width, upper.fill]).toEqual([0, 0, 'tonexty']);
  });
  test('in °F the places are Fahrenheit and a difference is 1.8 times as many degrees', () => {
    const [c, f] = (['C', 'F'] as const).map((unit) => comparisonFigures(pairs, model, unit, true).off.data as Line[]);
    expect(f[1].x).toEqual([32, 122]);
    expect(f[1].y[1]).toBeCloseTo(1.8 * c[1].y[1], 9);
  });
  test('a pair that no temperature of the curve has stays off the second chart', () => {
    const odd = { ...pair('this', 'after', 20, 1), resistanceOhm: Infinity };
    const { ohms, off } = comparisonFigures([...pairs, odd], model, 'C', false);
    expect(ohms.data).toHaveLength(off.data.length + 3);
  });
});

describe('how a verdict came about, as a chart', () => {
  const step = (after: string | null, sensor: number, wiring: number, healthy: number): CourseStep =>
    ({
      after,
      groups: [
        { group: 'sensor', probability: sensor },
        { group: 'wiring', probability: wiring },
        { group: 'healthy', probability: healthy },
      ],
    }) as CourseStep;
  const course = [step(null, 0.3, 0.6, 0.04), step('r1', 0.95, 0.4, 0.03), step('r2', 0.9, 0.05, 0.01)];
  type Named = Line & { name: string; text: string[]; textposition: string; cliponaxis: boolean };
  test('a line for each group that was ever worth one, in per cent, from before the first reading on', () => {
    const { data, layout } = courseFigure(course, (id) => `name of ${id}`, false);
    const lines = data as unknown as Named[];
    expect(lines.map((l) => [l.name, l.x, l.y.map(Math.round)])).toEqual([
      [groupName('sensor'), [0, 1, 2], [30, 95, 90]],
      [groupName('wiring'), [0, 1, 2], [60, 40, 5]],
    ]);
    expect([layout.xaxis!.tickvals, layout.xaxis!.ticktext]).toEqual([
      [0, 1, 2],
      [courseFigureWords.before, 'name of r1', 'name of r2'],
    ]);
    const [from, to] = layout.xaxis!.range as number[];
    expect([from < 0, to > 2, to < 2.5, layout.yaxis!.tickvals]).toEqual([true, true, true, [0, 25, 50, 75, 100]]);
    expect((layout.yaxis!.range as number[]).map((v, i) => (i === 0 ? v < 0 : v > 100))).toEqual([true, true]);
  });
  test('the leader has its name at its end, the others where they were highest; lines differ by dash and width, too', () => {
    const [leader, other] = courseFigure(course, String, false).data as unknown as Named[];
    expect([leader.text, other.text]).toEqual([
      ['', '', groupName('sensor')],
      [groupName('wiring'), '', ''],
    ]);
    expect([leader.line!.dash, other.line!.dash]).toEqual(['solid', 'dash']);
    const { amber, spruce } = chartColours(false);
    expect([leader.line!.color, other.line!.color]).toEqual([amber, spruce]);
    expect(leader.line!.width).toBeGreaterThan(other.line!.width!);
    // A name at the last reading stays within the chart, and is written out beyond its edge; the others are above their points.
    expect([leader.textposition, other.textposition, leader.cliponaxis]).toEqual(['bottom left', 'top center', false]);
    expect(courseFigure([], String, false).data).toEqual([]);
    expect((courseFigure([course[0]], String, false).layout.xaxis!.range as number[])[1]).toBeGreaterThan(1);
  });
});
