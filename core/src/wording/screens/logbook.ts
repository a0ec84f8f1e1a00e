import type { Shown } from './shown.ts';

export const duePartWords = {
  due: 'Due',
  notNamed: 'no name',
  standIn: (text: Shown): string => `Temporary replacement: ${text}`,
  temporaryNote: 'A temporary replacement is not a repair. Remove it again.',
  doneWith: (text: Shown): string => `Done: ${text}`,
  done: 'Done',
  open: 'Open',
  calendarFileIcs: 'Calendar file (ICS)',
  nothingIsDue: 'Nothing is due',
  empty: 'Follow-ups are listed here by date, and temporary replacements until they are removed.',
  followUps: 'follow ups',
};

export const experiencePartWords = {
  experience: 'Experience',
  nothingLearnedYet: 'Nothing learned yet',
  purpose: 'Every verified check shows how often each fault is found here, and how often the verdict was right.',
  baseRates: 'Fault frequencies',
  useOwn: 'New checks use this workshop’s own frequencies',
  useOwnHelp:
    'A check takes them with its first reading and keeps them. You can leave them out in the verdict in figures. Older verdicts do not change.',
  ratesFor: 'Frequencies for',
  priorWeight: 'Weight of the defaults, in checks',
  backNote:
    '“back”: the fault came back, so the decision was wrong and does not count. The circuit’s own checks count most in its next check.',
  accuracyTitle: 'How often it was right',
  accuracyTable: 'What the tool said, on your checks',
  minutesAtMeasuring: 'Minutes spent measuring',
  noTimes: 'No check has times for its readings.',
  exportAsCsv: 'Export as CSV',
  engines: 'Engines',
  climateSystems: 'Climate systems',
  boilers: 'Boilers',
  fault: 'fault',
  default: 'default',
  yours: 'yours',
  proved: 'verified',
  back: 'back',
  toolSaidSo: 'tool agreed',
};

export const logbookScreenWords = {
  logbook: 'Machines',
  parts: 'Parts of this page',
  readingTheChecks: 'Reading the checks …',
  machines: 'Machines',
  due: 'Due',
  experience: 'Experience',
};

export const placeLabelWords = {
  place: '‹ Machine',
  print: 'Print',
  label: 'Label',
  qrCode: (address: Shown): string => `QR code: ${address}`,
  sensorChecksLast: (day: Shown): string => `Sensor checks: last ${day}`,
  howToUse:
    'Scan it under Machines, or type the seven characters. They lead to this machine on every device that has its checks. The QR code leads to this address:',
  unknownCode: (code: Shown): string => `No machine here has the code ${code}.`,
};

export const placeScreenWords = {
  logbook: '‹ Machines',
  unknownCode: (code: Shown): string => `No machine here has the code ${code}`,
  unknownHelp: 'Its checks were deleted, renamed, or are in another browser. Restore their backup to see them here.',
  allMachines: 'All machines',
  nextCheckHere: 'Next check here',
  label: 'Label',
  nextCheckHelp: 'The next check takes over circuit, curve, harness, prices and kit of the last one.',
  notNamed: 'no name',
  temporaryFitted: (text: Shown): string => `Temporary replacement still fitted: ${text}`,
  overTheYears: 'Over the years',
  checksHere: 'Checks here',
  cameBack: '◆ came back after an earlier repair',
  done: (done: Shown): string => `Done: ${done}`,
  note: (note: Shown): string => `Note: ${note}`,
  itCameBack: 'It came back…',
  photosFromHere: 'Photos taken here',
  untitledPhoto: 'photo without a caption',
};

export const placeTrendViewWords = {
  title: 'Error of the sensor over the years',
  legend:
    '● this sensor by itself, or verified · ○ through wiring and module, not part of the drift · ✕ a former sensor. Bars: 95 %.',
  empty: 'No trend yet. It needs a known curve and the temperature beside the sensor.',
  mended: (groupName: Shown): string => `${groupName} repaired`,
};

export const placesPartWords = {
  machines: 'Machines',
  noMachinesYet: 'No machines yet',
  empty:
    'Enter the machine in the complaint of a check. It is then listed here, and its next check starts with what is known.',
  checks: 'Checks',
  searchMachines: 'Search machines',
  searchHint: 'Machine, circuit, or the code on a label',
  scanALabel: 'Scan a label…',
  close: 'Close',
  noMatch: 'No machines match.',
  untitledCircuit: 'circuit without a name',
  showAllMachines: (count: Shown): string => `Show all ${count} machines`,
  scanTitle: 'Scan a label',
  unknownCode: (asked: Shown): string => `No machine here has the code ${asked}.`,
  foreignLabel: 'This is not a label of this program.',
};

export const calendarWords = {
  name: 'Sensor checks: follow-ups',
  mellowProbe: 'Mellow Probe',
  removeTemporary: (title: Shown): string => `Remove the temporary replacement: ${title}`,
};

export const trendFigureWords = {
  thisSensor: 'this sensor',
  throughWiring: 'this sensor, through the wiring',
  formerSensor: 'former sensor',
  toleranceLow: 'tolerance, low',
  toleranceHigh: 'tolerance, high',
  drift95Low: 'drift, 95 % low',
  drift95High: 'drift, 95 % high',
  readsOffBy: (word: Shown): string => `Error, ${word}`,
  sensorChanged: 'sensor changed',
};
