import { type Curve, curveModel } from '../../circuit/curves/curve.ts';
import { type CurveModel, KELVIN } from '../../circuit/curves/curveModel.ts';

/** A generic curve of the trade: what many makers sell under their own numbers. */
export interface CatalogueCurve {
  id: string;
  name: string;
  curve: Curve;
  source: string;
  /** Is it met so often that a wrong part is likely to be one of these? */
  common: boolean;
}

const HANDBOOK = 'handbook table, from memory';
const PRACTICE = 'common practice, no source';

/** A table written as `temperature:ohms` pairs. */
function table(text: string): Curve {
  const points = text.split(' ').map((pair) => {
    const [temperatureC, resistanceOhm] = pair.split(':').map(Number);
    return { temperatureC, resistanceOhm };
  });
  return { kind: 'table', points };
}

/** An NTC of which no table is handed down, by R25 and B. */
function plainNtc(id: string, ohms: string, r25Ohm: number, betaK: number): CatalogueCurve {
  const curve: Curve = { kind: 'beta', r25Ohm, betaK };
  return { id, name: `NTC ${ohms}, B25/85 ${betaK}`, curve, source: PRACTICE, common: false };
}

type BandAt = readonly [temperatureC: number, lowOhm: number, highOhm: number];

/** A class of engine sensors as pocket tables give it, at two temperatures. */
function engineClass(...at: BandAt[]): Curve {
  return {
    kind: 'band',
    slope: 'ntc',
    bands: at.map(([temperatureC, lowOhm, highOhm]) => ({ temperatureC, lowOhm, highOhm })),
  };
}

export const CATALOGUE_CURVES: readonly CatalogueCurve[] = [
  {
    id: 'ntc-2k-b3600',
    name: 'NTC 2 kΩ, B25/85 3600',
    curve: { kind: 'beta', r25Ohm: 2000, betaK: 3600 },
    source: PRACTICE,
    common: true,
  },
  {
    id: 'ntc-2k5-at-20',
    name: 'NTC 2.06 kΩ (2.5 kΩ at 20 °C), engine',
    curve: table(
      '-40:45300 -30:26100 -20:15460 -10:9397 0:5896 10:3792 20:2500 25:2057 30:1707 40:1175 ' +
        '50:834 60:596 70:436 80:323 90:243 100:187 110:144 120:113 130:89.3',
    ),
    source: HANDBOOK,
    common: true,
  },
  {
    id: 'ntc-2252',
    name: 'NTC 2.252 kΩ, B25/85 3978',
    curve: table(
      '-40:75790 -30:39860 -20:21870 -10:12460 0:7355 10:4482 20:2814 25:2252 30:1815 40:1200 ' +
        '50:811.3 60:560.3 70:394.5 80:282.7 90:206.1 100:152.8 110:115 120:87.7 130:67.8 140:53 ' +
        '150:41.9',
    ),
    source: HANDBOOK,
    common: true,
  },
  {
    id: 'ntc-2k8',
    name: 'NTC 2.8 kΩ (3.52 kΩ at 20 °C), engine',
    curve: table(
      '-40:100700 -30:52700 -20:28680 -10:16180 0:9420 10:5670 15:4450 20:3520 25:2796 30:2238 ' +
        '35:1802 40:1459 45:1188 50:973 60:667 70:467 80:332 90:241 100:177 110:132 120:100 130:77 ' +
        '140:60 150:47',
    ),
    source: HANDBOOK,
    common: true,
  },
  {
    id: 'ntc-3k',
    name: 'NTC 3 kΩ, B25/85 3976',
    curve: table(
      '-40:101000 -30:53100 -20:29130 -10:16600 0:9796 10:5971 20:3748 25:3000 30:2417 40:1598 ' +
        '50:1081 60:746.3 70:525.4 80:376.9 90:274.9 100:203.8 110:153.2 120:116.8',
    ),
    source: HANDBOOK,
    common: false,
  },
  {
    id: 'ntc-5k',
    name: 'NTC 5 kΩ, B25/85 3976',
    curve: table(
      '-40:168300 -30:88500 -20:48560 -10:27670 0:16330 10:9951 20:6247 25:5000 30:4029 40:2663 ' +
        '50:1801 60:1244 70:875.7 80:628.1 90:458.2 100:339.6 110:255.3 120:194.7',
    ),
    source: HANDBOOK,
    common: true,
  },
  {
    id: 'ntc-10k-steep',
    name: 'NTC 10 kΩ, steep, B25/85 3978',
    curve: table(
      '-40:335671 -30:176683 -20:96974 -10:55298 0:32651 10:19904 20:12494 25:10000 30:8057 ' +
        '40:5327 50:3603 60:2488 70:1752 80:1255.5 90:915.4 100:678.6 110:511 120:389.3',
    ),
    source: HANDBOOK,
    common: true,
  },
  {
    id: 'ntc-10k-flat',
    name: 'NTC 10 kΩ, flat, B25/85 3694',
    curve: table(
      '-40:239831 -30:135233 -20:78913 -10:47540 0:29490 10:18790 20:12260 25:10000 30:8194 ' +
        '40:5592 50:3893 60:2760 70:1990 80:1458 90:1084 100:816.8 110:623.5 120:481.8',
    ),
    source: HANDBOOK,
    common: true,
  },
  {
    id: 'ntc-12k',
    name: 'NTC 12 kΩ, boiler, B25/85 3741',
    curve: table(
      '0:36129 5:28516 10:22763 15:18279 20:14772 25:11981 30:9786 35:8047 40:6653 45:5523 ' +
        '50:4608 55:3856 60:3243 65:2744 70:2332 75:1990 80:1704 85:1464 90:1262 95:1093 100:950',
    ),
    source: HANDBOOK,
    common: true,
  },
  {
    id: 'ntc-30k',
    name: 'NTC 30 kΩ, B25/85 3943',
    curve: table(
      '-40:884600 -30:481000 -20:271200 -10:158000 0:94980 10:58750 20:37300 25:30000 30:24270 ' +
        '40:16150 50:10970 60:7599 70:5359 80:3843 90:2799 100:2069 110:1550 120:1176',
    ),
    source: HANDBOOK,
    common: true,
  },
  {
    id: 'ntc-47k',
    name: 'NTC 47 kΩ, B25/85 4050',
    curve: { kind: 'beta', r25Ohm: 47000, betaK: 4050 },
    source: PRACTICE,
    common: false,
  },
  {
    id: 'ntc-50k',
    name: 'NTC 50 kΩ, B25/85 3950',
    curve: { kind: 'beta', r25Ohm: 50000, betaK: 3950 },
    source: PRACTICE,
    common: true,
  },
  {
    id: 'ntc-100k',
    name: 'NTC 100 kΩ, B25/85 4250',
    curve: { kind: 'beta', r25Ohm: 100000, betaK: 4250 },
    source: PRACTICE,
    common: true,
  },
  plainNtc('ntc-1k', '1 kΩ', 1000, 3528),
  plainNtc('ntc-1k8', '1.8 kΩ', 1800, 3500),
  plainNtc('ntc-3k3', '3.3 kΩ', 3300, 3977),
  plainNtc('ntc-5k-b3470', '5 kΩ', 5000, 3470),
  plainNtc('ntc-6k8', '6.8 kΩ', 6800, 3977),
  plainNtc('ntc-10k-b3435', '10 kΩ', 10000, 3435),
  plainNtc('ntc-10k-b3950', '10 kΩ', 10000, 3950),
  plainNtc('ntc-15k', '15 kΩ', 15000, 3977),
  plainNtc('ntc-20k', '20 kΩ', 20000, 3950),
  plainNtc('ntc-33k', '33 kΩ', 33000, 4090),
  plainNtc('ntc-100k-b3950', '100 kΩ', 100000, 3950),
  {
    id: 'ntc-10k-with-10k-across',
    name: 'NTC 10 kΩ, B25/85 3950, 10 kΩ across',
    curve: { kind: 'ntc-network', r25Ohm: 10_000, betaK: 3950, parallelOhm: 10_000 },
    source: PRACTICE,
    common: false,
  },
  {
    id: 'ntc-2k-with-220-in-series',
    name: 'NTC 2 kΩ, B25/85 3600, 220 Ω in series',
    curve: { kind: 'ntc-network', r25Ohm: 2000, betaK: 3600, seriesOhm: 220 },
    source: PRACTICE,
    common: false,
  },
  {
    id: 'engine-2-to-3k',
    name: 'Engine class: 2 … 3 kΩ at 20 °C, 0.2 … 0.4 kΩ at 80 °C',
    curve: engineClass([20, 2000, 3000], [80, 200, 400]),
    source: PRACTICE,
    common: false,
  },
  {
    id: 'engine-5-to-7k',
    name: 'Engine class: 5 … 7 kΩ at 20 °C, 0.5 … 0.8 kΩ at 80 °C',
    curve: engineClass([20, 5000, 7000], [80, 500, 800]),
    source: PRACTICE,
    common: false,
  },
  { id: 'pt100', name: 'Platinum Pt100', curve: { kind: 'platinum', r0Ohm: 100 }, source: 'IEC 60751', common: true },
  { id: 'pt200', name: 'Platinum Pt200', curve: { kind: 'platinum', r0Ohm: 200 }, source: 'IEC 60751', common: true },
  { id: 'pt500', name: 'Platinum Pt500', curve: { kind: 'platinum', r0Ohm: 500 }, source: 'IEC 60751', common: false },
  {
    id: 'pt1000',
    name: 'Platinum Pt1000',
    curve: { kind: 'platinum', r0Ohm: 1000 },
    source: 'IEC 60751',
    common: true,
  },
  {
    id: 'pt1000-3750',
    name: 'Platinum Pt1000, 3750 ppm/K',
    curve: { kind: 'platinum', r0Ohm: 1000, a: 3.8102e-3, b: -6.01888e-7, c: -6e-12 },
    source: HANDBOOK,
    common: false,
  },
  {
    id: 'pt1000-3911',
    name: 'Platinum Pt1000, 3911 ppm/K',
    curve: { kind: 'platinum', r0Ohm: 1000, a: 3.9692e-3, b: -5.8495e-7, c: -4.2325e-12 },
    source: HANDBOOK,
    common: false,
  },
  {
    id: 'ni100-din',
    name: 'Nickel Ni100, 6180 ppm/K',
    curve: { kind: 'nickel', r0Ohm: 100, grade: 'din43760' },
    source: 'DIN 43760, from memory',
    common: false,
  },
  {
    id: 'ni120-din',
    name: 'Nickel Ni120, 6180 ppm/K',
    curve: { kind: 'nickel', r0Ohm: 120, grade: 'din43760' },
    source: 'DIN 43760, from memory',
    common: false,
  },
  {
    id: 'ni120-6720',
    name: 'Nickel Ni120, 6720 ppm/K',
    curve: table('-80:66.6 -40:92.76 0:120 100:200.64 200:303.46 260:380.31'),
    source: HANDBOOK,
    common: false,
  },
  {
    id: 'ni1000-din',
    name: 'Nickel Ni1000, 6180 ppm/K',
    curve: { kind: 'nickel', r0Ohm: 1000, grade: 'din43760' },
    source: 'DIN 43760, from memory',
    common: true,
  },
  {
    id: 'ni1000-tk5000',
    name: 'Nickel Ni1000, 5000 ppm/K',
    curve: { kind: 'nickel', r0Ohm: 1000, grade: 'tk5000' },
    source: HANDBOOK,
    common: false,
  },
  {
    id: 'si-1k',
    name: 'Silicon PTC 1 kΩ',
    curve: { kind: 'silicon-ptc', r25Ohm: 1000 },
    source: HANDBOOK,
    common: false,
  },
  {
    id: 'si-2k',
    name: 'Silicon PTC 2 kΩ',
    curve: { kind: 'silicon-ptc', r25Ohm: 2000 },
    source: HANDBOOK,
    common: true,
  },
  {
    id: 'si-1k-167',
    name: 'Silicon PTC 1 kΩ, R100/R25 1.67',
    curve: { kind: 'silicon-ptc', r25Ohm: 1000, alpha: 7.635e-3, beta: 1.731e-5 },
    source: HANDBOOK,
    common: false,
  },
  {
    id: 'si-603',
    name: 'Silicon PTC 603 Ω (1 kΩ at 100 °C)',
    curve: { kind: 'silicon-ptc', r25Ohm: 603, alpha: 7.413e-3, beta: 1.824e-5 },
    source: HANDBOOK,
    common: false,
  },
];

/** Ids that stored checks have for a curve that stands under another one. */
const ALIASES: Readonly<Record<string, string>> = { 'ntc-30k-engine': 'ntc-30k' };

/** The curve of an id, also of one that is no longer listed; undefined where there is none. */
export const catalogueCurve = (id: string): CatalogueCurve | undefined =>
  CATALOGUE_CURVES.find((c) => c.id === (ALIASES[id] ?? id));

let commonModels: { name: string; model: CurveModel }[] | null = null;

/** The common curves that could pass for another part: those that differ from `own` by more than 12 % in resistance at 0, 25 or 50 °C. */
export function otherCommonCurves(own: CurveModel): { name: string; model: CurveModel }[] {
  // Worked out once: every check asks for them, and a table takes longer to make than to compare.
  commonModels ??= CATALOGUE_CURVES.filter((entry) => entry.common).map((entry) => ({
    name: entry.name,
    model: curveModel(entry.curve),
  }));
  return commonModels.filter(({ model }) =>
    [0, 25, 50].some((t) => Math.abs(Math.log(model.resistanceOhm(t) / own.resistanceOhm(t))) > Math.log(1.12)),
  );
}

/** B of an NTC between two temperatures (°C), K: makers tell it for 25 and 85 °C, for 0 and 50 °C, and do not always say which. */
export function betaBetween(model: CurveModel, lowC: number, highC: number): number {
  return (
    Math.log(model.resistanceOhm(lowC) / model.resistanceOhm(highC)) / (1 / (lowC + KELVIN) - 1 / (highC + KELVIN))
  );
}
