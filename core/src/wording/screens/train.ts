import type { Shown } from './shown.ts';

export const casesPartWords = {
  nextCase: 'Next case',
  nextInTurn: 'Suggested case',
  adaptiveHelp: 'Chosen by your mistakes so far, and harder with time.',
  goOnWith: (number: Shown): string => `Continue with ${number}`,
  ofYourChoice: 'Choose a case',
  theme: 'Theme',
  field: 'Field',
  drawACase: 'Start a case',
  byItsNumber: 'By number',
  numberHelp: 'The same number gives the same case on any device.',
  caseNumber: 'Case number',
  exampleNumber: '2-ABC123-D',
  playIt: 'Start',
};

export const courseDeskWords = {
  temperature: 'Temperature',
  reference: 'Reference',
  inTheWire: 'Resistance in the wire',
  nothing: 'nothing',
  leakToGround: 'Leak to ground',
  none: 'none',
  whatIsRead: 'What you would read',
  pullUp: 'pull-up',
  wire: 'wire',
  sensor: 'sensor',
  what: 'what',
  reads: 'reading',
  voltsPlugPulled: 'voltage, unplugged',
  voltsPluggedIn: 'voltage at the plug, plugged in',
  voltsAtModule: 'voltage at the module',
  itShows: 'display',
  itShowsPulled: 'display, unplugged',
  itShowsBridged: 'display, jumpered',
};

export const coursePartWords = {
  course: 'Course',
  purpose:
    'From Ohm’s law to two faults at once. Each step has a page, an experiment and three cases. Take them in any order.',
  ofRight: (right: Shown, count: Shown): string => `${right} of ${count} right`,
};

export const debriefStepsWords = {
  min: (minutes: Shown): string => `${minutes} min`,
  youExpected: (expects: Shown): string => `You expected: ${expects}.`,
  couldShow: (outcomes: Shown): string => `Possible outcomes: ${outcomes}.`,
  knownFromHere: 'From this step on the fault could be known.',
  worthBitsIn: (bits: Shown, minutes: Shown): string => `Expected information: ${bits} bits in ${minutes}.`,
  takenBefore: 'You took this reading before. It tells little more.',
  enoughKnown: 'Enough was known here. The best choice was to repair.',
  asGoodAsBest: 'The best test was the same, or as good.',
  bestTest: (name: Shown, bits: Shown, minutes: Shown): string => `The best test: ${name}, ${bits} bits in ${minutes}.`,
  itWonBits: (won: Shown): string => `It gave ${won} bits.`,
  misled: (bits: Shown): string => `It misled you by ${bits} bits.`,
  itChangedNothing: 'It changed nothing.',
};

export const debriefViewWords = {
  training: 'Training',
  title: (number: Shown): string => `Case ${number}: the answer`,
  stopped: (failed: Shown): string => `The debrief stopped: ${failed}`,
  computing: 'Computing the best order…',
  theTruth: 'The truth',
  noSafeVerdict: 'With these tools the best order reached no safe verdict.',
  nextCase: 'Next case',
  theSameAgain: 'Same case again',
  progress: 'Progress',
  againstTheIdeal: 'Compared with the best order',
  whereItWas: 'Location',
  stepByStep: 'Step by step',
  theIdealOrder: 'The best order',
  bestOrderTitle: 'What the best order did',
  min: (minutes: Shown, cameOf: Shown): string => `${minutes} min ${cameOf}`,
  bestOrderHelp: (probability: Shown): string =>
    `It takes the most informative test per minute of work, until one group has ${probability}.`,
  rightUndecidable: 'Right: this kit cannot decide it.',
  wasDecidable: 'This kit could have decided it.',
  givenUp: 'You gave up.',
  rightAtOnce: 'Right first time.',
  rightInTheEnd: (count: Shown): string => `Right in the end, after ${count} without success.`,
  what: 'what',
  you: 'you',
  theIdeal: 'best order',
  aboveIt: 'difference',
  minutes: 'minutes',
  partsAndVisits: 'parts and second visits',
  inAll: 'total',
  tests: 'tests',
  knownAfterStep: (number: Shown): string => `The fault could be known after step ${number}.`,
  bitsPerMinute: (wonPerMinute: Shown): string => `${wonPerMinute} bits gained per minute of measuring.`,
  replacedInVain: (list: Shown): string => `Replaced in vain: ${list}.`,
  cautionsPassedOver: (careless: Shown): string => `Cautions ignored: ${careless}.`,
  wrongSetUps: (mistakes: Shown): string => `Readings with a wrong set-up: ${mistakes}.`,
  estimatesScore: (logScore: Shown, unknowing: Shown): string =>
    `Score of your estimates: ${logScore} (0 is perfect, ${unknowing} is a pure guess; being sure and wrong costs most).`,
  overBudget: 'This is more than the customer allowed.',
  ruleOfThumb: (name: Shown, name2: Shown, right: Shown, of: Shown): string =>
    `You worked by “${name}”. Its rule of thumb (${name2}) is right in ${right} of ${of} cases like this one.`,
  youWorked: (name: Shown): string => `You worked by “${name}”.`,
};

export const difficultyChoiceWords = {
  difficulty: 'Difficulty',
  smallKit: 'small kit',
  plain: 'normal',
  harder: 'harder',
};

export const examPartWords = {
  exam: 'Exam',
  purpose:
    'A set of case numbers from an instructor, or drawn here. The tool gives no hints. The first play of each case counts.',
  name: 'Name',
  numbersLabel: 'Case numbers, one per line',
  draw: (examcases: Shown): string => `Draw ${examcases}`,
  noCaseNumber: (list: Shown): string => `Not a case number: ${list}.`,
  done: 'done',
  goOn: 'continue',
  play: 'play',
  result: 'Result',
  unnamed: 'unnamed',
  resultOf: (learner: Shown): string => `Result: ${learner}`,
  standing: (count: Shown, count2: Shown, count3: Shown): string =>
    `${count} of ${count2} right first time, ${count3} still to play.`,
  signed: 'Signed:',
  date: 'Date:',
  printThePage: 'Print the page',
  exportCsv: 'CSV for the instructor',
  aClass: 'A class',
  classHelp: 'Combines the CSV files of all learners into one table.',
  resultsAsCsv: 'Results as CSV',
  theClass: 'The class',
  case: 'case',
  rightAtOnce: 'right first time',
  min: 'min',
  ideal: 'best',
  inVain: 'without success',
  cautionsMissed: 'cautions missed',
  logScore: 'log score',
  foreignFile: (name: Shown): string => `${name}: this is not an exam result. Columns are missing.`,
  badLine: (name: Shown, line: Shown): string => `${name}, line ${line}: a figure or the case number cannot be read.`,
  learner: 'learner',
  of: (right: Shown, cases: Shown): string => `${right} of ${cases}`,
  minAboveIdeal: 'min above best',
  costAboveIdeal: 'cost above best',
};

export const progressPartWords = {
  progress: 'Progress',
  nothingPlayedYet: 'Nothing played yet',
  empty: 'Start with the course, or take the next case.',
  course: 'Course',
  howItGoes: 'Your results',
  slipsTitle: 'Most frequent mistakes',
  of: (slip: Shown, did: Shown, could: Shown): string => `${slip}: ${did} of ${could}`,
  nothingYet: 'Nothing yet.',
  estimatesTitle: 'Your estimates',
  estimatesScore: (score: Shown, unknowing: Shown): string =>
    `Score ${score}: 0 is perfect, ${unknowing} is a pure guess.`,
  estimatesEmpty: 'Record your estimate while you work. You see here how often you were right.',
  casesPlayed: 'Cases played',
  exportAllCases: 'Export all cases',
  bringCases: 'Import cases…',
  importCases: 'Cases from a file',
  case: 'case',
  theme: 'theme',
  rightAtOnce: 'right first time',
  min: 'min',
  aboveTheIdeal: 'above the best',
  casesCameFrom: (count: Shown, name: Shown): string => `${count} cases imported from ${name}.`,
  notSaved: 'The browser’s storage is full or blocked. Free some space, then try again.',
  trainingCases: 'training cases',
  yes: 'yes',
  no: 'no',
};

export const refusedBarWords = {
  refused: 'The browser’s storage is full or blocked, so the case cannot start. Free some space, then try again.',
};

export const stepScreenWords = {
  training: 'Training',
  toMove: 'Experiment',
  tryIt: 'Try it',
  threeCases: 'Three cases',
  case: (number: Shown): string => `Case ${number}`,
  notFirstTime: 'not right first time',
  begun: 'started',
  right: 'right',
};

export const trainScreenWords = {
  training: 'Training',
  parts: 'Parts of the training',
  course: 'Course',
  cases: 'Cases',
  exam: 'Exam',
  progress: 'Progress',
};
