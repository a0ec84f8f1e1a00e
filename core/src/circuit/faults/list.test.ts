import { describe, expect, test } from 'vitest';
import { coolantCircuit } from '../../../test/problems.ts';
import { otherCommonCurves } from '../../catalogue/parts/curves.ts';
import { SolvedCircuit } from '../network/solvedCircuit.ts';
import { nominalState } from '../network/sensorCircuit.ts';
import type { Conditions } from '../measurements/measurement.ts';
import { MEASUREMENTS } from '../measurements/list.ts';
import { faultById, FAULTS } from './list.ts';

const circuit = coolantCircuit({ connectors: 2 });
const conditions: Conditions = { substituteOhm: 1000, bathC: 60, wire: 'signal', position: 1 };
const setting = {
  layout: 'pull-up' as const,
  stretches: {
    signal: [
      { from: 0, to: 3, share: 0.4, name: 'before' },
      { from: 3, to: 7, share: 0.6, name: 'beyond' },
    ],
    return: [{ from: 0, to: 7, share: 1, name: '' }],
    leak: [{ from: 0, to: 7, share: 1, name: '' }],
  },
  otherCurves: otherCommonCurves(circuit.curve),
  curveKnown: true,
  noticed: { wireOhm: 15, leakOhm: 1e5 },
  neighbours: true,
};

describe.each(FAULTS.map((f) => [f.id, f] as const))('fault %s', (id, fault) => {
  const branches = fault.branches(setting);

  test('is listed once, with a weight, a repair and branches that share it out', () => {
    expect(FAULTS.filter((f) => f.id === id)).toHaveLength(1);
    expect(faultById(id)).toBe(fault);
    expect(fault.weight).toBeGreaterThan(0);
    expect(fault.repair.length).toBeGreaterThan(20);
    expect(branches.reduce((sum, b) => sum + b.share, 0)).toBeCloseTo(1, 12);
  });

  test('sizes run from one end to the other, and every reading under it is a figure or OL', () => {
    const solved = new SolvedCircuit();
    for (const layout of fault.layouts) {
      for (const branch of branches) {
        const sizes = [0, 0.25, 0.5, 0.75, 1].map((position) => {
          const state = nominalState({ ...circuit, layout }, 12, 2490);
          const size = branch.apply(state, position);
          solved.set(state);
          for (const m of MEASUREMENTS.filter((x) => x.layouts.includes(layout))) {
            const value = m.predict(solved, conditions);
            expect(value, `${m.id} under ${id}`).not.toBeNaN();
            if (m.quantity !== 'ohms') expect(Number.isFinite(value), `${m.id} under ${id}`).toBe(true);
            else expect(value).toBeGreaterThanOrEqual(0);
          }
          return size;
        });
        const steps = sizes.slice(1).map((size, i) => Math.sign(size - sizes[i]));
        if (branch.sized)
          expect([
            [1, 1, 1, 1],
            [-1, -1, -1, -1],
          ]).toContainEqual(steps);
        else expect(new Set(sizes).size).toBe(1);
      }
    }
  });

  test('changes some reading noticeably, unless it is "healthy"', () => {
    const solved = new SolvedCircuit();
    const healthy = MEASUREMENTS.map((m) => m.predict(solved.set(nominalState(circuit, 12, 2490)), conditions));
    const changed = branches.some((branch) => {
      const state = nominalState(circuit, 12, 2490);
      branch.apply(state, 0.6);
      solved.set(state);
      return MEASUREMENTS.some(
        (m, i) => Math.abs(m.predict(solved, conditions) - healthy[i]) > 0.02 * (1 + Math.abs(healthy[i])),
      );
    });
    expect(changed).toBe(id !== 'healthy');
  });
});

test('default weights: each group has its share of the prior', () => {
  const total = FAULTS.reduce((sum, f) => sum + f.weight, 0);
  expect(total).toBeGreaterThan(1);
  expect(total, 'the weights sum to about one: what a new fault takes, another gives').toBeLessThan(1.2);
});

test('an unknown id is a programmer’s mistake', () => {
  expect(() => faultById('gremlin')).toThrow('faultById');
});
