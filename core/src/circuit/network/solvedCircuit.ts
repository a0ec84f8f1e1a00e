import { JOIN, NEIGHBOURS, shareBefore } from './chain.ts';
import { type CircuitState, realC, realOhm, sensorOhm } from './sensorCircuit.ts';
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
/** A stretch of wire has at least this, Ω. */
const LEAST_OHM = 1e-6;
const BRIDGE_OHM = 0.02;
/** The node of a point between module and plug, where the circuit is solved with one. */
const POINT = 7;
const SIZE = 8;

/**
 * One circuit in a definite state, on which voltages, resistances and the displayed value can be taken. Made once and reset
 * for each new state; it allocates nothing while measuring, because the ranking takes some hundred thousand readings from it.
 */
export class SolvedCircuit {
  private readonly conductance = new Float64Array(SIZE * SIZE);
  private readonly voltages = new Float64Array(SIZE);
  private elementOhm = 0;
  private lastPullUpOhm = 0;
  /** From the reference through the neighbours into a return that they share and that is not sound, S. */
  private neighboursS = 0;
  /** The wire that is looked at on its way, and where; null where only its ends are. */
  private onTheWay: { wire: 'signal' | 'return'; point: number } | null = null;
  state!: CircuitState;

  /** Puts a circuit in. The state is read, not copied: set again after changing it. */
  set(state: CircuitState): this {
    this.state = state;
    this.elementOhm = sensorOhm(state, state.temperatureC + state.sensorOffsetC);
    const shared = state.sharesReturn && state.returnFaultOhm > 0 && state.returnFaultAt < JOIN;
    this.neighboursS =
      shared && state.layout === 'pull-up'
        ? NEIGHBOURS / (state.nominalPullUpOhm + realOhm(state.moduleCurve, state, state.temperatureC))
        : 0;
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

  /** V that the module sees at its pin above its own ground, no meter on it. */
  pinVolts(plug: Plug): number {
    this.solve(plug, -1, -1, false);
    return this.voltages[NODE.modulePin] - this.voltages[NODE.moduleGround];
  }

  /** As `volts` between chassis and a point of the signal or return wire (`chain.ts`). V. */
  pointVolts(plug: Plug, wire: 'signal' | 'return', point: number): number {
    this.onTheWay = { wire, point };
    const volts = this.nodeVolts(plug, POINT, NODE.chassis, false);
    this.onTheWay = null;
    return volts;
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
    const ohm = this.believedOhm(ratio, believed);
    const shown = realC(s.moduleCurve, s, ohm) + s.displayOffsetC;
    if (shown > s.displayMinC && shown < s.displayMaxC) return shown;
    if (display.substituteC !== null) return display.substituteC;
    return shown <= s.displayMinC ? s.displayMinC : s.displayMaxC;
  }

  /** Sensor resistance that a module of this pull-up reads from the share of the reference at its pin; its table allows for its own load. */
  private believedOhm(ratio: number, pullUpOhm: number): number {
    const { layout, inputOhm } = this.state;
    const share = layout === 'pull-down' ? 1 - ratio : ratio;
    if (share >= 1) return Infinity;
    if (share <= 0) return 0;
    if (layout === 'pull-down') return (parallelOhm(pullUpOhm, 1 / inputOhm) * share) / (1 - share);
    const conductance = (1 - share) / (pullUpOhm * share) - 1 / inputOhm;
    return conductance > 0 ? 1 / conductance : Infinity;
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
    const element =
      plug === 'sensor' ? 1 / this.elementOhm : plug === 'open' ? 0 : 1 / (plug === 'bridge' ? BRIDGE_OHM : plug);
    const across = element + s.leakReturnS;
    const leak = s.leakGroundS + (plug === 'sensor' ? s.leakBodyS : 0);
    const bridge = returnBridged ? 1 / BRIDGE_OHM : 0;
    if (!this.onTheWay) this.solveDirect(red, black, 1 / pullUpOhm, across, leak, bridge);
    else this.solveOnTheWay(this.onTheWay, red, black, 1 / pullUpOhm, across, leak, bridge);
  }

  /**
   * The same star–mesh elimination as `solveStarMesh`, written out for three unknown nodes (module pin, signal, return): it is the
   * innermost step of the ranking. A test holds the two equal. Conductances in S; node numbers as in NODE, red −1 for no meter.
   */
  // One elimination, written out: parted over several functions it could no longer be compared with `solveStarMesh` line by line.
  // eslint-disable-next-line max-lines-per-function, complexity
  private solveDirect(red: number, black: number, pullUp: number, across: number, leak: number, bridge: number): void {
    const s = this.state;
    const v = this.voltages;
    const { layout } = s;
    // Conductances of pin (p), signal (s) and return (r) to the known nodes 0 chassis, 1 reference, 2 supply, 3 module ground.
    let p3 = 1 / s.inputOhm;
    let p0 = 0;
    let p1 = 0;
    let p2 = 0;
    let s0 = leak;
    let s1 = 0;
    let s3 = 0;
    let s2 = s.leakSupplyS;
    let r0 = 0;
    let r1 = this.neighboursS;
    let r2 = 0;
    let r3 = 0;
    if (layout === 'pull-down') p3 += pullUp;
    else p1 = pullUp;
    const back = 1 / (s.returnOhm + s.returnFaultOhm);
    if (layout === 'pull-up') r3 = back;
    else if (layout === 'pull-down') r1 += back;
    else r0 = back;
    r0 += bridge;
    let pinSignal = 1 / (s.signalOhm + s.signalFaultOhm);
    let pinReturn = 0;
    let signalReturn = across;
    if (red >= 0) {
      const meter = 1 / s.meterInputOhm;
      const low = red < black ? red : black;
      const high = red < black ? black : red;
      if (high === NODE.modulePin) {
        if (low === 0) p0 += meter;
        else if (low === 1) p1 += meter;
        else if (low === 2) p2 += meter;
        else p3 += meter;
      } else if (high === NODE.signal) {
        if (low === 0) s0 += meter;
        else if (low === 1) s1 += meter;
        else if (low === 2) s2 += meter;
        else if (low === 3) s3 += meter;
        else pinSignal += meter;
      } else if (high === NODE.return) {
        if (low === 0) r0 += meter;
        else if (low === 1) r1 += meter;
        else if (low === 2) r2 += meter;
        else if (low === 3) r3 += meter;
        else if (low === NODE.signal) signalReturn += meter;
        else pinReturn = meter;
      }
    }
    const totalReturn = r0 + r1 + r2 + r3 + pinReturn + signalReturn;
    const toSignal = signalReturn / totalReturn;
    s0 += toSignal * r0;
    s1 += toSignal * r1;
    s2 += toSignal * r2;
    s3 += toSignal * r3;
    if (pinReturn !== 0) {
      const toPin = pinReturn / totalReturn;
      p0 += toPin * r0;
      p1 += toPin * r1;
      p2 += toPin * r2;
      p3 += toPin * r3;
      pinSignal += toPin * signalReturn;
    }
    const totalSignal = s0 + s1 + s2 + s3 + pinSignal;
    const toPin = pinSignal / totalSignal;
    p0 += toPin * s0;
    p1 += toPin * s1;
    p2 += toPin * s2;
    p3 += toPin * s3;
    const pin = (p1 * v[1] + p2 * v[2] + p3 * v[3]) / (p0 + p1 + p2 + p3);
    const signal = (s1 * v[1] + s2 * v[2] + s3 * v[3] + pinSignal * pin) / totalSignal;
    v[4] = pin;
    v[5] = signal;
    v[6] = (r1 * v[1] + r2 * v[2] + r3 * v[3] + pinReturn * pin + signalReturn * signal) / totalReturn;
  }

  /** The same with one node more, at a point of one of the wires. */
  private solveOnTheWay(
    { wire, point }: { wire: 'signal' | 'return'; point: number },
    red: number,
    black: number,
    pullUp: number,
    across: number,
    leak: number,
    bridge: number,
  ): void {
    const { state: s, conductance: g } = this;
    g.fill(0);
    const [M, S, G] = [NODE.modulePin, NODE.signal, NODE.return];
    const far = s.layout === 'pull-up' ? NODE.moduleGround : s.layout === 'pull-down' ? NODE.reference : NODE.chassis;
    const join = (a: number, b: number, conductance: number): void => {
      g[Math.max(a, b) * SIZE + Math.min(a, b)] += conductance;
    };
    join(M, NODE.moduleGround, 1 / s.inputOhm);
    join(M, s.layout === 'pull-down' ? NODE.moduleGround : NODE.reference, pullUp);
    const run = (from: number, to: number, of: 'signal' | 'return', ohm: number, fault: number, at: number): void => {
      if (of !== wire) return join(from, to, 1 / (ohm + fault));
      const before = shareBefore(point, s.connectors);
      // A point at either end has no copper on one side: a wire of nothing is no circuit.
      join(from, POINT, 1 / Math.max(LEAST_OHM, ohm * before + (at < point ? fault : 0)));
      join(POINT, to, 1 / Math.max(LEAST_OHM, ohm * (1 - before) + (at < point ? 0 : fault)));
    };
    run(M, S, 'signal', s.signalOhm, s.signalFaultOhm, s.signalFaultAt);
    run(far, G, 'return', s.returnOhm, s.returnFaultOhm, s.returnFaultAt);
    join(G, S, across);
    join(S, NODE.chassis, leak);
    join(S, NODE.supply, s.leakSupplyS);
    join(G, NODE.chassis, bridge);
    join(G, NODE.reference, this.neighboursS);
    join(red, black, 1 / s.meterInputOhm);
    solveStarMesh(g, SIZE, KNOWN, this.voltages);
  }
}

/** What the ohmmeter shows for a true resistance, its leads included: Infinity stands for OL. */
export function shownOhm(state: CircuitState, ohm: number): number {
  return ohm > state.meterOverloadOhm ? Infinity : ohm + state.leadOhm;
}

/** Two resistances in parallel, the second given as a conductance. */
export function parallelOhm(ohm: number, conductanceS: number): number {
  return 1 / (1 / ohm + conductanceS);
}
