import { NEWEST_VERSION } from './migrations/list.ts';
import { CATALOGUE_CIRCUITS, type CatalogueCircuit } from '../../catalogue/parts/circuits.ts';
import { genericKit, type Kit } from '../../catalogue/kit/kitSchema.ts';
import { newHarness } from '../../circuit/harness/harnessSchema.ts';
import { newWorth } from '../../advice/plan/worthSchema.ts';
import { blank, figure } from '../../base/units/entry.ts';
import { newMoments } from './moments.ts';
import type { Job, JobCircuit } from './jobSchema.ts';

/** The circuit of a job, filled in from the catalogue. */
export function circuitFromCatalogue(entry: CatalogueCircuit): JobCircuit {
  return {
    name: entry.name,
    layout: entry.layout,
    referenceV: figure(entry.referenceV),
    pullUpOhm: entry.pullUpOhm === null ? { text: 'unknown', value: null } : figure(entry.pullUpOhm),
    pullUpSource: 'usual',
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
    shares: 'unknown',
    cableM: blank(),
    cableMm2: blank(),
  };
}

/**
 * A job with nothing in it but a circuit to start from and the kit it will be measured with. `id` and `now` (ISO 8601) come from the caller:
 * core has no clock.
 */
export function newJob(
  id: string,
  now: string,
  circuit: CatalogueCircuit = CATALOGUE_CIRCUITS[0],
  kit: Kit = genericKit(),
): Job {
  return {
    format: 'mellow-probe/job',
    formatVersion: NEWEST_VERSION,
    id,
    createdAt: now,
    updatedAt: now,
    title: '',
    machine: '',
    customer: '',
    orderNumber: '',
    field: circuit.field,
    note: '',
    tags: [],
    circuit: circuitFromCatalogue(circuit),
    loom: newHarness(),
    worth: newWorth(),
    kit,
    school: 'proposal',
    moments: newMoments(),
    ...emptyRecord(),
  };
}

/** What a job holds of one case: nothing yet. A template keeps circuit, kit and machine and starts with this. */
export function emptyRecord() {
  return {
    complaint: { text: '', symptoms: [], codes: [], replaced: [], causes: {} },
    rightSensor: { plugs: [], values: [], trials: [], wantedValueId: null, measuredPlugId: null },
    readings: [],
    leftOut: [],
    comparison: { pairs: [], settling: [] },
    findings: [],
    photos: [],
    weightFactors: {},
    decision: null,
    repair: { part: '', partNumber: '', cause: '', done: '', doneAt: null, standIn: null },
    proof: { temperatureC: blank(), readings: [], steps: {} },
    followUps: [],
    closed: null,
    archivedAt: null,
  } satisfies Partial<Job>;
}
