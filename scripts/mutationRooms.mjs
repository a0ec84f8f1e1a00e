/**
 * Rooms whose tests are held against mutants, each with fast tests of its own: what is mutated, and which test files must kill it. Long
 * comparisons (ngspice, studies, whole screens, browsers, hundreds of broken files) are left out: a room is to be held by its own tests.
 */
const all = (room) => ({ mutate: [`${room}/*.ts`, `!${room}/*.test.ts`], tests: [`${room}/*.test.ts`] });
/** A room whose tests lie in other rooms. */
const heldBy = (room, ...tests) => ({ ...all(`core/src/${room}`), tests: tests.map((t) => `core/src/${t}.test.ts`) });
const session = (names, tests) => ({
  mutate: names.map((name) => `web/src/session/${name}.ts`),
  tests: tests.map((name) => `web/src/session/${name}.test.ts`),
});

/** Each room in one or more parts. The thousand interleavings are a long comparison of their own and are left out. */
export const ROOMS = {
  session: [
    session(['record', 'stream'], ['record']),
    session(['history'], ['history']),
    session(['verdict'], ['verdict']),
    session(['readings', 'readingView', 'unsent'], ['readings']),
    session(['workOrder'], ['workOrder']),
    session(['bench', 'jobSession', 'kit', 'draft', 'curves'], ['bench']),
  ],
  storage: [all('web/src/storage')],
  job: [
    {
      mutate: ['core/src/job/*.ts', '!core/src/job/*.test.ts', 'core/src/job/migrations/*.ts'],
      tests: ['core/src/job/job.test.ts', 'core/src/job/workflow.test.ts', 'core/src/job/checkJob.test.ts'],
    },
  ],
  loom: [all('core/src/loom')],
  place: [all('core/src/place')],
  plan: [all('core/src/plan')],
  records: [all('core/src/records')],
  register: [all('core/src/register')],
  experience: [all('core/src/experience')],
  sharing: [all('core/src/sharing')],
  trend: [all('core/src/trend')],
  model: [
    {
      mutate: ['core/src/model/*.ts', '!core/src/model/*.test.ts'],
      tests: [
        'core/src/model/byHand.test.ts',
        'core/src/model/codeFactors.test.ts',
        'core/src/inference/measure.test.ts',
      ],
    },
  ],
  inference: [
    {
      mutate: ['core/src/inference/*.ts', '!core/src/inference/*.test.ts'],
      tests: [
        'inference/parts',
        'inference/evidence',
        'inference/measure',
        'inference/hardCases',
        'advice/twoFaults',
      ].map((name) => `core/src/${name}.test.ts`),
    },
  ],
  verdict: [
    {
      ...all('core/src/verdict'),
      // The yard and whatever is typed are long comparisons.
      tests: ['assessment', 'chartLines', 'course', 'details', 'doubt', 'possibleCurves', 'withoutReading'].map(
        (name) => `core/src/verdict/${name}.test.ts`,
      ),
    },
  ],
  advice: [all('core/src/advice')],
  pointTable: [all('core/src/pointTable')],
  numeric: [all('core/src/numeric')],
  units: [all('core/src/units')],
  curves: [all('core/src/curves')],
  circuit: [all('core/src/circuit')],
  faults: [all('core/src/faults')],
  measurements: [all('core/src/measurements')],
  catalogue: [all('core/src/catalogue')],
  kit: [all('core/src/kit')],
  baths: [all('core/src/baths')],
  divider: [all('core/src/divider')],
  comparing: [heldBy('comparing', 'comparing/comparePairs', 'job/workflow')],
  judging: [heldBy('judging', 'judging/judgeResistance', 'divider/divider')],
  identify: [all('core/src/identify')],
  instruments: [all('core/src/instruments')],
  logs: [all('core/src/logs')],
  simulation: [
    heldBy('simulation', 'simulation/drawn', 'simulation/frozen', 'inference/measure'),
    all('core/src/simulation/machine'),
  ],
  workOrder: [heldBy('workOrder', 'job/workflow')],
  rightSensor: [heldBy('rightSensor', 'rightSensor/identifyPlugs')],
  proof: [heldBy('proof', 'job/workflow')],
  training: [
    {
      mutate: ['caseNumber', 'exam', 'handRules', 'playsFile', 'progress', 'schoolFollowed', 'setUp', 'slips'].map(
        (name) => `core/src/training/${name}.ts`,
      ),
      tests: ['core/src/training/rules.test.ts'],
    },
  ],
  // The rest of training: the case and what is shown on it, and whole plays, which take half a minute a mutant.
  trainingPlays: [
    {
      mutate: ['caseMeter', 'play', 'playRecord', 'trainingCase', 'trueMachine'].map(
        (name) => `core/src/training/${name}.ts`,
      ),
      tests: ['core/src/training/frozen.test.ts', 'core/src/training/rules.test.ts'],
    },
    {
      mutate: ['policies', 'ruleOfThumb', 'score'].map((name) => `core/src/training/${name}.ts`),
      tests: ['core/src/training/score.test.ts', 'core/src/training/rules.test.ts'],
    },
  ],
  wording: [all('core/src/wording')],
  report: [all('core/src/report')],
  picture: [all('core/src/picture')],
};
