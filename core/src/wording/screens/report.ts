import type { Shown } from './shown.ts';

export const paperWords = {
  report: 'Report',
  inPlainWords: 'In plain words',
  theCheckInDetail: 'The check in detail',
  photos: 'Photos',
  cautions: 'Cautions',
};

export const reportSheetWords = {
  bench: '‹ Bench',
  theReportAsAFile: 'The report as a file',
  pages: 'Pages',
  paper: 'Paper',
  making: 'Making…',
  pdf: 'PDF',
  html: 'HTML',
  print: 'Print',
  theFileCouldNotBeMade: (fault: Shown): string => `The file could not be made: ${fault}. Print works without it.`,
  noVerdictOnTheseFiguresThe: (message: Shown): string =>
    `No verdict on these figures: ${message}. The report goes without one.`,
  computeAgain: 'Compute again',
  letter: 'Letter',
  bothPages: 'both pages',
  forTheCustomer: 'for the customer',
  technical: 'technical',
  resistanceAgainstTemperature: 'Resistance against temperature',
  voltageAgainstTemperature: 'Voltage against temperature',
};

export const reportPdfWords = {
  checkOfATemperatureSensorCircuit: 'Check of a temperature sensor circuit',
};
