import type { Shown } from './shown.ts';

export const chartToolsWords = {
  moreOfTheChart: (label: Shown): string => `More of the chart: ${label}`,
  line: 'Line',
  across: 'Across',
  up: 'Up',
  figuresOfTheChart: 'Figures of the chart',
  pictureAsPng: 'Picture as PNG',
  pictureAsSvg: 'Picture as SVG',
};

export const entryFieldWords = {
  takenAs: (readAs: Shown): string => `taken as ${readAs}`,
};

export const figureFieldWords = {
  healthy: 'healthy',
  suspect: 'suspect',
  meant: (meant: Shown): string => `Meant ${meant}?`,
};

export const intervalStripWords = {
  predictedFits: (range: Shown): string => `predicted ${range}, fits`,
  predictedDoesNotFit: (range: Shown): string => `predicted ${range}, does not fit`,
};

export const jobGateWords = {
  thisCheckIsNotHere: 'This check is not here',
  itWasDeletedOrItLives: 'It was deleted, or it lives in another browser.',
  thisCheckCannotBeOpened: 'This check cannot be opened',
  itIsKeptAsItIs: (openFault: Shown): string => `${openFault} It is kept as it is.`,
  thisCheckCannotBeReadNow: 'This check cannot be read now',
  tryAgain: 'Try again',
  opening: 'Opening…',
  allChecks: 'All checks',
};

export const kitFormWords = {
  nameOfTheKit: 'Name of the kit',
  meterAndThermometerForTheReport: 'meter and thermometer, for the report',
  atHand: 'At hand',
  thermometer: 'Thermometer',
  drawer: 'Drawer',
  resistorsIOwn: 'Resistors I own',
  notRead: (list: Shown): string => `Not read: ${list}.`,
  byRangeOfTheDataSheet: (name: Shown): string => `${name}, by range of the data sheet`,
  upTo: (unit: Shown): string => `up to (${unit})`,
  ofReading: '± % of reading',
  digits: '± digits',
  oneDigit: (unit: Shown): string => `one digit (${unit})`,
  removeRange: (name: Shown, number: Shown): string => `Remove ${name} range ${number}`,
  addARange: 'Add a range',
  inUse1: (list: Shown): string => `in use, 1σ: ${list}`,
  meter: 'Meter',
  scanToolOrDisplay: 'Scan tool or display',
  resistorsOrDecadeBox: 'Resistors or decade box',
  jumperOrTestLamp: 'Jumper or test lamp',
  moduleWithinReach: 'Module within reach',
  potOfWater: 'Pot of water',
  aSecondSensor: 'A second sensor',
  sensorPlug: 'Sensor plug',
  module: 'Module',
  takingTheSensorOff: 'Taking the sensor off',
  inputOnVolts: 'Input on volts',
  common10M: 'common: 10 MΩ',
  olAbove: 'OL above',
  common20M: 'common: 20 MΩ',
  leadsNotZeroed: 'Leads (not zeroed)',
  common0Zeroed: 'common: 0, zeroed',
  thermometerK: 'Thermometer, ± K',
  now1K: (thermometerSigmaK: Shown): string => `now 1σ ${thermometerSigmaK} K`,
  displayedValueK: 'Displayed value, ± K',
  resistors: 'Resistors, ± %',
  common1: 'common: 1 %',
  volts: 'Volts',
  ohms: 'Ohms',
  thermocoupleTapedOn: 'thermocouple, taped on',
  infraRedOnADullSurface: 'infra-red on a dull surface',
  infraRedOnShinyMetal: 'infra-red on bare or shiny metal',
  clampOnPipe: 'clamp or probe outside on a pipe',
  anotherDisplayOfTheMachine: 'another display of the machine',
  theHand: 'the hand',
  easyToReach: 'easy to reach',
  usual: 'usual',
  hardToReach: 'hard to reach',
  whatIOwn: 'what I own',
  glass: 'glass',
  another: 'another',
};

export const noticedTapsWords = {
  noticedAlready: 'Noticed already',
  noneAtHandWhatWasNoticed: 'None at hand: what was noticed',
  none: 'none?',
  onlyWhatYouKnowAlreadyDo: '▲ Only what you know already. Do not touch to find out: steam, coolant, flue and fans.',
};

export const reliabilityChartWords = {
  saidAndRight: (said: Shown, right: Shown, count: Shown): string => `said ${said}: right in ${right} of ${count}`,
};

export const scanSheetWords = {
  whatTheCameraSees: 'What the camera sees',
  codeTyped: 'Code, typed',
  takeIt: 'Take it',
  thisBrowserGivesNoCameraHere: 'This browser gives no camera here: type the code that stands under it.',
  theCameraDoesNotAnswerOr: 'The camera does not answer, or was not allowed: type the code that stands under it.',
};

export const shareSheetWords = {
  shareThisCheck: 'Share this check',
  itsPhotosStayBehindOnlyThe: 'Its photos stay behind: only the file (Export) takes them along.',
  pictureOf: (number: Shown, count: Shown): string => `Picture ${number} of ${count}`,
  pictureOfOnTheOtherDevice: (number: Shown, count: Shown): string =>
    `Picture ${number} of ${count}. On the other device: Checks, Receive, Scan.`,
  tooMuchForPicturesUseExport: 'Too much for pictures: use Export.',
  copyALinkThatHoldsIt: 'Copy a link that holds it',
  theLinkLeadsToThisAddress: 'The link leads to this address and holds the check itself: whoever has it can read it.',
  itHoldsTooMuchForALink: 'It holds too much for a link.',
  copied: 'Copied.',
  thisBrowserDoesNotLetIt: 'This browser does not let it be copied: use Export.',
};

export const shortcutListWords = {
  keysAndFigures: 'Keys and figures',
  tab: 'Tab',
  nextFigure: 'next figure',
  enter: 'Enter',
  onACardToTheNext: 'on a card: to the next test without a reading',
  toTheProposedTest: 'to the proposed test',
  nextPreviousStationOfTheOrder: 'next, previous station of the order of work',
  intoTheFieldOfTheCard: 'into the field of the card',
  esc: 'Esc',
  outOfAFieldSoThat: 'out of a field, so that the keys work',
  quickCheck: 'quick check',
  decision: 'decision',
  readFarForTwoMetresFigures: 'read far: for two metres; figures typed there are taken with Enter',
  report: 'report',
  inTheLedgerNewCheck: 'in the ledger: new check',
  cOrF: '°C or °F',
  thisList: 'this list',
  showMeRoundTheBench: 'Show me round the bench',
  figuresAreTypedAsTheyAreSpoken:
    'Figures are typed as they are spoken: **4k7**, **2.88k**, **11 883**, **OL**, **1880 mV**, **64F**, **3,28**. What can be read in two ways is asked. The unit typed wins.',
  figuresAreWritten: 'Figures are written',
  daysAreWritten: 'Days are written',
  theToolAdvisesTheMakersData:
    'The tool advises. The maker’s data, local codes and the licensed practitioner decide. Cold systems only; keep clear of fans; bridge no wire you have not identified; never leave a substitute resistor in.',
  decimalAsThisDevice: (deviceDecimal: Shown): string => `as this device: 12${deviceDecimal}5`,
  asThisDevice: (format: Shown): string => `as this device: ${format}`,
};

export const topBarWords = {
  backToChecks: '‹ Checks',
  checks: 'Checks',
  mellowProbe: 'Mellow Probe',
  demoWorkshop: 'Demo workshop',
  demoWorkshopMadeUp: 'Demo workshop: made-up data',
  temperaturesInSwitch: (temperatureUnit: Shown): string => `Temperatures in °${temperatureUnit}, switch`,
  light: 'Light',
  dark: 'Dark',
  helpAndShortcuts: 'Help and shortcuts',
  temperaturesIn: (unit: Shown): string => `Temperatures in °${unit}`,
};

export const useOnJobWords = {
  whichCheck: 'Which check',
  aNewCheck: 'a new check',
};

export const workshopFormWords = {
  workshop: 'Workshop',
  technician: 'Technician',
  addressTelephoneLicence: 'Address, telephone, licence',
  oneLineUnderTheName: 'one line under the name',
  theWorkshopsLogo: 'The workshop’s logo',
  logo: 'Logo…',
  logoOfTheWorkshop: 'Logo of the workshop',
  removeTheLogo: 'Remove the logo',
  thisFileIsNoPictureThat: 'This file is no picture that the browser can read.',
};

export const chartRowsWords = {
  line: (number: Shown): string => `line ${number}`,
};

export const curveFigureWords = {
  measuredAt: (value: Shown, temperature: Shown, unit: Shown): string => `measured ${value} at ${temperature} °${unit}`,
  sensorOver: (ohms: Shown, unit: Shown): string => `Sensor, ${ohms} over °${unit}`,
  pluggedInVOver: (unit: Shown): string => `Plugged in, V over °${unit}`,
  pluggedInWithSuspect: (unit: Shown): string => `Plugged in, V over °${unit} · dashed: suspect`,
  highestSound: 'highest sound',
  lowestSound: 'lowest sound',
  expected: 'expected',
  measured: 'measured',
};
