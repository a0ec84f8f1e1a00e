import type { Shown } from './shown.ts';

export const chosenBarWords = {
  export: 'Export',
  tag: 'Tag…',
  takeOutOfTheArchive: 'Take out of the archive',
  archive: 'Archive',
  delete: 'Delete',
  none: 'None',
  tags: 'Tags',
  tagsApartByCommas: 'Tags, apart by commas',
  harbourFleet2: 'harbour, fleet 2',
  theyGoBesideThoseTheChecks: (tags: Shown): string =>
    `They go beside those the checks have, ${tags} at most. “-harbour” takes a tag off.`,
  setTags: 'Set tags',
};

export const importFilesWords = {
  importFile: 'Import file…',
  importCheckFiles: 'Import check files',
  added: (name: Shown): string => `${name}: added.`,
  theBrowsersStorageDoesNotTakeIt: (name: Shown): string => `${name}: the browser’s storage does not take it.`,
  notOpened: (name: Shown, openFault: Shown): string => `${name}: not opened. ${openFault}`,
};

export const jobActsWords = {
  report: 'Report',
  more: 'More ▾',
  moreFor: (name: Shown): string => `More for ${name}`,
  copy: 'Copy',
  newCheckLikeThis: 'New check like this',
  itCameBackNewCheck: 'It came back: new check',
  export: 'Export',
  takeOutOfTheArchive: 'Take out of the archive',
  archive: 'Archive',
  delete: 'Delete',
};

export const jobCardsWords = {
  chooseCheck: (name: Shown): string => `Choose ${name}`,
  choose: 'choose',
  more: (count: Shown): string => `${count} more`,
};

export const jobFiltersWords = {
  searchChecks: 'Search checks',
  machineSensorCodePart: 'Machine, sensor, code, part',
  fewer: 'Fewer',
  narrow: 'Narrow',
  field: 'Field',
  state: 'State',
  decided: 'Decided',
  tag: 'Tag',
  due: 'due',
  archive: 'archive',
  everyTag: 'every tag',
  everyField: 'every field',
  engines: 'engines',
  climate: 'climate',
  boilers: 'boilers',
  everyState: 'every state',
  everyDecision: 'every decision',
  undecided: 'undecided',
};

export const jobTableWords = {
  checks: 'Checks',
  machineAndSensor: 'Machine and sensor',
  decided: 'Decided',
  circuit: 'Circuit',
  readings: 'Readings',
  changed: 'Changed',
  actions: 'Actions',
};

export const jobWhatWords = {
  notKeptOnlyInThisWindow: '◆ not kept: only in this window',
  temporaryStandInStillFitted: '◆ temporary stand-in still fitted',
  engine: 'Engine',
  climate: 'Climate',
  boiler: 'Boiler',
};

export const jobsScreenWords = {
  logbook: 'Logbook',
  training: 'Training',
  liveValues: 'Live values',
  logs: 'Logs',
  checks: 'Checks',
  newCheck: 'New check',
  receive: 'Receive…',
  shelfCurvesDividersKit: 'Shelf: curves, dividers, kit',
  safeKeeping: 'Safe-keeping',
  demoWorkshop: 'Demo workshop',
  myOwnChecks: 'My own checks',
  whatIsDue: 'What is due',
  aNewerVersionLiesReadyThe: 'A newer version lies ready. The page opens anew with it; what was typed stays.',
  takeItNow: 'Take it now',
  later: 'Later',
  backUp: 'Back up',
  deleteOrExportACheckFirst: 'Delete or export a check first.',
  whatYouTypeLivesInThis: 'What you type lives in this window only: export it.',
  tryAgain: 'Try again',
  close: 'Close',
  undo: 'Undo',
  keptButCannotBeOpened: 'Kept, but cannot be opened',
  exportAsItIs: 'Export as it is',
};

export const noJobsWords = {
  noCheckIsLikeThis: 'No check is like this.',
  showAll: 'Show all',
  sensorSupplyOrWiring: 'Sensor, supply or wiring?',
  fourFiguresAreEnoughForAVerdict: 'Four figures are enough for a verdict:',
  theTemperatureBesideTheSensorBy: 'the temperature beside the sensor, by another thermometer',
  theSensorsOhmsUnplugged: 'the sensor’s ohms, unplugged',
  theVoltsAtThePlugUnplugged: 'the volts at the plug, unplugged',
  theVoltsAtThePlugPluggedIn: 'the volts at the plug, plugged in',
  typeThemInAnyOrderAfter:
    'Type them in any order. After each one the verdict says what is suspect, how surely, and what to measure next.',
  checksAreKeptInThisBrowser: 'Checks are kept in this browser and nowhere else. Export them to keep a copy.',
  startTheFirstCheck: 'Start the first check',
  startItWithATourOf: 'Start it with a tour of the bench',
  lookRoundTheDemoWorkshopFirst: 'Look round the demo workshop first',
};

export const jobFactsWords = {
  measuring: '○ measuring',
  decided: '◐ decided',
  repaired: '◐ repaired',
  closed: '● closed',
  withoutProof: (state: Shown): string => `${state}, no proof`,
};

export const jobsStoreWords = {
  copy: 'Copy',
  copyOf: (title: Shown): string => `${title} (copy)`,
};
