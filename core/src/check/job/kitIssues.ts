import { kitFigures } from '../../catalogue/kit/kitFigures.ts';
import type { Kit } from '../../catalogue/kit/kitSchema.ts';
import type { Issue } from './fieldIssue.ts';
import { readFigure } from './readFigure.ts';

/** Figures of a kit that cannot be; the generic ones are reckoned with in their place. Empty ones are none. */
export function kitIssues(kit: Kit): Issue[] {
  return kitFigures(kit).flatMap(({ path, entry, quantity, low, high }): Issue[] => {
    if (entry.text.trim() === '') return [];
    const read = readFigure(entry, quantity, low, high);
    return typeof read === 'number' ? [] : [{ path, issue: read }];
  });
}
