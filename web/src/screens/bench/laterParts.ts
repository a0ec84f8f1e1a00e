import { laterPart, laterSheet } from '../../components/laterPart.ts';
import { FORMS } from './forms/list.ts';

/** What a check shows only when it is opened. */
export const TestCard = laterPart(() => import('./TestCard.vue'));
export const EvidenceTable = laterPart(() => import('./EvidenceTable.vue'));
export const CircuitDetails = laterSheet(() => import('./CircuitDetails.vue'));
export const WhyDrawer = laterSheet(() => import('./WhyDrawer.vue'));
export const AskSheet = laterSheet(() => import('../../components/base/AskSheet.vue'));
export const SideSheet = laterSheet(() => import('../../components/base/SideSheet.vue'));

export const BENCH_PARTS = [
  TestCard,
  EvidenceTable,
  CircuitDetails,
  WhyDrawer,
  AskSheet,
  SideSheet,
  ...Object.values(FORMS),
];
