import type { MachineVerdict } from '../inference/machine/machineSensors.ts';
import { formatProbability, type TemperatureUnit } from '../base/units/format.ts';
import { kelvinText } from './logText.ts';

/** The verdict on all sensors of a machine: what it is, how surely, and what to do next. */
export interface MachineText {
  title: string;
  lines: string[];
  next: string;
}

const NEXT: Record<NonNullable<MachineVerdict['next']>, string> = {
  air: 'Measure the air beside the machine. It decides which of them is right.',
  wait: 'It may truly be warmer: heat that is left, the sun or a block heater. Let the machine stand in the shade, then read again.',
  'second-thermometer': 'Hold a second thermometer beside the likeliest one, or read again after a longer rest.',
  check: 'Check this sensor and its circuit.',
};

/** @param nameOf name of a sensor by its id */
export function machineText(
  verdict: MachineVerdict,
  nameOf: (id: string) => string,
  unit: TemperatureUnit,
): MachineText {
  const { kind, named, shares, probability, next, sensors } = verdict;
  const sure = formatProbability(probability);
  const names = list(named.map(nameOf));
  const off = (id: string): string => {
    const { offK, sigmaK } = sensors.find((s) => s.id === id)!;
    return `${nameOf(id)} reads ${kelvinText(Math.abs(offK), unit)} too ${offK < 0 ? 'cold' : 'warm'}, ± ${kelvinText(2 * sigmaK, unit)}.`;
  };
  const after = next ? NEXT[next] : '';
  switch (kind) {
    case 'none':
      return { title: `All sensors agree (${sure})`, lines: [], next: '' };
    case 'off':
      return {
        title: `${named.length === 1 ? 'One sensor is' : `${named.length} sensors are`} out of line: ${names} (${sure})`,
        lines: named.map(off),
        next: after,
      };
    case 'shared':
      return {
        title: shares === '' ? `All sensors are off together (${sure})` : `${names} are off together (${sure})`,
        lines: [
          shares === ''
            ? 'Suspect what all of them share: the reference supply, the module, or a wrong air temperature.'
            : `They share ${shares}. Suspect that before the sensors.`,
          ...named.map(off),
        ],
        next: after,
      };
    case 'cannot-tell':
      return {
        title: 'The readings do not decide it',
        lines: sensors
          .filter((s) => s.off >= WORTH_NAMING)
          .sort((a, b) => b.off - a.off)
          .map((s) => `${nameOf(s.id)} is out of line with ${formatProbability(s.off)}.`),
        next: after,
      };
  }
}

/** From this probability on a sensor is named among the possible ones. */
const WORTH_NAMING = 0.1;

const list = (names: readonly string[]): string =>
  names.length < 2 ? names.join() : `${names.slice(0, -1).join(', ')} and ${names[names.length - 1]}`;
