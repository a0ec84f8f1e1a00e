import { describe, expect, test } from 'vitest';
import { cellFigure, celsiusOf, eitherFigure, isEmptyCell, isSteady, ohmsIn, unitOf } from './cellFigure.ts';
import { askedText, middlesText } from '../../wording/tableText.ts';
import { type PointsRead, readPoints } from './readPoints.ts';

describe('one cell', () => {
  test.each([
    ['9.42', '.', 9.42, null],
    ['9,42', ',', 9.42, null],
    ['1 234.5', '.', 1234.5, null],
    ['1’234', '.', 1234, null],
    ['1.234,5', ',', 1234.5, null],
    ['+3', '.', 3, null],
    ['- 3', '.', -3, null],
    ['−3', '.', -3, null],
    ['.5', '.', 0.5, null],
    ['5.', '.', 5, null],
    ['2e3', '.', 2000, null],
    ['2.5E-1', '.', 0.25, null],
    ['9.42 kΩ', '.', 9.42, 'kΩ'],
    ['9k42', '.', 9420, 'Ω'],
    ['4R7', '.', 4.7, 'Ω'],
    ['k47', '.', 470, 'Ω'],
    ['20 °C', '.', 20, '°C'],
    ['68 °F', '.', 68, '°F'],
    ['293 K', '.', 293, 'K'],
    ['1.2 M', '.', 1.2, 'MΩ'],
    ['2200 Ω', '.', 2200, 'Ω'],
    ['4.3 V', '.', 4.3, 'V'],
    ['500 mV', '.', 0.5, 'V'],
    ["'7'", '.', 7, null],
    ['100²', '.', 100, null],
    ['5.79¹', '.', 5.79, null],
    ['5,79 ¹)', ',', 5.79, null],
    ['2.5 kΩ¹', '.', 2.5, 'kΩ'],
    ['20 °C²', '.', 20, '°C'],
    ['5.79*', '.', 5.79, null],
    ['5.79 †', '.', 5.79, null],
    ['2.5 × 10³ Ω', '.', 2500, 'Ω'],
    ['2.5x10⁻¹', '.', 0.25, null],
    ['approx. 2.5', '.', 2.5, null],
    ['ca. 2.5 kΩ', '.', 2.5, 'kΩ'],
    ['~20', '.', 20, null],
  ] as const)('%s with %s is %d %s', (cell, decimal, value, unit) => {
    const read = cellFigure(cell, decimal);
    expect(read?.value).toBeCloseTo(value, 9);
    expect(read?.unit).toBe(unit);
  });
  test.each([
    ['', '.'],
    ['-', '.'],
    ['about', '.'],
    ['1.2.3', '.'],
    ['12,34', '.'],
    ['1,23', '.'],
    ['1234,567', '.'],
    ['.', '.'],
    ['+', '.'],
    ['3 bananas', '.'],
    ['x9k4', '.'],
    ['9k4x', '.'],
    ['5..7,', '.'],
    ['20 … 10', '.'],
    ['0 … 10', '.'],
    ['5 ± 0 %', '.'],
    ['5 ± 100 %', '.'],
    ['10³', '.'],
    ['33.6 / 32.6 / 31.7', '.'],
    ['31.7 / 31.7 / 33.6', '.'],
    ['0.2 ± 0.3 kΩ', '.'],
    ['20 °C ± 1 kΩ', '.'],
    ['2.5 ± kΩ', '.'],
  ] as const)('%s with %s is none', (cell, decimal) => expect(cellFigure(cell, decimal)).toBeNull());
  test('a whole range in a cell: its ends, and the geometric middle', () => {
    expect(cellFigure('2 … 8 kΩ', '.')).toMatchObject({ value: 4, low: 2, high: 8, unit: 'kΩ' });
    expect(cellFigure('2 to 8', '.')).toMatchObject({ value: 4, low: 2, high: 8, unit: null });
    expect(cellFigure('2-8k', '.')).toMatchObject({ value: 4, low: 2, high: 8, unit: 'kΩ' });
    expect(cellFigure('2,0 bis 8,0', ',')).toMatchObject({ value: 4 });
    expect(cellFigure('2Ω … 8 kΩ', '.')).toBeNull();
    const around = cellFigure('9.4 ± 2 %', '.')!;
    expect(around.value).toBe(9.4);
    expect(around.low).toBeCloseTo(9.4 * 0.98, 12);
    expect(around.high).toBeCloseTo(9.4 * 1.02, 12);
    expect(cellFigure('9.4 kΩ +/- 5%', '.')).toMatchObject({ unit: 'kΩ', value: 9.4 });
  });
  test('a deviation in the unit of its figure or in one of its own', () => {
    for (const cell of ['2.45 ± 0.24 kΩ', '2.45 kΩ ± 240 Ω', '2.45 kΩ +/- 0.24 kΩ', '2.45kΩ +-0.24']) {
      const read = cellFigure(cell, '.')!;
      expect([read.value, read.unit], cell).toEqual([2.45, 'kΩ']);
      expect(read.low, cell).toBeCloseTo(2.21, 9);
      expect(read.high, cell).toBeCloseTo(2.69, 9);
      expect(read.middle, cell).toBeUndefined();
    }
    expect(cellFigure('2,45 ± 0,24', ',')).toMatchObject({ value: 2.45, unit: null });
  });
  test('three figures in a cell: lowest, nominal, highest; two: the middle is marked as such', () => {
    for (const cell of ['31.7 / 32.6 / 33.6', '31.7/32.6/33.6', '31.7 - 32.6 - 33.6'])
      expect(cellFigure(cell, '.'), cell).toEqual({ value: 32.6, unit: null, low: 31.7, high: 33.6 });
    expect(cellFigure('31,7 / 32,6 / 33,6 kΩ', ',')).toEqual({ value: 32.6, unit: 'kΩ', low: 31.7, high: 33.6 });
    expect(cellFigure('2.21 ~ 2.69', '.')).toMatchObject({ low: 2.21, high: 2.69, middle: true });
  });
  test('either mark: a point where it can be, else a comma', () => {
    expect(eitherFigure('9,42')?.value).toBe(9.42);
    expect(eitherFigure('1,234')?.value).toBe(1234);
    expect(eitherFigure('nothing')).toBeNull();
  });
  test('what stands for nothing', () => {
    for (const cell of ['', ' ', '-', '—', '...', '*', 'n/a', 'NA', '--']) expect(isEmptyCell(cell), cell).toBe(true);
    for (const cell of ['0', 'a', '-1', '. 2']) expect(isEmptyCell(cell), cell).toBe(false);
  });
  test('units of the trade; two that could be meant are none', () => {
    for (const text of ['K', 'kelvin', 'kelvins', '°K', '° K'])
      expect(unitOf(text), text).toEqual({ unit: 'K', scale: 1 });
    expect(unitOf('kKelvin')).toBeNull();
    expect(unitOf('/ °C')).toEqual({ unit: '°C', scale: 1 });
    expect(unitOf('°F')).toEqual({ unit: '°F', scale: 1 });
    expect(unitOf('kΩ')).toEqual({ unit: 'kΩ', scale: 1 });
    expect(unitOf('kohm')).toEqual({ unit: 'kΩ', scale: 1 });
    expect(unitOf('MΩ')).toEqual({ unit: 'MΩ', scale: 1 });
    expect(unitOf('ohms')).toEqual({ unit: 'Ω', scale: 1 });
    expect(unitOf('mΩ')).toEqual({ unit: 'Ω', scale: 1e-3 });
    expect(unitOf('mV')).toEqual({ unit: 'V', scale: 1e-3 });
    expect(unitOf('')).toBeNull();
    expect(unitOf('m')).toBeNull();
    expect(unitOf('furlong')).toBeNull();
  });
  test('to Ω and to °C', () => {
    expect((['Ω', 'kΩ', 'K', 'MΩ'] as const).map(ohmsIn)).toEqual([1, 1e3, 1e3, 1e6]);
    expect((['°C', '°F', 'V'] as const).map(ohmsIn).every(Number.isNaN)).toBe(true);
    expect(celsiusOf(5, '°C')).toBe(5);
    expect(celsiusOf(212, '°F')).toBeCloseTo(100, 12);
    expect(celsiusOf(300, 'K')).toBeCloseTo(26.85, 12);
    expect(celsiusOf(5, 'Ω')).toBeNaN();
  });
  test('steady: only rising or only falling', () => {
    expect([[1, 2, 3], [3, 2, 1], [1], []].map(isSteady)).toEqual([true, true, true, true]);
    expect(
      [
        [1, 2, 2],
        [1, 2, 1],
        [1, 1],
      ].map(isSteady),
    ).toEqual([false, false, false]);
  });
});

describe('a row and its limits', () => {
  const read = (body: string, head = '°C;R (Ω);min (Ω);max (Ω)'): PointsRead => readPoints(`${head}\n${body}`);
  const GOOD = '0;3000;2900;3100\n20;1300;1250;1350\n40;600;580;620';
  const row = (text: string): string =>
    read(`${GOOD}\n${text}`)
      .faults.map((f) => `${f.line} ${f.reason}`)
      .join();
  test('limits are read with their rows, alone or both', () => {
    const { rows, faults } = read(GOOD);
    expect(faults).toEqual([]);
    expect(rows[1]).toEqual({ line: 3, temperatureC: 20, resistanceOhm: 1300, minOhm: 1250, maxOhm: 1350 });
    const open = read(`${GOOD}\n60;300;290;\n80;160;;170\n100;90;-;-`).rows.slice(3);
    expect(open.map((r) => [r.minOhm, r.maxOhm])).toEqual([
      [290, null],
      [null, 170],
      [null, null],
    ]);
  });
  test('limits that do not hold their value are swapped; at the limit they hold it', () => {
    expect(row('60;300;310;320')).toBe('5 limits-swapped');
    expect(row('60;300;280;290')).toBe('5 limits-swapped');
    expect(row('60;300;310;')).toBe('5 limits-swapped');
    expect(row('60;300;;290')).toBe('5 limits-swapped');
    expect(row('60;300;300;300')).toBe('');
  });
  test('without a nominal value it is the middle of both limits; one limit alone is no resistance', () => {
    const { rows } = read('0;2500;3600\n20;1000;1440\n40;400;', '°C;min (Ω);max (Ω)');
    expect(rows.map((r) => r.resistanceOhm)).toEqual([1200, 3000].sort((a, b) => b - a));
    expect(read('0;2500;3600\n20;1000;1440\n40;400;', '°C;min (Ω);max (Ω)').faults).toMatchObject([
      { line: 4, reason: 'not-a-resistance' },
    ]);
  });
  test('what is no temperature and no resistance, by line', () => {
    expect(row('-300;300;;')).toBe('5 not-a-temperature');
    expect(row('2000;300;;')).toBe('5 not-a-temperature');
    expect(row('1999;300;;')).toBe('');
    expect(row('warm;300;;')).toBe('5 not-a-temperature');
    expect(row('60;0;;')).toBe('5 not-a-resistance');
    expect(row('60;-5;;')).toBe('5 not-a-resistance');
    expect(row('60;thick;;')).toBe('5 not-a-resistance');
    expect(row('60;300;thick;')).toBe('5 not-a-resistance');
    expect(row('60;300;;thick')).toBe('5 not-a-resistance');
    expect(row('60')).toBe('5 one-column');
    expect(row('20;900;;')).toBe('5 same-temperature');
    expect(read(`${GOOD}\n20;900;;`).rows.map((r) => r.resistanceOhm)).toEqual([3000, 1300, 600]);
  });
  test('a range in the cell of the value gives its limits, those of columns of their own go before', () => {
    const [a, b] = read('0;2 … 8 kΩ\n20;1 … 4 kΩ\n40;0.5 … 2 kΩ', '°C;R').rows;
    expect(a).toMatchObject({ resistanceOhm: 4000, minOhm: 2000, maxOhm: 8000 });
    expect(b).toMatchObject({ resistanceOhm: 2000, minOhm: 1000, maxOhm: 4000 });
    // A temperature told as a range is none.
    expect(read('10…20;4000\n30;2000\n40;1000', '°C;R').faults).toMatchObject([{ reason: 'not-a-temperature' }]);
  });
  test('twelve digits are kept: 2.288 kΩ is 2288 Ω', () => {
    expect(read('0;2.288\n20;1.1\n40;0.6', '°C;R (kΩ)').rows[0].resistanceOhm).toBe(2288);
  });
});

describe('what a table leaves open', () => {
  test('resistance at a temperature, in one cell', () => {
    for (const join of [' at ', ' @ ', '@', ' bei ']) {
      const { rows, asked } = readPoints(`2.5 kΩ${join}20 °C\n1.2 kΩ${join}40 °C\n0.32 kΩ${join}80 °C`);
      expect(asked, join).toBe(false);
      expect(
        rows.map((r) => [r.temperatureC, r.resistanceOhm]),
        join,
      ).toEqual([
        [20, 2500],
        [40, 1200],
        [80, 320],
      ]);
    }
    expect(readPoints('2500 ohms @ 20C\n1200 ohms @ 40C').rows.map((r) => r.resistanceOhm)).toEqual([2500, 1200]);
  });
  test('lines that give only a range are named, with what was taken', () => {
    const read = readPoints('°C;kΩ\n0;5.2 ~ 6.1\n20;2.21 ~ 2.69\n80;0.32 ± 0.02');
    expect(read.middles).toEqual([2, 3]);
    expect(read.rows[1].resistanceOhm).toBeCloseTo(Math.sqrt(2210 * 2690), 6);
    expect(middlesText(read.middles)).toBe(
      '2 lines give only the lowest and the highest value. The geometric mean of the two is used as the nominal value.',
    );
    expect(readPoints('°C;min (Ω);max (Ω)\n0;5200;6100\n20;2210;2690').middles).toEqual([2, 3]);
    expect(readPoints('°C;Ω\n0;5600\n20;2450').middles).toEqual([]);
    expect(middlesText([])).toBeNull();
    expect(middlesText([7])).toContain('Line 7 gives');
  });
  test('a curve a thousand times off every known sensor is asked about, whatever its heading says', () => {
    const asks = (text: string, unit?: 'Ω' | 'kΩ'): boolean => readPoints(text, unit && { 1: { unit } }).asked;
    // An NTC of 2.5 kΩ at 20 °C with kΩ read as Ω, one of 10 kΩ, and a platinum sensor with Ω read as kΩ.
    expect(asks('°C;R (Ω)\n0;5.62\n20;2.45\n80;0.32')).toBe(true);
    expect(asks('°C;R (Ω)\n0;32.65\n25;10\n60;2.488\n100;0.68')).toBe(true);
    expect(asks('°C;R (kΩ)\n0;100\n25;109.7\n60;123.2\n100;138.5')).toBe(true);
    // The same in the right unit, an NTC of 100 kΩ, a copper coil of 10 Ω; and what a person has said.
    expect(asks('°C;R (kΩ)\n0;5.62\n20;2.45\n80;0.32')).toBe(false);
    expect(asks('°C;R (Ω)\n0;100\n25;109.7\n60;123.2\n100;138.5')).toBe(false);
    expect(asks('°C;R (Ω)\n0;327000\n25;100000\n60;24900')).toBe(false);
    expect(asks('°C;R (Ω)\n0;10\n25;10.9\n60;12.3\n100;13.85')).toBe(false);
    expect(asks('°C;R (Ω)\n0;5.62\n20;2.45\n80;0.32', 'Ω')).toBe(false);
    expect(askedText(readPoints('°C;R (Ω)\n0;5.62\n20;2.45\n80;0.32').columns)).toEqual([
      'Column 2: no known sensor has such resistances. Which unit is right, Ω or kΩ or MΩ?',
    ]);
  });
});

describe('which column is what', () => {
  const roles = (text: string): string =>
    readPoints(text)
      .columns.map((c) => `${c.role} ${c.unit}`)
      .join(', ');
  test('°C beside °F or beside K, either way round: one is read', () => {
    const pairs = [
      [0, 3000],
      [20, 1300],
      [40, 600],
    ];
    const table = (row: (c: number, ohm: number) => string): string => pairs.map(([c, r]) => row(c, r)).join('\n');
    const f = (c: number): number => Math.round(c * 1.8 + 32);
    const k = (c: number): number => Math.round(c + 273.15);
    expect(roles(table((c, r) => `${c};${f(c)};${r}`))).toBe('temperature °C, other °F, nominal Ω');
    expect(roles(table((c, r) => `${f(c)};${c};${r}`))).toBe('other °F, temperature °C, nominal Ω');
    expect(roles(table((c, r) => `${c};${k(c)};${r}`))).toBe('temperature °C, other K, nominal Ω');
    expect(roles(table((c, r) => `${k(c)};${c};${r}`))).toBe('other K, temperature °C, nominal Ω');
  });
  test('three columns beside each other are least, nominal and greatest, in any order', () => {
    const text = '0;3100;3000;2900\n20;1350;1300;1250\n40;620;600;580\n60;310;300;290';
    expect(roles(text)).toBe('temperature °C, max Ω, nominal Ω, min Ω');
    expect(readPoints(text).asked).toBe(false);
  });
  test('two columns that lie near are limits, but it is asked; far apart the one that changes most is the guess', () => {
    const near = readPoints('0;2900;3100\n20;1250;1350\n40;580;620\n60;290;310');
    expect(near.columns.map((c) => c.role)).toEqual(['temperature', 'min', 'max']);
    expect(near.asked).toBe(true);
    const curves = readPoints('0;3000;30000\n20;1300;25000\n40;600;20000\n60;300;16000');
    expect(curves.columns.map((c) => c.role)).toEqual(['temperature', 'nominal', 'other']);
    expect(curves.asked).toBe(true);
    const turned = readPoints('0;30000;3000\n20;25000;1300\n40;20000;600\n60;16000;300');
    expect(turned.columns.map((c) => c.role)).toEqual(['temperature', 'other', 'nominal']);
  });
  test('C over a column is a curve’s name where another column is the temperature', () => {
    const text = 'Temperature (°C);A;C\n0;3000;30000\n20;1300;12000\n40;600;5000\n60;300;2400';
    expect(readPoints(text).columns.map((c) => c.role)).toEqual(['temperature', expect.anything(), expect.anything()]);
    expect(roles('C;R\n0;3000\n20;1300\n40;600')).toBe('temperature °C, nominal Ω');
    expect(roles('K;R\n273;3000\n293;1300\n313;600')).toBe('temperature K, nominal Ω');
  });
  test('pairs set side by side to save room go under one another where their steps go on', () => {
    const text = '0;3000;30;900;60;300\n10;2000;40;600;70;220\n20;1300;50;420;80;160';
    expect(readPoints(text).rows.map((r) => [r.temperatureC, r.resistanceOhm])).toEqual([
      [0, 3000],
      [10, 2000],
      [20, 1300],
      [30, 900],
      [40, 600],
      [50, 420],
      [60, 300],
      [70, 220],
      [80, 160],
    ]);
    // The last pair may be shorter.
    expect(readPoints('0;3000;30;900\n10;2000;40;600\n20;1300;-;-').rows).toHaveLength(5);
    // Steps that do not go on are no such page.
    expect(readPoints('0;3000;35;900\n10;2000;45;600\n20;1300;55;420').rows).not.toHaveLength(6);
    expect(readPoints('0;3000;30;900\n10;2000;40;600').rows).not.toHaveLength(4);
  });
  test('too many rows, one column, no rows', () => {
    const reason = (text: string): string =>
      readPoints(text)
        .faults.map((f) => f.reason)
        .join();
    expect(reason('')).toBe('no-rows');
    expect(reason('1\n2\n3')).toBe('one-column');
    expect(reason(Array.from({ length: 2001 }, (_, i) => `${i / 10};${5000 - i}`).join('\n'))).toBe('too-many');
    expect(reason(Array.from({ length: 2000 }, (_, i) => `${i / 10};${5000 - i}`).join('\n'))).toBe('');
    expect(reason('°C;V\n0;4\n20;3\n40;2')).toBe('no-resistance');
  });
});
