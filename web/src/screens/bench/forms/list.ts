import type { FormStationId, Station } from '@mellow-probe/core/advice/workOrder/stations';
import { type LaterPart, laterPart } from '../../../components/laterPart.ts';

/** The forms of the order of work; the quick check has a card of its own. A new one is one file, and one line here and in `advice/workOrder/stations`. */
export const FORMS: Readonly<Record<Exclude<FormStationId, 'quick'>, LaterPart>> = {
  complaint: laterPart(() => import('./ComplaintForm.vue')),
  'right-sensor': laterPart(() => import('./RightSensorForm.vue')),
  look: laterPart(() => import('./LookForm.vue')),
  compare: laterPart(() => import('./CompareForm.vue')),
  where: laterPart(() => import('./WhereForm.vue')),
  worth: laterPart(() => import('./WorthForm.vue')),
  readings: laterPart(() => import('./ReadingsForm.vue')),
  decision: laterPart(() => import('./DecisionForm.vue')),
  repair: laterPart(() => import('./RepairForm.vue')),
  proof: laterPart(() => import('./ProofForm.vue')),
};

/** The form of a station; null for tests, and for the quick check. */
export const formOf = (station: Station | undefined): LaterPart | null =>
  station?.kind === 'form' && station.id !== 'quick' ? FORMS[station.id] : null;
