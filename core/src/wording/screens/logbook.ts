import type { Shown } from './shown.ts';

export const duePartWords = {
  due: 'Due',
  notNamed: 'not named',
  standIn: (text: Shown): string => `Temporary replacement: ${text}`,
  aStandInIsNoRepair: 'A temporary replacement is not a repair. Remove it again.',
  doneWith: (text: Shown): string => `Done: ${text}`,
  done: 'Done',
  open: 'Open',
  calendarFileIcs: 'Calendar file (ICS)',
  nothingIsDue: 'Nothing is due',
  followUpsThatACheckAsks: 'Follow-ups are listed here by date, and temporary replacements until they are removed.',
  followUps: 'follow ups',
};

export const experiencePartWords = {
  experience: 'Experience',
  nothingLearnedYet: 'Nothing learned yet',
  everyCheckThatIsClosedWith:
    'Every verified check shows how often each fault is found here, and how often the verdict was right.',
  baseRates: 'Fault frequencies',
  newChecksStartFromThisWorkshops: 'New checks use this workshop’s own frequencies',
  aCheckTakesThemWithIts:
    'A check takes them with its first reading and keeps them. You can leave them out in the verdict in figures. Older verdicts do not change.',
  ratesFor: 'Frequencies for',
  theDefaultWeightsCountForSo: 'The default weights count as so many checks',
  backTheFaultCameBackSo:
    '“back”: the fault came back, so the decision was wrong and does not count. The circuit’s own checks count most in its next check.',
  howOftenItWasRight: 'How often it was right',
  theToolsWordOnYourChecks: 'What the tool said, on your checks',
  minutesAtMeasuring: 'Minutes spent measuring',
  noCheckKnowsWhenItsReadings: 'No check has times for its readings.',
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
  partsOfTheLogbook: 'Parts of this page',
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
  scanItInTheLogbookOr:
    'Scan it under Machines, or type the seven characters. They lead to this machine on every device that has its checks. The QR code leads to this address:',
  noPlaceHereHasTheCode: (code: Shown): string => `No machine here has the code ${code}.`,
};

export const placeScreenWords = {
  logbook: '‹ Machines',
  noPlaceHereHasTheCode: (code: Shown): string => `No machine here has the code ${code}`,
  itsChecksWereDeletedRenamedOr:
    'Its checks were deleted, renamed, or are in another browser. Restore their backup to see them here.',
  allMachines: 'All machines',
  nextCheckHere: 'Next check here',
  label: 'Label',
  theNextCheckTakesCircuitCurve: 'The next check takes over circuit, curve, harness, prices and kit of the last one.',
  notNamed: 'not named',
  standInStillIn: (text: Shown): string => `Temporary replacement still fitted: ${text}`,
  overTheYears: 'Over the years',
  checksHere: 'Checks here',
  cameBackAfterAnEarlierRepair: '◆ came back after an earlier repair',
  done: (done: Shown): string => `Done: ${done}`,
  note: (note: Shown): string => `Note: ${note}`,
  itCameBack: 'It came back…',
  photosFromHere: 'Photos from here',
  photoWithoutACaption: 'photo without a caption',
};

export const placeTrendViewWords = {
  howFarTheSensorReadOff: 'Error of the sensor over the years',
  thisSensorByItselfOrProved:
    '● this sensor by itself, or verified · ○ through wiring and module, not part of the drift · ✕ a former sensor. Bars: 95 %.',
  noFigureHereCanBeHeld: 'No trend yet. It needs a known curve and the temperature beside the sensor.',
  mended: (groupName: Shown): string => `${groupName} repaired`,
};

export const placesPartWords = {
  machines: 'Machines',
  noMachinesYet: 'No machines yet',
  nameTheMachineInAChecks:
    'Enter the machine in the complaint of a check. It is then listed here, and its next check starts with what is known.',
  checks: 'Checks',
  searchMachines: 'Search machines',
  machineCircuitOrTheCodeOn: 'Machine, circuit, or the code on a label',
  scanALabel: 'Scan a label…',
  close: 'Close',
  noMachineIsLikeThis: 'No machines match.',
  circuitWithoutAName: 'circuit without a name',
  showAllMachines: (count: Shown): string => `Show all ${count} machines`,
  scanALabelTitle: 'Scan a label',
  noPlaceHereHasTheCode: (asked: Shown): string => `No machine here has the code ${asked}.`,
  thatIsNoLabelOfThisProgram: 'This is not a label of this program.',
};

export const calendarWords = {
  sensorChecksFollowUps: 'Sensor checks: follow-ups',
  mellowProbe: 'Mellow Probe',
  takeOutTheStandIn: (title: Shown): string => `Remove the temporary replacement: ${title}`,
};

export const trendFigureWords = {
  thisSensor: 'this sensor',
  thisSensorThroughTheWiring: 'this sensor, through the wiring',
  formerSensor: 'former sensor',
  toleranceLow: 'tolerance, low',
  toleranceHigh: 'tolerance, high',
  drift95Low: 'drift, 95 % low',
  drift95High: 'drift, 95 % high',
  readsOffBy: (word: Shown): string => `Error, ${word}`,
  sensorChanged: 'sensor changed',
};
