// @vitest-environment happy-dom
import type { PlaceTrend, TrendPoint } from '@mellow-probe/core/history/trend/placeTrend';
import { driftOf } from '@mellow-probe/core/history/trend/drift';
import { yearsOf } from '@mellow-probe/core/history/trend/placeTrend';
import { trendFigureWords as say } from '@mellow-probe/core/wording/screens/logbook';
import { describe, expect, test } from 'vitest';
import { dayText } from '@mellow-probe/core/base/units/writing';
import { trendPointText } from '@mellow-probe/core/wording/trendText';
import { chartColours } from '../../components/chartLook.ts';
import { trendFigure } from './trendFigure.ts';

const point = (at: string, deviationK: number, change: Partial<TrendPoint> = {}): TrendPoint => ({
  ...{ at, job: 'j', measurement: 'sensor-ohms', deviationK, sigmaK: 0.5, atC: 20, sensor: 0, counts: true },
  ...change,
});
const DAYS = ['2021-01-01T08:00:00Z', '2022-01-01T08:00:00Z', '2023-01-01T08:00:00Z', '2024-01-01T08:00:00Z'];
const trend = (points: TrendPoint[], change: Partial<PlaceTrend> = {}): PlaceTrend => ({
  ...{ points, changes: [], drift: null, outOn: null, toleranceK: 2 },
  ...change,
});
interface Trace {
  name: string;
  mode: string;
  x: string[];
  y: number[];
  error_y?: { array: number[]; color: string };
  marker?: { color: string; symbol: string; line: { color: string } };
  fill?: string;
}
const drawn = (of: PlaceTrend, unit: 'C' | 'F' = 'C', repairs: { at: string; what: string }[] = []) => {
  const { data, layout } = trendFigure(of, repairs, unit, false);
  return { traces: data as unknown as Trace[], layout };
};
const named = (traces: Trace[], name: string): Trace => traces.find((t) => t.name === name)!;

describe('the years of a place as a chart', () => {
  test('points with bars of two sigmas, in kelvin or °F; the tolerance is a band around the curve', () => {
    const points = DAYS.map((at, i) => point(at, i));
    const { traces } = drawn(trend(points));
    expect(named(traces, say.thisSensor)).toMatchObject({
      mode: 'markers',
      y: [0, 1, 2, 3],
      error_y: { array: [1, 1, 1, 1] },
    });
    expect(named(traces, say.toleranceLow).y).toEqual([-2, -2]);
    expect(named(traces, say.toleranceHigh)).toMatchObject({ y: [2, 2], fill: 'tonexty' });
    const inF = drawn(trend(points), 'F').traces;
    expect(named(inF, say.thisSensor).error_y!.array.map((v) => Number(v.toFixed(6)))).toEqual([1.8, 1.8, 1.8, 1.8]);
    expect(named(traces, say.thisSensor)).toMatchObject({
      text: points.map((p) => trendPointText(p, 'C')),
      customdata: points.map((p) => dayText(p.at)),
    });
    expect(named(inF, say.thisSensor).y.map((v) => Number(v.toFixed(6)))).toEqual([0, 1.8, 3.6, 5.4]);
    expect(named(inF, say.toleranceHigh).y[0]).toBeCloseTo(3.6, 9);
    const band = (of: PlaceTrend): string[] => named(drawn(of).traces, say.toleranceLow).x;
    expect(band(trend([...points].reverse()))).toEqual([DAYS[0], DAYS[3]]);
    expect(band(trend(points, { outOn: '2026-06-01' }))).toEqual([DAYS[0], '2026-06-01']);
    expect(band(trend(points, { outOn: '2022-06-01' }))).toEqual([DAYS[0], DAYS[3]]);
    expect(drawn(trend(points, { toleranceK: 0 })).traces.map((t) => t.name)).toEqual([say.thisSensor]);
  });
  test('what the wiring may have falsified and former sensors are told apart', () => {
    const points = [
      point(DAYS[0], 5, { sensor: 0 }),
      point(DAYS[1], 0, { sensor: 1 }),
      point(DAYS[2], 1, { sensor: 1, counts: false }),
      point(DAYS[3], 2, { sensor: 0, counts: false }),
    ];
    const { traces, layout } = drawn(trend(points, { changes: [{ at: DAYS[1], job: 'j' }] }), 'C', [
      { at: DAYS[2], what: 'plug cleaned' },
    ]);
    expect(named(traces, say.formerSensor).y).toEqual([5, 2]);
    expect(named(traces, say.thisSensor).y).toEqual([0]);
    expect(named(traces, say.throughWiring).y).toEqual([1]);
    expect(named(traces, say.formerSensor).x).toEqual([DAYS[0], DAYS[3]]);
    // Grey and with a sign of its own is what is gone; amber what is measured on this sensor.
    const { soft, amber } = chartColours(false);
    const looks = [say.formerSensor, say.thisSensor, say.throughWiring].map((name) => {
      const { marker, error_y } = named(traces, name);
      return [marker!.color, marker!.line.color, error_y!.color, marker!.symbol];
    });
    expect(looks).toEqual([
      [soft, soft, soft, 'x-thin-open'],
      [amber, amber, amber, 'circle'],
      [amber, amber, amber, 'circle-open'],
    ]);
    expect(layout.xaxis!.type).toBe('date');
    expect(layout.shapes!.map((s) => s.x0)).toEqual([DAYS[1], DAYS[2]]);
    expect(layout.annotations!.map((a) => a.text)).toEqual(expect.arrayContaining([say.sensorChanged, 'plug cleaned']));
  });
  test('the words of marks go down in three steps, so that neighbours do not cover each other', () => {
    const repairs = Array.from({ length: 4 }, (_, i) => ({ at: DAYS[i], what: `repair ${i}` }));
    const { layout } = drawn(trend([point(DAYS[0], 0)]), 'C', repairs);
    const heights = layout.annotations!.filter((a) => String(a.text).startsWith('repair')).map((a) => Number(a.y));
    expect([heights[0] > heights[1], heights[1] > heights[2], heights[3] === heights[0]]).toEqual([true, true, true]);
    for (const y of heights) expect([y > 0.5, y < 1]).toEqual([true, true]);
    expect(layout.annotations!.every((a) => a.showarrow === false)).toBe(true);
  });
  test('the drift runs from the first figure that counts to the day it is out, within its band', () => {
    const points = DAYS.map((at, i) => point(at, i));
    const drift = driftOf(points.map(({ at, deviationK, sigmaK }) => ({ years: yearsOf(at), deviationK, sigmaK })))!;
    expect(drift).not.toBeNull();
    // In whatever order its figures are.
    const { traces } = drawn(trend([...points].reverse(), { drift, outOn: '2026-06-01' }));
    const line = named(traces, 'drift');
    expect([line.x[0].slice(0, 10), line.x[12].slice(0, 10)]).toEqual(['2021-01-01', '2026-06-01']);
    expect(line.y[0]).toBeCloseTo(0, 1);
    expect(line.y[12]).toBeGreaterThan(4);
    const [low, high] = [named(traces, say.drift95Low), named(traces, say.drift95High)];
    for (const i of [0, 6, 12]) {
      expect(low.y[i]).toBeLessThan(line.y[i]);
      expect(high.y[i] - line.y[i]).toBeCloseTo(line.y[i] - low.y[i], 9);
    }
    // Further away it is known less well.
    expect(high.y[12] - low.y[12]).toBeGreaterThan(high.y[4] - low.y[4]);
    expect(named(traces, say.toleranceHigh).x[1]).toBe('2026-06-01');
  });
});
