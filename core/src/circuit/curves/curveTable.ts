import Papa from 'papaparse';
import { type CurveModel, toleranceAt } from './curveModel.ts';

/** One line of a printed table: °C, Ω nominal and at the limits of the tolerance. */
export interface TableLine {
  temperatureC: number;
  resistanceOhm: number;
  lowOhm: number;
  highOhm: number;
}

/** The curve at even steps within its range and the wanted one. At most 1000 lines. */
export function curveTable(model: CurveModel, fromC: number, toC: number, stepC: number): TableLine[] {
  const [low, high] = [Math.max(fromC, model.minC), Math.min(toC, model.maxC)];
  const lines: TableLine[] = [];
  if (!(stepC > 0)) return lines;
  for (let k = Math.ceil(low / stepC - 1e-9); k * stepC <= high + 1e-9 && lines.length < 1000; k++) {
    const temperatureC = Number((k * stepC).toFixed(6));
    const resistanceOhm = model.resistanceOhm(temperatureC);
    // Limits of 2 σ.
    const share = 2 * Math.hypot(toleranceAt(model, temperatureC), model.formErrorLog(temperatureC));
    lines.push({
      temperatureC,
      resistanceOhm,
      lowOhm: resistanceOhm * Math.exp(-share),
      highOhm: resistanceOhm * Math.exp(share),
    });
  }
  return lines;
}

/** A table as CSV (RFC 4180), units in the header, decimal point. */
export function curveCsv(lines: readonly TableLine[]): string {
  const figures = (x: number): string => String(Number(x.toPrecision(6)));
  const rows = lines.map((l) => ({
    'temperature (°C)': l.temperatureC,
    'resistance (Ω)': figures(l.resistanceOhm),
    'min (Ω)': figures(l.lowOhm),
    'max (Ω)': figures(l.highOhm),
  }));
  return `${Papa.unparse(rows, { newline: '\r\n' })}\r\n`;
}
