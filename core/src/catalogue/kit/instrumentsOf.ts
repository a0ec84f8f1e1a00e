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
  'pipe-clamp': 1.5,
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

/** Surroundings of a machine, °C, where nobody said how warm they are: from a cold sky to a warm hall. Common practice, no source. */
const SURROUNDINGS_C = { low: 0, high: 25 } as const;
/**
 * How far the true temperature may lie beyond what is read, as a share of the distance from the surroundings, 1σ. Bare metal reflects more than it
 * radiates; what sits on the outside of a pipe is cooled by the air. Common practice, no source.
 */
const TOWARDS_SURROUNDINGS: Partial<Record<ThermometerKind, number>> = {
  'infra-red-shiny': 0.6,
  'infra-red': 0.05,
  'pipe-clamp': 0.12,
};

/**
 * A temperature at the machine as the kit's thermometer shows it, °C. Some kinds err towards the surroundings: on something hot they show too
 * little, on something cold too much. Where a limit of the thermometer was given, that alone counts.
 */
export function thermometerAt(
  kit: Kit,
  readC: number,
): { readC: number; sigmaK: number; upK?: number; downK?: number; halfWidthK: number } {
  const sigmaK = thermometerSigmaK(kit);
  const share = possible(kit.thermometerK, 'kelvin') === null ? TOWARDS_SURROUNDINGS[kit.thermometer] : undefined;
  if (share === undefined) return { readC, sigmaK, halfWidthK: 0 };
  const { low, high } = SURROUNDINGS_C;
  const upK = Math.hypot(sigmaK, share * Math.max(0, readC - low));
  const downK = Math.hypot(sigmaK, share * Math.max(0, high - readC));
  return { readC, sigmaK: Math.max(upK, downK), upK, downK, halfWidthK: 0 };
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
