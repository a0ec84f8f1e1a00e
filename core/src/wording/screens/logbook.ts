import type { Shown } from './shown.ts';

export const duePartWords = {
  due: 'Due',
  notNamed: 'not named',
  standIn: (text: Shown): string => `Stand-in: ${text}`,
  aStandInIsNoRepair: 'A stand-in is no repair: it comes out again.',
  doneWith: (text: Shown): string => `Done: ${text}`,
  done: 'Done',
  open: 'Open',
  calendarFileIcs: 'Calendar file (ICS)',
  nothingIsDue: 'Nothing is due',
  followUpsThatACheckAsks:
    'Follow-ups that a check asks for stand here by their day, and stand-ins until they are out.',
  followUps: 'follow ups',
};

export const experiencePartWords = {
  experience: 'Experience',
  nothingLearnedYet: 'Nothing learned yet',
  everyCheckThatIsClosedWith:
    'Every check that is closed with its proof teaches how often which fault is found here, and how often the verdict was right.',
  baseRates: 'Base rates',
  newChecksStartFromThisWorkshops: 'New checks start from this workshop’s own rates',
  aCheckTakesThemWithIts:
    'A check takes them with its first reading and keeps them: they stand among what moved its odds, can be left out there, and no older verdict changes.',
  ratesFor: 'Rates for',
  theDefaultWeightsCountForSo: 'The default weights count for so many checks',
  backTheFaultCameBackSo:
    '“back”: the fault came back, so it was decided wrongly and teaches no rate. What other fields tell is the start for this one; a circuit’s own checks weigh most in its next check.',
  howOftenItWasRight: 'How often it was right',
  theToolsWordOnYourChecks: 'The tool’s word, on your checks',
  minutesAtMeasuring: 'Minutes at measuring',
  noCheckKnowsWhenItsReadings: 'No check knows when its readings were taken.',
  exportAsCsv: 'Export as CSV',
  engines: 'Engines',
  climateSystems: 'Climate systems',
  boilers: 'Boilers',
  fault: 'fault',
  default: 'default',
  yours: 'yours',
  proved: 'proved',
  back: 'back',
  toolSaidSo: 'tool said so',
};

export const logbookScreenWords = {
  logbook: 'Logbook',
  partsOfTheLogbook: 'Parts of the logbook',
  readingTheChecks: 'Reading the checks …',
  machines: 'Machines',
  due: 'Due',
  experience: 'Experience',
};

export const placeLabelWords = {
  place: '‹ Place',
  print: 'Print',
  label: 'Label',
  qrCode: (address: Shown): string => `QR code: ${address}`,
  sensorChecksLast: (day: Shown): string => `Sensor checks: last ${day}`,
  scanItInTheLogbookOr:
    'Scan it in the logbook, or type the seven signs: they are made from the names of machine and circuit and lead to this place on every device that has its checks. The address in the QR code leads here:',
  noPlaceHereHasTheCode: (code: Shown): string => `No place here has the code ${code}.`,
};

export const placeScreenWords = {
  logbook: '‹ Logbook',
  noPlaceHereHasTheCode: (code: Shown): string => `No place here has the code ${code}`,
  itsChecksWereDeletedRenamedOr:
    'Its checks were deleted, renamed, or are in another browser: their backup brings them here.',
  allMachines: 'All machines',
  nextCheckHere: 'Next check here',
  label: 'Label',
  theNextCheckTakesCircuitCurve: 'The next check takes circuit, curve, loom, prices and kit of the last one.',
  notNamed: 'not named',
  standInStillIn: (text: Shown): string => `Stand-in still in: ${text}`,
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
  howFarTheSensorReadOff: 'How far the sensor read off, over the years',
  thisSensorByItselfOrProved:
    '● this sensor by itself, or proved · ○ through wiring and module, not part of the drift · ✕ a former sensor. Bars: 95 %.',
  noFigureHereCanBeHeld:
    'No figure here can be held to a curve: a trend needs a known curve, and the temperature beside the sensor.',
  mended: (groupName: Shown): string => `${groupName} mended`,
};

export const placesPartWords = {
  machines: 'Machines',
  noMachinesYet: 'No machines yet',
  nameTheMachineInAChecks:
    'Name the machine in a check’s complaint: it then stands here with its circuits, and its next check begins with what is known of it.',
  checks: 'Checks',
  searchMachines: 'Search machines',
  machineCircuitOrTheCodeOn: 'Machine, circuit, or the code on a label',
  scanALabel: 'Scan a label…',
  close: 'Close',
  noMachineIsLikeThis: 'No machine is like this.',
  circuitWithoutAName: 'circuit without a name',
  showAllMachines: (count: Shown): string => `Show all ${count} machines`,
  scanALabelTitle: 'Scan a label',
  noPlaceHereHasTheCode: (asked: Shown): string => `No place here has the code ${asked}.`,
  thatIsNoLabelOfThisProgram: 'That is no label of this program.',
};

export const calendarWords = {
  sensorChecksFollowUps: 'Sensor checks: follow-ups',
  mellowProbe: 'Mellow Probe',
  takeOutTheStandIn: (title: Shown): string => `Take out the stand-in: ${title}`,
};

export const trendFigureWords = {
  thisSensor: 'this sensor',
  thisSensorThroughTheWiring: 'this sensor, through the wiring',
  formerSensor: 'former sensor',
  toleranceLow: 'tolerance, low',
  toleranceHigh: 'tolerance, high',
  drift95Low: 'drift, 95 % low',
  drift95High: 'drift, 95 % high',
  readsOffBy: (word: Shown): string => `Reads off by, ${word}`,
  sensorChanged: 'sensor changed',
};
