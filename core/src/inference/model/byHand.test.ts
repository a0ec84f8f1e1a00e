import { describe, expect, test } from 'vitest';
import { coolantCircuit, problemWith } from '../../../test/problems.ts';
import { copyState, nominalState } from '../../circuit/network/sensorCircuit.ts';
import { heavy, YARD_SPREAD } from '../../circuit/network/spread.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import { FAULTS, faultById } from '../../circuit/faults/list.ts';
import { GENERIC_INSTRUMENTS } from '../../catalogue/kit/instruments.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import { normalCdf } from '../../base/numeric/normal.ts';
import { healthyRanges, plainTests } from './healthyRanges.ts';
import { hypothesesOf, INTERMITTENT_SHARE, settingOf, settingOfCircuit, weightedFaults } from './hypotheses.ts';
import { LatentSpace, UNKNOWN_PULL_UP } from './latent.ts';
import { displayedNoise, logMixture, neighbourNoise, ohmsNoise, voltsNoise } from './noise.ts';
import { overSizes } from './overSizes.ts';
import { noiseOf, Predictor } from './predictor.ts';
import { pooled, type PriorFactor } from './priorFactor.ts';
import { THERMOMETER_BLUNDER_SPREAD, UNMEASURED } from './problem.ts';
import { rememberedRanges } from './rememberedRanges.ts';
import { logWrongPin, slipsOf } from './slips.ts';
import { stretchesOf } from './stretches.ts';
import { symptomFactors } from './symptomFactors.ts';

const logNormal = (deviation: number, sigma: number): number =>
  -0.5 * (deviation / sigma) ** 2 - Math.log(sigma * Math.sqrt(2 * Math.PI));

describe('how readings scatter, by their formulas', () => {
  const meter = {
    ...GENERIC_INSTRUMENTS,
    volts: [
      { upTo: 6, relative: 0.01, absolute: 0.02 },
      { upTo: 60, relative: 0.01, absolute: 0.2, together: true as const },
    ],
    ohms: [{ upTo: Infinity, relative: 0.01, absolute: 0.5 }],
    displayedK: 1,
  } as typeof GENERIC_INSTRUMENTS;
  test('volts: by range; percent and digits as one limit where they belong together; a blunder is anything from −1 V to two above the battery', () => {
    const noise = voltsNoise(meter, 12);
    expect(noise.sigma(5)).toBeCloseTo(Math.hypot(0.05, 0.02), 12);
    expect(noise.sigma(6)).toBeCloseTo(Math.hypot(0.06, 0.02), 12);
    expect(noise.sigma(10)).toBeCloseTo(0.1 + 0.2, 12);
    expect(noise.sigma(-10)).toBeCloseTo(0.3, 12);
    expect(noise.sigma(100)).toBeCloseTo(1.2, 12);
    expect(noise.logGood(5.1, 5)).toBeCloseTo(logNormal(0.1, Math.hypot(0.05, 0.02)), 12);
    expect(noise.logBlunder(3)).toBeCloseTo(-Math.log(15), 12);
    expect(noise.draw(5, 2)).toBeCloseTo(5 + 2 * Math.hypot(0.05, 0.02), 12);
    expect([0, 0.5, 1].map((p) => noise.drawBlunder(p))).toEqual([-1, 6.5, 14]);
  });
  test('ohms: OL has chances of its own; a blunder is any order of magnitude', () => {
    const noise = ohmsNoise(meter);
    const span = Math.log(meter.meterOverloadOhm / 0.01);
    expect(noise.sigma(Infinity)).toBe(Infinity);
    expect(noise.logGood(2000, 1990)).toBeCloseTo(logNormal(10, Math.hypot(19.9, 0.5)), 9);
    expect(noise.logGood(Infinity, 2e6)).toBeCloseTo(Math.log(1e-4) - 2 * Math.log(10), 9);
    expect(noise.logGood(2e6, Infinity)).toBeCloseTo(Math.log(1e-4) - Math.log(2e6) - 2 * Math.log(10), 9);
    expect(noise.logGood(0.5, Infinity)).toBeCloseTo(Math.log(1e-4) - 2 * Math.log(20e6 / 0.5), 9);
    expect(noise.logBlunder(Infinity)).toBeCloseTo(Math.log(0.2), 12);
    expect(noise.logBlunder(100)).toBeCloseTo(Math.log(0.8 / span / 100), 12);
    expect(noise.logBlunder(0.01)).toBeCloseTo(Math.log(0.8 / span / 0.05), 12);
    expect(noise.residual(Infinity, 2e6)).toBeCloseTo(-(Math.log(10) / 0.05 + 4), 9);
    expect(noise.residual(2e6, Infinity)).toBeCloseTo(Math.log(10) / 0.05 + 4, 9);
    expect(noise.residual(Infinity, 0)).toBeGreaterThanOrEqual(-1e4);
    const scale = Math.hypot(20, 0.5) / 2000;
    expect(noise.residual(1000, 2000)).toBeCloseTo(Math.log(2) / scale, 9);
    // Where the scatter is as large as the figure, the plain deviation.
    expect(noise.residual(0, 1)).toBeCloseTo(1 / Math.hypot(0.01, 0.5), 9);
    expect(noise.residual(0, 2000)).toBeCloseTo(2000 / Math.hypot(20, 0.5), 9);
    expect([noise.draw(Infinity, 1), noise.draw(0.1, -9)]).toEqual([Infinity, 0]);
    expect(noise.draw(2000, 1)).toBeCloseTo(2000 + Math.hypot(20, 0.5), 9);
    expect(noise.drawBlunder(0.19)).toBe(Infinity);
    expect(noise.drawBlunder(0.2)).toBeCloseTo(0.01, 12);
    expect(noise.drawBlunder(1) / meter.meterOverloadOhm).toBeCloseTo(1, 9);
  });
  const display = { minC: -40, maxC: 150, resolutionC: 1, substituteC: 60, ratiometric: null };
  const own = Math.hypot(1, 1 / Math.sqrt(12));
  const noise = displayedNoise(meter, display, YARD_SPREAD);
  test('a displayed value: its own scatter and rounding; at an end, or what is substituted, a default now and then', () => {
    const anywhere = -Math.log(150 + 40 + 40);
    expect(noise.sigma(20)).toBeCloseTo(own, 12);
    expect(noise.logGood(21, 20)).toBeCloseTo(logNormal(1, own), 12);
    const atEnd = (v: number, p: number): number =>
      Math.log(0.97 * Math.exp(logNormal(v - p, own)) + 0.03 * 0.85 * Math.exp(anywhere));
    for (const p of [-40, -32, 140, 150, 60]) expect(noise.logGood(p + 1, p)).toBeCloseTo(atEnd(p + 1, p), 9);
    for (const p of [-30, 59, 61, 136]) expect(noise.logGood(p + 1, p)).toBeCloseTo(logNormal(1, own), 9);
    const end = (v: number, e: number, k: number): number => Math.exp(logNormal(v - e, Math.hypot(own, 1.5 * k)));
    for (const v of [20, -38, 149])
      expect(noise.logBlunder(v)).toBeCloseTo(
        Math.log(
          0.7 * Math.exp(anywhere) + 0.15 * (end(v, -40, YARD_SPREAD.lowEndK) + end(v, 150, YARD_SPREAD.highEndK)),
        ),
        9,
      );
    expect(noise.residual(20, 23)).toBeCloseTo(3 / own, 12);
    expect([noise.draw(20.4, 0), noise.draw(20.4, 1)]).toEqual([20, 21]);
    expect([noise.drawBlunder(0.14), noise.drawBlunder(0.86), noise.drawBlunder(0.5)]).toEqual([-40, 150, 55]);
    expect(noise.drawBlunder(0.15)).toBe(-60);
    expect(noise.drawBlunder(0.85)).toBe(170);
    const halves = displayedNoise(meter, { ...display, resolutionC: 0.5 }, YARD_SPREAD);
    expect(halves.draw(20.3, 0)).toBe(20.5);
  });
  test('a neighbour: four kelvin more, and one in twenty bad itself', () => {
    const of = neighbourNoise(meter, display, YARD_SPREAD);
    const wide = displayedNoise({ ...meter, displayedK: Math.hypot(1, 4) }, display, YARD_SPREAD);
    expect(of.sigma(20)).toBeCloseTo(wide.sigma(20), 12);
    for (const v of [20, 60, -40])
      expect(of.logGood(v, 22)).toBeCloseTo(
        Math.log(0.95 * Math.exp(wide.logGood(v, 22)) + 0.05 * Math.exp(wide.logBlunder(v))),
        9,
      );
  });
  test('a mixture that is one-sided is that side', () => {
    expect(logMixture(0, -31)).toBe(0);
    expect(logMixture(-31, 0)).toBe(0);
    expect(logMixture(-Infinity, -2)).toBe(-2);
    expect(logMixture(-2, -Infinity)).toBe(-2);
    expect(logMixture(0, 0)).toBeCloseTo(Math.LN2, 12);
    expect(logMixture(1, 3)).toBeCloseTo(Math.log(Math.E + Math.E ** 3), 12);
    expect(logMixture(3, 1)).toBeCloseTo(Math.log(Math.E + Math.E ** 3), 12);
  });
  test('which scatter a test has: a bath through the slope, another sensor by its tolerance, a bound by its range', () => {
    const problem = problemWith([], { instruments: meter });
    const of = (id: string, conditions = {}): number => noiseOf(problem, measurementById(id), conditions).sigma(600);
    const slope = Math.log(problem.circuit.curve.resistanceOhm(60.5) / problem.circuit.curve.resistanceOhm(59.5));
    expect(of('sensor-ohms')).toBeCloseTo(Math.hypot(6, 0.5), 12);
    expect(of('bench-ohms', { bathC: 60 })).toBeCloseTo(600 * Math.hypot(0.01, slope * meter.bathK, 0.5 / 600), 9);
    expect(of('off-ohms', { airC: 60, ownK: 3 })).toBeCloseTo(600 * Math.hypot(0.01, slope * 3, 0.5 / 600), 9);
    expect(of('known-good-ohms')).toBeCloseTo(600 * Math.hypot(0.01, problem.circuit.curve.toleranceLog, 0.5 / 600), 9);
    const bound = noiseOf(problem, measurementById('isolation-ground'), { aboveOhm: 1e6 });
    expect(bound.logGood(Infinity, 1.1e6)).toBe(0);
    expect(bound.logGood(Infinity, 0.9e6)).toBeLessThan(-8);
    expect(noiseOf(problem, measurementById('displayed'), {}).sigma(0)).toBeCloseTo(own, 12);
    expect(noiseOf(problem, measurementById('neighbour-displayed'), {}).sigma(0)).toBeGreaterThan(4);
    expect(noiseOf(problem, measurementById('open-voltage'), {}).sigma(5)).toBeCloseTo(Math.hypot(0.05, 0.02), 12);
  });
});

describe('slips', () => {
  test('of ohms, of temperatures, of volts', () => {
    const ohms = slipsOf(measurementById('sensor-ohms'), 3.6);
    expect(
      ohms.map((s) => [s.kind, Number(s.meant.toPrecision(9)), Number(Math.exp(s.logChance).toPrecision(9))]),
    ).toEqual([
      ['k-missed', 3600, 4],
      ['k-extra', 0.0036, 2e-6],
      ['range-up', 36, 0.01],
      ['range-down', 0.36, 1e-4],
    ]);
    for (const value of [Infinity, NaN, 0, -1]) expect(slipsOf(measurementById('sensor-ohms'), value)).toEqual([]);
    const warm = slipsOf(measurementById('displayed'), 68);
    expect(warm.map((s) => [s.kind, s.meant])).toEqual([
      ['was-fahrenheit', 20],
      ['was-celsius', 154.4],
    ]);
    expect(Math.exp(warm[0].logChance)).toBeCloseTo((0.002 * 5) / 9, 12);
    expect(Math.exp(warm[1].logChance)).toBeCloseTo((0.002 * 9) / 5, 12);
    expect(slipsOf(measurementById('open-voltage'), 5)).toEqual([]);
  });
  test('a wrong pin shows nothing, where the right one is live', () => {
    const of = (id: string, value: number): number => logWrongPin(measurementById(id), value);
    const live = Math.log(0.003 / 0.06);
    expect([of('open-voltage', 0), of('open-voltage', 0.03), of('open-voltage', -0.03)]).toEqual([live, live, live]);
    expect([of('open-voltage', 0.031), of('open-voltage', -0.031)]).toEqual([-Infinity, -Infinity]);
    expect(of('sensor-ohms', 0)).toBe(-Infinity);
    expect(of('return-drop', 0)).toBe(-Infinity);
  });
});

describe('where a fault may lie', () => {
  const circuit = coolantCircuit({ connectors: 2 });
  const at = (measurement: string, conditions: object) => ({ measurement, conditions });
  test('the whole way, until a reading on it parts it; shares by the weights', () => {
    const weights = { signal: [1, 2, 3, 4, 5, 6, 7], return: [1, 1, 1, 1, 1, 1, 1], leak: [2, 0, 0, 0, 0, 0, 2] };
    const own = { ...circuit, placeWeights: weights };
    expect(stretchesOf(own, []).signal).toEqual([{ from: 0, to: 7, share: 1, name: '' }]);
    const parted = stretchesOf(own, [
      at('connector-voltage', { wire: 'signal', position: 1 }),
      at('connector-voltage', { wire: 'signal', position: 1, side: 'sensor' }),
    ]);
    expect(parted.signal.map((s) => [s.from, s.to, Number((28 * s.share).toFixed(9)), s.name])).toEqual([
      [0, 2, 3, 'between module and connector 1'],
      [2, 3, 3, 'in connector 1'],
      [3, 7, 22, 'between connector 1 and sensor plug'],
    ]);
    expect(parted.return).toHaveLength(1);
    expect(stretchesOf(own, [at('parted-voltage', { position: 2 })]).leak.map((s) => [s.from, s.to, s.share])).toEqual([
      [0, 4, 0.5],
      [4, 7, 0.5],
    ]);
    const middle = stretchesOf(own, [
      at('connector-voltage', { wire: 'signal', position: 1, side: 'sensor' }),
      at('connector-voltage', { wire: 'signal', position: 2 }),
    ]);
    expect(middle.signal.map((s) => s.name)[1]).toBe('between connector 1 and connector 2');
    // A point at either end parts nothing.
    expect(
      stretchesOf({ ...circuit, connectors: 0 }, [at('connector-voltage', { wire: 'signal', position: 9 })]).signal,
    ).toHaveLength(1);
    const shared = stretchesOf({ ...circuit, connectors: 0, shares: 'return' }, [
      at('neighbour-displayed', { airC: 20 }),
    ]);
    expect(shared.return.map((s) => s.name)).toEqual(['in the part that is shared', 'in its own part']);
  });
  test('what the faults may know: layout, other curves, whether a neighbour is the question', () => {
    expect(settingOfCircuit(circuit).neighbours).toBe(false);
    for (const shares of ['reference', 'both'] as const)
      expect(settingOfCircuit({ ...circuit, shares }).neighbours).toBe(true);
    for (const shares of ['return', 'nothing', 'unknown'] as const)
      expect(settingOfCircuit({ ...circuit, shares }).neighbours).toBe(false);
    expect(settingOfCircuit(circuit, [at('reference-alone', {})]).neighbours).toBe(true);
    expect(settingOfCircuit(circuit, [at('open-voltage', {})]).neighbours).toBe(false);
    expect(settingOfCircuit(circuit).curveKnown).toBe(true);
    expect(settingOfCircuit({ ...circuit, curve: curveModel({ kind: 'unknown' }) }).curveKnown).toBe(false);
  });
});

describe('hypotheses', () => {
  const shares = (id: string, ...args: Parameters<typeof problemWith>) => {
    const problem = problemWith(...args);
    return hypothesesOf(faultById(id), settingOf(problem), problem);
  };
  const total = (list: readonly { logShare: number }[]): number =>
    list.reduce((sum, h) => sum + Math.exp(h.logShare), 0);
  test('one way where nothing can tell; two kinds of converter where the reference is off and something is displayed, unless it is known', () => {
    expect(shares('sensor-high', [['sensor-ohms', 2000]])).toHaveLength(1);
    expect(shares('reference-high', [['displayed', 20]]).map((h) => h.ratiometric)).toEqual([true, false]);
    expect(shares('reference-high', [['open-voltage', 5]]).map((h) => h.ratiometric)).toEqual([true]);
    // A fault that does not part the reference from what the module takes it for looks the same with either.
    expect(shares('sensor-high', [['displayed', 20]]).map((h) => h.ratiometric)).toEqual([true]);
    const known = coolantCircuit({ display: { ...coolantCircuit().display, ratiometric: false } });
    expect(shares('reference-high', [['displayed', 20]], { circuit: known }).map((h) => h.ratiometric)).toEqual([
      false,
    ]);
    expect(shares('sensor-high', []).map((h) => h.ratiometric)).toEqual([true]);
  });
  test('in one state only, where more than one was read: a fifth of the weight, evenly', () => {
    const list = shares('sensor-high', [
      ['sensor-ohms', 2000],
      ['sensor-ohms', 300, {}, 'hot'],
    ]);
    expect(list.map((h) => [h.onlyIn, Number(Math.exp(h.logShare).toFixed(9))])).toEqual([
      [null, 1 - INTERMITTENT_SHARE],
      ['steady', INTERMITTENT_SHARE / 2],
      ['hot', INTERMITTENT_SHARE / 2],
    ]);
    expect(
      shares('healthy', [
        ['sensor-ohms', 2000],
        ['sensor-ohms', 300, {}, 'hot'],
      ]),
    ).toHaveLength(1);
    expect(shares('sensor-high', [['sensor-ohms', 300, {}, 'hot']])).toHaveLength(1);
  });
  test('each curve that may be, by its share; all shares sum to one', () => {
    const circuit = coolantCircuit({ curve: curveModel({ kind: 'unknown' }) });
    const list = shares('sensor-high', [['sensor-ohms', 2000]], { circuit });
    expect(list.map((h) => [h.curve.slope, Number(Math.exp(h.logShare).toFixed(9))])).toEqual([
      ['ntc', 0.85],
      ['ptc', 0.15],
    ]);
    for (const { id } of FAULTS)
      expect(
        total(
          shares(
            id,
            [
              ['displayed', 20],
              ['displayed', 80, {}, 'hot'],
            ],
            { circuit },
          ),
        ),
        id,
      ).toBeCloseTo(1, 9);
  });
  test('weights with their factors, of the faults of this layout, sum to one', () => {
    const plain = weightedFaults(problemWith([]));
    expect(plain.reduce((sum, f) => sum + f.weight, 0)).toBeCloseTo(1, 12);
    const of = (list: typeof plain, id: string): number => list.find((f) => f.fault.id === id)?.weight ?? 0;
    const doubled = weightedFaults(problemWith([], { factors: { 'sensor-open': 2 } }));
    expect(
      of(doubled, 'sensor-open') / of(doubled, 'sensor-short') / (of(plain, 'sensor-open') / of(plain, 'sensor-short')),
    ).toBeCloseTo(2, 12);
    const oneWire = weightedFaults(problemWith([], { circuit: coolantCircuit({ layout: 'one-wire' }) }));
    expect(oneWire.every((f) => f.fault.layouts.includes('one-wire'))).toBe(true);
    expect(oneWire.length).not.toBe(plain.length);
  });
});

describe('the unknowns of a circuit, each by its own formula', () => {
  const problem = problemWith([['displayed', 20]]);
  const space = new LatentSpace(problem);
  const at = (name: string, u: number, of = space, index = 0) => {
    const point = new Float64Array(of.dimension);
    const places = of.names.flatMap((n, k) => (n === name ? [k] : []));
    point[places[index]] = u;
    const state = nominalState(problem.circuit, 0, 1);
    copyState(of.state(point, 'steady', true, of.scratch()), state);
    return state;
  };
  test('their names, in order', () => {
    expect(space.names).toEqual([
      ...[
        'given pull-up',
        'reference',
        'pull-up tolerance',
        'sensor tolerance',
        'ground',
        'signal wire',
        'return wire',
        'supply',
      ],
      ...['module input', 'low end', 'high end', 'curve form', 'temperature'],
    ]);
    expect([...Array(space.dimension).keys()].filter((k) => space.displayedOnly(k)).map((k) => space.names[k])).toEqual(
      ['low end', 'high end'],
    );
  });
  test('middle values, and one and two σ out', () => {
    const s = YARD_SPREAD;
    const wire = (u: number): number => 0.05 * Math.pow(30, normalCdf(u));
    for (const u of [-2, 0, 1]) {
      expect(at('reference', u).referenceV).toBeCloseTo(
        5 * Math.exp(s.reference * heavy(u, s.referenceTails[u < 0 ? 0 : 1])),
        12,
      );
      // A module knows the reference and the pull-up it has; the part itself is sorted to 1 %.
      expect(at('reference', u).nominalReferenceV).toBe(at('reference', u).referenceV);
      const given = at('given pull-up', u);
      expect(given.nominalPullUpOhm).toBeCloseTo(2490 * Math.exp(s.pullUpGiven * heavy(u, s.tail)), 9);
      expect(given.pullUpOhm).toBeCloseTo(given.nominalPullUpOhm, 9);
      expect(at('pull-up tolerance', u).pullUpOhm).toBeCloseTo(2490 * Math.exp(0.005 * u), 9);
      expect(at('pull-up tolerance', u).nominalPullUpOhm).toBe(2490);
      expect(at('sensor tolerance', u).sensorFactor).toBeCloseTo(Math.exp(0.025 * u), 12);
      expect(at('ground', u).groundOffsetV).toBeCloseTo(s.groundV * heavy(u, s.tail), 12);
      expect(at('signal wire', u).signalOhm).toBeCloseTo(wire(u), 12);
      expect(at('return wire', u).returnOhm).toBeCloseTo(wire(u), 12);
      expect(at('supply', u).supplyV).toBeCloseTo(12.6 + s.supplyV * heavy(u, s.tail), 12);
      expect(at('module input', u).inputOhm / (3e5 * Math.pow(1000, normalCdf(u)))).toBeCloseTo(1, 12);
      expect(at('low end', u).displayMinC).toBeCloseTo(-40 + s.lowEndK * heavy(u, s.tail), 12);
      expect(at('high end', u).displayMaxC).toBeCloseTo(150 + s.highEndK * heavy(u, s.tail), 12);
      expect(at('curve form', u).formError).toBe(u);
      expect(at('temperature', u).temperatureC).toBeCloseTo(12 + heavy(u, s.tail), 12);
    }
    expect(at('temperature', 0).ratiometric).toBe(true);
  });
  test('what is told wider or not at all', () => {
    const told = new LatentSpace({ ...problem, thermometers: { steady: { readC: 20, sigmaK: 2, halfWidthK: 5 } } });
    expect(at('temperature', 1, told).temperatureC).toBeCloseTo(
      20 + 2 * heavy(1, YARD_SPREAD.tail) + 5 * (2 * normalCdf(1) - 1),
      12,
    );
    const none = new LatentSpace({ ...problem, thermometers: {} });
    expect(at('temperature', 1, none).temperatureC).toBeCloseTo(UNMEASURED.readC + UNMEASURED.sigmaK, 9);
    const circuit = coolantCircuit({ pullUpOhm: null, hotPullUpOhm: 350, switchRatio: 0.2 });
    const open = new LatentSpace({ ...problem, circuit });
    const { minOhm, maxOhm } = UNKNOWN_PULL_UP;
    const learned = at('pull-up', -1, open);
    expect(learned.nominalPullUpOhm / (minOhm * Math.pow(maxOhm / minOhm, normalCdf(-1)))).toBeCloseTo(1, 12);
    expect(learned.pullUpOhm).toBeCloseTo(learned.nominalPullUpOhm, 9);
    expect(at('pull-up tolerance', 1, open).hotPullUpOhm).toBeCloseTo(350 * Math.exp(YARD_SPREAD.pullUp), 9);
    const exact = { ...YARD_SPREAD, inputMaxOhm: YARD_SPREAD.inputMinOhm, lowEndK: 0 };
    const fewer = new LatentSpace({
      ...problem,
      circuit: coolantCircuit({ spread: exact, curve: curveModel({ kind: 'platinum', r0Ohm: 200 }) }),
    });
    expect(fewer.names).not.toContain('module input');
    expect(fewer.names).not.toContain('low end');
    expect(fewer.names).not.toContain('curve form');
    const level = new LatentSpace({
      ...problem,
      circuit: coolantCircuit({
        curve: curveModel({ kind: 'band', slope: 'ntc', bands: [{ temperatureC: 20, lowOhm: 2000, highOhm: 3000 }] }),
      }),
    });
    expect(at('curve level', 1.5, level).levelU).toBe(1.5);
    expect(new LatentSpace(problem, true).secondSize).toBe(space.dimension - 1);
    expect(space.secondSize).toBe(-1);
  });
  test('a state of its own for what was read hot; moved about, the steady one', () => {
    const both = new LatentSpace(
      problemWith(
        [
          ['displayed', 20],
          ['displayed', 80, {}, 'hot'],
          ['displayed', 20, {}, 'wiggling'],
        ],
        { thermometers: { steady: { readC: 20, sigmaK: 1 }, hot: { readC: 80, sigmaK: 1 } } },
      ),
    );
    const point = new Float64Array(both.dimension);
    const places = both.names.flatMap((n, k) => (n === 'temperature' ? [k] : []));
    expect(places).toHaveLength(2);
    point[places[0]] = 1;
    point[places[1]] = -1;
    const of = (state: 'steady' | 'hot' | 'wiggling'): number =>
      both.state(point, state, true, both.scratch()).temperatureC;
    expect([of('steady'), of('hot'), of('wiggling')]).toEqual([
      20 + heavy(1, YARD_SPREAD.tail),
      80 + heavy(-1, YARD_SPREAD.tail),
      20 + heavy(1, YARD_SPREAD.tail),
    ]);
  });
  test('only what moved is worked out again, and a scratch is its own', () => {
    const fresh = new LatentSpace(problem);
    const point = new Float64Array(fresh.dimension);
    const a = fresh.state(point, 'steady', true, fresh.scratch());
    const reference = fresh.names.indexOf('reference');
    point[reference] = 1;
    const b = fresh.state(point, 'steady', false, fresh.scratch());
    point[reference] = 0;
    const c = fresh.state(point, 'steady', true, fresh.scratch());
    expect(b.referenceV).toBeGreaterThan(a.referenceV);
    expect(b.ratiometric).toBe(false);
    expect(c).toEqual(a);
  });
  test('a thermometer that may be read wrong: its prior is a narrow and a wide normal', () => {
    const S = THERMOMETER_BLUNDER_SPREAD;
    const b = problem.instruments.blunder;
    const density = (u: number, s: number): number => Math.exp(-0.5 * (u / s) ** 2) / s;
    const last = space.dimension - 1;
    for (const u of [0, 2, 6]) {
      const point = new Float64Array(space.dimension);
      point[last] = u;
      const wide = b * density(u, S);
      const narrow = (1 - b) * density(u, 1);
      expect(space.logPriorRatio(point)).toBeCloseTo(Math.log((wide + narrow) / density(u, 1)), 9);
      expect(space.thermometerBlunder(point)).toBeCloseTo(wide / (wide + narrow), 9);
      const trusted = narrow / (wide + narrow);
      expect(space.precision(last, u)).toBeCloseTo(trusted + (1 - trusted) / S ** 2, 9);
    }
    expect(space.precision(0, 5)).toBe(1);
    expect([space.doubtedVariance(0), space.doubtedVariance(last)]).toEqual([1, S * S]);
    const out = new Float64Array(space.dimension);
    space.draw(
      (k) => k,
      () => 1,
      out,
    );
    expect([...out]).toEqual([...out.keys()]);
    space.draw(
      (k) => k,
      () => 0,
      out,
    );
    expect(out[last]).toBe(last * S);
    expect(out[0]).toBe(0);
    // Nobody read one: nothing can be read wrong.
    const none = new LatentSpace({ ...problem, thermometers: {} });
    const far = new Float64Array(none.dimension).fill(5);
    expect([none.logPriorRatio(far), none.thermometerBlunder(far), none.precision(none.dimension - 1, 5)]).toEqual([
      0, 0, 1,
    ]);
  });
});

describe('predictions and their likelihood', () => {
  const problem = problemWith([
    ['displayed', 68],
    ['sensor-ohms', 3.6],
    ['open-voltage', 0],
    ['displayed', 80, {}, 'hot'],
  ]);
  const predictor = new Predictor(problem);
  const [hypothesis] = hypothesesOf(faultById('healthy'), settingOf(problem), problem);
  const u = new Float64Array(predictor.latent.dimension);
  test('every reading in its own state; displayed ones alone', () => {
    const out = new Float64Array(4).fill(NaN);
    predictor.predictDisplayed(hypothesis, 0.5, u, out);
    expect([...out].map(Number.isNaN)).toEqual([false, true, true, false]);
    predictor.predict(hypothesis, 0.5, u, out);
    problem.readings.forEach((r, i) => {
      const solved = predictor.solvedAt(hypothesis, 0.5, u, r.state);
      expect(out[i]).toBe(measurementById(r.measurement).predict(solved, r.conditions));
      expect(predictor.residualOf(hypothesis, 0.5, u, i)).toBe(predictor.readings[i].noise.residual(r.value, out[i]));
    });
    const residuals = new Float64Array(4);
    predictor.residuals(out, residuals);
    expect([...residuals]).toEqual([0, 1, 2, 3].map((i) => predictor.residualOf(hypothesis, 0.5, u, i)));
    expect(predictor.displayed).toEqual([0, 3]);
  });
  test('the likelihood is that of met, slipped, wrong pin and blunder together; each has its share', () => {
    const predictions = Float64Array.of(20, 3590, 5, 80);
    const b = problem.instruments.blunder;
    const parts = predictor.readings.map(({ measurement, value, noise, slips }, i) => [
      (1 - b) * Math.exp(noise.logGood(value, predictions[i])),
      ...slips.map((s) => Math.exp(s.logChance + noise.logGood(s.meant, predictions[i]))),
      Math.exp(logWrongPin(measurement, value)),
      b * Math.exp(noise.logBlunder(value)),
    ]);
    const sums = parts.map((p) => p.reduce((x, y) => x + y, 0));
    expect(predictor.logLikelihood(predictions)).toBeCloseTo(
      sums.reduce((s, v) => s + Math.log(v), 0),
      6,
    );
    parts.forEach((p, i) => {
      const out = new Float64Array(p.length);
      predictor.explanations(i, predictions[i], out);
      p.forEach((v, k) => expect(out[k]).toBeCloseTo(v / sums[i], 9));
    });
    // 68 where 20 is predicted was °F; 3.6 where 3 590 is predicted missed its k; 0 V where 5 are was another pin.
    const out = new Float64Array(7);
    predictor.explanations(1, 3590, out);
    expect(out[1]).toBeGreaterThan(0.95);
  });
  test('a fault that is there in one state only, and a second one', () => {
    const open = hypothesesOf(faultById('sensor-high'), settingOf(problem), problem);
    const hot = open.find((h) => h.onlyIn === 'hot')!;
    const ohm = (h: typeof hot, state: 'steady' | 'hot'): number => predictor.solvedAt(h, 1, u, state).sensorOhm;
    expect(ohm(hot, 'hot') / ohm(hypothesis, 'hot')).toBeCloseTo(30, 9);
    expect(ohm(hot, 'steady')).toBeCloseTo(ohm(hypothesis, 'steady'), 9);
    predictor.solvedAt(open[0], 1, u, 'steady');
    expect(predictor.lastSize).toBeCloseTo(30, 9);
    expect(predictor.lastPullUpOhm).toBe(2490);
    const pairs = new Predictor(problem, true);
    const v = new Float64Array(pairs.latent.dimension);
    v[pairs.latent.secondSize] = 0;
    const [branch] = faultById('ground-offset').branches(settingOf(problem));
    const both = pairs.solvedAt({ ...open[0], second: { branch, from: 0.2, to: 0.6 } }, 1, v, 'steady');
    expect(pairs.lastSecondSize).toBeCloseTo(0.15 + 1.85 * 0.4, 6);
    expect(both.state.groundOffsetV).toBeCloseTo(0.15 + 1.85 * 0.4, 6);
  });
  test('where a fit of an unknown curve sets out: the level each resistance asks for, the middle one first', () => {
    const curve = curveModel({ kind: 'unknown' });
    const starts = (...readings: Parameters<typeof problemWith>[0][number][]): number[] => {
      const of = new Predictor(
        problemWith(readings, {
          circuit: coolantCircuit({ curve }),
          thermometers: { steady: { readC: 25, sigmaK: 1 } },
        }),
      );
      const k = of.latent.names.indexOf('curve level');
      return of.startsOf({ curve }).map((s) => Number(s[k].toFixed(6)));
    };
    const level = (ohm: number): number => Number((Math.log(ohm / 4500) / 1.4).toFixed(6));
    expect(starts(['open-voltage', 5])).toEqual([0]);
    expect(starts(['sensor-ohms', 9000])).toEqual([level(9000)]);
    expect(starts(['sensor-ohms', 9000], ['sensor-ohms', 9100])).toEqual([level(9100)]);
    expect(starts(['sensor-ohms', 9000], ['sensor-ohms', 1000], ['sensor-ohms', 20_000])).toEqual([
      level(9000),
      level(1000),
      level(20_000),
    ]);
    expect(starts(['sensor-ohms', Infinity])).toEqual([0]);
    // Never further out than two and a half σ.
    expect(starts(['sensor-ohms', 1e9])).toEqual([2.5]);
    const known = new Predictor(problemWith([['sensor-ohms', 9000]]));
    expect([...known.start(known.problem.circuit)]).toEqual(Array(known.latent.dimension).fill(0));
  });
});

describe('before any reading', () => {
  test('the mean of a figure over the sizes of each fault, branches by their shares', () => {
    const circuit = coolantCircuit();
    const means = overSizes(circuit, 25, (solved) => solved.state.sensorFactor);
    expect(means.healthy).toBe(1);
    const sizes = [0.05, 0.15, 0.25, 0.35, 0.45, 0.55, 0.65, 0.75, 0.85, 0.95];
    expect(means['sensor-high']).toBeCloseTo(
      sizes.reduce((s, p) => s + (1.12 * Math.pow(30 / 1.12, p)) / 10, 0),
      9,
    );
    expect(Object.keys(means).sort()).toEqual(
      FAULTS.filter((f) => f.layouts.includes('pull-up'))
        .map((f) => f.id)
        .sort(),
    );
    const drift = overSizes(circuit, 25, (solved) => solved.state.pullUpOhm / 2490)['pull-up-drift'];
    const mean = (low: number, high: number): number =>
      sizes.reduce((s, p) => s + (low * Math.pow(high / low, p)) / 10, 0);
    expect(drift).toBeCloseTo(0.4 * mean(0.3, 0.85) + 0.6 * mean(1.18, 5), 9);
    expect(overSizes({ ...circuit, pullUpOhm: null }, 25, (_, sound) => sound.state.pullUpOhm).healthy).toBeCloseTo(
      2000,
      9,
    );
  });
  test('a complaint: three times where it reads that way, half where it does not', () => {
    const cold = symptomFactors(coolantCircuit(), 'cold', 20);
    const hot = symptomFactors(coolantCircuit(), 'hot', 20);
    expect(cold['sensor-open']).toBeCloseTo(3, 6);
    expect(hot['sensor-open']).toBeCloseTo(0.5, 6);
    expect(hot['sensor-short']).toBeCloseTo(3, 6);
    expect(hot.healthy).toBeCloseTo(1, 6);
  });
  test('what is told is pooled: it may raise a fault thirtyfold at most; what is set by hand or learned stands as it is', () => {
    const factor = (source: PriorFactor['source'], ratios: Record<string, number>): PriorFactor => ({
      source,
      name: '',
      ratios,
    });
    expect(pooled([])).toEqual({});
    // One mild hint is nearly itself.
    const one = pooled([factor('finding', { a: 2 })]);
    expect(one.a).toBeGreaterThan(1.6);
    expect(one.a).toBeLessThanOrEqual(2);
    const many = pooled([
      factor('finding', { a: 100, b: 0.01 }),
      factor('code', { a: 100, b: 0.01 }),
      factor('symptom', { a: 10 }),
    ]);
    expect(many.a / many.b).toBeLessThanOrEqual(30.001);
    expect(many.a).toBeGreaterThan(many.b);
    expect(pooled([factor('by-hand', { a: 500 })])).toEqual({ a: 500 });
    expect(pooled([factor('experience', { a: 500 }), factor('by-hand', { a: 2, b: 3 })])).toEqual({ a: 1000, b: 3 });
    expect(pooled([factor('finding', { a: 2 }), factor('by-hand', { a: 10 })]).a).toBeCloseTo(10 * one.a, 9);
    // By the formula: drawn towards the highest, and against what is not named.
    const L = Math.log(30);
    const drawn = (r: number, most: number): number =>
      Math.exp(Math.log(most) - L * (1 - Math.exp(Math.log(r / most) / L)));
    expect(one.a).toBeCloseTo(drawn(2, 2) / drawn(1, 2), 12);
    const low = pooled([factor('finding', { a: 0.1 })]);
    expect(low.a).toBeCloseTo(drawn(0.1, 1) / drawn(1, 1), 12);
  });
  test('healthy ranges are remembered by the circuit’s key; what is missing is added', () => {
    const problem = problemWith([]);
    const tests = plainTests(problem);
    expect(
      tests.every(
        (t) => t.measurement.needs.length === 0 && t.measurement.layouts.includes('pull-up') && t.state === 'steady',
      ),
    ).toBe(true);
    const ranges = rememberedRanges();
    const direct = healthyRanges(problem, tests.slice(0, 3));
    expect(ranges('k', problem, tests.slice(0, 3))).toEqual(direct);
    const again = ranges('k', problem, [tests[3], tests[1]]);
    expect(again[1]).toBe(ranges('k', problem, [tests[1]])[0]);
    expect(again[1]).toEqual(direct[1]);
    expect(again[0]).toEqual(healthyRanges(problem, [tests[3]])[0]);
    const other = problemWith([], { circuit: coolantCircuit({ referenceV: 3.3 }) });
    const volts = tests.filter((t) => t.measurement.id === 'open-voltage');
    expect(ranges('k', problem, volts)[0].high).toBeGreaterThan(4.9);
    expect(ranges('other', other, volts)[0].high).toBeLessThan(3.8);
    // The same test in another state is another range.
    const bath = (bathC: number) => ({
      measurement: measurementById('bench-ohms'),
      conditions: { bathC },
      state: 'steady' as const,
    });
    const [warm, cold] = ranges('other', other, [bath(60), bath(0)]);
    expect(cold.low).toBeGreaterThan(warm.high);
  });
});
