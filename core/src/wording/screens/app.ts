import type { Shown } from './shown.ts';

export const appWords = {
  somethingWentWrongWhatYouTyped: (failure: Shown): string =>
    `Something went wrong: ${failure} What you typed is kept.`,
  openingTheChecks: 'Opening the checks …',
  close: 'Close',
  thatPartOfThePageCould:
    'That part of the page could not be fetched: the server does not answer, or it has a newer version. What you typed is kept.',
  loadThePageAgain: 'Load the page again',
};
