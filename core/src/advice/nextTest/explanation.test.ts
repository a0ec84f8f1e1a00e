import { describe, expect, test } from 'vitest';
import { coolantCircuit, problemWith } from '../../../test/problems.ts';
import { platinum } from '../../circuit/curves/platinum.ts';
import { FAULTS } from '../../circuit/faults/list.ts';
import { genericKit } from '../../catalogue/kit/kitSchema.ts';
import { accessOf } from '../../catalogue/kit/access.ts';
import { instrumentsOf, thermometerSigmaK } from '../../catalogue/kit/instrumentsOf.ts';
import { MEASUREMENTS } from '../../circuit/measurements/list.ts';
import { outcomeText } from '../../wording/outcomeText.ts';
import { assess } from '../../inference/verdict/assessment.ts';
import { healthyRanges } from '../../inference/model/healthyRanges.ts';
import { candidateTests, minutesOf, proposeTests } from './nextTest.ts';
import { EVERYTHING_AT_HAND } from '../../catalogue/kit/access.ts';
import { posteriorOf } from '../../inference/posterior/posterior.ts';
import { GENERIC_INSTRUMENTS } from '../../catalogue/kit/instruments.ts';
import { type Problem } from '../../inference/model/problem.ts';
import { undecidedPairs } from './separation.ts';
import { symptomFactors } from '../../inference/model/symptomFactors.ts';
import { schoolOrder, SCHOOLS } from './schools.ts';
import { voltsNoise } from '../../inference/model/noise.ts';
import { withoutEach } from '../../inference/verdict/withoutReading.ts';

const OPEN_QUESTION = problemWith([
  ['displayed', -10],
  ['open-voltage', 5],
]);

describe('the next test', () => {
  const propose = (p: Problem, count = 30) => proposeTests(p, posteriorOf(p), EVERYTHING_AT_HAND, count);
  test('best first per minute, risk counted, nothing done twice, nothing without its tool', () => {
    const list = propose(OPEN_QUESTION);
    const cost = (x: (typeof list)[number]): number =>
      x.minutes + (MEASUREMENTS.find((m) => m.id === x.measurement)!.risky ? 1 : 0);
    for (let i = 1; i < list.length; i++)
      expect(list[i].bits / cost(list[i])).toBeLessThanOrEqual(list[i - 1].bits / cost(list[i - 1]) + 1e-12);
    expect(list.map((x) => x.measurement)).not.toContain('open-voltage');
    for (const x of list) expect(x.bits).toBeGreaterThanOrEqual(0);
    const access = { ...EVERYTHING_AT_HAND, tools: ['meter'] as const };
    for (const t of candidateTests(OPEN_QUESTION, access)) expect(t.measurement.tools).toEqual(['meter']);
  });
  test('it costs less where the set-up stands, more where the place is hard to reach', () => {
    const test = candidateTests(OPEN_QUESTION, EVERYTHING_AT_HAND).find(
      (t) => t.measurement.id === 'open-voltage-return',
    )!;
    expect(minutesOf(test, OPEN_QUESTION, EVERYTHING_AT_HAND)).toBe(test.measurement.repeatMinutes);
    const hard = accessOf({ ...genericKit(), access: { plug: 'hard', module: 'usual', sensor: 'usual' } });
    expect(minutesOf(test, OPEN_QUESTION, hard)).toBe(3 * test.measurement.repeatMinutes);
  });
  test('each school orders every test once', () => {
    for (const s of SCHOOLS) expect([...schoolOrder(s)].sort()).toEqual(MEASUREMENTS.map((m) => m.id).sort());
  });
  test('pairs that cannot be told apart are named with the test that would do it', () => {
    const p = problemWith([['sensor-ohms', 6000]]);
    const [pair] = undecidedPairs(p, posteriorOf(p), EVERYTHING_AT_HAND);
    expect([...pair.faults].sort()).toEqual(['placement', 'sensor-high']);
    // Taken off, its place can no longer be wrong.
    expect(pair.test!.measurement).toBe('off-ohms');
    expect(undecidedPairs(problemWith([]), posteriorOf(problemWith([])), EVERYTHING_AT_HAND)).toEqual([]);
  });
});

describe('why', () => {
  test('without the reading that decides, the verdict is another', () => {
    const p = problemWith([
      ['sensor-ohms', 3600],
      ['open-voltage', 5.01],
      ['loaded-voltage', 4.4],
    ]);
    const list = withoutEach(p);
    expect(list.map((w) => w.id)).toEqual(['r0', 'r1', 'r2']);
    const loaded = list.find((w) => w.id === 'r2')!;
    expect(loaded.ofPresentLeader).toBeLessThan(0.6);
  });
  test('a reading says whom it clears and whom it leaves', () => {
    const a = assess(
      problemWith([
        ['displayed', -40],
        ['open-voltage', 5],
        ['sensor-ohms', Infinity],
      ]),
    );
    expect(outcomeText(a, 'r2', 'C')).toMatchObject({ standing: 'off', title: 'High.' });
    expect(outcomeText(a, 'r2', 'C')!.text).toContain('sensor open');
    expect(outcomeText(a, 'gone', 'C')).toBeNull();
    const absurd = assess(
      problemWith([
        ['sensor-ohms', 3450],
        ['open-voltage', 4.98],
        ['loaded-voltage', 2.89],
        ['displayed', 12],
        ['supply-to-return', 3.3],
      ]),
    );
    expect(outcomeText(absurd, 'r4', 'C')!.standing).toBe('doubtful');
  });
  test('a complaint weighs by what each fault does to the display of this very circuit', () => {
    const cold = symptomFactors(coolantCircuit(), 'cold', 12);
    expect(cold['sensor-open']).toBeCloseTo(3, 6);
    expect(cold['sensor-short']).toBeCloseTo(0.5, 6);
    expect(cold.healthy).toBeCloseTo(1, 6);
    const rising = symptomFactors(
      coolantCircuit({ curve: platinum.model({ kind: 'platinum', r0Ohm: 200 }), pullUpOhm: 1000 }),
      'cold',
      20,
    );
    expect(rising['sensor-open']).toBeCloseTo(0.5, 6);
    expect(Object.keys(cold).sort()).toEqual(FAULTS.map((f) => f.id).sort());
  });
});

describe('properties of the ranking', () => {
  test('scaling units changes nothing: every Ω a thousand times as large, meter and all', () => {
    const k = 10;
    const list = [
      ['sensor-ohms', 6800],
      ['open-voltage', 4.98],
      ['loaded-voltage', 3.65],
    ] as const;
    const base = coolantCircuit({ wireMinOhm: 0.05, wireMaxOhm: 1.5 });
    const plain = posteriorOf(problemWith(list));
    const { inputMinOhm, inputMaxOhm } = base.spread;
    const spread = { ...base.spread, inputMinOhm: inputMinOhm * k, inputMaxOhm: inputMaxOhm * k };
    const scaledCurve = {
      ...base.curve,
      resistanceOhm: (t: number) => k * base.curve.resistanceOhm(t),
      temperatureC: (r: number) => base.curve.temperatureC(r / k),
    };
    const scaled = posteriorOf(
      problemWith(
        list.map(([m, v]) => [m, m === 'sensor-ohms' ? v * k : v] as const),
        {
          circuit: {
            ...base,
            pullUpOhm: 2490 * k,
            curve: scaledCurve,
            wireMinOhm: 0.05 * k,
            wireMaxOhm: 1.5 * k,
            spread,
          },
          instruments: {
            ...GENERIC_INSTRUMENTS,
            ohms: [{ upTo: Infinity, relative: 0.01, absolute: 0.2 * k }],
            meterInputOhm: 10e6 * k,
            meterOverloadOhm: 20e6 * k,
          },
        },
      ),
    );
    expect(scaled.faults[0].fault.id).toBe(plain.faults[0].fault.id);
    const of = (p: typeof plain, id: string): number => p.faults.find((f) => f.fault.id === id)!.probability;
    for (const f of plain.faults) expect(Math.abs(of(scaled, f.fault.id) - f.probability)).toBeLessThan(0.02);
  });
  test('200 readings, and readings outside every curve: a ranking all the same', () => {
    const many = Array.from({ length: 200 }, (_, i) => ['loaded-voltage', 2.85 + 0.001 * (i % 60)] as const);
    const wild = [
      ['displayed', 900],
      ['sensor-ohms', 1e9],
      ['bench-ohms', 1e-3, { bathC: 60 }],
      ['open-voltage', 59],
    ] as const;
    for (const list of [many, wild]) {
      const { faults } = posteriorOf(problemWith(list));
      expect(faults.reduce((s, f) => s + f.probability, 0)).toBeCloseTo(1, 9);
      for (const f of faults) expect(f.probability).not.toBeNaN();
    }
  });
});

describe('instruments', () => {
  const entry = (value: number) => ({ text: String(value), value });
  test('percent and digits are limits: divided by √3, by range', () => {
    const kit = genericKit();
    kit.meter.volts = [
      { upTo: entry(6), percent: entry(0.5), digits: entry(2), digit: entry(0.001) },
      { upTo: entry(60), percent: entry(0.5), digits: entry(2), digit: entry(0.01) },
    ];
    const noise = voltsNoise(instrumentsOf(kit), 12);
    expect(noise.sigma(5)).toBeCloseTo((0.005 * 5 + 0.002) / Math.sqrt(3), 9);
    expect(noise.sigma(12)).toBeCloseTo((0.005 * 12 + 0.02) / Math.sqrt(3), 9);
  });
  test('an empty kit is the generic one; leads and OL limit show in a reading', () => {
    expect(instrumentsOf(genericKit())).toEqual(GENERIC_INSTRUMENTS);
    expect(thermometerSigmaK(genericKit())).toBe(1.5);
    expect(thermometerSigmaK({ ...genericKit(), thermometerK: entry(3) })).toBeCloseTo(Math.sqrt(3), 9);
    expect(thermometerSigmaK({ ...genericKit(), thermometer: 'infra-red' })).toBe(2.5);
    expect(instrumentsOf({ ...genericKit(), displayedK: entry(3) }).displayedK).toBeCloseTo(Math.sqrt(3), 9);
    const kit = genericKit();
    kit.meter.leadOhm = entry(0.4);
    kit.meter.overloadOhm = entry(2e6);
    const problem = problemWith([['loop-ohms', 1]], { instruments: instrumentsOf(kit) });
    const plain = problemWith([['loop-ohms', 1]]);
    const tests = candidateTests(problemWith([]), EVERYTHING_AT_HAND).filter((t) => t.measurement.id === 'loop-ohms');
    expect(healthyRanges(problem, tests)[0].low).toBeGreaterThan(healthyRanges(plain, tests)[0].low + 0.2);
    // 5 MΩ is OL on this meter: a reading of OL fits a sensor that is open by so much only.
    const a = assess(problemWith([['sensor-ohms', Infinity]], { instruments: instrumentsOf(kit) }));
    expect(a.suspects[0].fault).toBe('sensor-open');
  });
});
