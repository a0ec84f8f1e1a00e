import {
  type CircuitState,
  METER_INPUT_OHM,
  METER_OVERLOAD_OHM,
  sensorOhm,
  signedFormErrorLog,
} from './sensorCircuit.ts';
import { solveStarMesh } from './starMesh.ts';

/** What is in the sensor plug: the sensor, nothing, a wire bridge, or a resistor of so many Ω. */
export type Plug = 'sensor' | 'open' | 'bridge' | number;

/**
 * Where a probe can stand. chassis = battery negative; supply = battery positive; reference = the reference at a neighbour on the same
 * supply; module ground and signal pin; the two cavities of the sensor plug.
 */
export type Probe = 'chassis' | 'reference' | 'supply' | 'moduleGround' | 'modulePin' | 'signal' | 'return';

const NODE: Record<Probe, number> = {
  chassis: 0,
  reference: 1,
  supply: 2,
  moduleGround: 3,
  modulePin: 4,
  signal: 5,
  return: 6,
};
const KNOWN = 4;
const BRIDGE_OHM = 0.02;
const MAX_CONNECTORS = 8;
const MAX_SIZE = 7 + 2 * MAX_CONNECTORS;

/**
 * A bench: one circuit in a definite state, on which voltages, resistances and the displayed value can be taken. Made once and reset
 * for each new state; it allocates nothing while measuring, because the ranking takes some hundred thousand readings from it.
 */
export class Bench {
  private readonly conductance = new Float64Array(MAX_SIZE * MAX_SIZE);
  private readonly voltages = new Float64Array(MAX_SIZE);
  private readonly toKnown = new Float64Array(12);
  private readonly parts = { input: 0, pullUp: 0, across: 0, signalToChassis: 0, signalToSupply: 0, returnToChassis: 0 };
  private elementOhm = 0;
  private lastPullUpOhm = 0;
  state!: CircuitState;

  /** Puts a circuit on the bench. The state is read, not copied: set again after changing it. */
  set(state: CircuitState): this {
    this.state = state;
    this.elementOhm = sensorOhm(state, state.temperatureC + state.sensorOffsetC);
    return this;
  }

  /** Resistance of the sensor where it sits, at its own temperature, Ω. */
  get sensorOhm(): number {
    return this.elementOhm;
  }

  /** What the meter shows between two probes on volts, with its own load. V. */
  volts(plug: Plug, red: Probe, black: Probe, returnBridged = false): number {
    return this.nodeVolts(plug, NODE[red], NODE[black], returnBridged);
  }

  /** As `volts` between chassis and connector `position` (1 = next to the module) of the signal or return wire. V. */
  connectorVolts(plug: Plug, wire: 'signal' | 'return', position: number): number {
    const { connectors } = this.state;
    const node = position > connectors ? NODE[wire] : 7 + (wire === 'signal' ? 0 : connectors) + position - 1;
    return this.nodeVolts(plug, node, NODE.chassis, false);
  }

  /** What the module displays, °C, before its own noise and rounding, within its scale. */
  displayedC(plug: Plug): number {
    const s = this.state;
    const { display } = s;
    if (!Number.isNaN(s.displayStuckC)) return s.displayStuckC;
    this.solve(plug, -1, -1, false);
    const v = this.voltages;
    const reference = s.ratiometric ? s.referenceV : s.nominalReferenceV;
    const ratio = reference > 1e-6 ? (v[NODE.modulePin] - v[NODE.moduleGround]) / reference : 0;
    const believed = this.lastPullUpOhm === s.hotPullUpOhm ? s.hotPullUpOhm : s.nominalPullUpOhm;
    const share = s.layout === 'pull-down' ? 1 - ratio : ratio;
    const ohm = share >= 1 ? Infinity : share <= 0 ? 0 : (believed * share) / (1 - share);
    let shown = s.moduleCurve.temperatureC(ohm);
    if (s.formError !== 0 && Number.isFinite(shown) && ohm > 0) {
      // Module and sensor follow the same real curve; one correction step is enough for an error of a few per cent.
      shown = s.moduleCurve.temperatureC(ohm * Math.exp(-s.formError * signedFormErrorLog(s.moduleCurve, shown)));
    }
    shown += s.displayOffsetC;
    if (shown > display.minC && shown < display.maxC) return shown;
    if (display.substituteC !== null) return display.substituteC;
    return shown <= display.minC ? display.minC : display.maxC;
  }

  private nodeVolts(plug: Plug, red: number, black: number, returnBridged: boolean): number {
    this.solve(plug, red, black, returnBridged);
    return this.voltages[red] - this.voltages[black];
  }

  private solve(plug: Plug, red: number, black: number, returnBridged: boolean): void {
    const s = this.state;
    this.lastPullUpOhm = s.pullUpOhm;
    this.solveWith(plug, red, black, returnBridged, s.pullUpOhm);
    if (s.hotPullUpOhm === null || s.referenceV <= 0) return;
    const ratio = (this.voltages[NODE.modulePin] - this.voltages[NODE.moduleGround]) / s.referenceV;
    if (ratio >= s.switchRatio) return;
    this.lastPullUpOhm = s.hotPullUpOhm;
    this.solveWith(plug, red, black, returnBridged, s.hotPullUpOhm);
  }

  private solveWith(plug: Plug, red: number, black: number, returnBridged: boolean, pullUpOhm: number): void {
    const s = this.state;
    const v = this.voltages;
    v[0] = 0;
    v[1] = s.groundOffsetV + s.referenceV;
    v[2] = s.supplyV;
    v[3] = s.groundOffsetV;
    const plugged = plug === 'sensor';
    const element = plugged ? 1 / this.elementOhm : plug === 'open' ? 0 : 1 / (plug === 'bridge' ? BRIDGE_OHM : plug);
    const parts = this.parts;
    parts.input = 1 / s.inputOhm;
    parts.pullUp = 1 / pullUpOhm;
    parts.across = element + s.leakReturnS;
    parts.signalToChassis = s.leakGroundS + (plugged ? s.leakBodyS : 0);
    parts.signalToSupply = s.leakSupplyS;
    parts.returnToChassis = returnBridged ? 1 / BRIDGE_OHM : 0;
    if (s.connectors === 0) this.solveDirect(red, black);
    else this.solveChained(red, black);
  }

  /** Known node that the far end of the return is joined to: module ground, the reference (mirrored layout) or the body. */
  private get returnEnd(): number {
    const { layout } = this.state;
    return layout === 'pull-up' ? 3 : layout === 'pull-down' ? 1 : 0;
  }

  /** Known node that the fixed resistor is joined to. */
  private get pullUpEnd(): number {
    return this.state.layout === 'pull-down' ? 3 : 1;
  }

  /**
   * The same star–mesh elimination as `solveStarMesh`, written out for three unknown nodes (module pin, signal, return): it is the
   * innermost step of the ranking. A test holds the two equal.
   */
  private solveDirect(red: number, black: number): void {
    const { state: s, parts, voltages: v, toKnown: k } = this;
    k.fill(0);
    // Rows of four: pin, signal, return to the known nodes chassis, reference, supply, module ground.
    k[3] = parts.input;
    k[this.pullUpEnd] += parts.pullUp;
    k[4] = parts.signalToChassis;
    k[6] = parts.signalToSupply;
    k[8 + this.returnEnd] = 1 / (s.returnOhm + s.returnFaultOhm);
    k[8] += parts.returnToChassis;
    let pinSignal = 1 / (s.signalOhm + s.signalFaultOhm);
    let pinReturn = 0;
    let signalReturn = parts.across;
    if (red >= 0) {
      const load = 1 / METER_INPUT_OHM;
      const [low, high] = red < black ? [red, black] : [black, red];
      if (low < KNOWN) {
        if (high >= KNOWN) k[(high - KNOWN) * 4 + low] += load;
      } else if (low === NODE.signal) signalReturn += load;
      else if (high === NODE.signal) pinSignal += load;
      else pinReturn += load;
    }
    const totalReturn = k[8] + k[9] + k[10] + k[11] + pinReturn + signalReturn;
    const [toPin, toSignal] = totalReturn === 0 ? [0, 0] : [pinReturn / totalReturn, signalReturn / totalReturn];
    for (let i = 0; i < 4; i++) {
      k[i] += toPin * k[8 + i];
      k[4 + i] += toSignal * k[8 + i];
    }
    pinSignal += toPin * signalReturn;
    const totalSignal = k[4] + k[5] + k[6] + k[7] + pinSignal;
    const share = pinSignal / totalSignal;
    for (let i = 0; i < 4; i++) k[i] += share * k[4 + i];
    const totalPin = k[0] + k[1] + k[2] + k[3];
    v[4] = (k[1] * v[1] + k[2] * v[2] + k[3] * v[3]) / totalPin;
    v[5] = (k[5] * v[1] + k[6] * v[2] + k[7] * v[3] + pinSignal * v[4]) / totalSignal;
    v[6] =
      totalReturn === 0
        ? 0
        : (k[9] * v[1] + k[10] * v[2] + k[11] * v[3] + pinReturn * v[4] + signalReturn * v[5]) / totalReturn;
  }

  private solveChained(red: number, black: number): void {
    const { state: s, parts, conductance: g } = this;
    const size = 7 + 2 * s.connectors;
    g.fill(0, 0, size * size);
    const [M, S, G] = [NODE.modulePin, NODE.signal, NODE.return];
    // The entry [higher, lower] of the lower triangle.
    g[M * size + 3] = parts.input;
    g[M * size + this.pullUpEnd] += parts.pullUp;
    this.wire(size, M, S, 7, s.signalOhm, s.signalFaultOhm, s.signalFaultSegment);
    this.wire(size, this.returnEnd, G, 7 + s.connectors, s.returnOhm, s.returnFaultOhm, s.returnFaultSegment);
    g[G * size + S] += parts.across;
    g[S * size] += parts.signalToChassis;
    g[S * size + 2] += parts.signalToSupply;
    g[G * size] += parts.returnToChassis;
    if (red >= 0) g[Math.max(red, black) * size + Math.min(red, black)] += 1 / METER_INPUT_OHM;
    solveStarMesh(g, size, KNOWN, this.voltages);
  }

  private wire(size: number, from: number, to: number, first: number, ohm: number, fault: number, segment: number): void {
    const g = this.conductance;
    const segments = this.state.connectors + 1;
    const part = ohm / segments;
    let before = from;
    for (let i = 0; i < segments; i++) {
      const next = i === segments - 1 ? to : first + i;
      const conductance = 1 / (part + (i === segment ? fault : 0));
      g[Math.max(before, next) * size + Math.min(before, next)] += conductance;
      before = next;
    }
  }
}

/** What an ohmmeter shows for a true resistance: Infinity stands for OL. */
export function shownOhm(ohm: number): number {
  return ohm > METER_OVERLOAD_OHM ? Infinity : ohm;
}

/** Two resistances in parallel, the second given as a conductance. */
export function parallelOhm(ohm: number, conductanceS: number): number {
  return 1 / (1 / ohm + conductanceS);
}
