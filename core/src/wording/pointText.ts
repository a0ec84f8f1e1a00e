import { MAX_POINTS, type PointFault } from '../intake/pointTable/readPoints.ts';

/** What is wrong with a line of a table, in one short line. */
export function pointFaultText({ reason, text }: PointFault): string {
  const quoted = text === '' ? '' : ` “${text}”`;
  switch (reason) {
    case 'no-rows':
      return 'No rows: a temperature and a resistance on each line.';
    case 'too-many':
      return `Too many: ${text}, at most ${MAX_POINTS}. Thin it out: every 5 °C is plenty.`;
    case 'one-column':
      return `Two columns are needed, temperature and resistance:${quoted}.`;
    case 'no-resistance':
      return `No column of resistances among${quoted || ' these'}. Say below which one it is.`;
    case 'not-a-temperature':
      return `No temperature that can be read:${quoted}.`;
    case 'not-a-resistance':
      return `No resistance that can be read:${quoted}.`;
    case 'limits-swapped':
      return `Min must be below and max above the nominal value:${quoted}.`;
    case 'same-temperature':
      return `This temperature is listed twice: ${text}.`;
  }
}
