import type { Shares, Side } from '../network/chain.ts';
import type { Strand } from '../network/placeWeights.ts';
import type { SolvedCircuit, Probe } from '../network/solvedCircuit.ts';
import type { Quantity } from '../../base/units/quantity.ts';
import type { Layout, TestStation, Tool, Wire } from '../../base/units/vocabulary.ts';

/** Places of the drawing at which a figure can stand. */
export const MARK_PLACES = ['display', 'signal', 'signalWire', 'across', 'return', 'returnWire', 'sensor'] as const;
export type MarkPlace = (typeof MARK_PLACES)[number];

/** What a reading of this kind needs to know beside its figure. Ω, °C, connector number from the module. */
export interface Conditions {
  substituteOhm?: number;
  /** Of the water or the air the sensor is in, and its 1σ, K, where that is not the thermometer's. */
  bathC?: number;
  airC?: number;
  ownK?: number;
  wire?: Wire;
  position?: number;
  /** Which side of that connector; absent: the module's. */
  side?: Side;
  /** Of a reading that is a bound: the meter showed that there is more than this, Ω. */
  aboveOhm?: number;
}

/** One test. How it is done, what it costs, and what it shows on any circuit: nothing here knows any fault. */
export interface Measurement {
  readonly id: string;
  /** As on a list: short, of the trade. */
  readonly name: string;
  /** As a question to the meter: where the probes go. */
  readonly title: string;
  readonly quantity: Quantity;
  /** Minutes of work by default, set-up included. */
  readonly minutes: number;
  /** Minutes when the set-up stands already from a test of the same `setup`. */
  readonly repeatMinutes: number;
  readonly setup:
    'scan' | 'plugged' | 'unplugged' | 'bridged' | 'substituted' | 'key-off' | 'both-ends-free' | 'taken-off';
  /** Its station in the order of work: the tests there share a place and a set-up. */
  readonly station: TestStation;
  /** Can it hurt someone or something when done carelessly (a bridge on the wrong wire, mains beside the plug)? */
  readonly risky?: true;
  /** Is it taken on another sensor of the same type? Then that one's own tolerance scatters it. */
  readonly ofAnotherSensor?: true;
  /** Is it taken at another plug than the sensor's own? */
  readonly atNeighbour?: true;
  /** Is it what another sensor on the same reference or return shows? That one may have a fault of its own. */
  readonly ofNeighbour?: true;
  /** What the circuit must be known to share for it to be proposed; absent: it does not matter. */
  readonly sharing?: readonly Shares[];
  /** Is it the sensor's own resistance, and nothing else in the way? */
  readonly onSensor?: true;
  /** Does the red lead belong on a pin that is live on a sound circuit? On the wrong one it shows nothing. */
  readonly atLivePin?: true;
  readonly tools: readonly Tool[];
  readonly needs: readonly ('substituteOhm' | 'bathC' | 'airC' | 'wire' | 'position')[];
  readonly layouts: readonly Layout[];
  /** Where the leads stand, for the drawing; null where the meter is on a part taken off. */
  readonly probes: { red: Probe; black: Probe } | null;
  /** Where its figure stands on the drawing of the circuit, and under which words; null where it has no place there. */
  readonly mark: { place: MarkPlace; label: string } | null;
  /** Points of the chain (`circuit/network/chain.ts`) on whose two sides a fault of this strand shows differently; absent: it does not look on the way. */
  readonly parts?: (strand: Strand, conditions: Conditions) => readonly number[];
  readonly steps: readonly string[];
  readonly caution: string | null;
  /** What an ideal meter shows on this circuit, in V, Ω (Infinity is OL) or °C. */
  predict(solved: SolvedCircuit, conditions: Conditions): number;
}

export const CAUTION = {
  fan: 'Keep leads and sleeves clear of fans and belts: a fan may start on its own.',
  pin: 'Identify the pin in the diagram first. Never jumper a wire you have not identified, nor any airbag or high-voltage circuit.',
  substitute: 'Remove the resistor again. Left in, it defeats frost, overheat or icing protection.',
  hot: 'Cold system only: do not open a hot or pressurised cooling system. Hot water burns; no naked flame on a sensor.',
  mains:
    'Boards may carry mains beside the low-voltage plug: isolate first. Gas and mains work is for licensed persons.',
} as const;
