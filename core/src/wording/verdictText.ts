import { mayBeTwo, type PairedFault, saysTwo, type TwoFaults } from '../advice/nextTest/twoFaults.ts';
import { measurementById } from '../circuit/measurements/list.ts';
import type { Conditions } from '../circuit/measurements/measurement.ts';
import type { FaultGroup } from '../base/units/vocabulary.ts';
import type { Assessment, Suspect } from '../inference/verdict/assessment.ts';
import { THERMOMETER } from '../inference/model/problem.ts';
import { formatProbability, type TemperatureUnit } from '../base/units/format.ts';
import { conditionsText } from './conditionsText.ts';
import { groupName } from './groupName.ts';
import { sizeText } from './sizeText.ts';
import { slipText, stretchedText, thermometerSlipText } from './slipText.ts';

/** The verdict as a sentence with a size, and how sure it is. */
export interface VerdictText {
  title: string;
  detail: string;
  /**
   * How sure what the title names is: 'open' below 70 %, 'likely' below 95 %, then 'firm'; 'doubt' when the readings contradict each other; 'fits'
   * when everything that was measured fits a sound circuit and something is not tested yet.
   */
  state: 'nothing-yet' | 'open' | 'likely' | 'firm' | 'doubt' | 'fits';
}

/** From so much on a thing is likely, and firm. */
const [LIKELY, FIRM] = [0.7, 0.95];

/** Words for an assessment; `two` where pairs of faults were weighed. `nameOfReading` gives a reading's name by its id. */
export function verdictText(
  a: Assessment,
  nameOfReading: (id: string) => string,
  unit: TemperatureUnit,
  two: TwoFaults | null = null,
): VerdictText {
  const nameOf = (id: string): string => (id === THERMOMETER ? 'the thermometer' : nameOfReading(id));
  if (a.doubt.kind === 'no-readings') {
    return { state: 'nothing-yet', title: 'No reading yet', detail: 'Enter any reading. The order does not matter.' };
  }
  const aside = [
    askedText(a, nameOf, unit),
    thermometerSlipText(a, unit),
    thermometerAloneText(a),
    displayStuckText(a),
    stretchedText(a),
  ]
    .filter((t) => t !== '')
    .join(' ');
  if (saysTwo(two)) return twoFaultsText(two, aside);
  if (a.doubt.kind === 'nothing-fits') {
    const names = list(a.doubt.readings.slice(0, 3).map(nameOf));
    return {
      state: 'doubt',
      title: 'No single fault explains this',
      detail: [
        `Most doubtful: ${names}. Repeat that first. If it stays the same, look for two faults.`,
        possibleText(two),
        aside,
      ]
        .filter((t) => t !== '')
        .join(' '),
    };
  }
  const contradiction = a.doubt.kind === 'contradiction' ? contradictionText(a, a.doubt.readings, nameOf, unit) : '';
  const ending = [contradiction, possibleText(two), aside].filter((t) => t !== '').join(' ');
  const said = contradiction || mayBeTwo(two) ? null : nothingFoundText(a);
  const { title, detail, probability } = said ?? leadingText(a, two);
  const state = contradiction
    ? 'doubt'
    : (said?.state ?? (probability < LIKELY ? 'open' : probability < FIRM ? 'likely' : 'firm'));
  return { state, title, detail: [detail, ending].filter((t) => t !== '').join(' ') };
}

/** What is named, and the probability of exactly that. */
interface Named {
  title: string;
  detail: string;
  probability: number;
}

/** What leads, named as far as it is sure: the fault, or only its group with the kinds that are still open. */
function leadingText(a: Assessment, two: TwoFaults | null): Named {
  const [first, second] = a.groups;
  if (first.probability < LIKELY) {
    const between = `${groupName(first.group)} ${formatProbability(first.probability)}, ${groupName(second.group).toLowerCase()} ${formatProbability(second.probability)}.`;
    return { title: 'Not decided yet', detail: between, probability: first.probability };
  }
  const kinds = a.suspects.filter((s) => s.group === first.group);
  const probability = withPairs(first.probability, two, ({ group }) => group === first.group);
  if (mayBeTwo(two) && probability < LIKELY) {
    const [suspect] = kinds;
    const alone = formatProbability((1 - two.probability) * (suspect?.probability ?? first.probability));
    const name = suspect ? titleOf(first.group, suspect) : groupFault(first.group);
    return { title: 'Not decided yet', detail: `${name} alone: ${alone}.`, probability };
  }
  if (first.group === 'healthy') return { title: 'Nothing wrong with this circuit now', detail: '', probability };
  return kindText(first, kinds, probability, two);
}

/** A group of faults that leads, by the one fault where that is likely too, else with those that are open. */
function kindText(
  { group, probability: alone }: Assessment['groups'][number],
  kinds: readonly Suspect[],
  ofGroup: number,
  two: TwoFaults | null,
): Named {
  const [suspect] = kinds;
  // What the title names decides how sure it is; that the group is surer is said beside it.
  if (suspect && (kinds.length === 1 || suspect.probability >= LIKELY)) {
    const size = suspectDetail(suspect);
    const single = kinds.length === 1 ? alone : suspect.probability;
    const probability = withPairs(single, two, ({ fault }) => fault === suspect.fault);
    const surer = ofGroup >= FIRM && probability < FIRM ? `The group is firm: ${groupName(group).toLowerCase()}.` : '';
    return {
      title: titleOf(group, suspect),
      detail: [size === '' ? '' : `${capital(size)}.`, surer].filter((t) => t !== '').join(' '),
      probability,
    };
  }
  const open = kinds.slice(0, 2).map((s) => `${s.name} ${formatProbability(s.probability)}`);
  // Where all of them lie in the same place, that is known already.
  const [place] = new Set(kinds.slice(0, 2).map((s) => s.detail));
  const shared = place && kinds.slice(0, 2).every((s) => s.detail === place) ? ` The place: ${place}.` : '';
  return {
    title: groupFault(group),
    detail: open.length > 0 ? `Which one is open: ${open.join(', ')}.${shared}` : '',
    probability: ofGroup,
  };
}

/** Probability that something is wrong, of one fault or of two: `isIt` tells whether a fault of a pair is it. */
function withPairs(single: number, two: TwoFaults | null, isIt: (fault: PairedFault) => boolean): number {
  if (!mayBeTwo(two)) return single;
  const inPairs = two.pairs.reduce((sum, p) => sum + (isIt(p.first) || isIt(p.second) ? p.probability : 0), 0);
  return (1 - two.probability) * single + two.probability * inPairs;
}

/** A second fault that is possible, and the test that proves it; empty where none is. */
function possibleText(two: TwoFaults | null): string {
  if (!mayBeTwo(two)) return '';
  const [{ first, second, test }] = two.pairs;
  const possible = `Two faults are possible (${formatProbability(two.probability)}): ${first.name} and ${second.name}.`;
  return test ? `${possible} Test that proves the second: ${testName(test.measurement, test.conditions)}.` : possible;
}

/** Everything measured fits a sound circuit, and nothing else is proved: what was found and what is not tested yet; null where that is not so. */
function nothingFoundText(a: Assessment): { title: string; detail: string; probability: number; state: 'fits' } | null {
  const sound = a.groups.find((g) => g.group === 'healthy')?.probability ?? 0;
  if (sound < SOUND_AT_LEAST || a.untested.length === 0 || a.readings.some((r) => r.verdict !== 'inside')) return null;
  if (sound >= FIRM) return null;
  const [first] = a.groups;
  if (first.group !== 'healthy' && first.probability >= LIKELY) return null;
  const names = a.untested.map((id) => (id === 'hot' ? 'a reading when hot' : testName(id, {})));
  return {
    title: 'Nothing wrong found so far',
    detail: `Not tested yet: ${list(names)}.`,
    probability: sound,
    state: 'fits',
  };
}

/** Below this "nothing wrong" is out of the question although each reading fits by itself. */
const SOUND_AT_LEAST = 0.05;

/** Slips that are possible although the verdict does without them. */
function askedText(a: Assessment, nameOf: (id: string) => string, unit: TemperatureUnit): string {
  const doubted = 'readings' in a.doubt ? a.doubt.readings : [];
  return a.readings
    .filter((r) => r.slip && r.blunder <= 0.5 && !doubted.includes(r.id))
    .map((r) => `${capital(nameOf(r.id))}: ${slipText(r.slip!, measurementById(r.measurement).quantity, unit)}`)
    .join(' ');
}

/** From so much on the place of the sensor is named beside what leads. */
const WORTH_A_LOOK = 0.2;

/** Do the meter and the display agree with each other, and only the thermometer does not? */
export function suspectsThermometer(a: Assessment): boolean {
  const alone = a.doubt.kind === 'contradiction' && a.doubt.readings[0] === THERMOMETER;
  const placed = (a.groups.find((g) => g.group === 'installation')?.probability ?? 0) >= WORTH_A_LOOK;
  const kinds = new Set(a.readings.map((r) => measurementById(r.measurement).quantity));
  return (alone || placed) && kinds.size >= 2 && a.thermometerSlip === null;
}

function thermometerAloneText(a: Assessment): string {
  if (!suspectsThermometer(a)) return '';
  return 'The readings agree with each other, only the thermometer does not. Suspect the thermometer and the place of the sensor first. Read the temperature again by a better method. With the system cold, check the level.';
}

/** Said where the display shows the same plugged in, unplugged or jumpered. */
function displayStuckText(a: Assessment): string {
  return a.displayStuck
    ? 'The display does not react to the plug: it may show a substitute value. Read the fault code or the raw voltage, and trust the meter.'
    : '';
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
function twoFaultsText({ pairs, probability: ofTwo }: TwoFaults, aside: string): VerdictText {
  const [{ first, second, test, probability }] = pairs;
  const sizes = [first, second].flatMap(({ name, size }) => (size ? [`${capital(name)}: ${sizeText(size)}.`] : []));
  const told = sizes.join(' ');
  const how = test
    ? `Test that proves the second: ${testName(test.measurement, test.conditions)}.`
    : 'No test at hand proves the second.';
  const others = pairs.slice(1).map((p) => `${p.first.name} with ${p.second.name}`);
  const or = others.length > 0 ? ` Or: ${others.join('; ')}.` : '';
  return {
    state: ofTwo * probability > LIKELY ? 'likely' : 'open',
    title: `Two things are wrong: ${first.name} and ${second.name}`,
    detail: `${told}${or} ${how} ${aside}`.trim(),
  };
}

function testName(measurement: string, conditions: Conditions): string {
  const words = conditionsText(conditions, 'C');
  return `${measurementById(measurement).name.toLowerCase()}${words ? `, ${words}` : ''}`;
}

/** A group as something that is wrong. */
const groupFault = (group: FaultGroup): string =>
  group === 'installation' ? 'Sensor position' : `${groupName(group)} fault`;

function titleOf(group: FaultGroup, suspect: Suspect): string {
  // A name that carries its group already ("sensor open") is not told twice.
  return suspect.name.startsWith(groupName(group).toLowerCase())
    ? capital(suspect.name)
    : `${groupFault(group)}: ${suspect.name}`;
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
