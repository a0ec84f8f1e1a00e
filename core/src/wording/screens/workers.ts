import type { Shown } from './shown.ts';

export const workerWords = {
  engineFailed: 'the engine could not be loaded',
  noAnswerWithin: (seconds: Shown): string => `no answer within ${seconds} s`,
  logReaderFailed: 'the reader of logs could not be loaded',
  readerFailed: 'the reader could not be loaded',
  trainingFailed: 'the training bench could not be loaded',
};
