import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { elementsOf, pointAt, shareBefore } from '../network/chain.ts';
import { USUAL, usualWeights } from '../network/placeWeights.ts';
import { figure } from '../../base/units/entry.ts';
import { HINT_IDS, hintFactor, HINTS } from './hints.ts';
import { asTemplate, type Harness, harnessSchema, newHarness, newStop, partAt, stopsOf } from './harnessSchema.ts';
import { harnessWeights } from './harnessWeights.ts';
import { pastedHarness } from './pastedHarness.ts';
import { wireColours } from './wireColours.ts';

const harnessOf = (...kinds: ('connector' | 'splice')[]): Harness => ({
  ...newHarness(),
  stops: kinds.map((k, i) => newStop(`c${i}`, k)),
});
const idOf = (i: number): string => `n${i}`;

describe('the chain', () => {
  test('elements, points and copper of two connectors', () => {
    expect(elementsOf(2)).toBe(7);
    expect([pointAt(1), pointAt(1, 'sensor'), pointAt(2, 'module'), pointAt(2, 'sensor')]).toEqual([2, 3, 4, 5]);
    expect([0, 1, 2, 3, 4, 5, 6].map((p) => shareBefore(p, 2) * 3)).toEqual([0, 0, 1, 1, 2, 2, 3]);
    const loom = harnessOf('connector', 'splice');
    expect(stopsOf(loom).map((s) => s.kind)).toEqual(['module', 'connector', 'splice', 'plug']);
    expect(partAt(loom, 4)).toEqual({ stop: loom.stops[1], run: null });
    expect(partAt(loom, 5)).toEqual({ stop: loom.stops[1], run: loom.stops[1].run });
    expect(partAt(loom, 6).stop).toBe(loom.plug);
    expect(harnessSchema.safeParse(loom).success).toBe(true);
    expect(
      harnessSchema.safeParse({ ...loom, stops: Array.from({ length: 9 }, (_, i) => newStop(`${i}`, 'connector')) })
        .success,
    ).toBe(false);
  });
});

describe('how likely places are', () => {
  test('a loom of which nothing is known weighs as usual', () => {
    expect(harnessWeights(harnessOf('connector', 'connector'))).toEqual(usualWeights(2));
    const { series } = USUAL;
    expect(usualWeights(1).signal).toEqual([
      series.module,
      series.run + 1.5 * series.metre,
      series.contact,
      series.run + 1.5 * series.metre,
      series.plug,
    ]);
  });
  test('a splice is suspected sooner than a connector of going open, and sooner than one of leaking: it lies bare under tape', () => {
    const [spliced, connected] = [harnessWeights(harnessOf('splice')), harnessWeights(harnessOf('connector'))];
    expect(spliced.signal[2]).toBeGreaterThan(connected.signal[2]);
    expect(spliced.leak[2]).toBeGreaterThan(connected.leak[2]);
    // And of going open sooner than the plug at the sensor, of leaking later.
    expect(spliced.signal[2]).toBeGreaterThan(spliced.signal[4]);
    expect(spliced.leak[2]).toBeLessThan(spliced.leak[4]);
    // All else weighs as it did.
    for (const e of [0, 1, 3, 4]) expect(spliced.signal[e]).toBe(connected.signal[e]);
  });
  test('length, make and what is known of a place, each on its own place alone', () => {
    const loom = harnessOf('connector', 'splice');
    const plain = harnessWeights(loom);
    const changed = (change: (l: Harness) => void) => {
      const copy = structuredClone(loom);
      change(copy);
      const after = harnessWeights(copy);
      const ratios = after.signal.map((w, e) => w / plain.signal[e]);
      const moved = ratios.flatMap((r, e) => (Math.abs(r - 1) > 1e-12 ? [[e, Number(r.toFixed(3))]] : []));
      return { moved, leak: after.leak.map((w, e) => w / plain.leak[e]) };
    };
    // 0.15 + 0.04 · 18 m in place of 0.15 + 0.04 · 1.5 m.
    expect(changed((l) => (l.stops[0].run.lengthM = figure(18))).moved).toEqual([
      [3, Number((0.87 / 0.21).toFixed(3))],
    ]);
    expect(changed((l) => l.stops[0].hints.push('wet')).moved).toEqual([[2, 4]]);
    expect(changed((l) => l.stops[0].hints.push('wet')).leak[2]).toBeCloseTo(6, 9);
    expect(changed((l) => l.module.run.hints.push('repaired')).moved).toEqual([[1, 4]]);
    expect(changed((l) => l.plug.hints.push('unlikely')).moved).toEqual([[6, 0.333]]);
    const shielded = changed((l) => (l.stops[1].run.make = 'shielded'));
    expect(shielded.moved).toEqual([]);
    expect(shielded.leak[5]).toBeCloseTo(0.7, 12);
    // Absurd lengths are no lengths; beyond five kilometres it is a long wire like any other.
    expect(changed((l) => (l.module.run.lengthM = figure(-3))).moved).toEqual([]);
    expect(changed((l) => (l.module.run.lengthM = figure(1e9))).moved).toEqual(
      changed((l) => (l.module.run.lengthM = figure(5000))).moved,
    );
  });
  test('together hints never weigh more than one good look (property)', () => {
    fc.assert(
      fc.property(fc.subarray([...HINT_IDS]), fc.constantFrom('series' as const, 'leak' as const), (ids, kind) => {
        const factor = hintFactor(ids, kind);
        expect(factor).toBeGreaterThanOrEqual(1 / 30);
        expect(factor).toBeLessThanOrEqual(30);
        const product = HINTS.filter((h) => ids.includes(h.id)).reduce((p, h) => p * h[kind], 1);
        if (product > 1 / 30 && product < 30) expect(factor).toBeCloseTo(product, 9);
      }),
      { seed: 61, numRuns: 200 },
    );
  });
});

test('a loom for the shelf keeps what holds for every machine of its kind, and is a copy', () => {
  const loom = harnessOf('connector');
  loom.stops[0].hints = ['wet', 'corroded', 'moved', 'looked'];
  loom.stops[0].run.hints = ['repaired', 'moved'];
  loom.plug.hints = ['crash'];
  loom.stops[0].name = 'C1';
  const kept = asTemplate(loom);
  expect([kept.stops[0].hints, kept.stops[0].run.hints, kept.plug.hints]).toEqual([['wet', 'moved'], ['moved'], []]);
  expect(kept.stops[0].name).toBe('C1');
  kept.stops[0].pins.signal = '9';
  expect(loom.stops[0].pins.signal).toBe('');
  expect(loom.stops[0].hints).toHaveLength(4);
});

describe('rows from a sheet', () => {
  test('columns by their heads, in any order; units behind figures are taken', () => {
    const text =
      'Metres\tConnector\tSignal pin\tReturn pin\tMinutes to reach\tWhere it is\tSignal colour\n18 m\tC1\t5\t6\t12 min\tin the trunk\tgn-wh\n9\tSplice S1\t\t\t20\tunder the stair\t';
    const { stops, problems } = pastedHarness(text, idOf);
    expect(problems).toEqual([]);
    expect(stops.map((s) => [s.id, s.kind, s.name, s.where, s.minutes.value, s.run.lengthM.value])).toEqual([
      ['n0', 'connector', 'C1', 'in the trunk', 12, 18],
      ['n1', 'splice', 'Splice S1', 'under the stair', 20, 9],
    ]);
    expect(stops[0].pins).toEqual({ signal: '5', return: '6' });
    expect(stops[0].run.colours.signal).toBe('gn-wh');
  });
  test('without a head: name, where, minutes, metres; by comma or semicolon as well', () => {
    for (const by of ['\t', ',', ';']) {
      const [first] = pastedHarness(
        ['C1', 'deck box', '4', '0.6'].join(by) + '\n' + ['C2', 'tank', '12', '2.4'].join(by),
        idOf,
      ).stops;
      expect([first.name, first.where, first.minutes.value, first.run.lengthM.value], by).toEqual([
        'C1',
        'deck box',
        4,
        0.6,
      ]);
    }
    expect(pastedHarness('C1', idOf).stops.map((s) => s.name)).toEqual(['C1']);
    expect(pastedHarness('  \n ', idOf)).toEqual({ stops: [], problems: [] });
  });
  test('what cannot be taken is told with its line, and the rest is taken', () => {
    const { stops, problems } = pastedHarness('name\tminutes\nC1\tsoon\nC2\t-4\nC3\t5', idOf);
    expect(stops.map((s) => s.minutes.value)).toEqual([null, null, 5]);
    expect(problems.map((p) => p.line)).toEqual([2, 3]);
    expect(problems[0].why).toContain('soon');
    const many = pastedHarness(Array.from({ length: 11 }, (_, i) => `C${i}\tplace`).join('\n'), idOf);
    expect([many.stops.length, many.problems.map((p) => p.line)]).toEqual([8, [9, 10, 11]]);
    expect(many.problems[0].why).toContain('8');
  });
});

test('wire colours by word and by code, one or two; words that are no colours are none', () => {
  expect(wireColours('green')).toHaveLength(1);
  expect(wireColours('green-white')).toEqual(wireColours('GN/WH'));
  expect(wireColours('gnye')).toEqual(wireColours('green yellow'));
  expect(wireColours('GNYE')[0]).toBe(wireColours('green')[0]);
  expect(wireColours('Black with red tracer')).toEqual([wireColours('bk')[0], wireColours('rd')[0]]);
  expect(wireColours('red white blue')).toHaveLength(2);
  expect(wireColours('unknown 4711')).toEqual([]);
  expect(wireColours('')).toEqual([]);
});

describe('what people write behind a figure, and colours', () => {
  const pasted = (cell: string) => pastedHarness(`name;minutes;length\nC1;${cell};2 m`, idOf);
  test('minutes and metres are taken with their unit, whatever stands before it; no figure is said', () => {
    for (const cell of ['12', '12 min', '12min', '12 minutes', '12 min.', '12 MIN'])
      expect(pasted(cell).stops[0].minutes.value, cell).toBe(12);
    for (const cell of ['2', '2 m', '2m', '2 metres', '2 metre', '2 M'])
      expect(pastedHarness(`name;minutes;length\nC1;3;${cell}`, idOf).stops[0].run.lengthM.value, cell).toBe(2);
    for (const cell of ['soon', '0', '-3', 'min']) expect(pasted(cell).problems[0].line, cell).toBe(2);
    expect(pasted('').problems).toEqual([]);
    expect(pasted('soon').problems).toEqual([{ line: 2, why: '“soon” is no figure' }]);
  });
  test('a colour and its stripe, in words and codes; other words are none', () => {
    expect(wireColours('black')).toEqual(['#1c1c1c']);
    expect(wireColours('GN/WH')).toEqual(['#2f8b3a', '#f4f4f0']);
    expect(wireColours('gnye')).toEqual(['#2f8b3a', '#e6c72e']);
    expect(wireColours('red-black-white')).toHaveLength(2);
    expect(wireColours('gnxx')).toEqual([]);
    expect(wireColours('xxgn')).toEqual([]);
    expect(wireColours('gnyewh')).toEqual([]);
    expect(wireColours('')).toEqual([]);
  });
});
