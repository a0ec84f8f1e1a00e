import { tableTextWords as say } from '@mellow-probe/core/wording/screens/tools';
import { readPoints } from '@mellow-probe/core/intake/pointTable/readPoints';
import { pointFaultText } from '@mellow-probe/core/wording/pointText';

/** Longest text the field takes: far more than a table needs, little enough that the page stays quick. */
export const MOST_TEXT = 200_000;

/** Why a text is too much for a table of points, in words; null where it is not. */
export function tooLongText(text: string): string | null {
  const [first] = readPoints(text).faults;
  if (first?.reason === 'too-many') return pointFaultText(first);
  return text.length > MOST_TEXT ? say.tooLarge((text.length / 1000).toFixed(0)) : null;
}
