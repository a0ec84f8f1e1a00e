export const listWords = {
  benchMeter: 'Bench meter',
  meterKind: 'SCPI: volts or ohms',
  vehicleAdapter: 'Vehicle adapter',
  thermometer: 'Thermometer',
  thermometerKind: 'prints a line a second',
  heavyDutyBus: 'Heavy-duty bus',
  decadeBox: 'Decade box',
  boxKind: 'in the sensor’s place',
  everyTemperature: 'SAE J1979, every temperature',
  listenedTo: 'SAE J1939, listened to',
};

export const serialTransportWords = {
  closed: 'the port was closed',
  unplugged: 'it was unplugged',
};

export const socketTransportWords = {
  busy: 'another window is using it',
  tooManyMessages: 'Too many messages at once. Connect again and ask less often.',
  full: 'the server runs as many machines as it can',
  refused: 'the browser cannot open this connection',
  silent: 'the server does not answer',
};
