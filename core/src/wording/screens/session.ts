import type { Shown } from './shown.ts';

export const keptPictureWords = {
  tooLarge: (size: Shown): string => `${size} MB is too large for a picture. Use a smaller one.`,
  unreadable: 'The browser cannot read this as a picture. Use JPEG or PNG.',
  notSaved: 'The browser’s storage is full or blocked. The picture stays until you leave the page.',
};

export const practiceWords = {
  unusableNumber: (number: Shown): string => `This case number cannot be used: ${number}.`,
};

export const readingViewWords = {
  low: 'Low',
  high: 'High',
};
