import { catalogueCircuit } from '../../catalogue/parts/catalogueCircuit.ts';
import type { CodeMeaning, ThermometerKind } from '../../base/units/vocabulary.ts';
import { PULL_UP_SPREAD } from '../../circuit/network/spread.ts';
import type { SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import { SolvedCircuit } from '../../circuit/network/solvedCircuit.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import { type Fault, positionOf } from '../../circuit/faults/fault.ts';
import { GENERIC_INSTRUMENTS, THERMOMETER_SIGMA_K } from '../../catalogue/kit/instruments.ts';
import { thermometerAt } from '../../catalogue/kit/instrumentsOf.ts';
import { genericKit } from '../../catalogue/kit/kitSchema.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import { DRAWN_CIRCUITS, DRAWN_FINDINGS } from './drawnFrom.ts';
import type { Measurement } from '../../circuit/measurements/measurement.ts';
import { codeFactors } from '../../inference/model/codeFactors.ts';
import { settingOfCircuit } from '../../inference/model/hypotheses.ts';
import { pooled, type PriorFactor } from '../../inference/model/priorFactor.ts';
import type { Problem, ReadingInput, Thermometer } from '../../inference/model/problem.ts';
import { normalQuantile } from '../../base/numeric/normal.ts';
import { drawBy, happens, pick, seededUniform, type Uniform } from '../../base/numeric/random.ts';
import { drawFault } from './simulateCase.ts';
import { EXACT, FIRST_NINE, plainProblem, realState, SOUND } from './soundCircuit.ts';

/** In which way a yard is wider than the model of §1 to §4; one row each of fault model §6, or all together. */
export const YARD_ROWS = [
  'reference',
  'module input',
  'scale ends',
  'codes and findings',
  'thermometer',
  'told temperature',
  'specification of one line',
  'curve not known',
  'slips',
  'all together',
  'substitute unknown',
  'bad contact',
  'infra-red on metal',
  'typical pull-up',
  'two effects',
  'intermittent',
] as const;
export type YardRow = (typeof YARD_ROWS)[number];

/** A case drawn wide, as a technician would enter it, and what is really wrong. */
export interface YardCase {
  problem: Problem;
  fault: Fault;
}

/** The readings after the first nine, in the order in which they are taken. */
const THEN = [
  'neighbour-reference',
  'isolation-ground',
  'isolation-return',
  'signal-wire-ohms',
  'return-wire-ohms',
  'dead-wire-voltage',
  'pin-to-body',
  'known-good-ohms',
];
const WHEN_HOT = ['displayed', 'sensor-ohms'];

/** What a module shows while its pin is at an end, where it does not show the end itself, °C. Common practice, no source. */
const SHOWN_INSTEAD = [0, 20, 25, 40, 60, 80] as const;
/** How often it does, in the row that is about it. */
const SHOWS_INSTEAD = 0.67;
/** A thermometer on the outside of a pipe, and one that reads the radiation of bare metal: at most this share of what they show is the surroundings. */
const [OUTSIDE, REFLECTED] = [0.25, 0.75];
/** Surroundings, °C: an outdoor wall in winter to a boiler room; for radiation from a cold sky on. */
const [AIR_C, SKY_C] = [
  [5, 30],
  [-20, 30],
] as const;
/** What can come and go with heat: contacts, cracks, leaks and supplies, not a part of the wrong kind or one that drifted. Common practice, no source. */
const NEVER_COMES_AND_GOES = [
  'healthy',
  'placement',
  'sensor-wrong-type',
  'sensor-low',
  'sensor-high',
  'input-conversion',
  'pull-up-drift',
] as const;
/** In which readings what only fails when hot is there to be seen: the last ones. */
const LAST_HOT = ['displayed', 'loaded-voltage', 'sensor-ohms'];

/**
 * One case of a row with `count` readings (1 to 19). What is told is nominal, what is read comes from the real figures by one meter with its own
 * error; one reading in a hundred is a blunder. Same seed, same case.
 */
export function yardCase(seed: number, row: YardRow, count: number): YardCase {
  const uniform = seededUniform(seed * 6007 + 5);
  // Draws of their own for the later rows, so that the cases of the first ones stay what they are.
  const apart = seededUniform(seed * 7573 + 29);
  const is = (...rows: YardRow[]): boolean => row === 'all together' || rows.includes(row);
  const known = DRAWN_CIRCUITS.filter((c) => c.pullUpOhm !== null);
  const circuit = catalogueCircuit(pick(known, uniform).id);
  const drawn = drawFault(plainProblem(circuit), uniform);
  const fault = row === 'intermittent' ? drawIntermittent(plainProblem(circuit), apart) : drawn;
  const real = realState(circuit, uniform, {
    reference: is('reference', 'two effects'),
    input: is('module input', 'two effects'),
    ends: is('scale ends'),
    parts: is('two effects'),
  });
  if (row === 'typical pull-up') {
    // The module knows its own pull-up; the list the technician took it from does not.
    const off = Math.exp(PULL_UP_SPREAD.usual * normalQuantile(apart()));
    real.pullUpOhm *= off;
    real.nominalPullUpOhm *= off;
  }
  if (row === 'substitute unknown' && happens(SHOWS_INSTEAD, apart))
    real.display = { ...real.display, substituteC: pick(SHOWN_INSTEAD, apart) };
  const spread = row === 'all together' ? SOUND.meter : EXACT.meter * Math.sqrt(3);
  const gain = 1 + (2 * uniform() - 1) * spread;
  const branch = drawBranch(fault, circuit, uniform);
  const position = positionOf(branch, uniform());
  const comesWithHeat = row === 'intermittent';
  const at = (temperatureC: number, hot = false): SolvedCircuit => {
    const state = { ...real, temperatureC };
    if (hot || !comesWithHeat) branch.apply(state, position);
    return new SolvedCircuit().set(state);
  };
  const [coldC, hotC] = [2 + 28 * uniform(), 60 + 35 * uniform()];
  const thermometer = (t: number): Thermometer =>
    row === 'bad contact' || row === 'infra-red on metal'
      ? shownBy(row === 'bad contact' ? 'pipe-clamp' : 'infra-red-shiny', t, apart)
      : toldBy(t, is('thermometer', 'two effects'), is('told temperature'), uniform);
  const thermometers = { steady: thermometer(coldC), hot: thermometer(hotC) };
  const chosen = chooseReadings(circuit, count, row === 'intermittent' ? LAST_HOT : []);
  const readings = chosen.map(({ measurement, hot }, i): ReadingInput => {
    const ideal = measurement.predict(at(hot ? hotC : coldC, hot), {});
    const value = taken(measurement, ideal, gain, uniform, circuit);
    const state = hot ? 'hot' : 'steady';
    return { id: `r${i}`, measurement: measurement.id, value, conditions: {}, state };
  });
  if (is('slips') && happens(row === 'slips' ? 1 : 0.3, uniform)) slip(readings, uniform);
  const told = toldCircuit(circuit, row, uniform);
  const factors = is('codes and findings') ? toldFactors(circuit, at(coldC), fault, coldC, uniform) : {};
  const comesAndGoes = row === 'intermittent' ? { comesAndGoes: ['hot' as const] } : {};
  return {
    fault,
    problem: { circuit: told, thermometers, readings, instruments: GENERIC_INSTRUMENTS, factors, ...comesAndGoes },
  };
}

/** A fault by its weight, of those that can come and go. */
function drawIntermittent(problem: Problem, uniform: Uniform): Fault {
  const fault = drawFault(problem, uniform);
  return NEVER_COMES_AND_GOES.some((id) => id === fault.id) ? drawIntermittent(problem, uniform) : fault;
}

/** A temperature as a thermometer shows it that takes part of what it shows from the surroundings. */
function shownBy(kind: ThermometerKind, realC: number, uniform: Uniform): Thermometer {
  const [most, [low, high]] = kind === 'pipe-clamp' ? [OUTSIDE, AIR_C] : [REFLECTED, SKY_C];
  const share = most * uniform();
  const shown = (1 - share) * realC + share * (low + (high - low) * uniform()) + normalQuantile(uniform());
  return thermometerAt({ ...genericKit(), thermometer: kind }, Math.round(2 * shown) / 2);
}

function drawBranch(fault: Fault, circuit: SensorCircuit, uniform: Uniform): ReturnType<Fault['branches']>[number] {
  return drawBy(fault.branches(settingOfCircuit(circuit)), (b) => b.share, uniform);
}

/** The temperature as it is told: by a thermometer, or as a range of six to sixteen degrees around the truth. */
function toldBy(realC: number, off: boolean, asRange: boolean, uniform: Uniform): Thermometer {
  const [u, v, w] = [uniform(), uniform(), uniform()];
  if (asRange && u < 0.7) {
    const halfWidthK = 3 + 5 * v;
    return { readC: Math.round(realC + (2 * w - 1) * halfWidthK), sigmaK: 1, halfWidthK };
  }
  const error = off ? (2 * v - 1) * SOUND.thermometerK : EXACT.thermometerK * normalQuantile(v);
  return { readC: Math.round(2 * (realC + error)) / 2, sigmaK: THERMOMETER_SIGMA_K };
}

function chooseReadings(
  circuit: SensorCircuit,
  count: number,
  lastHot: readonly string[],
): { measurement: Measurement; hot: boolean }[] {
  const fits = (id: string): boolean => measurementById(id).layouts.includes(circuit.layout);
  const cold = [...FIRST_NINE, ...THEN].filter(fits).map((id) => ({ measurement: measurementById(id), hot: false }));
  const toHot = (id: string) => ({ measurement: measurementById(id), hot: true });
  const hot = (lastHot.length > 0 ? lastHot : WHEN_HOT).filter(fits).map(toHot);
  if (lastHot.length > 0) return [...cold.slice(0, count - hot.length), ...hot];
  return count <= FIRST_NINE.length ? cold.slice(0, count) : [...cold.slice(0, count - hot.length), ...hot];
}

/** A figure as it is read and written down: the meter's own share and rounding, now and then a blunder. */
function taken(
  { quantity }: Measurement,
  ideal: number,
  gain: number,
  uniform: Uniform,
  { display, supplyV }: SensorCircuit,
): number {
  const [chance, z, p] = [uniform(), normalQuantile(uniform()), uniform()];
  if (chance < GENERIC_INSTRUMENTS.blunder) {
    if (quantity === 'volts') return Number((p * supplyV).toFixed(2));
    if (quantity === 'celsius') return Math.round(display.minC + p * (display.maxC - display.minC));
    return p < 0.2 ? Infinity : Number(Math.exp(14 * p).toPrecision(3));
  }
  if (quantity === 'celsius') return Math.round(ideal + 0.3 * z);
  if (ideal === Infinity) return ideal;
  const noisy = ideal * gain + (quantity === 'volts' ? 0.003 : 0.1) * z;
  return quantity === 'volts' ? Number(noisy.toFixed(3)) : Number(Math.max(0, noisy).toPrecision(4));
}

/** Lets one figure slip: a k missed on ohms, or °F taken for °C. */
function slip(readings: ReadingInput[], uniform: Uniform): void {
  const open = readings.filter((r) => measurementById(r.measurement).quantity !== 'volts' && Number.isFinite(r.value));
  if (open.length === 0) return;
  const one = pick(open, uniform);
  const at = readings.indexOf(one);
  const celsius = measurementById(one.measurement).quantity === 'celsius';
  readings[at] = { ...one, value: celsius ? Math.round((one.value * 9) / 5 + 32) : one.value / 1000 };
}

/** The circuit as it is told: its curve as it is, as a band of ± 20 % at 20 °C, or not at all. */
function toldCircuit(circuit: SensorCircuit, row: YardRow, uniform: Uniform): SensorCircuit {
  const u = uniform();
  const band = row === 'specification of one line' || (row === 'all together' && u < 0.25);
  const unknown = row === 'curve not known' || (row === 'all together' && u > 0.9);
  if (unknown) return { ...circuit, curve: curveModel({ kind: 'unknown' }) };
  if (!band) return circuit;
  const middle = circuit.curve.resistanceOhm(20) * (1 + 0.3 * (uniform() - 0.5));
  const bands = [{ temperatureC: 20, lowOhm: 0.8 * middle, highOhm: 1.2 * middle }];
  return { ...circuit, curve: curveModel({ kind: 'band', slope: circuit.curve.slope, bands }) };
}

/** What is told beside the readings: a code by what the module sees, and findings that belong together. */
function toldFactors(
  circuit: SensorCircuit,
  seen: SolvedCircuit,
  fault: Fault,
  temperatureC: number,
  uniform: Uniform,
): Record<string, number> {
  const factors: PriorFactor[] = [];
  const share = seen.pinVolts('sensor') / seen.state.nominalReferenceV;
  const says: CodeMeaning | null =
    share < 0.04 ? 'low' : share > 0.96 ? 'high' : happens(0.1, uniform) ? 'range' : null;
  if (says && happens(0.9, uniform))
    factors.push({ source: 'code', name: says, ratios: codeFactors(circuit, says, 'present', temperatureC) });
  // Wiring looks bad more often where it is bad, and where it looks bad in one way it does in others.
  if (happens(fault.group === 'wiring' ? 0.5 : 0.15, uniform))
    for (const { id, name, ratios } of DRAWN_FINDINGS)
      if (['corrosion', 'moisture', 'moves-when-wiggled'].includes(id) && happens(0.6, uniform))
        factors.push({ source: 'finding', name, ratios });
  return pooled(factors);
}
