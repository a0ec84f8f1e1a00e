import { expect, test } from 'vitest';
import { beta } from '../../circuit/curves/beta.ts';
import { conformanceProbability, judgeResistance } from './judgeResistance.ts';

test('measured without error a value is inside or not; the limits are inside', () => {
  expect([0.9, 1, 1.5, 2, 2.1].map((v) => conformanceProbability(v, 0, 1, 2))).toEqual([0, 1, 1, 1, 0]);
  expect(conformanceProbability(1, 0.1, 1, 2)).toBeCloseTo(0.5, 6);
  // One σ outside either limit: 15.87 % of the normal distribution.
  expect(conformanceProbability(0.9, 0.1, 1, 2)).toBeCloseTo(0.158655, 5);
  expect(conformanceProbability(2.1, 0.1, 1, 2)).toBeCloseTo(0.158655, 5);
});

const CURVE = beta.model({ kind: 'beta', r25Ohm: 2000, betaK: 3600 });
const judged = (ohm: number, temperatureC = 25) => judgeResistance(CURVE, temperatureC, 0.3, ohm, 5, 0.05);

test('accepted from 95 % on, rejected to 5 %, open between; each side of both', () => {
  const at = (probability: number): number => {
    // The resistance above the middle at which the part conforms with this probability, by halving.
    let [low, high] = [2000, 2400];
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2;
      const found = judged(middle);
      if (found.ok && found.probability > probability) low = middle;
      else high = middle;
    }
    return low;
  };
  const decision = (ohm: number) => {
    const found = judged(ohm);
    return found.ok ? found.decision : null;
  };
  expect([decision(at(0.95) - 0.1), decision(at(0.95) + 0.1)]).toEqual(['accept', 'open']);
  expect([decision(at(0.05) - 0.1), decision(at(0.05) + 0.1)]).toEqual(['open', 'reject']);
});

test('beyond the ends of the curve nothing is judged; at them it is', () => {
  const { minC, maxC } = CURVE;
  expect(judged(2000, minC - 0.1)).toEqual({ ok: false, reason: 'outside-curve', minC, maxC });
  expect(judged(2000, maxC + 0.1)).toEqual({ ok: false, reason: 'outside-curve', minC, maxC });
  expect([judged(2000, minC).ok, judged(2000, maxC).ok]).toEqual([true, true]);
});

test('what the module shows is off by what the resistance means, through the slope of the curve', () => {
  const found = judged(2000 * 1.1);
  if (!found.ok) throw new Error('judged');
  expect(found.errorK).toBeCloseTo(1 / (1 / 298.15 + Math.log(1.1) / 3600) - 298.15, 6);
  // d ln R / dT = −B/T² at the temperature that it means.
  const slope = 3600 / (298.15 + found.errorK) ** 2;
  expect(found.errorSigmaK).toBeCloseTo(Math.hypot(0.3, 5 / (2200 * slope)), 4);
  expect(found.sigmaOhm).toBeCloseTo(Math.hypot(5, (2000 * 0.3 * 3600) / 298.15 ** 2), 2);
  expect(found.tolerance).toEqual({ low: 1900, high: 2100 });
});
