import type { Shown } from './shown.ts';

export const factTableWords = {
  choose: (name: Shown): string => `Choose ${name}`,
};

export const stepTourWords = {
  close: 'Close',
  begin: 'Start',
  next: 'Next',
  back: 'Back',
};
