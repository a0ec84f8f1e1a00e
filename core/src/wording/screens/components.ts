import type { Shown } from './shown.ts';

export const chartToolsWords = {
  menuOf: (label: Shown): string => `More for the chart: ${label}`,
  line: 'Line',
  across: 'Across',
  up: 'Up',
  figures: 'Figures of the chart',
  pictureAsPng: 'Picture as PNG',
  pictureAsSvg: 'Picture as SVG',
};

export const entryFieldWords = {
  takenAs: (readAs: Shown): string => `read as ${readAs}`,
};

export const figureFieldWords = {
  healthy: 'healthy',
  suspect: 'suspect',
  meant: (meant: Shown): string => `Meant ${meant}?`,
};

export const intervalStripWords = {
  predictedFits: (range: Shown): string => `predicted ${range}, fits`,
  predictedOff: (range: Shown): string => `predicted ${range}, does not fit`,
};

export const jobGateWords = {
  missingTitle: 'This check is not here',
  missingHelp: 'It was deleted, or it is in another browser. Restore a backup, or go to your checks.',
  deletedTitle: 'This check was deleted',
  deletedHelp: 'It is still in the bin. Restore it with everything that was typed into it, also after it was deleted.',
  restore: 'Restore',
  unopenedTitle: 'This check cannot be opened',
  unopenedHelp: (openFault: Shown): string => `${openFault} The file stays as it is.`,
  unreadTitle: 'This check cannot be read now',
  tryAgain: 'Try again',
  opening: 'Opening…',
  allChecks: 'All checks',
};

export const kitFormWords = {
  kitName: 'Name of the kit',
  kitNameHint: 'meter and thermometer, for the report',
  atHand: 'Available',
  thermometer: 'Thermometer',
  drawer: 'Resistors',
  resistorsIOwn: 'Resistors I own',
  notRead: (list: Shown): string => `Not read: ${list}.`,
  byRange: (name: Shown): string => `${name}, by range of the data sheet`,
  upTo: (unit: Shown): string => `up to (${unit})`,
  ofReading: '± % of reading',
  digits: '± digits',
  oneDigit: (unit: Shown): string => `one digit (${unit})`,
  removeRange: (name: Shown, number: Shown): string => `Remove ${name} range ${number}`,
  addARange: 'Add a range',
  inUse1: (list: Shown): string => `in use, 1σ: ${list}`,
  meter: 'Meter',
  scanTool: 'Scan tool or display',
  resistorSource: 'Resistors or decade box',
  jumper: 'Jumper or test lamp',
  moduleWithinReach: 'Module accessible',
  potOfWater: 'Pot of water',
  aSecondSensor: 'A second sensor',
  sensorPlug: 'Sensor plug',
  module: 'Module',
  removing: 'Removing the sensor',
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
  easyToReach: 'easy to reach',
  usual: 'usual',
  hardToReach: 'hard to reach',
  whatIOwn: 'what I own',
};

export const momentNoticeWords = {
  others: (count: number, held: Shown, changed: Shown): string =>
    count === 1
      ? `One other reading was taken at ${held || 'a temperature nobody measured'}. Was it at ${changed} too?`
      : `${count} other readings were taken at ${held || 'a temperature nobody measured'}. Were they at ${changed} too?`,
  allAt: (changed: Shown): string => `Yes, all at ${changed}`,
  keep: 'No, each as it was',
};

export const thermometerTapsWords = {
  question: 'What did you measure it with?',
  change: (name: Shown): string => `Measured with: ${name}. Change it`,
};

export const noticedTapsWords = {
  noticedAlready: 'What you noticed',
  title: 'Not measured: what you noticed',
  none: 'no thermometer?',
  caution: '▲ Only what you know already. Do not touch to find out: steam, coolant, flue and fans can hurt you.',
};

export const reliabilityChartWords = {
  saidAndRight: (said: Shown, right: Shown, count: Shown): string => `estimated ${said}: right in ${right} of ${count}`,
};

export const scanSheetWords = {
  cameraLabel: 'What the camera sees',
  codeTyped: 'Code, typed',
  takeIt: 'Use this value',
  noCamera: 'This browser has no camera here. Type the code printed under it.',
  cameraRefused: 'The camera does not answer or is not allowed. Type the code printed under it.',
};

export const shareSheetWords = {
  shareThisCheck: 'Share this check',
  withoutPhotos: 'Photos are not included. Use Export to include them.',
  pictureOf: (number: Shown, count: Shown): string => `Picture ${number} of ${count}`,
  pictureHelp: (number: Shown, count: Shown): string =>
    `Picture ${number} of ${count}. On the other device: Checks, Receive from another device, Scan.`,
  tooLargeForPictures: 'Too large for pictures: use Export.',
  copyLink: 'Copy a link that contains it',
  linkHelp: 'The link contains the check itself. Whoever has the link can read it.',
  tooLargeForLink: 'It is too large for a link. Use Export.',
  copied: 'Copied.',
  copyRefused: 'This browser does not allow copying. Use Export.',
};

export const shortcutListWords = {
  keysAndFigures: 'Keys and figures',
  tab: 'Tab',
  nextFigure: 'next figure',
  enter: 'Enter',
  nextTest: 'on a card: to the next test without a reading',
  suggestedTest: 'to the suggested test',
  steps: 'next, previous step',
  cardField: 'into the field of the card',
  esc: 'Esc',
  leaveField: 'leave a field, so that the keys work',
  quickCheck: 'quick check',
  decision: 'decision',
  largeView: 'large view, for two metres; Enter saves the figure',
  report: 'report',
  newCheck: 'in the list of checks: new check',
  cOrF: '°C or °F',
  thisList: 'this list',
  tour: 'Show me around',
  figuresHelp:
    'Enter figures as you say them: **4k7**, **2.88k**, **11 883**, **OL**, **1880 mV**, **64F**, **3,28**. If a figure can be read in two ways, you are asked. A typed unit always counts.',
  advice:
    'The tool advises. The maker’s data, local codes and the licensed technician decide. Work on cold systems only. Keep clear of fans. Jumper no wire you have not identified. Never leave a substitute resistor in.',
};

export const mainNavWords = {
  places: 'Places',
  checks: 'Checks',
  machines: 'Machines',
  liveData: 'Live data',
  logs: 'Logs',
  tools: 'Tools',
  training: 'Training',
  settings: 'Settings',
};

export const topBarWords = {
  menu: 'Menu',
  backToChecks: '‹ Checks',
  checks: 'Checks',
  mellowProbe: 'Mellow Probe',
  demoWorkshop: 'Demo workshop',
  demo: 'Demo workshop: invented data',
  temperaturesInSwitch: (temperatureUnit: Shown): string => `Temperatures in °${temperatureUnit}, switch`,
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
  tagline: 'one line under the name',
  theWorkshopsLogo: 'The workshop’s logo',
  logo: 'Logo…',
  logoAlt: 'Logo of the workshop',
  removeTheLogo: 'Remove the logo',
  unreadableLogo: 'The browser cannot read this file as a picture. Use JPEG or PNG.',
};

export const chartRowsWords = {
  line: (number: Shown): string => `line ${number}`,
};

export const curveFigureWords = {
  measuredAt: (value: Shown, temperature: Shown, unit: Shown): string => `measured ${value} at ${temperature} °${unit}`,
  sensorOver: (ohms: Shown, unit: Shown): string => `Sensor, ${ohms} against °${unit}`,
  title: (unit: Shown): string => `Plugged in, V against °${unit}`,
  titleWithSuspect: (unit: Shown): string => `Plugged in, V against °${unit} · dashed: suspect`,
  highestSound: 'highest healthy',
  lowestSound: 'lowest healthy',
  expected: 'expected',
  measured: 'measured',
};
