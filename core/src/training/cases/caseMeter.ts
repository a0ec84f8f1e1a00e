import type { CircuitState } from '../../circuit/network/sensorCircuit.ts';
import { parallelOhm, type Plug, type Probe, SolvedCircuit } from '../../circuit/network/solvedCircuit.ts';
import type { Conditions, Measurement } from '../../circuit/measurements/measurement.ts';
import { noiseOf } from '../../inference/model/predictor.ts';
import { normalQuantile } from '../../base/numeric/normal.ts';
import { fnv1a } from '../../base/numeric/fnv1a.ts';
import { seededUniform } from '../../base/numeric/random.ts';
import type { FaultGroup } from '../../base/units/vocabulary.ts';
import { bridges, type CavityPair, keyFor, type Mistake, plugFor, type SetUp, waitsFor } from './setUp.ts';
import type { TrainingCase } from './trainingCase.ts';
import { circuitIn } from './trueMachine.ts';

/** What the instrument shows. */
export interface Shown {
  /** As it stands on the display: "2.88" on a range that is set by hand, "2.88 kΩ" on automatic; empty where nothing steady stands there. */
  text: string;
  /** V, Ω (Infinity is OL) or °C behind it; null where nothing can be read off. */
  value: number | null;
  mistakes: Mistake[];
  /** What broke. */
  damage: 'input' | 'fuse' | null;
}

/** A circuit of which the plug is as it is, whatever the test thinks. */
class AsItStands extends SolvedCircuit {
  constructor(private readonly plug: Plug) {
    super();
  }
  override volts(_asked: Plug, red: Probe, black: Probe, returnBridged = false): number {
    return super.volts(this.plug, red, black, returnBridged);
  }
  override displayedC(): number {
    return super.displayedC(this.plug);
  }
}

/** The cavities of a pair, as what they are. */
function carriedBy({ cavities }: TrainingCase, pair: CavityPair): Set<string> {
  return new Set(pair.split('-').map((n) => cavities[Number(n) - 1]));
}

/** The pair that is signal and return. */
export function rightPair(ofCase: TrainingCase): CavityPair {
  const at = (what: string): number => ofCase.cavities.findIndex((c) => c === what) + 1;
  const [a, b] = [at('signal'), at('return')].sort((x, y) => x - y);
  return `${a}-${b}` as CavityPair;
}

/** A sensor that was not waited for has come this far towards its bath; one in the hand this far towards the hand, °C. */
const [HALF_WAY, HAND_C] = [0.55, 33];

/** What a test shows on a case, set up like this. `nth`: how often it was taken so before; the same call shows the same. */
export function showsOn(
  ofCase: TrainingCase,
  measurement: Measurement,
  conditions: Conditions,
  setUp: SetUp,
  nth: number,
  mended: readonly FaultGroup[] = [],
): Shown {
  const { machine, other, plug } = ofCase;
  const wrongPlug = other !== null && setUp.at !== plug && touchesPlug(measurement);
  const mistakes = [...(wrongPlug ? (['wrong-plug'] as const) : []), ...setUpMistakes(measurement, setUp)];
  const pair = carriedBy(ofCase, setUp.across);
  if (usesPair(measurement, setUp) && pair.has('supply')) {
    mistakes.push('wrong-cavities');
    if (setUp.plug !== 'resistor')
      return { text: '', value: null, mistakes, damage: pair.has('signal') ? 'input' : 'fuse' };
  }
  const circuit = circuitIn(wrongPlug ? other : machine, setUp.state, mended);
  if (!setUp.key && measurement.quantity !== 'ohms') Object.assign(circuit, { referenceV: 0, groundOffsetV: 0 });
  const ideal = idealOn(ofCase, measurement, conditions, setUp, circuit, wrongPlug, mended);
  if (ideal === null) return { text: '', value: null, mistakes, damage: null };
  const noise = noiseOf(machine.problem, measurement, conditions);
  const uniform = seededUniform(streamOf(ofCase, measurement, conditions, setUp, nth));
  const [chance, p] = [uniform(), uniform()];
  const slipped = measurement.quantity !== 'celsius' && chance < machine.problem.instruments.blunder;
  const read = slipped ? badContact(measurement, ideal, p) : noise.draw(ideal, normalQuantile(p));
  return displayed(measurement, read, setUp, mistakes);
}

/** What of the set-up is not as the measurement wants it: key, plug and waiting. */
function setUpMistakes(measurement: Measurement, setUp: SetUp): Mistake[] {
  const mistakes: Mistake[] = [];
  const [key, plugged] = [keyFor(measurement), plugFor(measurement)];
  if (key !== null && key !== setUp.key) mistakes.push(key ? 'key-off' : 'key-on');
  if (plugged !== null && plugged !== setUp.plug)
    mistakes.push(plugged === 'out' ? 'plug-not-pulled' : plugged === 'in' ? 'plug-pulled' : 'not-bridged');
  if (waitsFor(measurement) && !setUp.waited) mistakes.push('not-waited');
  return mistakes;
}

/** Is something put across a pair of cavities for this measurement? */
const usesPair = (measurement: Measurement, { plug }: SetUp): boolean =>
  plugFor(measurement) !== null && (bridges(measurement) || plug === 'bridged' || plug === 'resistor');

/** A probe that hardly touches: volts fall away, ohms rise or are gone. Taken again it is not so. Common practice, no source. */
const badContact = ({ quantity }: Measurement, ideal: number, p: number): number =>
  quantity === 'volts' ? ideal * p : p < 0.5 ? Infinity : ideal / (1 - 0.9 * p);

/** Does it look at the sensor plug, or at the display of the sensor that hangs on it? */
const touchesPlug = ({ atNeighbour, quantity, setup }: Measurement): boolean =>
  !atNeighbour && !(quantity === 'celsius' && setup === 'scan');

/** What a perfect instrument would show; null where nothing steady stands on it. */
function idealOn(
  ofCase: TrainingCase,
  measurement: Measurement,
  conditions: Conditions,
  setUp: SetUp,
  circuit: CircuitState,
  wrongPlug: boolean,
  mended: readonly FaultGroup[],
): number | null {
  const { quantity } = measurement;
  const plug = plugOf(setUp, conditions);
  if (quantity === 'celsius') {
    // A dark display shows nothing; the display of one sensor does not move for the plug of another.
    if (!setUp.key) return null;
    const own = wrongPlug ? circuitIn(ofCase.machine, setUp.state, mended) : circuit;
    const crossed = bridges(measurement) && carriedBy(ofCase, setUp.across).has('supply');
    const solved = new AsItStands(wrongPlug ? 'sensor' : crossed ? 'open' : plug).set(own);
    return measurement.predict(solved, conditions);
  }
  const asked = setUp.waited ? conditions : halfWay(measurement, conditions, circuit.temperatureC);
  if (quantity === 'volts') return measurement.predict(new AsItStands(plug).set(circuit), asked);
  return idealOhms(measurement, asked, setUp, new SolvedCircuit().set(circuit));
}

/** What hangs on the plug's wires. */
function plugOf({ plug }: SetUp, { substituteOhm = 1000 }: Conditions): Plug {
  const hangs = { in: 'sensor', out: 'open', bridged: 'bridge', resistor: substituteOhm } as const;
  return hangs[plug];
}

/** Conditions as the sensor feels them where nobody waited for it. */
function halfWay({ needs, ofNeighbour }: Measurement, conditions: Conditions, fromC: number): Conditions {
  const felt = { ...conditions };
  if (ofNeighbour) return felt;
  if (needs.includes('bathC')) felt.bathC = fromC + HALF_WAY * (felt.bathC! - fromC);
  if (needs.includes('airC')) felt.airC = felt.airC! + HALF_WAY * (HAND_C - felt.airC!);
  return felt;
}

function idealOhms(measurement: Measurement, asked: Conditions, setUp: SetUp, solved: SolvedCircuit): number | null {
  const ohm = measurement.predict(solved, asked);
  const wanted = plugFor(measurement);
  if (wanted === null) return ohm;
  // Ohms on a live circuit: the meter jumps about and shows nothing one could write down.
  if (setUp.key && setUp.plug === 'in') return null;
  if (wanted === 'out' && setUp.plug === 'in') return withPlugIn(measurement, ohm, solved);
  if (wanted === 'in' && setUp.plug === 'out') return Infinity;
  return ohm;
}

/** What ohms show while the plug is still seated: the circuit lies beside what is measured. */
function withPlugIn({ id, onSensor }: Measurement, ohm: number, { state, sensorOhm }: SolvedCircuit): number {
  const wires = state.signalOhm + state.signalFaultOhm + state.returnOhm + state.returnFaultOhm;
  // Through the module, whose reference is dead and lies at its ground.
  if (onSensor) return parallelOhm(ohm, 1 / (state.pullUpOhm + wires));
  if (id === 'isolation-ground' || id === 'isolation-return' || id === 'pin-to-body')
    return parallelOhm(ohm, 1 / (sensorOhm + wires));
  return ohm;
}

/** The stream of chance of one reading: by case, test, conditions and count, so that it shows the same in whatever order tests are taken. */
function streamOf(
  { key, number }: TrainingCase,
  { id }: Measurement,
  conditions: Conditions,
  { state, at, plug }: SetUp,
  nth: number,
): number {
  const told = `${number} ${id} ${JSON.stringify(conditions)} ${state} ${at} ${plug} ${nth}`;
  return fnv1a(new TextEncoder().encode(told), key.seed + 1);
}

const FULL: Readonly<Record<Exclude<SetUp['range'], 'auto'>, { ohm: number; factor: number }>> = {
  '200': { ohm: 200, factor: 1 },
  '2k': { ohm: 2000, factor: 1e3 },
  '20k': { ohm: 20e3, factor: 1e3 },
  '200k': { ohm: 200e3, factor: 1e3 },
  '2M': { ohm: 2e6, factor: 1e6 },
  '20M': { ohm: 20e6, factor: 1e6 },
};
/** Counts of a common meter. */
const COUNTS = 2000;
/** Below so many counts a range is too coarse for the figure. */
const COARSE = 40;

function displayed({ quantity }: Measurement, read: number, { range }: SetUp, mistakes: Mistake[]): Shown {
  if (quantity === 'celsius') return shown(`${Math.round(read)} °C`, Math.round(read), mistakes);
  if (quantity === 'volts') {
    const text = read.toFixed(Math.abs(read) < 2 ? 3 : 2);
    return shown(`${text} V`, Number(text), mistakes);
  }
  const ohm = Math.max(0, read);
  if (range === 'auto') {
    const fitting = Object.values(FULL).find(({ ohm: full }) => ohm < full);
    if (!fitting) return shown('OL', Infinity, mistakes);
    return shown(`${figures(ohm, fitting)} ${unitOf(fitting.factor)}`, ohm, mistakes, fitting);
  }
  const set = FULL[range];
  if (ohm >= set.ohm) return shown('OL', Infinity, Number.isFinite(ohm) ? [...mistakes, 'over-range'] : mistakes);
  const coarse: Mistake[] = ohm < (COARSE * set.ohm) / COUNTS && ohm > 1 ? ['coarse-range'] : [];
  return shown(figures(ohm, set), ohm, [...mistakes, ...coarse], set);
}

const unitOf = (factor: number): string => (factor === 1 ? 'Ω' : factor === 1e3 ? 'kΩ' : 'MΩ');

function figures(ohm: number, { ohm: full, factor }: { ohm: number; factor: number }): string {
  const step = full / COUNTS / factor;
  return (Math.round(ohm / factor / step) * step).toFixed(Math.max(0, Math.round(-Math.log10(step))));
}

function shown(text: string, value: number, mistakes: Mistake[], range?: { factor: number }): Shown {
  return { text, value: range ? Number(text.split(' ')[0]) * range.factor : value, mistakes, damage: null };
}
