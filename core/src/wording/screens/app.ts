import type { Shown } from './shown.ts';

export const appWords = {
  failure: (failure: Shown): string => `Something went wrong: ${failure} What you entered is saved.`,
  openingTheChecks: 'Opening the checks …',
  close: 'Close',
  partNotLoaded:
    'This part of the page could not be loaded. The server does not answer or was updated. What you entered is saved.',
  reload: 'Reload the page',
};

/** Titles of the screens, for the window and the browser's history. */
export const screenTitleWords = {
  jobs: 'Checks',
  report: 'Report',
  'live-check': 'Live data',
  live: 'Live data',
  logs: 'Logs',
  play: 'Training case',
  step: 'Course',
  train: 'Training',
  'place-label': 'Label',
  place: 'Machine',
  logbook: 'Machines',
  take: 'Receive from another device',
  safe: 'Storage and backup',
  settings: 'Settings',
  guide: 'Guided check',
  card: 'Pocket card',
  shelf: 'Tools',
  bench: 'Check',
  missing: 'Page not found',
};

export const notFoundWords = {
  title: 'This page does not exist',
  checkTheAddress: (address: Shown): string =>
    `There is no page at ${address}. Check the address, or go to the nearest page.`,
  goTo: (title: Shown): string => `Go to ${title}`,
  allChecks: 'All checks',
};
