import { FIELDS } from '../../base/units/vocabulary.ts';
import { caseNumberOf, type Difficulty } from './caseNumber.ts';
import type { ThemeId } from './themes.ts';

/** What the divider desk of a step is set to at first: V, Ω, and the sensor's temperature, °C. */
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
    'A shared voltage',
    [
      'Inside the module is a resistor, the pull-up. It feeds the signal wire from a steady 5 V, the reference. The sensor is at the far end of that wire. A second wire, the return, leads from the sensor back to the module.',
      'So two resistors are in series, and they share the 5 V. The one with more ohms gets more of the voltage. The module measures between them: if the sensor has as many ohms as the pull-up, the module sees half of 5 V.',
      'This is Ohm’s law: the same current flows through both, and current times ohms is volts. You need nothing more to begin.',
    ],
    'Change the temperature. The sensor’s ohms fall as it warms up, and the voltage falls with them.',
    {},
    'any',
    1,
  ],
  [
    'ends',
    'The two ends',
    [
      'Two faults are easy to recognise: an unplugged sensor, and a wire straight across the plug.',
      'Unplugged, no current flows and nothing is lost in the pull-up. The module sees the full 5 V and takes it for endless ohms, which means extreme cold. The display goes to its lowest value.',
      'With a wire across, the module sees almost 0 V and takes it for no ohms at all. The display goes to its highest value. A display at either end does not show a temperature. It shows an open circuit or a short.',
    ],
    'Set the leak to ground to its lowest value: that is a short. Then set the resistance in the wire to its highest value: that is an open circuit.',
    { leakOhm: 10 },
    'any',
    1,
  ],
  [
    'meter',
    'How to use the meter',
    [
      'Measure volts on a live circuit, with the key on. Measure ohms on a dead circuit, with the key off and the sensor unplugged. For ohms the meter sends its own small current. If the circuit sends current too, the figure means nothing.',
      'Put the black lead on battery negative and the red lead on the pin. “OL” means more ohms than the range can show. It never means a short.',
      'Mind the k. On the 20 kΩ range a meter may show 2.88 and mean 2880 Ω. A “2 Ω” sensor is nearly always a 2 kΩ sensor.',
    ],
    'Note the ohms and the volts at 20 °C, and again at 60 °C. Which of them changes more?',
    { temperatureC: 20 },
    'any',
    1,
  ],
  [
    'first-look',
    'Ask, look, then measure',
    [
      'Half of the answer is often in what you hear and see. When did it begin? What was changed? Which codes are present now, and which are old? Then look for corrosion, water, a chafed harness, a loose sensor.',
      'What you see changes the odds. It does not decide the case. A green pin may have been green for years.',
      'Then read the display and put a thermometer beside the sensor. If the two agree within two or three degrees, the whole circuit works at this moment. Whatever the fault is, it is not there now.',
    ],
    'Set 20 °C and note the voltage. How many degrees does a tenth of a volt make here? And at 80 °C?',
    {},
    'nothing-now',
    1,
  ],
  [
    'pull-and-bridge',
    'Unplug it, jumper it',
    [
      'The cheapest real test needs no meter: unplug the sensor and watch the display. It must go to its cold end. Jumper the two cavities and watch again. It must go to its hot end.',
      'If it does both, the reference, the wires and the module work, and the sensor is the suspect. If it does not, the sensor is not the fault, or not the only one.',
      'Find signal and return in the diagram before you jumper anything. A plug may carry a live feed beside them. A jumper on that feed destroys the module.',
    ],
    'Raise the resistance in the wire to 2 kΩ. Does a jumper still bring the display to its end? Read the value that remains.',
    { seriesOhm: 500 },
    'any',
    1,
  ],
  [
    'supply',
    'Is the reference there?',
    [
      'Sensor unplugged, key on, red lead on the signal pin: you should read the reference, 5 V, or 3.3 V on many circuit boards. From 4.8 to 5.3 V it is good in common practice.',
      'No voltage at all means that the reference is missing, or that the wire is open or shorted to ground. A value in between means resistance in the feed, or something that pulls the voltage down.',
      'Then measure from battery positive to the return pin. Battery voltage shows that the return is connected.',
    ],
    'Set a leak of 10 kΩ from the signal wire to ground. How much of the 5 V is left with the sensor unplugged?',
    { leakOhm: 10_000 },
    'shared-reference',
    1,
  ],
  [
    'load',
    'Five volts prove nothing about the wire',
    [
      'A meter takes almost no current. Through a bad joint of 50 000 Ω it still shows 5 V, because nothing is lost where no current flows.',
      'Only a load shows the fault. Plug the sensor in and measure the same point again. Now current flows, and every bad ohm in the wire takes its share of the voltage.',
      'This is the most common trap: “5 V is there, so it is the sensor.” It is wrong about one time in three.',
    ],
    'Set 3 kΩ in the signal wire. Compare what the module sees with what you read at the plug.',
    { seriesOhm: 3000 },
    'series-resistance',
    1,
  ],
  [
    'sensor-ohms',
    'Measure the sensor’s resistance',
    [
      'Key off, sensor unplugged, leads on the two pins of the sensor. Compare the figure with the table at the temperature the sensor has now.',
      'A few per cent off is tolerance. Half or double is drift. OL is an open sensor. Keep your fingers off the pins: your body is a few hundred kilohms, and your hand is warm.',
      'Condemning a sensor at the wrong temperature is the second most common mistake.',
    ],
    'How many ohms does one degree make at 10 °C, at 50 °C and at 90 °C? The slope is not constant.',
    { temperatureC: 10 },
    'any',
    2,
  ],
  [
    'substitute',
    'A resistor in place of the sensor',
    [
      'Unplug the sensor and put a known resistor into the plug. The table tells you which temperature it stands for. If the display shows that temperature, one test has cleared everything except the sensor.',
      'A second resistor checks the slope as well. Take the resistor out again. Left in, it hides frost and overheating from the machine.',
    ],
    'Which resistor stands for 25 °C? Set the desk to 25 °C and read the ohms.',
    { temperatureC: 25 },
    'any',
    2,
  ],
  [
    'new-sensor',
    'The sensor is already new',
    [
      'A new sensor that did not help is evidence. It makes a bad sensor about five times less likely. It makes a sensor of the wrong type more likely.',
      'Do not start where the last technician started. Start with what he did not check.',
    ],
    'Set 25 °C. What would the display show with a sensor of twice the ohms at the same temperature?',
    { temperatureC: 25 },
    'new-sensor',
    1,
  ],
  [
    'return',
    'The return wire',
    [
      'There are two wires, and most people measure one. With the sensor plugged in, the return is within a few hundredths of a volt of battery negative. A higher voltage means resistance in the return, or a bad ground at the module.',
      'To the module, resistance in the return looks just like resistance in the signal wire. Only this measurement separates the two.',
    ],
    'Set 1 kΩ in the wire. The module cannot know in which of the two wires it is.',
    { seriesOhm: 1000 },
    'series-resistance',
    2,
  ],
  [
    'leaks',
    'Wet connectors',
    [
      'Water, coolant and salt conduct a little. Between signal and return they are in parallel with the sensor, and the display reads too warm. A leak to ground does nearly the same. A leak to a live wire makes it read too cold.',
      'A leak shows with the sensor unplugged: the voltage is less than the full reference. Instead of 5 V, 4.2 V is far too low. Work out how large the leak is.',
    ],
    'Find the leak that takes away 1 V with the sensor unplugged. It is four times the pull-up.',
    { leakOhm: 20_000 },
    'any',
    2,
  ],
  [
    'shared',
    'What circuits share',
    [
      'Several sensors often share one reference and one return. A short in another sensor pulls the reference down, and all of them read wrong at once.',
      'Several codes at once point to what the circuits share. Check a neighbour before you open the harness: does another temperature read right? That takes one minute.',
    ],
    'Lower the reference to 4 V. A module that measures against the same reference shows no difference. Why?',
    { referenceV: 4 },
    'shared-reference',
    2,
  ],
  [
    'which',
    'Which sensor is it?',
    [
      'One sensor is for the gauge and one for the controller. There are coolant sensors one and two, and plugs that fit both. Nobody knows the numbering by heart.',
      'Unplug one sensor and watch which value changes. If you measure the wrong sensor, you get perfect readings and a wrong answer.',
    ],
    'Two sensors of the same kind are in the same place. How far apart may they read?',
    {},
    'two-sensors',
    1,
  ],
  [
    'hot',
    'Only when hot',
    [
      'Metal expands, joints open, sensor elements crack. Some sensors pass every test in the morning and fail ten minutes after they get hot.',
      'Believe the complaint and test in the state it describes. Warm the machine up, read again, and only then decide. Keep hands and sleeves clear of fans. Open nothing that is hot.',
    ],
    'Go to 90 °C. How much voltage is left, and how large a fault could hide here?',
    { temperatureC: 90 },
    'only-hot',
    1,
  ],
  [
    'wiggle',
    'It comes and goes',
    [
      'A fault that comes and goes has a place. Move the harness piece by piece and watch the display. Note where the value jumps.',
      'If it never jumps, say so. “Not found today” is an honest result. An old code is no reason to replace a part.',
    ],
    'Switch the resistance in the wire between nothing and its highest value. An intermittent open circuit looks like that.',
    { seriesOhm: 1_000_000 },
    'wiggle',
    1,
  ],
  [
    'odds',
    'Say how sure you are',
    [
      '“It is the wiring” can mean 60 in 100 or 99 in 100. Say which. A technician who says 90 % and is right nine times in ten can be trusted. One who always says 90 % is guessing.',
      'A reading is worth what it rules out. If every suspect would give the same reading, it is worth nothing, however quickly you can take it.',
    ],
    'A resistance of 2 kΩ in the wire and a sensor with twice the ohms look alike to the module. Which reading separates them?',
    { seriesOhm: 2000 },
    'any',
    2,
  ],
  [
    'worth',
    'When to stop testing',
    [
      'A test costs minutes, a part costs money, and a second visit costs both. If the part is cheap and the odds are good, replace it. If the part is expensive, one more test pays.',
      'Some circuits protect against frost, overheating, flue gas or flame failure. Never leave these without verifying the repair, and never bypass a limiter.',
    ],
    'How large can an error be before anybody notices it? Look at the desk at 90 °C with 20 Ω in the wire.',
    { temperatureC: 90, seriesOhm: 20 },
    'nothing-now',
    2,
  ],
  [
    'small-kit',
    'With few tools',
    [
      'You may have no water bath, no second sensor and no access to the module. Most cases can still be decided, in a different order.',
      'Some cannot. Then say so, and say which test would decide it. A customer can use that answer.',
    ],
    'Which reading would you choose if you could take only one? Try what each fault does to it.',
    {},
    'any',
    3,
  ],
  [
    'two',
    'Two faults at once',
    [
      'A wet plug and a corroded pin. A new sensor of the wrong type on a bad harness. The first repair helps, but it does not cure the machine.',
      'If no single fault explains all readings, do not force one to fit. Repair what is proven, take all readings again, and continue.',
    ],
    'Set 1 kΩ in the wire and a leak of 20 kΩ to ground. They work against each other.',
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
