import type { Shown } from './shown.ts';

export const findingListWords = {
  standsOnTheCheck: (list: Shown): string => `On the check: ${list}`,
  show: 'Show',
  onTheCheck: 'on the check',
  putOnTheCheck: 'Put on the check',
  lookAtThis: 'look at this',
  asItShouldBe: 'as it should be',
  told: 'told',
};

export const logColumnsWords = {
  howTheColumnsWereRead: 'How the columns were read',
  column: (number: Shown): string => `Column ${number}`,
  columnHolds: (number: Shown): string => `Column ${number} holds`,
  unitOfColumn: (number: Shown): string => `Unit of column ${number}`,
  unit: 'unit?',
  timeOfColumnIn: (number: Shown): string => `Time of column ${number} in`,
  readItSo: 'Read it so',
  notRead: 'not read',
  time: 'time',
  values: 'values',
  marks: 'marks',
};

export const logListWords = {
  logs: 'Logs',
  openALogFile: 'Open a log file',
  aLogFile: 'a log file',
  tablesOfMetersScanToolsAnd:
    'Tables of meters, scan tools and loggers, any separator and heading, up to some million rows. Nothing leaves this device.',
  theBrowsersStorageDoesNotAnswer: 'The browser’s storage does not answer: recordings cannot be listed.',
  deleteForGood: 'Delete for good',
  keepIt: 'Keep it',
  deleteRecording: (title: Shown): string => `Delete ${title}`,
  delete: 'Delete…',
  noRecordingsYet: 'No recordings yet.',
  recordLiveValues: 'Record live values',
  madeUp: 'made up',
  fromAFile: 'from a file',
  notEnded: 'not ended',
};

export const logMoreWords = {
  howTheFileWasRead: 'How the file was read',
  layASecondLogOverIt: 'Lay a second log over it, save it',
  byItsClock: 'By its clock',
  aSecondLogByItsClock: 'a second log by its clock',
  byItsCourse: 'By its course',
  aSecondLogByItsCourse: 'a second log by its course',
  saveAsCsv: 'Save as CSV',
};

export const logViewWords = {
  courseOf: (list: Shown): string => `Course of ${list}`,
  theRangeThatIsShown: 'The range that is shown',
  earlier: 'Earlier',
  closer: 'Closer',
  wider: 'Wider',
  wholeLog: 'Whole log',
  later: 'Later',
  highestAndLowestOfEachColumn: 'highest and lowest of each column are drawn, no spike is left out',
  everySampleIsDrawn: 'every sample is drawn',
  channels: 'Channels',
  show: (name: Shown): string => `Show ${name}`,
  is: (name: Shown): string => `${name} is`,
};

export const logsScreenWords = {
  liveValues: 'Live values',
  toTheBench: 'To the bench',
  logLaboratory: 'Log laboratory',
  readingTheLog: 'Reading the log',
  lookingForWhatItTells: 'Looking for what it tells',
  progress: 'Progress',
  stop: 'Stop',
  rows: (counted: Shown, clock: Shown): string => `${counted} rows · ${clock}`,
  forTheCheck: 'For the check',
  tooLargeToBeKeptIn: 'Too large to be kept in the browser: keep the file.',
  notKept: (storageFault: Shown): string => `Not kept: ${storageFault}`,
  piecesOfItCouldNotBe: (lost: Shown): string => `${lost} pieces of it could not be read; the rest is here.`,
  whatWasFound: 'What was found',
  nothingStandsOut: 'Nothing stands out',
  whatItTells: 'What it tells',
  chooseACheckAboveThenIts: 'Choose a check above: then its circuit is used, and what is found can be put on it.',
  openALogOrARecording: 'Open a log, or a recording',
  dropOutsStepsWarmUpSettling:
    'Drop-outs, steps, warm-up, settling, two sensors against each other, the divider’s curve: what stands in a log is found, shown on the chart, and put on a check as evidence.',
  noCheck: 'no check',
  log: (title: Shown): string => `Log “${title}”`,
  itStoodThereAlready: 'It stood there already.',
  putOnTheCheck: (things: Shown, title: Shown): string => `${things} put on “${title}”.`,
};

export const useLogRoomWords = {
  thisRecordingIsNotInThisBrowser: 'This recording is not in this browser.',
  theCoursesDoNotFitEach: 'The courses do not fit each other anywhere. Lay it over by its clock instead.',
  cannotBeReadAsALog: (name: Shown): string => `${name} cannot be read as a log.`,
  liesEarlier: (name: Shown, seconds: Shown): string => `${name} lies ${seconds} s earlier.`,
  liesLater: (name: Shown, seconds: Shown): string => `${name} lies ${seconds} s later.`,
  liesEarlierByCourse: (name: Shown, seconds: Shown, correlation: Shown): string =>
    `${name} lies ${seconds} s earlier, correlation ${correlation}.`,
  liesLaterByCourse: (name: Shown, seconds: Shown, correlation: Shown): string =>
    `${name} lies ${seconds} s later, correlation ${correlation}.`,
};
