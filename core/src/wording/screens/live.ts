import type { Shown } from './shown.ts';

export const heatCycleWords = {
  needsChannel: 'Connect what shows the sensor’s temperature (adapter or bus), and a thermometer beside it.',
  suspectChannel: 'The sensor in doubt',
  beside: (show: Shown, show2: Shown): string => `${show} beside ${show2}`,
  stands: 'steady',
  stillMoving: 'still changing',
  nowBeside: (show: Shown, show2: Shown, stands: Shown): string => `now ${show} beside ${show2} · ${stands}`,
  waitMore: (clock: Shown): string => `· wait ${clock} more`,
  readIt: (name: Shown): string => `Save the reading: ${name}`,
  putOnCheck: 'Put it on the check',
  cold: 'Cold',
  coldHelp: 'Cold machine. The sensor is in its place or within reach, with the thermometer beside it.',
  hot: 'Hot',
  hotHelp: 'Warm it by 25 K or more: engine, hot water or air. Use no flame. Hot water burns. Wait until it is steady.',
  after: 'After',
  afterHelp: 'Let it cool. Wait ten minutes, then read it again.',
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
  inPage: 'in this page, without the server',
  speedNote: (speed: Shown): string => `, ${speed} times real speed`,
  madeUpMachine: (name: Shown, onTheServer: Shown, timesAsFastAsLife: Shown): string =>
    `Simulated machine “${name}”, ${onTheServer}${timesAsFastAsLife}.`,
  putItAway: 'Remove it',
  readingRate: 'Reading rate',
  theMeterMeasures: 'The meter measures',
  volts: 'volts',
  ohms: 'ohms',
  simulatedTitle: 'Simulated machine, to try and to learn',
  machine: 'Machine',
  seedLabel: 'Number (the same number gives the same machine)',
  itsTimeRuns: 'Speed',
  instrumentsAroundIt: 'Instruments connected to it',
  seedFault: 'Enter a whole number of up to nine digits.',
  startTheMachine: 'Start the machine',
  serialTitle: 'Instruments on a serial port',
  noSerialPorts: 'This browser cannot open serial ports here. Use one that can, on this device or over HTTPS.',
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
  heatCycleTitle: 'Heat-cycle test, step by step',
  emptyTitle: 'No instrument connected',
  emptyHelp:
    'Connect an instrument, or start a simulated machine. It has a meter, a vehicle adapter, a thermometer and one fault to find.',
  valuesHelp:
    'Each value shows whether it is steady, and its last minute. Unplug a sensor and watch which value changes.',
  noted: 'It is in the note of the check.',
  needsCheck: 'To put it on a check, open the check and come here from there.',
  toTheBench: 'Back to the check',
  logs: 'Logs',
};

export const liveOnCheckWords = {
  heatCycle: (text: Shown): string => `Heat cycle: ${text}`,
};

export const machinePanelWords = {
  title: 'The simulated machine',
  key: 'Key',
  theMetersLeads: 'Meter leads',
  actsTitle: 'Plug, decade box, heat',
  inThePlug: 'In the plug',
  sensorIn: 'Sensor connected',
  pullThePlug: 'Unplug',
  bridgeIt: 'Jumper the plug',
  decadeBoxOhms: 'Decade box, ohms',
  set: 'Set',
  open: 'Open',
  sensorAlone: 'The sensor by itself',
  hotWater: 'Put in hot water, 90 °C',
  coldSpray: 'Spray it cold',
  putBack: 'Put back in its place',
  keyOff: 'Key off',
  keyOn: 'Key on',
  engineRuns: 'Engine runs',
  leadsSignal: 'signal pin to chassis',
  signalToReturn: 'signal to return',
  returnToChassis: 'return to chassis',
  leadsSensor: 'on the sensor’s own pins',
};

export const recordBarWords = {
  recording: 'Recording',
  record: 'Record',
  stopAndOpen: 'Stop and open it',
  progress: (clock: Shown, counted: Shown): string => `${clock} · ${counted} values saved`,
  empty: 'Nothing recorded yet.',
  needsInstrument: 'Connect an instrument first.',
  notSaved: (storageFault: Shown): string =>
    `${storageFault} The recording stays in this window and is saved as soon as possible.`,
  placesHelp: 'Places to wiggle come from the harness of the check.',
  addNote: 'Note at this moment',
  noteHint: 'a note at this moment',
  note: 'Note',
  caution:
    'Keep hands and leads clear of fans and belts. Jumper no pin you have not identified. No airbag or high-voltage plug.',
  wiggle: (place: Shown): string => `wiggle ${place}`,
  marksHelp: 'Marks: tap at the start, and again at the end',
  wigglingHere: 'Wiggling here',
};

export const valueStripWords = {
  nothingComes: 'no value',
};
