import type { Shown } from './shown.ts';

export const bathsToolWords = {
  iceBath: 'Ice bath',
  crushedIce: (temperature: Shown): string =>
    `Crushed ice, just covered with water, stirred, in an insulated cup: **${temperature}** within a tenth. Salt or pure water without ice is no bath. Wait until the reading stands still, two minutes at least.`,
  iceBathAsAPairOn: 'Ice bath as a pair on a check',
  boilingWater: 'Boiling water',
  altitudeM: 'Altitude (m)',
  orPressureTodayHPa: 'or pressure today (hPa)',
  atThePlace: 'at the place',
  altitudeLimits: 'Altitude from −500 to 11 000 m.',
  waterDoesNotBoilAtThat: 'Water does not boil at that pressure: 7 hPa to 220 640 hPa.',
  waterBoilsAt: (temperature: Shown, pressureHPa: Shown): string =>
    `Water boils at **${temperature}** (${pressureHPa} hPa). Not 100 °C, unless the sea is near and the weather plain.`,
  thePressureMustBeTheOne:
    'The pressure must be the one at the place, not the one reduced to sea level of a weather report.',
  boilingWaterAsAPairOn: 'Boiling water as a pair on a check',
  boilingWaterAndSteamBurnEye:
    '▲ Boiling water and steam burn. Eye protection; tongs; no naked flame on a sensor; never a pressurised cooling system.',
  whatThermometersAreGoodFor: 'What thermometers are good for',
  commonPracticeNoSource: 'Common practice, no source.',
  whereWillItSettle: 'Where will it settle?',
  minute: (number: Shown): string => `Minute ${number}`,
  reading: (number: Shown): string => `Reading ${number}`,
  anotherReading: 'Another reading',
  thermometer: 'thermometer',
  goodTo: 'good to',
  mind: 'mind',
};

export const cardScreenWords = {
  shelf: '‹ Shelf',
  inCircuit: 'in circuit',
  print: 'Print',
  pocketCard: 'Pocket card',
  temperatureOhmsAndVolts: 'Temperature, ohms and volts',
  unpluggedTheOpenEndOfThe:
    'Unplugged: the open end of the scale. A substitute resistor comes out again. The maker’s data decide.',
  ohms: 'ohms',
  lowHigh: 'low … high',
  voltsPluggedIn: 'volts, plugged in',
  shown: 'shown',
};

export const codesToolWords = {
  codesOfMachinesThatFollowNo:
    'Codes of machines that follow no standard: what stands here is understood on every check, and goes into its verdict. A check keeps the meaning that the code had when it was added.',
  code: 'Code',
  circuit: 'Circuit',
  flueGasTemperature: 'flue gas temperature',
  meaning: 'Meaning',
  addTheCode: 'Add the code',
  isKnownAlreadyYourOwnMeaning: (code: Shown, what: Shown): string =>
    `${code} is known already: ${what}. Your own meaning goes before it.`,
  theCodesAreNotKeptThe: (fault: Shown): string => `The codes are not kept: the browser’s storage is ${fault}.`,
  deleted: (code: Shown): string => `Deleted ${code}.`,
  undo: 'Undo',
  ownCodes: 'Own codes',
  deleteCode: (code: Shown): string => `Delete ${code}`,
  delete: 'Delete',
  noCodesYetAddThoseOf: 'No codes yet. Add those of the machines you know, or take them from a file.',
  fromAFile: 'From a file…',
  codeFile: 'Code file',
  csv: 'CSV',
  noRoomForMoreCodesThe: 'No room for more codes: the shelf is full.',
  isTooLargeForAList: (name: Shown): string => `${name} is too large for a list of codes.`,
  taken: (name: Shown, codes: Shown): string => `${name}: ${codes} taken.`,
  foundNoRoom: (left: Shown): string => `${left} found no room.`,
};

export const deskSlidersWords = {
  meterOnThePin10M: 'meter on the pin (10 MΩ)',
  wireOneWay: 'Wire, one way',
  itsCopper: 'Its copper',
  mm: (wireMm2: Shown): string => `${wireMm2} mm²`,
  jointInTheSignal: 'Joint in the signal',
  leakToGround: 'Leak to ground',
  leakAcrossThePlug: 'Leak across the plug',
  none: 'none',
};

export const dividerToolWords = {
  layout: 'Layout',
  reference: 'Reference',
  pullUp: 'Pull-up',
  learnIt: 'learn it',
  goodPairOhms: 'Good pair: ohms',
  andVolts: 'and volts',
  thoseVoltsAreNotBetween0: 'Those volts are not between 0 and the reference: no pull-up follows.',
  voltsOverTemperature: 'Volts over temperature',
  errorOfTheShownValue: 'Error of the shown value',
  allSoundAgain: 'All sound again',
  atThisTemperature: 'At this temperature',
  referenceAndPullUpAreNeeded: 'Reference and pull-up are needed.',
  useThisCircuitOnACheck: 'Use this circuit on a check',
  resistor: 'pull-up',
  mirrored: 'mirrored',
  vAtThePinOverDashed: (unit: Shown): string => `V at the pin over °${unit}, dashed: as set`,
  sound: 'sound',
  shownMinusTrueKOver: (unit: Shown): string => `Shown minus true, K, over °${unit}`,
  none: 'none',
  fact: 'fact',
  value: 'value',
  sensor: 'sensor',
  voltsSoundAsSet: 'volts, sound → as set',
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
  taken: 'taken',
  in: 'in',
  temperatureOhmsAndThePartsTolerance:
    'Temperature, ohms and the part’s tolerance: the answer says how surely it is inside. A limit is only passed or failed where meter and thermometer are good enough for it (decision rule with guard band, after JCGM 106).',
  addAsAPairToACheck: 'Add as a pair to a check',
  inAStirredBath: 'in a stirred bath',
  atTheMachine: 'at the machine',
  anEngine: 'an engine',
  aClimateSystem: 'a climate system',
  aBoiler: 'a boiler',
};

export const kitToolWords = {
  nobodyHasToFillThisIn:
    'Nobody has to fill this in: an empty field means a common instrument. New checks start with a copy; a check keeps the kit it was measured with.',
  workshop: 'Workshop',
  onTheHeadOfEveryReport: 'On the head of every report, and under the line to be signed on.',
};

export const shelfScreenWords = {
  shelf: 'Shelf',
  toolsOfTheShelf: 'Tools of the shelf',
};

export const substitutesToolWords = {
  aSubstituteResistorMustComeOut:
    '▲ A substitute resistor must come out again: left in, it disables frost, overheat or icing protection. Never a repair.',
  toBeShown: 'To be shown',
  myDrawer: 'My drawer',
  resistorsIOwn: 'Resistors I own',
  notReadTypeLike: (list: Shown): string => `Not read: ${list}. Type like 4k7, 220, 1.5k.`,
  outsideThisCurve: (temperature: Shown, temperature2: Shown): string =>
    `Outside this curve (${temperature} … ${temperature2}).`,
  forTheSensorHas: (temperature: Shown, ohm: Shown): string => `For ${temperature} the sensor has ${ohm}`,
  resistorsForThatTemperature: 'Resistors for that temperature',
  putTheBestOnACheck: 'Put the best on a check as a test',
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
    '▲ Key on, sensor unplugged, the resistor across the two cavities of its plug. Take the last one out again: left in, it defeats frost, overheat or icing protection.',
  resistor: 'Resistor',
  resistorOf: (number: Shown): string => `Resistor ${number}`,
  displayed: 'Displayed',
  displayedOf: (number: Shown): string => `Displayed ${number}`,
  voltsIfRead: 'Volts, if read',
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
  noCurveOfTheShelfIs: 'No curve of the shelf is what this module expects: use its own.',
  theModuleExpects: (name: Shown, probability: Shown): string => `The module expects ${name} (${probability}).`,
  withItShowsUpToK: (name: Shown, errorK: Shown, temperature: Shown): string =>
    `With ${name} it shows up to ${errorK} K wrong (at ${temperature}): wrong part fitted, or wrong sensor set in the module.`,
  suitsItAtMostKApart: (name: Shown, kelvin: Shown): string => `${name} suits it: at most ${kelvin} K apart.`,
  overModuleDashed: (unit: Shown, name: Shown): string => `Ω over °${unit}: module, dashed: ${name}`,
  module: 'module',
  modulesOwnFromASweep: 'Module’s own, from a sweep',
};

export const tableTextWords = {
  kBOfTextAreTooMuch: (count: Shown): string => `${count} kB of text are too much for a table of points.`,
};

export const toolsWords = {
  curves: 'Curves',
  whatASensorShouldHaveAt: 'What a sensor should have at which temperature; table and pocket card.',
  ownCurve: 'Own curve',
  aTableFromAManualBecomes: 'A table from a manual becomes a curve: pasted, typed or from a file.',
  whatSensorIsThis: 'What sensor is this?',
  oneOrTwoPairsOfTemperature: 'One or two pairs of temperature and ohms, and the shelf says what it probably is.',
  modulesOwnCurve: 'Module’s own curve',
  knownResistorsInDisplayedValuesOut: 'Known resistors in, displayed values out: what the module expects.',
  dividerDesk: 'Divider desk',
  voltsAndShownValueOverTemperature: 'Volts and shown value over temperature, with wires, joints and leaks.',
  substitutes: 'Substitutes',
  whichResistorsOfTheDrawerShow: 'Which resistors of the drawer show a wanted temperature.',
  referenceTemperatures: 'Reference temperatures',
  iceBoilingWaterAtAltitudeThermometers: 'Ice, boiling water at altitude, thermometers and waiting.',
  judgeOneResistance: 'Judge one resistance',
  insideItsToleranceOrNotHow: 'Inside its tolerance or not, how surely, and what it does to the display.',
  ownCodes: 'Own codes',
  whatTheCodesOfYourBoilers: 'What the codes of your boilers and machines mean: understood on every check.',
  myKit: 'My kit',
  meterThermometerResistorsAndLeadsEvery: 'Meter, thermometer, resistors and leads: every uncertainty uses them.',
};
