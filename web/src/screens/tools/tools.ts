import { toolsWords as say } from '@mellow-probe/core/wording/screens/tools';
import { type Component, defineAsyncComponent } from 'vue';

/** One tool of the shelf. A new one is one file and one line here. */
export interface ShelfTool {
  id: string;
  name: string;
  /** In one line: what for. */
  purpose: string;
  component: Component;
}

const tool = (id: string, name: string, purpose: string, load: () => Promise<{ default: Component }>): ShelfTool => ({
  id,
  name,
  purpose,
  component: defineAsyncComponent(load),
});

export const TOOLS: readonly ShelfTool[] = [
  tool('curves', say.curves, say.curvesPurpose, () => import('./CurvesTool.vue')),
  tool('own', say.ownCurve, say.ownCurvePurpose, () => import('./OwnCurveTool.vue')),
  tool('identify', say.identify, say.identifyPurpose, () => import('./IdentifyTool.vue')),
  tool('sweep', say.modulesOwnCurve, say.sweepPurpose, () => import('./SweepTool.vue')),
  tool('divider', say.dividerDesk, say.dividerPurpose, () => import('./DividerTool.vue')),
  tool('substitutes', say.substitutes, say.substitutesPurpose, () => import('./SubstitutesTool.vue')),
  tool('baths', say.referenceTemperatures, say.bathsPurpose, () => import('./BathsTool.vue')),
  tool('judge', say.judgeOneResistance, say.judgePurpose, () => import('./JudgeTool.vue')),
  tool('learn', say.learnACurve, say.learnPurpose, () => import('./LearnTool.vue')),
  tool('machine', say.machine, say.machinePurpose, () => import('./MachineTool.vue')),
  tool('codes', say.ownCodes, say.codesPurpose, () => import('./CodesTool.vue')),
];
