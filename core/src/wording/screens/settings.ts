import type { Shown } from './shown.ts';

export const settingsWords = {
  settings: 'Settings',
  parts: 'Parts of the settings',
  general: 'General',
  workshop: 'Workshop',
  instruments: 'My instruments',
  storage: 'Storage and backup',
  about: 'About',
};

export const generalPartWords = {
  temperatures: 'Temperatures',
  colours: 'Colours',
  light: 'light',
  dark: 'dark',
  asDevice: 'as on this device',
  decimalMark: 'Decimal mark',
  decimalAsDevice: (mark: Shown): string => `as on this device: 12${mark}5`,
  dateFormat: 'Date format',
  dateAsDevice: (day: Shown): string => `as on this device: ${day}`,
  newCheckOpens: 'A new check opens',
  guided: 'step by step',
  quickForm: 'as the quick form',
  byWidth: 'step by step on a phone',
};

export const workshopPartWords = {
  onEveryReport: 'Printed at the top of every report and under the signature line.',
};

export const instrumentsPartWords = {
  allOptional:
    'All fields are optional. An empty field means a common instrument. New checks start with a copy of these.',
};

export const aboutPartWords = {
  whatItDoes: 'Finds out whether a temperature sensor, its supply or its wiring is at fault, from your readings.',
  advises:
    'The tool advises. The maker’s data, local codes and the licensed technician decide. Work on cold systems only.',
  madeUp: 'The demo workshop shows every part with invented machines.',
  demoWorkshop: 'Open the demo workshop',
  ownChecks: 'Back to my own checks',
};
