import type { Shown } from './shown.ts';

export const benchTableWords = {
  untitledCheck: 'Untitled check',
  titleOfThisCheck: 'Title of this check',
  machineAndSensor: 'Machine and sensor',
  readFar: 'Read far',
  live: 'Live',
  report: 'Report',
  csv: 'CSV',
  share: 'Share',
  export: 'Export',
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

export const evidenceTableWords = {
  measuredAgainstWhatEachSuspectPredicts: 'Measured ❙ against what each suspect predicts',
  tableName: 'Measured against what each suspect predicts',
  doubtful: '◆ doubtful',
  ifNothingWereWrong: 'if nothing were wrong',
  reading: 'Reading',
};

export const jobProgressWords = {
  progressOfTheJob: 'Progress of the job',
  done: 'Done',
  afterTheRepair: 'After the repair',
  seeTheProof: 'See the proof',
  toTheProof: 'To the proof',
};

export const liveTakeWords = {
  live: 'Live',
  takeIt: 'Take it',
  whenItStands: 'when it stands',
  pressTheKeyOrFootSwitch: 'Press the key or foot switch…',
  otherKey: 'Other key',
  space: 'Space',
};

export const nextTestWords = {
  nextTest: 'Next test',
  enoughMeasured: 'Enough measured',
  noTestLeftWouldTellMuch:
    'No test left would tell much more. Repair, then read again: the proof is every reading inside its healthy range.',
  ifYouDoubtIt: (list: Shown): string => `If you doubt it: ${list}`,
  next: (schoolNext: Shown): string => `Next: ${schoolNext}`,
  byMostTellingNow: (name: Shown, name2: Shown, minutesText: Shown): string =>
    `By “${name}”. Most telling now: ${name2} (${minutesText}).`,
  firstUnderWhere: (first: Shown): string => `First, under “Where”: ${first}.`,
  or: 'or',
  wouldTell: (nameOf: Shown): string => `${nameOf} would tell.`,
  noTestAtHandWouldTell: 'No test at hand would tell.',
  notToldApartYet: (list: Shown, how: Shown): string => `Not told apart yet: ${list}. ${how}`,
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

export const verdictPanelWords = {
  verdict: 'Verdict',
  earlier: (title: Shown): string => `Earlier: ${title}`,
  down: 'down ▾',
  why: 'why ▴',
  whatYouTypedIsKept: (failure: Shown): string => `${failure} What you typed is kept.`,
  noVerdictOnTheseFigures: 'No verdict on these figures.',
  whatStandsBelowIsOfEarlierFigures: 'What stands below is of earlier figures.',
  computeAgain: 'Compute again',
  computing: 'Computing…',
  whatWasSuspectedBeforeTheRepair: 'What was suspected before the repair',
  verdictOnEarlierFigures: 'Verdict on earlier figures',
  verdictSoFar: 'Verdict so far',
  whyInFigures: 'Why, in figures',
  where: 'Where:',
  theLoom: 'The loom',
  decided: (groupName: Shown): string => `Decided: ${groupName}.`,
  theCircuitIsNotComplete: 'The circuit is not complete',
  fillInTheFieldsMarkedIn: 'Fill in the fields marked ✕ in the quick check or under More…; the readings are kept.',
  beforeAnyReading: 'before any reading',
  inDoubt: 'in doubt',
  curveNotKnownNoneOfThe: 'Curve not known: none of the shelf lies near these readings.',
  curveNotKnownStillPossible: (list: Shown): string => `Curve not known. Still possible: ${list}.`,
  theComputationDidNotEndAnd: (message: Shown): string => `The computation did not end (${message}) and was stopped.`,
  theComputationCouldNotBeStarted: (message: Shown): string =>
    `The computation could not be started or broke off: ${message}.`,
  theComputationFailed: (message: Shown): string => `The computation failed: ${message}.`,
  open: 'open',
  likely: 'likely',
  firm: 'firm',
};

export const whyDrawerWords = {
  theVerdictInFigures: 'The verdict in figures',
  howMuchHangsOnEachReading: 'How much hangs on each reading',
  noReadingYet: 'No reading yet.',
  rankingAgainWithoutEachReading: 'Ranking again without each reading…',
  howItMovedReadingByReading: 'How it moved, reading by reading',
  howTheVerdictMovedReadingByReading: 'How the verdict moved, reading by reading',
  everyFault: 'Every fault',
  whatIsSeenAndToldIs:
    'What is seen and told is pooled: all of it together weighs at most as one careful measurement (30 to 1), for corrosion, a code and several codes may speak of one drip.',
  leaveThemOut: 'Leave them out',
  together: (moved: Shown, together: Shown): string => `${moved}; together × ${together}`,
  yourFactorOn: (name: Shown): string => `Your factor on ${name}`,
  beforeIsTheDefaultWeightWith:
    '“before” is the default weight with codes, complaint, history and findings; those factors are common practice without a source. “now” adds every reading.',
  theCircuitIsNotComplete: 'The circuit is not complete.',
  fault: 'Fault',
  before: 'before',
  now: 'now',
  yourFactor: 'your factor',
};

export const workOrderWords = {
  orderOfWork: 'Order of work',
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

export const courseFigureWords = {
  probabilityPercent: 'Probability, %',
  before: 'before',
};
