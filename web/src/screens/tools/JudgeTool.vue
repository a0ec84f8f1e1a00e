<script setup lang="ts">
import { judgeToolWords as say } from '@mellow-probe/core/wording/screens/tools';
import PickList from '../../components/base/PickList.vue';
import { ohmsNoise } from '@mellow-probe/core/inference/model/noise';
import { blank, entrySchema } from '@mellow-probe/core/base/units/entry';
import { judgeResistance } from '@mellow-probe/core/tools/judging/judgeResistance';
import { instrumentsOf, thermometerSigmaK } from '@mellow-probe/core/catalogue/kit/instrumentsOf';
import { judgedText } from '@mellow-probe/core/wording/judgedText';
import { computed } from 'vue';
import { z } from 'zod';
import EntryField from '../../components/EntryField.vue';
import UseOnJob from '../../components/UseOnJob.vue';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { newId, nowIso } from '../../browser/newId.ts';
import { useDraft } from '../../session/draft.ts';
import { useCurves } from '../../session/curves.ts';
import { useKit } from '../../session/kit.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import CurvePick from './CurvePick.vue';

/** One resistance at one temperature: inside its tolerance or not, how surely, and what it does to display and machine. */
const curves = useCurves();
const kit = useKit();
const preferences = usePreferences();
const schema = z.strictObject({
  curve: z.string(),
  temperatureC: entrySchema,
  ohm: entrySchema,
  tolerancePercent: entrySchema,
  bath: z.boolean(),
  field: z.enum(['engine', 'climate', 'boiler']),
});
const { draft } = useDraft('judge', schema, () => ({
  curve: 'ntc-2k8',
  temperatureC: { text: '20 °C', value: 20 },
  ohm: blank(),
  tolerancePercent: { text: '5', value: 5 },
  bath: true,
  field: 'engine' as const,
}));
const TAKEN = [
  { value: 'bath', label: say.stirredBath },
  { value: 'machine', label: say.atTheMachine },
];
const where = computed({
  get: () => (draft.value.bath ? 'bath' : 'machine'),
  set: (place) => (draft.value.bath = place === 'bath'),
});
const FIELD_OPTIONS = [
  { value: 'engine', label: say.anEngine },
  { value: 'climate', label: say.aClimateSystem },
  { value: 'boiler', label: say.aBoiler },
] as const;
const judged = computed(() => {
  const { temperatureC, ohm, tolerancePercent, bath } = draft.value;
  if (temperatureC.value === null || !(ohm.value! > 0) || !(tolerancePercent.value! > 0)) return null;
  const instruments = instrumentsOf(kit.kit);
  return judgeResistance(
    curves.byId(draft.value.curve).model,
    temperatureC.value,
    bath ? instruments.bathK : thermometerSigmaK(kit.kit),
    ohm.value!,
    ohmsNoise(instruments).sigma(ohm.value!),
    tolerancePercent.value! / 100,
  );
});
const lines = computed(() =>
  judged.value ? judgedText(judged.value, draft.value.field, preferences.temperatureUnit) : [],
);
function put(job: Job): void {
  job.comparison.pairs.push({
    id: newId(),
    sensor: 'this',
    phase: 'heating',
    temperatureC: draft.value.temperatureC,
    resistanceOhm: draft.value.ohm,
  });
  job.updatedAt = nowIso();
}
</script>

<template>
  <div class="row">
    <CurvePick v-model="draft.curve" class="pick-curve" />
    <EntryField class="short" :label="say.temperature" quantity="celsius" v-model="draft.temperatureC" />
    <EntryField class="short" :label="say.ohms" quantity="ohms" v-model="draft.ohm" />
    <EntryField class="short" :label="say.tolerance" quantity="number" v-model="draft.tolerancePercent" />
    <PickList v-model="where" class="choice" :label="say.taken" :options="TAKEN" />
    <PickList v-model="draft.field" class="choice" :label="say.in" :options="FIELD_OPTIONS" />
  </div>
  <p v-for="l in lines" :key="l.text" :class="['told', { odd: l.odd }]" data-test="judged">{{ l.text }}</p>
  <p v-if="lines.length === 0" class="soft">
    {{ say.empty }}
  </p>
  <UseOnJob :what="say.addToCheck" :disabled="!judged?.ok" :change="put" />
</template>

<style scoped>
.pick-curve {
  flex: 1 1 220px;
  align-self: flex-start;
}
.short {
  flex: 0 1 130px;
}
.row.row.row {
  align-items: flex-start;
}
</style>
