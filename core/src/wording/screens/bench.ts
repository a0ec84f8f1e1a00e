import type { Shown } from './shown.ts';

export const benchTableWords = {
  readFar: 'Large view',
  live: 'Live data',
  report: 'Report',
  csv: 'CSV',
  share: 'Share',
  export: 'Export',
};

export const benchTitleWords = {
  checkTitle: 'Title of this check',
  machineAndSensor: 'Machine and sensor',
};

export const cardEntryWords = {
  next: 'Next',
  withResistor: 'with resistor',
  where: 'place',
  thermometerHot: 'Thermometer, hot',
  thermometer: 'Thermometer',
  thermometerHint: 'Beside the sensor, by another thermometer',
  while: 'while',
  waterAt: 'water at',
  itIsThere: 'temperature there',
  airAt: 'air at',
  asFound: 'as found',
  atTemperature: (text: Shown): string => `at ${text}`,
  hotAfterHeat: 'hot, after heat',
  wiggling: 'wiggling',
};

export const repeatTapWords = {
  question: 'How will you repeat it?',
  sameConditions: 'Same conditions',
  hot: 'Hot, at working temperature',
  wiggling: 'While wiggling plug and harness',
};

export const cardOutcomeWords = {
  voided: (reason: Shown): string => `Excluded: ${reason}`,
  include: 'Include it again',
  exclusionReason: 'Why it is excluded',
  exclusionReasonExample: 'Why? bad contact, wrong pin…',
  void: 'Exclude',
  keep: 'Keep it',
  noteLabel: 'Note on this reading',
  note: 'Note',
  repeat: 'Repeat',
  voidWhy: 'Exclude…',
};

export const circuitChoiceWords = {
  circuit: 'Circuit',
  sensorCurve: 'Sensor curve',
  ohmsFromTo: 'Ohms, from … to',
  at: 'at',
  more: 'More…',
  engines: 'Engines',
  climateSystems: 'Climate systems',
  boilers: 'Boilers',
  fromTheFile: 'From the file',
  typed: 'Typed',
  curvePoints: 'Points of a table',
  bandNtc: 'One line of a specification, NTC',
  bandPtc: 'One line of a specification, PTC',
  curveUnknown: 'Not known: learn it from the readings',
  catalogue: 'Catalogue',
};

export const circuitDetailsWords = {
  title: 'Circuit and kit in detail',
  layout: 'Layout',
  pullUpSource: 'The pull-up’s figure is',
  bandLines: 'Lines of the specification',
  temperature: (number: Shown): string => `Temperature ${number}`,
  ohmsFromTo: (number: Shown): string => `Ohms ${number}, from … to`,
  aSecondLine: 'A second line',
  tablePoints: 'Points of the sensor’s table',
  resistance: (number: Shown): string => `Resistance ${number}`,
  tooFewPoints: 'At least two points are needed.',
  anotherPoint: 'Another point',
  supplyAndDisplay: 'Supply and display',
  comparedWith: 'The module compares the signal with',
  sharedWires: 'Other sensors share with this one',
  kitOfCheck: 'Kit used on this check',
  sourceTypical: 'a typical value',
  sourceMaker: 'the maker’s data',
  sourceBoard: 'read off the circuit board',
  layoutPullUp: 'Sensor to ground, pull-up in the module',
  layoutPullDown: 'Sensor to the reference, pull-down in the module',
  layoutOneWire: 'One wire, return through the body',
  notKnown: 'not known',
  comparedWithSameReference: 'the reference that feeds the sensor',
  comparedWithOwnReference: 'a reference of its own',
  nothing: 'nothing',
  theReference: 'the reference',
  theReturn: 'the return',
  referenceAndReturn: 'reference and return',
  supplyBattery: 'Supply (battery)',
  hotPullUp: 'Second pull-up, when hot',
  none: 'none',
  cableLength: 'Long cable, one way (m)',
  no: 'no',
  itsCopperMm: 'Wire size (mm²)',
  displayColdest: 'Display: coldest',
  displayHottest: 'Display: hottest',
  substituteValue: 'Substitute value shown at a fault',
};

export const curveChartsWords = {
  charts: 'Charts',
  showCharts: 'Show charts',
  hideCharts: 'Hide charts',
  resistanceChart: 'Sensor resistance against temperature',
  voltageChart: 'Divider voltage against temperature',
  needsVerdict: 'Charts need a computed verdict.',
  needsCircuit: 'Complete the circuit to see the charts.',
};

export const earlierHereWords = {
  earlierChecksHere: 'Earlier checks here',
  itsYears: 'History',
};

export const liveTakeWords = {
  live: 'Live data',
  takeIt: 'Use this value',
  whenItStands: 'once it is steady',
  awaitingKey: 'Press the key or foot switch…',
  otherKey: 'Other key',
  space: 'Space',
};

export const numberPadWords = {
  numberPad: 'Number pad',
  decimalMark: 'decimal mark',
  delete: 'delete',
  moreSigns: 'Letters and other signs…',
  olOverRange: 'OL, over range',
  minus: 'minus',
  kilo: 'kilo',
  mega: 'mega',
};

export const quickCardWords = {
  quickCheck: 'Quick check',
  reference: 'Reference',
  pullDown: 'Pull-down',
  pullUp: 'Pull-up',
  unknown: 'unknown',
  thermometer: 'Thermometer',
  displayed: 'Displayed',
  sensorOhms: 'Ohms, sensor',
  voltsUnplugged: 'Volts unplugged',
  voltsPluggedIn: 'Volts plugged in',
  feedVolts: 'Feed voltage',
  returnDrop: 'Return voltage drop',
};

export const readingModeWords = {
  readingMode: 'Large view',
  notTakenYet: 'not taken yet',
  healthy: 'healthy',
  onEarlierFigures: (title: Shown): string => `For earlier figures: ${title}`,
  holdToTake: 'Hold to save',
  close: 'Back to the check',
  speakIt: 'read aloud',
};

export const saveStateWords = {
  notKept: (storageFault: Shown): string => `Not saved. ${storageFault}`,
  tryAgain: 'Try again',
  exportNow: 'Export now',
  deletedElsewhere: 'Deleted in another window.',
  keepIt: 'Keep it',
  kept: 'Saved',
  keeping: 'Saving…',
};

export const schoolChoiceWords = {
  wayOfWorking: 'Test order',
  byTheTool: 'Suggested by the tool',
  mostTellingFirst: 'Most informative first',
  leastExpectedCost: 'Lowest expected cost',
  schools: 'Fixed orders',
};

export const testCardWords = {
  cardLabel: 'The test on the card',
  testList: 'Tests of this step',
  min: (name: Shown, minutes: Shown): string => `${name} · ${minutes} min`,
  readingList: 'Readings of this test',
  first: 'First',
  another: 'Another',
};

export const undoButtonsWords = {
  undo: 'Undo',
  redo: 'Redo',
  takeBack: (what: Shown): string => `Undo: ${what}`,
  doAgain: (what: Shown): string => `Redo: ${what}`,
  nothingToUndo: 'Nothing to undo',
  nothingToRedo: 'Nothing to redo',
  takenBack: (what: Shown): string => `Undone: ${what}.`,
  doneAgain: (what: Shown): string => `Redone: ${what}.`,
  laterChangesStay: 'Later changes from another window stay.',
};

export const workOrderWords = {
  doneOf: (done: number, of: number): string => `${done}/${of}`,
  previousStep: 'Previous step',
  nextStep: 'Next step',
  orderOfWork: 'Order of work',
  next: '‹ next',
  toDo: 'to do',
  settled: 'done',
  odd: 'outside the range',
};

export const useStationStateWords = {
  noted: (seen: Shown): string => `${seen} noted`,
  pairs: (count: Shown): string => `${count} pairs`,
  voided: (voided: Shown): string => `${voided} excluded`,
  wrongPlug: 'wrong plug',
  done: 'done',
  begun: 'started',
};
