import Papa from 'papaparse';
import { FORMULA_CELL } from '../../base/records/formulaCell.ts';
import type { Quantity } from '../../base/units/quantity.ts';
import { indexAt, type Log } from './log.ts';
import { MARKS_APART, markToText } from './markText.ts';

const UNIT: Record<Quantity, string> = { celsius: '°C', volts: 'V', ohms: 'Ω' };

/** A log as CSV (RFC 4180): seconds, a column a channel with its unit in the heading, and the marks. Reads back as it was. */
export function logToCsv({ timeS, channels, marks }: Log): string {
  const heads = ['time [s]', ...channels.map((c) => `${c.name} [${UNIT[c.quantity]}]`), 'mark'];
  const told = new Map<number, string[]>();
  const put = (atS: number, text: string): void => {
    // The row at or after it, for a mark has no row of its own.
    const row = Math.min(indexAt(timeS, atS - 1e-9), timeS.length - 1);
    told.set(row, [...(told.get(row) ?? []), text]);
  };
  for (const m of marks) {
    put(m.fromS, markToText(m, 'begin'));
    if (m.toS !== null && m.kind !== 'note') put(m.toS, markToText(m, 'end'));
  }
  const rows: string[][] = [heads];
  for (let i = 0; i < timeS.length; i++) {
    const cells = channels.map(({ values }) => figure(values[i]));
    rows.push([figure(timeS[i]), ...cells, (told.get(i) ?? []).join(MARKS_APART)]);
  }
  return `${Papa.unparse(rows, { newline: '\r\n', escapeFormulae: FORMULA_CELL })}\r\n`;
}

/** Shortest figure that reads back within a millionth. */
function figure(v: number): string {
  if (Number.isNaN(v)) return '';
  return v === Infinity ? 'OL' : String(Number(v.toPrecision(9)));
}
