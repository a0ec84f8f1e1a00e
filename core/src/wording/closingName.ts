import type { Closing } from '../base/units/vocabulary.ts';

const NAMES: Record<Closing, string> = { proved: 'verified', unproved: 'not verified' };

/** How a check was closed, beside its day. */
export const closingName = (how: Closing): string => NAMES[how];
