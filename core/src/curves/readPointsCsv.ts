import Papa from 'papaparse';
import { parseReading } from '../units/parseReading.ts';
import type { TablePoint } from './table.ts';

export type PointsCsv = { ok: true; points: TablePoint[] } | { ok: false; line: number; reason: 'no-rows' | 'two-columns' | 'not-a-figure' | 'same-temperature'; text: string };

/** Most rows of a table of points. */
const MAX_ROWS = 100_000;

/**
 * Points of a curve from CSV: first column temperature, second resistance; comma, semicolon or tab; a header is recognised by having no
 * figures; °F in the header or behind a figure is converted. Rows come back in ascending temperature. The first bad line is named (from 1).
 */
export function readPointsCsv(text: string): PointsCsv {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: true, preview: MAX_ROWS + 1 });
  const header = data[0]?.every((cell) => !/\d/.test(cell)) || /[a-z]{3}/i.test(data[0]?.[0] ?? '') ? 1 : 0;
  const headText = header ? data[0] : [];
  const unit = /°?\s*F\b|fahrenheit/i.test(headText[0] ?? '') ? 'F' : 'C';
  const kilo = /kΩ|kohm/i.test(headText[1] ?? '') ? 1000 : 1;
  const points: TablePoint[] = [];
  for (let i = header; i < data.length; i++) {
    const row = data[i];
    const at = (reason: 'two-columns' | 'not-a-figure'): PointsCsv => ({ ok: false, line: i + 1, reason, text: row.join(',').slice(0, 80) });
    if (row.length < 2) return at('two-columns');
    const temperature = parseReading(row[0], 'celsius', { temperatureUnit: unit });
    const resistance = parseReading(row[1], 'ohms', { overload: false });
    if (!temperature.ok || !resistance.ok || !(resistance.value > 0)) return at('not-a-figure');
    points.push({ temperatureC: temperature.value, resistanceOhm: resistance.value * kilo });
  }
  if (points.length === 0) return { ok: false, line: 1, reason: 'no-rows', text: '' };
  const order = points.map((p, i) => ({ p, line: i + header + 1 })).sort((a, b) => a.p.temperatureC - b.p.temperatureC);
  const twin = order.findIndex(({ p }, i) => i > 0 && p.temperatureC === order[i - 1].p.temperatureC);
  if (twin > 0) return { ok: false, line: order[twin].line, reason: 'same-temperature', text: String(order[twin].p.temperatureC) };
  return { ok: true, points: order.map(({ p }) => p) };
}
