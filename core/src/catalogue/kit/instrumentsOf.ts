import { type Accuracy, GENERIC_INSTRUMENTS, type Instruments, THERMOMETER_SIGMA_K } from './instruments.ts';
import { completeRange, possible } from './kitFigures.ts';
import type { Kit, MeterRange } from './kitSchema.ts';
import type { ThermometerKind } from '../../base/units/vocabulary.ts';

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

/** 1σ of the instruments of a kit. Ranges that are not complete and figures that cannot be are passed over; an empty kit gives the generic ones. */
export function instrumentsOf(kit: Kit): Instruments {
  const generic = GENERIC_INSTRUMENTS;
  const displayedK = possible(kit.displayedK, 'kelvin');
  return {
    volts: accuracies(kit.meter.volts, generic.volts),
    ohms: accuracies(kit.meter.ohms, generic.ohms),
    meterInputOhm: possible(kit.meter.inputOhm, 'inputOhm') ?? generic.meterInputOhm,
    meterOverloadOhm: possible(kit.meter.overloadOhm, 'overloadOhm') ?? generic.meterOverloadOhm,
    leadOhm: possible(kit.meter.leadOhm, 'leadOhm') ?? generic.leadOhm,
    displayedK: displayedK === null ? generic.displayedK : displayedK / LIMIT,
    bathK: generic.bathK,
    blunder: generic.blunder,
  };
}

/** 1σ of the kit's thermometer at the machine, K. */
export function thermometerSigmaK(kit: Kit): number {
  const limit = possible(kit.thermometerK, 'kelvin');
  return limit !== null ? limit / LIMIT : REALISTIC_SIGMA_K[kit.thermometer];
}

function accuracies(ranges: readonly MeterRange[], fallback: readonly Accuracy[]): readonly Accuracy[] {
  const complete = ranges.flatMap((range): Accuracy[] => {
    const read = completeRange(range);
    if (!read) return [];
    const { upTo, percent, absolute } = read;
    // A floor of a thousandth: no meter of the trade is better, whatever the leaflet says.
    return [
      {
        upTo,
        relative: Math.max(percent / 100, 1e-3) / LIMIT,
        absolute: Math.max(absolute / LIMIT, 1e-4),
        together: true,
      },
    ];
  });
  if (complete.length === 0) return fallback;
  complete.sort((a, b) => a.upTo - b.upTo);
  return complete.map((a, i) => (i === complete.length - 1 ? { ...a, upTo: Infinity } : a));
}
