<script setup lang="ts">
import { learnToolWords as say } from '@mellow-probe/core/wording/screens/tools';
import { learnCurve, type LearnedPair } from '@mellow-probe/core/history/learn/learnCurve';
import { isOf, pairsOfChecks } from '@mellow-probe/core/history/learn/pairsOfChecks';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { formatOhm, formatTemperature } from '@mellow-probe/core/base/units/format';
import { FORM_NAMES } from '@mellow-probe/core/wording/fitText';
import { kelvinText } from '@mellow-probe/core/wording/logText';
import { countText, titleText } from '@mellow-probe/core/wording/ledgerText';
import { NOT_TAKEN } from '@mellow-probe/core/wording/storageText';
import { dayText, fixed } from '@mellow-probe/core/base/units/writing';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { z } from 'zod';
import { newId, nowIso } from '../../browser/newId.ts';
import ActButton from '../../components/base/ActButton.vue';
import CheckBox from '../../components/base/CheckBox.vue';
import type { Column } from '../../components/base/factTable.ts';
import FactTable from '../../components/base/FactTable.vue';
import TextField from '../../components/base/TextField.vue';
import LazyPlot from '../../components/LazyPlot.ts';
import { useJobs } from '../../data/stores/jobs/jobs.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { useCurves } from '../../session/curves.ts';
import { useDraft } from '../../session/draft.ts';
import { learnedFigure } from './learnedFigure.ts';

/** A curve from the workshop's own readings, where the maker's table is missing: of a part number, a machine or chosen checks. */
const jobs = useJobs();
const curves = useCurves();
const preferences = usePreferences();
const router = useRouter();
onMounted(() => {
  if (!jobs.loaded) void jobs.load();
});
const schema = z.strictObject({ wished: z.string().max(400), name: z.string().max(400), without: z.array(z.string()) });
const { draft } = useDraft('learn', schema, () => ({ wished: '', name: '', without: [] as string[] }));
/** More checks than this are not read at once. */
const MOST = 60;
const matching = computed(() => {
  const { wished } = draft.value;
  return wished.trim() === '' ? [] : jobs.lines.filter((line) => isOf(line, wished));
});
const lines = computed(() => matching.value.slice(0, MOST));
const read = shallowRef<readonly Job[]>([]);
watch(
  () => lines.value.map((l) => l.id).join(),
  async (ids) => {
    const found = await Promise.all(ids === '' ? [] : ids.split(',').map((id) => jobs.read(id)));
    // While they were read the words may have been changed: only the checks asked for last are shown.
    if (ids === lines.value.map((l) => l.id).join()) read.value = found.filter((job) => job !== null);
  },
  { immediate: true },
);
const chosen = computed(() => read.value.filter((job) => !draft.value.without.includes(job.id)));
const pairs = computed(() => pairsOfChecks(chosen.value));
const checksText = computed(() => countText(new Set(pairs.value.map((p) => p.check)).size, 'check', 'checks'));
const learned = computed(() => learnCurve(pairs.value));
const curve = computed(() => (learned.value.ok ? learned.value : null));
const titleOf = (id: string): string => titleText(read.value.find((job) => job.id === id)?.title ?? '');
const unit = computed(() => preferences.temperatureUnit);
const shown = (c: number): string => formatTemperature(c, unit.value);

const REASONS = { 'too-few': say.tooFew, 'too-near': say.tooNear, contradictory: say.contradictory } as const;
const told = computed(() => {
  if (draft.value.wished.trim() === '') return '';
  if (!learned.value.ok) return REASONS[learned.value.reason];
  const { form, fromC, toC, bandK, nextC } = learned.value;
  return [
    say.learnedFrom(countText(pairs.value.length, 'pair', 'pairs'), checksText.value),
    say.holds(FORM_NAMES[form], shown(fromC), shown(toC), kelvinText(bandK((fromC + toC) / 2), unit.value)),
    say.nextHelps(shown(nextC)),
  ].join(' ');
});
const outliers = computed(() => new Set(curve.value?.outliers ?? []));
const COLUMNS: readonly Column<LearnedPair>[] = [
  {
    key: 't',
    title: say.temperature,
    mono: true,
    text: (p) => `${shown(p.temperatureC)} ± ${kelvinText(2 * p.sigmaK, unit.value)}`,
  },
  { key: 'ohm', title: say.ohms, mono: true, text: (p) => formatOhm(p.resistanceOhm) },
  {
    key: 'off',
    title: say.fromTheCurve,
    mono: true,
    text: (p) => {
      const off = curve.value?.residualsK[p.id];
      return off === undefined ? '' : `${fixed(off, 1)} K${outliers.value.has(p.id) ? ` ◆ ${say.leftOut}` : ''}`;
    },
  },
  { key: 'check', title: say.check, text: (p) => titleOf(p.check) },
];
const chart = computed(() => curve.value && learnedFigure(curve.value, pairs.value, unit.value, preferences.dark));
const fault = ref(false);
async function save(): Promise<void> {
  if (!curve.value) return;
  const { curve: own } = curve.value;
  fault.value = !(await curves.keep(
    {
      ...{
        format: 'mellow-probe/curve',
        formatVersion: 1,
        id: newId(),
        createdAt: nowIso(),
        curve: own,
        note: told.value,
      },
      name: draft.value.name.trim() || draft.value.wished.trim(),
      source: say.source(checksText.value),
    },
    null,
  ));
  if (!fault.value) await router.push('/shelf/curves');
}
function choose(id: string, on: boolean): void {
  draft.value.without = on ? draft.value.without.filter((x) => x !== id) : [...draft.value.without, id];
}
</script>

<template>
  <TextField
    v-model="draft.wished"
    class="wished"
    :label="say.ofWhat"
    :placeholder="say.ofWhatExample"
    :maxlength="400"
  />
  <p v-if="draft.wished.trim() === ''" class="soft">{{ say.enterWhat }}</p>
  <p v-else-if="lines.length === 0" class="soft">{{ say.noCheckMatches }}</p>
  <div v-else role="group" :aria-label="say.checks" class="checks">
    <CheckBox
      v-for="job in read"
      :key="job.id"
      :model-value="!draft.without.includes(job.id)"
      @update:model-value="choose(job.id, $event)"
      >{{ titleOf(job.id) }} <span class="soft">{{ dayText(job.createdAt) }}</span></CheckBox
    >
  </div>
  <p v-if="matching.length > MOST" class="soft">{{ say.onlyTheFirst(MOST, matching.length) }}</p>
  <p v-if="told && lines.length > 0" :class="['told', { odd: !learned.ok }]" data-test="learned" role="status">
    {{ told }}
  </p>
  <div class="two">
    <FactTable
      v-if="pairs.length > 0"
      :label="say.pairs"
      :columns="COLUMNS"
      :rows="pairs"
      :row-key="(p) => p.id"
      :page="25"
    />
    <div v-if="chart" class="chart"><LazyPlot :figure="chart" :label="say.chart" /></div>
  </div>
  <div v-if="curve" class="row">
    <TextField v-model="draft.name" :label="say.name" :placeholder="draft.wished" :maxlength="400" />
    <ActButton kind="main" icon="save" @click="save">{{ say.saveTheCurve }}</ActButton>
    <span v-if="fault" role="alert">{{ NOT_TAKEN }}</span>
  </div>
</template>

<style scoped>
.wished {
  max-width: 420px;
}
.checks {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
}
</style>
