import type { Layout } from '../../base/units/vocabulary.ts';
import type { CurveModel } from '../curves/curveModel.ts';
import type { Shares } from './chain.ts';
import type { FaultPlaces, PlaceWeights } from './placeWeights.ts';
import type { Spread } from './spread.ts';

/** How the module turns its pin voltage into a displayed temperature. Temperatures in °C. */
export interface DisplayScale {
  minC: number;
  maxC: number;
  resolutionC: number;
  /** Shown instead of a value at either end of the scale, where the module is known to do so. */
  substituteC: number | null;
  /** Chance that the module shows an unknown fixed value, the last good one or nothing while its pin is at an end; absent: hardly ever. */
  substitutes?: number;
  /** Is the pin compared with the reference that feeds the pull-up? null: not known (half and half). */
  ratiometric: boolean | null;
}

/** A circuit as its owner describes it: nominal values. Ω, V, °C. */
export interface SensorCircuit {
  layout: Layout;
  referenceV: number;
  /** null: not known, to be learned from the readings. */
  pullUpOhm: number | null;
  /** Second pull-up that the module switches to when hot (pin below `switchRatio` of the reference), or null. */
  hotPullUpOhm: number | null;
  switchRatio: number;
  curve: CurveModel;
  display: DisplayScale;
  supplyV: number;
  /** Temperatures the sensor meets at work, °C; absent: those of the display's scale. */
  worksC?: { low: number; high: number };
  /** Nominal range of one wire's resistance, Ω. */
  wireMinOhm: number;
  wireMaxOhm: number;
  /** Connectors between module and plug, counted from the module. */
  connectors: number;
  /** How likely the places on the way are; absent: as usual (`usualWeights`). */
  placeWeights?: PlaceWeights;
  /** What other sensors share with it; absent: not known. */
  shares?: Shares;
  /** How well these figures are known. */
  spread: Spread;
}

/** One definite circuit: every value given, faults applied. This is what a test is predicted from. */
export interface CircuitState extends FaultPlaces {
  layout: Layout;
  /** V of the reference above module ground. */
  referenceV: number;
  /** V of the reference above module ground once its neighbours are unplugged; NaN: no neighbour drags it down. */
  aloneV: number;
  /** What the module divides by when its ratio is not ratiometric. */
  nominalReferenceV: number;
  ratiometric: boolean;
  pullUpOhm: number;
  /** What the module believes its pull-up to be. */
  nominalPullUpOhm: number;
  hotPullUpOhm: number | null;
  switchRatio: number;
  inputOhm: number;
  /** Resistance of a sound signal and return wire, Ω, spread evenly over the runs. */
  signalOhm: number;
  returnOhm: number;
  /** Extra resistance of each wire, in one element of the chain, Ω. */
  signalFaultOhm: number;
  returnFaultOhm: number;
  /** V of module ground above chassis. */
  groundOffsetV: number;
  supplyV: number;
  /** Leaks of the signal wire, S: to chassis, to the return, to the supply. */
  leakGroundS: number;
  leakReturnS: number;
  leakSupplyS: number;
  /** Leak from the element to the sensor's own body, S. */
  leakBodyS: number;
  sensorCurve: CurveModel;
  /** Multiplies the curve: tolerance, drift. */
  sensorFactor: number;
  /** 1σ multiples of the curve's form error, shared by sensor and module (both follow the real curve). */
  formError: number;
  /** The unknown that moves the level of a curve which is known only so far; shared by sensor and module as well. */
  levelU: number;
  /** Fixed element resistance in place of the curve (open, shorted), or NaN. */
  sensorFixedOhm: number;
  /** °C by which the sensor is warmer than the place the thermometer is at. */
  sensorOffsetC: number;
  /** °C at the thermometer's place. */
  temperatureC: number;
  /** °C added to what the module shows. */
  displayOffsetC: number;
  /** Shown whatever the pin says, or NaN. */
  displayStuckC: number;
  display: DisplayScale;
  /** The ends of its scale as they really are, °C. */
  displayMinC: number;
  displayMaxC: number;
  moduleCurve: CurveModel;
  connectors: number;
  /** Do other sensors hang on the same reference, and on the same return up to `JOIN`? */
  sharesReference: boolean;
  sharesReturn: boolean;
  /** Input resistance of the meter on volts, the ohms above which it shows OL, and the resistance of its leads, Ω. */
  meterInputOhm: number;
  meterOverloadOhm: number;
  leadOhm: number;
}

/** Input resistance of a common meter on volts, Ω. */
export const METER_INPUT_OHM = 10e6;
/** A common meter shows OL above this, Ω. */
export const METER_OVERLOAD_OHM = 20e6;

/** The circuit with nothing wrong and every value nominal (wires at their geometric middle), at a temperature in °C. */
export function nominalState(circuit: SensorCircuit, temperatureC: number, pullUpOhm: number): CircuitState {
  const wire = Math.sqrt(circuit.wireMinOhm * circuit.wireMaxOhm);
  return {
    layout: circuit.layout,
    referenceV: circuit.referenceV,
    aloneV: NaN,
    nominalReferenceV: circuit.referenceV,
    ratiometric: circuit.display.ratiometric ?? true,
    pullUpOhm,
    nominalPullUpOhm: pullUpOhm,
    hotPullUpOhm: circuit.hotPullUpOhm,
    switchRatio: circuit.switchRatio,
    inputOhm: Math.sqrt(circuit.spread.inputMinOhm * circuit.spread.inputMaxOhm),
    signalOhm: wire,
    returnOhm: wire,
    signalFaultOhm: 0,
    signalFaultAt: 0,
    returnFaultOhm: 0,
    returnFaultAt: 0,
    groundOffsetV: 0,
    supplyV: circuit.supplyV,
    leakGroundS: 0,
    leakReturnS: 0,
    leakSupplyS: 0,
    leakAt: 0,
    leakBodyS: 0,
    sensorCurve: circuit.curve,
    sensorFactor: 1,
    formError: 0,
    levelU: 0,
    sensorFixedOhm: NaN,
    sensorOffsetC: 0,
    temperatureC,
    displayOffsetC: 0,
    displayStuckC: NaN,
    display: circuit.display,
    displayMinC: circuit.display.minC,
    displayMaxC: circuit.display.maxC,
    moduleCurve: circuit.curve,
    connectors: circuit.connectors,
    sharesReference: circuit.shares === 'reference' || circuit.shares === 'both',
    sharesReturn: circuit.shares === 'return' || circuit.shares === 'both',
    meterInputOhm: METER_INPUT_OHM,
    meterOverloadOhm: METER_OVERLOAD_OHM,
    leadOhm: 0,
  };
}

/**
 * Overwrites every field of `into`. Field by field on purpose: a generic copy costs more than solving the circuit, and this runs
 * before every prediction. The contract test fails when a field is missing here.
 */
export function copyState(from: CircuitState, into: CircuitState): void {
  into.layout = from.layout;
  into.referenceV = from.referenceV;
  into.aloneV = from.aloneV;
  into.nominalReferenceV = from.nominalReferenceV;
  into.ratiometric = from.ratiometric;
  into.pullUpOhm = from.pullUpOhm;
  into.nominalPullUpOhm = from.nominalPullUpOhm;
  into.hotPullUpOhm = from.hotPullUpOhm;
  into.switchRatio = from.switchRatio;
  into.inputOhm = from.inputOhm;
  into.signalOhm = from.signalOhm;
  into.returnOhm = from.returnOhm;
  into.signalFaultOhm = from.signalFaultOhm;
  into.signalFaultAt = from.signalFaultAt;
  into.returnFaultOhm = from.returnFaultOhm;
  into.returnFaultAt = from.returnFaultAt;
  into.groundOffsetV = from.groundOffsetV;
  into.supplyV = from.supplyV;
  into.leakGroundS = from.leakGroundS;
  into.leakReturnS = from.leakReturnS;
  into.leakSupplyS = from.leakSupplyS;
  into.leakAt = from.leakAt;
  into.leakBodyS = from.leakBodyS;
  into.sensorCurve = from.sensorCurve;
  into.sensorFactor = from.sensorFactor;
  into.formError = from.formError;
  into.levelU = from.levelU;
  into.sensorFixedOhm = from.sensorFixedOhm;
  into.sensorOffsetC = from.sensorOffsetC;
  into.temperatureC = from.temperatureC;
  into.displayOffsetC = from.displayOffsetC;
  into.displayStuckC = from.displayStuckC;
  into.display = from.display;
  into.displayMinC = from.displayMinC;
  into.displayMaxC = from.displayMaxC;
  into.moduleCurve = from.moduleCurve;
  into.connectors = from.connectors;
  into.sharesReference = from.sharesReference;
  into.sharesReturn = from.sharesReturn;
  into.meterInputOhm = from.meterInputOhm;
  into.meterOverloadOhm = from.meterOverloadOhm;
  into.leadOhm = from.leadOhm;
}

/**
 * Nothing that a circuit holds conducts better or worse than this, Ω. Far outside the range of a curve its formula runs to 0 or Infinity, and
 * a conductance of 1/0 is no circuit: the bounds are beyond what any meter tells from a wire or from nothing.
 */
export const ELEMENT_OHM = { least: 1e-4, most: 1e13 } as const;
/** Largest |ln| by which the form of a curve may be off: a factor of some 10 000 either way. */
const MOST_FORM_ERROR_LOG = 9;

/** Resistance of the sensor element when it is at `temperatureC`, Ω: curve, tolerance, drift, opens and shorts. Within `ELEMENT_OHM`. */
export function sensorOhm(state: CircuitState, temperatureC: number): number {
  const { sensorFixedOhm: fixed } = state;
  return bounded(Number.isNaN(fixed) ? realOhm(state.sensorCurve, state, temperatureC) * state.sensorFactor : fixed);
}

/** What sensor and module share of a curve that is known only so far. */
type Shared = Pick<CircuitState, 'formError' | 'levelU'>;

/** A curve as it really is where its level or form is only known so far, Ω, within `ELEMENT_OHM`. */
export function realOhm(curve: CurveModel, shared: Shared, temperatureC: number): number {
  const ohm = bounded(curve.resistanceOhm(temperatureC));
  if (shared.formError === 0 && !curve.level) return ohm;
  return bounded(ohm * Math.exp(realLog(curve, shared, temperatureC)));
}

/** Temperature of a resistance on the curve as it really is, °C. */
export function realC(curve: CurveModel, shared: Shared, resistanceOhm: number): number {
  let shown = curve.temperatureC(resistanceOhm);
  if ((shared.formError === 0 && !curve.level) || !Number.isFinite(shown) || resistanceOhm <= 0) return shown;
  // One step is enough for an error of a few per cent; a curve that is hardly known takes a few.
  for (let i = curve.level ? 4 : 1; i > 0 && Number.isFinite(shown); i--) {
    shown = curve.temperatureC(resistanceOhm * Math.exp(-realLog(curve, shared, shown)));
  }
  return shown;
}

function bounded(ohm: number): number {
  if (ohm > ELEMENT_OHM.most) return ELEMENT_OHM.most;
  return ohm > ELEMENT_OHM.least ? ohm : ELEMENT_OHM.least;
}

/** ln of the factor by which the real curve differs from its formula. */
function realLog(curve: CurveModel, { formError, levelU }: Shared, temperatureC: number): number {
  const form = formError * signedFormErrorLog(curve, temperatureC);
  const bent = Math.max(-MOST_FORM_ERROR_LOG, Math.min(MOST_FORM_ERROR_LOG, form));
  return curve.level ? bent + curve.level(levelU) : bent;
}

/** The form error as a bend through the pivot: one sign below, the other above. */
function signedFormErrorLog(curve: CurveModel, temperatureC: number): number {
  const error = curve.formErrorLog(temperatureC);
  return temperatureC < (curve.pivotC ?? 25) ? error : -error;
}
