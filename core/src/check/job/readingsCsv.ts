import Papa from 'papaparse';
import { FORMULA_CELL } from '../../base/records/formulaCell.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import type { Job } from './jobSchema.ts';
import { AS_FOUND } from './moments.ts';

/**
 * The readings of a job as CSV (RFC 4180, CRLF, header with units, decimal point). Cells that a spreadsheet would run as a formula are
 * preceded by an apostrophe. OL is written as such.
 */
export function readingsCsv(job: Job): string {
  const rows = [
    // The first says what the machine was found at, and is always there.
    ...job.moments
      .filter((m) => m.id === AS_FOUND || m.temperatureC.text.trim() !== '')
      .map(({ id, state, temperatureC }) => ({
        measurement: 'thermometer',
        name: id === AS_FOUND ? 'Thermometer beside the sensor' : `Thermometer beside the sensor, ${id}`,
        typed: temperatureC.text,
        value: temperatureC.value ?? '',
        unit: '°C',
        ...noConditions(state),
        note: '',
        moment: id,
      })),
    ...job.readings.map((r) => {
      const m = measurementById(r.measurement);
      return {
        measurement: r.measurement,
        name: m.title,
        typed: r.text,
        value: r.value ?? '',
        unit: { volts: 'V', ohms: 'Ω', celsius: '°C' }[m.quantity],
        state: r.state,
        'substitute (Ω)': r.conditions.substituteOhm?.value ?? '',
        'bath (°C)': r.conditions.bathC?.value ?? '',
        'air (°C)': r.conditions.airC?.value ?? '',
        wire: r.conditions.wire ?? '',
        connector: r.conditions.position ?? '',
        taken: r.takenAt ?? '',
        voided: r.voided?.reason ?? '',
        note: r.note,
        moment: r.moment,
      };
    }),
  ];
  return `${Papa.unparse(rows, { newline: '\r\n', escapeFormulae: FORMULA_CELL })}\r\n`;
}

function noConditions(state: string): Record<string, string> {
  return {
    state,
    'substitute (Ω)': '',
    'bath (°C)': '',
    'air (°C)': '',
    wire: '',
    connector: '',
    taken: '',
    voided: '',
  };
}
