import { saysTwo, type TwoFaults } from '../advice/nextTest/twoFaults.ts';
import { measurementById } from '../circuit/measurements/list.ts';
import type { Conditions } from '../circuit/measurements/measurement.ts';
import type { Assessment, Suspect } from '../inference/verdict/assessment.ts';
import { THERMOMETER } from '../inference/model/problem.ts';
import { formatProbability, type TemperatureUnit } from '../base/units/format.ts';
import { conditionsText } from './conditionsText.ts';
import { groupName } from './groupName.ts';
import { sizeText } from './sizeText.ts';
import { slipText, stretchedText, thermometerSlipText } from './slipText.ts';

/** The verdict as a sentence with a size, and how surely it stands. */
export interface VerdictText {
  title: string;
  detail: string;
  /** 'open' until a group has 70 %, 'likely' below 95 %, then 'firm'; 'doubt' when the readings contradict each other. */
  state: 'nothing-yet' | 'open' | 'likely' | 'firm' | 'doubt';
}

/** Words for an assessment; `two` where pairs of faults were weighed. `nameOfReading` gives a reading's name by its id. */
export function verdictText(
  a: Assessment,
  nameOfReading: (id: string) => string,
  unit: TemperatureUnit,
  two: TwoFaults | null = null,
): VerdictText {
  const nameOf = (id: string): string => (id === THERMOMETER ? 'the thermometer' : nameOfReading(id));
  if (a.doubt.kind === 'no-readings') {
    return { state: 'nothing-yet', title: 'No reading yet', detail: 'Type any one: the order does not matter.' };
  }
  const aside = [thermometerSlipText(a, unit), stretchedText(a)].filter((t) => t !== '').join(' ');
  if (saysTwo(two)) return twoFaultsText(two, aside);
  if (a.doubt.kind === 'nothing-fits') {
    return {
      state: 'doubt',
      title: 'No single fault explains this',
      detail:
        `Most doubtful: ${list(a.doubt.readings.slice(0, 3).map(nameOf))}. Repeat that first; if it stands, look for two faults. ${aside}`.trim(),
    };
  }
  const [first, second] = a.groups;
  const suspect = a.suspects.find((s) => s.group === first.group);
  const contradiction = a.doubt.kind === 'contradiction' ? contradictionText(a, a.doubt.readings, nameOf, unit) : '';
  const ending = [contradiction, aside].filter((t) => t !== '').join(' ');
  if (first.probability < 0.7) {
    const between = `${groupName(first.group)} ${formatProbability(first.probability)}, ${groupName(second.group).toLowerCase()} ${formatProbability(second.probability)}.`;
    return { state: contradiction ? 'doubt' : 'open', title: 'Not decided yet', detail: `${between} ${ending}`.trim() };
  }
  const state = contradiction ? 'doubt' : first.probability < 0.95 ? 'likely' : 'firm';
  const size = suspect ? suspectDetail(suspect) : '';
  return {
    state,
    title:
      first.group === 'healthy'
        ? 'Nothing wrong with this circuit now'
        : titleOf(groupName(first.group), suspect, first.probability),
    detail: `${size}${size && ending ? '. ' : ''}${ending}`.trim(),
  };
}

/** Which readings do not fit, and what they probably were. */
function contradictionText(
  a: Assessment,
  ids: readonly string[],
  nameOf: (id: string) => string,
  unit: TemperatureUnit,
): string {
  const slipped = ids.flatMap((id) => {
    const reading = a.readings.find((r) => r.id === id);
    return reading?.slip
      ? [{ id, text: slipText(reading.slip, measurementById(reading.measurement).quantity, unit) }]
      : [];
  });
  if (slipped.length > 0) return slipped.map(({ id, text }) => `${capital(nameOf(id))}: ${text}`).join(' ');
  return `Does not fit: ${list(ids.map(nameOf))}. Repeat it.`;
}

/** Two faults at once, each with its size, and the test that proves the second. */
function twoFaultsText({ pairs }: TwoFaults, aside: string): VerdictText {
  const [{ first, second, test, probability }] = pairs;
  // The title names the two; here stands how large each is, in the same order.
  const sizes = [first, second].map(({ size }) => (size ? sizeText(size) : 'no size to tell')).join(' and ');
  const told = first.size || second.size ? `${capital(sizes)}.` : '';
  const how = test
    ? `The test that proves the second: ${testName(test.measurement, test.conditions)}.`
    : 'No test at hand would prove the second.';
  const others = pairs.slice(1).map((p) => `${p.first.name} with ${p.second.name}`);
  const or = others.length > 0 ? ` Or: ${others.join('; ')}.` : '';
  return {
    state: probability > 0.7 ? 'likely' : 'open',
    title: `Two things are wrong: ${first.name} and ${second.name}`,
    detail: `${told}${or} ${how} ${aside}`.trim(),
  };
}

function testName(measurement: string, conditions: Conditions): string {
  const words = conditionsText(conditions, 'C');
  return `${measurementById(measurement).name.toLowerCase()}${words ? `, ${words}` : ''}`;
}

function titleOf(group: string, suspect: Suspect | undefined, probability: number): string {
  if (!suspect || suspect.probability < 0.5 * probability) return `${group}, kind not settled yet`;
  // A name that carries its group already ("sensor open") is not told twice.
  return suspect.name.startsWith(group.toLowerCase()) ? capital(suspect.name) : `${group}: ${suspect.name}`;
}

/** Size, place and state of a suspect in one line. */
export function suspectDetail(s: Suspect): string {
  const parts = [
    s.size ? sizeText(s.size) : '',
    s.detail ?? '',
    s.onlyIn ? `only ${s.onlyIn === 'steady' ? 'while cold' : s.onlyIn}` : '',
  ];
  return parts.filter((p) => p !== '').join(', ');
}

function list(names: readonly string[]): string {
  return names.join(', ');
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
