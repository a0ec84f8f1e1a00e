import type { FormStationId, Station } from '@mellow-probe/core/advice/workOrder/stations';
import type { Component } from 'vue';
import CompareForm from './CompareForm.vue';
import ComplaintForm from './ComplaintForm.vue';
import DecisionForm from './DecisionForm.vue';
import LookForm from './LookForm.vue';
import ProofForm from './ProofForm.vue';
import ReadingsForm from './ReadingsForm.vue';
import RepairForm from './RepairForm.vue';
import RightSensorForm from './RightSensorForm.vue';
import WhereForm from './WhereForm.vue';
import WorthForm from './WorthForm.vue';

/** The forms of the order of work; the quick check has a card of its own. A new one is one file, and one line here and in `advice/workOrder/stations`. */
export const FORMS: Readonly<Record<Exclude<FormStationId, 'quick'>, Component>> = {
  complaint: ComplaintForm,
  'right-sensor': RightSensorForm,
  look: LookForm,
  compare: CompareForm,
  where: WhereForm,
  worth: WorthForm,
  readings: ReadingsForm,
  decision: DecisionForm,
  repair: RepairForm,
  proof: ProofForm,
};

/** The form of a station; null for tests, and for the quick check. */
export const formOf = (station: Station | undefined): Component | null =>
  station?.kind === 'form' && station.id !== 'quick' ? FORMS[station.id] : null;
