import type { Shown } from './shown.ts';

export const heatCycleWords = {
  connectWhatShowsTheSensorsTemperature:
    'Connect what shows the sensor’s temperature (adapter, bus), and a thermometer beside it.',
  theSensorInDoubt: 'The sensor in doubt',
  beside: (show: Shown, show2: Shown): string => `${show} beside ${show2}`,
  stands: 'stands',
  stillMoving: 'still moving',
  nowBeside: (show: Shown, show2: Shown, stands: Shown): string => `now ${show} beside ${show2} · ${stands}`,
  waitMore: (clock: Shown): string => `· wait ${clock} more`,
  readIt: (name: Shown): string => `Read it: ${name}`,
  putItOnTheCheck: 'Put it on the check',
  cold: 'Cold',
  coldMachineSensorInItsPlace:
    'Cold machine, sensor in its place or in the hand’s reach with the thermometer beside it.',
  hot: 'Hot',
  warmItBy25KOr: 'Warm it by 25 K or more: engine, hot water or air. No flame; hot water burns. Let it settle.',
  after: 'After',
  letItCoolWaitTenMinutes: 'Let it cool, wait ten minutes from the heat, then read it again.',
  heatCycleBeside: (name: Shown, show: Shown, show2: Shown): string => `heat cycle, ${name}: ${show} beside ${show2}`,
};

export const instrumentPanelWords = {
  instruments: 'Instruments',
  connected: 'connected',
  opening: 'opening…',
  notConnected: (why: Shown): string => `not connected: ${why}`,
  closeLine: (name: Shown): string => `Close ${name}`,
  close: 'Close',
  onTheServer: 'on the server',
  inThisPageWithoutTheServer: 'in this page, without the server',
  timesAsFastAsLife: (speed: Shown): string => `, ${speed} times as fast as life`,
  madeUpMachine: (name: Shown, onTheServer: Shown, timesAsFastAsLife: Shown): string =>
    `Made-up machine “${name}”, ${onTheServer}${timesAsFastAsLife}.`,
  putItAway: 'Put it away',
  howOftenTheyAreAsked: 'How often they are asked',
  theMeterMeasures: 'The meter measures',
  volts: 'volts',
  ohms: 'ohms',
  aMadeUpMachineToTry: 'A made-up machine, to try and to learn',
  machine: 'Machine',
  numberSameNumberSameMachine: 'Number (same number, same machine)',
  itsTimeRuns: 'Its time runs',
  instrumentsAroundIt: 'Instruments around it',
  theNumberIsAWholeOne: 'The number is a whole one, up to nine digits.',
  startTheMachine: 'Start the machine',
  instrumentsOnASerialPort: 'Instruments on a serial port',
  thisBrowserOpensNoSerialPorts:
    'This browser opens no serial ports here. A browser that does needs this device itself or HTTPS.',
  asLife: 'as life',
  tenTimes: '10 times',
  sixtyTimes: '60 times',
  every5S: 'every 5 s',
  onceASecond: 'once a second',
  fourASecond: '4 a second',
  tenASecond: '10 a second',
  twentyASecond: '20 a second',
};

export const liveDeskWords = {
  live: (title: Shown): string => `Live · ${title}`,
  liveValues: 'Live values',
  heatCycle: 'Heat cycle',
  heatCycleTestStepByStep: 'Heat-cycle test, step by step',
  nothingIsReadYet: 'Nothing is read yet',
  connectAnInstrumentOrStartA:
    'Connect an instrument, or start a made-up machine: it has a meter, a vehicle adapter and a thermometer, and one fault that you can find.',
  valuesComeWithALineEach:
    'Values come with a line each: whether they stand, and their last minute. Pull a plug and see which of them moves.',
  itStandsInTheChecksNote: 'It stands in the check’s note.',
  openACheckAndComeHere: 'Open a check and come here from its bench: then it goes on that check.',
  toTheBench: 'To the bench',
  logs: 'Logs',
};

export const liveOnCheckWords = {
  heatCycle: (text: Shown): string => `Heat cycle: ${text}`,
};

export const machinePanelWords = {
  theMadeUpMachine: 'The made-up machine',
  key: 'Key',
  theMetersLeads: 'The meter’s leads',
  plugDecadeBoxHeat: 'Plug, decade box, heat',
  inThePlug: 'In the plug',
  sensorIn: 'Sensor in',
  pullThePlug: 'Pull the plug',
  bridgeIt: 'Bridge it',
  decadeBoxOhms: 'Decade box, ohms',
  set: 'Set',
  open: 'Open',
  theSensorByItself: 'The sensor by itself',
  intoHotWater90C: 'Into hot water, 90 °C',
  coldSpray: 'Cold spray',
  backInItsPlace: 'Back in its place',
  keyOff: 'Key off',
  keyOn: 'Key on',
  engineRuns: 'Engine runs',
  signalPinToChassis: 'signal pin to chassis',
  signalToReturn: 'signal to return',
  returnToChassis: 'return to chassis',
  onTheSensorsOwnPins: 'on the sensor’s own pins',
};

export const recordBarWords = {
  recording: 'Recording',
  record: 'Record',
  endAndLookAtIt: 'End and look at it',
  valuesEachKeptAsItComes: (clock: Shown, counted: Shown): string =>
    `${clock} · ${counted} values, each kept as it comes`,
  nothingIsRecordedYet: 'Nothing is recorded yet.',
  connectAnInstrumentFirst: 'Connect an instrument first.',
  whatIsRecordedNowIsHeld: (storageFault: Shown): string =>
    `${storageFault} What is recorded now is held in this window and tried again.`,
  placesToWiggleComeFromThe: 'Places to wiggle come from the check’s loom.',
  noteAtThisMoment: 'Note at this moment',
  aNoteAtThisMoment: 'a note at this moment',
  note: 'Note',
  handsAndLeadsClearOfFans:
    'Hands and leads clear of fans and belts. Bridge no pin you have not identified. No airbag or high-voltage plug.',
  wiggle: (place: Shown): string => `wiggle ${place}`,
  marksTapWhenItBeginsAnd: 'Marks: tap when it begins, and again when it ends',
  wigglingHere: 'Wiggling here',
};

export const valueStripWords = {
  nothingComes: 'nothing comes',
};
