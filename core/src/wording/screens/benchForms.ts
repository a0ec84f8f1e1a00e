import type { Shown } from './shown.ts';

export const closeJobWords = {
  closeTheJob: 'Close the job',
  openItAgain: 'Reopen it',
  report: 'Report',
  verified: 'Verified: every value is within range, and every step passed or is not possible here.',
  closeAsProved: 'Close as verified',
  notProvedYet: (list: Shown): string => `Not verified yet: ${list}.`,
  closeAnyway: 'To close it anyway, say why',
  closeWithoutProof: 'Close without verifying',
};

export const codeListWords = {
  codes: 'Codes',
  stateOf: (code: Shown): string => `State of ${code}`,
  remove: 'Remove',
  addACode: 'Add a code',
  exampleCodes: 'P0118 pending, SPN 110 FMI 3 …',
  addCode: 'Add code',
  full: (codes: Shown): string => `${codes} codes: the list is full.`,
  clearedCameBack: 'cleared, came back',
  fromThePast: 'from the past',
  unknownCode: 'This code is not known. Is it a maker’s own code? Add it under Tools, Own codes.',
  didYouMean: (code: Shown): string => `Did you mean ${code}?`,
  useCode: (code: Shown): string => `Use ${code}`,
  present: 'present',
  sporadic: 'sporadic',
};

export const compareFormWords = {
  openMachineTool: 'All sensors of this machine',
  compare: 'Compare',
  purpose:
    'Compare the old sensor with a new one or a neighbour at the same temperature. Heat and cool it: the value must move smoothly and come back.',
  caution:
    '▲ Hot water burns: wear eye protection. Use no open flame on a sensor. Do not hold it in your hand. Leave it two minutes in stirred water beside the thermometer.',
  waterAt: (number: Shown): string => `Water at, ${number}`,
  ohms: (number: Shown): string => `Ohms, ${number}`,
  sensor: 'sensor',
  while: 'while',
  removePair: (number: Shown): string => `Remove pair ${number}`,
  addAPair: 'Add a pair',
  full: (pairs: Shown): string => `${pairs} pairs: the list is full.`,
  pairsChart: 'The pairs on the sensor curve',
  deviationChart: 'How far each pair is from the curve',
  thisOne: 'this one',
  newOrNeighbour: 'new or neighbour',
  heating: 'heating',
  cooling: 'cooling',
  afterHeat: 'after heat',
};

export const complaintFormWords = {
  complaint: 'Complaint',
  purpose: 'What is wrong, in the customer’s words, and the codes the machine shows.',
  machine: 'Machine',
  whichMachineWhere: 'Which machine, where',
  customer: 'Customer',
  orderNumber: 'Order number',
  field: 'Field',
  tags: 'Tags',
  tagsHint: 'separated by commas',
  historyHint: 'Since when, cold or hot, and what was done already',
  symptoms: 'Symptoms',
  replacedAlready: 'Replaced already',
  replacedInVain: 'Replaced already, did not help',
  otherCauses: 'Causes that are not electrical',
  readsTooCold: 'reads too cold',
  readsTooHot: 'reads too hot',
  engine: 'Engine',
  climateSystem: 'Climate system',
  boiler: 'Boiler',
  notLookedAt: 'not checked',
  ruledOut: 'ruled out',
  found: 'found',
  sensor: 'Sensor',
  connector: 'Connector',
  wiring: 'Wiring',
  module: 'Module',
};

export const decisionFormWords = {
  decision: 'Decision',
  purpose:
    'The tool advises. You decide, by the maker’s data and local codes. If you decide otherwise, say why. The report shows both.',
  onlyUsualOdds: 'Nothing measured yet: usual frequencies',
  theToolSays: 'The tool says',
  undo: 'Undo',
  youDecide: 'You decide',
  yourDecision: 'Your decision',
  reasonRequired: 'Why you decide otherwise (required)',
  reasonOptional: 'Reason (optional)',
  record: 'Record the decision',
};

export const followUpsWords = {
  followUps: 'Follow-ups',
  done: 'Done',
  whatToDo: 'What to do',
  taskHint: 'what to do',
  dueOn: 'Due on',
  remove: 'Remove this follow-up',
  add: 'Add a follow-up',
  full: (followUps: Shown): string => `${followUps} follow-ups: the list is full.`,
};

export const knownPlacesWords = {
  title: 'Known circuits of this machine',
  itsCircuit: 'its circuit',
  takeOver: (circuit: Shown): string => `Use ${circuit}`,
};

export const lookFormWords = {
  look: 'Inspect',
  purpose:
    'Look for corrosion, bent pins, oil or water on the plug, and a chafed harness. Note the cause too: a new sensor under the same drip fails again.',
  caution:
    '▲ Never open a hot cooling system. Isolate the power before you open boilers or electrical boards. Leave mains and gas to licensed persons.',
  note: 'Note',
  causeHint: 'What caused it, where the water comes from',
  seen: 'Seen',
  feltAndHeated: 'Touched and heated',
  history: 'History',
  unnumberedWarnings: 'Warnings without a code',
};

export const photoStripWords = {
  photos: 'Photos',
  elsewhere: 'not in this browser',
  caption: 'Caption',
  remove: 'Remove',
  addAPhoto: 'Add a photo…',
  addPhotos: 'Add photos',
  full: (photos: Shown): string => `At most ${photos} photos per check.`,
  unreadable: (name: Shown): string => `${name}: this browser cannot read it as a picture. Use JPEG or PNG.`,
  notSaved: (storageFault: Shown): string => `${storageFault} This photo was not saved.`,
};

export const proofFormWords = {
  proof: 'Verify the repair',
  purpose: 'Repeat the readings that were wrong, at today’s temperature. The job is done when they are within range.',
  readingsTitle: 'Readings after the repair',
  thermometerNow: 'Thermometer now',
  besideTheSensor: 'beside the sensor',
  steps: 'Steps',
  allPassed: 'All passed',
  noteOn: (name: Shown): string => `Note on ${name}`,
  note: 'note',
  toDo: 'to do',
  passed: 'passed',
  failed: 'failed',
  notPossibleHere: 'not possible here',
};

export const readingsFormWords = {
  allReadings: 'All readings',
  purpose:
    'What was read, when, and under which conditions. An excluded reading stays here with its reason. The verdict does not use it.',
  empty: 'No reading yet. Enter the common ones in the quick check. Every other test has its own card.',
  correctedFrom: (list: Shown): string => `corrected from ${list}`,
  voided: (reason: Shown): string => `excluded: ${reason}`,
  takeBackIn: 'Include again',
  exclusionReason: 'Why it is excluded',
  why: 'Why?',
  void: 'Exclude',
  voidWhy: 'Exclude…',
  test: 'Test',
  reading: 'Reading',
  healthy: 'Healthy',
  taken: 'Taken',
  healthyAndWhen: (healthy: Shown, when: Shown): string =>
    [healthy && `healthy ${healthy}`, when].filter(Boolean).join(' · '),
  actions: 'Actions',
};

export const repairFormWords = {
  repair: 'Repair',
  purpose: 'The part, and why it failed. A new sensor under the same drip fails again.',
  caution:
    '▲ Open cooling systems only when cold. Boilers: leave covers, mains, gas and combustion to licensed persons. Never defeat a limit or flame safety. Refrigerant: qualified persons only.',
  substituteUsed: 'A substitute resistor was used in this check. Make sure it is out again.',
  part: 'Part',
  doneHint: 'what was repaired or replaced',
  partNumber: 'Part number',
  cause: 'Cause',
  whyItFailed: 'why it failed',
  done: 'Done',
  alsoDoneHint: 'seal, contact cleaner, harness rerouted, bled …',
  repaired: 'Repaired',
  temporaryStandIn: 'Temporary replacement',
  temporaryReplacementRule:
    'A sensor with the same curve may keep a plant running. It stays listed here until it is removed. It is not a repair.',
  whatStandsIn: 'What is fitted',
  fittedHint: 'what is fitted',
  outSince: (day: Shown): string => `Removed on ${day}`,
  fittedSince: (day: Shown): string => `◆ Fitted since ${day}`,
  itIsOut: 'It is removed',
  recordTemporary: 'Record a temporary replacement',
  removeTemporary: 'Remove the temporary replacement, fit the right part',
};

export const rightSensorFormWords = {
  theRightSensor: 'Which sensor?',
  purpose:
    'Many machines have sensors that look alike: gauge sender and controller sensor, coolant 1 and 2. Unplug one and watch which value jumps.',
  caution:
    '▲ Key on, engine off. Jumper only the two cavities of a sensor plug you have identified. Never airbag or high-voltage plugs. Let a hot exhaust cool.',
  remove: (name: Shown): string => `Remove ${name}`,
  whatMoved: 'What changed',
  howTo: 'Tap the value that changed when you unplugged. What is crossed out is ruled out.',
  tableLabel: 'Plugs and the values that changed with them',
  unnamedPlug: 'unnamed plug',
  pullThisNext: 'unplug this next',
  howWasTried: (name: Shown): string => `How ${name} was tested`,
  with: (name: Shown, name2: Shown, words: Shown): string => `${name} with ${name2}: ${words}`,
  unplugged: 'unplugged',
  bridged: 'jumpered',
  unnamedValue: 'unnamed value',
  nothing: 'nothing',
  plug: 'Plug',
  tried: 'tested',
  moved: 'changed',
  didNotMove: 'did not change',
  ofAnotherPlug: 'belongs to another plug',
  notTried: 'not tested',
  displayedValues: 'Displayed values',
  valueName: 'Name of a displayed value',
  valueNameHint: 'as the scan tool names it',
  complainedOf: 'in the complaint',
  addAValue: 'Add a value',
  plugs: 'Plugs',
  plugName: 'Name of a plug',
  plugNameHint: 'where it is, its colour',
  measuredHere: 'measured here',
  addAPlug: 'Add a plug',
};

export const settlingSheetWords = {
  settling: 'Still changing?',
  needsThree: 'Three or more readings with their minute show where the value will end. Use the same unit for all.',
  minute: (number: Shown): string => `Minute ${number}`,
  value: (number: Shown): string => `Value ${number}`,
  removeTimedReading: (number: Shown): string => `Remove timed reading ${number}`,
  add: 'Add a timed reading',
  full: (timed: Shown): string => `${timed} timed readings: the list is full.`,
};

export const worthFormWords = {
  worthIt: 'Is it worth it?',
  purpose:
    'Repair now, test more, or stop: what each is expected to cost until the machine works. Tests, repair, verification and a second visit are included.',
  workingItOut: 'Computing…',
  surenessHelp: 'How sure the customer wants to be before parts are replaced',
  sureness: 'How sure the customer wants to be',
  soldInAssembly: 'the sensor is only sold with a larger part (enter its price above)',
  protects: 'the circuit protects against frost, overheat, flue or flame faults',
  protectsCaution:
    '▲ This circuit protects: always verify the repair, whatever it costs. Use no temporary replacement. Maker’s data and local codes come first.',
  waysTitle: 'What to do, lowest cost first',
  ordersOnThisCheck: 'Fixed test orders, on this check',
  orders: 'Fixed test orders',
  ordersHelp:
    'Computed over the next two tests. A fixed order tests until it is as sure as the customer asks. A temporary replacement is not a repair and is not counted.',
  weighedUntil95:
    'Computed over the next two tests. A fixed order tests until it is 95 % sure. A temporary replacement is not a repair and is not counted.',
  hourPrice: 'Price per hour',
  notKnown: 'not known',
  sensorPrice: 'Price of the sensor',
  fitMinutes: 'Minutes to fit it',
  modulePrice: 'Price of a module',
  comingBackCosts: 'A second visit costs',
  ofAnHour: '¾ of an hour',
  whatPays: 'lowest cost',
  whatToDo: 'What to do',
  untilRight: 'until it works',
  inVain: 'without success',
  wayOfWorking: 'Test order',
};

export const comparisonFigureWords = {
  thisHeating: 'this, heating',
  thisCooling: 'this, cooling',
  thisAfterHeat: 'this, after heat',
  theOther: 'the other',
  lowest: 'lowest',
  highest: 'highest',
  curve: 'curve',
  over: (unit: Shown): string => `Ω against °${unit}`,
  deviationTitle: (differenceUnit: Shown, unit: Shown): string => `Error, ${differenceUnit}, against °${unit}`,
};
