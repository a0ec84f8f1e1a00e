import type { Shown } from './shown.ts';

export const curvePickWords = {
  curve: 'Curve',
  own: 'Own',
  generic: 'Generic',
};

export const curvesToolWords = {
  step: (temperatureUnit: Shown): string => `Step, °${temperatureUnit}`,
  chartTitle: (name: Shown): string => `Resistance of ${name} against temperature`,
  tableLabel: 'Table of the curve',
  sourcePicture: 'The picture it was read from',
  pictureAlt: (name: Shown): string => `Picture of the table of ${name}`,
  pocketCard: 'Pocket card',
  csv: 'CSV',
  json: 'JSON',
  deleteThisCurve: 'Delete this curve',
  useOnCheck: 'Use on this check',
  deleted: (name: Shown): string => `Deleted “${name}”.`,
  undo: 'Undo',
  nominal: 'nominal',
  lowHigh: 'low … high',
  overWithTolerance: (temperatureUnit: Shown): string => `Ω against °${temperatureUnit}, with tolerance`,
  low: 'low',
  high: 'high',
  outsideItsRange: 'outside its range',
  from: 'From',
  to: 'To',
};

export const fitViewWords = {
  line: (line: Shown, pointFault: Shown): string => `Line ${line}: ${pointFault}`,
  leaveItOut: 'Leave it out',
  curveChart: 'The curve through its points',
  deviationChart: 'Deviation at each point',
  needsSecondPoint:
    'The curve appears with the second point. You can mix commas and points, °C and °F, kΩ and Ω. If a figure can be read in two ways, you choose.',
  outlier: (line: Shown, ohm: Shown, temperature: Shown, ohm2: Shown): string =>
    `Line ${line}: ${ohm} at ${temperature} does not fit. Its neighbours suggest about ${ohm2}. Is it a typing error?`,
  tooFewPoints: 'Enter at least two points.',
  reverses: 'The resistance reverses. No sensor does that.',
  reversesAt: (line: Shown): string => `Line ${line}: the resistance reverses here. Correct the line or leave it out.`,
  tolerance: (toleranceShare: Shown): string => `Tolerance from min and max: ± ${toleranceShare} %.`,
  tried: (tried: Shown): string => `Tested: ${tried}.`,
  misses: (form: Shown, miss: Shown): string => `${form}: misses ${miss}.`,
  over: (unit: Shown): string => `Ω against °${unit}`,
  curve: 'curve',
  points: 'points',
  temperature: 'temperature',
  resistance: 'resistance',
  leftOver: 'deviation',
  curveK: (sigma: Shown): string => `curve ± ${sigma} K`,
};

export const identifyToolWords = {
  temperature: (number: Shown): string => `Temperature ${number}`,
  ohms: (number: Shown): string => `Ohms ${number}`,
  removePair: (number: Shown): string => `Remove pair ${number}`,
  anotherPair: 'Another pair',
  stirredBath: 'in a stirred bath',
  kitNote: 'Meter and thermometer are those of “My instruments”. The tolerance of the part is included.',
  noneFits: 'No saved curve fits these pairs. It is another part, or a pair was read wrong.',
  unsavedCurve: 'a curve that is not saved',
  missChart: 'How far each curve misses',
  also: (list: Shown): string => `(also ${list})`,
  empty: 'Enter a temperature and the ohms at that temperature.',
  curveToUse: 'Curve to use',
  useOnCheck: 'Use on this check',
  ntcFromPairs: (ohm: Shown, betaK: Shown): string => `NTC ${ohm} at 25 °C, B ${betaK}, from these pairs`,
  curve: 'curve',
  missesBy: 'misses by',
  probablyNoneMisses: (name: Shown, kelvin: Shown): string =>
    `Probably none of the saved curves. ${name} is nearest, up to ${kelvin} K off.`,
  probablyNoneFar: (name: Shown): string => `Probably none of the saved curves. ${name} is nearest, but far off.`,
  nextPair: (temperature: Shown, name: Shown, ohm: Shown, name2: Shown, ohm2: Shown): string =>
    `One more pair near ${temperature} helps most: ${name} has ${ohm} there, ${name2} ${ohm2}.`,
  far: 'far',
};

export const ownCurveToolWords = {
  wayLabel: 'How the curve is given',
  fromAFile: 'Import a file…',
  curveFile: 'Curve file',
  draftNotSaved: (fault: Shown): string => `What you enter is not saved: the browser’s storage is ${fault}.`,
  steinhartHart: '1/T = A + B·ln R + C·(ln R)³, T in kelvin, R in ohms.',
  noSensor:
    'These figures do not describe a sensor. Use R25 above 0 and B from 500 to 10 000. Coefficients are in kelvin and ohms.',
  name: 'Name',
  machinePartNumber: 'machine, part number',
  source: 'Where the figures are from',
  manualPage: 'manual, page',
  saveCurve: 'Save the curve',
  useOnCheck: 'Use on this check',
  tableOfPoints: 'Table of points',
  fromAPicture: 'From a picture',
  offADiagram: 'From a diagram',
  r25AndB: 'R25 and B',
  steinhartHartCoefficients: 'Steinhart–Hart coefficients',
  ownCurve: 'Own curve',
  notSaved: 'The browser’s storage is full or blocked. What you entered stays here.',
  tooLarge: (name: Shown, size: Shown): string => `${name}: ${size} MB is too large for a table of points.`,
  saved: (name: Shown): string => `“${name}” is saved.`,
  notOpened: (reason: Shown, detail: Shown): string => `Not opened: ${reason}. ${detail}`,
  leftAlone: (name: Shown, why: Shown): string => `${name} is left as it is. ${why}`,
};

export const tableReadingWords = {
  title: 'How the table was read',
  column: (number: Shown): string => `Column ${number}`,
  line: (line: Shown, text: Shown): string => `line ${line} · ${text}`,
  rowsInAll: (count: Shown): string => `… ${count} rows in all`,
  row: (temperature: Shown, ohms: Shown): string => `${temperature}: ${ohms}`,
  rowAllowed: (temperature: Shown, ohms: Shown, least: Shown, most: Shown): string =>
    `${temperature}: ${ohms}, allowed ${least} … ${most}`,
  columnHolds: (n: Shown): string => `Column ${n} holds`,
  which: 'which?',
  unitOfColumn: (n: Shown): string => `Unit of column ${n}`,
  unit: 'unit?',
  decimalMarkOf: (n: Shown): string => `Decimal mark of column ${n}`,
  mark: 'mark?',
};

export const tableSourceWords = {
  pictureAlt: 'The picture the figures were read from',
  pictureNote: 'Read from this picture. It is saved with the curve.',
  withoutIt: 'Remove the picture',
  textLabel: 'Temperature and ohms, a line each',
  form: 'Form',
  example: '0   9420\n20  3520\n40; 1,459k\n°C and Ω unless said: 68F, 4k7, min and max columns by name',
  formBest: 'best fit',
  notPasted: (why: Shown): string => `Not pasted. The earlier text stays. ${why}`,
};
