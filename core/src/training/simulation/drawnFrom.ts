import { CATALOGUE_CIRCUITS, type CatalogueCircuit } from '../../catalogue/parts/circuits.ts';
import { type Finding, FINDINGS } from '../../catalogue/parts/findings.ts';
import { type Symptom, SYMPTOMS } from '../../catalogue/parts/symptoms.ts';
import type { Fault } from '../../circuit/faults/fault.ts';
import { faultById } from '../../circuit/faults/list.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import type { Measurement } from '../../circuit/measurements/measurement.ts';

// What made-up cases are drawn from. The number of a training case stands on signed pages and the seed of a simulated one in the reports, so both have to
// stay the same case when the lists of the product grow: a new fault, test or circuit is drawn only once it is added here, and the generator's number
// (`GENERATOR` in cases/caseNumber.ts) is raised with it.

/** Of generator 1. */
const FAULT_IDS: readonly string[] = [
  'healthy',
  'sensor-open',
  'sensor-short',
  'sensor-high',
  'sensor-low',
  'sensor-wrong-type',
  'sensor-to-body',
  'signal-open',
  'return-open',
  'signal-resistive',
  'return-resistive',
  'signal-to-ground',
  'signal-to-return',
  'signal-to-supply',
  'ground-offset',
  'reference-low',
  'reference-missing',
  'reference-high',
  'pull-up-drift',
  'input-conversion',
  'placement',
];

/** Of generator 1. */
const TEST_IDS: readonly string[] = [
  'displayed',
  'displayed-unplugged',
  'displayed-bridged',
  'displayed-substituted',
  'open-voltage',
  'open-voltage-return',
  'supply-to-return',
  'open-voltage-return-bridged',
  'loaded-voltage',
  'loaded-voltage-return',
  'return-drop',
  'neighbour-reference',
  'reference-alone',
  'sensor-ohms',
  'pin-to-body',
  'off-ohms',
  'bench-ohms',
  'known-good-ohms',
  'panel-ohms',
  'signal-wire-ohms',
  'return-wire-ohms',
  'isolation-ground',
  'isolation-return',
  'dead-wire-voltage',
  'loop-ohms',
  'connector-voltage',
  'connector-ohms',
  'contact-drop',
  'parted-voltage',
  'neighbour-displayed',
];

/** Of generator 1. */
const CIRCUIT_IDS: readonly string[] = [
  'engine-coolant-2k',
  'engine-coolant-2k8',
  'engine-air-2k5',
  'engine-oil-1k',
  'exhaust-pt200',
  'gauge-sender',
  'coil-5k',
  'air-10k-33',
  'air-10k-steep',
  'boiler-12k',
  'boiler-10k-mirrored',
  'boiler-ni1000',
  'boiler-si-2k',
  'unknown-5v',
];

/** Of generator 1. */
const SYMPTOM_IDS: readonly string[] = [
  'rich',
  'hard-start',
  'fouled-plugs',
  'fans-never',
  'gauge-high',
  'fans-from-cold',
  'lean',
  'gauge-jumps',
  'compressor-never',
  'icing',
  'cabin-too-warm',
  'cabin-too-cold',
  'display-dashes',
  'no-heat',
  'too-much-heat',
  'lockout',
  'water-scalds',
  'water-lukewarm',
];

/** Of generator 1. */
const FINDING_IDS: readonly string[] = [
  'several-codes',
  'sensor-replaced',
  'wiring-repaired',
  'module-replaced',
  'crash-damage',
  'corrosion',
  'moisture',
  'chafed',
  'loose',
  'falls-when-heated',
  'jumps-when-heated',
  'moves-when-wiggled',
  'steady-when-wiggled',
];

/** The entries of a list by their frozen ids, in the frozen order. Throws on an id that the list has lost. */
function frozen<T extends { id: string }>(ids: readonly string[], list: readonly T[]): readonly T[] {
  return ids.map((id) => {
    const found = list.find((entry) => entry.id === id);
    if (!found) throw new Error(`drawnFrom: "${id}" is drawn by the generator and no longer in its list`);
    return found;
  });
}

export const DRAWN_FAULTS: readonly Fault[] = FAULT_IDS.map(faultById);
export const DRAWN_TESTS: readonly Measurement[] = TEST_IDS.map(measurementById);
export const DRAWN_CIRCUITS: readonly CatalogueCircuit[] = frozen(CIRCUIT_IDS, CATALOGUE_CIRCUITS);
export const DRAWN_SYMPTOMS: readonly Symptom[] = frozen(SYMPTOM_IDS, SYMPTOMS);
export const DRAWN_FINDINGS: readonly Finding[] = frozen(FINDING_IDS, FINDINGS);
