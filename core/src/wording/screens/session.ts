import type { Shown } from './shown.ts';

export const keptPictureWords = {
  mbAreTooLargeForAPicture: (size: Shown): string => `${size} MB are too large for a picture.`,
  thisIsNoPictureThatThe: 'This is no picture that the browser can read.',
  theBrowsersStorageDoesNotTake: 'The browser’s storage does not take the picture: it stays until the page is left.',
};

export const practiceWords = {
  thisCaseNumberCannotBeUsed: (number: Shown): string => `This case number cannot be used: ${number}.`,
};

export const readingViewWords = {
  low: 'Low',
  high: 'High',
};
