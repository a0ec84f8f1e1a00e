import type { Shown } from './shown.ts';

export const findingListWords = {
  compareAllSensors: 'Compare all sensors',
  onCheck: (list: Shown): string => `On the check: ${list}`,
  show: 'Show',
  onTheCheck: 'on the check',
  putOnCheck: 'Put on the check',
  lookAtThis: 'check this',
  good: 'normal',
  told: 'for information',
};

export const logColumnsWords = {
  title: 'How the columns were read',
  column: (number: Shown): string => `Column ${number}`,
  columnHolds: (number: Shown): string => `Column ${number} holds`,
  unitOfColumn: (number: Shown): string => `Unit of column ${number}`,
  unit: 'unit?',
  timeUnitOf: (number: Shown): string => `Time of column ${number} in`,
  noTime: 'No column holds the time.',
  rowInterval: 'A row every, s',
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
  openFile: 'Open a log file',
  aLogFile: 'a log file',
  formats:
    'Tables from meters, scan tools and loggers, with any separator, up to a few million rows. Nothing leaves this device.',
  storeSilent: 'The browser’s storage does not answer: recordings cannot be listed.',
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
  readTitle: 'How the file was read',
  moreTitle: 'Add a second log, save',
  byItsClock: 'Match by clock',
  besideByClock: 'a second log, matched by clock',
  byItsCourse: 'Match by shape',
  besideByCourse: 'a second log, matched by shape',
  saveAsCsv: 'Save as CSV',
};

export const logViewWords = {
  courseOf: (list: Shown): string => `Curve of ${list}`,
  range: 'Time range',
  earlier: 'Earlier',
  closer: 'Zoom in',
  wider: 'Zoom out',
  wholeLog: 'Show all',
  later: 'Later',
  thinned: 'the highest and lowest of each point are drawn, no spike is lost',
  everySample: 'every sample is drawn',
  channels: 'Channels',
  show: (name: Shown): string => `Show ${name}`,
  is: (name: Shown): string => `${name} is`,
};

export const logsScreenWords = {
  liveValues: 'Live data',
  toTheBench: 'Back to the check',
  logLaboratory: 'Logs',
  readingTheLog: 'Reading the log',
  analysing: 'Analysing the log',
  progress: 'Progress',
  stop: 'Stop',
  rows: (counted: Shown, clock: Shown): string => `${counted} rows · ${clock}`,
  forTheCheck: 'For the check',
  tooLarge: 'Too large to save in the browser. Keep the file.',
  notKept: (storageFault: Shown): string => `Not saved: ${storageFault}`,
  piecesLost: (lost: Shown): string => `${lost} pieces of it could not be read; the rest is here.`,
  whatWasFound: 'Findings',
  nothingStandsOut: 'Nothing unusual found',
  whatItTells: 'Findings',
  needsCheck: 'Choose a check above to use its circuit and to add findings to it.',
  emptyTitle: 'Open a log, or a recording',
  emptyHelp: 'Drop-outs, steps, warm-up and drift are found, shown on the chart, and added to a check as evidence.',
  noCheck: 'no check',
  log: (title: Shown): string => `Log “${title}”`,
  alreadyThere: 'It is already on the check.',
  putOnCheck: (things: Shown, title: Shown): string => `${things} put on “${title}”.`,
};

export const useLogRoomWords = {
  recordingMissing: 'This recording is not in this browser. Open its file instead.',
  noMatchByShape: 'The two logs do not match by shape. Match them by clock instead.',
  unreadable: (name: Shown): string => `${name} cannot be read as a log. Use a CSV table with one row per time.`,
  liesEarlier: (name: Shown, seconds: Shown): string => `${name} is ${seconds} s earlier.`,
  liesLater: (name: Shown, seconds: Shown): string => `${name} is ${seconds} s later.`,
  earlierByShape: (name: Shown, seconds: Shown, correlation: Shown): string =>
    `${name} is ${seconds} s earlier, correlation ${correlation}.`,
  laterByShape: (name: Shown, seconds: Shown, correlation: Shown): string =>
    `${name} is ${seconds} s later, correlation ${correlation}.`,
};
