import type { Layout, MachineField } from '../../base/units/vocabulary.ts';

/** A generic circuit to start from. Every figure can be changed afterwards. V, Ω, °C. Source: common practice, no source. */
export interface CatalogueCircuit {
  id: string;
  name: string;
  field: MachineField;
  layout: Layout;
  referenceV: number;
  pullUpOhm: number | null;
  curveId: string;
  display: { minC: number; maxC: number };
  supplyV: number;
}

/**
 * Share of modules that show a substitute (a plausible fixed value, the last good one, dashes) while their circuit is at an end of its scale, by kind
 * of machine. Common practice, no source.
 */
export const SUBSTITUTES: Readonly<Record<MachineField, number>> = { engine: 0.33, climate: 0.33, boiler: 0.1 };

/** Temperatures that sensors meet at work, °C, by kind of machine; one whose scale goes far beyond sits in exhaust gas. Common practice, no source. */
export function workingRange(
  field: MachineField,
  display: { minC: number; maxC: number },
): { low: number; high: number } {
  if (display.maxC > 300) return { low: 100, high: 700 };
  const [low, high] = ({ engine: [-20, 110], climate: [-10, 50], boiler: [10, 85] } as const)[field];
  return { low: Math.max(low, display.minC), high: Math.min(high, display.maxC) };
}

export const CATALOGUE_CIRCUITS: readonly CatalogueCircuit[] = [
  circuit(
    'engine-coolant-2k',
    'Engine coolant · 5 V · 2.49 kΩ · NTC 2 kΩ',
    'engine',
    5,
    2490,
    'ntc-2k-b3600',
    -40,
    150,
  ),
  circuit('engine-coolant-2k8', 'Engine coolant · 5 V · 2.49 kΩ · NTC 2.8 kΩ', 'engine', 5, 2490, 'ntc-2k8', -40, 180),
  circuit(
    'engine-air-2k5',
    'Engine intake air · 5 V · 2.7 kΩ · NTC 2.5 kΩ',
    'engine',
    5,
    2700,
    'ntc-2k5-at-20',
    -40,
    130,
  ),
  circuit('engine-oil-1k', 'Engine oil · 5 V · 1 kΩ · NTC 2.8 kΩ', 'engine', 5, 1000, 'ntc-2k8', -40, 180),
  circuit('exhaust-pt200', 'Exhaust gas · 5 V · 1 kΩ · platinum Pt200', 'engine', 5, 1000, 'pt200', -40, 930),
  {
    ...circuit(
      'gauge-sender',
      'Gauge sender, one wire · 5 V · 220 Ω · NTC 2.25 kΩ',
      'engine',
      5,
      220,
      'ntc-2252',
      -20,
      150,
    ),
    layout: 'one-wire',
  },
  circuit('coil-5k', 'Evaporator or coil · 5 V · 8.2 kΩ · NTC 5 kΩ', 'climate', 5, 8200, 'ntc-5k', -40, 80),
  circuit(
    'air-10k-33',
    'Room or duct air · 3.3 V · 10 kΩ · NTC 10 kΩ flat',
    'climate',
    3.3,
    10000,
    'ntc-10k-flat',
    -40,
    100,
  ),
  circuit(
    'air-10k-steep',
    'Outdoor coil · 5 V · 10 kΩ · NTC 10 kΩ steep',
    'climate',
    5,
    10000,
    'ntc-10k-steep',
    -40,
    100,
  ),
  circuit(
    'climate-outdoor-10k',
    'Climate outdoor air · 5 V · 10 kΩ · NTC 10 kΩ steep',
    'climate',
    5,
    10000,
    'ntc-10k-steep',
    -40,
    80,
  ),
  circuit('boiler-flow-10k', 'Boiler flow · 5 V · 10 kΩ · NTC 10 kΩ', 'boiler', 5, 10000, 'ntc-10k-steep', 0, 120),
  circuit('boiler-12k', 'Boiler flow · 5 V · 10 kΩ · NTC 12 kΩ', 'boiler', 5, 10000, 'ntc-12k', 0, 120),
  {
    ...circuit(
      'boiler-10k-mirrored',
      'Boiler return · 5 V · 1.5 kΩ to ground · NTC 10 kΩ',
      'boiler',
      5,
      1500,
      'ntc-10k-steep',
      0,
      120,
    ),
    layout: 'pull-down',
  },
  circuit(
    'boiler-ni1000',
    'Boiler outdoor · 3.3 V · 1 kΩ · nickel Ni1000',
    'boiler',
    3.3,
    1000,
    'ni1000-tk5000',
    -50,
    130,
  ),
  circuit('boiler-si-2k', 'Boiler tank · 5 V · 2 kΩ · silicon PTC 2 kΩ', 'boiler', 5, 2000, 'si-2k', -40, 130),
  circuit('unknown-5v', 'Module not known · 5 V · pull-up to be learned', 'engine', 5, null, 'ntc-2k-b3600', -40, 150),
];

function circuit(
  id: string,
  name: string,
  field: MachineField,
  referenceV: number,
  pullUpOhm: number | null,
  curveId: string,
  minC: number,
  maxC: number,
): CatalogueCircuit {
  const supplyV = field === 'engine' ? 12.6 : 12;
  return { id, name, field, layout: 'pull-up', referenceV, pullUpOhm, curveId, display: { minC, maxC }, supplyV };
}
