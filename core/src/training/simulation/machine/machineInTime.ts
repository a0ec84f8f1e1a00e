import { catalogueCircuit } from '../../../catalogue/parts/catalogueCircuit.ts';
import {
  type CircuitState,
  copyState,
  METER_OVERLOAD_OHM,
  nominalState,
  type SensorCircuit,
} from '../../../circuit/network/sensorCircuit.ts';
import { type Plug, SolvedCircuit } from '../../../circuit/network/solvedCircuit.ts';
import type { Branch } from '../../../circuit/faults/fault.ts';
import { faultById } from '../../../circuit/faults/list.ts';
import { settingOfCircuit } from '../../../inference/model/hypotheses.ts';
import { normalQuantile } from '../../../base/numeric/normal.ts';
import { happens, seededUniform, type Uniform } from '../../../base/numeric/random.ts';
import { afterHeat, coldMachine, type HeatSetup, type HeatState } from './heat.ts';
import { type MachineCase, SITES, type SiteId, type TimedFault } from './machineCase.ts';

/** Where the meter stands. 'signal': plug pin to chassis; 'across': signal to return; 'return': return to chassis; 'sensor': on the sensor's own pins. */
export const METER_POINTS = ['signal', 'across', 'return', 'sensor'] as const;
export type MeterPoint = (typeof METER_POINTS)[number];

/** What a person can do to the machine. */
export type MachineAct =
  | { act: 'key'; to: 'off' | 'on' | 'running' }
  | { act: 'plug'; site: SiteId; to: Plug }
  | { act: 'leads'; site: SiteId; to: MeterPoint }
  | { act: 'wiggle'; place: string | null }
  /** The sensor warmed or cooled by itself, °C; null: it takes the temperature of where it sits again. */
  | { act: 'sensor-at'; site: SiteId; toC: number | null };

const CIRCUIT_OF: Record<SiteId, string> = {
  coolant: 'engine-coolant-2k',
  intake: 'engine-air-2k5',
  oil: 'engine-oil-1k',
};
/** Lag of the sensors, s; of one warmed by hand in water or in the air of a dryer. */
const LAG_S: Record<SiteId, number> = { coolant: 6, intake: 9, oil: 8 };
const HAND_LAG_S = 14;
/** Share of its mean length that a spell lasts at least. */
const LEAST_SPELL = 0.4;
/** Step in which spells begin and end, s. */
const TICK_S = 0.05;
const SUPPLY_V = { off: 12.6, on: 12.4, running: 14.1 } as const;
const USUAL_HEAT: HeatSetup = {
  ambientC: 18,
  powerW: 7000,
  thermostat: { opensC: 84, spanK: 8, stuckOpen: false },
  fan: { onC: 98, offC: 93 },
  airflow: 1,
};

interface Spot {
  circuit: SensorCircuit;
  healthy: CircuitState;
  plug: Plug;
  leads: MeterPoint;
  /** Of the element itself, °C. */
  elementC: number;
  heldC: number | null;
  faults: { timed: TimedFault; branch: Branch; on: boolean; endsS: number; heatedAtS: number }[];
}

/**
 * One machine in time: temperatures, three sensors with their circuits, leads that can be moved, faults that come and go. Everything an
 * instrument reads comes from here, so that all of them see the same machine. Seeded: the same acts at the same times give the same course.
 */
export class MachineInTime {
  readonly setup: HeatSetup;
  private heat: HeatState;
  private readonly spots: Record<SiteId, Spot>;
  private readonly solved = new SolvedCircuit();
  private readonly scratch: CircuitState;
  private readonly uniform: Uniform;
  private key: 'off' | 'on' | 'running' = 'off';
  private wiggled: string | null = null;
  private time = 0;

  constructor(
    readonly about: MachineCase,
    seed: number,
  ) {
    this.uniform = seededUniform(seed * 9973 + 7);
    this.setup = {
      ...USUAL_HEAT,
      ...about.heat,
      ambientC: about.heat.ambientC ?? 12 + Math.round(12 * this.uniform()),
    };
    this.heat = coldMachine(this.setup);
    const spot = (id: SiteId): Spot => this.spotOf(id);
    this.spots = { coolant: spot('coolant'), intake: spot('intake'), oil: spot('oil') };
    this.scratch = { ...this.spots.coolant.healthy };
  }

  private spotOf(id: SiteId): Spot {
    const circuit = { ...catalogueCircuit(CIRCUIT_OF[id]), connectors: this.about.places.length - 1 };
    const pullUp = (circuit.pullUpOhm ?? 2490) * (1 + 0.006 * this.normal());
    const healthy = nominalState(circuit, this.setup.ambientC, pullUp);
    healthy.nominalPullUpOhm = circuit.pullUpOhm ?? 2490;
    healthy.referenceV *= 1 + 0.004 * this.normal();
    healthy.sensorFactor = Math.exp(0.012 * this.normal());
    const faults = this.about.faults
      .filter((f) => f.sensor === id)
      .map((timed) => ({
        timed,
        branch: faultById(timed.fault).branches(settingOfCircuit(circuit))[0],
        on: false,
        endsS: 0,
        heatedAtS: NaN,
      }));
    return { circuit, healthy, plug: 'sensor', leads: 'signal', elementC: this.setup.ambientC, heldC: null, faults };
  }

  private normal(): number {
    return normalQuantile(this.uniform());
  }

  get timeS(): number {
    return this.time;
  }

  get state(): Readonly<HeatState> & { key: 'off' | 'on' | 'running'; wiggled: string | null } {
    return { ...this.heat, key: this.key, wiggled: this.wiggled };
  }

  /** Is a fault of this sensor there at this moment? The truth, for tests and debriefs. */
  faultyNow(site: SiteId): boolean {
    return this.spots[site].faults.some((f) => f.on);
  }

  do(act: MachineAct): void {
    if (act.act === 'key') this.key = act.to;
    else if (act.act === 'plug') this.spots[act.site].plug = act.to;
    else if (act.act === 'leads') this.spots[act.site].leads = act.to;
    else if (act.act === 'wiggle') this.wiggled = act.place;
    else this.spots[act.site].heldC = act.toC;
  }

  /** Lets time pass up to `timeS`; an earlier time is no change. */
  advanceTo(timeS: number): void {
    while (this.time < timeS - 1e-9) {
      const dt = Math.min(TICK_S, timeS - this.time);
      this.time += dt;
      this.heat = afterHeat(this.heat, this.setup, this.key === 'running', dt);
      for (const site of SITES) this.tick(site, dt);
    }
  }

  private tick(site: SiteId, dt: number): void {
    const spot = this.spots[site];
    const around = spot.heldC ?? this.mediumC(site);
    const lag = spot.heldC === null ? LAG_S[site] : HAND_LAG_S;
    spot.elementC += (around - spot.elementC) * (1 - Math.exp(-dt / lag));
    for (const f of spot.faults) {
      const { when } = f.timed;
      if (when.kind === 'always') f.on = true;
      else if (when.kind === 'above') f.on = spot.elementC > when.aboveC;
      else if (when.kind === 'after-heat') {
        if (spot.elementC > when.aboveC && Number.isNaN(f.heatedAtS)) f.heatedAtS = this.time;
        f.on = this.time > f.heatedAtS + when.delayS;
      } else if (f.on) f.on = this.time < f.endsS;
      else {
        const rate = (when.perHour / 3600) * (this.wiggled === when.place ? when.wiggled : 1);
        f.on = happens(1 - Math.exp(-rate * dt), this.uniform);
        if (f.on) f.endsS = this.time + when.lastsS * (LEAST_SPELL - (1 - LEAST_SPELL) * Math.log(this.uniform()));
      }
    }
  }

  /** The temperature of where a sensor sits, °C: what a thermometer beside it would show. */
  private mediumC(site: SiteId): number {
    const { coolantC, intakeC, oilC } = this.heat;
    return site === 'coolant' ? coolantC : site === 'oil' ? oilC : intakeC;
  }

  /** What a thermometer at the sensor shows, °C: of the place, or of what the sensor is held in. */
  besideC(site: SiteId): number {
    return this.spots[site].heldC ?? this.mediumC(site);
  }

  private circuitNow(site: SiteId): SolvedCircuit {
    const spot = this.spots[site];
    copyState(spot.healthy, this.scratch);
    this.scratch.temperatureC = spot.elementC;
    this.scratch.supplyV = SUPPLY_V[this.key];
    for (const f of spot.faults) if (f.on) f.branch.apply(this.scratch, f.timed.position);
    if (this.key === 'off') this.scratch.referenceV = 0;
    return this.solved.set(this.scratch);
  }

  /** What the module makes of a sensor, °C before rounding; null with the key off, when nothing answers. */
  displayedC(site: SiteId): number | null {
    return this.key === 'off' ? null : this.circuitNow(site).displayedC(this.spots[site].plug);
  }

  /** What an ideal voltmeter shows where its leads stand, V. On the sensor's own pins: across them. */
  volts(site: SiteId): number {
    const { plug, leads } = this.spots[site];
    const solved = this.circuitNow(site);
    if (leads === 'signal') return solved.volts(plug, 'signal', 'chassis');
    if (leads === 'return') return solved.volts(plug, 'return', 'chassis');
    if (leads === 'sensor' && plug !== 'sensor') return 0;
    return solved.volts(plug, 'signal', 'return');
  }

  /**
   * What an ohmmeter shows where its leads stand, Ω (Infinity is OL): the sensor's resistance on its own free pins. Anywhere else on a circuit
   * that is fed it shows nothing of use: OL.
   */
  ohms(site: SiteId): number {
    const { plug, leads } = this.spots[site];
    if (leads !== 'sensor' || plug === 'sensor') return Infinity;
    const ohm = this.circuitNow(site).sensorOhm;
    return ohm > METER_OVERLOAD_OHM ? Infinity : ohm;
  }
}
