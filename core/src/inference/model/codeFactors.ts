import type { CodeMeaning } from '../../base/units/vocabulary.ts';
import type { SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import type { SolvedCircuit } from '../../circuit/network/solvedCircuit.ts';
import type { Fault } from '../../circuit/faults/fault.ts';
import { FAULTS } from '../../circuit/faults/list.ts';
import { normalCdf } from '../../base/numeric/normal.ts';
import type { CodeState } from '../../base/units/vocabulary.ts';
import { overSizes } from './overSizes.ts';

/**
 * A module sets "low" or "high" where its pin is nearer than this to either end of the reference (middle and 1σ of what modules use, as a share
 * of the reference). Common practice, no source: thresholds of 0.1 … 0.4 V in 5 V.
 */
const END = { share: 0.05, spread: 0.02 } as const;
/** A value is implausible from about this difference on, K. Common practice, no source. */
const IMPLAUSIBLE_K = 15;
/** Chance that a code in this state is there for another reason: left from before, from another circuit, from a plug pulled with the key on. */
const STRAY: Readonly<Record<CodeState, number>> = { 'came-back': 0.03, present: 0.05, sporadic: 0.15, past: 0.4 };
/** Chance that a module which sees the condition has set its code by now. */
const SET = 0.9;

/** What a module with this fault in its circuit sees: near an end, or inside but implausible. Each a chance that the condition is met. */
interface Seen {
  low: number;
  high: number;
  range: number;
}

function seenBy(solved: SolvedCircuit, sound: SolvedCircuit): Seen {
  const share = solved.pinVolts('sensor') / solved.state.nominalReferenceV;
  const low = normalCdf((END.share - share) / END.spread);
  const high = normalCdf((share - (1 - END.share)) / END.spread);
  const shift = Math.abs(solved.displayedC('sensor') - sound.displayedC('sensor'));
  return { low, high, range: Math.max(0, 1 - low - high) * Math.min(1, (shift / IMPLAUSIBLE_K) ** 2) };
}

/** Which fault comes and goes: the likelihood of "intermittent" or "sporadic". Common practice, no source. */
function comesAndGoes({ id, group }: Fault): number {
  if (group === 'wiring') return 0.3;
  if (group === 'healthy') return 0.2;
  return ['sensor-open', 'sensor-short', 'sensor-to-body'].includes(id) ? 0.2 : 0.05;
}

/** `opensHigh`: does the pin go to the upper end where the circuit is open? */
function chanceOf(says: CodeMeaning, { low, high, range }: Seen, opensHigh: boolean, fault: Fault): number {
  const [likeOpen, likeShort] = opensHigh ? [high, low] : [low, high];
  switch (says) {
    case 'low':
      return low;
    case 'high':
      return high;
    case 'open':
      return likeOpen;
    case 'low-or-open':
      return Math.max(low, likeOpen);
    case 'high-or-open':
      return Math.max(high, likeOpen);
    // More ohms lie towards the end that an open goes to, fewer towards the other.
    case 'ohms-high':
      return likeOpen;
    case 'ohms-low':
      return likeShort;
    case 'range':
      return range;
    case 'intermittent':
      return comesAndGoes(fault);
    case 'circuit':
      return Math.max(low, high, 0.5 * range);
    case 'other':
      return 0;
  }
}

/**
 * Factors on the weights of the faults from a code of this circuit: a code is a reading of the module, so its likelihood under each fault comes
 * from the share of the reference at the module's pin, the same for every layout and curve. Relative to the mean over all faults.
 * @param temperatureC where the sensor is, °C
 */
export function codeFactors(
  circuit: SensorCircuit,
  says: CodeMeaning,
  state: CodeState,
  temperatureC: number,
): Record<string, number> {
  const seen = overSizes(circuit, temperatureC, (solved, sound, fault) => {
    const opensHigh = sound.pinVolts('open') > 0.5 * sound.state.nominalReferenceV;
    let chance = chanceOf(says, seenBy(solved, sound), opensHigh, fault);
    // What is not there now was there: any fault that comes and goes, or one that is gone.
    if (state === 'sporadic' || state === 'past') chance *= comesAndGoes(fault) / 0.3;
    if (state === 'past' && fault.group === 'healthy') chance = 0.3;
    return STRAY[state] + (1 - STRAY[state]) * SET * chance;
  });
  const possible = FAULTS.filter((f) => f.id in seen);
  const weight = possible.reduce((sum, f) => sum + f.weight, 0);
  const mean = possible.reduce((sum, f) => sum + f.weight * seen[f.id], 0) / weight;
  return Object.fromEntries(Object.entries(seen).map(([fault, chance]) => [fault, chance / mean]));
}
