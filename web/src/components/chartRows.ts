import { chartRowsWords as say } from '@mellow-probe/core/wording/screens/components';
import type { Data } from 'plotly.js-dist-min';
import { significant } from '@mellow-probe/core/base/units/writing';

/** One point of a chart as a line of its table. */
export interface ChartRow {
  line: string;
  x: string;
  y: string;
}

/** Four figures are what a chart shows of a value. */
function shown(value: unknown): string {
  if (typeof value !== 'number') return typeof value === 'string' ? value : '';
  return significant(value, 4);
}

/** Every point that a chart draws, line by line; a line without a name is counted. */
export function chartRows(data: readonly Data[]): ChartRow[] {
  return data.flatMap((trace, i) => {
    const { x, y, name } = trace as { x?: ArrayLike<unknown>; y?: ArrayLike<unknown>; name?: string };
    const count = Math.min(x?.length ?? 0, y?.length ?? 0);
    const line = name?.replace(/<[^>]*>/g, '') || say.line(i + 1);
    return Array.from({ length: count }, (_, k) => ({ line, x: shown(x![k]), y: shown(y![k]) })).filter(
      (row) => row.x !== '' && row.y !== '' && row.y !== 'NaN',
    );
  });
}
