<script setup lang="ts">
import { asFound } from '@mellow-probe/core/check/job/moments';
import { probeEntryWords as say } from '@mellow-probe/core/wording/screens/trainPlay';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import type { Conditions } from '@mellow-probe/core/circuit/measurements/measurement';
import { EXPECTED, type Expected } from '@mellow-probe/core/training/cases/play';
import { bridges, doneIn, OHM_RANGES, PAIRS, PLUGGED, waitsFor } from '@mellow-probe/core/training/cases/setUp';
import { blank, type Entry, figure } from '@mellow-probe/core/base/units/entry';
import { DAMAGE_TEXT, EXPECTED_TEXT } from '@mellow-probe/core/wording/trainingText';
import { computed, ref, watch } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import CheckBox from '../../components/base/CheckBox.vue';
import ChoiceRow from '../../components/base/ChoiceRow.vue';
import NoticeBar from '../../components/base/NoticeBar.vue';
import PickList from '../../components/base/PickList.vue';
import EntryField from '../../components/EntryField.vue';
import { newId } from '../../browser/newId.ts';
import { usePractice } from '../../session/practice.ts';
import PlugFace from './PlugFace.vue';

/** Where a customer's bench has a field, the training bench has the probe: how everything stands, what is expected, and what the meter shows. */
const { session, standing, setUp, handed, make } = usePractice();
const { work } = session;
const about = computed(() => measurementById(work.test!));
const state = computed(() => standing.value.state);
const expects = ref<Expected | undefined>();
const own = ref<Record<'substituteOhm' | 'bathC' | 'airC', Entry>>({
  substituteOhm: figure(2200),
  bathC: { text: '60 °C', value: 60 },
  airC: blank(),
});
const asked = computed(() =>
  (['substituteOhm', 'bathC', 'airC'] as const).filter((k) => about.value.needs.includes(k)),
);
const LABELS = { substituteOhm: say.withResistor, bathC: say.waterAt, airC: say.airAt } as const;
const LOWEST = { substituteOhm: 1, bathC: 0, airC: -30 } as const;
const missing = computed(() => asked.value.some((k) => own.value[k].value === null || own.value[k].value < LOWEST[k]));
watch(
  () => work.test,
  () => {
    expects.value = undefined;
    if (own.value.airC.value === null && asFound(handed.job).temperatureC.value !== null)
      own.value.airC = {
        text: `${asFound(handed.job).temperatureC.value} °C`,
        value: asFound(handed.job).temperatureC.value,
      };
    if (!doneIn(about.value, setUp.state)) setUp.state = 'steady';
  },
  { immediate: true },
);
const onOff = computed({
  get: () => (setUp.key ? 'on' : 'off'),
  set: (to) => (setUp.key = to === 'on'),
});
const KEYS = [
  { value: 'off', label: say.off },
  { value: 'on', label: say.on },
] as const;
const PLUG_WORDS = { in: say.seated, out: say.pulled, bridged: say.bridged, resistor: say.resistorInIt } as const;
const plugs = PLUGGED.map((value) => ({ value, label: PLUG_WORDS[value] }));
const pairs = PAIRS.map((value) => ({ value, label: value.replace('-', ' and ') }));
const onPair = computed(() => bridges(about.value) || setUp.plug === 'bridged' || setUp.plug === 'resistor');
const RANGE_WORDS: Record<string, string> = { auto: say.automatic };
const ranges = OHM_RANGES.map((value) => ({
  value,
  label: RANGE_WORDS[value] ?? `${value.replace(/([kM])?$/, ' $1')}Ω`,
}));
const WHILE = { steady: say.asFound, hot: say.hot, wiggling: say.harnessMoved } as const;
const states = computed(() =>
  (['steady', 'hot', 'wiggling'] as const)
    .filter((s) => doneIn(about.value, s) && (s !== 'hot' || state.value.warm))
    .map((value) => ({ value, label: WHILE[value] })),
);
const expected = EXPECTED.map((value) => ({ value, label: EXPECTED_TEXT[value] }));

const last = computed(() => {
  const events = state.value.events.filter((e) => e.move.kind === 'measure' && e.move.measurement === about.value.id);
  return events[events.length - 1] ?? null;
});
const busy = ref(false);
async function probe(): Promise<void> {
  const conditions: Conditions = {};
  for (const k of asked.value) conditions[k] = own.value[k].value!;
  busy.value = true;
  const { id } = about.value;
  const reading = session.job.readings.some((r) => r.measurement === id) ? newId() : id;
  await make({
    ...{ kind: 'measure', id: reading, measurement: id, conditions, setUp: { ...setUp } },
    expects: expects.value ?? null,
  });
  busy.value = false;
  expects.value = undefined;
}
</script>

<template>
  <div class="probe" data-test="probe">
    <div class="shows" :class="{ nothing: last && !last.shown?.text }" role="status" data-test="meter">
      <span class="figure mono">{{ last ? last.shown?.text || '– – –' : say.notMeasured }}</span>
      <span v-if="last && !last.shown?.text && !last.shown?.damage" class="soft">{{ say.nothingSteady }}</span>
    </div>
    <NoticeBar v-if="last?.shown?.damage" kind="bad">{{ DAMAGE_TEXT[last.shown.damage] }}</NoticeBar>
    <div class="set" role="group" :aria-label="say.howItStands">
      <div class="line">
        <span class="word">{{ say.key }}</span><ChoiceRow v-model="onOff" :label="say.key" :options="KEYS" />
      </div>
      <div v-if="handed.twoPlugs" class="line">
        <span class="word">{{ say.atPlug }}</span>
        <ChoiceRow
          v-model="setUp.at"
          :label="say.atPlug"
          :options="[
            { value: 'A', label: 'A' },
            { value: 'B', label: 'B' },
          ]"
        />
      </div>
      <div class="line">
        <span class="word">{{ say.thePlug }}</span><ChoiceRow
          v-model="setUp.plug"
          :label="say.thePlug"
          :options="plugs"
        />
      </div>
      <div v-if="onPair" class="line">
        <span class="word">{{ say.across }}</span><ChoiceRow
          v-model="setUp.across"
          :label="say.acrossCavities"
          :options="pairs"
        />
      </div>
      <PlugFace
        v-if="onPair"
        class="face"
        :known="standing.cavities"
        :seen="state.looked ? session.job.findings : []"
        :across="setUp.plug === 'bridged' || setUp.plug === 'resistor' || bridges(about) ? setUp.across : null"
      />
      <div v-if="states.length > 1" class="line">
        <span class="word">{{ say.while }}</span><ChoiceRow
          v-model="setUp.state"
          :label="say.while"
          :options="states"
        />
      </div>
      <div class="fields">
        <PickList v-if="about.quantity === 'ohms'" v-model="setUp.range" :label="say.metersRange" :options="ranges" />
        <EntryField
          v-for="k in asked"
          :key="k"
          :label="LABELS[k]"
          :quantity="k === 'substituteOhm' ? 'ohms' : 'celsius'"
          v-model="own[k]"
        />
      </div>
      <CheckBox v-if="waitsFor(about)" v-model="setUp.waited">{{ say.waited }}</CheckBox>
    </div>
    <div class="expect">
      <span class="word">{{ say.iExpect }}</span>
      <ChoiceRow v-model="expects" :label="say.iExpect" :options="expected" />
    </div>
    <ActButton kind="main" class="go" :disabled="busy || missing || state.ended !== null" @click="probe">{{
      say.probe
    }}</ActButton>
  </div>
</template>

<style scoped>
.probe {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-width: 0;
}
.shows {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: baseline;
  padding: 8px 14px;
  border: 1px solid var(--line-strong);
  border-radius: 10px;
  background: var(--bar);
}
.figure {
  font-size: 1.625rem;
  min-height: 34px;
}
.set {
  display: flex;
  flex-direction: column;
  gap: 2px;
}
.line,
.expect {
  display: grid;
  grid-template-columns: 76px minmax(0, 1fr);
  align-items: baseline;
}
.word {
  color: var(--soft);
  font-size: 0.8438rem;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.fields > * {
  flex: 1 1 120px;
  max-width: 190px;
}
.face {
  margin-left: 76px;
}
.go {
  align-self: flex-start;
  min-width: 140px;
}
@media (max-width: 38.75em) {
  .go {
    align-self: stretch;
    min-height: 56px;
  }
  .face {
    margin-left: 0;
  }
}
</style>
