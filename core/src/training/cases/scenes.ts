import type { CatalogueCircuit } from '../../catalogue/parts/circuits.ts';
import type { CodeMeaning, MachineField } from '../../base/units/vocabulary.ts';
import { pick, type Uniform } from '../../base/numeric/random.ts';

/** Who stands in the yard, in words. Invented: no machine, person or brand is meant. */

const MACHINES: Readonly<Record<MachineField, readonly string[]>> = {
  engine: [
    'Delivery van, diesel',
    'Wheel loader',
    'Old saloon, petrol',
    'Harvester',
    'Workboat, single engine',
    'Street sweeper',
    'Standby generator',
    'Mountain bus',
  ],
  climate: [
    'Walk-in cold room',
    'Bakery proofing room',
    'Dentist’s rooftop unit',
    'Flower shop cooler',
    'Tram, driver’s cab',
    'Greenhouse vent',
    'Server cupboard',
    'Library air handler',
  ],
  boiler: [
    'School boiler, second of two',
    'Farmhouse boiler',
    'Swimming hall boiler',
    'Row house, wall boiler',
    'Workshop heater',
    'Chapel boiler',
    'Brewery hot water',
    'Block of flats, cascade',
  ],
};

/** How the reading lies, as who complains sees it. */
export type Looks = 'cold' | 'hot' | 'plausible';

const SAYS: Readonly<Record<Looks, readonly string[]>> = {
  cold: [
    '“It shows far colder than it is.”',
    '“The display is down at the bottom and stays there.”',
    '“According to the display it is winter in there.”',
  ],
  hot: [
    '“It shows hot and nothing is hot, I had my hand on it.”',
    '“The display is up at the top from the first minute.”',
    '“It thinks it boils.”',
  ],
  plausible: [
    '“It does not work as it should, but the display looks about right to me.”',
    '“Somebody said it must be the temperature sensor.”',
    '“The lamp came on, so I brought it.”',
  ],
};

const WHEN = {
  always: ['', ' “Since last week.”', ' “It came overnight.”', ' “It got worse slowly.”'],
  past: [' “Yesterday it did. Today, of course, nothing.”', ' “It was so on Friday; since then it has behaved.”'],
  hot: [' “Cold in the morning all is fine. After half an hour it starts.”', ' “Only when it has been working hard.”'],
  wiggle: [' “On rough ground it comes and goes.”', ' “Slam the door and it is back, for a while.”'],
} as const;

/** When it is so, as who complains has it. */
export type Told = keyof typeof WHEN;

/** The machine of a case. */
export const machineOf = (field: MachineField, uniform: Uniform): string => pick(MACHINES[field], uniform);

/** What is said when it is brought. `replaced`: a new sensor is in it already. */
export function complaintOf(looks: Looks, when: Told, replaced: boolean, uniform: Uniform): string {
  const text = pick(SAYS[looks], uniform) + pick(WHEN[when], uniform);
  return replaced ? `${text} A new sensor was fitted; it did not help.` : text;
}

/** First code of the run of a circuit, by its name; its low, high and range codes follow each other (SAE J2012, from memory). */
const RUNS: readonly [subject: RegExp, circuit: string, range: string | null, low: string, high: string][] = [
  [/coolant|gauge/i, 'P0115', 'P0116', 'P0117', 'P0118'],
  [/intake/i, 'P0110', 'P0111', 'P0112', 'P0113'],
  [/oil/i, 'P0195', 'P0196', 'P0197', 'P0198'],
  [/exhaust/i, 'P0544', null, 'P0545', 'P0546'],
];

/** A code as the machine shows it, and its meaning where it is one of the machine's own; null where it has none of that kind. */
export function codeOf(
  circuit: CatalogueCircuit,
  says: 'low' | 'high' | 'range',
): { code: string; own?: { what: string; says: CodeMeaning } } | null {
  if (circuit.field === 'engine') {
    const run = RUNS.find(([subject]) => subject.test(circuit.name));
    const code = run?.[says === 'range' ? 2 : says === 'low' ? 3 : 4];
    return code ? { code } : null;
  }
  const what = circuit.name.split(' · ')[0].toLowerCase();
  const [number, words] = {
    low: ['E11', 'signal at its lower end'],
    high: ['E12', 'signal at its upper end'],
    range: ['E13', 'value not plausible'],
  }[says];
  return { code: number, own: { what: `${what}, ${words}`, says } };
}

/** A code of another circuit on the same supply. */
export const CODE_OF_NEIGHBOUR: Readonly<Record<'engine' | 'other', string>> = { engine: 'P0641', other: 'E20' };
