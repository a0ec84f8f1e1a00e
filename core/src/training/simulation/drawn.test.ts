import { describe, expect, test } from 'vitest';
import { coolantCircuit, problemWith } from '../../../test/problems.ts';
import { CATALOGUE_CIRCUITS } from '../../catalogue/parts/circuits.ts';
import { placeWeightsOf } from '../../circuit/network/placeWeights.ts';
import { FAULTS } from '../../circuit/faults/list.ts';
import { canStandTogether } from '../../circuit/faults/together.ts';
import { GENERIC_INSTRUMENTS } from '../../catalogue/kit/instruments.ts';
import { EVENT_KINDS } from '../../intake/logs/finding.ts';
import { USUAL_ENDS } from '../../intake/logs/events/ends.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import type { Conditions } from '../../circuit/measurements/measurement.ts';
import { noiseOf } from '../../inference/model/predictor.ts';
import { eventLog, samePlanted } from './eventLog.ts';
import { shifts } from './shifts.ts';
import { simulateCase, withReadings } from './simulateCase.ts';
import { simulatePair } from './simulatePair.ts';
import { soundCircuit } from './soundCircuit.ts';
import { YARD_ROWS, yardCase as drawnCase, type YardRow } from './yardCase.ts';

const planned = (id: string, conditions: Conditions = {}) => ({
  measurement: measurementById(id),
  conditions,
  state: 'steady' as const,
});
/** Cases that several tests look at are drawn once. */
const drawn = new Map<string, ReturnType<typeof drawnCase>>();
function yardCase(...of: Parameters<typeof drawnCase>): ReturnType<typeof drawnCase> {
  const key = of.join();
  const found = drawn.get(key) ?? drawnCase(...of);
  drawn.set(key, found);
  return found;
}
const SEEDS = Array.from({ length: 250 }, (_, i) => i);
const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;
const share = <T>(list: readonly T[], is: (x: T) => boolean): number => mean(list.map((x) => Number(is(x))));

describe('the yard’s cases', () => {
  const value = (seed: number, row: YardRow, id: string): number | undefined =>
    yardCase(seed, row, 9).problem.readings.find((r) => r.measurement === id)?.value;
  test('same seed, same case; nine readings cold, of eighteen the last two hot; told at half degrees', () => {
    for (const row of YARD_ROWS)
      expect(drawnCase(7, row, 18).problem.readings).toEqual(drawnCase(7, row, 18).problem.readings);
    const { problem } = yardCase(7, 'reference', 18);
    expect(problem.readings).toHaveLength(18);
    expect(problem.readings.map((r) => r.state)).toEqual([...Array<string>(16).fill('steady'), 'hot', 'hot']);
    expect(problem.readings.slice(-2).map((r) => r.measurement)).toEqual(['displayed', 'sensor-ohms']);
    expect(yardCase(7, 'reference', 9).problem.readings.every((r) => r.state === 'steady')).toBe(true);
    for (const seed of SEEDS.slice(0, 60)) {
      const { steady, hot } = yardCase(seed, 'reference', 9).problem.thermometers;
      expect(Number.isInteger(2 * steady!.readC)).toBe(true);
      expect(steady!.readC).toBeGreaterThan(-3);
      expect(steady!.readC).toBeLessThan(35);
      expect(hot!.readC).toBeGreaterThan(55);
      expect(hot!.readC).toBeLessThan(100);
    }
  });
  test('faults come by their weights', () => {
    const drawn = SEEDS.map((seed) => yardCase(seed, 'reference', 1).fault);
    const total = FAULTS.reduce((sum, f) => sum + f.weight, 0);
    for (const id of ['healthy', 'sensor-open', 'sensor-high'])
      expect(Math.abs(share(drawn, (f) => f.id === id) - FAULTS.find((f) => f.id === id)!.weight / total)).toBeLessThan(
        0.06,
      );
  });
  test('a reference anywhere from 0.96 to 1.06 where the row is about it, else one per cent', () => {
    const offs = (row: YardRow): number[] =>
      SEEDS.flatMap((seed) => {
        const { fault, problem } = yardCase(seed, row, 14);
        const read = problem.readings.find((r) => r.measurement === 'neighbour-reference')?.value;
        return fault.group === 'sensor' && read !== undefined ? [read / problem.circuit.referenceV - 1] : [];
      }).sort((a, b) => a - b);
    const [wide, narrow] = [offs('reference'), offs('module input')];
    expect(wide.length).toBeGreaterThan(30);
    const middle = wide.slice(Math.floor(0.03 * wide.length), Math.ceil(0.97 * wide.length));
    expect(middle[0]).toBeGreaterThan(-0.06);
    expect(middle.at(-1)!).toBeLessThan(0.08);
    expect(mean(middle)).toBeCloseTo(0.01, 1);
    expect(share(wide, (v) => Math.abs(v) > 0.035)).toBeGreaterThan(0.2);
    expect(share(narrow, (v) => Math.abs(v) > 0.035)).toBeLessThan(0.05);
  });
  test('a slip is one figure of the same case: a thousandth, or °F for °C; in all together in three of ten', () => {
    let slipped = 0;
    for (const seed of SEEDS.slice(0, 50)) {
      const [plain, with_] = (['codes and findings', 'slips'] as const).map(
        (row) => yardCase(seed, row, 9).problem.readings,
      );
      const differs = plain.flatMap((r, i) => (Object.is(r.value, with_[i].value) ? [] : [i]));
      expect(differs.length).toBeLessThanOrEqual(1);
      for (const i of differs) {
        const { quantity } = measurementById(plain[i].measurement);
        expect(quantity).not.toBe('volts');
        expect(with_[i].value).toBe(
          quantity === 'celsius' ? Math.round((plain[i].value * 9) / 5 + 32) : plain[i].value / 1000,
        );
        slipped++;
      }
    }
    // −40 °C are −40 °F, and nothing is a thousandth of nothing.
    expect(slipped).toBeGreaterThan(30);
  });
  test('a module that shows something instead of the end of its scale: in two of three cases, and nobody was told', () => {
    const unplugged = (seed: number, row: YardRow): number | undefined =>
      yardCase(seed, row, 9).problem.readings.find((r) => r.measurement === 'displayed-unplugged')?.value;
    const instead: boolean[] = [];
    for (const seed of SEEDS) {
      const { substituteC, substitutes, minC, maxC } = yardCase(seed, 'substitute unknown', 1).problem.circuit.display;
      expect([substituteC, substitutes! > 0]).toEqual([null, true]);
      // The same case where the module shows the end itself.
      const plain = unplugged(seed, 'curve not known');
      if (plain === undefined || ![minC, maxC].includes(plain)) continue;
      const shown = unplugged(seed, 'substitute unknown')!;
      instead.push(shown !== plain);
      if (shown !== plain) expect([0, 20, 25, 40, 60, 80]).toContain(Math.round(shown / 5) * 5);
    }
    expect(instead.length).toBeGreaterThan(60);
    expect(share(instead, (is) => is)).toBeGreaterThan(0.5);
    expect(share(instead, (is) => is)).toBeLessThan(0.82);
  });
  test('a thermometer on a pipe or aimed at bare metal reads towards the surroundings, and is told as what it is', () => {
    const shown = (row: YardRow) => SEEDS.map((seed) => yardCase(seed, row, 1).problem.thermometers.hot!);
    const real = SEEDS.map((seed) => yardCase(seed, 'reference', 1).problem.thermometers.hot!.readC);
    const low = (row: YardRow): number[] => shown(row).map(({ readC }, i) => real[i] - readC);
    // Hot metal: always too low but for a kelvin or three, and on bare metal by tens of kelvin.
    expect(Math.min(...low('bad contact'))).toBeGreaterThan(-6);
    expect(Math.max(...low('bad contact'))).toBeGreaterThan(12);
    expect(Math.max(...low('bad contact'))).toBeLessThan(30);
    expect(Math.max(...low('infra-red on metal'))).toBeGreaterThan(40);
    for (const row of ['bad contact', 'infra-red on metal'] as const)
      for (const { readC, upK, downK } of shown(row)) if (readC > 30) expect(upK!).toBeGreaterThan(downK!);
  });
  test('a pull-up from a list: the module’s own is another, but it knows it, so a sound display stays right', () => {
    const off = (row: YardRow): number[] =>
      SEEDS.flatMap((seed) => {
        const { problem, fault } = yardCase(seed, row, 3);
        const { circuit, readings } = problem;
        if (fault.id !== 'healthy' || circuit.layout !== 'pull-up') return [];
        const [shown] = readings;
        return shown.measurement === 'displayed' ? [Math.abs(shown.value - problem.thermometers.steady!.readC)] : [];
      });
    expect(mean(off('typical pull-up'))).toBeLessThan(mean(off('reference')) + 0.7);
    const volts = (row: YardRow): number[] =>
      SEEDS.flatMap((seed) => {
        const { problem, fault } = yardCase(seed, row, 4);
        const loaded = problem.readings.find((r) => r.measurement === 'loaded-voltage')?.value;
        return fault.id === 'healthy' && loaded ? [loaded] : [];
      });
    const apart = volts('typical pull-up').map((v, i) => v / volts('module input')[i] - 1);
    expect(mean(apart.map(Math.abs))).toBeGreaterThan(0.003);
  });
  test('what comes with heat is not there cold, and the last readings are hot', () => {
    for (const seed of SEEDS.slice(0, 60)) {
      const { problem, fault } = yardCase(seed, 'intermittent', 9);
      expect(['healthy', 'placement', 'sensor-wrong-type', 'sensor-low']).not.toContain(fault.id);
      expect(problem.comesAndGoes).toEqual(['hot']);
      const hot = problem.readings.filter((r) => r.state === 'hot').map((r) => r.measurement);
      expect(hot).toEqual(['displayed', 'loaded-voltage', 'sensor-ohms'].slice(-hot.length));
      const cold = problem.readings.find((r) => r.measurement === 'sensor-ohms' && r.state === 'steady');
      if (fault.id === 'sensor-open' && cold) expect(cold.value).toBeLessThan(1e7);
    }
  });
  test('a temperature that is told is a range of six to sixteen degrees in seven of ten, and holds the truth', () => {
    const told = SEEDS.map((seed) => yardCase(seed, 'told temperature', 1).problem.thermometers.steady!);
    expect(share(told, (t) => t.halfWidthK !== undefined)).toBeCloseTo(0.7, 1);
    for (const { readC, sigmaK, halfWidthK } of told) {
      if (halfWidthK === undefined) continue;
      expect(halfWidthK).toBeGreaterThanOrEqual(3);
      expect(halfWidthK).toBeLessThanOrEqual(8);
      expect(Number.isInteger(readC)).toBe(true);
      expect(sigmaK).toBe(1);
    }
    const exact = SEEDS.map((seed) => yardCase(seed, 'thermometer', 1).problem.thermometers.steady!);
    expect(exact.every((t) => t.halfWidthK === undefined)).toBe(true);
    // Off by three kelvin at most in its row, by one (1σ) elsewhere: against the same seed told exactly.
    const apart = SEEDS.map(
      (seed, i) => exact[i].readC - yardCase(seed, 'reference', 1).problem.thermometers.steady!.readC,
    );
    expect(Math.max(...apart.map(Math.abs))).toBeLessThan(4.5);
    expect(mean(apart)).toBeCloseTo(0, 0);
  });
  test('a specification of one line is a band of a fifth around what may be 15 % off; a curve not known is none', () => {
    for (const seed of SEEDS.slice(0, 15)) {
      const plain = yardCase(seed, 'reference', 1).problem.circuit.curve;
      const band = yardCase(seed, 'specification of one line', 1).problem.circuit.curve;
      const off = band.resistanceOhm(20) / plain.resistanceOhm(20) / Math.sqrt(0.96);
      expect(off).toBeGreaterThanOrEqual(0.85);
      expect(off).toBeLessThanOrEqual(1.15);
      expect(band.slope).toBe(plain.slope);
      // Half of a band of 0.8 … 1.2 in ln, with its soft edges.
      expect(band.level!(50) - 0.03 * 50).toBeCloseTo(Math.log(1.5) / 2, 6);
      expect(yardCase(seed, 'curve not known', 1).problem.circuit.curve.alternatives).toHaveLength(2);
      expect(plain.alternatives).toBeUndefined();
    }
    const all = SEEDS.slice(0, 100).map((seed) => yardCase(seed, 'all together', 1).problem.circuit.curve);
    expect(Math.abs(share(all, (c) => c.alternatives !== undefined) - 0.1)).toBeLessThan(0.07);
    expect(Math.abs(share(all, (c) => c.alternatives === undefined && c.level !== undefined) - 0.25)).toBeLessThan(0.1);
  });
  test('codes and findings are told in their row only; wiring looks bad more often where it is', () => {
    expect(SEEDS.every((seed) => Object.keys(yardCase(seed, 'reference', 1).problem.factors).length === 0)).toBe(true);
    const cases = SEEDS.slice(0, 80).map((seed) => yardCase(seed, 'codes and findings', 1));
    const told = (c: (typeof cases)[number]): boolean => Object.keys(c.problem.factors).length > 0;
    const open = cases.filter((c) => ['sensor-open', 'signal-open', 'sensor-short'].includes(c.fault.id));
    const sound = cases.filter((c) => c.fault.id === 'healthy');
    expect(share(open, told)).toBeGreaterThan(0.85);
    expect(share(sound, told)).toBeLessThan(0.45);
    expect(
      share(
        cases.filter((c) => c.fault.group === 'wiring'),
        told,
      ),
    ).toBeGreaterThan(
      share(
        cases.filter((c) => c.fault.id === 'placement'),
        told,
      ),
    );
  });
  test('one reading in a hundred is a blunder: a sound circuit’s volts lie where they should but for those', () => {
    const reads = SEEDS.flatMap((seed) => {
      const { fault, problem } = yardCase(seed, 'module input', 9);
      if (fault.id !== 'healthy') return [];
      const { layout, referenceV } = problem.circuit;
      const open = problem.readings.find((r) => r.measurement === 'open-voltage')?.value;
      return layout === 'pull-up' && open !== undefined ? [open / referenceV] : [];
    });
    expect(reads.length).toBeGreaterThan(8);
    expect(share(reads, (v) => Math.abs(v - 1) < 0.06)).toBeGreaterThan(0.9);
  });
  test('a sound circuit has nine usual readings within what nobody calls a fault', () => {
    for (const seed of SEEDS.slice(0, 100)) {
      const { circuit, readings, thermometers } = soundCircuit(seed, 9);
      expect(readings).toHaveLength(9);
      expect(soundCircuit(seed, 4).readings).toEqual(readings.slice(0, 4));
      const of = (id: string): number => readings.find((r) => r.measurement === id)!.value;
      expect(of('open-voltage') / circuit.referenceV).toBeGreaterThan(0.93);
      expect(of('open-voltage') / circuit.referenceV).toBeLessThan(1.09);
      const ohm = of('sensor-ohms');
      const c = circuit.curve.temperatureC(ohm);
      expect(Math.abs(c - thermometers.steady!.readC)).toBeLessThan(circuit.curve.slope === 'ntc' ? 6 : 25);
      expect(Math.abs(of('displayed') - thermometers.steady!.readC)).toBeLessThan(
        circuit.curve.slope === 'ntc' ? 9 : 40,
      );
      expect(of('supply-to-return') / circuit.supplyV).toBeCloseTo(1, 0);
    }
    expect(value(3, 'reference', 'no such test')).toBeUndefined();
  });
});

describe('cases of the model', () => {
  test('drawn anew by each seed, from the catalogue’s circuits with a pull-up, at 2 … 30 °C', () => {
    const cases = SEEDS.slice(0, 120).map((seed) => simulateCase(seed));
    const names = new Set(
      CATALOGUE_CIRCUITS.filter((c) => c.layout === 'pull-up' && c.pullUpOhm !== null).map((c) => c.name),
    );
    for (const c of cases) {
      expect(names.has(c.circuitName)).toBe(true);
      const { readC } = c.problem.thermometers.steady!;
      expect(Number.isInteger(readC) && readC >= 2 && readC <= 30).toBe(true);
      expect(c.problem.circuit.layout).toBe('pull-up');
      expect(c.element).toBeNull();
    }
    expect(new Set(cases.map((c) => c.circuitName)).size).toBeGreaterThan(5);
    expect(Math.max(...cases.map((c) => c.problem.thermometers.steady!.readC))).toBeGreaterThan(26);
    expect(Math.min(...cases.map((c) => c.problem.thermometers.steady!.readC))).toBeLessThan(6);
    expect(share(cases, (c) => c.blunders.includes('thermometer'))).toBeLessThan(0.06);
  });
  test('sizes lie where the fault has them, and readings follow the truth within their noise but for blunders', () => {
    let [near, all] = [0, 0];
    for (const seed of SEEDS.slice(0, 150)) {
      const one = simulateCase(seed);
      if (one.fault === 'sensor-high') {
        expect(one.size).toBeGreaterThanOrEqual(1.12);
        expect(one.size).toBeLessThanOrEqual(30);
      }
      if (one.fault === 'healthy') expect(one.size).toBeNaN();
      const test = planned('open-voltage');
      const [first, second] = [one.take(test), one.take(test)];
      const noise = noiseOf(one.problem, test.measurement, {});
      all++;
      if (Math.abs(first - second) < 6 * noise.sigma(first)) near++;
    }
    expect(near / all).toBeGreaterThan(0.95);
    expect(near / all).toBeLessThan(1);
    const { readings } = withReadings(simulateCase(4), [planned('displayed'), planned('bench-ohms', { bathC: 60 })]);
    expect(readings.map((r) => [r.id, r.measurement, r.conditions, r.state])).toEqual([
      ['r0', 'displayed', {}, 'steady'],
      ['r1', 'bench-ohms', { bathC: 60 }, 'steady'],
    ]);
  });
  test('on a loom the fault lies at one element, by the weights', () => {
    const circuit = coolantCircuit({
      connectors: 2,
      placeWeights: { signal: [0, 0, 1, 0, 3, 0, 0], return: [0, 0, 0, 0, 0, 0, 1], leak: [1, 0, 0, 0, 0, 0, 0] },
    });
    const cases = Array.from({ length: 500 }, (_, seed) => simulateCase(seed, circuit));
    const at = (fault: string): (number | null)[] => cases.filter((c) => c.fault === fault).map((c) => c.element);
    expect(new Set(at('signal-open'))).toEqual(new Set([2, 4]));
    expect(share(at('signal-open'), (e) => e === 4)).toBeGreaterThan(0.6);
    expect(new Set(at('return-open'))).toEqual(new Set([6]));
    expect(new Set(at('signal-to-ground'))).toEqual(new Set([0]));
    expect(new Set(at('sensor-open'))).toEqual(new Set([null]));
    expect(cases[0].circuitName).toBe('given');
    expect(placeWeightsOf(circuit)).toBe(circuit.placeWeights);
  });
});

describe('two faults', () => {
  const problem = problemWith([]);
  const tests = [planned('open-voltage'), planned('sensor-ohms')];
  test('something shows at five σ of the larger scatter, or by OL against a figure', () => {
    const sigma = noiseOf(problem, tests[0].measurement, {}).sigma(5);
    const of = (one: number[], other: number[]): boolean => shifts(problem, tests, one, other);
    expect(of([5, 2000], [5, 2000])).toBe(false);
    expect(of([5, 2000], [5 - 4.9 * sigma, 2000])).toBe(false);
    expect(of([5, 2000], [5 - 5.1 * sigma, 2000])).toBe(true);
    expect(of([5, 2000], [5, Infinity])).toBe(true);
    expect(of([5, Infinity], [5, 2000])).toBe(true);
    expect(of([5, Infinity], [5, Infinity])).toBe(false);
    const ohms = noiseOf(problem, tests[1].measurement, {});
    expect(of([5, 2000], [5, 2000 + 5.5 * ohms.sigma(2000)])).toBe(true);
    expect(of([5, 2000], [5, 2000 + 4.5 * ohms.sigma(2000)])).toBe(false);
  });
  test('are drawn so that they can stand together, the readings those of both', () => {
    for (const seed of [1, 2, 3]) {
      const pair = simulatePair(seed, () => tests);
      expect(canStandTogether(...pair.faults)).toBe(true);
      expect(pair.problem.readings.map((r) => r.measurement)).toEqual(['open-voltage', 'sensor-ohms']);
      expect(simulatePair(seed, () => tests).problem.readings).toEqual(pair.problem.readings);
    }
  });
});

describe('made-up logs', () => {
  const logs = Array.from({ length: 40 }, (_, seed) => eventLog(seed, 4));
  test('are of 900 … 3 500 samples at even times, shown in the step of their display, within its ends', () => {
    for (const { timeS, values, quantity } of logs) {
      expect(timeS.length).toBeGreaterThanOrEqual(900);
      expect(timeS.length).toBeLessThanOrEqual(3500);
      const step = timeS[1];
      expect([0.05, 0.1, 0.2, 0.5, 1, 2].some((s) => Math.abs(s - step) < 1e-12)).toBe(true);
      expect(timeS.at(-1)!).toBeCloseTo(step * (timeS.length - 1), 6);
      const quantum = [1, 0.1, 0.005, 0.001].find((q) =>
        values.every((v) => Math.abs(v / q - Math.round(v / q)) < 1e-6),
      );
      expect(quantum).toBeDefined();
      const ends = USUAL_ENDS[quantity];
      const beyond = 0.05 * (ends.high - ends.low);
      expect(Math.min(...values)).toBeGreaterThan(ends.low - beyond - 3);
      expect(Math.max(...values)).toBeLessThan(ends.high + beyond + 3);
    }
    expect(new Set(logs.map((l) => l.quantity))).toEqual(new Set(['celsius', 'volts']));
    expect(eventLog(5, 4)).toEqual(logs[5]);
  });
  test('hold what is said to be planted, in order, and nothing where nothing is', () => {
    expect(eventLog(3, 0).planted).toEqual([]);
    const all = logs.flatMap((l) => l.planted.map((p) => ({ ...p, log: l })));
    expect(new Set(all.map((p) => p.kind))).toEqual(new Set(EVENT_KINDS));
    for (const { planted } of logs) {
      expect(planted.length).toBeLessThanOrEqual(4);
      expect(planted.map((p) => p.fromS)).toEqual(planted.map((p) => p.fromS).sort((a, b) => a - b));
    }
    for (const { kind, fromS, toS, log } of all) {
      expect(toS).toBeGreaterThanOrEqual(fromS);
      const { timeS, values, quantity } = log;
      const within = [...timeS.keys()].filter((i) => timeS[i] >= fromS - 1e-9 && timeS[i] <= toS + 1e-9);
      const shown = within.map((i) => values[i]);
      const ends = USUAL_ENDS[quantity];
      const away = ends.high - ends.low;
      if (kind === 'step') expect(toS).toBe(fromS);
      if (kind === 'stuck') expect(new Set(shown).size).toBe(1);
      if (kind === 'stuck' || kind === 'noise') expect(within.length).toBeGreaterThanOrEqual(38);
      if (kind === 'spike') expect(within.length).toBeLessThanOrEqual(160);
      if (kind === 'drop-out')
        for (const v of shown) expect(v < ends.low + 0.06 * away || v > ends.high - 0.06 * away, `${fromS}`).toBe(true);
      if (kind === 'rate') {
        expect(quantity).toBe('celsius');
        expect(Math.abs(shown.at(-1)! - shown[0])).toBeGreaterThan(4);
      }
    }
  });
  test('an event is the planted one where kind and place agree, give or take', () => {
    const planted = { kind: 'step' as const, fromS: 10, toS: 12 };
    const at = (fromS: number, toS: number, kind: 'step' | 'spike' = 'step') =>
      samePlanted(planted, { kind, fromS, toS }, 1);
    expect([at(13, 14), at(8, 9), at(11, 11)]).toEqual([true, true, true]);
    expect([at(13.1, 14), at(7, 8.9), at(11, 11, 'spike')]).toEqual([false, false, false]);
  });
});

test('the instruments of a case are those it is given', () => {
  const instruments = { ...GENERIC_INSTRUMENTS, blunder: 0.5 };
  const one = simulateCase(3, coolantCircuit(), { instruments, thermometerK: 4 });
  expect(one.problem.thermometers.steady!.sigmaK).toBe(4);
  expect(one.problem.instruments).toBe(instruments);
  for (let i = 0; i < 60; i++) one.take(planned('open-voltage'));
  const blunders = one.blunders.filter((b) => b === 'open-voltage').length;
  expect(blunders).toBeGreaterThan(15);
  expect(blunders).toBeLessThan(45);
});
