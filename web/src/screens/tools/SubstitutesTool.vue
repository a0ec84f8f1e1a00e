<script setup lang="ts">
import { substitutesToolWords as say } from '@mellow-probe/core/wording/screens/tools';
import FactTable from '../../components/base/FactTable.vue';
import TextField from '../../components/base/TextField.vue';
import PickList from '../../components/base/PickList.vue';
import { substitutesFor, sweepSteps } from '@mellow-probe/core/tools/divider/substitutes';
import { entrySchema, figure as written } from '@mellow-probe/core/base/units/entry';
import { newReading } from '@mellow-probe/core/check/job/newReading';
import { ownResistors } from '@mellow-probe/core/catalogue/kit/ownResistors';
import { formatOhm, formatTemperature } from '@mellow-probe/core/base/units/format';
import { computed } from 'vue';
import { z } from 'zod';
import type { Column } from '../../components/base/factTable.ts';
import EntryField from '../../components/EntryField.vue';
import UseOnJob from '../../components/UseOnJob.vue';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { fixed } from '@mellow-probe/core/base/units/writing';
import { newId } from '../../browser/newId.ts';
import { useDraft } from '../../session/draft.ts';
import { useCurves } from '../../session/curves.ts';
import { useKit } from '../../session/kit.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import CurvePick from './CurvePick.vue';

/** One or two resistors of the drawer that make the module show a wanted temperature, and steps for a sweep. */
const curves = useCurves();
const kit = useKit();
const preferences = usePreferences();
const schema = z.strictObject({
  curve: z.string(),
  wanted: entrySchema,
  from: entrySchema,
  to: entrySchema,
  steps: z.number().int().min(2).max(24),
});
const { draft } = useDraft('substitutes', schema, () => ({
  curve: 'ntc-2k8',
  wanted: { text: '25 °C', value: 25 },
  from: { text: '-20 °C', value: -20 },
  to: { text: '110 °C', value: 110 },
  steps: 8,
}));
const drawer = computed(() => ownResistors(kit.kit.resistors));
const tolerance = computed(() => (kit.kit.resistors.tolerancePercent.value ?? 1) / 100);
const model = computed(() => curves.byId(draft.value.curve).model);
const inside = computed(
  () =>
    draft.value.wanted.value !== null &&
    draft.value.wanted.value >= model.value.minC &&
    draft.value.wanted.value <= model.value.maxC,
);
const list = computed(() =>
  inside.value && drawer.value.ohms.length > 0
    ? substitutesFor(draft.value.wanted.value!, model.value, drawer.value.ohms, tolerance.value, 6)
    : [],
);
const steps = computed(() =>
  sweepSteps(
    draft.value.from.value ?? 0,
    draft.value.to.value ?? 100,
    draft.value.steps,
    model.value,
    drawer.value.ohms,
  ),
);
const temperature = (c: number, digits = 1): string => formatTemperature(c, preferences.temperatureUnit, digits);
const kelvin = (k: number): string => `${k >= 0.05 ? '+' : k <= -0.05 ? '−' : ''}${fixed(Math.abs(k), 1)} K`;
const parts = (s: { parts: number[]; how: string }): string =>
  s.parts.map(formatOhm).join(s.how === 'series' ? ' + ' : ' ∥ ');
const DRAWERS = (['E6', 'E12', 'E24', 'E48', 'E96', 'own'] as const).map((value) => ({
  value,
  label: value === 'own' ? say.whatIOwn : `${value}, 10 Ω … 1 MΩ`,
}));
const COUNTS = [4, 6, 8, 10, 12, 16].map((value) => ({ value, label: String(value) }));
const COLUMNS: readonly Column<(typeof list.value)[number]>[] = [
  { key: 'parts', title: say.resistors, mono: true, text: parts },
  { key: 'ohm', title: say.together, mono: true, wideOnly: true, text: (s) => formatOhm(s.ohm) },
  { key: 'shown', title: say.shown, mono: true, text: (s) => temperature(s.shownC) },
  { key: 'error', title: say.offBy, mono: true, text: (s) => kelvin(s.errorK) },
  { key: 'tolerance', title: say.tolerance, mono: true, soft: true, text: (s) => `± ${fixed(s.toleranceK, 1)} K` },
];
const STEP_COLUMNS: readonly Column<(typeof steps.value)[number]>[] = [
  { key: 'ohm', title: say.resistor, mono: true, text: (s) => formatOhm(s.ohm) },
  { key: 'shown', title: say.shouldShow, mono: true, text: (s) => temperature(s.shownC, 0) },
];
function addReading(job: Job): void {
  const [best] = list.value;
  const ohm = Number(best.ohm.toPrecision(4));
  job.readings.push(
    newReading(newId(), 'displayed-substituted', {
      conditions: { substituteOhm: written(ohm) },
      note: parts(best),
    }),
  );
}
</script>

<template>
  <p class="caution">
    {{ say.caution }}
  </p>
  <div class="row">
    <CurvePick v-model="draft.curve" class="pick-curve" />
    <EntryField class="short" :label="say.toBeShown" quantity="celsius" v-model="draft.wanted" />
    <PickList v-model="kit.kit.resistors.series" class="drawer" :label="say.myDrawer" :options="DRAWERS" />
    <TextField
      v-if="kit.kit.resistors.series === 'own'"
      v-model="kit.kit.resistors.own"
      class="own"
      :label="say.resistorsIOwn"
      :maxlength="2000"
      placeholder="100, 220, 1k, 4k7, 10k"
    />
  </div>
  <p v-if="drawer.unread.length > 0" class="told odd">
    {{ say.notRead(drawer.unread.join(', ')) }}
  </p>
  <p v-if="!inside" class="told odd">
    {{ say.outsideThisCurve(temperature(model.minC, 0), temperature(model.maxC, 0)) }}
  </p>
  <div class="two">
    <div>
      <h2>
        {{
          say.wantedOhm(
            draft.wanted.value === null ? '?' : temperature(draft.wanted.value),
            inside ? formatOhm(model.resistanceOhm(draft.wanted.value!)) : '?',
          )
        }}
      </h2>
      <FactTable
        data-test="substitutes"
        :label="say.resistorsLabel"
        :columns="COLUMNS"
        :rows="list"
        :row-key="(s) => `${s.how}${s.parts.join()}`"
      />
      <UseOnJob :what="say.addBestToCheck" :disabled="list.length === 0" :change="addReading" />
    </div>
    <div>
      <h2>{{ say.sweepTitle }}</h2>
      <div class="row">
        <EntryField
          v-for="[key, label] in [
            ['from', say.from],
            ['to', say.to],
          ] as const"
          :key="key"
          class="short"
          :label="label"
          quantity="celsius"
          v-model="draft[key]"
        />
        <PickList v-model="draft.steps" class="count" :label="say.steps" :options="COUNTS" />
      </div>
      <FactTable
        data-test="steps"
        :label="say.sweepTitle"
        :columns="STEP_COLUMNS"
        :rows="steps"
        :row-key="(s) => s.ohm"
      />
    </div>
  </div>
</template>

<style scoped>
.pick-curve {
  flex: 1 1 220px;
  align-self: flex-start;
}
.short {
  flex: 0 1 130px;
}
.own {
  flex: 1 1 220px;
}
.row.row.row {
  align-items: flex-start;
}
</style>
