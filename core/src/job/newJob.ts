import { CATALOGUE_CIRCUITS, type CatalogueCircuit } from '../catalogue/circuits.ts';
import type { Entry, Job, JobCircuit } from './jobSchema.ts';

/** An empty figure. */
export const blank = (): Entry => ({ text: '', value: null });

/** A figure written by the program itself. */
export const figure = (value: number): Entry => ({ text: String(value), value });

/** The circuit of a job, filled in from the catalogue. */
export function circuitFromCatalogue(entry: CatalogueCircuit): JobCircuit {
  return {
    name: entry.name,
    layout: entry.layout,
    referenceV: figure(entry.referenceV),
    pullUpOhm: entry.pullUpOhm === null ? { text: 'unknown', value: null } : figure(entry.pullUpOhm),
    hotPullUpOhm: blank(),
    curve: { source: 'catalogue', id: entry.curveId },
    display: {
      minC: figure(entry.display.minC),
      maxC: figure(entry.display.maxC),
      resolutionC: 1,
      substituteC: blank(),
      ratiometric: null,
    },
    supplyV: figure(entry.supplyV),
    connectors: 0,
  };
}

/** A job with nothing in it but a circuit to start from. `id` and `now` (ISO 8601) come from the caller: core has no clock. */
export function newJob(id: string, now: string, circuit: CatalogueCircuit = CATALOGUE_CIRCUITS[0]): Job {
  return {
    format: 'mellow-probe/job',
    formatVersion: 1,
    id,
    createdAt: now,
    updatedAt: now,
    title: '',
    machine: '',
    field: circuit.field,
    note: '',
    circuit: circuitFromCatalogue(circuit),
    temperatureC: blank(),
    hotTemperatureC: blank(),
    readings: [],
    findings: [],
    weightFactors: {},
  };
}
