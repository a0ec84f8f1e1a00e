import type { Shown } from './shown.ts';

export const findingListWords = {
  compareAllSensors: 'Compare all sensors',
  standsOnTheCheck: (list: Shown): string => `On the check: ${list}`,
  show: 'Show',
  onTheCheck: 'on the check',
  putOnTheCheck: 'Put on the check',
  lookAtThis: 'look at this',
  asItShouldBe: 'as it should be',
  told: 'for information',
};

export const logColumnsWords = {
  howTheColumnsWereRead: 'How the columns were read',
  column: (number: Shown): string => `Column ${number}`,
  columnHolds: (number: Shown): string => `Column ${number} holds`,
  unitOfColumn: (number: Shown): string => `Unit of column ${number}`,
  unit: 'unit?',
  timeOfColumnIn: (number: Shown): string => `Time of column ${number} in`,
  noColumnHoldsTheTime: 'No column holds the time.',
  aRowEverySeconds: 'A row every, s',
  readItSo: 'Use these settings',
  notRead: 'not read',
  time: 'time',
  values: 'values',
  marks: 'marks',
};

export const logAskedWords = {
  unitAsked: (heads: Shown): string => `${heads}: unit missing. Choose it, then the values are read too.`,
  readAs: (columns: Shown): string => `Read as: ${columns}`,
};

export const logListWords = {
  logs: 'Logs',
  openALogFile: 'Open a log file',
  aLogFile: 'a log file',
  tablesOfMetersScanToolsAnd:
    'Tables from meters, scan tools and loggers, with any separator, up to a few million rows. Nothing leaves this device.',
  theBrowsersStorageDoesNotAnswer: 'The browser’s storage does not answer: recordings cannot be listed.',
  deleteForGood: 'Delete for good',
  keepIt: 'Keep it',
  deleteRecording: (title: Shown): string => `Delete ${title}`,
  delete: 'Delete…',
  noRecordingsYet: 'No recordings yet.',
  recordLiveValues: 'Record live data',
  madeUp: 'simulated',
  fromAFile: 'from a file',
  notEnded: 'cut off',
};

export const logMoreWords = {
  howTheFileWasRead: 'How the file was read',
  layASecondLogOverIt: 'Add a second log, save',
  byItsClock: 'Match by clock',
  aSecondLogByItsClock: 'a second log by its clock',
  byItsCourse: 'Match by shape',
  aSecondLogByItsCourse: 'a second log by its course',
  saveAsCsv: 'Save as CSV',
};

export const logViewWords = {
  courseOf: (list: Shown): string => `Curve of ${list}`,
  theRangeThatIsShown: 'Time range',
  earlier: 'Earlier',
  closer: 'Zoom in',
  wider: 'Zoom out',
  wholeLog: 'Show all',
  later: 'Later',
  highestAndLowestOfEachColumn: 'the highest and lowest of each point are drawn, no spike is lost',
  everySampleIsDrawn: 'every sample is drawn',
  channels: 'Channels',
  show: (name: Shown): string => `Show ${name}`,
  is: (name: Shown): string => `${name} is`,
};

export const logsScreenWords = {
  liveValues: 'Live data',
  toTheBench: 'Back to the check',
  logLaboratory: 'Logs',
  readingTheLog: 'Reading the log',
  lookingForWhatItTells: 'Analysing the log',
  progress: 'Progress',
  stop: 'Stop',
  rows: (counted: Shown, clock: Shown): string => `${counted} rows · ${clock}`,
  forTheCheck: 'For the check',
  tooLargeToBeKeptIn: 'Too large to save in the browser. Keep the file.',
  notKept: (storageFault: Shown): string => `Not saved: ${storageFault}`,
  piecesOfItCouldNotBe: (lost: Shown): string => `${lost} pieces of it could not be read; the rest is here.`,
  whatWasFound: 'Findings',
  nothingStandsOut: 'Nothing unusual found',
  whatItTells: 'Findings',
  chooseACheckAboveThenIts: 'Choose a check above to use its circuit and to add findings to it.',
  openALogOrARecording: 'Open a log, or a recording',
  dropOutsStepsWarmUpSettling:
    'Drop-outs, steps, warm-up and drift are found, shown on the chart, and added to a check as evidence.',
  noCheck: 'no check',
  log: (title: Shown): string => `Log “${title}”`,
  itStoodThereAlready: 'It is already on the check.',
  putOnTheCheck: (things: Shown, title: Shown): string => `${things} put on “${title}”.`,
};

export const useLogRoomWords = {
  thisRecordingIsNotInThisBrowser: 'This recording is not in this browser. Open its file instead.',
  theCoursesDoNotFitEach: 'The two logs do not match by shape. Match them by clock instead.',
  cannotBeReadAsALog: (name: Shown): string =>
    `${name} cannot be read as a log. Use a CSV table with one row per time.`,
  liesEarlier: (name: Shown, seconds: Shown): string => `${name} is ${seconds} s earlier.`,
  liesLater: (name: Shown, seconds: Shown): string => `${name} is ${seconds} s later.`,
  liesEarlierByCourse: (name: Shown, seconds: Shown, correlation: Shown): string =>
    `${name} is ${seconds} s earlier, correlation ${correlation}.`,
  liesLaterByCourse: (name: Shown, seconds: Shown, correlation: Shown): string =>
    `${name} is ${seconds} s later, correlation ${correlation}.`,
};
