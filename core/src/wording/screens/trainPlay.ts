import type { Shown } from './shown.ts';

export const beliefFormWords = {
  label: 'I think it is',
  aGroup: 'a group',
  howSure: 'How sure',
  saySo: 'Record my estimate',
  eachByItself: 'Each group',
  sayThese: 'Record these',
};

export const caseHeadWords = {
  clockAndPurse: 'Time and cost',
  ofMin: (minutes: Shown): string => `of ${minutes} min`,
  ofCost: (money: Shown): string => `of ${money} cost`,
};

export const modeChoiceWords = {
  theToolsVerdict: 'The tool’s verdict',
  toolHidden: 'tool hidden',
  answers: 'tool answers your estimate',
  toolShown: 'tool shown',
};

export const playScreenWords = {
  training: 'Training',
  trainingCase: 'Training case',
  opening: 'Opening…',
  missing: 'This case is not here. It was removed, or played in another browser.',
};

export const plugFaceWords = {
  plugWithCavities: (cavities: Shown): string => `Plug with cavities ${cavities}`,
  acrossLabel: (cavities: Shown, across: Shown): string => `Plug with cavities ${cavities}, something across ${across}`,
  live: 'live',
};

export const practiceBenchWords = {
  training: 'Training',
  case: (number: Shown): string => `Case ${number}`,
};

export const practicePanelWords = {
  theCase: 'The case',
  stopped: (failed: Shown): string => `The training stopped: ${failed}`,
  do: 'Do',
  inspect: (look: Shown): string => `Inspect · ${look} min`,
  diagramMin: (diagram: Shown): string => `Diagram · ${diagram} min`,
  warmItMin: (warm: Shown): string => `Warm it · ${warm} min`,
  pullWatchMin: (at: Shown, minutes: Shown): string => `Unplug ${at}, watch · ${minutes} min`,
  hotCaution: 'Hot now: keep hands and sleeves clear of fans. Open nothing hot.',
  plug: (cavitiesText: Shown): string => `Plug: ${cavitiesText}.`,
  estimateTitle: 'What do you think?',
  theToolHeld: 'The tool’s estimate was',
  theToolSays: 'The tool says',
  itWouldMeasure: (proposed: Shown): string => `It suggests: ${proposed}.`,
  act: 'Act',
  repairLabel: 'what you do about it',
  because: 'because',
  doIt: 'Do it',
  undecidable: 'This kit cannot decide it',
  giveUp: 'Give up',
  whatHappened: 'What happened',
  nothingYet: 'Nothing yet.',
  handOver: 'hand it over: nothing wrong now',
  putRight: (groupName: Shown): string => `repair: ${groupName}`,
};

export const probeEntryWords = {
  notMeasured: 'not measured',
  nothingSteady: 'it shows no steady value',
  howItStands: 'Set-up',
  key: 'Key',
  atPlug: 'At plug',
  thePlug: 'The plug',
  across: 'Across',
  acrossCavities: 'Across cavities',
  while: 'While',
  metersRange: 'Meter’s range',
  waited: 'waited until it was steady',
  iExpect: 'I expect',
  probe: 'Probe',
  withResistor: 'with resistor',
  waterAt: 'water at',
  airAt: 'air at',
  off: 'off',
  on: 'on',
  resistorInIt: 'resistor in it',
  asFound: 'as found',
  harnessMoved: 'wiggling',
  seated: 'plugged in',
  pulled: 'unplugged',
  bridged: 'jumpered',
  hot: 'hot',
  automatic: 'automatic',
};
