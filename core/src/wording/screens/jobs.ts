import type { Shown } from './shown.ts';

export const chosenBarWords = {
  export: 'Export',
  tag: 'Tag…',
  unarchive: 'Move out of the archive',
  archive: 'Archive',
  delete: 'Delete',
  none: 'None',
  tags: 'Tags',
  tagsLabel: 'Tags, separated by commas',
  harbourFleet2: 'harbour, fleet 2',
  tagsHelp: (tags: Shown): string =>
    `They are added to the tags of the checks, ${tags} at most. “-harbour” removes a tag.`,
  setTags: 'Set tags',
};

export const importFilesWords = {
  importFiles: 'Import checks',
  chooseThem: 'Choose the files of checks that were exported here or on another device.',
  importFile: 'Choose files…',
  importCheckFiles: 'Import check files',
  added: (name: Shown): string => `${name}: added.`,
  notSaved: (name: Shown): string =>
    `${name}: the browser’s storage is full or blocked. Free some space, then try again.`,
  notOpened: (name: Shown, openFault: Shown): string => `${name}: not opened. ${openFault}`,
};

export const jobActsWords = {
  report: 'Report',
  more: 'More ▾',
  moreFor: (name: Shown): string => `More for ${name}`,
  copy: 'Copy',
  newLikeThis: 'New check like this',
  newRecurrence: 'Fault came back: new check',
  export: 'Export',
  unarchive: 'Move out of the archive',
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
  searchHint: 'Machine, sensor, code, part',
  fewer: 'Less',
  narrow: 'Filter',
  field: 'Field',
  state: 'State',
  decided: 'Decided',
  tag: 'Tag',
  due: 'due',
  archive: 'archive',
  everyTag: 'any tag',
  everyField: 'any field',
  engines: 'engines',
  climate: 'climate',
  boilers: 'boilers',
  everyState: 'any state',
  everyDecision: 'any decision',
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
  notSaved: '◆ not saved: only in this window',
  temporaryFitted: '◆ temporary replacement still fitted',
  engine: 'Engine',
  climate: 'Climate',
  boiler: 'Boiler',
};

export const jobsScreenWords = {
  checks: 'Checks',
  newCheck: 'New check',
  receive: 'Receive from another device',
  more: '⋯',
  moreMenu: 'More',
  importFiles: 'Import files…',
  chooseAll: 'Choose all shown',
  safeKeeping: 'Backup',
  demoWorkshop: 'Demo workshop',
  myOwnChecks: 'My own checks',
  whatIsDue: 'What is due',
  updateReady: 'An update is ready. The page reloads with it. What you entered stays.',
  takeItNow: 'Update now',
  updateFailed: 'The update could not be fetched. The program works as before.',
  later: 'Later',
  backUp: 'Back up',
  makeRoom: 'Delete or export a check first.',
  onlyInWindow: 'What you enter is only in this window. Export it.',
  tryAgain: 'Try again',
  close: 'Close',
  undo: 'Undo',
  damagedTitle: 'Saved, but cannot be opened',
  exportDamaged: 'Export as it is',
};

export const noJobsWords = {
  noMatch: 'No checks match.',
  showAll: 'Show all',
  title: 'Sensor, supply or wiring?',
  fourFigures: 'Four figures are enough for a verdict:',
  figureTemperature: 'the temperature beside the sensor, from another thermometer',
  figureOhms: 'the sensor resistance, unplugged',
  figureUnplugged: 'the signal voltage, unplugged',
  figurePluggedIn: 'the signal voltage, plugged in',
  anyOrder:
    'Enter them in any order. After each one the verdict says what is suspect, how sure it is, and what to measure next.',
  storedHere: 'Checks are saved in this browser and nowhere else. Export them to have a copy.',
  startFirst: 'Start the first check',
  startWithTour: 'Start with a tour',
  openDemo: 'Look around the demo workshop first',
};

export const jobFactsWords = {
  measuring: '○ measuring',
  decided: '◐ decided',
  repaired: '◐ repaired',
  closed: '● closed',
  withoutProof: (state: Shown): string => `${state}, not verified`,
};

export const jobsStoreWords = {
  copy: 'Copy',
  copyOf: (title: Shown): string => `${title} (copy)`,
};
