import { describe, expect, test } from 'vitest';
import { curveModel } from '../../circuit/curves/curve.ts';
import { headingOf, isPlainHeading, pictureTable } from './pictureTable.ts';
import type { TableRead } from './readTable.ts';

const model = curveModel({ kind: 'beta', r25Ohm: 2252, betaK: 3930 });
const table = (change: (row: string[], i: number) => string[] = (r) => r, step = 10, limits = false): TableRead => ({
  heads: limits ? ['°C', 'minQ', 'nomQ', 'maxQ'] : ['°C', 'Q'],
  rows: Array.from({ length: 14 }, (_, i) => {
    const r = model.resistanceOhm(-20 + i * step);
    const figures = (limits ? [0.95 * r, r, 1.05 * r] : [r]).map((v) => String(Number(v.toPrecision(4))));
    return change([String(-20 + i * step), ...figures.map((f) => f)], i).map((text) => ({
      text,
      doubtful: false,
      box: null,
    }));
  }),
});
const at = (i: number, c: number, text: string) => (row: string[], k: number) =>
  k === i ? row.map((cell, j) => (j === c ? text : cell)) : row;

describe('what a heading says, as a reader of text makes it out', () => {
  test.each([
    ['°C', '°C'],
    ['*C', '°C'],
    ['Temp. °F', '°F'],
    ['Temperature (°C)', '°C'],
    ['kQ', 'kΩ'],
    ['kO', 'kΩ'],
    ['minkQ', 'min kΩ'],
    ['nomQ', 'nom Ω'],
    ['Max. kΩ', 'max kΩ'],
    ['typ Q', 'nom Ω'],
    ['Resistance (Q)', 'Ω'],
    ['R in ohm', 'Ω'],
    ['MQ', 'MΩ'],
    ['max0', 'max Ω'],
    ['', ''],
    ['Part', ''],
  ])('%j is %j', (words, heading) => expect(headingOf(words)).toBe(heading));
});

describe('doubtful figures of a picture', () => {
  const doubtsOf = (t: TableRead) =>
    pictureTable(t).doubts.flatMap((row, r) => row.flatMap((why, c) => (why ? [`${r}:${c} ${why}`] : [])));

  test('a clean table has none, whatever its step and with limits, and reads as its rows', () => {
    for (const step of [1, 5, 10]) expect(doubtsOf(table((r) => r, step))).toEqual([]);
    expect(doubtsOf(table((r) => r, 10, true))).toEqual([]);
    const { read, text } = pictureTable(table());
    expect(text.split('\n')[0]).toBe('°C\tΩ');
    expect(read.rows).toHaveLength(14);
    expect(read.rows[2]).toMatchObject({ temperatureC: 0, minOhm: null });
  });
  test('a temperature that falls out of even steps', () => {
    expect(doubtsOf(table(at(6, 0, '46')))).toContain('6:0 out-of-step');
  });
  test('a misread digit that the curve shows, in the nominal and in a limit', () => {
    const wrong = (c: number, limits: boolean): TableRead =>
      table(
        (row, i) =>
          i === 7 ? row.map((x, j) => (j === c ? x.replace(/^./, (d) => String((Number(d) + 1) % 10)) : x)) : row,
        10,
        limits,
      );
    expect(doubtsOf(wrong(1, false))).toContain('7:1 off-the-curve');
    expect(doubtsOf(wrong(3, true))).toContain('7:3 off-the-curve');
  });
  test('a mark that was lost, at either end of the table too', () => {
    for (const i of [0, 5, 13])
      expect(
        doubtsOf(table((row, k) => (k === i ? [row[0], String(Number(row[1]) * 10)] : row))),
        `row ${i}`,
      ).toContain(`${i}:1 off-the-curve`);
  });
  test('no figure at all, and what the reading marked itself', () => {
    const t = table(at(3, 1, ''));
    t.rows[9][1].doubtful = true;
    expect(doubtsOf(t)).toEqual(expect.arrayContaining(['3:1 no-figure', '9:1 unclear']));
  });
  test('what was looked at is doubtful no more', () => {
    const t = table(at(6, 0, '46'));
    const looked = pictureTable(t, (r) => r >= 5 && r <= 7);
    expect(looked.doubts.flat().filter(Boolean)).toEqual([]);
  });
});

describe('headings are confirmed before a table is used', () => {
  const headed = (...heads: string[]): TableRead => ({ ...table(), heads });
  const headings = (t: TableRead, units = {}) =>
    pictureTable(t, () => true, units).headings.map((h) => [h.column, h.unit, h.confirmed]);

  test('only words of the trade are plain', () => {
    for (const words of [
      '°C',
      'Temperature (°C)',
      'R / kΩ',
      'R kΩ',
      'Temp. °F',
      'Resistance in ohms',
      'min. kΩ',
      'T [K]',
    ])
      expect(isPlainHeading(words), words).toBe(true);
    for (const words of ['RkQ', 'R kQ', 'Q', '*C', 'max0', 'Part', '', ' ', 'R kΩ2'])
      expect(isPlainHeading(words), words).toBe(false);
  });
  test('a plain heading proposes its unit, any other proposes none, and neither is confirmed', () => {
    expect(headings(headed('°C', 'R kΩ'))).toEqual([
      [0, '°C', false],
      [1, 'kΩ', false],
    ]);
    expect(headings(headed('Temperature', 'RkQ'))).toEqual([
      [0, null, false],
      [1, null, false],
    ]);
    const [warm, ohms] = pictureTable(headed('', '')).headings;
    expect(warm.units).toEqual(['°C', '°F', 'K']);
    expect(ohms.units).toEqual(['Ω', 'kΩ', 'MΩ']);
  });
  test('the confirmed unit goes before what the heading seemed to say, and keeps its limit', () => {
    const read = pictureTable(headed('°C', 'RkQ'), () => true, { 0: '°C', 1: 'Ω' });
    expect(read.text.split('\n')[0]).toBe('°C\tΩ');
    expect(read.headings.map((h) => h.confirmed)).toEqual([true, true]);
    const limits = pictureTable(
      table((r) => r, 10, true),
      () => true,
      { 1: 'kΩ', 2: 'kΩ', 3: 'kΩ' },
    );
    expect(limits.text.split('\n')[0]).toBe('°C\tmin kΩ\tnom kΩ\tmax kΩ');
  });
});
