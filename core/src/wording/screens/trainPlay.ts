import type { Shown } from './shown.ts';

export const beliefFormWords = {
  iThinkItIs: 'I think it is',
  aGroup: 'a group',
  howSure: 'How sure',
  saySo: 'Say so',
  eachByItself: 'Each by itself',
  sayThese: 'Say these',
};

export const caseHeadWords = {
  clockAndPurse: 'Clock and purse',
  ofMin: (minutes: Shown): string => `of ${minutes} min`,
  ofCost: (money: Shown): string => `of ${money} cost`,
};

export const modeChoiceWords = {
  theToolsVerdict: 'The tool’s verdict',
  toolHidden: 'tool hidden',
  toolAnswersYourBet: 'tool answers your bet',
  toolShown: 'tool shown',
};

export const playScreenWords = {
  training: 'Training',
  trainingCase: 'Training case',
  opening: 'Opening…',
  thisCaseIsNotHereIt: 'This case is not here: it was removed, or played in another browser.',
};

export const plugFaceWords = {
  plugWithCavities: (cavities: Shown): string => `Plug with cavities ${cavities}`,
  plugWithSomethingAcross: (cavities: Shown, across: Shown): string =>
    `Plug with cavities ${cavities}, something across ${across}`,
  live: 'live',
};

export const practiceBenchWords = {
  training: 'Training',
  case: (number: Shown): string => `Case ${number}`,
};

export const practicePanelWords = {
  theCase: 'The case',
  theTrainingBenchBrokeOff: (failed: Shown): string => `The training bench broke off: ${failed}`,
  do: 'Do',
  lookAtItMin: (look: Shown): string => `Look at it · ${look} min`,
  diagramMin: (diagram: Shown): string => `Diagram · ${diagram} min`,
  warmItMin: (warm: Shown): string => `Warm it · ${warm} min`,
  pullWatchMin: (at: Shown, minutes: Shown): string => `Pull ${at}, watch · ${minutes} min`,
  hotNowHandsAndSleevesClear: 'Hot now: hands and sleeves clear of fans, nothing hot is opened.',
  plug: (cavitiesText: Shown): string => `Plug: ${cavitiesText}.`,
  whatDoYouThink: 'What do you think?',
  theToolHeld: 'The tool held',
  theToolSays: 'The tool says',
  itWouldMeasure: (proposed: Shown): string => `It would measure: ${proposed}.`,
  act: 'Act',
  whatIsDoneAboutIt: 'what is done about it',
  because: 'because',
  doIt: 'Do it',
  cannotBeToldWithThisKit: 'Cannot be told with this kit',
  giveUp: 'Give up',
  whatHappened: 'What happened',
  nothingYet: 'Nothing yet.',
  handItOverNothingWrongNow: 'hand it over: nothing wrong now',
  putRight: (groupName: Shown): string => `put right: ${groupName}`,
};

export const probeEntryWords = {
  notMeasured: 'not measured',
  nothingSteadyStandsOnIt: 'nothing steady stands on it',
  howItStands: 'How it stands',
  key: 'Key',
  atPlug: 'At plug',
  thePlug: 'The plug',
  across: 'Across',
  acrossCavities: 'Across cavities',
  while: 'While',
  metersRange: 'Meter’s range',
  leftAloneUntilItStoodStill: 'left alone until it stood still',
  iExpect: 'I expect',
  probe: 'Probe',
  withResistor: 'with resistor',
  waterAt: 'water at',
  airAt: 'air at',
  off: 'off',
  on: 'on',
  resistorInIt: 'resistor in it',
  asFound: 'as found',
  harnessMoved: 'loom moved',
  seated: 'seated',
  pulled: 'pulled',
  bridged: 'jumpered',
  hot: 'hot',
  automatic: 'automatic',
};
