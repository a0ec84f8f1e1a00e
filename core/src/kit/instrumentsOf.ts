import { type Accuracy, GENERIC_INSTRUMENTS, type Instruments, THERMOMETER_SIGMA_K } from './instruments.ts';
import type { Kit, MeterRange } from './kitSchema.ts';
import type { ThermometerKind } from '../units/vocabulary.ts';

/** A limit ±a is taken for an even spread: its 1σ is a/√3 (JCGM 100, 4.3.7). */
const LIMIT = Math.sqrt(3);

/**
 * What is realistic for a thermometer held to a machine, 1σ in K. Common practice, no source; a thermocouple of class 2 is itself good to 2.5 K
 * (limit, IEC 60584-1, from memory).
 */
const REALISTIC_SIGMA_K: Readonly<Record<ThermometerKind, number>> = {
  'infra-red': 2.5,
  'infra-red-shiny': 6,
  display: 2,
  hand: 6,
  thermocouple: THERMOMETER_SIGMA_K,
  glass: 1,
  other: THERMOMETER_SIGMA_K,
};

/** 1σ of the instruments of a kit. Ranges that are not complete are passed over; an empty kit gives the generic figures. */
export function instrumentsOf(kit: Kit): Instruments {
  const generic = GENERIC_INSTRUMENTS;
  return {
    volts: accuracies(kit.meter.volts, generic.volts),
    ohms: accuracies(kit.meter.ohms, generic.ohms),
    meterInputOhm: positive(kit.meter.inputOhm.value, generic.meterInputOhm),
    meterOverloadOhm: positive(kit.meter.overloadOhm.value, generic.meterOverloadOhm),
    leadOhm: Math.max(0, kit.meter.leadOhm.value ?? generic.leadOhm),
    displayedK:
      kit.displayedK.value === null ? generic.displayedK : positive(kit.displayedK.value, generic.displayedK) / LIMIT,
    bathK: generic.bathK,
    blunder: generic.blunder,
  };
}

/** 1σ of the kit's thermometer at the machine, K. */
export function thermometerSigmaK(kit: Kit): number {
  const limit = kit.thermometerK.value;
  return limit !== null && limit > 0 ? limit / LIMIT : REALISTIC_SIGMA_K[kit.thermometer];
}

function positive(value: number | null, fallback: number): number {
  return value !== null && value > 0 ? value : fallback;
}

function accuracies(ranges: readonly MeterRange[], fallback: readonly Accuracy[]): readonly Accuracy[] {
  const complete = ranges.flatMap(({ upTo, percent, digits, digit }): Accuracy[] => {
    if (!(upTo.value! > 0) || !(percent.value! >= 0)) return [];
    const absolute = (digits.value ?? 0) * (digit.value ?? 0);
    // A floor of a thousandth: no meter of the trade is better, whatever the leaflet says.
    return [
      {
        upTo: upTo.value!,
        relative: Math.max(percent.value! / 100, 1e-3) / LIMIT,
        absolute: Math.max(absolute / LIMIT, 1e-4),
        together: true,
      },
    ];
  });
  if (complete.length === 0) return fallback;
  complete.sort((a, b) => a.upTo - b.upTo);
  return complete.map((a, i) => (i === complete.length - 1 ? { ...a, upTo: Infinity } : a));
}
