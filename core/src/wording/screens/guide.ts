import type { PartOfWork } from '../../advice/workOrder/stations.ts';
import type { MachineField } from '../../base/units/vocabulary.ts';
import type { Shown } from './shown.ts';

export const guideWords = {
  guidedCheck: 'Guided check',
  stepOf: (n: number, of: number): string => `Step ${n} of ${of}`,
  back: 'Back',
  next: 'Next',
  skip: 'Skip',
  allSteps: 'All steps',
  typeReadings: 'I have readings: type them',
  questions: {
    what: 'What do you check?',
    trouble: 'What is wrong?',
    temperature: 'How warm is it beside the sensor?',
    test: 'Suggested test',
    result: 'Result',
    where: 'Locate the fault',
    decision: 'Decide',
    repair: 'Repair',
    proof: 'Verify the repair',
  },
};

export const whatStepWords = {
  fields: { engine: 'Engine', climate: 'Climate system', boiler: 'Boiler' } satisfies Record<MachineField, string>,
  kindOfMachine: 'Kind of machine',
  machine: 'Machine',
  whichMachine: 'Name or number, so that you find it again',
  whichSensor: 'Which sensor?',
  usedBefore: 'used before',
  notListed: 'Not listed, or I do not know',
  notListedMeans: 'Typical values are used. The sensor curve and the pull-up are worked out from your readings.',
};

export const troubleStepWords = {
  symptoms: 'Symptoms',
  howTo: 'Tap all that apply.',
  readsBoth: 'One says too cold, one too hot. Check which of them is true.',
};

export const temperatureStepWords = {
  thermometer: 'Thermometer',
  measuredWith: 'Measured with',
  noThermometer: 'No thermometer? Say what you noticed',
  noticedCaution: 'Only what you know already. Do not touch to find out: steam, coolant and fans can hurt you.',
  asOfThese: 'Your readings were taken at this temperature.',
};

export const testStepWords = {
  workingOut: 'Working out the next test…',
  cannot: 'I can’t do this one',
  leads: 'Where the leads go',
  verdictBefore: (before: Shown, now: Shown): string =>
    before === now ? `Verdict: ${now}` : `Verdict: ${before} → ${now}`,
  resultNow: 'See the result',
};

export const resultStepWords = {
  howSure: 'How sure',
  states: {
    'nothing-yet': 'nothing measured yet',
    open: 'not decided',
    likely: 'likely',
    firm: 'firm',
    doubt: 'readings contradict each other',
    fits: 'nothing found so far',
  },
  whatToDo: 'What to do',
  ifWrong: 'If this is wrong',
  wrongOf: (n: Shown): string => `In about ${n} of 100 such checks it is something else.`,
  wrongCosts: (cost: Shown): string => `Then you lose the part and the time of this repair: ${cost}.`,
  nothingLeft: 'No test left would tell much more.',
  measureMore: 'Measure more',
  temperatureAgain: 'Measure the temperature again',
  leftOut: 'Left out:',
  putBack: (name: Shown): string => `Put back: ${name}`,
  report: 'Report',
};

export const partOfWorkNames: Readonly<Record<PartOfWork, string>> = {
  start: 'Start',
  measure: 'Measure',
  locate: 'Locate',
  finish: 'Finish',
};

export const quickPhoneWords = {
  circuit: 'Circuit',
  change: 'Change the circuit',
  leads: {
    thermometer: 'Beside the sensor, another thermometer',
    displayed: 'Scan tool or gauge, key on',
    'sensor-ohms': 'Across the sensor pins, plug off',
    'open-voltage': 'Plug off: signal cavity to ground, key on',
    'loaded-voltage': 'Plug on: back-probe signal to ground, key on',
    'return-drop': 'Plug on: return pin to ground, key on',
  },
  picture: (name: Shown): string => `Where the leads go: ${name}`,
  done: 'Done',
};
