import type { Shown } from './shown.ts';

export const workerWords = {
  theEngineCouldNotBeLoaded: 'the engine could not be loaded',
  noAnswerWithin: (seconds: Shown): string => `no answer within ${seconds} s`,
  theReaderOfLogsCouldNotBeLoaded: 'the reader of logs could not be loaded',
  theReaderCouldNotBeLoaded: 'the reader could not be loaded',
  theTrainingBenchCouldNotBeLoaded: 'the training bench could not be loaded',
};
