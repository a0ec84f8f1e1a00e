import type { Assessment, Suspect } from '../verdict/assessment.ts';
import { THERMOMETER } from '../model/problem.ts';
import { formatProbability } from '../units/format.ts';
import { groupName } from './groupName.ts';
import { sizeText } from './sizeText.ts';

/** The verdict as a sentence with a size, and how surely it stands. */
export interface VerdictText {
  title: string;
  detail: string;
  /** 'open' until a group has 70 %, 'likely' below 95 %, then 'firm'; 'doubt' when the readings contradict each other. */
  state: 'nothing-yet' | 'open' | 'likely' | 'firm' | 'doubt';
}

/** Words for an assessment. `nameOf` gives a reading's name by its id. */
export function verdictText(a: Assessment, nameOfReading: (id: string) => string): VerdictText {
  const nameOf = (id: string): string => (id === THERMOMETER ? 'the thermometer' : nameOfReading(id));
  if (a.doubt.kind === 'no-readings') {
    return { state: 'nothing-yet', title: 'No reading yet', detail: 'Type any one: the order does not matter.' };
  }
  if (a.doubt.kind === 'nothing-fits') {
    return {
      state: 'doubt',
      title: 'No single fault explains this',
      detail: `Most doubtful: ${list(a.doubt.readings.slice(0, 3).map(nameOf))}. Repeat that first; if it stands, look for two faults.`,
    };
  }
  const [first, second] = a.groups;
  const suspect = a.suspects.find((s) => s.group === first.group);
  const contradiction =
    a.doubt.kind === 'contradiction' ? ` Does not fit: ${list(a.doubt.readings.map(nameOf))}. Repeat it.` : '';
  if (first.probability < 0.7) {
    const between = `${groupName(first.group)} ${formatProbability(first.probability)}, ${groupName(second.group).toLowerCase()} ${formatProbability(second.probability)}.`;
    return { state: contradiction ? 'doubt' : 'open', title: 'Not decided yet', detail: `${between}${contradiction}` };
  }
  const state = contradiction ? 'doubt' : first.probability < 0.95 ? 'likely' : 'firm';
  return {
    state,
    title:
      first.group === 'healthy'
        ? 'Nothing wrong with this circuit now'
        : titleOf(groupName(first.group), suspect, first.probability),
    detail: `${suspect ? suspectDetail(suspect) : ''}${contradiction}`.trim(),
  };
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
