import type { AxisFault } from '../intake/picture/diagram.ts';
import type { PictureDoubt } from '../intake/picture/pictureTable.ts';

/** Why a figure read from a picture must be looked at. */
export const DOUBT_TEXTS: Record<PictureDoubt, string> = {
  unclear: 'not clear',
  'no-figure': 'no figure read',
  'out-of-step': 'out of step with its neighbours',
  'off-the-curve': 'off the curve of the others',
};

/** What is wrong with the known places of an axis. */
export function axisFaultText(fault: AxisFault, axis: 'across' | 'up'): string {
  const which = axis === 'across' ? 'temperature' : 'resistance';
  switch (fault) {
    case 'too-close':
      return `The two places on the axis of ${which} are too close. Set them far apart.`;
    case 'same-value':
      return `Both places on the axis of ${which} have one value.`;
    case 'not-positive':
      return `A logarithmic axis of ${which} has no zero and nothing below it.`;
  }
}
