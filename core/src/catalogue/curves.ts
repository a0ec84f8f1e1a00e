import { type Curve, curveModel } from '../curves/curve.ts';
import type { CurveModel } from '../curves/curveModel.ts';

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

export const CATALOGUE_CURVES: readonly CatalogueCurve[] = [
  {
    id: 'ntc-2k-b3600',
    name: 'NTC 2 kΩ, B 3600',
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
    name: 'NTC 2.252 kΩ, B 3891',
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
    name: 'NTC 3 kΩ, B 3891',
    curve: table(
      '-40:101000 -30:53100 -20:29130 -10:16600 0:9796 10:5971 20:3748 25:3000 30:2417 40:1598 ' +
        '50:1081 60:746.3 70:525.4 80:376.9 90:274.9 100:203.8 110:153.2 120:116.8',
    ),
    source: HANDBOOK,
    common: false,
  },
  {
    id: 'ntc-5k',
    name: 'NTC 5 kΩ, B 3891',
    curve: table(
      '-40:168300 -30:88500 -20:48560 -10:27670 0:16330 10:9951 20:6247 25:5000 30:4029 40:2663 ' +
        '50:1801 60:1244 70:875.7 80:628.1 90:458.2 100:339.6 110:255.3 120:194.7',
    ),
    source: HANDBOOK,
    common: true,
  },
  {
    id: 'ntc-10k-steep',
    name: 'NTC 10 kΩ, steep, B 3976',
    curve: table(
      '-40:335671 -30:176683 -20:96974 -10:55298 0:32651 10:19904 20:12494 25:10000 30:8057 ' +
        '40:5327 50:3603 60:2488 70:1752 80:1255.5 90:915.4 100:678.6 110:511 120:389.3',
    ),
    source: HANDBOOK,
    common: true,
  },
  {
    id: 'ntc-10k-flat',
    name: 'NTC 10 kΩ, flat, B 3575',
    curve: table(
      '-40:239831 -30:135233 -20:78913 -10:47540 0:29490 10:18790 20:12260 25:10000 30:8194 ' +
        '40:5592 50:3893 60:2760 70:1990 80:1458 90:1084 100:816.8 110:623.5 120:481.8',
    ),
    source: HANDBOOK,
    common: true,
  },
  {
    id: 'ntc-12k',
    name: 'NTC 12 kΩ, boiler, B 3740',
    curve: table(
      '0:36129 5:28516 10:22763 15:18279 20:14772 25:11981 30:9786 35:8047 40:6653 45:5523 ' +
        '50:4608 55:3856 60:3243 65:2744 70:2332 75:1990 80:1704 85:1464 90:1262 95:1093 100:950',
    ),
    source: HANDBOOK,
    common: true,
  },
  {
    id: 'ntc-30k',
    name: 'NTC 30 kΩ, B 3810',
    curve: table(
      '-40:884600 -30:481000 -20:271200 -10:158000 0:94980 10:58750 20:37300 25:30000 30:24270 ' +
        '40:16150 50:10970 60:7599 70:5359 80:3843 90:2799 100:2069 110:1550 120:1176',
    ),
    source: HANDBOOK,
    common: true,
  },
  {
    id: 'ntc-30k-engine',
    name: 'NTC 30 kΩ (37.3 kΩ at 20 °C), engine air',
    curve: table(
      '0:95000 10:58750 20:37300 30:24270 40:16150 50:10970 60:7600 70:5370 80:3840 90:2800 ' +
        '100:2070 110:1550 120:1180',
    ),
    // The 7700 Ω that is handed down for 60 °C lie 0.37 K off the curve through all other rows, which say 7600.
    source: `${HANDBOOK}; 60 °C mended from 7700 Ω by its neighbours`,
    common: false,
  },
  {
    id: 'ntc-47k',
    name: 'NTC 47 kΩ, B 4050',
    curve: { kind: 'beta', r25Ohm: 47000, betaK: 4050 },
    source: PRACTICE,
    common: false,
  },
  {
    id: 'ntc-50k',
    name: 'NTC 50 kΩ, B 3950',
    curve: { kind: 'beta', r25Ohm: 50000, betaK: 3950 },
    source: PRACTICE,
    common: true,
  },
  {
    id: 'ntc-100k',
    name: 'NTC 100 kΩ, B 4250',
    curve: { kind: 'beta', r25Ohm: 100000, betaK: 4250 },
    source: PRACTICE,
    common: true,
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
];

/** The common curves that could pass for another part: those that differ from `own` by more than 12 % in resistance at 0, 25 or 50 °C. */
export function otherCommonCurves(own: CurveModel): { name: string; model: CurveModel }[] {
  return CATALOGUE_CURVES.filter((entry) => entry.common)
    .map((entry) => ({ name: entry.name, model: curveModel(entry.curve) }))
    .filter(({ model }) =>
      [0, 25, 50].some((t) => Math.abs(Math.log(model.resistanceOhm(t) / own.resistanceOhm(t))) > Math.log(1.12)),
    );
}
