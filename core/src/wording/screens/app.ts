import type { Shown } from './shown.ts';

export const appWords = {
  somethingWentWrongWhatYouTyped: (failure: Shown): string =>
    `Something went wrong: ${failure} What you entered is saved.`,
  openingTheChecks: 'Opening the checks …',
  close: 'Close',
  thatPartOfThePageCould:
    'This part of the page could not be loaded. The server does not answer or was updated. What you entered is saved.',
  loadThePageAgain: 'Reload the page',
};
