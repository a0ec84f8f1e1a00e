import type { Access } from '../diagnosis/nextTest.ts';
import { type Accuracy, GENERIC_INSTRUMENTS, type Instruments, THERMOMETER_SIGMA_K } from '../diagnosis/problem.ts';
import type { Kit, MeterRange } from './kitSchema.ts';

/** A limit ±a is taken for an even spread: its 1σ is a/√3 (JCGM 100, 4.3.7). */
const LIMIT = Math.sqrt(3);

/** What is realistic for a thermometer held to a machine, 1σ in K. Common practice, no source. */
export const THERMOMETER_KINDS = {
  'infra-red': 2,
  thermocouple: THERMOMETER_SIGMA_K,
  glass: 0.8,
  other: THERMOMETER_SIGMA_K,
} as const;

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
  return limit !== null && limit > 0 ? limit / LIMIT : THERMOMETER_KINDS[kit.thermometer];
}

/** Which tests the kit allows, and what they cost at this machine. */
export function accessOf(kit: Kit): Access {
  const factor = { easy: 0.6, usual: 1, hard: 3 };
  const [plug, module, sensor] = [factor[kit.access.plug], factor[kit.access.module], factor[kit.access.sensor]];
  return {
    tools: kit.tools,
    effort: {
      plugged: plug,
      unplugged: plug,
      bridged: plug,
      substituted: plug,
      'key-off': plug,
      'both-ends-free': Math.max(plug, module),
      bench: sensor,
    },
    riskMinutes: 1,
  };
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
