import type { Shown } from './shown.ts';

export const paperWords = {
  report: 'Report',
  inPlainWords: 'For you',
  detailTitle: 'The check in detail',
  photos: 'Photos',
  cautions: 'Cautions',
};

export const reportSheetWords = {
  bench: '‹ Check',
  fileLabel: 'The report as a file',
  pages: 'Pages',
  paper: 'Paper',
  making: 'Creating…',
  share: 'Share…',
  pdf: 'PDF',
  html: 'HTML',
  print: 'Print',
  fileFailed: (fault: Shown): string => `The file could not be created: ${fault}. Use Print instead.`,
  noVerdict: (message: Shown): string => `No verdict for these figures: ${message}. The report has none.`,
  computeAgain: 'Compute again',
  letter: 'Letter',
  bothPages: 'both pages',
  forTheCustomer: 'for the customer',
  technical: 'technical',
  resistanceAgainstTemperature: 'Resistance against temperature',
  voltageAgainstTemperature: 'Voltage against temperature',
};

export const reportPdfWords = {
  subject: 'Check of a temperature sensor circuit',
};
