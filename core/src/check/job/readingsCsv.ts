import Papa from 'papaparse';
import { FORMULA_CELL } from '../../base/records/formulaCell.ts';
import { measurementById } from '../../circuit/measurements/list.ts';
import type { Job } from './jobSchema.ts';

/**
 * The readings of a job as CSV (RFC 4180, CRLF, header with units, decimal point). Cells that a spreadsheet would run as a formula are
 * preceded by an apostrophe. OL is written as such.
 */
export function readingsCsv(job: Job): string {
  const rows = [
    {
      measurement: 'thermometer',
      name: 'Thermometer beside the sensor',
      typed: job.temperatureC.text,
      value: job.temperatureC.value ?? '',
      unit: '°C',
      ...noConditions('steady'),
      note: '',
    },
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
