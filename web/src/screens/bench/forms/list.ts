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

/** The stations of the order of work that are forms, by id. A new one is one file and one line here and in `advice/workOrder/stations`. */
export const FORMS: Readonly<Record<string, Component>> = {
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
