import type { Shown } from './shown.ts';

export const casesPartWords = {
  nextCase: 'Next case',
  nextInTurn: 'Next in turn',
  chosenByWhatWentWrongSo: 'Chosen by what went wrong so far, harder as it goes.',
  goOnWith: (number: Shown): string => `Go on with ${number}`,
  ofYourChoice: 'Of your choice',
  theme: 'Theme',
  field: 'Field',
  drawACase: 'Draw a case',
  byItsNumber: 'By its number',
  theSameNumberIsTheSame: 'The same number is the same case, on any machine.',
  caseNumber: 'Case number',
  exampleNumber: '2-ABC123-D',
  playIt: 'Play it',
};

export const courseDeskWords = {
  temperature: 'Temperature',
  reference: 'Reference',
  inTheWire: 'In the wire',
  nothing: 'nothing',
  leakToGround: 'Leak to ground',
  none: 'none',
  whatIsRead: 'What is read',
  pullUp: 'pull-up',
  wire: 'wire',
  sensor: 'sensor',
  what: 'what',
  reads: 'reads',
  voltsPlugPulled: 'volts, plug pulled',
  voltsAtThePlugSeated: 'volts at the plug, seated',
  voltsTheModuleSees: 'volts the module sees',
  itShows: 'it shows',
  itShowsPulled: 'it shows, pulled',
  itShowsBridged: 'it shows, bridged',
};

export const coursePartWords = {
  course: 'Course',
  fromOhmsLawToTwoFaults:
    'From Ohm’s law to two faults at once: a page, a thing to move, three cases each. In any order; from the top it builds up.',
  ofRight: (right: Shown, count: Shown): string => `${right} of ${count} right`,
};

export const debriefStepsWords = {
  min: (minutes: Shown): string => `${minutes} min`,
  youExpected: (expects: Shown): string => `You expected: ${expects}.`,
  couldShow: (outcomes: Shown): string => `Could show: ${outcomes}.`,
  fromHereOnItCouldHave: 'From here on it could have been known.',
  worthBitsIn: (bits: Shown, minutes: Shown): string => `Worth ${bits} bits in ${minutes}.`,
  takenBeforeItTellsLittleMore: 'Taken before: it tells little more.',
  enoughWasKnownTheIdealWould: 'Enough was known: the ideal would have acted here.',
  theIdealWouldHaveDoneThe: 'The ideal would have done the same, or as good.',
  theIdealBitsIn: (name: Shown, bits: Shown, minutes: Shown): string =>
    `The ideal: ${name}, ${bits} bits in ${minutes}.`,
  itWonBits: (won: Shown): string => `It won ${won} bits.`,
  itMisledByBits: (bits: Shown): string => `It misled by ${bits} bits.`,
  itChangedNothing: 'It changed nothing.',
};

export const debriefViewWords = {
  training: 'Training',
  caseWhatItWas: (number: Shown): string => `Case ${number}: what it was`,
  theDebriefBrokeOff: (failed: Shown): string => `The debrief broke off: ${failed}`,
  workingOutWhatTheIdealWould: 'Working out what the ideal would have done…',
  theTruth: 'The truth',
  withTheToolsGivenTheIdeal: 'With the tools given the ideal came to no safe verdict.',
  nextCase: 'Next case',
  theSameAgain: 'The same again',
  progress: 'Progress',
  againstTheIdeal: 'Against the ideal',
  whereItWas: 'Where it was',
  stepByStep: 'Step by step',
  theIdealOrder: 'The ideal order',
  whatTheIdealDid: 'What the ideal did',
  min: (minutes: Shown, cameOf: Shown): string => `${minutes} min ${cameOf}`,
  byWhatEachTestTellsFor: (probability: Shown): string =>
    `By what each test tells for a minute of work, until one group has ${probability}.`,
  rightWithThisKitItCannot: 'Right: with this kit it cannot be told.',
  itCouldHaveBeenToldWith: 'It could have been told with this kit.',
  givenUp: 'Given up.',
  rightAtOnce: 'Right at once.',
  rightInTheEndAfterInVain: (count: Shown): string => `Right in the end, after ${count} in vain.`,
  what: 'what',
  you: 'you',
  theIdeal: 'the ideal',
  aboveIt: 'above it',
  minutes: 'minutes',
  partsAndWaysBack: 'parts and ways back',
  inAll: 'in all',
  tests: 'tests',
  itCouldHaveBeenKnownAfterStep: (number: Shown): string => `It could have been known after step ${number}.`,
  bitsWonForAMinuteOfMeasuring: (wonPerMinute: Shown): string => `${wonPerMinute} bits won for a minute of measuring.`,
  putRightInVain: (list: Shown): string => `Put right in vain: ${list}.`,
  cautionsPassedOver: (careless: Shown): string => `Cautions passed over: ${careless}.`,
  readingsWithTheSetUpWrong: (mistakes: Shown): string => `Readings with the set-up wrong: ${mistakes}.`,
  whatYouSaidOfTheOdds: (logScore: Shown, unknowing: Shown): string =>
    `What you said of the odds: ${logScore} (0 is perfect; six alike groups make ${unknowing}, and who is sure and wrong pays most).`,
  itWasMoreThanTheCustomerAllowed: 'It was more than the customer allowed.',
  youWorkedItsRuleOfThumb: (name: Shown, name2: Shown, right: Shown, of: Shown): string =>
    `You worked “${name}”. Its rule of thumb (${name2}) is right in ${right} of ${of} cases like this one.`,
  youWorked: (name: Shown): string => `You worked “${name}”.`,
};

export const difficultyChoiceWords = {
  difficulty: 'Difficulty',
  smallKit: 'small kit',
  plain: 'plain',
  harder: 'harder',
};

export const examPartWords = {
  exam: 'Exam',
  aSetOfCaseNumbersAn:
    'A set of case numbers: an instructor hands them out, or they are drawn here. The tool keeps silent, and of each case the first play counts.',
  name: 'Name',
  caseNumbersOneALine: 'Case numbers, one a line',
  draw: (examcases: Shown): string => `Draw ${examcases}`,
  noCaseNumber: (list: Shown): string => `No case number: ${list}.`,
  done: 'done',
  goOn: 'go on',
  play: 'play',
  result: 'Result',
  unnamed: 'unnamed',
  resultOf: (learner: Shown): string => `Result: ${learner}`,
  ofRightAtOnceStillToPlay: (count: Shown, count2: Shown, count3: Shown): string =>
    `${count} of ${count2} right at once, ${count3} still to play.`,
  signed: 'Signed:',
  date: 'Date:',
  printThePage: 'Print the page',
  csvForTheInstructor: 'CSV for the instructor',
  aClass: 'A class',
  theCSVsOfAllLearnersPut: 'The CSVs of all learners put together into one table.',
  resultsAsCsv: 'Results as CSV',
  theClass: 'The class',
  case: 'case',
  rightAtOnce: 'right at once',
  min: 'min',
  ideal: 'ideal',
  inVain: 'in vain',
  cautionsMissed: 'cautions missed',
  logScore: 'log score',
  thisIsNoResultOfAn: (name: Shown): string => `${name}: this is no result of an exam (columns are missing).`,
  lineAFigureOrTheCase: (name: Shown, line: Shown): string =>
    `${name}, line ${line}: a figure or the case number cannot be read.`,
  learner: 'learner',
  of: (right: Shown, cases: Shown): string => `${right} of ${cases}`,
  minAboveIdeal: 'min above ideal',
  costAboveIdeal: 'cost above ideal',
};

export const progressPartWords = {
  progress: 'Progress',
  nothingPlayedYet: 'Nothing played yet',
  beginWithTheCourseOrTake: 'Begin with the course, or take the next case.',
  course: 'Course',
  howItGoes: 'How it goes',
  whatGoesWrongMost: 'What goes wrong most',
  of: (slip: Shown, did: Shown, could: Shown): string => `${slip}: ${did} of ${could}`,
  nothingYet: 'Nothing yet.',
  whatYouSaidOfTheOdds: 'What you said of the odds',
  logarithmicScore0IsPerfectIs: (score: Shown, unknowing: Shown): string =>
    `Logarithmic score ${score}: 0 is perfect, ${unknowing} is not knowing.`,
  sayWhileYouWorkHowLikely: 'Say while you work how likely you hold each group: here stands how often you were right.',
  casesPlayed: 'Cases played',
  exportAllCases: 'Export all cases',
  bringCases: 'Bring cases…',
  casesFromAFile: 'Cases from a file',
  case: 'case',
  theme: 'theme',
  rightAtOnce: 'right at once',
  min: 'min',
  aboveTheIdeal: 'above the ideal',
  casesCameFrom: (count: Shown, name: Shown): string => `${count} cases came from ${name}.`,
  theBrowsersStorageDoesNotTakeThem: 'The browser’s storage does not take them.',
  trainingCases: 'training cases',
  yes: 'yes',
  no: 'no',
};

export const refusedBarWords = {
  theBrowsersStorageDoesNotTake: 'The browser’s storage does not take it: the case cannot be begun.',
};

export const stepScreenWords = {
  training: 'Training',
  toMove: 'To move',
  tryIt: 'Try it',
  threeCases: 'Three cases',
  case: (number: Shown): string => `Case ${number}`,
  notRightAtOnce: 'not right at once',
  begun: 'begun',
  right: 'right',
};

export const trainScreenWords = {
  training: 'Training',
  partsOfTheTraining: 'Parts of the training',
  course: 'Course',
  cases: 'Cases',
  exam: 'Exam',
  progress: 'Progress',
};
