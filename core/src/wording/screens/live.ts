import type { Shown } from './shown.ts';

export const heatCycleWords = {
  connectWhatShowsTheSensorsTemperature:
    'Connect what shows the sensor’s temperature (adapter or bus), and a thermometer beside it.',
  theSensorInDoubt: 'The sensor in doubt',
  beside: (show: Shown, show2: Shown): string => `${show} beside ${show2}`,
  stands: 'steady',
  stillMoving: 'still changing',
  nowBeside: (show: Shown, show2: Shown, stands: Shown): string => `now ${show} beside ${show2} · ${stands}`,
  waitMore: (clock: Shown): string => `· wait ${clock} more`,
  readIt: (name: Shown): string => `Save the reading: ${name}`,
  putItOnTheCheck: 'Put it on the check',
  cold: 'Cold',
  coldMachineSensorInItsPlace:
    'Cold machine. The sensor is in its place or within reach, with the thermometer beside it.',
  hot: 'Hot',
  warmItBy25KOr:
    'Warm it by 25 K or more: engine, hot water or air. Use no flame. Hot water burns. Wait until it is steady.',
  after: 'After',
  letItCoolWaitTenMinutes: 'Let it cool. Wait ten minutes, then read it again.',
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
  timesAsFastAsLife: (speed: Shown): string => `, ${speed} times real speed`,
  madeUpMachine: (name: Shown, onTheServer: Shown, timesAsFastAsLife: Shown): string =>
    `Simulated machine “${name}”, ${onTheServer}${timesAsFastAsLife}.`,
  putItAway: 'Remove it',
  howOftenTheyAreAsked: 'Reading rate',
  theMeterMeasures: 'The meter measures',
  volts: 'volts',
  ohms: 'ohms',
  aMadeUpMachineToTry: 'Simulated machine, to try and to learn',
  machine: 'Machine',
  numberSameNumberSameMachine: 'Number (the same number gives the same machine)',
  itsTimeRuns: 'Speed',
  instrumentsAroundIt: 'Instruments connected to it',
  theNumberIsAWholeOne: 'Enter a whole number of up to nine digits.',
  startTheMachine: 'Start the machine',
  instrumentsOnASerialPort: 'Instruments on a serial port',
  thisBrowserOpensNoSerialPorts:
    'This browser cannot open serial ports here. Use one that can, on this device or over HTTPS.',
  asLife: 'real speed',
  tenTimes: '10 times',
  sixtyTimes: '60 times',
  every5S: 'every 5 s',
  onceASecond: 'once a second',
  fourASecond: '4 a second',
  tenASecond: '10 a second',
  twentyASecond: '20 a second',
};

export const liveDeskWords = {
  live: (title: Shown): string => `Live data · ${title}`,
  liveValues: 'Live data',
  heatCycle: 'Heat cycle',
  heatCycleTestStepByStep: 'Heat-cycle test, step by step',
  nothingIsReadYet: 'No instrument connected',
  connectAnInstrumentOrStartA:
    'Connect an instrument, or start a simulated machine. It has a meter, a vehicle adapter, a thermometer and one fault to find.',
  valuesComeWithALineEach:
    'Each value shows whether it is steady, and its last minute. Unplug a sensor and watch which value changes.',
  itStandsInTheChecksNote: 'It is in the note of the check.',
  openACheckAndComeHere: 'To put it on a check, open the check and come here from there.',
  toTheBench: 'Back to the check',
  logs: 'Logs',
};

export const liveOnCheckWords = {
  heatCycle: (text: Shown): string => `Heat cycle: ${text}`,
};

export const machinePanelWords = {
  theMadeUpMachine: 'The simulated machine',
  key: 'Key',
  theMetersLeads: 'Meter leads',
  plugDecadeBoxHeat: 'Plug, decade box, heat',
  inThePlug: 'In the plug',
  sensorIn: 'Sensor connected',
  pullThePlug: 'Unplug',
  bridgeIt: 'Jumper it',
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
  endAndLookAtIt: 'Stop and open it',
  valuesEachKeptAsItComes: (clock: Shown, counted: Shown): string => `${clock} · ${counted} values saved`,
  nothingIsRecordedYet: 'Nothing recorded yet.',
  connectAnInstrumentFirst: 'Connect an instrument first.',
  whatIsRecordedNowIsHeld: (storageFault: Shown): string =>
    `${storageFault} The recording stays in this window and is saved as soon as possible.`,
  placesToWiggleComeFromThe: 'Places to wiggle come from the harness of the check.',
  noteAtThisMoment: 'Note at this moment',
  aNoteAtThisMoment: 'a note at this moment',
  note: 'Note',
  handsAndLeadsClearOfFans:
    'Keep hands and leads clear of fans and belts. Jumper no pin you have not identified. No airbag or high-voltage plug.',
  wiggle: (place: Shown): string => `wiggle ${place}`,
  marksTapWhenItBeginsAnd: 'Marks: tap at the start, and again at the end',
  wigglingHere: 'Wiggling here',
};

export const valueStripWords = {
  nothingComes: 'no value',
};
