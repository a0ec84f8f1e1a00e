import type { Shown } from './shown.ts';

export const bathsToolWords = {
  iceBath: 'Ice bath',
  crushedIce: (temperature: Shown): string =>
    `Crushed ice just covered with water, stirred, in an insulated cup: **${temperature}** within a tenth. Use no salt. Wait until the reading is steady, at least two minutes.`,
  iceBathAsAPairOn: 'Ice bath as a pair on a check',
  boilingWater: 'Boiling water',
  altitudeM: 'Altitude (m)',
  orPressureTodayHPa: 'or pressure today (hPa)',
  atThePlace: 'at the place',
  altitudeLimits: 'Enter an altitude from −500 to 11 000 m.',
  waterDoesNotBoilAtThat: 'Enter a pressure from 7 to 220 640 hPa.',
  waterBoilsAt: (temperature: Shown, pressureHPa: Shown): string =>
    `Water boils at **${temperature}** (${pressureHPa} hPa). It is 100 °C only near sea level in average weather.`,
  thePressureMustBeTheOne: 'Use the pressure at your place, not the sea-level pressure of a weather report.',
  boilingWaterAsAPairOn: 'Boiling water as a pair on a check',
  boilingWaterAndSteamBurnEye:
    '▲ Boiling water and steam burn: use eye protection and tongs. No open flame on a sensor. Never open a pressurised cooling system.',
  whatThermometersAreGoodFor: 'How good thermometers are',
  commonPracticeNoSource: 'Common practice, no source.',
  whereWillItSettle: 'Where will it end?',
  minute: (number: Shown): string => `Minute ${number}`,
  reading: (number: Shown): string => `Reading ${number}`,
  anotherReading: 'Another reading',
  thermometer: 'thermometer',
  goodTo: 'good to',
  mind: 'note',
};

export const cardScreenWords = {
  shelf: '‹ Tools',
  inCircuit: 'in circuit',
  print: 'Print',
  pocketCard: 'Pocket card',
  temperatureOhmsAndVolts: 'Temperature, ohms and volts',
  unpluggedTheOpenEndOfThe:
    'Unplugged: the open end of the scale. Remove a substitute resistor again. The maker’s data decide.',
  ohms: 'ohms',
  lowHigh: 'low … high',
  voltsPluggedIn: 'volts, plugged in',
  shown: 'shown',
};

export const codesToolWords = {
  codesOfMachinesThatFollowNo:
    'Codes of machines that follow no standard. Every check understands the codes listed here. A check keeps the meaning a code had when it was added.',
  code: 'Code',
  circuit: 'Circuit',
  flueGasTemperature: 'flue gas temperature',
  meaning: 'Meaning',
  addTheCode: 'Add the code',
  isKnownAlreadyYourOwnMeaning: (code: Shown, what: Shown): string =>
    `${code} is already known: ${what}. Your meaning replaces it.`,
  theCodesAreNotKeptThe: (fault: Shown): string => `The codes are not saved: the browser’s storage is ${fault}.`,
  deleted: (code: Shown): string => `Deleted ${code}.`,
  undo: 'Undo',
  learnACurve: 'Learn a curve',
  fromYourOwnReadings: 'From the readings of your own checks, where the maker’s table is missing.',
  allSensorsOfAMachine: 'All sensors of a machine',
  whichOneIsOutOfLine:
    'Compare them after a rest, or in one medium: which one is out, by how much, and how sure that is.',
  ownCodes: 'Own codes',
  deleteCode: (code: Shown): string => `Delete ${code}`,
  delete: 'Delete',
  noCodesYetAddThoseOf: 'No codes yet. Add codes of your machines, or import a file.',
  fromAFile: 'Import a file…',
  codeFile: 'Code file',
  csv: 'CSV',
  noRoomForMoreCodesThe: 'The list of codes is full. Delete some first.',
  isTooLargeForAList: (name: Shown): string => `${name} is too large for a list of codes. Split it into smaller files.`,
  taken: (name: Shown, codes: Shown): string => `${name}: ${codes} imported.`,
  foundNoRoom: (left: Shown): string => `${left} did not fit.`,
};

export const deskSlidersWords = {
  meterOnThePin10M: 'meter on the pin (10 MΩ)',
  wireOneWay: 'Wire, one way',
  itsCopper: 'Wire size',
  mm: (wireMm2: Shown): string => `${wireMm2} mm²`,
  jointInTheSignal: 'Bad joint in the signal wire',
  leakToGround: 'Leak to ground',
  leakAcrossThePlug: 'Leak across the plug',
  none: 'none',
};

export const dividerToolWords = {
  layout: 'Layout',
  reference: 'Reference',
  pullUp: 'Pull-up',
  learnIt: 'compute it',
  goodPairOhms: 'A good pair: ohms',
  andVolts: 'and volts',
  thoseVoltsAreNotBetween0: 'Enter volts between 0 and the reference.',
  voltsOverTemperature: 'Voltage against temperature',
  errorOfTheShownValue: 'Error of the shown value',
  allSoundAgain: 'Reset to healthy',
  atThisTemperature: 'At this temperature',
  referenceAndPullUpAreNeeded: 'Reference and pull-up are needed.',
  useThisCircuitOnACheck: 'Use this circuit on a check',
  resistor: 'pull-up',
  mirrored: 'mirrored',
  vAtThePinOverDashed: (unit: Shown): string => `V at the pin against °${unit}, dashed: as set`,
  sound: 'healthy',
  shownMinusTrueKOver: (unit: Shown): string => `Shown minus true, K, against °${unit}`,
  none: 'none',
  fact: 'fact',
  value: 'value',
  sensor: 'sensor',
  voltsSoundAsSet: 'volts, healthy → as set',
  shownAsSet: 'shown, as set',
  sensitivity: 'sensitivity',
  mVK: (milliVoltPerK: Shown): string => `${milliVoltPerK} mV/K`,
  anOhmOfWire: '1 Ω of wire',
  bestPullUpForTheRange: 'best pull-up for the range',
  mVKAtWorst: (ohm: Shown, worstMilliVoltPerK: Shown): string => `${ohm} (${worstMilliVoltPerK} mV/K at worst)`,
  at: 'At',
  rangeFrom: 'Range from',
  to: 'to',
};

export const judgeToolWords = {
  temperature: 'Temperature',
  ohms: 'Ohms',
  tolerance: 'Tolerance ± %',
  taken: 'measured',
  in: 'in',
  temperatureOhmsAndThePartsTolerance:
    'Enter temperature, ohms and the part’s tolerance. The answer says how sure it is that the part is inside. Pass or fail is only given where meter and thermometer are good enough (JCGM 106).',
  addAsAPairToACheck: 'Add as a pair to a check',
  inAStirredBath: 'in a stirred bath',
  atTheMachine: 'at the machine',
  anEngine: 'an engine',
  aClimateSystem: 'a climate system',
  aBoiler: 'a boiler',
};

export const shelfScreenWords = {
  shelf: 'Tools',
  toolsOfTheShelf: 'Tools',
};

export const substitutesToolWords = {
  aSubstituteResistorMustComeOut:
    '▲ Remove a substitute resistor again. Left in, it disables frost, overheat or icing protection. It is never a repair.',
  toBeShown: 'Temperature to show',
  myDrawer: 'My resistors',
  resistorsIOwn: 'Resistors I own',
  notReadTypeLike: (list: Shown): string => `Not read: ${list}. Type like 4k7, 220, 1.5k.`,
  outsideThisCurve: (temperature: Shown, temperature2: Shown): string =>
    `Outside this curve (${temperature} … ${temperature2}).`,
  forTheSensorHas: (temperature: Shown, ohm: Shown): string => `For ${temperature} the sensor has ${ohm}`,
  resistorsForThatTemperature: 'Resistors for that temperature',
  putTheBestOnACheck: 'Add the best to a check as a test',
  stepsForASweep: 'Steps for a sweep',
  steps: 'Steps',
  whatIOwn: 'what I own',
  resistors: 'resistors',
  together: 'together',
  shown: 'shown',
  offBy: 'off by',
  tolerance: 'tolerance',
  resistor: 'resistor',
  shouldShow: 'should show',
  from: 'From',
  to: 'To',
};

export const sweepToolWords = {
  keyOnSensorUnpluggedTheResistor:
    '▲ Key on, sensor unplugged, resistor across the two cavities of its plug. Remove the last one again: left in, it defeats frost, overheat or icing protection.',
  resistor: 'Resistor',
  resistorOf: (number: Shown): string => `Resistor ${number}`,
  displayed: 'Displayed',
  displayedOf: (number: Shown): string => `Displayed ${number}`,
  voltsIfRead: 'Volts (optional)',
  volts: (number: Shown): string => `Volts ${number}`,
  anotherRow: 'Another row',
  reference: 'Reference',
  theSensorFitted: 'The sensor fitted',
  modulesCurveAndTheSensors: 'Module’s curve and the sensor’s',
  useCurvePullUpAndEnds: 'Use curve, pull-up and ends on this check',
  coldEndOfTheScale: (temperature: Shown): string => `Cold end of the scale: ${temperature}.`,
  hotEndOfTheScale: (temperature: Shown): string => `Hot end of the scale: ${temperature}.`,
  pullUpAbout: (ohm: Shown, within: Shown, rows: Shown): string =>
    `Pull-up about ${ohm} ± ${within}, from ${rows} with volts.`,
  ownCurveThroughRowsShownValues: (count: Shown, sigmaK: Shown): string =>
    `Own curve through ${count} rows; shown values good to about ± ${sigmaK} K.`,
  noCurveOfTheShelfIs: 'No saved curve matches this module. Use its own curve.',
  theModuleExpects: (name: Shown, probability: Shown): string => `The module expects ${name} (${probability}).`,
  withItShowsUpToK: (name: Shown, errorK: Shown, temperature: Shown): string =>
    `With ${name} it shows up to ${errorK} K wrong (at ${temperature}). The wrong part is fitted, or the module is set to another sensor.`,
  suitsItAtMostKApart: (name: Shown, kelvin: Shown): string => `${name} fits: at most ${kelvin} K apart.`,
  overModuleDashed: (unit: Shown, name: Shown): string => `Ω against °${unit}: module, dashed: ${name}`,
  module: 'module',
  modulesOwnFromASweep: 'Module’s own, from a sweep',
};

export const tableTextWords = {
  kBOfTextAreTooMuch: (count: Shown): string => `${count} kB of text is too large for a table. Paste fewer rows.`,
};

export const toolsWords = {
  curves: 'Curves',
  whatASensorShouldHaveAt: 'What a sensor should read at which temperature, as a table and pocket card.',
  ownCurve: 'Own curve',
  aTableFromAManualBecomes: 'Turn a table from a manual into a curve: paste, type or import it.',
  whatSensorIsThis: 'What sensor is this?',
  oneOrTwoPairsOfTemperature: 'Enter one or two pairs of temperature and ohms to see which sensor it probably is.',
  modulesOwnCurve: 'Module’s own curve',
  knownResistorsInDisplayedValuesOut:
    'Connect known resistors and enter what the module displays, to find the curve it expects.',
  dividerDesk: 'Divider',
  voltsAndShownValueOverTemperature: 'Voltage and displayed value against temperature, with wires, joints and leaks.',
  substitutes: 'Substitute resistors',
  whichResistorsOfTheDrawerShow: 'Which of your resistors make the display show a given temperature.',
  referenceTemperatures: 'Reference temperatures',
  iceBoilingWaterAtAltitudeThermometers: 'Ice water, boiling water at altitude, thermometers and how long to wait.',
  judgeOneResistance: 'Check one resistance',
  insideItsToleranceOrNotHow: 'Inside its tolerance or not, how sure, and the effect on the display.',
  learnACurve: 'Learn a curve',
  fromYourOwnReadings: 'From the readings of your own checks, where the maker’s table is missing.',
  allSensorsOfAMachine: 'All sensors of a machine',
  whichOneIsOutOfLine:
    'Compare them after a rest, or in one medium: which one is out, by how much, and how sure that is.',
  ownCodes: 'Own codes',
  whatTheCodesOfYourBoilers: 'What the codes of your boilers and machines mean.',
};

export const machineToolWords = {
  machine: 'Machine',
  rested: 'After a night’s rest',
  running: 'Running, all in one medium',
  moment: (n: number): string => `Moment ${n}`,
  airC: 'Air beside it, if known',
  airOf: (n: number): string => `Air at moment ${n}`,
  sensor: 'Sensor',
  sensorOf: (n: number): string => `Name of sensor ${n}`,
  shares: 'Shares',
  sharesExample: 'plug, reference',
  sharesOf: (n: number): string => `What sensor ${n} shares`,
  valueOf: (n: number, moment: number): string => `Value of sensor ${n} at moment ${moment}`,
  anotherSensor: 'Another sensor',
  anotherMoment: 'Another moment',
  takeLive: 'Use live values',
  paste: 'Paste names and values',
  pasteExample: 'One sensor a line: Coolant 18.5',
  useThem: 'Use these',
  enterThree: 'Enter the values of three sensors or more. With the air known, two are enough.',
  out: (share: Shown): string => `out of line ${share}`,
  startACheck: (name: Shown): string => `Start a check: ${name}`,
  chart: 'Values by moment',
  chartTitle: (unit: Shown): string => `°${unit} by moment, band: those that agree`,
  hotParts: '▲ Read the displays. Do not touch hot parts to compare them.',
};

export const learnToolWords = {
  ofWhat: 'Part number, machine or circuit',
  ofWhatExample: 'as it is written on the checks',
  enterWhat: 'Enter a part number, a machine or a circuit. Its checks give the pairs of temperature and ohms.',
  noCheckMatches: 'No check matches.',
  checks: 'Checks to learn from',
  onlyTheFirst: (shown: number, of: number): string =>
    `Only the first ${shown} of ${of} checks are read. Enter more of the name.`,
  tooFew: 'There are too few pairs. Three at different temperatures are needed.',
  tooNear: 'All pairs are at nearly the same temperature. Read the sensor at least 8 K warmer or colder.',
  contradictory: 'The pairs contradict each other. Leave out the checks of another sensor.',
  learnedFrom: (pairs: Shown, checks: Shown): string => `Learned from ${pairs} of ${checks}.`,
  holds: (form: Shown, from: Shown, to: Shown, band: Shown): string =>
    `${form}, from ${from} to ${to}, within ± ${band} in the middle.`,
  nextHelps: (at: Shown): string => `A pair at ${at} would help most.`,
  temperature: 'Temperature',
  ohms: 'Resistance',
  fromTheCurve: 'From the curve',
  leftOut: 'left out',
  check: 'Check',
  pairs: 'Pairs',
  chart: 'Learned curve with its pairs',
  chartTitle: (unit: Shown): string => `Ω against °${unit}, band: 95 %`,
  name: 'Name',
  saveTheCurve: 'Save the curve',
  source: (checks: Shown): string => `learned from ${checks}`,
};
