import { describe, expect, test } from 'vitest';
import type { Entry } from '../../base/units/entry.ts';
import { TOOLS } from '../../base/units/vocabulary.ts';
import { accessOf, EVERYTHING_AT_HAND } from './access.ts';
import { GENERIC_INSTRUMENTS } from './instruments.ts';
import { instrumentsOf, thermometerSigmaK } from './instrumentsOf.ts';
import { completeRange, kitFigures, possible } from './kitFigures.ts';
import { genericKit, type Kit, type MeterRange } from './kitSchema.ts';
import { ownResistors } from './ownResistors.ts';

const figure = (value: number | null): Entry => ({ text: value === null ? '' : String(value), value });
const range = (
  upTo: number | null,
  percent: number | null,
  digits: number | null = null,
  digit: number | null = null,
): MeterRange => ({ upTo: figure(upTo), percent: figure(percent), digits: figure(digits), digit: figure(digit) });
const withMeter = (meter: Partial<Kit['meter']>): Kit => ({
  ...genericKit(),
  meter: { ...genericKit().meter, ...meter },
});

describe('figures that can be', () => {
  test('each from its least to its most, both included; an empty one and one beyond are none', () => {
    const kit = withMeter({ volts: [range(1, 1, 1, 1)], ohms: [range(1, 1, 1, 1)] });
    const list = kitFigures(kit);
    expect(list.map((f) => f.path)).toEqual([
      ...['meter.inputOhm', 'meter.overloadOhm', 'meter.leadOhm', 'thermometerK', 'displayedK'].map((p) => `kit.${p}`),
      'kit.resistors.tolerancePercent',
      ...['volts', 'ohms'].flatMap((q) => ['upTo', 'percent', 'digits', 'digit'].map((f) => `kit.meter.${q}.0.${f}`)),
    ]);
    expect(list.map((f) => f.quantity)).toEqual([
      ...['ohms', 'ohms', 'ohms', 'number', 'number', 'number'],
      ...['volts', 'number', 'number', 'volts'],
      ...['ohms', 'number', 'number', 'ohms'],
    ]);
    for (const [limit, low, high] of [
      ['inputOhm', 1e3, 1e13],
      ['overloadOhm', 100, 1e13],
      ['leadOhm', 0, 100],
      ['kelvin', 0.001, 200],
      ['tolerancePercent', 0.001, 50],
      ['upTo', 1e-3, 1e13],
      ['percent', 0, 50],
      ['digits', 0, 1e4],
      ['digit', 0, 1e7],
    ] as const) {
      expect(possible(figure(low), limit), limit).toBe(low);
      expect(possible(figure(high), limit), limit).toBe(high);
      expect(possible(figure(low - 1e-6), limit), limit).toBeNull();
      expect(possible(figure(high * 1.01), limit), limit).toBeNull();
      expect(possible(figure(null), limit), limit).toBeNull();
    }
  });
  test('a range needs its end and its per cent; digits count only with what a digit is', () => {
    expect(completeRange(range(20, 0.5, 3, 0.01))).toEqual({ upTo: 20, percent: 0.5, absolute: 0.03 });
    expect(completeRange(range(20, 0.5, 3))).toEqual({ upTo: 20, percent: 0.5, absolute: 0 });
    expect(completeRange(range(20, 0.5, null, 0.01))!.absolute).toBe(0);
    expect(completeRange(range(null, 0.5))).toBeNull();
    expect(completeRange(range(20, null))).toBeNull();
    expect(completeRange(range(20, 51))).toBeNull();
  });
});

describe('instruments of a kit', () => {
  test('an empty kit has the generic ones, figures of its own where they are told', () => {
    expect(instrumentsOf(genericKit())).toEqual(GENERIC_INSTRUMENTS);
    const told = instrumentsOf({
      ...withMeter({ inputOhm: figure(1e6), overloadOhm: figure(4e7), leadOhm: figure(0.3) }),
      displayedK: figure(3),
    });
    expect(told).toMatchObject({
      meterInputOhm: 1e6,
      meterOverloadOhm: 4e7,
      leadOhm: 0.3,
      volts: GENERIC_INSTRUMENTS.volts,
    });
    // ± 3 K as a limit: an even spread, 3/√3 (JCGM 100, 4.3.7).
    expect(told.displayedK).toBeCloseTo(Math.sqrt(3), 12);
    expect(told).toMatchObject({ bathK: GENERIC_INSTRUMENTS.bathK, blunder: GENERIC_INSTRUMENTS.blunder });
    expect(instrumentsOf({ ...genericKit(), displayedK: figure(500) }).displayedK).toBe(GENERIC_INSTRUMENTS.displayedK);
  });
  test('ranges in order, the last to infinity, never better than a thousandth; those that are not complete are passed over', () => {
    const { volts, ohms } = instrumentsOf(
      withMeter({ volts: [range(200, 1, 2, 0.1), range(20, 0.6, 3, 0.01), range(2, null)], ohms: [range(400, 0)] }),
    );
    expect(volts.map((v) => v.upTo)).toEqual([20, Infinity]);
    expect(volts[0].relative).toBeCloseTo(0.006 / Math.sqrt(3), 12);
    expect(volts[0].absolute).toBeCloseTo(0.03 / Math.sqrt(3), 12);
    expect(volts[1].relative).toBeCloseTo(0.01 / Math.sqrt(3), 12);
    expect(volts.every((v) => v.together)).toBe(true);
    expect(ohms).toEqual([{ upTo: Infinity, relative: 1e-3 / Math.sqrt(3), absolute: 1e-4, together: true }]);
    expect(instrumentsOf(withMeter({ volts: [range(2, null)] })).volts).toBe(GENERIC_INSTRUMENTS.volts);
  });
  test('a thermometer by its limit, else by its kind: a hand and a shiny surface least, glass best', () => {
    expect(thermometerSigmaK({ ...genericKit(), thermometerK: figure(1.5) })).toBeCloseTo(1.5 / Math.sqrt(3), 12);
    const by = (thermometer: Kit['thermometer']): number => thermometerSigmaK({ ...genericKit(), thermometer });
    expect(by('glass')).toBeLessThan(by('thermocouple'));
    expect(by('thermocouple')).toBeLessThan(by('display'));
    expect(by('display')).toBeLessThan(by('infra-red'));
    expect(by('infra-red')).toBeLessThan(by('infra-red-shiny'));
    expect(by('hand')).toBe(by('infra-red-shiny'));
    expect(by('other')).toBe(by('thermocouple'));
  });
});

test('what the places cost: an easy plug three fifths, a hard one threefold; both ends free as the worse of the two', () => {
  expect(EVERYTHING_AT_HAND).toEqual({ tools: TOOLS, effort: {}, riskMinutes: 1 });
  const kit: Kit = { ...genericKit(), tools: ['meter'], access: { plug: 'hard', module: 'easy', sensor: 'usual' } };
  expect(accessOf(kit)).toEqual({
    tools: ['meter'],
    effort: {
      plugged: 3,
      unplugged: 3,
      bridged: 3,
      substituted: 3,
      'key-off': 3,
      'both-ends-free': 3,
      'taken-off': 1,
    },
    riskMinutes: 1,
  });
  expect(accessOf({ ...kit, access: { plug: 'easy', module: 'usual', sensor: 'hard' } }).effort).toMatchObject({
    plugged: 0.6,
    'both-ends-free': 1,
    'taken-off': 3,
  });
});

describe('resistors of a kit', () => {
  const typed = (own: string) => ownResistors({ ...genericKit().resistors, series: 'own', own });
  test('a series whole from 10 Ω to 1 MΩ', () => {
    const { ohms, unread } = ownResistors(genericKit().resistors);
    // Twelve to a decade over five decades, and the last one.
    expect([ohms.length, ohms[0], ohms[ohms.length - 1], unread]).toEqual([61, 10, 1e6, []]);
  });
  test('parted by blanks, commas or semicolons; a unit belongs to the figure before it', () => {
    expect(typed('470 100;220').ohms).toEqual([100, 220, 470]);
    expect(typed('2.2 k, 470 ohm 1 M').ohms).toEqual([470, 2200, 1e6]);
    expect(typed('4k7 kilo').unread).toEqual(['4k7 kilo']);
    expect(typed('100,220,330').ohms).toEqual([100, 220, 330]);
    expect(typed('2,2k').ohms).toEqual([2200]);
    expect(typed('100,\n100').ohms).toEqual([100]);
  });
  test('what cannot be read, and nothing at all, is told', () => {
    expect(typed('100 blue 0')).toEqual({ ohms: [100], unread: ['blue', '0'] });
    expect(typed('')).toEqual({ ohms: [], unread: [] });
    expect(typed('k 100')).toEqual({ ohms: [100], unread: ['k'] });
  });
});
