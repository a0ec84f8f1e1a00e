import type { FitForm } from '../circuit/curves/fitCurve.ts';
import { fixed } from '../base/units/writing.ts';

/** The forms of a fit, as in a list. */
export const FORM_NAMES: Record<FitForm, string> = {
  beta: 'R25 and B',
  'steinhart-hart': 'Steinhart–Hart',
  'steinhart-hart-4': 'Steinhart–Hart, four terms',
  nickel: 'nickel',
  platinum: 'platinum (Callendar–Van Dusen)',
  table: 'the table itself',
};

/** What a form misses, short: at its own rows, and at rows that were left out of the fit. */
export function missText({ worstK, leftOutK }: { worstK: number; leftOutK: number }): string {
  return Number.isNaN(leftOutK)
    ? `${fixed(worstK, 2)} K at its own rows, none of which can be left out`
    : `${fixed(leftOutK, 2)} K at left-out rows`;
}
