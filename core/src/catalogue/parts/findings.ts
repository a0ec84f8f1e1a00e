/** Something seen or read that is no measurement, and by how much it makes each fault more or less likely. */
export interface Finding {
  id: string;
  name: string;
  kind: 'code' | 'history' | 'look' | 'feel';
  /** Likelihood ratios by fault; faults not named keep theirs (1). */
  ratios: Readonly<Record<string, number>>;
}

const each = (faults: readonly string[], ratio: number): Record<string, number> =>
  Object.fromEntries(faults.map((f) => [f, ratio]));
const SENSOR = ['sensor-open', 'sensor-short', 'sensor-high', 'sensor-low', 'sensor-to-body'];
const WIRING = [
  'signal-open',
  'return-open',
  'signal-resistive',
  'return-resistive',
  'signal-to-ground',
  'signal-to-return',
  'signal-to-supply',
];
const REFERENCE = ['reference-low', 'reference-missing', 'reference-high'];

/** Likelihood ratios: common practice, no source. The user sees each factor and can change the weights by hand. */
export const FINDINGS: readonly Finding[] = [
  {
    id: 'several-codes',
    kind: 'code',
    name: 'Several circuits of one supply have codes',
    ratios: {
      ...each(REFERENCE, 8),
      'return-open': 4,
      'return-resistive': 4,
      'ground-offset': 5,
      ...each(SENSOR, 0.3),
      ...each(['signal-open', 'signal-resistive'], 0.4),
    },
  },
  {
    id: 'sensor-replaced',
    kind: 'history',
    name: 'A new sensor is fitted already and did not help',
    ratios: { ...each(SENSOR, 0.2), 'sensor-wrong-type': 2 },
  },
  {
    id: 'wiring-repaired',
    kind: 'history',
    name: 'The wiring or connector was repaired already and did not help',
    ratios: each(WIRING, 0.4),
  },
  {
    id: 'module-replaced',
    kind: 'history',
    name: 'Another module is fitted already and did not help',
    ratios: each(['pull-up-drift', 'input-conversion', ...REFERENCE], 0.2),
  },
  { id: 'crash-damage', kind: 'history', name: 'Crash or work on the harness nearby', ratios: each(WIRING, 2.5) },
  {
    id: 'corrosion',
    kind: 'look',
    name: 'Corrosion or bent pins at the plug',
    ratios: {
      ...each(['signal-resistive', 'return-resistive', 'signal-open', 'return-open'], 3),
      'signal-to-return': 3,
    },
  },
  {
    id: 'moisture',
    kind: 'look',
    name: 'Water, coolant or condensate on the plug',
    ratios: {
      'signal-to-return': 5,
      'signal-to-ground': 2.5,
      'sensor-low': 2,
      'signal-resistive': 1.5,
      'return-resistive': 1.5,
    },
  },
  {
    id: 'chafed',
    kind: 'look',
    name: 'Harness chafed or pinched',
    ratios: { 'signal-to-ground': 5, 'signal-to-supply': 4, 'signal-open': 2.5, 'return-open': 2.5 },
  },
  { id: 'loose', kind: 'look', name: 'Sensor loose, in sun, over a vent or not touching', ratios: { placement: 6 } },
  {
    id: 'falls-when-heated',
    kind: 'feel',
    name: 'The value follows smoothly when the sensor is warmed',
    ratios: {
      ...each(['sensor-open', 'sensor-short', 'signal-open', 'return-open', 'reference-missing'], 0.1),
      'sensor-wrong-type': 1.2,
    },
  },
  {
    id: 'jumps-when-heated',
    kind: 'feel',
    name: 'The value jumps or stays when the sensor is warmed',
    ratios: {
      ...each(['sensor-open', 'sensor-short', 'sensor-high', 'sensor-low'], 2.5),
      ...each(['healthy', 'placement', 'sensor-wrong-type'], 0.2),
    },
  },
  {
    id: 'moves-when-wiggled',
    kind: 'feel',
    name: 'The value jumps when the harness is moved',
    ratios: {
      ...each(
        ['signal-open', 'return-open', 'signal-resistive', 'return-resistive', 'signal-to-ground', 'signal-to-supply'],
        5,
      ),
      ...each(['healthy', 'sensor-wrong-type', 'placement', 'pull-up-drift', 'input-conversion'], 0.1),
    },
  },
  {
    id: 'steady-when-wiggled',
    kind: 'feel',
    name: 'The value stays when the harness is moved',
    ratios: each(['signal-open', 'return-open', 'signal-resistive', 'return-resistive'], 0.7),
  },
];
