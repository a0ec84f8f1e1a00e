import { describe, expect, test } from 'vitest';
import { coolantCircuit, problemWith } from '../../../test/problems.ts';
import { elementsOf } from '../../circuit/network/chain.ts';
import { STRANDS, usualWeights } from '../../circuit/network/placeWeights.ts';
import type { SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import { posteriorOf } from '../../inference/posterior/posterior.ts';
import { groupProbabilities } from '../../inference/verdict/assessment.ts';
import { placeAdvice, SURE } from './placeAdvice.ts';
import { placeShares } from './placeShares.ts';
import { usualReach } from './harnessReach.ts';

type Readings = Parameters<typeof problemWith>[0];
/** A return of some 15 kΩ: the sensor is good, 5 V are there, plugged in the signal stands too high. */
const BAD_RETURN: Readings = [
  ['sensor-ohms', 3500],
  ['open-voltage', 5],
  ['loaded-voltage', 4.4],
];
const OPEN_SIGNAL: Readings = [
  ['sensor-ohms', 3500],
  ['open-voltage', 0.002],
  ['supply-to-return', 12.6],
  ['displayed', -40],
];
const LEAK: Readings = [
  ['sensor-ohms', 3500],
  ['displayed', 48],
  ['open-voltage', 1.6],
  ['supply-to-return', 12.6],
  ['isolation-ground', 1200],
];
const adviceOn = (readings: Readings, change: Partial<SensorCircuit> = {}) => {
  const circuit = coolantCircuit({ connectors: 3, ...change });
  const posterior = posteriorOf(problemWith(readings, { circuit }));
  return { posterior, advice: placeAdvice(posterior, usualReach(circuit.connectors)) };
};
const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

describe('where it lies', () => {
  test('without a reading on the way the places have their prior shares; with `elsewhere` they are one', () => {
    const { posterior, advice } = adviceOn(BAD_RETURN);
    expect(advice.strand).toBe('return');
    const prior = usualWeights(3).return;
    advice.shares.return.forEach((share, e) =>
      expect(share / advice.probability).toBeCloseTo(prior[e] / sum(prior), 9),
    );
    expect(sum(STRANDS.map((s) => sum(advice.shares[s]))) + advice.elsewhere).toBeCloseTo(1, 9);
    const wiring = groupProbabilities(posterior.faults).find((g) => g.group === 'wiring')!.probability;
    const offset = posterior.faults.find((f) => f.fault.id === 'ground-offset')!.probability;
    const small = posterior.faults.filter((f) => f.draws.length === 0).reduce((s, f) => s + f.probability, 0);
    expect(Math.abs(1 - advice.elsewhere - (wiring - offset))).toBeLessThan(small + 1e-9);
    expect(advice.shares.return).toHaveLength(elementsOf(3));
  });

  test('a reading on the way leaves one side; two sides of a connector leave its contact', () => {
    const beyond = adviceOn([
      ...BAD_RETURN,
      ['connector-voltage', 0.004, { wire: 'return', position: 2, side: 'module' }],
    ]);
    expect(sum(beyond.advice.shares.return.slice(0, 4))).toBeLessThan(0.02);
    const contact = adviceOn([
      ...BAD_RETURN,
      ['connector-voltage', 0.004, { wire: 'return', position: 2, side: 'module' }],
      ['connector-voltage', 3.6, { wire: 'return', position: 2, side: 'sensor' }],
    ]);
    expect(contact.advice.shares.return[4]).toBeGreaterThan(SURE);
    expect(contact.advice.known).toEqual({ from: 4, to: 5 });
    expect(contact.advice.next).toBeNull();
    // The drop over the contact says the same in one reading.
    const drop = adviceOn([...BAD_RETURN, ['contact-drop', 3.59, { wire: 'return', position: 2 }]]);
    expect(drop.advice.known).toEqual({ from: 4, to: 5 });
    // And none of it makes more or less of the fault itself.
    expect(contact.advice.probability).toBeGreaterThan(0.97);
  });

  test('the next reading parts them, says what each outcome leaves, and never lies there already', () => {
    const { advice } = adviceOn(BAD_RETURN);
    const next = advice.next!;
    expect(next.measurement).toBe('connector-voltage');
    expect(next.conditions.wire).toBe('return');
    const [towardsModule, towardsSensor] = next.outcomes;
    expect(towardsModule.probability + towardsSensor.probability).toBeCloseTo(1, 9);
    expect([towardsModule.from, towardsModule.to, towardsSensor.to]).toEqual([0, towardsSensor.from, elementsOf(3)]);
    // On the module's side of a bad return there is ground, beyond it some 3.6 V: what loaded volts less the sensor's share leave.
    expect(towardsSensor.shows.high).toBeLessThan(0.1);
    expect(towardsModule.shows.low).toBeGreaterThan(3);
    expect(next.bits).toBeGreaterThan(0.5);
    expect(next.expected.best).toBeLessThanOrEqual(Math.min(next.expected.endToEnd, next.expected.middle) + 1e-9);
    const { position, side } = next.conditions;
    const again = adviceOn([
      ...BAD_RETURN,
      ['connector-voltage', 0.004, { wire: 'return', position: position!, side: side! }],
    ]);
    expect([again.advice.next?.conditions.position, again.advice.next?.conditions.side]).not.toEqual([position, side]);
  });

  test('an open signal wire: volts up to the break, none beyond', () => {
    const { advice } = adviceOn(OPEN_SIGNAL);
    expect(advice.strand).toBe('signal');
    const [before, beyond] = advice.next!.outcomes;
    expect(before.shows.high).toBeLessThan(0.5);
    expect(beyond.shows.low).toBeGreaterThan(4.5);
    const left = adviceOn([
      ...OPEN_SIGNAL,
      ['connector-voltage', 5.0, { wire: 'signal', position: 3, side: 'sensor' }],
    ]);
    expect(sum(left.advice.shares.signal.slice(7))).toBeGreaterThan(0.97 * left.advice.probability);
  });

  test('a leak is parted off: where the volts come back, it lies beyond', () => {
    const { advice } = adviceOn(LEAK);
    expect(advice.strand).toBe('leak');
    expect(advice.next!.measurement).toBe('parted-voltage');
    const [before, beyond] = advice.next!.outcomes;
    expect(before.shows.high).toBeLessThan(2);
    expect(beyond.shows.low).toBeGreaterThan(4.4);
    const gone = adviceOn([...LEAK, ['parted-voltage', 5, { wire: 'signal', position: 1 }]]);
    expect(sum(gone.advice.shares.leak.slice(0, 2))).toBeLessThan(0.02);
    const there = adviceOn([...LEAK, ['parted-voltage', 1.6, { wire: 'signal', position: 1 }]]);
    expect(there.advice.known).toEqual({ from: 0, to: 2 });
  });

  test('a joint of a few ohms moves no volts that a meter tells: ohms to the connector are proposed instead', () => {
    const small: Readings = [
      ['sensor-ohms', 3480],
      ['open-voltage', 5],
      ['return-drop', 0.0645],
      ['return-wire-ohms', 78],
    ];
    const volts = adviceOn(small);
    expect(volts.advice.strand).toBe('return');
    expect(volts.advice.next!.measurement).toBe('connector-voltage');
    const signal: Readings = [
      ['sensor-ohms', 3480],
      ['open-voltage', 5],
      ['signal-wire-ohms', 62],
    ];
    const ohms = adviceOn(signal);
    expect(ohms.advice.strand).toBe('signal');
    expect(ohms.advice.next!.measurement).toBe('connector-ohms');
    expect(ohms.advice.next!.outcomes[1].shows.low).toBeGreaterThan(30);
    expect(ohms.advice.profile).toBeNull();
  });

  test('nothing is asked where wiring does not lead, without connectors, or before the first reading', () => {
    for (const { advice } of [
      adviceOn([
        ['sensor-ohms', Infinity],
        ['open-voltage', 5],
      ]),
      adviceOn(BAD_RETURN, { connectors: 0 }),
      adviceOn([]),
    ])
      expect([advice.next, advice.known, advice.profile]).toEqual([null, null, null]);
  });

  test('own weights count: what is known of a place draws the search there', () => {
    const weights = usualWeights(3);
    const wet = weights.return.map((w, e) => (e === 6 ? 30 * w : w));
    const { advice } = adviceOn(BAD_RETURN, { placeWeights: { ...weights, return: wet } });
    expect(advice.shares.return[6]).toBeGreaterThan(0.7);
    expect(advice.next!.conditions.position).toBe(3);
  });

  test('the ranking of faults is the same however finely the way is parted', () => {
    const whole = placeShares(posteriorOf(problemWith(BAD_RETURN, { circuit: coolantCircuit({ connectors: 0 }) })));
    const parted = placeShares(posteriorOf(problemWith(BAD_RETURN, { circuit: coolantCircuit({ connectors: 6 }) })));
    for (const strand of STRANDS) expect(sum(parted.shares[strand])).toBeCloseTo(sum(whole.shares[strand]), 9);
  });
});

describe('what circuits share', () => {
  const told = (readings: Readings, shares: SensorCircuit['shares'] = 'both') => {
    const posterior = posteriorOf(problemWith(readings, { circuit: coolantCircuit({ shares }) }));
    const of = (id: string): number => posterior.faults.find((f) => f.fault.id === id)!.probability;
    const groups = Object.fromEntries(groupProbabilities(posterior.faults).map((g) => [g.group, g.probability]));
    return { of, groups, advice: placeAdvice(posterior, usualReach(0)) };
  };
  const cold: Readings = [['displayed', -40]];
  const neighbour = (shown: number): Readings[number] => ['neighbour-displayed', shown, { airC: 20 }];
  test('three at the cold end lead to the shared return in two readings', () => {
    const both = told([...cold, neighbour(-40), neighbour(-40)]);
    expect(both.of('return-open') + both.of('return-resistive')).toBeGreaterThan(0.9);
    // And to its shared part: before the wires part.
    expect(both.advice.shares.return[2]).toBeLessThan(0.05);
  });
  test('a neighbour that reads right clears what is shared; one that shares nothing says nothing', () => {
    const alone = told(cold);
    const right = told([...cold, neighbour(20)]);
    expect(right.of('return-open')).toBeLessThan(alone.of('return-open'));
    expect(right.of('sensor-open')).toBeGreaterThan(alone.of('sensor-open'));
    const nothing = told([...cold, neighbour(20)], 'nothing');
    expect(nothing.of('sensor-open')).toBeCloseTo(told(cold, 'nothing').of('sensor-open'), 1);
  });
  test('both at the hot end: the reference they share; a single neighbour may be bad itself', () => {
    const hot = told([['displayed', 150], neighbour(150)]);
    expect(hot.groups.reference).toBeGreaterThan(0.9);
    expect(told([['displayed', 12], neighbour(-40)]).groups.healthy).toBeGreaterThan(0.2);
  });
});
