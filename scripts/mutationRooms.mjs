/**
 * Rooms whose tests are held against mutants, each with fast tests of its own: what is mutated, and which test files must kill it. Long
 * comparisons (ngspice, studies, whole screens, browsers) are left out: a room is to be held by its own tests.
 */
export const ROOMS = {
  session: {
    mutate: ['web/src/session/*.ts', '!web/src/session/*.test.ts'],
    // The thousand interleavings are a long comparison of their own.
    tests: ['record', 'history', 'verdict', 'bench'].map((name) => `web/src/session/${name}.test.ts`),
  },
  storage: {
    mutate: ['web/src/storage/*.ts', '!web/src/storage/*.test.ts'],
    tests: ['web/src/storage/*.test.ts'],
  },
  job: {
    mutate: ['core/src/job/*.ts', 'core/src/job/migrations/*.ts', '!core/src/job/*.test.ts'],
    tests: ['core/src/job/*.test.ts'],
  },
  records: {
    mutate: ['core/src/records/*.ts', '!core/src/records/*.test.ts'],
    tests: ['core/src/records/*.test.ts'],
  },
  model: {
    mutate: ['core/src/model/*.ts', '!core/src/model/*.test.ts'],
    tests: ['core/src/model/*.test.ts'],
  },
  inference: {
    mutate: ['core/src/inference/*.ts', '!core/src/inference/*.test.ts'],
    tests: ['core/src/inference/evidence.test.ts', 'core/src/inference/parts.test.ts'],
  },
  verdict: {
    mutate: ['core/src/verdict/*.ts', '!core/src/verdict/*.test.ts'],
    tests: ['core/src/verdict/assessment.test.ts', 'core/src/verdict/chartLines.test.ts'],
  },
  advice: {
    mutate: ['core/src/advice/*.ts', '!core/src/advice/*.test.ts'],
    tests: ['core/src/advice/*.test.ts'],
  },
};
