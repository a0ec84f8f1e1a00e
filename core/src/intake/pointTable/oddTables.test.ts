import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { askedText } from '../../wording/tableText.ts';
import { type ColumnAspect } from './columns.ts';
import { type PointsRead, readPoints } from './readPoints.ts';

type Pair = readonly [number, number];

/** A sensor of 10 kΩ at 25 °C, as tables print it: °C, Ω. Invented. */
const POINTS: readonly Pair[] = [
  [-20, 97120],
  [0, 32650],
  [25, 10000],
  [60, 2488],
  [100, 680.5],
];
/** Limits of 5 %, Ω. */
const LIMITS = POINTS.map(([t, r]) => [t, Math.round(r * 0.95), r, Math.round(r * 1.05)] as const);
const german = (x: number, digits: number): string =>
  x.toLocaleString('de-DE', { minimumFractionDigits: digits, maximumFractionDigits: digits });
const fahrenheit = (t: number): number => (t * 9) / 5 + 32;
const lines = (head: string, row: (pair: Pair) => string, points: readonly Pair[] = POINTS): string =>
  [...(head === '' ? [] : [head]), ...points.map(row)].join('\n');
const k = (r: number): string => (r / 1000).toFixed(3);

/** Tables whose meaning is plain: all of them are these five points. */
const PLAIN: Record<string, string> = {
  'comma, bare': lines('T,R', ([t, r]) => `${t},${r}`),
  'no heading': lines('', ([t, r]) => `${t}\t${r}`),
  blanks: lines('', ([t, r]) => `${t} ${r}`),
  'many blanks': lines('', ([t, r]) => `   ${t}      ${r}`),
  'semicolon, decimal comma': lines('T;R', ([t, r]) => `${t};${german(r, 1).replace('.', '')}`),
  bar: lines('T|R', ([t, r]) => `${t}|${r}`),
  'bars around': lines('| T | R |\n|---|---|', ([t, r]) => `| ${t} | ${r} |`),
  colon: lines('', ([t, r]) => `${t}: ${r}`),
  'equals sign': lines('', ([t, r]) => `${t} °C = ${r} Ω`),
  arrow: lines('', ([t, r]) => `${t} → ${r}`),
  'comma and blank': lines('', ([t, r]) => `${t}, ${r}`),
  quoted: lines('"Temperature","Ohms"', ([t, r]) => `"${t}","${r}"`),
  'quoted with commas': lines(
    '"Temperature","Ohms"',
    ([t, r]) => `"${t}","${r.toLocaleString('en-US', { minimumFractionDigits: 1 })}"`,
  ),
  'Windows line ends and a mark at the front': `\uFEFF${lines('T;R', ([t, r]) => `${t};${r}`).replaceAll('\n', '\r\n')}`,
  'old Mac line ends': lines('T;R', ([t, r]) => `${t};${r}`).replaceAll('\n', '\r'),
  'blank lines between': lines('T;R\n', ([t, r]) => `${t};${r}\n`),
  remarks: lines('# page 12\n# checked twice\nT;R', ([t, r]) => `${t};${r}`),
  'a title above': lines('Coolant sensor, table 4\nTemperature;Resistance', ([t, r]) => `${t};${r}`),
  'units on a line of their own': lines('Temperature;Resistance\n°C;kΩ', ([t, r]) => `${t};${k(r)}`),
  'units in every cell': lines('', ([t, r]) => `${t} °C\t${r} Ω`),
  'kilohms in every cell': lines('', ([t, r]) => `${t} °C\t${k(r)} kΩ`),
  'k behind the figure': lines('', ([t, r]) => `${t};${k(r)}k`),
  'K behind the figure': lines('', ([t, r]) => `${t};${k(r)} K`),
  'k in the place of the point': lines('', ([t, r]) => `${t};${k(r).replace('.', 'k')}`),
  'Ω cells under a kΩ heading': lines('Temp;R (kΩ)', ([t, r]) => `${t};${r} Ω`),
  'kΩ cells under an Ω heading': lines('Temp;R (Ω)', ([t, r]) => `${t};${k(r)} kΩ`),
  'heading Temp. of oil (°C)': lines('Temp. of oil (°C);R (Ω)', ([t, r]) => `${t};${r}`),
  'heading T ref (°C)': lines('T ref (°C);Resistance', ([t, r]) => `${t};${r}`),
  'heading Temperature of fluid': lines('Temperature of fluid;Ohms', ([t, r]) => `${t};${r}`),
  'heading NTC 10 K (Ω)': lines('°C;NTC 10 K (Ω)', ([t, r]) => `${t};${r}`),
  'heading with B = 3976 K': lines('°C;B = 3976 K', ([t, r]) => `${t};${r}`),
  'heading R (B = 3976 K)': lines('T;R (B = 3976 K)', ([t, r]) => `${t};${r}`),
  'heading 10k NTC': lines('T;10k NTC', ([t, r]) => `${t};${r}`),
  'heading R25 = 10 k': lines('T;R25 = 10 k', ([t, r]) => `${t};${r}`),
  kilohms: lines('deg C;kilohms', ([t, r]) => `${t};${k(r)}`),
  Kilohm: lines('Temp C;Kilohm', ([t, r]) => `${t};${k(r)}`),
  'kOhm in brackets': lines('Temp [°C];R [kOhm]', ([t, r]) => `${t};${k(r)}`),
  'k in brackets': lines('T (C);R (k)', ([t, r]) => `${t};${k(r)}`),
  'K in brackets': lines('T (C);R (K)', ([t, r]) => `${t};${k(r)}`),
  'R/kΩ': lines('T/°C;R/kΩ', ([t, r]) => `${t};${k(r)}`),
  'R in kΩ': lines('T in °C;R in kΩ', ([t, r]) => `${t};${k(r)}`),
  R_kOhm: lines('T_C;R_kOhm', ([t, r]) => `${t};${k(r)}`),
  'kohms without brackets': lines('Temp;Resistance kohms', ([t, r]) => `${t};${k(r)}`),
  'k-ohms': lines('Temp;k-ohms', ([t, r]) => `${t};${k(r)}`),
  MOhm: lines('Temp;R (MOhm)', ([t, r]) => `${t};${(r / 1e6).toFixed(7)}`),
  megohms: lines('Temp;megohms', ([t, r]) => `${t};${(r / 1e6).toFixed(7)}`),
  MΩ: lines('Temp;MΩ', ([t, r]) => `${t};${(r / 1e6).toFixed(7)}`),
  '°F': lines('Temp (°F);R', ([t, r]) => `${fahrenheit(t)};${r}`),
  'deg F': lines('deg F;Ohms', ([t, r]) => `${fahrenheit(t)};${r}`),
  Fahrenheit: lines('Fahrenheit;Ohms', ([t, r]) => `${fahrenheit(t)};${r}`),
  'Temp F': lines('Temp F;Ohms', ([t, r]) => `${fahrenheit(t)};${r}`),
  TempF: lines('TempF;Ohms', ([t, r]) => `${fahrenheit(t)};${r}`),
  '[F]': lines('T [F];R [Ohm]', ([t, r]) => `${fahrenheit(t)};${r}`),
  '°F in the cells': lines('', ([t, r]) => `${fahrenheit(t)}°F  ${r}`),
  'kelvin by name': lines('Temperature (K);R', ([t, r]) => `${t + 273.15};${r}`),
  'kelvin in words': lines('Kelvin;R', ([t, r]) => `${t + 273.15};${r}`),
  'kelvin by its fractions': lines('', ([t, r]) => `${t + 273.15};${r}`),
  'kelvin in the cells': lines('', ([t, r]) => `${t + 273.15} K;${r}`),
  '°C and °F side by side': lines('', ([t, r]) => `${t}  ${fahrenheit(t)}  ${r}`),
  '°F and °C side by side': lines('', ([t, r]) => `${fahrenheit(t)}  ${t}  ${r}`),
  '°F and °C, with headings': lines('°F;°C;Ohms', ([t, r]) => `${fahrenheit(t)};${t};${r}`),
  '°C and K side by side': lines('', ([t, r]) => `${t}\t${t + 273.15}\t${r}`),
  'R first': lines('R\tTemperature', ([t, r]) => `${r}\t${t}`),
  'R first, without a heading': lines('', ([t, r]) => `${r}\t${t}`),
  'R first, units in the cells': lines('', ([t, r]) => `${r} Ω\t${t} °C`),
  'German thousands': lines('Temperatur;Widerstand', ([t, r]) => `${t};${german(r, 1)}`),
  'German: comma in the temperature, thousands in ohms': lines(
    'Temperatur;Widerstand',
    ([t, r]) => `${german(t, 1)};${german(r, r < 1000 ? 1 : 0)}`,
  ),
  'German kilohms': lines('Temperatur (°C);Widerstand (kΩ)', ([t, r]) => `${t};${german(r / 1000, 3)}`),
  French: lines('Température (°C);Résistance (Ω)', ([t, r]) => `${t};${german(r, 1).replace('.', ' ')}`),
  Spanish: lines('Temperatura;Resistencia', ([t, r]) => `${t};${r}`),
  Italian: lines('Temperatura;Resistenza', ([t, r]) => `${t};${r}`),
  Russian: lines('Температура;Сопротивление', ([t, r]) => `${t};${r}`),
  Chinese: lines('温度;阻值', ([t, r]) => `${t};${r}`),
  Japanese: lines('温度;抵抗', ([t, r]) => `${t};${r}`),
  'Swiss thousands': lines('T;R', ([t, r]) => `${t};${r.toLocaleString('en-US').replace(',', "'")}`),
  'blank as thousands': lines('T;R', ([t, r]) => `${t};${r.toLocaleString('en-US').replace(',', ' ')}`),
  'thin blank as thousands': lines('T;R', ([t, r]) => `${t};${r.toLocaleString('en-US').replace(',', '\u202f')}`),
  'minus sign of print': lines('T;R', ([t, r]) => `${String(t).replace('-', '−')};${r}`),
  'dash for minus': lines('T R', ([t, r]) => `${String(t).replace('-', '–')} ${r}`),
  'plus signs': lines('T R', ([t, r]) => `${t > 0 ? '+' : ''}${t} ${r}`),
  'degree of another alphabet': lines('ºC;Ω', ([t, r]) => `${t};${r}`),
  falling: lines('T;R', ([t, r]) => `${t};${r}`, [...POINTS].reverse()),
  'powers of ten': lines('T;R', ([t, r]) => `${t};${r.toExponential(4)}`),
  'a running number': lines('No;T;R', ([t, r]) => `${POINTS.findIndex((p) => p[0] === t) + 1};${t};${r}`),
  'volts beside': lines('°C;Ohms;Volts', ([t, r]) => `${t};${r};${((5 * r) / (r + 10000)).toFixed(2)}`),
  'volts before': lines('°C;V;Ω', ([t, r]) => `${t};${((5 * r) / (r + 10000)).toFixed(2)};${r}`),
  'Spannung beside': lines('°C;Widerstand Ω;Spannung V', ([t, r]) => `${t};${r};${((5 * r) / (r + 10000)).toFixed(2)}`),
  'a remark column': lines('°C;Ohms;Remark', ([t, r]) => `${t};${r};ok`),
  'a tolerance column': lines('°C;Ohms;Tol %', ([t, r]) => `${t};${r};5`),
  'on its side': [['°C', ...POINTS.map(([t]) => t)].join(';'), ['Ω', ...POINTS.map(([, r]) => r)].join(';')].join('\n'),
  'on its side, kΩ': [
    ['Temp (°C)', ...POINTS.map(([t]) => t)].join('\t'),
    ['R (kΩ)', ...POINTS.map(([, r]) => k(r))].join('\t'),
  ].join('\n'),
  'on its side, bare': [POINTS.map(([t]) => t).join(' '), POINTS.map(([, r]) => r).join(' ')].join('\n'),
};

/** Tables with limits: rows of −5 % and +5 %. */
const LIMITED: Record<string, string> = Object.fromEntries(
  (
    [
      ['T;Rmin;Rnom;Rmax', [0, 1, 2, 3]],
      ['T;Rnom;Rmin;Rmax', [0, 2, 1, 3]],
      ['T;R_min;R_nom;R_max', [0, 1, 2, 3]],
      ['°C;min;typ;max', [0, 1, 2, 3]],
      ['°C;Min.;Nom.;Max.', [0, 1, 2, 3]],
      ['°C;Minimum;Nominal;Maximum', [0, 1, 2, 3]],
      ['°C;MIN OHMS;NOMINAL OHMS;MAX OHMS', [0, 1, 2, 3]],
      ['°C;Nominal;Minimum;Maximum', [0, 2, 1, 3]],
      ['°C;max;nominal;min', [0, 3, 2, 1]],
      ['°C;lower limit;centre;upper limit', [0, 1, 2, 3]],
      ['°C;Mindestwert;Nennwert;Höchstwert', [0, 1, 2, 3]],
      ['°C;R minimale;R nominale;R massima', [0, 1, 2, 3]],
      ['°C;mínimo;nominal;máximo', [0, 1, 2, 3]],
      ['°C;R mini;R nominale;R maxi', [0, 1, 2, 3]],
      ['°C;мин;ном;макс', [0, 1, 2, 3]],
      ['°C;最小;标称;最大', [0, 1, 2, 3]],
      ['T;a;b;c', [0, 1, 2, 3]],
      ['', [0, 1, 2, 3]],
      ['', [0, 3, 2, 1]],
      ['', [0, 2, 1, 3]],
    ] as const
  ).map(([head, order], i) => [
    `${i} ${head}`,
    [...(head === '' ? [] : [head]), ...LIMITS.map((row) => order.map((o) => row[o]).join(';'))].join('\n'),
  ]),
);
LIMITED['a range in the cell'] = LIMITS.map(([t, low, , high]) => `${t}; ${low} … ${high}`).join('\n');
LIMITED['a range with a dash'] = LIMITS.map(([t, low, , high]) => `${t}; ${low}-${high} Ω`).join('\n');
LIMITED['± in the cell'] = LIMITS.map(([t, , r]) => `${t}; ${r} ± 5 %`).join('\n');
LIMITED['min and max alone'] = `°C;min;max\n${LIMITS.map(([t, low, , high]) => `${t};${low};${high}`).join('\n')}`;
LIMITED['kΩ with limits'] =
  `°C;min kΩ;nom kΩ;max kΩ\n${LIMITS.map(([t, ...r]) => `${t};${r.map((x) => x / 1000).join(';')}`).join('\n')}`;

/** What must be asked, in which column, and that the answer makes it the five points. */
const ASKED: Record<string, readonly [text: string, column: number, aspect: ColumnAspect, answer: string]> = {
  'three digits behind each comma': ['0;32,650\n25;10,000\n60;2,488', 1, 'decimal', '.'],
  'three digits behind each point': ['0;32.650\n25;10.000\n60;2.488', 1, 'decimal', ','],
  'small figures, no unit': [
    lines('T;R', ([t, r]) => `${t};${(r / 1000).toFixed(2)}`, POINTS.slice(1, 4)),
    1,
    'unit',
    'kΩ',
  ],
  'large figures under kΩ': [lines('T;R (kΩ)', ([t, r]) => `${t};${r}`, POINTS.slice(1, 4)), 1, 'unit', 'Ω'],
  'kelvin without a word': [lines('', ([t, r]) => `${t + 273};${r}`), 0, 'unit', 'K'],
  '°F in steps of 18': ['32;32650\n77;10000\n86;8056\n140;2488', 0, 'unit', '°F'],
  'volts or kΩ': ['0;3.83\n25;2.5\n60;1.0', 1, 'unit', 'kΩ'],
  'two curves side by side': ['°C;A;B\n0;32650;9420\n25;10000;2795\n60;2488;671', 1, 'role', 'nominal'],
  'two columns without a name': ['0;31018;34283\n25;9500;10500\n60;2364;2612', 1, 'role', 'min'],
};

const close = (read: PointsRead, points: readonly Pair[], within: number): void => {
  expect(read.faults).toEqual([]);
  expect(read.rows.map((r) => Number(r.temperatureC.toFixed(3)))).toEqual(points.map(([t]) => t));
  for (const [i, [, r]] of points.entries())
    expect(Math.abs(read.rows[i].resistanceOhm / r - 1), String(points[i][0])).toBeLessThan(within);
};

describe('odd tables', () => {
  test('are as many as they should be', () => {
    const all = [PLAIN, LIMITED, ASKED].map((list) => Object.keys(list).length);
    expect(all.reduce((a, b) => a + b, 0)).toBeGreaterThanOrEqual(120);
  });
  test.each(Object.entries(PLAIN))('%s', (_, text) => {
    const read = readPoints(text);
    expect(read.columns.filter((c) => c.role !== 'other').map((c) => c.asked)).toEqual([{}, {}]);
    close(read, POINTS, 2e-3);
  });
  test.each(Object.entries(LIMITED))('limits: %s', (_, text) => {
    const read = readPoints(text);
    expect(read.asked).toBe(false);
    close(read, POINTS, 2e-3);
    for (const [i, [, low, , high]] of LIMITS.entries()) {
      expect(Math.abs(read.rows[i].minOhm! / low - 1)).toBeLessThan(2e-3);
      expect(Math.abs(read.rows[i].maxOhm! / high - 1)).toBeLessThan(2e-3);
    }
  });
  test.each(Object.entries(ASKED))('asked: %s', (_, [text, column, aspect, answer]) => {
    const before = readPoints(text);
    expect(before.asked).toBe(true);
    const ways = before.columns[column].asked[aspect];
    expect(ways).toContain(answer);
    const after = readPoints(text, { [column]: { [aspect]: answer } });
    expect(after.columns[column]).toMatchObject({ [aspect]: answer });
    expect(after.columns[column].asked[aspect]).toBeUndefined();
  });
});

describe('answers', () => {
  test('one answer goes for all columns of a table, and who says the unit says what a column is', () => {
    const text = 'T;min;nom;max\n0;31,018;32,650;34,283\n25;9,500;10,000;10,500\n60;2,364;2,488;2,612';
    const [mark] = [readPoints(text, { 2: { decimal: ',' } })];
    expect(mark.columns.map((c) => c.decimal).slice(1)).toEqual([',', ',', ',']);
    expect(mark.columns.every((c) => c.asked.decimal === undefined)).toBe(true);
    const both = readPoints(text, { 2: { decimal: ',', unit: 'kΩ' } });
    expect(both.asked).toBe(false);
    expect(both.rows[2]).toMatchObject({ temperatureC: 60, resistanceOhm: 2488, minOhm: 2364, maxOhm: 2612 });
    const swapped = readPoints('100;25\n80;30\n60;40', { 1: { unit: 'kΩ' } });
    expect(swapped.rows[0]).toMatchObject({ temperatureC: 60, resistanceOhm: 40_000 });
    expect(readPoints('0;32,650\n25;10,000\n60;2,488', { 1: { decimal: ',', unit: 'kΩ' } })).toMatchObject({
      asked: false,
    });
  });
  test('the questions, each once with its columns', () => {
    const { columns } = readPoints('T;min;nom;max\n0;31,018;32,650;34,283\n25;9,500;10,000;10,500');
    expect(askedText(columns)).toEqual([
      'Columns 2, 3, 4: is a mark before three digits a decimal point, or does it group thousands?',
    ]);
    expect(askedText(readPoints('T;R\n0;3.26\n25;1').columns)).toEqual([
      'Column 2: in which unit, kΩ or Ω or MΩ or V?',
    ]);
    expect(askedText(readPoints('T;R\n0;3260\n25;1000').columns)).toEqual([]);
  });
});

describe('property: any table in any of the layouts reads back, or is asked', () => {
  const sensors = fc.oneof(
    fc
      .record({
        r: fc.constantFrom(1000, 2000, 5000, 10_000, 30_000, 100_000),
        b: fc.integer({ min: 3200, max: 4300 }),
      })
      .map(
        ({ r, b }) =>
          (t: number): number =>
            r * Math.exp(b * (1 / (t + 273.15) - 1 / 298.15)),
      ),
    fc.constantFrom(100, 1000).map(
      (r0) =>
        (t: number): number =>
          r0 * (1 + 3.9083e-3 * t - 5.775e-7 * t * t),
    ),
  );
  const layout = fc.record({
    sensor: sensors,
    from: fc.constantFrom(-40, -30, -20, 0, 5),
    step: fc.constantFrom(5, 10, 20),
    rows: fc.integer({ min: 3, max: 12 }),
    falling: fc.boolean(),
    separator: fc.constantFrom('\t', ';', '|', '   ', ' ', ', '),
    comma: fc.boolean(),
    thousands: fc.constantFrom('', '', 'group'),
    ohmUnit: fc.constantFrom('Ω', 'kΩ'),
    warmUnit: fc.constantFrom('°C', '°F', 'K'),
    where: fc.constantFrom('heading', 'cells', 'bracket'),
    swapped: fc.boolean(),
    limits: fc.constantFrom('', '', 'min nom max', 'nom min max'),
    digits: fc.integer({ min: 0, max: 3 }),
  });

  test('six hundred tables: none silently wrong, few asked, hardly any refused', () => {
    let [asked, refused, read] = [0, 0, 0];
    fc.assert(
      fc.property(layout, (l) => {
        const scale = l.ohmUnit === 'kΩ' ? 1000 : 1;
        const figure = (x: number, digits: number, grouped: boolean): string =>
          x.toLocaleString(l.comma ? 'de-DE' : 'en-US', {
            minimumFractionDigits: digits,
            maximumFractionDigits: digits,
            useGrouping: grouped,
          });
        const temperatures = Array.from({ length: l.rows }, (_, i) => l.from + i * l.step);
        if (l.falling) temperatures.reverse();
        const digits = scale === 1000 ? l.digits + 2 : l.digits;
        const warm = (t: number): number => ({ '°C': t, '°F': t * 1.8 + 32, K: t + 273.15 })[l.warmUnit];
        const unit = (u: string): string => (l.where === 'cells' ? ` ${u}` : '');
        const ohms = (r: number): string =>
          figure(r / scale, digits, l.thousands !== '' && l.separator !== ', ') + unit(l.ohmUnit);
        const headOf = (name: string, u: string): string =>
          l.where === 'heading' ? `${name} ${u}` : l.where === 'bracket' ? `${name} (${u})` : name;
        const shares: Record<string, number> = { min: 0.9, nom: 1, max: 1.1 };
        const names = l.limits === '' ? ['nom'] : l.limits.split(' ');
        const cellsOf = (t: number): string[] => {
          const cells = [
            figure(warm(t), l.warmUnit === 'K' ? 2 : 0, false) + unit(l.warmUnit),
            ...names.map((n) => ohms(l.sensor(t) * shares[n])),
          ];
          return l.swapped ? cells.reverse() : cells;
        };
        const heads = [
          headOf('Temperature', l.warmUnit),
          ...names.map((n) => headOf(l.limits === '' ? 'Resistance' : `R ${n}`, l.ohmUnit)),
        ];
        // Blanks cannot part what is written with blanks; a decimal comma cannot part from a comma.
        fc.pre(!(l.separator === ' ' && l.where !== 'cells'));
        fc.pre(!(l.separator === ', ' && l.comma));
        fc.pre(!(l.separator === '   ' && l.where === 'heading'));
        const text = [l.swapped ? [...heads].reverse() : heads, ...temperatures.map(cellsOf)]
          .map((cells) => cells.join(l.separator))
          .join('\n');
        const found = readPoints(text);
        if (found.asked) return void asked++;
        if (found.faults.length > 0) return void refused++;
        read++;
        expect(found.rows, text).toHaveLength(l.rows);
        for (const row of found.rows) {
          const t = temperatures.reduce((a, b) =>
            Math.abs(b - row.temperatureC) < Math.abs(a - row.temperatureC) ? b : a,
          );
          expect(Math.abs(row.temperatureC - t), text).toBeLessThan(0.6);
          const within = (0.6 * scale * 10 ** -digits) / l.sensor(t) + 1e-9;
          expect(Math.abs(row.resistanceOhm / l.sensor(t) - 1), text).toBeLessThan(within);
          if (l.limits !== '') expect(Math.abs(row.minOhm! / (0.9 * l.sensor(t)) - 1), text).toBeLessThan(2 * within);
        }
      }),
      { numRuns: 600, seed: 41 },
    );
    expect(read).toBeGreaterThan(400);
    expect(refused / (asked + refused + read)).toBeLessThan(0.05);
    expect(asked / (asked + refused + read)).toBeLessThan(0.12);
  });
});
