import type { Measurement } from '../../circuit/measurements/measurement.ts';

/** A figure that slipped in a way everyone knows: how, and what was meant (in the reading's own unit). */
export interface Slip {
  kind: SlipKind;
  meant: number;
  /** ln of its chance and of the scale between what was meant and what was typed: what it adds to the ln likelihood of `meant`. */
  logChance: number;
}

/**
 * 'k-missed': 2 typed for 2 kΩ; 'k-extra': 2 kΩ typed for 2 Ω; 'range-up', 'range-down': ten times too small or too large by the range switch;
 * 'was-fahrenheit', 'was-celsius': the other unit of temperature; 'wrong-pin': 0 V on the sensor's own side of the plug, or on the other cavity.
 */
export type SlipKind =
  'k-missed' | 'k-extra' | 'range-up' | 'range-down' | 'was-fahrenheit' | 'was-celsius' | 'wrong-pin';

/** Chances of a slip. Common practice, no source. */
const CHANCE = { kilo: 0.004, range: 0.001, unit: 0.002, pin: 0.003 } as const;
/** Less than this on volts is nothing, V. */
const NOTHING_V = 0.03;

/** The slips that a figure may be; none for OL. `value` in V, Ω or °C. The chances sum to one in a hundred at most. */
export function slipsOf({ quantity }: Measurement, value: number): Slip[] {
  const scaled = (kind: SlipKind, factor: number, chance: number): Slip => ({
    kind,
    meant: value * factor,
    logChance: Math.log(chance * factor),
  });
  if (quantity === 'ohms') {
    if (!Number.isFinite(value) || !(value > 0)) return [];
    return [
      scaled('k-missed', 1000, CHANCE.kilo),
      scaled('k-extra', 1e-3, CHANCE.kilo / 2),
      scaled('range-up', 10, CHANCE.range),
      scaled('range-down', 0.1, CHANCE.range),
    ];
  }
  if (quantity !== 'celsius') return [];
  return [
    { kind: 'was-fahrenheit', meant: ((value - 32) * 5) / 9, logChance: Math.log((CHANCE.unit * 5) / 9) },
    { kind: 'was-celsius', meant: (value * 9) / 5 + 32, logChance: Math.log((CHANCE.unit * 9) / 5) },
  ];
}

/** ln chance and likelihood of a voltage that was taken where there is none; −Infinity where the figure is not nothing. */
export function logWrongPin({ quantity, atLivePin }: Measurement, value: number): number {
  if (quantity !== 'volts' || !atLivePin || Math.abs(value) > NOTHING_V) return -Infinity;
  return Math.log(CHANCE.pin / (2 * NOTHING_V));
}
