import { FIELDS } from '../../base/units/vocabulary.ts';
import { caseNumberOf, type Difficulty } from './caseNumber.ts';
import type { ThemeId } from './themes.ts';

/** Where the divider desk of a step stands to begin with: V, Ω, and the sensor's temperature, °C. */
export interface DeskStart {
  referenceV: number;
  pullUpOhm: number;
  temperatureC: number;
  /** Extra resistance in the signal wire, and a leak from it to ground; Ω, null: none. */
  seriesOhm: number | null;
  leakOhm: number | null;
}

/** One step of the course: a page to read, a desk to move, three cases. */
export interface CourseStep {
  id: string;
  title: string;
  /** Plain text, a paragraph each. */
  page: readonly string[];
  /** What to try on the desk. */
  tryThis: string;
  desk: DeskStart;
  /** Case numbers. */
  cases: readonly string[];
}

/** Source of the figures: the circuit model of this program and common practice, no source. */
const STEPS: readonly [
  id: string,
  title: string,
  page: readonly string[],
  tryThis: string,
  desk: Partial<DeskStart>,
  theme: ThemeId,
  difficulty: Difficulty,
][] = [
  [
    'divider',
    'A voltage that is shared',
    [
      'Inside the module sits a resistor, the pull-up. It feeds the signal wire from a steady 5 V, the reference. At the far end of the wire sits the sensor, and from it another wire, the return, leads back to the module.',
      'So there are two resistors in a row, and the 5 V is shared between them. The one with more ohms gets more of it. The module looks at the point between them: if the sensor has as many ohms as the pull-up, it sees half of 5 V.',
      'That is Ohm’s law at work: the same current runs through both, and current times ohms is volts. More you need not know to begin.',
    ],
    'Move the temperature. Watch the ohms of the sensor fall as it warms, and the voltage with them.',
    {},
    'any',
    1,
  ],
  [
    'ends',
    'The two ends',
    [
      'Two faults are easy: nothing in the plug, and a wire straight across it.',
      'Nothing in the plug: no current runs, nothing is lost in the pull-up, and the module sees all of the 5 V. It takes that for endless ohms, which is endless cold: the display goes to its lowest figure.',
      'A wire across: the module sees nearly 0 V, takes it for no ohms at all, and the display goes to its highest figure. A display at either end is no temperature. It is a break or a short.',
    ],
    'Put the leak to ground to its lowest: that is a short. Then the series resistance to its highest: that is a break.',
    { leakOhm: 10 },
    'any',
    1,
  ],
  [
    'meter',
    'What the meter asks of you',
    [
      'Volts are measured on a live circuit: key on. Ohms are measured on a dead one: key off, plug out. The meter sends its own small current for ohms; if the circuit sends one as well, the figure means nothing.',
      'Black lead on battery negative, red lead on the pin. “OL” says that there are more ohms than the range can show. It never says short.',
      'Mind the k. On the 20 kΩ range a meter may show 2.88 and mean 2880 Ω. A “2 Ω” sensor is nearly always one of 2 kΩ.',
    ],
    'Read the ohms and the volts that belong together at 20 °C, and again at 60 °C. Which changes more?',
    { temperatureC: 20 },
    'any',
    1,
  ],
  [
    'first-look',
    'Ask, look, then measure',
    [
      'Half of the answer is often told or seen. When did it begin? What was changed? Codes, and whether they are of now or of the past. Then look: corrosion, water, a chafed loom, a sensor hanging loose.',
      'What you see moves the odds; it does not settle them. A green pin may have been green for years.',
      'Then read the display and put a thermometer beside the sensor. If both agree within two or three degrees, the whole chain works at this moment, and whatever is wrong is not wrong now.',
    ],
    'Set 20 °C and remember the voltage. How many degrees is a tenth of a volt worth here? And at 80 °C?',
    {},
    'nothing-now',
    1,
  ],
  [
    'pull-and-bridge',
    'Pull it, bridge it',
    [
      'The cheapest real test needs no meter: pull the plug and watch the display. It must run to its cold end. Bridge the two pins and watch again: it must run to its hot end.',
      'If it does both, then reference, wires and module are alive, and the sensor is left. If it does not, the sensor is not what you are looking for, or not all of it.',
      'Before you bridge, find signal and return in the diagram. A plug may carry a live feed beside them, and a bridge on that burns the module.',
    ],
    'Series resistance up to 2 kΩ: does a bridge still bring the display to its end? Read what is left.',
    { seriesOhm: 500 },
    'any',
    1,
  ],
  [
    'supply',
    'Is it fed?',
    [
      'Plug out, key on, red lead on the signal pin: there should be the reference, 5 V or on boards 3.3 V. Between 4.8 and 5.3 V nobody in the trade calls it bad.',
      'Nothing at all: no reference, or the wire is broken or lies on ground. Something in between: it is fed through something, or something pulls on it.',
      'Then from battery positive to the return pin: battery voltage says that the return is there.',
    ],
    'Put a leak of 10 kΩ from the signal wire to ground and unplug in your mind: what is left of the 5 V?',
    { leakOhm: 10_000 },
    'shared-reference',
    1,
  ],
  [
    'load',
    'Five volts prove nothing about the wire',
    [
      'A meter takes almost no current. Through a rotten joint of 50 000 Ω it still shows 5 V, because nothing is lost where nothing flows.',
      'Only a load shows it. Plug in again and measure the same point: now current runs, and every bad ohm in the wire takes its share.',
      'That is the commonest trap there is: “5 V present, so it is the sensor.” It is wrong about once in three.',
    ],
    'Put 3 kΩ into the signal wire. Compare what the module sees with what the plug shows.',
    { seriesOhm: 3000 },
    'series-resistance',
    1,
  ],
  [
    'sensor-ohms',
    'The sensor by its ohms',
    [
      'Key off, plug out, leads on the two pins of the sensor itself. Compare with the table at the temperature it has now, not at the one you would like.',
      'A few per cent off is tolerance. Half or double is drift. OL is open. Fingers off the pins: you are some hundred kilohms yourself, and your hand is warm.',
      'A sensor condemned at the wrong temperature is the second commonest mistake in the trade.',
    ],
    'How many ohms does one degree make at 10 °C, at 50 °C, at 90 °C? The slope is no constant.',
    { temperatureC: 10 },
    'any',
    2,
  ],
  [
    'substitute',
    'A resistor in its place',
    [
      'Pull the sensor and put a resistor of known ohms into the plug. You know from the table which temperature that is. If the display shows it, everything but the sensor is proved with one test.',
      'A second resistor proves the slope as well. Take it out again: left in, it blinds the machine to frost and heat.',
    ],
    'Which resistor would you take for 25 °C? Set the desk to 25 °C and read its ohms.',
    { temperatureC: 25 },
    'any',
    2,
  ],
  [
    'new-sensor',
    'It is new already',
    [
      'A new sensor that did not help is evidence. It makes a bad sensor five times less likely, and a sensor of the wrong type more likely.',
      'Do not start where the last one started. Begin with what he did not look at.',
    ],
    'Set 25 °C. A sensor of twice the ohms at the same temperature: what would the display make of it?',
    { temperatureC: 25 },
    'new-sensor',
    1,
  ],
  [
    'return',
    'The other wire',
    [
      'There are two wires, and people measure one. With the plug seated, the return stands within some hundredths of a volt of battery negative. More, and it has resistance, or the module’s own ground is lifted.',
      'Resistance in the return shows at the module just like resistance in the signal wire. Only this one measurement tells them apart.',
    ],
    'Put 1 kΩ into the wire. The module cannot know in which of the two it is.',
    { seriesOhm: 1000 },
    'series-resistance',
    2,
  ],
  [
    'leaks',
    'Wet plugs',
    [
      'Water, coolant and salt conduct a little. Between signal and return they lie beside the sensor, and the display reads too warm. To ground it is nearly the same; to a live feed it reads too cold.',
      'A leak shows with the plug out: the voltage is no longer the whole reference. Against 5 V, 4.2 V is a lot: work out what leaks.',
    ],
    'Find the leak that takes 1 V away with the plug out. It is four times the pull-up.',
    { leakOhm: 20_000 },
    'any',
    2,
  ],
  [
    'shared',
    'What they share',
    [
      'Several circuits often hang on one reference and one return. One sensor of another kind with a short drags the reference down, and all of them read wrong at once.',
      'Several codes at once point to what they share. Ask the neighbour before you open the loom: does the other temperature read right? That is one minute.',
    ],
    'Lower the reference to 4 V. A module that measures against the same reference shows no difference: why?',
    { referenceV: 4 },
    'shared-reference',
    2,
  ],
  [
    'which',
    'Which sensor is it?',
    [
      'One for the gauge, one for the controller; coolant one and two; plugs that fit both. Nobody knows the numbering by heart.',
      'Pull a plug and watch which value jumps. Measuring the wrong sensor gives perfect readings and a wrong answer.',
    ],
    'Two sensors of the same kind at the same place: how far may they differ?',
    {},
    'two-sensors',
    1,
  ],
  [
    'hot',
    'Only when hot',
    [
      'Metal grows, joints open, elements crack. Some sensors pass every test in the morning and fail ten minutes after the heat.',
      'Believe the complaint: test in the state it speaks of. Warm it, read again, and only then judge. Hands and sleeves clear of fans; nothing hot is opened.',
    ],
    'Go to 90 °C. What is left of the voltage, and how large is a fault that would hide here?',
    { temperatureC: 90 },
    'only-hot',
    1,
  ],
  [
    'wiggle',
    'It comes and goes',
    [
      'What comes and goes has a place. Move the loom piece by piece and watch the display; mark where it jumps.',
      'If it never jumps, say so. “Not found today” is an honest result, and a code of the past is no reason to change a part.',
    ],
    'Switch a break on and off with the series resistance: that is what you will see.',
    { seriesOhm: 1_000_000 },
    'wiggle',
    1,
  ],
  [
    'odds',
    'Saying how sure you are',
    [
      '“It is the wiring” can mean sixty in a hundred or ninety-nine. Say which. Who says ninety and is right nine times in ten can be trusted; who says it always is guessing.',
      'A reading is worth what it takes away from the others. One that all suspects would give is worth nothing, however quickly it is taken.',
    ],
    'Series 2 kΩ and a sensor of double ohms look alike to the module. Which reading tells them apart?',
    { seriesOhm: 2000 },
    'any',
    2,
  ],
  [
    'worth',
    'When to stop',
    [
      'A test costs minutes, a part costs money, a second visit costs both. When the part is cheap and the odds are good, change it; when it is dear, one more test pays.',
      'On what protects (frost, overheat, flue, flame) nobody leaves without the proof, and nothing is bridged that limits.',
    ],
    'How far may the reading be off before anybody notices? Look at the desk at 90 °C with 20 Ω in the wire.',
    { temperatureC: 90, seriesOhm: 20 },
    'nothing-now',
    2,
  ],
  [
    'small-kit',
    'With little in the bag',
    [
      'No bath, no second sensor, perhaps no way to the module. Most cases can be told all the same, in another order.',
      'Some cannot. Then say that, and say which test would tell: that is an answer a customer can use.',
    ],
    'Which single reading would you take if you had one only? Try what each fault does to it.',
    {},
    'any',
    3,
  ],
  [
    'two',
    'Two things at once',
    [
      'A wet plug and a corroded pin. A new sensor of the wrong type in a bad loom. The first repair helps, and does not heal.',
      'When no single fault explains all readings, do not bend one until it does. Repair what is proved, read everything anew, and go on.',
    ],
    'Put 1 kΩ into the wire and a leak of 20 kΩ to ground. They work against each other.',
    { seriesOhm: 1000, leakOhm: 20_000 },
    'two-faults',
    2,
  ],
];

const DESK: DeskStart = { referenceV: 5, pullUpOhm: 2490, temperatureC: 20, seriesOhm: null, leakOhm: null };
/** Seeds of the course's cases begin here. */
const FIRST_SEED = 1000;

/** The course, from Ohm’s law at a divider to two faults at once. Each step has three cases, one a field. */
export const COURSE: readonly CourseStep[] = STEPS.map(([id, title, page, tryThis, desk, theme, difficulty], n) => ({
  ...{ id, title, page, tryThis },
  desk: { ...DESK, ...desk },
  cases: FIELDS.map((field, i) => caseNumberOf({ theme, field, difficulty, seed: FIRST_SEED + 3 * n + i })),
}));
