import { describe, expect, test } from 'vitest';
import { coolantCircuit } from '../../../test/problems.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import { FAULTS } from '../../circuit/faults/list.ts';
import { LAYOUTS } from '../../base/units/vocabulary.ts';
import { codeFactors } from './codeFactors.ts';

const pulledDown = coolantCircuit({ layout: 'pull-down' });

describe('codes as readings of the module', () => {
  test('high speaks for an open under a pull-up, for a short in the mirrored layout', () => {
    const up = codeFactors(coolantCircuit(), 'high', 'present', 20);
    expect(up['sensor-open'] / up['sensor-short']).toBeGreaterThan(10);
    const down = codeFactors(pulledDown, 'high', 'present', 20);
    expect(down['sensor-short'] / down['sensor-open']).toBeGreaterThan(10);
    expect(down['return-open'] / down['signal-to-return']).toBeLessThan(0.5);
  });
  test('an open code is the same in every layout and for every slope', () => {
    for (const layout of LAYOUTS) {
      for (const curve of [coolantCircuit().curve, curveModel({ kind: 'platinum', r0Ohm: 1000 })]) {
        const { 'sensor-open': open, 'sensor-short': short } = codeFactors(
          coolantCircuit({ layout, curve }),
          'open',
          'present',
          20,
        );
        expect(open / short).toBeGreaterThan(10);
      }
    }
  });
  test('resistance bytes: too many ohms are an open, too few a short, in either layout', () => {
    for (const circuit of [coolantCircuit(), pulledDown]) {
      const high = codeFactors(circuit, 'ohms-high', 'present', 20);
      const low = codeFactors(circuit, 'ohms-low', 'present', 20);
      expect(high['sensor-open'] / high['sensor-short']).toBeGreaterThan(10);
      expect(low['sensor-short'] / low['sensor-open']).toBeGreaterThan(10);
    }
  });
  test('a range code speaks for what is believable but wrong', () => {
    const range = codeFactors(coolantCircuit(), 'range', 'present', 20);
    for (const fault of ['sensor-high', 'sensor-low', 'placement', 'signal-resistive'])
      for (const end of ['sensor-open', 'sensor-short', 'reference-missing', 'healthy'])
        expect(range[fault], `${fault} against ${end}`).toBeGreaterThan(3 * range[end]);
  });
  test('low or open and high or open take in both', () => {
    const lowOrOpen = codeFactors(coolantCircuit(), 'low-or-open', 'present', 20);
    expect(lowOrOpen['sensor-open']).toBeCloseTo(lowOrOpen['sensor-short'], 1);
    const highOrOpen = codeFactors(pulledDown, 'high-or-open', 'present', 20);
    expect(highOrOpen['sensor-open']).toBeCloseTo(highOrOpen['sensor-short'], 1);
  });
  test('the older and the less steady a code, the less it says; came back says most', () => {
    const span = (state: 'came-back' | 'present' | 'sporadic' | 'past'): number => {
      const f = codeFactors(coolantCircuit(), 'high', state, 20);
      return f['signal-open'] / f['sensor-short'];
    };
    expect(span('came-back')).toBeGreaterThan(span('present'));
    expect(span('present')).toBeGreaterThan(span('sporadic'));
    expect(span('sporadic')).toBeGreaterThan(span('past'));
    expect(span('past')).toBeGreaterThan(1.2);
    expect(codeFactors(coolantCircuit(), 'high', 'past', 20).healthy).toBeGreaterThan(1);
  });
  test('intermittent speaks for what comes and goes', () => {
    const f = codeFactors(coolantCircuit(), 'intermittent', 'present', 20);
    expect(f['signal-open']).toBeGreaterThan(f['sensor-open']);
    expect(f['sensor-open']).toBeGreaterThan(f.placement);
  });
  test('every fault of the layout has a factor, and their weighted mean is one', () => {
    for (const layout of LAYOUTS) {
      const factors = codeFactors(coolantCircuit({ layout }), 'circuit', 'present', 20);
      const possible = FAULTS.filter((f) => f.layouts.includes(layout));
      expect(Object.keys(factors).sort()).toEqual(possible.map((f) => f.id).sort());
      const weights = possible.reduce((s, f) => s + f.weight, 0);
      expect(possible.reduce((s, f) => s + (f.weight * factors[f.id]) / weights, 0)).toBeCloseTo(1, 9);
    }
  });
});
