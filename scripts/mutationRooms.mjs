import { readdirSync } from 'node:fs';

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

/** Folders of screens: what they compute, and the components that show it, are rooms of their own. */
const SCREENS = readdirSync('web/src/screens', { recursive: true, withFileTypes: true })
  .filter((entry) => entry.isDirectory())
  .map((entry) => `${entry.parentPath}/${entry.name}`);
const inScreens = (...patterns) =>
  SCREENS.flatMap((s) => patterns.map((p) => p.replace(/^!?/, (not) => `${not}${s}/`)));
const SCREEN_TESTS = ['web/src/screens/*.test.ts', ...inScreens('*.test.ts')];

/** Each room in one or more parts. The thousand interleavings are a long comparison of their own and are left out. */
export const ROOMS = {
  session: [
    all('web/src/session/record'),
    session(['history'], ['history']),
    session(['verdict', 'verdictState'], ['verdict', 'verdictState']),
    session(['readings', 'readingView', 'unsent'], ['readings']),
    session(['workOrder'], ['workOrder']),
    session(['bench', 'jobSession', 'kit', 'draft', 'curves'], ['bench']),
  ],
  stores: [all('web/src/data/stores/jobs'), all('web/src/data/stores/live')],
  screens: [{ mutate: inScreens('*.ts', '!*.test.ts'), tests: SCREEN_TESTS }],
  components: [{ mutate: inScreens('*.vue'), tests: SCREEN_TESTS }],
  storage: [all('web/src/data/storage'), all('web/src/data/backup')],
  job: [
    {
      mutate: ['core/src/check/job/*.ts', '!core/src/check/job/*.test.ts', 'core/src/check/job/migrations/*.ts'],
      tests: [
        'core/src/check/job/job.test.ts',
        'core/src/check/job/workflow.test.ts',
        'core/src/check/job/checkJob.test.ts',
      ],
    },
  ],
  harness: [all('core/src/circuit/harness')],
  place: [all('core/src/advice/place')],
  plan: [all('core/src/advice/plan')],
  records: [all('core/src/base/records')],
  register: [all('core/src/history/register')],
  experience: [all('core/src/history/experience')],
  sharing: [all('core/src/check/sharing')],
  trend: [all('core/src/history/trend')],
  model: [
    {
      mutate: ['core/src/inference/model/*.ts', '!core/src/inference/model/*.test.ts'],
      tests: [
        'core/src/inference/model/byHand.test.ts',
        'core/src/inference/model/codeFactors.test.ts',
        'core/src/inference/posterior/measure.test.ts',
      ],
    },
  ],
  inference: [
    {
      mutate: ['core/src/inference/posterior/*.ts', '!core/src/inference/posterior/*.test.ts'],
      tests: [
        'inference/posterior/parts',
        'inference/posterior/evidence',
        'inference/posterior/measure',
        'inference/posterior/hardCases',
        'advice/nextTest/twoFaults',
      ].map((name) => `core/src/${name}.test.ts`),
    },
  ],
  verdict: [
    {
      ...all('core/src/inference/verdict'),
      // The yard and whatever is typed are long comparisons.
      tests: ['assessment', 'chartLines', 'verdictCourse', 'details', 'doubt', 'possibleCurves', 'withoutReading'].map(
        (name) => `core/src/inference/verdict/${name}.test.ts`,
      ),
    },
  ],
  advice: [all('core/src/advice/nextTest')],
  pointTable: [all('core/src/intake/pointTable')],
  numeric: [all('core/src/base/numeric')],
  units: [all('core/src/base/units')],
  curves: [all('core/src/circuit/curves')],
  circuit: [all('core/src/circuit/network')],
  faults: [all('core/src/circuit/faults')],
  measurements: [all('core/src/circuit/measurements')],
  catalogue: [all('core/src/catalogue/parts')],
  kit: [all('core/src/catalogue/kit')],
  baths: [all('core/src/tools/baths')],
  divider: [all('core/src/tools/divider')],
  comparing: [heldBy('tools/comparing', 'tools/comparing/comparePairs', 'check/job/workflow')],
  judging: [heldBy('tools/judging', 'tools/judging/judgeResistance', 'tools/divider/divider')],
  identify: [all('core/src/tools/identify')],
  instruments: [all('core/src/intake/instruments')],
  logs: [all('core/src/intake/logs')],
  simulation: [
    heldBy(
      'training/simulation',
      'training/simulation/drawn',
      'training/simulation/frozen',
      'inference/posterior/measure',
    ),
    all('core/src/training/simulation/machine'),
  ],
  workOrder: [heldBy('advice/workOrder', 'check/job/workflow')],
  rightSensor: [heldBy('check/rightSensor', 'check/rightSensor/identifyPlugs')],
  proof: [heldBy('check/proof', 'check/job/workflow')],
  training: [
    {
      mutate: ['caseNumber', 'exam', 'handRules', 'playsFile', 'progress', 'schoolFollowed', 'setUp', 'slips'].map(
        (name) => `core/src/training/cases/${name}.ts`,
      ),
      tests: ['core/src/training/cases/rules.test.ts'],
    },
  ],
  // The rest of training: the case and what is shown on it, and whole plays, which take half a minute a mutant.
  trainingPlays: [
    {
      mutate: ['caseMeter', 'play', 'playRecord', 'trainingCase', 'trueMachine'].map(
        (name) => `core/src/training/cases/${name}.ts`,
      ),
      tests: ['core/src/training/cases/frozen.test.ts', 'core/src/training/cases/rules.test.ts'],
    },
    {
      mutate: ['policies', 'ruleOfThumb', 'score'].map((name) => `core/src/training/cases/${name}.ts`),
      tests: ['core/src/training/cases/score.test.ts', 'core/src/training/cases/rules.test.ts'],
    },
  ],
  wording: [all('core/src/wording')],
  report: [all('core/src/report')],
  picture: [all('core/src/intake/picture')],
};
