import type { Shown } from './shown.ts';

export const evidenceTableWords = {
  title: 'Measured ❙ against what each suspect predicts',
  tableName: 'Measured against what each suspect predicts',
  doubtful: '◆ doubtful',
  healthyColumn: 'if nothing is wrong',
  reading: 'Reading',
};

export const jobProgressWords = {
  label: 'Progress of the job',
  done: 'Done',
  afterTheRepair: 'After the repair',
  seeTheProof: 'See the verification',
  toTheProof: 'Verify the repair',
};

export const nextTestWords = {
  nextTest: 'Suggested next test',
  enoughMeasured: 'Enough measured',
  nothingSeparatesThem: 'No test at hand separates what is left',
  nothingLeft:
    'No further test would tell much more. Repair, then repeat the readings: every one must be within range.',
  next: (schoolNext: Shown): string => `Next: ${schoolNext}`,
  bySchool: (name: Shown, name2: Shown, minutesText: Shown): string =>
    `By “${name}”. Most informative now: ${name2} (${minutesText}).`,
  firstUnderWhere: (first: Shown): string => `First, under “Locate the fault”: ${first}.`,
  or: 'or',
  wouldTell: (nameOf: Shown): string => `${nameOf} would separate them.`,
  noneSeparates: 'No test at hand separates them.',
  notSeparated: (list: Shown, how: Shown): string => `Not separated yet: ${list}. ${how}`,
};

export const verdictPanelWords = {
  verdict: 'Verdict',
  earlier: (title: Shown): string => `Earlier: ${title}`,
  down: 'down ▾',
  why: 'why ▴',
  failure: (failure: Shown): string => `${failure} What you entered is saved.`,
  noVerdict: 'No verdict for these figures.',
  earlierBelow: 'The verdict below belongs to earlier figures.',
  computeAgain: 'Compute again',
  computing: 'Computing…',
  beforeRepair: 'What was suspected before the repair',
  earlierTitle: 'Verdict for earlier figures',
  verdictSoFar: 'Verdict so far',
  whyInFigures: 'Why, in figures',
  where: 'Place:',
  theLoom: 'Harness',
  decided: (groupName: Shown): string => `Decided: ${groupName}.`,
  incompleteTitle: 'The circuit is not complete',
  incompleteHelp: 'Fill in the fields marked ✕ in the quick check or under More…. The readings are saved.',
  beforeAnyReading: 'before any reading',
  inDoubt: 'in doubt',
  noCurveNear: 'Curve not known: no saved curve is near these readings.',
  possibleCurves: (list: Shown): string => `Curve not known. Still possible: ${list}.`,
  computationStopped: (message: Shown): string => `The computation did not end (${message}) and was stopped.`,
  computationFailed: (message: Shown): string => `The computation could not start or stopped: ${message}.`,
  theComputationFailed: (message: Shown): string => `The computation failed: ${message}.`,
  open: 'open',
  likely: 'likely',
  firm: 'firm',
  fitsSoFar: 'everything measured fits',
};

export const whyDrawerWords = {
  title: 'The verdict in figures',
  readingWeights: 'How much each reading matters',
  noReadingYet: 'No reading yet.',
  computingWeights: 'Computing without each reading…',
  courseTitle: 'How the verdict changed, reading by reading',
  courseChart: 'How the verdict changed, reading by reading',
  everyFault: 'Every fault',
  findingsNote:
    'Findings, codes and complaint count together at most as one careful measurement (30 to 1). Corrosion and several codes may come from one drip.',
  leaveThemOut: 'Leave them out',
  together: (moved: Shown, together: Shown): string => `${moved}; together × ${together}`,
  yourFactorOn: (name: Shown): string => `Your factor for ${name}`,
  beforeNote:
    '“before” is the default weight with codes, complaint, history and findings. Those factors are common practice without a source. “now” adds every reading.',
  incomplete: 'The circuit is not complete.',
  fault: 'Fault',
  before: 'before',
  now: 'now',
  yourFactor: 'your factor',
};

export const courseFigureWords = {
  probabilityPercent: 'Probability, %',
  before: 'before',
};
