import type { Shown } from './shown.ts';

export const evidenceTableWords = {
  measuredAgainstWhatEachSuspectPredicts: 'Measured ❙ against what each suspect predicts',
  tableName: 'Measured against what each suspect predicts',
  doubtful: '◆ doubtful',
  ifNothingWereWrong: 'if nothing were wrong',
  reading: 'Reading',
};

export const jobProgressWords = {
  progressOfTheJob: 'Progress of the job',
  done: 'Done',
  afterTheRepair: 'After the repair',
  seeTheProof: 'See the proof',
  toTheProof: 'To the proof',
};

export const nextTestWords = {
  nextTest: 'Next test',
  enoughMeasured: 'Enough measured',
  nothingSeparatesThem: 'No test at hand separates what is left',
  noTestLeftWouldTellMuch:
    'No test left would tell much more. Repair, then read again: the proof is every reading inside its healthy range.',
  ifYouDoubtIt: (list: Shown): string => `If you doubt it: ${list}`,
  next: (schoolNext: Shown): string => `Next: ${schoolNext}`,
  byMostTellingNow: (name: Shown, name2: Shown, minutesText: Shown): string =>
    `By “${name}”. Most telling now: ${name2} (${minutesText}).`,
  firstUnderWhere: (first: Shown): string => `First, under “Where”: ${first}.`,
  or: 'or',
  wouldTell: (nameOf: Shown): string => `${nameOf} would tell.`,
  noTestAtHandWouldTell: 'No test at hand would tell.',
  notToldApartYet: (list: Shown, how: Shown): string => `Not told apart yet: ${list}. ${how}`,
};

export const verdictPanelWords = {
  verdict: 'Verdict',
  earlier: (title: Shown): string => `Earlier: ${title}`,
  down: 'down ▾',
  why: 'why ▴',
  whatYouTypedIsKept: (failure: Shown): string => `${failure} What you typed is kept.`,
  noVerdictOnTheseFigures: 'No verdict on these figures.',
  whatStandsBelowIsOfEarlierFigures: 'What stands below is of earlier figures.',
  computeAgain: 'Compute again',
  computing: 'Computing…',
  whatWasSuspectedBeforeTheRepair: 'What was suspected before the repair',
  verdictOnEarlierFigures: 'Verdict on earlier figures',
  verdictSoFar: 'Verdict so far',
  whyInFigures: 'Why, in figures',
  where: 'Where:',
  theLoom: 'The loom',
  decided: (groupName: Shown): string => `Decided: ${groupName}.`,
  theCircuitIsNotComplete: 'The circuit is not complete',
  fillInTheFieldsMarkedIn: 'Fill in the fields marked ✕ in the quick check or under More…; the readings are kept.',
  beforeAnyReading: 'before any reading',
  inDoubt: 'in doubt',
  curveNotKnownNoneOfThe: 'Curve not known: none of the shelf lies near these readings.',
  curveNotKnownStillPossible: (list: Shown): string => `Curve not known. Still possible: ${list}.`,
  theComputationDidNotEndAnd: (message: Shown): string => `The computation did not end (${message}) and was stopped.`,
  theComputationCouldNotBeStarted: (message: Shown): string =>
    `The computation could not be started or broke off: ${message}.`,
  theComputationFailed: (message: Shown): string => `The computation failed: ${message}.`,
  open: 'open',
  likely: 'likely',
  firm: 'firm',
  fitsSoFar: 'everything measured fits',
};

export const whyDrawerWords = {
  theVerdictInFigures: 'The verdict in figures',
  howMuchHangsOnEachReading: 'How much hangs on each reading',
  noReadingYet: 'No reading yet.',
  rankingAgainWithoutEachReading: 'Ranking again without each reading…',
  howItMovedReadingByReading: 'How it moved, reading by reading',
  howTheVerdictMovedReadingByReading: 'How the verdict moved, reading by reading',
  everyFault: 'Every fault',
  whatIsSeenAndToldIs:
    'What is seen and told is pooled: all of it together weighs at most as one careful measurement (30 to 1), for corrosion, a code and several codes may speak of one drip.',
  leaveThemOut: 'Leave them out',
  together: (moved: Shown, together: Shown): string => `${moved}; together × ${together}`,
  yourFactorOn: (name: Shown): string => `Your factor on ${name}`,
  beforeIsTheDefaultWeightWith:
    '“before” is the default weight with codes, complaint, history and findings; those factors are common practice without a source. “now” adds every reading.',
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
