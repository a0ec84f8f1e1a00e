import { describe, expect, test } from 'vitest';
import { channel, event, made, mark, seconds } from '../../../test/madeLog.ts';
import { coolantCircuit } from '../../../test/problems.ts';
import { analyseLog } from './analyseLog.ts';
import { merged, offsetByClock } from './align.ts';
import { blocksOf, valueAt } from './blocks.ts';
import type { ChannelRole } from './channelRoles.ts';
import { coldStart, compareOf, driftOf, loopOf } from './compareChannels.ts';
import { EVENT_KINDS, type LogEvent } from './finding.ts';
import { CYCLE, judgeCycle } from './heatCycle.ts';
import { comesOfAct, endOfLogS, finitePart, indexAt, lengthS, type Log, type LogChannel, type Mark } from './log.ts';
import { logOfSamples } from './logOfSamples.ts';
import { clockS, dayNumber, timeReader } from './logTime.ts';
import { logToCsv } from './logCsv.ts';
import { markFromText, markToText } from './markText.ts';
import { middleIn } from './middleIn.ts';
import { movedAtMarks } from './movedAtMarks.ts';
import { guessedRoles, logSettingOf } from './settingOf.ts';
import { settlingOf } from './settling.ts';
import { stretchesOf } from './stretches.ts';
import { underMarks } from './underMarks.ts';
import { airDips, warmUp } from './warmUp.ts';

describe('the times of a log', () => {
  test.each([
    ['seconds', false, '12.5', 12.5],
    ['seconds', true, '12,5', 12.5],
    ['epoch', false, '1700000000', 1.7e9],
    ['milliseconds', false, '1500', 1.5],
    ['epoch-ms', false, '1500', 1.5],
    ['minutes', false, '2', 120],
    ['serial', false, '0.5', 43_200],
    ['clock', false, '10:02:03', 36_123],
    ['date-time', false, '1970-01-02 00:01:00', 86_460],
    ['date-time', false, '1970-01-02T00:01:00', 86_460],
    ['date-time', false, '1970-01-02', 86_400],
  ] as const)('%s, comma %s: %s is %d s', (kind, comma, cell, s) =>
    expect(timeReader(kind, comma)(cell)).toBeCloseTo(s, 9),
  );
  test('an empty cell is no time; without times the rows count', () => {
    expect(timeReader('seconds', false)('')).toBeNaN();
    expect(timeReader('clock', false)('noon')).toBeNaN();
    const rows = timeReader('rows', false);
    expect([rows('a'), rows('b'), rows('')]).toEqual([0, 1, 2]);
  });
  test('a clock past midnight runs on; one that is set back by an hour does not', () => {
    const read = timeReader('clock', false);
    expect(['23:59:58', '23:59:59', '00:00:00', '00:00:01'].map(read)).toEqual([86_398, 86_399, 86_400, 86_401]);
    const back = timeReader('clock', false);
    expect(['12:00:00', '11:00:00'].map(back)).toEqual([43_200, 39_600]);
  });
  test.each([
    ['10:02', 36_120],
    ['10:02:03.5', 36_123.5],
    ['10:02:03,25', 36_123.25],
    ['2:03.5', 123.5],
    ['12:00 am', 0],
    ['12:30 pm', 45_000],
    ['1:00 PM', 46_800],
    ['11:00 am', 39_600],
    ['x', NaN],
    ['1:2', NaN],
  ])('the clock %s is %d s', (text, s) => expect(clockS(text)).toBe(s));
  test('dates as countries write them; what is none', () => {
    const day = Date.UTC(2026, 10, 5) / 86_400_000;
    for (const text of ['2026-11-05', '2026/11/05', '05.11.2026', '5.11.26', '11/05/2026', '05-11-2026'])
      expect(dayNumber(text), text).toBe(day);
    expect(dayNumber('25/11/2026')).toBe(Date.UTC(2026, 10, 25) / 86_400_000);
    for (const text of ['2026-13-05', '2026-00-05', '2026-11-32', '2026-11-00', '2026-11', 'a.b.c', '1.5.2026.7'])
      expect(dayNumber(text), text).toBeNaN();
  });
});

describe('a log and its parts', () => {
  test('length, end, the first sample at or after, what is finite', () => {
    const log: Log = { timeS: Float64Array.of(2, 4, 6), channels: [], marks: [] };
    expect([lengthS(log), endOfLogS(log)]).toEqual([4, 6]);
    const none: Log = { timeS: new Float64Array(0), channels: [], marks: [] };
    expect([lengthS(none), endOfLogS(none)]).toEqual([0, 0]);
    expect([1, 2, 2.1, 6, 7].map((t) => indexAt(log.timeS, t))).toEqual([0, 0, 1, 2, 3]);
    const { t, x } = finitePart(log.timeS, Float64Array.of(NaN, 5, Infinity));
    expect([[...t], [...x]]).toEqual([[4], [5]]);
    expect(middleIn(log, channel('a', 'volts', [1, 9, Infinity]), 2, 6)).toBe(9);
    expect(middleIn(log, channel('a', 'volts', [1, NaN, 3]), 2, 5)).toBe(1);
    expect(middleIn(log, channel('a', 'volts', [1, 2, 3]), 7, 9)).toBeNaN();
  });
  test('what comes of an act: from two seconds before it to two after, to the end where it stands', () => {
    const acts = [mark('unplugged', 10, 20), mark('bridged', 50, null), mark('wiggling', 30, 40)];
    expect([7.9, 8, 22, 22.1, 35, 47.9, 48, 102, 103].map((t) => comesOfAct(acts, t, 100))).toEqual([
      ...[false, true, true, false, false, false, true, true, false],
    ]);
  });
  test('even blocks: the middle of each, gaps and events left out', () => {
    const values = Float64Array.of(1, 3, 100, 5, NaN, 7, 9, 11);
    expect(blocksOf(seconds(8), values, 4)).toEqual({ t: [2, 6], x: [5, 9] });
    expect(blocksOf(seconds(8), values, 4, [{ fromS: 2, toS: 3 }])).toEqual({ t: [2, 6], x: [3, 9] });
    expect(
      blocksOf(seconds(8), values, 4, [
        { fromS: 4, toS: 9 },
        { fromS: 0, toS: 1 },
      ]),
    ).toEqual({ t: [2], x: [100] });
    expect(blocksOf(new Float64Array(0), new Float64Array(0), 1)).toEqual({ t: [], x: [] });
    const many = blocksOf(seconds(10_000), seconds(10_000), 1);
    expect(many.t.length).toBeLessThanOrEqual(2001);
    expect(many.t.length).toBeGreaterThan(1900);
  });
  test('a value between its points, none outside', () => {
    const b = { t: [0, 10, 20], x: [5, 7, 1] };
    expect([0, 5, 10, 15, 20].map((t) => valueAt(b, t))).toEqual([5, 6, 7, 4, 1]);
    expect([-0.1, 20.1].map((t) => valueAt(b, t))).toEqual([NaN, NaN]);
    expect(valueAt({ t: [3], x: [9] }, 3)).toBe(9);
    expect(valueAt({ t: [], x: [] }, 3)).toBeNaN();
  });
  test('samples of several instruments on one clock', () => {
    const log = logOfSamples(
      [
        { id: 'a', name: 'A', quantity: 'volts', timeS: [0, 1, 2], values: [5, 6, 7] },
        { id: 'b', name: 'B', quantity: 'celsius', timeS: [0.5, 1, 0.9], values: [20, 21, 22] },
      ],
      [mark('note', 1, 1)],
    );
    expect([...log.timeS]).toEqual([0, 0.5, 1, 2]);
    expect([...log.channels[0].values]).toEqual([5, NaN, 6, 7]);
    expect([...log.channels[1].values]).toEqual([NaN, 20, 22, NaN]);
    expect(log.marks).toEqual([mark('note', 1, 1)]);
  });
  test('as CSV: units in the heading, OL and gaps as they are, marks at the row at or after them', () => {
    const log: Log = {
      timeS: Float64Array.of(0, 1, 2.5),
      channels: [channel('a', 'volts', [4.5, NaN, 1 / 3]), channel('b', 'ohms', [1e3, Infinity, 2])],
      marks: [mark('unplugged', 0.5, 2), mark('note', 1, 1, '', 'fan | on'), mark('wiggling', 2.5, null, 'plug')],
    };
    expect(logToCsv(log)).toBe(
      'time [s],a [V],b [Ω],mark\r\n0,4.5,1000,\r\n1,,OL,unplugged begin | note: fan / on\r\n' +
        '2.5,0.333333333,2,unplugged end | wiggling @ plug begin\r\n',
    );
  });
  test('marks in words, there and back', () => {
    expect(markFromText('', 3)).toBeNull();
    expect(markFromText('wiggling @ plug begin', 3)).toEqual(mark('wiggling', 3, null, 'plug'));
    expect(markFromText('wiggling @ plug end', 3)).toEqual(mark('wiggling', 3, null, 'plug', 'end'));
    expect(markFromText('unplugged', 3)).toEqual(mark('unplugged', 3, null));
    expect(markFromText('note: the fan ran', 3)).toEqual(mark('note', 3, 3, '', 'the fan ran'));
    expect(markFromText('something else', 3)).toEqual(mark('note', 3, 3, '', 'something else'));
    expect(markToText(mark('wiggling', 0, 1, 'plug'), 'end')).toBe('wiggling @ plug end');
    expect(markToText(mark('fan', 0, 1), 'begin')).toBe('fan begin');
    expect(markToText(mark('note', 0, 0, '', 'x'), 'begin')).toBe('note: x');
  });
  test('two logs as one: ties share a row, marks in order', () => {
    const one = made(3, { a: ['volts', (t) => t] }, [mark('note', 2, 2)]);
    const two = made(2, { b: ['celsius', (t) => 10 + t] }, [mark('bridged', 0, null)]);
    const log = merged(one, two, 1);
    expect([...log.timeS]).toEqual([0, 1, 2]);
    expect([...log.channels[1].values]).toEqual([NaN, 10, 11]);
    expect(log.marks).toEqual([mark('bridged', 1, null), mark('note', 2, 2)]);
    const early = merged(one, two, -4);
    expect([...early.timeS]).toEqual([0, 1, 4, 5, 6]);
    expect(early.marks.map((m) => [m.kind, m.fromS])).toEqual([
      ['bridged', 0],
      ['note', 6],
    ]);
    expect(offsetByClock({ dayKnown: false, s: 86_300 }, { dayKnown: true, s: 100 })).toBe(200);
    expect(offsetByClock({ dayKnown: true, s: 100 }, { dayKnown: false, s: 86_300 })).toBe(-200);
    expect(offsetByClock(null, { dayKnown: true, s: 1 })).toBeNull();
  });
});

describe('what a channel is taken for', () => {
  test.each([
    ['meter', 'Signal', 'volts', 'signal-volts', 'other'],
    ['meter', 'GND', 'volts', 'return-volts', 'return-volts'],
    ['meter', 'Ohms', 'ohms', 'sensor-ohms', 'other'],
    ['adapter 05', 'Coolant', 'celsius', 'displayed', 'companion'],
    ['thermometer 1', 'T', 'celsius', 'thermometer', 'companion'],
    ['x', 'Reference probe', 'celsius', 'thermometer', 'companion'],
    ['x', 'Oil', 'celsius', 'displayed', 'other'],
  ] as const)('%s, %s in %s: %s, and %s where there is one', (id, name, quantity, first, second) => {
    const roles = guessedRoles([
      { id, name, quantity },
      { id: `${id} again`, name, quantity },
    ]);
    expect([roles[id], roles[`${id} again`]]).toEqual([first, second]);
  });
  test('a temperature that a name gives goes before the first one; a thermometer never becomes the display', () => {
    const of = (...names: string[]): string[] =>
      Object.values(guessedRoles(names.map((name) => ({ id: name, name, quantity: 'celsius' as const }))));
    expect(of('Oil', 'Coolant')).toEqual(['other', 'displayed']);
    expect(of('Probe', 'Flow', 'Room')).toEqual(['thermometer', 'displayed', 'other']);
    expect(of('Probe')).toEqual(['thermometer']);
  });
  test('what a circuit tells beforehand', () => {
    const circuit = coolantCircuit();
    expect(logSettingOf({}, null)).toEqual({ roles: {} });
    const { ends, divider } = logSettingOf({ a: 'displayed' }, circuit);
    expect(ends).toEqual({ celsius: { low: -36, high: 146 }, volts: { low: 0.15, high: 4.75 } });
    expect(divider).toEqual({ layout: 'pull-up', curve: circuit.curve, referenceV: 5, pullUpOhm: 2490 });
    expect(logSettingOf({}, coolantCircuit({ layout: 'one-wire' })).divider!.layout).toBe('pull-up');
    expect(logSettingOf({}, coolantCircuit({ layout: 'pull-down' })).divider!.layout).toBe('pull-down');
    const unknown = { ...circuit.curve, alternatives: [] };
    expect(logSettingOf({}, coolantCircuit({ curve: unknown })).divider!.curve).toBeNull();
  });
});

describe('values that stand', () => {
  const roles: Record<string, ChannelRole> = { shown: 'displayed', probe: 'thermometer', far: 'companion' };
  const steady = (
    marks: Mark[],
    shown: (t: number) => number,
    n = 200,
    events = {},
  ): ReturnType<typeof stretchesOf> => {
    const log = made(
      n,
      { shown: ['celsius', shown], probe: ['celsius', () => 21], far: ['celsius', () => 3], odd: ['celsius', () => 4] },
      marks,
    );
    return stretchesOf(log, roles, { shown: [], probe: [], far: [], odd: [], ...events });
  };
  test('cold at the start, up to the first act or half a minute; companions and unnamed ones are not told', () => {
    const [cold] = steady([], () => 24);
    expect(cold.about).toBe('cold');
    expect(cold.stretches.map((s) => [s.channel, s.value, s.fromS, s.toS])).toEqual([
      ['shown', 24, 0, 30],
      ['probe', 21, 0, 30],
    ]);
    expect(cold.stretches[0]).toMatchObject({ samples: 31, sigma: 0 });
    expect(steady([mark('unplugged', 15, 20)], () => 24)[0].stretches[0]).toMatchObject({ toS: 14, samples: 15 });
    expect(steady([mark('unplugged', 8, 9)], () => 24).map((s) => s.about)).toEqual([]);
    expect(steady([mark('wiggling', 5, 9)], () => 24).map((s) => s.about)).toEqual(['cold']);
  });
  test('unplugged and bridged, two seconds in, where they stood long enough; key off is told as nothing', () => {
    const shown = (t: number): number => (t >= 40 && t <= 60 ? -40 : t >= 80 && t <= 90 ? 150 : 24);
    const found = steady([mark('unplugged', 40, 60), mark('bridged', 80, 90), mark('key-off', 120, 140)], shown);
    expect(found.map((s) => [s.about, s.stretches[0].value, s.stretches[0].fromS, s.stretches[0].toS])).toEqual([
      ['cold', 24, 0, 30],
      ['unplugged', -40, 42, 59.5],
      ['bridged', 150, 82, 89.5],
    ]);
    expect(steady([mark('unplugged', 40, 44)], shown).map((s) => s.about)).toEqual(['cold']);
    // One that has not ended stands to the end of the log.
    expect(steady([mark('unplugged', 150, null)], () => 24)[1].stretches[0]).toMatchObject({ fromS: 152, toS: 198.5 });
  });
  test('what moves, scatters with OL or has too few samples does not stand', () => {
    expect(steady([], (t) => 24 + t / 10)).toEqual([]);
    expect(steady([], (t) => 24 + t / 25)[0].about).toBe('cold');
    expect(steady([], (t) => (t < 10 ? Infinity : 24))).toEqual([]);
    expect(steady([], () => Infinity)[0].stretches[0]).toMatchObject({ value: Infinity, independent: 1, sigma: 0 });
    expect(steady([], (t) => (t > 3 ? NaN : 24))).toEqual([]);
    expect(steady([], (t) => (t > 4 ? NaN : 24))).toHaveLength(1);
  });
  test('volts and ohms stand within their share', () => {
    const log = (f: (t: number) => number, quantity: LogChannel['quantity']): number =>
      stretchesOf(made(40, { v: [quantity, f] }), { v: 'signal-volts' }, { v: [] }).length;
    expect(log((t) => 4 + t * 0.0025, 'volts')).toBe(1);
    expect(log((t) => 4 + t * 0.0035, 'volts')).toBe(0);
    expect(log((t) => 1000 + t * 0.55, 'ohms')).toBe(1);
    expect(log((t) => 1000 + t * 0.8, 'ohms')).toBe(0);
  });
  test('events are left out of cold and hot; where there is nothing else, it is what it shows', () => {
    const shown = (t: number): number => (t >= 3 && t <= 12 ? -40 : 24);
    const left = steady([], shown, 200, { shown: [event('drop-out', 3, 12)] });
    expect(left[0].stretches[0]).toMatchObject({ value: 24, samples: 21 });
    const all = steady([], () => -40, 200, { shown: [event('drop-out', 0, 199)] });
    expect(all[0].stretches[0]).toMatchObject({ value: -40, samples: 31 });
  });
  test('hot: the last half minute, some time after the last act, above 65 °C by the thermometer, else by what is shown', () => {
    const hot = (shownC: number, probeC: number, marks: Mark[], withProbe = true) =>
      stretchesOf(
        made(
          200,
          { shown: ['celsius', () => shownC], ...(withProbe && { probe: ['celsius', () => probeC] as const }) },
          marks,
        ),
        roles,
        { shown: [], probe: [] },
      )
        .filter((s) => s.about === 'hot')
        .map((s) => [s.stretches[0].fromS, s.stretches[0].toS]);
    expect(hot(80, 82, [])).toEqual([[169, 199]]);
    expect(hot(80, 60, [])).toEqual([]);
    expect(hot(40, 82, [])).toEqual([[169, 199]]);
    expect(hot(80, 0, [], false)).toEqual([[169, 199]]);
    expect(hot(64, 0, [], false)).toEqual([]);
    expect(hot(80, 82, [mark('unplugged', 140, 158)])).toEqual([[169, 199]]);
    // Too near the act at the end: what a log that begins hot shows at its start is the hot reading then.
    expect(hot(80, 82, [mark('unplugged', 140, 160)])).toEqual([[0, 30]]);
    expect(hot(80, 82, [mark('unplugged', 140, null)])).toEqual([[0, 30]]);
    expect(hot(80, 82, [mark('unplugged', 5, null)])).toEqual([]);
    expect(hot(80, 82, [mark('unplugged', 20, 158.5), mark('bridged', 60, 70)])).toEqual([[169, 199]]);
  });
  test('a log that begins on a hot machine has no cold reading', () => {
    const about = (c: number): string[] =>
      stretchesOf(made(200, { v: ['celsius', () => c] }), { v: 'displayed' }, { v: [] }).map((s) => s.about);
    expect([about(20), about(64), about(66)]).toEqual([['cold'], ['cold'], ['hot']]);
  });
  test('1σ of the mean: scatter over the root of what counts as independent', () => {
    const [cold] = stretchesOf(
      made(40, { v: ['celsius', (t) => 20 + (t % 2 ? 0.2 : -0.2)] }),
      { v: 'displayed' },
      { v: [] },
    );
    const [stretch] = cold.stretches;
    expect(stretch.independent).toBe(31);
    expect(stretch.value).toBe(19.8);
    expect(stretch.sigma).toBeCloseTo(Math.sqrt((15 * 0.4 ** 2) / 31) / Math.sqrt(31), 9);
    expect(stretchesOf(made(0, { v: ['celsius', () => 1] }), {}, {})).toEqual([]);
    // A thermometer alone tells nothing of the circuit.
    expect(stretchesOf(made(60, { v: ['celsius', () => 20] }), { v: 'thermometer' }, { v: [] })).toEqual([]);
  });
});

describe('what moved when something was done', () => {
  const log = (marks: Mark[]): ReturnType<typeof movedAtMarks> =>
    movedAtMarks(
      made(
        200,
        {
          shown: ['celsius', (t) => (t >= 40 && t < 50 ? -40 : 20)],
          slow: ['celsius', (t) => 20 + Math.max(0, Math.min(60, t - 40)) * 0.2],
          volts: ['volts', (t) => (t >= 40 && t < 50 ? 5 : 2.5)],
          ohms: ['ohms', (t) => (t >= 40 && t < 50 ? Infinity : 2000)],
          rest: ['volts', () => 0.1],
        },
        marks,
      ),
    );
  test('by six kelvin or by its share, OL from a figure; the others stood', () => {
    const [found] = log([mark('unplugged', 40, 50)]);
    expect(found.moved).toEqual([
      { channel: 'shown', from: 20, to: -40 },
      { channel: 'volts', from: 2.5, to: 5 },
      { channel: 'ohms', from: 2000, to: Infinity },
    ]);
    expect(found.still).toEqual(['slow', 'rest']);
    expect(log([mark('wiggling', 40, 50), mark('note', 40, 40)])).toEqual([]);
  });
  test('heating is looked at when it ends, or a minute on', () => {
    const of = (m: Mark): string[] => log([m])[0].moved.map((x) => x.channel);
    expect(of(mark('heated', 40, 90))).toEqual(['slow']);
    expect(of(mark('cooled', 40, null))).toEqual(['slow']);
    expect(of(mark('heated', 40, 65))).toEqual([]);
  });
});

describe('events and marks together', () => {
  const at = [52, 55, 61, 200];
  test('under a mark: as often, over how long, and by chance; marks of one kind and place together', () => {
    const marks = [mark('wiggling', 50, 56, 'b'), mark('wiggling', 60, 64, 'b'), mark('fan', 190, null)];
    expect(underMarks(at, marks, 210).map((u) => [u.kind, u.place, u.count, u.overS])).toEqual([
      ['wiggling', 'b', 3, 10],
      ['fan', '', 1, 20],
    ]);
    expect(underMarks([100], marks, 210)).toEqual([]);
    expect(underMarks([70], [mark('fan', 70, 70)], 210)).toEqual([]);
  });
  test('the temperature at an event is that of the thermometer, else of the display, else of any, just before', () => {
    const log = made(120, {
      any: ['celsius', (t) => 10 + t],
      shown: ['celsius', (t) => 30 + t],
      probe: ['celsius', (t) => 50 + t],
    });
    const atC = (roles: Record<string, ChannelRole>) => {
      const events = { any: [event('drop-out', 20, 22), event('drop-out', 60, 62)], shown: [], probe: [] };
      const found = analyseLog(log, { roles }, events).findings.find((f) => f.kind === 'events');
      return found?.kind === 'events' ? found.atC : undefined;
    };
    expect(atC({ probe: 'thermometer', shown: 'displayed' })).toEqual({ low: 69, high: 109 });
    expect(atC({ shown: 'displayed' })).toEqual({ low: 49, high: 89 });
    expect(atC({})).toEqual({ low: 29, high: 69 });
    expect(atC({ any: 'thermometer' })).toEqual({ low: 29, high: 69 });
  });
  test('each kind of event is told apart; what an act explains is none, noise always is', () => {
    const log = made(120, { v: ['volts', () => 2] }, [mark('unplugged', 40, 50)]);
    const events = {
      v: [event('drop-out', 45, 46), event('spike', 70, 70), event('spike', 80, 80), event('noise', 44, 60)],
    };
    const { findings } = analyseLog(log, { roles: {} }, events);
    const told = findings.flatMap((f) => (f.kind === 'events' ? [[f.event, f.events.length, f.atC] as const] : []));
    expect(told.sort((a, b) => EVENT_KINDS.indexOf(a[0]) - EVENT_KINDS.indexOf(b[0]))).toEqual([
      ['spike', 2, null],
      ['noise', 1, null],
    ]);
  });
  test('wiggling names its place by the drop-outs, by other breaks where there are none; a silent channel says nothing', () => {
    const marks = [mark('wiggling', 10, 20, 'a'), mark('wiggling', 30, 40, 'b'), mark('wiggling', 50, 60, 'c')];
    const log = made(400, { v: ['volts', () => 2], w: ['volts', () => 2] }, marks);
    const under = (kind: LogEvent['kind']): LogEvent[] => [31, 33, 35, 36, 37, 39].map((t) => event(kind, t, t));
    const of = (v: LogEvent[], w: LogEvent[] = []) =>
      analyseLog(log, { roles: {} }, { v, w }).findings.flatMap((f) => (f.kind === 'wiggle' ? [f] : []));
    expect(of(under('drop-out')).map((f) => [f.channel, f.place, f.count, f.level])).toEqual([['v', 'b', 6, -40]]);
    expect(of(under('step')).map((f) => f.place)).toEqual(['b']);
    expect(of(under('stuck'))).toEqual([]);
    expect(of(under('rate'))).toEqual([]);
    // Drop-outs go before: what jumps elsewhere does not count beside them.
    expect(of([...under('drop-out'), event('spike', 15, 15)])[0].count).toBe(6);
    expect(of(under('drop-out'), [event('drop-out', 12, 12)]).map((f) => f.channel)).toEqual(['v']);
    expect(of([event('drop-out', 12, 12)], [event('drop-out', 32, 32)]).map((f) => [f.channel, f.place])).toEqual([
      ['v', null],
      ['w', null],
    ]);
    expect(of([event('drop-out', 200, 201)])).toEqual([]);
    // A drop-out while the plug is pulled comes of that, and is not counted.
    const pulled = analyseLog(
      { ...log, marks: [...marks, mark('unplugged', 100, 110)] },
      { roles: {} },
      { v: [...under('drop-out'), event('drop-out', 101, 109)], w: [] },
    );
    expect(pulled.findings.flatMap((f) => (f.kind === 'wiggle' ? [[f.place, f.count]] : []))).toEqual([['b', 6]]);
  });
});

describe('courses', () => {
  const warming = (plateauC: number, tauS = 200, n = 1500): LogChannel =>
    channel(
      'c',
      'celsius',
      Array.from(seconds(n), (t) => plateauC - (plateauC - 15) * Math.exp(-t / tauS)),
    );
  const judged = (c: LogChannel, n = 1500) => warmUp(seconds(n), c, []);
  test('a warm-up: from where to where, held or too low, with its time constant', () => {
    const held = judged(warming(90))!;
    expect(held).toMatchObject({ channel: 'c', holds: 'holds', setback: 0, cycles: null });
    expect(held.fromC).toBeCloseTo(15.4, 0);
    expect(held.plateauC!).toBeGreaterThan(88);
    expect(held.timeConstantS!.value).toBeCloseTo(200, 0);
    // 90 % of the rise to 98 % of its highest is there after 2.1 time constants.
    expect(held.toS).toBeGreaterThan(410);
    expect(held.toS).toBeLessThan(436);
    expect(judged(warming(65))!.holds).toBe('stays-low');
    expect(judged(warming(76))!.holds).toBe('holds');
    expect(judged(warming(46))).toBeNull();
    // A thermostat that hangs open holds a machine at little more than fifty: told, as one that stays low.
    expect(judged(warming(54))!.holds).toBe('stays-low');
    expect(
      warmUp(
        seconds(1500),
        channel(
          'c',
          'celsius',
          Array.from(seconds(1500), (t) => 40 + Math.min(15, t / 20)),
        ),
        [],
      ),
    ).toBeNull();
    expect(warmUp(seconds(50), warming(90, 10, 50), [])).toBeNull();
    const rising = channel(
      'c',
      'celsius',
      Array.from(seconds(1500), (t) => 15 + t / 20),
    );
    expect(judged(rising)).toMatchObject({ holds: 'still-rising', plateauC: null, overshootK: 0 });
  });
  test('a fall on the way up is a setback; the fan’s turns are counted with their period and swing', () => {
    const dip = warming(90);
    for (let i = 200; i < 240; i++) dip.values[i] -= 8;
    expect(judged(dip)!.setback).toBeGreaterThan(6);
    const fan = channel(
      'c',
      'celsius',
      Array.from(seconds(1500), (t) => (t < 500 ? 15 + 0.15 * t : 90 + 3 * Math.sin(((t - 500) * 2 * Math.PI) / 100))),
    );
    const { cycles, overshootK } = judged(fan)!;
    expect(cycles!.count).toBeGreaterThanOrEqual(9);
    expect(cycles!.periodS).toBeCloseTo(100, -1);
    expect(cycles!.swingK).toBeCloseTo(6, 0);
    expect(overshootK).toBeGreaterThan(2);
  });
  test('air: dips that are neither a wire’s nor the fan’s', () => {
    const with_ = (depthK: number, lengthS: number, from = 80): LogChannel =>
      channel(
        'c',
        'celsius',
        Array.from(seconds(300), (t) =>
          t > 100 && t < 100 + lengthS ? from - depthK * Math.sin((Math.PI * (t - 100)) / lengthS) : from,
        ),
      );
    const dips = (c: LogChannel, events: LogEvent[] = []) => airDips(seconds(300), c, events)?.dips ?? [];
    expect(dips(with_(15, 20))).toHaveLength(1);
    expect(dips(with_(15, 20))[0].depthK).toBeGreaterThan(13);
    expect(dips(with_(4, 20))).toEqual([]);
    expect(dips(with_(15, 20, 38))).toEqual([]);
    expect(dips(with_(15, 120))).toEqual([]);
    expect(dips(with_(8, 80))).toEqual([]);
    expect(dips(with_(15, 20), [event('drop-out', 105, 110)])).toEqual([]);
    expect(dips(with_(15, 20), [event('noise', 105, 110)])).toHaveLength(1);
    expect(dips(with_(15, 20), [event('step', 200, 201)])).toHaveLength(1);
  });
  test('settling: where it will end, with its time constant and what is left; what has settled or hardly moved is none', () => {
    const course = (end: number, start: number, tau: number, quantity: LogChannel['quantity'] = 'celsius') =>
      settlingOf(
        seconds(120),
        channel(
          'c',
          quantity,
          Array.from(seconds(120), (t) => end + (start - end) * Math.exp(-t / tau)),
        ),
        0,
      );
    const found = course(80, 20, 60)!;
    expect(found.endsAt).toBeCloseTo(80, 1);
    expect(found.timeConstantS).toBeCloseTo(60, 1);
    expect(found.leftNow).toBeCloseTo(-60 * Math.exp(-119 / 60), 1);
    expect(course(20, 21, 60)).toBeNull();
    expect(course(2, 2.03, 60, 'volts')).toBeNull();
    expect(course(2, 2.5, 60, 'volts')).not.toBeNull();
    expect(settlingOf(seconds(10), channel('c', 'celsius', seconds(10)), 0)).toBeNull();
    expect(settlingOf(seconds(120), channel('c', 'celsius', seconds(120)), 500)).toBeNull();
  });
});

describe('one channel against another', () => {
  const n = 3000;
  /** Up to 80 °C and down again. */
  const heat = (t: number): number => 20 + 60 * Math.sin((Math.PI * t) / n) ** 2;
  const x = channel('x', 'celsius', Array.from(seconds(n), heat));
  const y = (f: (t: number) => number): LogChannel => channel('y', 'celsius', Array.from(seconds(n), f));
  test('a lag is found and explains the loop; one that does not is left', () => {
    const late = loopOf(
      seconds(n),
      x,
      y((t) => heat(t - 30)),
      [],
    )!;
    expect(late.lagS).toBeGreaterThanOrEqual(24);
    expect(late.lagS).toBeLessThanOrEqual(36);
    expect(Math.abs(late.leftK)).toBeLessThan(0.5);
    // It shows 5 K less once it was hot.
    const changed = loopOf(
      seconds(n),
      x,
      y((t) => heat(t) - (t > n / 2 ? 5 : 0)),
      [],
    )!;
    expect(changed.widthK).toBeCloseTo(-5, 0);
    expect(changed).toMatchObject({ kind: 'loop', channel: 'y', against: 'x' });
    expect(
      loopOf(
        seconds(n),
        x,
        y((t) => heat(t) + 3),
        [],
      ),
    ).toBeNull();
  });
  test('drift an hour where both stand; none where they move or for less than ten minutes', () => {
    const still = channel(
      'x',
      'celsius',
      Array.from(seconds(n), () => 50),
    );
    const found = driftOf(
      seconds(n),
      still,
      y((t) => 50 + (3 * t) / 3600 + (t % 10 < 5 ? 0.01 : -0.01)),
      [],
    )!;
    expect(found.perHourK).toBeCloseTo(3, 1);
    expect(
      driftOf(seconds(500), channel('x', 'celsius', seconds(500)), channel('y', 'celsius', seconds(500)), []),
    ).toBeNull();
  });
  test('differences by temperature, and where they are the worst', () => {
    const found = compareOf(
      seconds(n),
      x,
      y((t) => heat(t) + (heat(t) > 60 ? 6 : 1)),
      [],
    )!;
    expect(found.worstK).toBeCloseTo(6, 0);
    expect(found.worstAtC).toBeGreaterThan(58);
    for (const bin of found.bins)
      expect(bin.differenceK).toBeCloseTo(bin.atC > 64 ? 6 : bin.atC < 56 ? 1 : bin.differenceK, 0);
  });
  test('cold: all alike, or the odd one out', () => {
    const flat = (id: string, c: number): LogChannel =>
      channel(
        id,
        'celsius',
        Array.from(seconds(60), () => c),
      );
    const of = (...c: number[]) =>
      coldStart(
        seconds(60),
        c.map((v, i) => flat(`c${i}`, v)),
      );
    expect(of(20, 21, 20)).toMatchObject({ oddOne: null });
    expect(of(20, 21, 20)!.channels.map((c) => c.valueC)).toEqual([20, 21, 20]);
    expect(of(20, 35, 20)).toMatchObject({ oddOne: 'c1' });
    expect(of(20)).toBeNull();
    // None is warmer than 45 °C, and more than half lie within 6 K of their middle; of two both must be cold.
    expect([of(45, 45, 45) !== null, of(45.1, 45.1, 45.1) !== null]).toEqual([true, false]);
    expect([of(20, 26, 26, 80) !== null, of(20, 27, 33, 26) !== null]).toEqual([true, false]);
    expect(of(5, 20, 35, 50)).toBeNull();
    expect(of(5, 20, 26, 40)).toBeNull();
    expect([of(20, 45) !== null, of(20, 45.5) !== null]).toEqual([true, false]);
  });
  test('a display that made a step is not said to drift; one that runs away is', () => {
    const n = 3600;
    const roles = { x: 'thermometer', y: 'displayed' } as const;
    const kinds = (shown: (t: number) => number): string[] =>
      analyseLog(made(n, { x: ['celsius', (t) => 50 + 0.02 * (t % 3)], y: ['celsius', shown] }), {
        roles,
      }).findings.map((f) => f.kind);
    expect(kinds((t) => 50 + (6 * t) / n + 0.02 * (t % 5))).toContain('drift');
    expect(kinds((t) => (t < n / 2 ? 50 : 58) + 0.02 * (t % 5))).not.toContain('drift');
  });
  test('hot by the thermometer, whatever the display says first', () => {
    const log = made(120, { shown: ['celsius', () => 20], beside: ['celsius', () => 80] });
    const about = (roles: Record<string, ChannelRole>): string[] =>
      stretchesOf(log, roles, { shown: [], beside: [] }).map((f) => f.about);
    expect(about({ shown: 'displayed', beside: 'thermometer' })).toEqual(['hot']);
    expect(about({ shown: 'displayed' })).toEqual(['cold']);
  });
});

describe('a heat cycle', () => {
  const look = (besideC: number | null, sensorC: number, atS: number) => ({ besideC, sensorC, atS });
  const [cold, hot, after] = [look(20, 21, 0), look(70, 70, 100), look(25, 25, 800)];
  test('what is missing, and what is not told', () => {
    expect(judgeCycle({ before: null, hot, after })).toEqual({ verdict: 'unfinished', missing: 'before' });
    expect(judgeCycle({ before: cold, hot: null, after })).toEqual({ verdict: 'unfinished', missing: 'hot' });
    expect(judgeCycle({ before: cold, hot, after: null })).toEqual({ verdict: 'unfinished', missing: 'after' });
    for (const cycle of [
      { before: look(null, 20, 0), hot, after },
      { before: cold, hot: look(null, 70, 100), after },
      { before: cold, hot, after: look(null, 20, 800) },
    ])
      expect(judgeCycle(cycle)).toEqual({ verdict: 'not-told', why: 'no-thermometer' });
    expect(judgeCycle({ before: cold, hot: look(44, 44, 100), after })).toEqual({
      verdict: 'not-told',
      why: 'little-heat',
    });
    expect(judgeCycle({ before: cold, hot: look(45, 45, 100), after })).toMatchObject({ verdict: 'sound' });
    expect(judgeCycle({ before: cold, hot, after: look(25, 25, 100 + CYCLE.leastAgainS - 1) })).toEqual({
      verdict: 'not-told',
      why: 'too-soon',
    });
    expect(judgeCycle({ before: cold, hot, after: look(25, 25, 100 + CYCLE.leastAgainS) })).toMatchObject({
      verdict: 'sound',
    });
  });
  test('wrong from the start, hot, after the heat; sound with its shift', () => {
    expect(judgeCycle({ before: look(20, 26.5, 0), hot, after })).toEqual({
      verdict: 'wrong-from-the-start',
      offK: 6.5,
      shiftK: 0,
    });
    expect(judgeCycle({ before: look(20, 26, 0), hot: look(70, 70, 100), after: look(25, 31, 800) }).verdict).toBe(
      'sound',
    );
    expect(judgeCycle({ before: cold, hot: look(70, 60, 100), after })).toEqual({
      verdict: 'fails-hot',
      offK: -10,
      shiftK: -11,
    });
    expect(judgeCycle({ before: cold, hot: look(70, 76, 100), after }).verdict).toBe('sound');
    // Off by more than six, but no more than it was: no shift.
    expect(judgeCycle({ before: look(20, 25.5, 0), hot: look(70, 76.5, 100), after }).verdict).toBe('sound');
    expect(judgeCycle({ before: cold, hot, after: look(25, 18, 800) })).toEqual({
      verdict: 'fails-after-heat',
      offK: -7,
      shiftK: -8,
    });
    expect(judgeCycle({ before: cold, hot, after })).toEqual({ verdict: 'sound', shiftK: -1 });
  });
});
