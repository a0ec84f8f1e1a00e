import Papa from 'papaparse';
import { readFileSync } from 'node:fs';

/** The rows of a file of check values, as text by column. */
export function reference(name: string): Record<string, string>[] {
  const text = readFileSync(new URL(`../references/${name}`, import.meta.url), 'utf8');
  return Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;
}

/** (°C, Ω) points of one curve of a file, picked by the beginning of a column's text. */
export function referencePoints(
  name: string,
  column: string,
  beginning: string,
): { temperatureC: number; resistanceOhm: number }[] {
  return reference(name)
    .filter((row) => row[column].startsWith(beginning))
    .map((row) => ({ temperatureC: Number(row.temp_c), resistanceOhm: Number(row.ohm) }));
}
