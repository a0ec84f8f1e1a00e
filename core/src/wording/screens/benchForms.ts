import type { Shown } from './shown.ts';

export const closeJobWords = {
  closeTheJob: 'Close the job',
  openItAgain: 'Open it again',
  report: 'Report',
  provedEveryValueReadAgainIs: 'Proved: every value read again is healthy, every step passed or not possible here.',
  closeAsProved: 'Close as proved',
  notProvedYet: (list: Shown): string => `Not proved yet: ${list}.`,
  toCloseItAllTheSame: 'To close it all the same, say why',
  closeWithoutProof: 'Close without proof',
};

export const codeListWords = {
  codes: 'Codes',
  stateOf: (code: Shown): string => `State of ${code}`,
  remove: 'Remove',
  addACode: 'Add a code',
  exampleCodes: 'P0118 pending, SPN 110 FMI 3 …',
  addCode: 'Add code',
  codesNoRoomForMore: (codes: Shown): string => `${codes} codes: no room for more.`,
  clearedCameBack: 'cleared, came back',
  fromThePast: 'from the past',
  notACodeKnownHereA:
    'Not a code known here: a maker’s own? Put it on the shelf under Own codes, and it is understood.',
  present: 'present',
  sporadic: 'sporadic',
};

export const compareFormWords = {
  compare: 'Compare',
  oldAgainstNewOrNeighbourAt:
    'Old against new or neighbour at the same temperature, and the same sensor heated and cooled: it must move one way, smoothly, and come back.',
  hotWaterBurnsEyeProtectionNo:
    '▲ Hot water burns; eye protection; no naked flame on a sensor. Do not hold it in the hand. Give it two minutes in stirred water beside the thermometer.',
  waterAt: (number: Shown): string => `Water at, ${number}`,
  ohms: (number: Shown): string => `Ohms, ${number}`,
  sensor: 'sensor',
  while: 'while',
  removePair: (number: Shown): string => `Remove pair ${number}`,
  addAPair: 'Add a pair',
  pairsNoRoomForMore: (pairs: Shown): string => `${pairs} pairs: no room for more.`,
  thePairsOnTheCurveOf: 'The pairs on the curve of the sensor',
  howFarEachPairLiesOff: 'How far each pair lies off the curve',
  thisOne: 'this one',
  newOrNeighbour: 'new or neighbour',
  heating: 'heating',
  cooling: 'cooling',
  afterHeat: 'after heat',
};

export const complaintFormWords = {
  complaint: 'Complaint',
  whatIsWrongInTheWords: 'What is wrong, in the words of whoever runs the machine, and what the machine itself says.',
  machine: 'Machine',
  whichMachineWhere: 'Which machine, where',
  field: 'Field',
  tags: 'Tags',
  apartByCommasToFindItBy: 'apart by commas, to find it by',
  sinceWhenWhenColdOrHot: 'Since when, when cold or hot, what was done already',
  symptoms: 'Symptoms',
  replacedAlready: 'Replaced already',
  replacedAlreadyAndDidNotHelp: 'Replaced already, and did not help',
  causesThatAreNoElectricalFault: 'Causes that are no electrical fault',
  readsTooCold: 'reads too cold',
  readsTooHot: 'reads too hot',
  engine: 'Engine',
  climateSystem: 'Climate system',
  boiler: 'Boiler',
  notLookedAt: 'not looked at',
  ruledOut: 'ruled out',
  found: 'found',
  sensor: 'Sensor',
  connector: 'Connector',
  wiring: 'Wiring',
  module: 'Module',
};

export const decisionFormWords = {
  decision: 'Decision',
  theToolAdvisesYouDecideBy:
    'The tool advises; you decide, by the maker’s data and local codes. Where you decide otherwise, say why: the report shows both.',
  nothingMeasuredYetTheUsualOdds: 'Nothing measured yet: the usual odds',
  theToolSays: 'The tool says',
  undo: 'Undo',
  youDecide: 'You decide',
  yourDecision: 'Your decision',
  whyOtherwiseThanTheToolNeeded: 'Why otherwise than the tool (needed)',
  reasonIfYouLike: 'Reason, if you like',
  recordTheDecision: 'Record the decision',
};

export const followUpsWords = {
  followUps: 'Follow-ups',
  done: 'Done',
  whatToDo: 'What to do',
  whatToDoHint: 'what to do',
  dueOn: 'Due on',
  removeThisFollowUp: 'Remove this follow-up',
  addAFollowUp: 'Add a follow-up',
  followUpsNoRoomForMore: (followUps: Shown): string => `${followUps} follow-ups: no room for more.`,
};

export const knownPlacesWords = {
  knownCircuitsOfThisMachine: 'Known circuits of this machine',
  itsCircuit: 'its circuit',
  takeOver: (circuit: Shown): string => `Take over ${circuit}`,
};

export const lookFormWords = {
  look: 'Look',
  corrosionBentPinsOilOrWater:
    'Corrosion, bent pins, oil or water on the plug, a chafed loom. Note the cause, not only the part: a new sensor under the same drip fails again.',
  coldSystemOnlyNeverOpenA:
    '▲ Cold system only: never open a hot cooling system. Covers of boilers and electrical boards: isolate first; mains and gas are for licensed persons.',
  note: 'Note',
  whatCausedItWhereTheWater: 'What caused it, where the water comes from',
  seen: 'Seen',
  feltAndHeated: 'Felt and heated',
  history: 'History',
  codesWithoutANumber: 'Codes without a number',
};

export const photoStripWords = {
  photos: 'Photos',
  notInThisBrowser: 'not in this browser',
  caption: 'Caption',
  remove: 'Remove',
  addAPhoto: 'Add a photo…',
  addPhotos: 'Add photos',
  atMostPhotosAJob: (photos: Shown): string => `At most ${photos} photos a job.`,
  notAPictureThisBrowserCanRead: (name: Shown): string => `${name}: not a picture this browser can read.`,
  thisPhotoWasNotKept: (storageFault: Shown): string => `${storageFault} This photo was not kept.`,
};

export const proofFormWords = {
  proof: 'Proof',
  readAgainWhatWasWrongAt:
    'Read again what was wrong, at today’s temperature, and see it behave. Only then the job is done.',
  valuesOfTheRepairedCircuit: 'Values of the repaired circuit',
  thermometerNow: 'Thermometer now',
  besideTheSensor: 'beside the sensor',
  steps: 'Steps',
  noteOn: (name: Shown): string => `Note on ${name}`,
  note: 'note',
  toDo: 'to do',
  passed: 'passed',
  failed: 'failed',
  notPossibleHere: 'not possible here',
};

export const readingsFormWords = {
  allReadings: 'All readings',
  theRecordWhatWasReadWhen:
    'The record: what was read, when, under which conditions. A voided reading stays here with its reason and is left out of the verdict.',
  noReadingYetTheQuickCheck: 'No reading yet. The quick check takes the common ones; every other test has its card.',
  correctedFrom: (list: Shown): string => `corrected from ${list}`,
  voided: (reason: Shown): string => `voided: ${reason}`,
  takeBackIn: 'Take back in',
  whyItIsVoided: 'Why it is voided',
  why: 'Why?',
  void: 'Void',
  voidWhy: 'Void…',
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
  thePartAndWhatMadeIt: 'The part, and what made it fail. A sensor under the same drip fails again.',
  coolingSystemsColdOnlyCoolantDrained:
    '▲ Cooling systems cold only; coolant drained and bled; brass by feel. Boilers: covers, mains, gas and combustion are for licensed persons, by the maker’s instructions and local codes; never defeat a limit or flame safety. Refrigerant: qualified persons.',
  aSubstituteResistorWasUsedIn: 'A substitute resistor was used in this job: make sure it is out again.',
  part: 'Part',
  whatWasMendedOrReplaced: 'what was mended or replaced',
  partNumber: 'Part number',
  cause: 'Cause',
  whyItFailed: 'why it failed',
  done: 'Done',
  sealContactCleanerLoomRoutedAwayBled: 'seal, contact cleaner, loom routed away, bled …',
  repaired: 'Repaired',
  temporaryStandIn: 'Temporary stand-in',
  aSensorOfTheSameCurve:
    'A sensor of the same curve may keep a plant running. It is booked here until it is out, and never handed over as a repair.',
  whatStandsIn: 'What stands in',
  whatStandsInHint: 'what stands in',
  outSince: (day: Shown): string => `Out since ${day}`,
  fittedSince: (day: Shown): string => `◆ Fitted since ${day}`,
  itIsOut: 'It is out',
  bookAStandIn: 'Book a stand-in',
  takeTheTemporaryStandInOut: 'Take the temporary stand-in out, fit the right part',
};

export const rightSensorFormWords = {
  theRightSensor: 'The right sensor',
  machinesCarryLookAlikesGaugeSender:
    'Machines carry look-alikes: gauge sender and controller sensor, coolant 1 and 2, three exhaust sensors. Pull one plug, see which value jumps.',
  keyOnEngineOffABridge:
    '▲ Key on, engine off. A bridge only across the two cavities of an identified sensor plug; never airbag or high-voltage plugs. Hot exhaust: let it cool.',
  remove: (name: Shown): string => `Remove ${name}`,
  whatMoved: 'What moved',
  tapTheValueThatMovedWhen: 'Tap the value that moved when a plug was pulled; what is crossed out can no longer be it.',
  plugsAndTheValuesThatMoved: 'Plugs and the values that moved with them',
  unnamedPlug: 'unnamed plug',
  pullThisNext: 'pull this next',
  howWasTried: (name: Shown): string => `How ${name} was tried`,
  with: (name: Shown, name2: Shown, words: Shown): string => `${name} with ${name2}: ${words}`,
  unplugged: 'unplugged',
  bridged: 'bridged',
  unnamedValue: 'unnamed value',
  nothing: 'nothing',
  plug: 'Plug',
  tried: 'tried',
  moved: 'moved',
  didNotMove: 'did not move',
  belongsToAnotherPlug: 'belongs to another plug',
  notTried: 'not tried',
  displayedValues: 'Displayed values',
  nameOfADisplayedValue: 'Name of a displayed value',
  asTheScanToolNamesIt: 'as the scan tool names it',
  complainedOf: 'complained of',
  addAValue: 'Add a value',
  plugs: 'Plugs',
  nameOfAPlug: 'Name of a plug',
  whereItSitsItsColour: 'where it sits, its colour',
  measuredHere: 'measured here',
  addAPlug: 'Add a plug',
};

export const settlingSheetWords = {
  settling: 'Settling',
  notSettledYetThreeOrMore:
    'Not settled yet? Three or more readings with their minute tell where it will end. Any unit, the same for all.',
  minute: (number: Shown): string => `Minute ${number}`,
  value: (number: Shown): string => `Value ${number}`,
  removeTimedReading: (number: Shown): string => `Remove timed reading ${number}`,
  addATimedReading: 'Add a timed reading',
  timedReadingsNoRoomForMore: (timed: Shown): string => `${timed} timed readings: no room for more.`,
};

export const worthFormWords = {
  worthIt: 'Worth it?',
  toActNowToTestOn:
    'To act now, to test on or to stop: what each is expected to take until the machine is right, the tests, the repair, its proof and coming back included.',
  workingItOut: 'Working it out…',
  howSureTheCustomerWantsTo: 'How sure the customer wants to be before anything is changed',
  howSureTheCustomerWantsToBe: 'How sure the customer wants to be',
  theSensorIsOnlySoldWith: 'the sensor is only sold with a larger part (its price stands above)',
  theCircuitProtectsFrostOverheatFlueFlame: 'the circuit protects: frost, overheat, flue, flame',
  costNeverReplacesTheProofHere:
    '▲ Cost never replaces the proof here: no stand-in, and nobody leaves before every reading is sound. Maker’s data and local codes go first.',
  whatToDoCheapestFirst: 'What to do, cheapest first',
  fixedWaysOfWorkingOnThis: 'Fixed ways of working, on this very job',
  fixedWaysOfWorking: 'Fixed ways of working',
  weighedAsSureAsAsked:
    'Weighed over two tests ahead; a school tests in its order until it is as sure as the customer asks. A stand-in is no repair and is not weighed.',
  weighedUntil95:
    'Weighed over two tests ahead; a school tests in its order until it is 95 % sure. A stand-in is no repair and is not weighed.',
  priceOfAnHour: 'Price of an hour',
  notKnown: 'not known',
  priceOfTheSensor: 'Price of the sensor',
  minutesToFitIt: 'Minutes to fit it',
  priceOfAModule: 'Price of a module',
  comingBackCosts: 'Coming back costs',
  ofAnHour: '¾ of an hour',
  whatPays: 'what pays',
  whatToDo: 'What to do',
  untilItIsRight: 'until it is right',
  inVain: 'in vain',
  wayOfWorking: 'Way of working',
};

export const comparisonFigureWords = {
  thisHeating: 'this, heating',
  thisCooling: 'this, cooling',
  thisAfterHeat: 'this, after heat',
  theOther: 'the other',
  lowest: 'lowest',
  highest: 'highest',
  curve: 'curve',
  over: (unit: Shown): string => `Ω over °${unit}`,
  readsOffByOver: (differenceUnit: Shown, unit: Shown): string => `Reads off by, ${differenceUnit}, over °${unit}`,
};
