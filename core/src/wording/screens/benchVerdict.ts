import type { Shown } from './shown.ts';

export const evidenceTableWords = {
  measuredAgainstWhatEachSuspectPredicts: 'Measured ❙ against what each suspect predicts',
  tableName: 'Measured against what each suspect predicts',
  doubtful: '◆ doubtful',
  ifNothingWereWrong: 'if nothing is wrong',
  reading: 'Reading',
};

export const jobProgressWords = {
  progressOfTheJob: 'Progress of the job',
  done: 'Done',
  afterTheRepair: 'After the repair',
  seeTheProof: 'See the verification',
  toTheProof: 'Verify the repair',
};

export const nextTestWords = {
  nextTest: 'Suggested next test',
  enoughMeasured: 'Enough measured',
  nothingSeparatesThem: 'No test at hand separates what is left',
  noTestLeftWouldTellMuch:
    'No further test would tell much more. Repair, then repeat the readings: every one must be within range.',
  next: (schoolNext: Shown): string => `Next: ${schoolNext}`,
  byMostTellingNow: (name: Shown, name2: Shown, minutesText: Shown): string =>
    `By “${name}”. Most informative now: ${name2} (${minutesText}).`,
  firstUnderWhere: (first: Shown): string => `First, under “Locate the fault”: ${first}.`,
  or: 'or',
  wouldTell: (nameOf: Shown): string => `${nameOf} would separate them.`,
  noTestAtHandWouldTell: 'No test at hand separates them.',
  notToldApartYet: (list: Shown, how: Shown): string => `Not separated yet: ${list}. ${how}`,
};

export const verdictPanelWords = {
  verdict: 'Verdict',
  earlier: (title: Shown): string => `Earlier: ${title}`,
  down: 'down ▾',
  why: 'why ▴',
  whatYouTypedIsKept: (failure: Shown): string => `${failure} What you entered is saved.`,
  noVerdictOnTheseFigures: 'No verdict for these figures.',
  whatStandsBelowIsOfEarlierFigures: 'The verdict below belongs to earlier figures.',
  computeAgain: 'Compute again',
  computing: 'Computing…',
  whatWasSuspectedBeforeTheRepair: 'What was suspected before the repair',
  verdictOnEarlierFigures: 'Verdict for earlier figures',
  verdictSoFar: 'Verdict so far',
  whyInFigures: 'Why, in figures',
  where: 'Place:',
  theLoom: 'Harness',
  decided: (groupName: Shown): string => `Decided: ${groupName}.`,
  theCircuitIsNotComplete: 'The circuit is not complete',
  fillInTheFieldsMarkedIn: 'Fill in the fields marked ✕ in the quick check or under More…. The readings are saved.',
  beforeAnyReading: 'before any reading',
  inDoubt: 'in doubt',
  curveNotKnownNoneOfThe: 'Curve not known: no saved curve is near these readings.',
  curveNotKnownStillPossible: (list: Shown): string => `Curve not known. Still possible: ${list}.`,
  theComputationDidNotEndAnd: (message: Shown): string => `The computation did not end (${message}) and was stopped.`,
  theComputationCouldNotBeStarted: (message: Shown): string =>
    `The computation could not start or stopped: ${message}.`,
  theComputationFailed: (message: Shown): string => `The computation failed: ${message}.`,
  open: 'open',
  likely: 'likely',
  firm: 'firm',
  fitsSoFar: 'everything measured fits',
};

export const whyDrawerWords = {
  theVerdictInFigures: 'The verdict in figures',
  howMuchHangsOnEachReading: 'How much each reading matters',
  noReadingYet: 'No reading yet.',
  rankingAgainWithoutEachReading: 'Computing without each reading…',
  howItMovedReadingByReading: 'How the verdict changed, reading by reading',
  howTheVerdictMovedReadingByReading: 'How the verdict changed, reading by reading',
  everyFault: 'Every fault',
  whatIsSeenAndToldIs:
    'Findings, codes and complaint count together at most as one careful measurement (30 to 1). Corrosion and several codes may come from one drip.',
  leaveThemOut: 'Leave them out',
  together: (moved: Shown, together: Shown): string => `${moved}; together × ${together}`,
  yourFactorOn: (name: Shown): string => `Your factor for ${name}`,
  beforeIsTheDefaultWeightWith:
    '“before” is the default weight with codes, complaint, history and findings. Those factors are common practice without a source. “now” adds every reading.',
  theCircuitIsNotComplete: 'The circuit is not complete.',
  fault: 'Fault',
  before: 'before',
  now: 'now',
  yourFactor: 'your factor',
};

export const courseFigureWords = {
  probabilityPercent: 'Probability, %',
  before: 'before',
};
