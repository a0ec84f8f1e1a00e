// @vitest-environment happy-dom
import type { LogEvent } from '@mellow-probe/core/intake/logs/finding';
import type { Mark } from '@mellow-probe/core/intake/logs/log';
import { describe, expect, test } from 'vitest';
import { chartColours } from '../../components/chartLook.ts';
import type { ChannelView } from '../../workers/logs.ts';
import { channelColour, logFigure, type LogPicture } from './logFigure.ts';

const channel = (id: string, quantity: 'celsius' | 'volts' | 'ohms') => ({
  id,
  name: `<b>${id}`,
  quantity,
  values: 200,
});
const view = (id: string, n: number, of = n): ChannelView => ({
  ...{ id, of },
  x: Float64Array.from({ length: n }, (_, i) => i),
  y: Float64Array.from({ length: n }, () => 20),
});
const mark = (kind: Mark['kind'], fromS: number, toS: number | null, place = '', text = ''): Mark => ({
  ...{ kind, fromS, toS, place, text },
});
const event = (fromS: number, toS: number) => ({ fromS, toS }) as LogEvent;
const drawn = (change: Partial<LogPicture> = {}) =>
  logFigure({
    shape: {
      rows: 200,
      lengthS: 200,
      channels: [channel('v', 'volts'), channel('t', 'celsius'), channel('air', 'celsius')],
      marks: [],
    },
    views: [view('v', 200, 4000), view('t', 200), view('air', 100)],
    ...{ events: {}, range: [0, 200], unit: 'C', dark: false, hidden: new Set<string>(), width: 800 },
    ...change,
  });
const shapesOf = (change: Partial<LogPicture>) =>
  drawn(change).layout.shapes!.map((s) => [s.x0, s.x1, s.y0, s.fillcolor] as const);
const marked = (...marks: Mark[]): Partial<LogPicture> => ({
  shape: { rows: 200, lengthS: 200, channels: [channel('t', 'celsius')], marks },
  views: [view('t', 200)],
});

describe('a log as a chart', () => {
  test('a panel for each quantity, temperatures above; each line on the axis of its own', () => {
    const { data, layout } = drawn();
    expect(data.map((d) => (d as { yaxis: string }).yaxis)).toEqual(['y2', 'y', 'y']);
    expect([layout.yaxis!.title, layout.yaxis2!.title]).toMatchObject([{ text: '°C' }, { text: 'V' }]);
    const [top, below] = [layout.yaxis!.domain!, layout.yaxis2!.domain!];
    expect(top[1]).toBeCloseTo(1, 9);
    expect(below[0]).toBeCloseTo(0, 9);
    expect(top[0]).toBeGreaterThan(below[1]);
    expect(top[1] - top[0]).toBeCloseTo(below[1] - below[0], 9);
    expect(layout.xaxis!.anchor).toBe('y2');
    // Its channels hidden, a panel is gone; the colour of the others stays.
    const without = drawn({ hidden: new Set(['v']) });
    expect(without.data).toHaveLength(2);
    expect(without.layout.yaxis2).toBeUndefined();
    expect((without.data[0] as { line: { color: string } }).line.color).toBe(channelColour(1, false));
  });
  test('few samples are drawn as points too, those that stand for many are not; names are text', () => {
    expect(drawn().data.map((d) => (d as { mode: string }).mode)).toEqual(['lines', 'lines', 'lines+markers']);
    expect((drawn({ views: [view('air', 100, 5000)] }).data[0] as { mode: string }).mode).toBe('lines');
    expect((drawn().data[0] as { name: string }).name).not.toContain('<');
  });
  test('°F where it is read so, volts as they are', () => {
    const y = (unit: 'C' | 'F') => drawn({ unit }).data.map((d) => (d as { y: number[] }).y[0]);
    expect(y('C')).toEqual([20, 20, 20]);
    expect(y('F')).toEqual([20, 68, 68]);
    expect(drawn({ unit: 'F' }).layout.yaxis!.title).toMatchObject({ text: '°F' });
  });
  test('marks as bands through all panels, to the end while they last; notes and what is out of sight are none', () => {
    const amber = chartColours(false).amber;
    expect(shapesOf(marked(mark('unplugged', 50, 60), mark('fan', 150, null), mark('note', 70, 80)))).toEqual([
      [50, 60, 0, amber],
      [150, 200, 0, amber],
    ]);
    expect(shapesOf({ ...marked(mark('unplugged', 50, 60)), range: [61, 200] })).toEqual([]);
    expect(shapesOf({ ...marked(mark('unplugged', 50, 60)), range: [60, 200] })).toHaveLength(1);
  });
  test('events in the panel of their channel, wide enough to be seen, as many as a chart can hold', () => {
    const clay = chartColours(false).clay;
    const [[x0, x1, y0, colour]] = shapesOf({ events: { v: [event(100, 100)] } });
    expect([x0, x1]).toEqual([99.75, 100.25]);
    expect([y0, colour]).toEqual([expect.closeTo(0, 9), clay]);
    const many = Array.from({ length: 400 }, (_, i) => event(i / 2, i / 2));
    expect(shapesOf({ events: { t: many } })).toHaveLength(150);
    expect(shapesOf({ events: { t: many }, hidden: new Set(['t']) })).toHaveLength(0);
    expect(shapesOf({ events: { t: [event(10, 20)] }, range: [21, 40] })).toHaveLength(0);
  });
  test('words of the marks as far as they have room, from left to right', () => {
    const words = (width: number, ...marks: Mark[]) =>
      drawn({ ...marked(...marks), width }).layout.annotations!.map((a) => [a.x, a.text]);
    const plug = mark('wiggling', 20, 30, 'plug behind the tank');
    expect(words(800, mark('note', 150, null, '', 'rain'), plug)).toEqual([
      [20, 'plug behind the tank'],
      [150, 'rain'],
    ]);
    // The second would lie on the first; the last would run out at the right.
    expect(words(800, plug, mark('fan', 25, 40))).toEqual([[20, 'plug behind the tank']]);
    expect(words(800, mark('wiggling', 190, 195, 'plug behind the tank'))).toEqual([]);
    // One that began before what is shown stands at its beginning.
    expect(drawn({ ...marked(mark('fan', 10, 90)), range: [50, 200] }).layout.annotations![0].x).toBe(50);
  });
  test('the axis of time in steps a clock has, eight at most, written as it is read', () => {
    const axis = (from: number, to: number) => drawn({ range: [from, to] }).layout.xaxis!;
    expect(axis(0, 200).tickvals).toEqual([0, 30, 60, 90, 120, 150, 180]);
    expect(axis(0, 1).ticktext).toContain('0.2 s');
    expect(axis(7, 8).tickvals![0]).toBe(7);
    for (const to of [0.5, 3, 47, 200, 4000, 90_000, 400_000])
      expect(axis(0, to).tickvals!.length).toBeLessThanOrEqual(9);
    expect(axis(10, 50).range).toEqual([10, 50]);
  });
  test('each channel has a colour of its own, in light and dark', () => {
    for (const dark of [false, true])
      expect(new Set([0, 1, 2, 3, 4, 5].map((n) => channelColour(n, dark))).size).toBe(6);
    expect(channelColour(6, false)).toBe(channelColour(0, false));
    expect(channelColour(0, true)).not.toBe(channelColour(0, false));
  });
});
