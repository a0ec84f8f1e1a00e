import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { chooseFit } from '../../circuit/curves/chooseFit.ts';
import { pointFaultText } from '../../wording/pointText.ts';
import { MAX_POINTS, readPoints } from './readPoints.ts';

describe('a table as it is pasted', () => {
  const pairs = [
    [0, 9000],
    [25, 2800],
  ];
  test.each([
    ['T,R\n0,9000\n25,2800\n', pairs],
    ['25;2,8k\n0;9 000\n', pairs],
    ['Temp (°F)\tR (kΩ)\n32\t9\n77\t2.8\n', pairs],
    ['\uFEFF°C,Ω\r\n-40,100k\r\n', [[-40, 100_000]]],
    ['0 9000\n25 2800\n', pairs],
    ['0 °C   9.0 kΩ\n25 °C   2.8 kΩ', pairs],
    ['Temperatur;Widerstand\n0;9.000,0\n25;2.800,0\n', pairs],
    ['Temp.;Résistance (kΩ)\n0;9,00\n25;2,80\n', pairs],
    ['температура|сопротивление\n0|9000\n25|2800\n', pairs],
    ['"0","9,000"\n"25","2,800"\n"60","678.6"\n', [...pairs, [60, 678.6]]],
    ['# from page 12\n\n32F;9000\n77F;2800', pairs],
    ['R\tTemperature\n9000\t0\n2800\t25', pairs],
  ])('%j', (text, expected) => {
    const { rows, faults } = readPoints(text);
    expect(faults).toEqual([]);
    expect(rows.map((r) => [r.temperatureC, Number(r.resistanceOhm.toPrecision(9))])).toEqual(expected);
  });
  test('min and max by name, or as the outer of four columns', () => {
    const named = readPoints('°C;nom;max;min\n0;9000;9200;8800\n25;2800;2850;2750');
    expect(named.rows[0]).toMatchObject({ resistanceOhm: 9000, minOhm: 8800, maxOhm: 9200 });
    expect(readPoints('0 8800 9000 9200\n25 2750 2800 2850').rows[0]).toMatchObject({
      resistanceOhm: 9000,
      minOhm: 8800,
      maxOhm: 9200,
    });
    const fit = chooseFit(named.rows);
    expect(fit.ok && fit.toleranceShare).toBeCloseTo((0.2 / 9 + 0.05 / 2.8) / 2, 6);
  });
  test.each([
    ['', 1, 'no-rows'],
    ['T,R\n', 1, 'no-rows'],
    ['0,9000\nx,1\n', 2, 'not-a-temperature'],
    ['0,9000\n5\n', 2, 'one-column'],
    ['0,9000\n5,-3\n', 2, 'not-a-resistance'],
    ['0;9000\n5;800\n0;8900\n', 3, 'same-temperature'],
    ['°C;nom;min;max\n0;9000;9200;8800', 2, 'limits-swapped'],
    [Array.from({ length: 100_000 }, (_, i) => `${i},${200_000 - i}`).join('\n'), MAX_POINTS + 1, 'too-many'],
  ])('%# is told at its line', (text, line, reason) => {
    const [fault] = readPoints(text).faults;
    expect(fault).toMatchObject({ line, reason });
    expect(pointFaultText(fault).length).toBeGreaterThan(10);
  });
  test('every bad line is named, the good ones are kept', () => {
    const { rows, faults } = readPoints('0;9000\nfive;1\n10;\n20;3520\n');
    expect(faults.map((f) => f.line)).toEqual([2, 3]);
    expect(rows).toHaveLength(2);
  });
  test('never throws (fuzz)', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.string({ unit: 'binary' }), fc.stringMatching(/^[-0-9.,;\t \nTkΩ°CF]{0,60}$/)),
        (text) => {
          const { rows } = readPoints(text);
          for (const r of rows) expect(r.resistanceOhm).toBeGreaterThan(0);
        },
      ),
      { seed: 9, numRuns: 800 },
    );
  });
});
