<script setup lang="ts">
import { identifyToolWords as say } from '@mellow-probe/core/wording/screens/shelfCurves';
import CheckBox from '../../components/base/CheckBox.vue';
import FactTable from '../../components/base/FactTable.vue';
import PickList from '../../components/base/PickList.vue';
import ActButton from '../../components/base/ActButton.vue';
import { identifySensor } from '@mellow-probe/core/tools/identify/identifySensor';
import { blank, entrySchema } from '@mellow-probe/core/base/units/entry';
import { instrumentsOf, thermometerSigmaK } from '@mellow-probe/core/catalogue/kit/instrumentsOf';
import { ohmsNoise } from '@mellow-probe/core/inference/model/noise';
import { formatOhm, formatProbability, formatTemperature } from '@mellow-probe/core/base/units/format';
import { fixed } from '@mellow-probe/core/base/units/writing';
import { computed, ref } from 'vue';
import { z } from 'zod';
import type { Column } from '../../components/base/factTable.ts';
import EntryField from '../../components/EntryField.vue';
import ProbabilityBar from '../../components/ProbabilityBar.vue';
import UseOnJob from '../../components/UseOnJob.vue';
import { newId } from '../../browser/newId.ts';
import { useDraft } from '../../session/draft.ts';
import { useCurves } from '../../session/curves.ts';
import { useKit } from '../../session/kit.ts';
import { usePreferences } from '../../data/stores/preferences.ts';

/** Pairs of temperature and ohms rank the shelf's curves; the temperature of one more pair that would tell most. */
const curves = useCurves();
const kit = useKit();
const preferences = usePreferences();
const blankPair = () => ({
  id: newId(),
  temperatureC: blank(),
  resistanceOhm: blank(),
});
const schema = z.strictObject({
  pairs: z.array(z.strictObject({ id: z.string(), temperatureC: entrySchema, resistanceOhm: entrySchema })).max(20),
  bath: z.boolean(),
});
const { draft } = useDraft('identify', schema, () => ({ pairs: [blankPair(), blankPair()], bath: false }));
const range = { lowC: 0, highC: 95 };
const chosen = ref('');
const result = computed(() => {
  const instruments = instrumentsOf(kit.kit);
  const noise = ohmsNoise(instruments);
  const pairs = draft.value.pairs.flatMap((p) => {
    if (p.temperatureC.value === null || !(p.resistanceOhm.value! > 0)) return [];
    const resistanceOhm = p.resistanceOhm.value!;
    return [
      {
        temperatureC: p.temperatureC.value,
        temperatureSigmaK: draft.value.bath ? instruments.bathK : thermometerSigmaK(kit.kit),
        resistanceOhm,
        resistanceSigmaOhm: noise.sigma(resistanceOhm),
      },
    ];
  });
  if (pairs.length === 0) return null;
  return identifySensor(pairs, curves.all, range);
});
const likely = computed(() => result.value?.candidates.filter((c) => c.probability > 0.005).slice(0, 8) ?? []);
const OTHER = 'not-on-the-shelf';
const estimate = computed(() => result.value?.other.estimate ?? null);
const estimateName = computed(() =>
  estimate.value ? say.ntcFromPairs(formatOhm(estimate.value.r25Ohm), fixed(estimate.value.betaK, 0)) : '',
);
const usable = computed(() => [
  { value: '', label: result.value?.candidates[0]?.name ?? '' },
  ...(estimate.value ? [{ value: OTHER, label: estimateName.value }] : []),
  ...likely.value.slice(1).map((c) => ({ value: c.id, label: c.name })),
]);
/** What was chosen, while the pairs offer it; then the likeliest. */
const picked = computed({
  get: () => (usable.value.some((u) => u.value === chosen.value) ? chosen.value : ''),
  set: (id) => (chosen.value = id),
});
const use = computed(() =>
  picked.value === OTHER
    ? { name: estimateName.value, curve: { kind: 'beta' as const, ...estimate.value! } }
    : curves.byId(picked.value || (result.value?.candidates[0]?.id ?? '')),
);
const COLUMNS: readonly Column<(typeof likely.value)[number]>[] = [
  { key: 'curve', title: say.curve },
  {
    key: 'miss',
    title: say.missesBy,
    mono: true,
    text: (c) =>
      c.missK.map((k) => (Math.abs(k) < 999 ? `${k > 0 ? '+' : '−'}${fixed(Math.abs(k), 1)} K` : say.far)).join(', '),
  },
];
/** How far the best of the shelf is off, where it is hardly the one. */
const misses = computed(() => {
  if (!result.value || result.value.other.probability < 0.5) return '';
  const [best] = result.value.candidates;
  const most = Math.max(...best.missK.map(Math.abs));
  return most < 999 ? say.probablyNoneMisses(best.name, fixed(most, 1)) : say.probablyNoneFar(best.name);
});
const separation = computed(() => {
  const s = result.value?.separateAt;
  if (!s || !result.value || result.value.candidates[1].probability < 0.005) return '';
  const [a, b] = result.value.candidates;
  return say.nextPair(
    formatTemperature(s.temperatureC, preferences.temperatureUnit),
    a.name,
    formatOhm(s.firstOhm),
    b.name,
    formatOhm(s.secondOhm),
  );
});
</script>

<template>
  <div class="two">
    <div>
      <div v-for="(p, i) in draft.pairs" :key="p.id" class="pair">
        <EntryField :label="say.temperature(i + 1)" quantity="celsius" v-model="p.temperatureC" />
        <EntryField :label="say.ohms(i + 1)" quantity="ohms" v-model="p.resistanceOhm" />
        <ActButton
          kind="quiet"
          :aria-label="say.removePair(i + 1)"
          @click="draft.pairs = draft.pairs.filter((x) => x.id !== p.id)"
        >
          ✕
        </ActButton>
      </div>
      <div class="row">
        <ActButton :disabled="draft.pairs.length >= 20" @click="draft.pairs.push(blankPair())">
          {{ say.anotherPair }}
        </ActButton>
        <CheckBox v-model="draft.bath">{{ say.stirredBath }}</CheckBox>
      </div>
      <p class="soft">{{ say.kitNote }}</p>
    </div>
    <div aria-live="polite" class="answers">
      <template v-if="result">
        <p v-if="misses || result.noneFits" class="told odd" data-test="none-fits">
          {{ misses || say.noneFits }}
        </p>
        <ProbabilityBar
          v-if="result.other.probability > 0.005"
          :label="say.unsavedCurve"
          :probability="result.other.probability"
          :leading="result.other.probability > (likely[0]?.probability ?? 0)"
          data-test="other-curve"
        />
        <ProbabilityBar
          v-for="(c, i) in likely"
          :key="c.id"
          :label="c.name"
          :probability="c.probability"
          :leading="i === 0 && c.probability >= result.other.probability"
          data-test="candidate"
        />
        <FactTable
          v-if="likely.length > 0"
          :label="say.missChart"
          :columns="COLUMNS"
          :rows="likely"
          :row-key="(c) => c.id"
        >
          <template #curve="{ row }">
            {{ row.name }}<template v-if="row.also.length > 0"> {{ say.also(row.also.join(', ')) }}</template
            >{{ ' ' }}<span class="soft">{{ formatProbability(row.probability) }}</span>
          </template>
        </FactTable>
        <p v-if="separation" class="told" data-test="separate">{{ separation }}</p>
      </template>
      <p v-else class="soft">{{ say.empty }}</p>
    </div>
  </div>
  <div v-if="result" class="row">
    <PickList v-model="picked" class="which" :label="say.curveToUse" hide-label :options="usable" />
    <UseOnJob
      :what="say.useOnCheck"
      :change="(job) => (job.circuit.curve = { source: 'given', name: use.name, curve: use.curve })"
    />
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr 44px;
  gap: 10px;
}
.pair .act {
  margin-top: 20px;
}
.answers {
  --label: 250px;
}
</style>
