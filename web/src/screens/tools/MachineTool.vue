<script setup lang="ts">
import { machineToolWords as say } from '@mellow-probe/core/wording/screens/tools';
import { MOST_MOMENTS, MOST_SENSORS } from '@mellow-probe/core/inference/machine/machineSensors';
import { pastedSensors } from '@mellow-probe/core/inference/machine/pastedSensors';
import { asFound } from '@mellow-probe/core/check/job/moments';
import { machineText } from '@mellow-probe/core/wording/machineText';
import { blank, type Entry, entryOf } from '@mellow-probe/core/base/units/entry';
import { formatProbability } from '@mellow-probe/core/base/units/format';
import { computed, onMounted } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { newId } from '../../browser/newId.ts';
import ActButton from '../../components/base/ActButton.vue';
import FoldOut from '../../components/base/FoldOut.vue';
import PickList from '../../components/base/PickList.vue';
import TextField from '../../components/base/TextField.vue';
import EntryField from '../../components/EntryField.vue';
import LazyPlot from '../../components/LazyPlot.ts';
import { useAfterTyping } from '../../components/useAfterTyping.ts';
import { useJobs } from '../../data/stores/jobs/jobs.ts';
import { useLive } from '../../data/stores/live/live.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { useBench } from '../../session/bench.ts';
import { useDraft } from '../../session/draft.ts';
import { useKit } from '../../session/kit.ts';
import { blankMachine, blankSensor, isEnough, machineSchema, readSensors, verdictOf } from './machineDraft.ts';
import { machineFigure } from './machineFigure.ts';

/** All temperature sensors of a machine against each other: which one is out of line, by how much, how surely, or none. */
const [route, router] = [useRoute(), useRouter()];
const preferences = usePreferences();
const live = useLive();
const jobs = useJobs();
const bench = useBench();
const kit = useKit();
const { draft, ready } = useDraft('machine', machineSchema, blankMachine);
const HOW = [
  { value: 'rested', label: say.rested },
  { value: 'running', label: say.running },
] as const;
const valueOf = (sensor: { values: Entry[] }, m: number): Entry => sensor.values[m] ?? blank();
function put(i: number, m: number, entry: Entry): void {
  const { values } = draft.value.sensors[i];
  while (values.length <= m) values.push(blank());
  values[m] = entry;
}
/** Names and values in place of what stands there, at the first moment. */
function take(list: readonly { name: string; text: string }[]): void {
  if (list.length === 0) return;
  draft.value.sensors = list
    .slice(0, MOST_SENSORS)
    .map(({ name, text }) => blankSensor(name, [entryOf(text, 'celsius', preferences.temperatureUnit)]));
}
function takePasted(): void {
  take(pastedSensors(draft.value.pasted));
  draft.value.pasted = '';
}
const liveTemperatures = computed(
  () => (void live.beat, [...live.channels.values()].filter((c) => c.channel.quantity === 'celsius')),
);
function takeLive(): void {
  take(
    liveTemperatures.value.flatMap((c) => {
      const last = c.recent[c.recent.length - 1];
      return last ? [{ name: c.channel.name, text: `${Number(last.value.toFixed(1))} °C` }] : [];
    }),
  );
}
/** A check or a log may hand over what it knows: `machine`, and `values` as lines. */
onMounted(async () => {
  await ready;
  const { machine, values } = route.query;
  if (typeof machine === 'string') draft.value.machine = machine;
  if (typeof values === 'string') take(pastedSensors(values));
  if (machine !== undefined || values !== undefined) void router.replace({ path: route.path });
});

const nameOf = (id: string): string => {
  const at = draft.value.sensors.findIndex((s) => s.id === id);
  return draft.value.sensors[at]?.name.trim() || `${say.sensor} ${at + 1}`;
};
/** Weighed once nobody types: eight sensors have thousands of ways to be wrong. */
const verdict = useAfterTyping(() => verdictOf(draft.value));
const words = computed(() => verdict.value && machineText(verdict.value, nameOf, preferences.temperatureUnit));
const standing = (id: string) => verdict.value?.sensors.find((s) => s.id === id);

const chart = computed(() => {
  const named = verdict.value?.named;
  if (!named) return null;
  const lines = readSensors(draft.value).map(({ id, values }) => ({
    name: nameOf(id),
    isOdd: named.includes(id),
    valuesC: draft.value.moments.map((_, m) => values[m]?.value ?? null),
  }));
  return machineFigure(lines, preferences.temperatureUnit, preferences.dark);
});

/** A check of the sensor that is out of line, with what is known of it. */
async function check(id: string): Promise<void> {
  const job = await jobs.create(await kit.forNewJob());
  const own = draft.value.sensors.find((s) => s.id === id)!;
  const offK = standing(id)?.offK ?? 0;
  await bench.changeJob(job.id, (j) => {
    j.machine = draft.value.machine.trim();
    j.title = [j.machine, nameOf(id)].filter(Boolean).join(' · ');
    j.complaint.symptoms = [offK < 0 ? 'reads-cold' : 'reads-hot'];
    const air = draft.value.moments[0].airC;
    if (air.value !== null) asFound(j).temperatureC = { ...air };
    const text = own.values[0];
    if (text?.value !== null && text !== undefined) j.note = `${nameOf(id)}: ${text.text}`;
  });
  await router.push(`/check/${job.id}`);
}
</script>

<template>
  <p class="caution">{{ say.hotParts }}</p>
  <TextField v-model="draft.machine" class="machine" :label="say.machine" :maxlength="400" />
  <div class="row">
    <div v-for="(m, k) in draft.moments" :key="m.id" class="moment">
      <PickList v-model="m.how" :label="say.moment(k + 1)" :options="HOW" />
      <EntryField
        v-if="m.how === 'rested'"
        :label="say.airC"
        :about="say.airOf(k + 1)"
        quantity="celsius"
        v-model="m.airC"
      />
    </div>
    <ActButton
      :disabled="draft.moments.length >= MOST_MOMENTS"
      @click="draft.moments.push({ id: newId(), how: 'rested', airC: blank() })"
      >{{ say.anotherMoment }}</ActButton
    >
  </div>
  <div class="compared">
    <div>
      <div class="sensors" :style="{ '--moments': draft.moments.length }">
        <div v-for="(s, i) in draft.sensors" :key="s.id" class="sensor" data-test="sensor-row">
          <TextField
            v-model="s.name"
            :label="i === 0 ? say.sensor : say.sensorOf(i + 1)"
            :hide-label="i > 0"
            :maxlength="200"
          />
          <EntryField
            v-for="(m, k) in draft.moments"
            :key="m.id"
            :label="i === 0 ? say.moment(k + 1) : ''"
            :about="say.valueOf(i + 1, k + 1)"
            quantity="celsius"
            :model-value="valueOf(s, k)"
            @update:model-value="put(i, k, $event)"
          />
          <TextField
            v-model="s.shares"
            :label="i === 0 ? say.shares : say.sharesOf(i + 1)"
            :placeholder="say.sharesExample"
            :hide-label="i > 0"
            :maxlength="200"
          />
          <span v-if="standing(s.id)" class="soft out">{{ say.out(formatProbability(standing(s.id)!.off)) }}</span>
        </div>
      </div>
      <div class="row">
        <ActButton :disabled="draft.sensors.length >= MOST_SENSORS" @click="draft.sensors.push(blankSensor())">{{
          say.anotherSensor
        }}</ActButton>
        <ActButton v-if="liveTemperatures.length > 0" @click="takeLive">{{ say.takeLive }}</ActButton>
      </div>
      <FoldOut :title="say.paste">
        <TextField
          v-model="draft.pasted"
          :label="say.paste"
          hide-label
          :rows="4"
          :placeholder="say.pasteExample"
          :maxlength="4000"
        />
        <ActButton :disabled="pastedSensors(draft.pasted).length === 0" @click="takePasted">{{
          say.useThem
        }}</ActButton>
      </FoldOut>
    </div>
    <div class="found">
      <p v-if="!isEnough(draft)" class="soft">{{ say.enterThree }}</p>
      <div
        v-if="words && verdict"
        :class="['told', { odd: verdict.kind !== 'none' }]"
        data-test="machine-told"
        role="status"
      >
        <b>{{ words.title }}</b>
        <p v-for="line in words.lines" :key="line">{{ line }}</p>
        <p v-if="words.next">{{ words.next }}</p>
      </div>
      <div v-if="verdict && verdict.named.length > 0" class="row">
        <ActButton v-for="id in verdict.named" :key="id" @click="check(id)">{{
          say.startACheck(nameOf(id))
        }}</ActButton>
      </div>
      <div v-if="chart" class="chart"><LazyPlot :figure="chart" :label="say.chart" /></div>
    </div>
  </div>
</template>

<style scoped>
.compared {
  display: grid;
  grid-template-columns: minmax(0, 1.6fr) minmax(0, 1fr);
  gap: 18px;
}
.found {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.machine {
  max-width: 420px;
}
.moment {
  display: grid;
  grid-template-columns: 220px 170px;
  gap: 8px;
}
.sensors {
  display: flex;
  flex-direction: column;
  gap: 2px;
}
.sensor {
  display: grid;
  grid-template-columns: minmax(90px, 1.3fr) repeat(var(--moments), minmax(90px, 1fr)) minmax(90px, 1fr) 6.5em;
  gap: 8px;
  align-items: start;
}
.out {
  align-self: center;
  white-space: nowrap;
  font-size: 0.8125rem;
}
.told p {
  margin: 4px 0 0;
}
@media (max-width: 56.25em) {
  .compared {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 43.75em) {
  .moment {
    grid-template-columns: minmax(0, 1fr);
  }
  .sensor {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    padding-bottom: 8px;
    border-bottom: 1px solid var(--line);
  }
}
</style>
