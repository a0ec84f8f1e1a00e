import type { Shown } from './shown.ts';

export const benchTableWords = {
  readFar: 'Read far',
  live: 'Live',
  report: 'Report',
  csv: 'CSV',
  share: 'Share',
  export: 'Export',
};

export const benchTitleWords = {
  titleOfThisCheck: 'Title of this check',
  machineAndSensor: 'Machine and sensor',
};

export const cardEntryWords = {
  next: 'Next',
  withResistor: 'with resistor',
  where: 'where',
  thermometerHot: 'Thermometer, hot',
  thermometer: 'Thermometer',
  besideTheSensorByAnotherThermometer: 'Beside the sensor, by another thermometer',
  while: 'while',
  waterAt: 'water at',
  itIsThere: 'it is there',
  airAt: 'air at',
  asFound: 'as found',
  hotAfterHeat: 'hot, after heat',
  wiggling: 'wiggling',
};

export const cardOutcomeWords = {
  voided: (reason: Shown): string => `Voided: ${reason}`,
  takeItBackIn: 'Take it back in',
  whyItIsVoided: 'Why it is voided',
  whyBadContactWrongPin: 'Why? bad contact, wrong pin…',
  void: 'Void',
  keep: 'Keep',
  noteOnThisReading: 'Note on this reading',
  note: 'Note',
  repeat: 'Repeat',
  voidWhy: 'Void…',
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
  pointsOfATable: 'Points of a table',
  aLineOfASpecificationNtc: 'A line of a specification, NTC',
  aLineOfASpecificationPtc: 'A line of a specification, PTC',
  notKnownLearnItFromTheReadings: 'Not known: learn it from the readings',
  catalogue: 'Catalogue',
};

export const circuitDetailsWords = {
  circuitAndKitInDetail: 'Circuit and kit in detail',
  layout: 'Layout',
  thePullUpsFigureIs: 'The pull-up’s figure is',
  linesOfTheSpecification: 'Lines of the specification',
  temperature: (number: Shown): string => `Temperature ${number}`,
  ohmsFromTo: (number: Shown): string => `Ohms ${number}, from … to`,
  aSecondLine: 'A second line',
  pointsOfTheSensorsTable: 'Points of the sensor’s table',
  resistance: (number: Shown): string => `Resistance ${number}`,
  atLeastTwoPointsAreNeeded: 'At least two points are needed.',
  anotherPoint: 'Another point',
  supplyAndDisplay: 'Supply and display',
  theModuleComparesTheSignalWith: 'The module compares the signal with',
  otherSensorsShareWithThisOne: 'Other sensors share with this one',
  kitUsedOnThisCheck: 'Kit used on this check',
  whatIsUsualForSuchACircuit: 'what is usual for such a circuit',
  theMakersData: 'the maker’s data',
  readOffTheBoard: 'read off the board',
  sensorToGroundPullUpIn: 'Sensor to ground, pull-up in the module',
  sensorToTheReferencePullDown: 'Sensor to the reference, pull-down in the module',
  oneWireReturnThroughTheBody: 'One wire, return through the body',
  notKnown: 'not known',
  theReferenceThatFeedsTheSensor: 'the reference that feeds the sensor',
  aReferenceOfItsOwn: 'a reference of its own',
  nothing: 'nothing',
  theReference: 'the reference',
  theReturn: 'the return',
  referenceAndReturn: 'reference and return',
  supplyBattery: 'Supply (battery)',
  secondPullUpWhenHot: 'Second pull-up, when hot',
  none: 'none',
  longCableOneWayM: 'Long cable, one way (m)',
  no: 'no',
  itsCopperMm: 'Its copper (mm²)',
  displayColdest: 'Display: coldest',
  displayHottest: 'Display: hottest',
  defaultShownAtAFault: 'Default shown at a fault',
};

export const curveChartsWords = {
  charts: 'Charts',
  sensorResistanceAgainstTemperature: 'Sensor resistance against temperature',
  dividerVoltageAgainstTemperature: 'Divider voltage against temperature',
  noChartsWithoutAComputation: 'No charts without a computation.',
  theChartsAppearWhenTheCircuit: 'The charts appear when the circuit is complete.',
};

export const earlierHereWords = {
  earlierChecksHere: 'Earlier checks here',
  itsYears: 'Its years',
};

export const liveTakeWords = {
  live: 'Live',
  takeIt: 'Take it',
  whenItStands: 'when it stands',
  pressTheKeyOrFootSwitch: 'Press the key or foot switch…',
  otherKey: 'Other key',
  space: 'Space',
};

export const numberPadWords = {
  numberPad: 'Number pad',
  decimalMark: 'decimal mark',
  delete: 'delete',
  lettersAndOtherSigns: 'Letters and other signs…',
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
  sensorOhms: 'Sensor ohms',
  voltsUnplugged: 'Volts, unplugged',
  voltsPluggedIn: 'Volts, plugged in',
  feedVolts: 'Feed volts',
  returnDrop: 'Return drop',
};

export const readingModeWords = {
  readingMode: 'Reading mode',
  notTakenYet: 'not taken yet',
  healthy: 'healthy',
  onEarlierFigures: (title: Shown): string => `On earlier figures: ${title}`,
  holdToTake: 'Hold to take',
  backToTheBench: 'Back to the bench',
  speakIt: 'speak it',
};

export const saveStateWords = {
  notKept: (storageFault: Shown): string => `Not kept. ${storageFault}`,
  tryAgain: 'Try again',
  exportNow: 'Export now',
  deletedInAnotherWindow: 'Deleted in another window.',
  keepIt: 'Keep it',
  kept: 'kept',
  keeping: 'keeping…',
};

export const schoolChoiceWords = {
  wayOfWorking: 'Way of working',
  byTheTool: 'By the tool',
  mostTellingFirst: 'Most telling first',
  leastExpectedCost: 'Least expected cost',
  schools: 'Schools',
};

export const testCardWords = {
  theTestOnTheCard: 'The test on the card',
  testsOfThisStation: 'Tests of this station',
  min: (name: Shown, minutes: Shown): string => `${name} · ${minutes} min`,
  readingsOfThisTest: 'Readings of this test',
  first: 'First',
  another: 'Another',
  tellsBit: (bits: Shown): string => `tells ${bits} bit`,
};

export const undoButtonsWords = {
  undo: 'Undo',
  redo: 'Redo',
  takeBack: (what: Shown): string => `Take back: ${what}`,
  doAgain: (what: Shown): string => `Do again: ${what}`,
  nothingToTakeBack: 'Nothing to take back',
  nothingToDoAgain: 'Nothing to do again',
  takenBack: (what: Shown): string => `Taken back: ${what}.`,
  doneAgain: (what: Shown): string => `Done again: ${what}.`,
  whatWasChangedAgainElsewhereStays: 'What was changed again elsewhere stays.',
};

export const workOrderWords = {
  orderOfWork: 'Order of work',
  next: '‹ next',
  toDo: 'to do',
  settled: 'settled',
  odd: 'odd',
};

export const useStationStateWords = {
  noted: (seen: Shown): string => `${seen} noted`,
  pairs: (count: Shown): string => `${count} pairs`,
  voided: (voided: Shown): string => `${voided} voided`,
  wrongPlug: 'wrong plug',
  done: 'done',
  begun: 'begun',
};
