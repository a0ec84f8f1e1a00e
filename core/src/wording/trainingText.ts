import { measurementById } from '../circuit/measurements/list.ts';
import type { CaseNumberFault } from '../training/cases/caseNumber.ts';
import type { Cavity, TrainingCase } from '../training/cases/trainingCase.ts';
import type { TrueState } from '../training/cases/trueState.ts';
import type { Expected, Happened } from '../training/cases/play.ts';
import type { Mistake } from '../training/cases/setUp.ts';
import type { SlipId } from '../training/cases/slips.ts';
import { FINDINGS } from '../catalogue/parts/findings.ts';
import { groupName } from './groupName.ts';
import { trueSizeText } from './sizeText.ts';

/** Why a text is no case number. */
export function caseNumberFaultText(why: CaseNumberFault): string {
  return {
    form: 'A case number looks like 2-ABC123-D: a digit, six signs, a check sign.',
    mistyped: 'One sign of this number is wrong: the check sign does not fit.',
    'other-generator': 'This number was made by another version of the program, which made other cases of it.',
  }[why];
}

/** What was wrong with a set-up, as an instructor would say it. */
export const MISTAKE_TEXT: Readonly<Record<Mistake, string>> = {
  'key-off': 'The key was off: nothing was fed.',
  'key-on': 'Ohms with the key on: the circuit’s own voltage runs through the meter.',
  'plug-not-pulled': 'The plug was still seated: the meter saw the whole circuit beside the part.',
  'plug-pulled': 'The plug was pulled: this test is taken with it seated.',
  'not-bridged': 'What this test puts into the plug was not in it.',
  'wrong-cavities': 'The bridge was on a cavity that is live.',
  'wrong-plug': 'This was the plug of the other sensor.',
  'over-range': 'The range was too low: OL only says “more than this range”.',
  'coarse-range': 'The range was far too high: most of the digits are lost.',
  'not-waited': 'It was not waited for: the sensor was still on its way.',
};

/** What broke, and what that cost. */
export const DAMAGE_TEXT = {
  input: 'Live feed on the signal pin: the module’s input is burnt. The module is repaired at your cost.',
  fuse: 'Live feed on the return: a fuse has blown, and the harness smells. A new fuse, and time.',
} as const;

/** A caution that was passed over. */
export const CARELESS_TEXT = {
  'bridged-unidentified': 'Bridged without the diagram: identify the pins first.',
  'ohms-on-live': 'Ohms on a live circuit: key off first.',
} as const;

/** What goes wrong again and again, told to the learner himself. */
export const SLIP_TEXT: Readonly<Record<SlipId, string>> = {
  'five-volts-as-proof': 'You take 5 V at the plug as proof of the wires',
  'sensor-on-suspicion': 'You change a sensor that is sound',
  'acted-early': 'You act before it is known',
  'too-sure': 'You are almost certain, and wrong',
  'set-up': 'You read with the set-up wrong',
  'tested-on': 'You test on when it could be known',
  'state-not-tried': 'You do not look in the state it is complained of',
  'unidentified-pins': 'You bridge pins you have not identified',
  'not-stopped': 'You repair what is sound',
};

/** An expectation, as it is chosen. */
export const EXPECTED_TEXT: Readonly<Record<Expected, string>> = {
  sound: 'sound',
  low: 'lower',
  high: 'higher',
  nothing: 'OL, nothing',
};

const CAVITY_TEXT: Readonly<Record<Cavity, string>> = {
  signal: 'signal',
  return: 'return',
  supply: 'live feed of something else',
};

/** What the diagram says of the plug, cavity by cavity. */
export const cavitiesText = ({ cavities }: Pick<TrainingCase, 'cavities'>): string =>
  cavities.map((c, i) => `${i + 1} ${CAVITY_TEXT[c]}`).join(', ');

/** What one move was, in a line. */
export function moveText({ move }: Pick<Happened, 'move'>): string {
  switch (move.kind) {
    case 'measure':
      return measurementById(move.measurement).name + (move.setUp.state === 'steady' ? '' : `, ${move.setUp.state}`);
    case 'diagram':
      return 'Checked the diagram';
    case 'look':
      return 'Inspected plug and harness';
    case 'which-plug':
      return `Pulled plug ${move.at} and watched the display`;
    case 'warm':
      return 'Warmed the machine';
    case 'believe':
      return 'Recorded an estimate';
    case 'act':
      return move.group === 'healthy' ? 'Handed it over: nothing wrong now' : `Repaired: ${groupName(move.group)}`;
    case 'cannot-tell':
      return 'Said: this kit cannot decide it';
    case 'give-up':
      return 'Gave up';
  }
}

/** What came of it, in a line; empty where the figure says it all. */
export function cameOfText({ move, seen, helped, shown }: Happened): string {
  if (shown?.damage) return DAMAGE_TEXT[shown.damage];
  if (move.kind === 'look') return seen!.length === 0 ? 'Nothing found.' : `${seenText(seen!)}.`;
  if (move.kind === 'which-plug') return seen!.length > 0 ? 'The display moves.' : 'The display does not move.';
  if (move.kind === 'act')
    return { healed: 'It works now.', better: 'It is better, not right yet.', no: 'It did not help.' }[helped!];
  return '';
}

/** Findings by their names. */
export const seenText = (ids: readonly string[]): string =>
  FINDINGS.filter((f) => ids.includes(f.id))
    .map((f) => f.name)
    .join('; ');

/** What was wrong, in a sentence. */
export function truthText({ faults, plug }: TrueState): string {
  if (faults.length === 0) return 'Nothing is wrong with it now.';
  const list = faults.map(({ name, size, onlyIn }) => {
    const told = size ? `, ${trueSizeText(size.value, size.unit)}` : '';
    const only = onlyIn === 'hot' ? ', only when hot' : onlyIn ? ', only while the harness is moved' : '';
    return `${name}${told}${only}`;
  });
  const [first, ...rest] = list.join('; and ');
  return `${first.toUpperCase()}${rest.join('')}.${plug ? ` The sensor is the one at plug ${plug}.` : ''}`;
}
