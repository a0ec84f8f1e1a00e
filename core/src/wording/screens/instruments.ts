export const listWords = {
  benchMeter: 'Bench meter',
  scpiVoltsOrOhms: 'SCPI: volts or ohms',
  vehicleAdapter: 'Vehicle adapter',
  thermometer: 'Thermometer',
  printsALineASecond: 'prints a line a second',
  heavyDutyBus: 'Heavy-duty bus',
  decadeBox: 'Decade box',
  inTheSensorsPlace: 'in the sensor’s place',
  everyTemperature: 'SAE J1979, every temperature',
  listenedTo: 'SAE J1939, listened to',
};

export const serialTransportWords = {
  thePortWasClosed: 'the port was closed',
  itWasPulledOut: 'it was unplugged',
};

export const socketTransportWords = {
  anotherWindowIsUsingIt: 'another window is using it',
  tooManyMessages: 'Too many messages at once. Connect again and ask less often.',
  theServerHasTooManyMachinesRunning: 'the server runs as many machines as it can',
  theBrowserOpensNoSuchLine: 'the browser cannot open this connection',
  theServerDoesNotAnswer: 'the server does not answer',
};
