import type { Shown } from './shown.ts';

export const circuitDrawingWords = {
  label: 'The circuit as this test needs it',
  circuitDrawing: 'circuit drawing',
  module: 'Module',
  plug: 'plug',
  moduleUnplugged: 'module unplugged',
  thermometer: 'thermometer',
  batteryMinus: 'battery −',
  batteryPlus: 'battery +',
  atTheNeighbour: 'at the neighbour',
  red: 'red',
  black: 'black',
};

export const drawingOfWords = {
  suspect: (predicted: Shown): string => `suspect ${predicted}`,
  healthy: (healthy: Shown): string => `healthy ${healthy}`,
  suspectIs: (name: Shown): string => `suspect: ${name}`,
  suspectOfSize: (name: Shown, size: Shown): string => `suspect: ${name}, ${size}`,
};

export const harnessRunWords = {
  label: 'The harness, from the module to the sensor plug',
  change: (what: Shown): string => `${what}. Change`,
  run: 'run',
  voltsBefore: (volts: Shown): string => `volts before the fault, ${volts}`,
  beyondIt: (volts: Shown): string => `beyond it, ${volts}`,
};

export const harnessRowsWords = {
  min: (i: Shown): string => `${i} min`,
  pin: (list: Shown): string => `pin ${list}`,
};
