import fc from 'fast-check';
import { expect, test } from 'vitest';
import { coolantCircuit } from '../../../test/problems.ts';
import { curveModel } from '../curves/curve.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { nominalState } from './sensorCircuit.ts';
import { SolvedCircuit } from './solvedCircuit.ts';
import { heavy } from './spread.ts';

test('tails: the core stands, far out it is so many times as wide; odd and rising', () => {
  expect(heavy(0.1, 1.3)).toBeCloseTo(0.1, 2);
  expect(heavy(1, 1.3)).toBeCloseTo(1 + 1.3 / 3.5, 12);
  expect(heavy(3, 1.3)).toBeCloseTo(6.052173913, 9);
  expect(heavy(50, 1.3) / 50).toBeCloseTo(2.3, 2);
  expect(heavy(2, 0)).toBe(2);
  fc.assert(
    fc.property(fc.double({ min: -6, max: 6, noNaN: true }), fc.double({ min: 0, max: 4, noNaN: true }), (u, tail) => {
      expect(heavy(-u, tail)).toBe(-heavy(u, tail));
      expect(heavy(u + 0.01, tail)).toBeGreaterThan(heavy(u, tail));
    }),
  );
});

test('a sound module shows the temperature of its sensor, whatever its input, layout and curve', () => {
  const platinum = curveModel({ kind: 'platinum', r0Ohm: 1000 });
  for (const layout of LAYOUTS) {
    for (const curve of [coolantCircuit().curve, platinum]) {
      for (const pullUpOhm of [1000, 100_000]) {
        const circuit = coolantCircuit({ layout, curve, wireMinOhm: 1e-3, wireMaxOhm: 1e-3 });
        for (const inputOhm of [3e5, 1e6, 1e9]) {
          const solved = new SolvedCircuit().set({ ...nominalState(circuit, 37, pullUpOhm), inputOhm });
          expect(solved.displayedC('sensor'), `${layout} ${curve.slope} ${pullUpOhm} ${inputOhm}`).toBeCloseTo(37, 1);
        }
      }
    }
  }
});

test('the ends of the scale are where they really are, and an open shows one of them whatever the input', () => {
  for (const inputOhm of [3e5, 1e9]) {
    const state = { ...nominalState(coolantCircuit(), 20, 2490), inputOhm, displayMinC: -43, displayMaxC: 159 };
    const solved = new SolvedCircuit().set(state);
    expect([solved.displayedC('open'), solved.displayedC('bridge')]).toEqual([-43, 159]);
  }
});
