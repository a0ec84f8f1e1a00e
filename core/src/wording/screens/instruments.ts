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
  itWasPulledOut: 'it was pulled out',
};

export const socketTransportWords = {
  anotherWindowIsUsingIt: 'another window is using it',
  theServerHasTooManyMachinesRunning: 'the server has too many machines running',
  theBrowserOpensNoSuchLine: 'the browser opens no such line',
  theServerDoesNotAnswer: 'the server does not answer',
};
