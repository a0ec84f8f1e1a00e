import type { FormStationId } from '@mellow-probe/core/advice/workOrder/stations';

/** The questions of a guided check in their order: up to the result, and what may follow it. */
export const ASKED = ['what', 'trouble', 'temperature', 'test', 'result'] as const;
export const FINISHING = ['where', 'decision', 'repair', 'proof'] as const satisfies readonly FormStationId[];

export type FinishingStep = (typeof FINISHING)[number];
export type GuideStep = (typeof ASKED)[number] | FinishingStep;

const ORDER: readonly GuideStep[] = [...ASKED, ...FINISHING];

/** The step an address names; the first one where it names none. */
export const stepNamed = (name: unknown): GuideStep => ORDER.find((step) => step === name) ?? ASKED[0];

/** The step `by` further on; null beyond the ends. */
export const stepBeside = (step: GuideStep, by: 1 | -1): GuideStep | null => ORDER[ORDER.indexOf(step) + by] ?? null;

export const isFinishing = (step: GuideStep): step is FinishingStep =>
  (FINISHING as readonly GuideStep[]).includes(step);
