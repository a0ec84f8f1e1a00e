import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { parseReading } from './parseReading.ts';
import { type FigureQuantity } from './quantity.ts';

// Figures as people type them. `ask`: two readings are plausible, and both are offered. `no`: refused with a reason. `open`: OL.
// What stands behind a bound is its limit: `>2e7`. Common practice, no source.
const TYPED: Record<FigureQuantity, string> = {
  ohms: `
    4k7=4700; 4K7=4700; 2k2=2200; 2M2=2.2e6; 4R7=4.7; 4r7=4.7; 4Ω7=4.7; R47=.47; r47=.47; k47=470; K47=470; M47=470000; 1G5=1.5e9;
    4k7Ω=4700; 4k7 ohm=4700; 10k0=10000; 0R5=.5; 0R=0; 12k=12000; 12K=12000; 12 k=12000; 12 K=12000; 12kΩ=12000; 12 kΩ=12000;
    2.88k=2880; 2,88k=2880; 2,88 k=2880; 2.88 kohm=2880; 2.88 kohms=2880; 2.88kOhm=2880; 2.88 KOHM=2880; 2.88 kilohm=2880;
    2.88 kilohms=2880; 2.88 kilo ohms=2880; 2.88 kilo-ohm=2880; 2.88 kiloohm=2880; 2.88 k ohm=2880; 2.88 k.ohm=2880; 2.88 kilo=2880;
    2.88 kΩ.=2880; 2.88 k.=2880; 2880 ohms.=2880; 2880 ohm=2880; 2880 Ohm=2880; 2880 OHMS=2880; 2880Ω=2880; 2880 Ω=2880; 2880 R=2880;
    2880 r=2880; 2880.=2880; 2880.0=2880; 2880,5=2880.5; +2880=2880; + 2880=2880; plus 2880=2880; ２８８０=2880;
    1.2 M=1.2e6; 1.2M=1.2e6; 1.2 MΩ=1.2e6; 1.2 Mohm=1.2e6; 1.2 MOhm=1.2e6; 1.2 MOHM=1.2e6; 1.2 megohm=1.2e6; 1.2 megohms=1.2e6;
    1.2 Megohm=1.2e6; 1.2 Meg=1.2e6; 1.2 meg=1.2e6; 1.2meg=1.2e6; 1.2 megs=1.2e6; 1.2 mega=1.2e6; 1.2 mega ohm=1.2e6;
    1.2 megaohms=1.2e6; 0.5 GΩ=5e8; 0.5 G=5e8; .5GΩ=5e8; 0.5 gigohm=5e8; 0.5 gigaohm=5e8; 2 Gohm=2e9;
    11 883=11883; 11 883=11883; 11 883=11883; 11'883=11883; 11’883=11883; 11_883=11883; 1,234,567=1234567; 1.234.567=1234567;
    11,883.5=11883.5; 11.883,5=11883.5; 11 883,5=11883.5; 11 883.5=11883.5; 1 234 567=1234567;
    11.883=ask; 11,883=ask; 10.000=ask; 10,000=ask; 3.650=ask; 3,650=ask; 1.880 Ω=ask; 1,880 ohms=ask; 100.000=ask;
    0.998=.998; 0,998=.998; 11.88=11.88; 11,88=11.88; 11.8830=11.883; 11,8830=11.883; 1000.125=1000.125; .5=.5; ,5=.5; .5k=500; ,5k=500; 5.=5;
    3,650 kΩ=3650; 3.650 kΩ=3650; 2,880k=2880; 2.880k=2880; 1.234 MΩ=1.234e6; 0,047 k=47; 1.500 Meg=1.5e6;
    2.2m=ask; 2m2=ask; 2.2 m=ask; 2.2 mohm=ask; 2.2 m ohms=ask; 2.2mΩ=.0022; 2.2 mΩ=.0022; 2.2 milliohm=.0022; 2.2 milliohms=.0022; 470 mΩ=.47;
    4E7=ask; 2E2=ask; 2.2e3=2200; 2e3=2000; 2.2E3=2200; 2.2×10³=2200; 2.2x10^3=2200; 2.2*10^3=2200; 2.2·10³ Ω=2200; 1×10^4 Ω=10000; 47 e3=47000;
    0=0; 0.0=0; 0 Ω=0; 00=0; 0.1=.1;
    OL=open; ol=open; O.L=open; O.L.=open; .OL=open; O L=open; o l=open; OL.=open; 0L=open; 0.L=open; 0.L.=open; OL MΩ=open; OL kΩ=open; O.L MΩ=open;
    OFL=open; O.F.L.=open; 0FL=open; OVL=open; OVLD=open; ovld=open; OVR=open; over=open; OVER=open; overload=open; over load=open; Overload=open;
    overflow=open; over range=open; overrange=open; O/L=open; open=open; Open=open; OPEN=open; open circuit=open; opencircuit=open; open loop=open;
    o.c.=open; OC=open; infinite=open; infinity=open; Infinity=open; inf=open; INF=open; ∞=open; ∞ Ω=open; no continuity=open;
    >20M=>2e7; > 20 MΩ=>2e7; >20 Meg=>2e7; > 200k=>2e5; >200 kΩ=>2e5; ≥20M=>2e7; >=20M=>2e7; over 20M=>2e7; above 20 M=>2e7; more than 20 megohms=>2e7;
    greater than 2 MΩ=>2e6; >2.2m=ask; >11.883=ask; >0=no; >=no; > k=no; <5=no; over=open;
    10²=no; 10³=no; 10k 25=no; 10k 25C=no; 2 m2=no; 4 k 7=no; 4k 7=no; 1k 100=no; 100 220 470=100220470; 1 23=no; 12k7x=no; abc=no; 3.3.3=no; k=no; Ω=no; .=no;
    -20=no; - 20=no; minus 20=no; 5 V=no; 5V2=no; 12C=no; 12 °C=no; 20 %=no; 1,2,3=no; 12.345,678.9=no; 1.23.456=no; 4k7k=no; 2/3=no; ½=no; --5=no; 1e=no;
    -OL=no; 0x10=no; 1,234.567,8=no; 12,34,567=no; 1.234,567.8=no; 1.234,567=1234.567; 1,234.567=1234.567`,
  volts: `
    4.4=4.4; 4,4=4.4; 4.40=4.4; 4,40=4.4; 5.010=5.01; 5,010=5.01; 12.345=12.345; .5=.5; ,5=.5; 0=0; 5=5; 5.=5; -0.02=-.02; −0.02=-.02; - 0.02=-.02; –0.02=-.02;
    minus 0.02=-.02; +5=5; 4.4V=4.4; 4.4 V=4.4; 4.4v=4.4; 5 v.=5; 5 V.=5; 4.4 volt=4.4; 4.4 volts=4.4; 2.5 Volts=2.5; 4.4 VOLTS=4.4; 4.4 volts.=4.4;
    4.4 Vdc=4.4; 4.4 V DC=4.4; 4.4 V dc=4.4; 4.4 VDC=4.4; 4.4 volts DC=4.4; 4.4 V D.C=4.4; 12.6 volts=12.6; 5V2=5.2; 3V3=3.3; 1V88=1.88; 0V5=.5; -0V02=-.02; 5v2=5.2; V5=.5; 12V6=12.6;
    1880 mV=1.88; 1880mV=1.88; 1880 mv=1.88; 1880 MV=1.88; 1880 millivolts=1.88; 1880 millivolt=1.88; 1880 milli volts=1.88; 1 880 mV=1.88; 18.5 mV=.0185;
    1,880 mV=ask; 1.880 mV=ask; 250 µV=.00025; 250 uV=.00025; 0.012 kV=12; 5e-1=.5;
    OL=no; open=no; >5=no; 4k7=no; 3 kΩ=no; 5 Ω=no; 12 °C=no; 5K=no; 9000=no; -61=no; 4.4.=4.4; 4.4 x=no; 4.4 5=no; V=no; 5VV=no; 5 A=no; 5²=no; 4.4 W=no; 5V 2=no`,
  celsius: `
    20=20; 20.5=20.5; 20,5=20.5; -40=-40; − 4=-4; - 4=-4; -4=-4; –4=-4; minus 4=-4; plus 4=4; +4=4; 20C=20; 20 C=20; 20c=20; 20 c.=20; 20°C=20; 20 °C=20; 20° C=20; 20 ° C=20; 12ºC=12; 12 ºC=12; 12˚C=12;
    12°=12; 12 °=12; 12º=12; 12 degrees=12; 12 degree=12; 12 deg=12; 12 deg.=12; 12deg=12; 12 deg C=12; 12 deg. C=12; 12 degC=12; 12 degrees C=12; 12 degrees Celsius=12; 12 celsius=12; 12 Celsius=12;
    12 centigrade=12; 12℃=12; 64F=17.7777777778; 64 F=17.7777777778; 64f=17.7777777778; 64°F=17.7777777778; 64 ºF=17.7777777778; 64 deg F=17.7777777778; 64 degrees F=17.7777777778; 64 fahrenheit=17.7777777778; 64 Fahrenheit=17.7777777778; 64℉=17.7777777778; -40F=-40;
    285.15 K=12; 285.15K=12; 285,15 K=12; 273.15 kelvin=0; 300 K=26.85; 21.500=21.5; 21,500=21.5; 90.=90; 0=0; -0=0; 1.234=ask; 1,234=ask;
    5K=no; 5 K=no; 10k=no; 4k7=no; 2.88 kΩ=no; 5 V=no; -300=no; -500F=no; OL=no; open=no; hot=no; 20 30=no; 3000=no; 20²=no; 20 %=no; °=no; 20CC=no`,
  number: `3976=3976; 3435 K=3435; 3,976=ask; 3.976=ask; 0.3=.3; 1=1; 1e3=1000; 3976K=3976; 3976 V=no; 3976 Ω=no; =no; x=no`,
};

const rows = Object.entries(TYPED).flatMap(([quantity, list]) =>
  list.split(';').map((row) => {
    const clean = row.replace(/^[\n ]+/, '');
    // The last sign parts: a text may hold one itself (>=).
    const at = clean.lastIndexOf('=', clean.endsWith('>') ? clean.length - 2 : undefined);
    return [clean.slice(0, at), quantity as FigureQuantity, clean.slice(at + 1)] as const;
  }),
);

/** In the notation of the list. */
function readAs(text: string, quantity: FigureQuantity): string {
  const parsed = parseReading(text, quantity);
  if (!parsed.ok) return parsed.reason === 'ambiguous' ? 'ask' : 'no';
  if (parsed.aboveOhm !== undefined) return `>${parsed.aboveOhm}`;
  return parsed.value === Infinity ? 'open' : String(Number(parsed.value.toPrecision(12)));
}

const meant = (want: string): string =>
  /^>?[-.\d]/.test(want) ? want.replace(/[-.\d].*$/, (n) => String(Number(n))) : want;

describe('three hundred figures', () => {
  test('are as many', () => expect(rows.length).toBeGreaterThan(300));
  test.each(rows)('%s on %s: %s', (text, quantity, want) => expect(readAs(text, quantity)).toBe(meant(want)));
});

describe('property: any number in any notation reads back', () => {
  /** Notations of a resistance, from its figure: decimal mark, prefix, unit, sign of thousands. */
  const SCALES = [
    [1, ['', ' ', 'Ω', ' ohm', ' Ohms', 'R', ' Ω.']],
    [1e3, ['k', ' k', 'K', 'kΩ', ' kOhm', ' kilohms', ' K.']],
    [1e6, ['M', ' MΩ', ' Meg', ' megohm', 'Mohm']],
    [1e9, ['G', ' GΩ']],
    [1e-3, [' mΩ', ' milliohms']],
  ] as const;
  const notation = fc.constantFrom(...SCALES.flatMap(([scale, units]) => units.map((unit) => ({ scale, unit }))));
  const figure = fc.record({ n: fc.integer({ min: 0, max: 99_999_999 }), digits: fc.integer({ min: 0, max: 5 }) });

  test('ohms, with a decimal point or comma', () => {
    fc.assert(
      fc.property(figure, notation, fc.boolean(), ({ n, digits }, { scale, unit }, comma) => {
        const number = (n / 10 ** digits).toFixed(digits);
        const value = Number(number) * scale;
        fc.pre(value <= 1e10);
        const parsed = parseReading((comma ? number.replace('.', ',') : number) + unit, 'ohms');
        if (parsed.ok) {
          expect(Math.abs(parsed.value - value)).toBeLessThanOrEqual(1e-12 * value);
          return;
        }
        expect(parsed).toMatchObject({ reason: 'ambiguous' });
        expect(parsed.reason === 'ambiguous' && parsed.choices.map((c) => c.value)).toContain(value);
      }),
      { numRuns: 2000, seed: 31 },
    );
  });
  test('a letter in the place of the point', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 999 }),
        fc.integer({ min: 0, max: 99 }),
        fc.constantFrom('k', 'K', 'M', 'R', 'r', 'Ω'),
        (whole, fraction, letter) => {
          const scale = /k/i.test(letter) ? 1e3 : letter === 'M' ? 1e6 : 1;
          const parsed = parseReading(`${whole}${letter}${fraction}`, 'ohms');
          expect(parsed).toMatchObject({ ok: true });
          expect(parsed.ok && parsed.value / scale).toBeCloseTo(Number(`${whole}.${fraction}`), 9);
        },
      ),
      { seed: 32 },
    );
  });
  test('grouped by thousands', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1000, max: 99_999_999 }), fc.constantFrom(' ', ' ', ' ', "'", '_'), (n, sign) => {
        const text = String(n).replace(/\B(?=(\d{3})+$)/g, sign);
        expect(parseReading(text, 'ohms')).toMatchObject({ ok: true, value: n });
      }),
      { seed: 33 },
    );
  });
  test('temperatures in every unit', () => {
    const units = [
      ['°C', 1, 0],
      [' ºC', 1, 0],
      [' degrees C', 1, 0],
      ['F', 9 / 5, 32],
      [' °F', 9 / 5, 32],
      [' K', 1, 273.15],
    ] as const;
    fc.assert(
      fc.property(fc.integer({ min: -600, max: 12_000 }), fc.constantFrom(...units), (tenths, [unit, factor, zero]) => {
        const shown = ((tenths / 10) * factor + zero).toFixed(2);
        const parsed = parseReading(`${shown}${unit}`, 'celsius');
        expect(parsed).toMatchObject({ ok: true });
        expect(parsed.ok && parsed.value).toBeCloseTo(tenths / 10, 1);
      }),
      { seed: 34 },
    );
  });
  test('what is offered to an ambiguous figure reads as nothing else', () => {
    const texts = fc.stringMatching(/^[1-9]\d{0,2}[.,]\d{3}( ?(m|mohm|Ω|mV|K))?$/);
    fc.assert(
      fc.property(texts, fc.constantFrom<FigureQuantity>('ohms', 'volts', 'celsius', 'number'), (text, quantity) => {
        const parsed = parseReading(text, quantity);
        if (parsed.ok || parsed.reason !== 'ambiguous') return;
        for (const choice of parsed.choices) {
          const again = parseReading(choice.text, quantity);
          expect(again, choice.text).toMatchObject({ ok: true });
          expect(again.ok && again.value / choice.value).toBeCloseTo(1, 9);
        }
      }),
      { numRuns: 500, seed: 35 },
    );
  });
});
