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
  tool('curves', say.curves, say.whatASensorShouldHaveAt, () => import('./CurvesTool.vue')),
  tool('own', say.ownCurve, say.aTableFromAManualBecomes, () => import('./OwnCurveTool.vue')),
  tool('identify', say.whatSensorIsThis, say.oneOrTwoPairsOfTemperature, () => import('./IdentifyTool.vue')),
  tool('sweep', say.modulesOwnCurve, say.knownResistorsInDisplayedValuesOut, () => import('./SweepTool.vue')),
  tool('divider', say.dividerDesk, say.voltsAndShownValueOverTemperature, () => import('./DividerTool.vue')),
  tool('substitutes', say.substitutes, say.whichResistorsOfTheDrawerShow, () => import('./SubstitutesTool.vue')),
  tool('baths', say.referenceTemperatures, say.iceBoilingWaterAtAltitudeThermometers, () => import('./BathsTool.vue')),
  tool('judge', say.judgeOneResistance, say.insideItsToleranceOrNotHow, () => import('./JudgeTool.vue')),
  tool('learn', say.learnACurve, say.fromYourOwnReadings, () => import('./LearnTool.vue')),
  tool('machine', say.allSensorsOfAMachine, say.whichOneIsOutOfLine, () => import('./MachineTool.vue')),
  tool('codes', say.ownCodes, say.whatTheCodesOfYourBoilers, () => import('./CodesTool.vue')),
];
