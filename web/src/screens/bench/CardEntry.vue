<script setup lang="ts">
import { cardEntryWords as say } from '@mellow-probe/core/wording/screens/bench';
import { SIDES } from '@mellow-probe/core/circuit/network/chain';
import { wayText } from '@mellow-probe/core/wording/placeText';
import PickList from '../../components/base/PickList.vue';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { blank } from '@mellow-probe/core/base/units/entry';
import type { JobConditions } from '@mellow-probe/core/check/job/jobSchema';
import { computed, nextTick, ref } from 'vue';
import { useNarrow, useTouch } from '../../browser/useMedia.ts';
import EntryField from '../../components/EntryField.vue';
import FigureField from '../../components/FigureField.vue';
import LiveTake from './LiveTake.vue';
import NumberPad from './NumberPad.vue';
import { useLive } from '../../data/stores/live.ts';
import { useCardReading } from '../../session/cardReading.ts';
import { useReadings } from '../../session/readings.ts';
import { useSession } from '../../session/jobSession.ts';
import { useReadingView } from '../../session/readingView.ts';

/** The large field of a card with the conditions of its reading. A reading comes into being with the first figure typed. */
const { job, verdict, work } = useSession();
const readings = useReadings();
const live = useLive();
const [narrow, touch] = [useNarrow(), useTouch()];
/** On a phone the pad is there until letters are asked for. */
const letters = ref(false);
const pad = computed(() => narrow.value && touch.value && !letters.value);
const fields = ref<HTMLElement>();
async function toLetters(): Promise<void> {
  letters.value = true;
  const input = fields.value?.querySelector<HTMLInputElement>('.large input');
  // A field in focus already does not call the keyboard up.
  input?.blur();
  await nextTick();
  input?.focus();
}
const viewOf = useReadingView();
const about = computed(() => measurementById(work.test!));
const { reading, put } = useCardReading();
const view = computed(() => viewOf(about.value.id, reading.value));
const issue = computed(() => (reading.value ? verdict.issues.get(`readings.${reading.value.id}`) : undefined));
const conditions = computed<JobConditions>(() => reading.value?.conditions ?? work.draft);
const conditionIssue = (what: string) =>
  reading.value ? verdict.issues.get(`readings.${reading.value.id}.${what}`) : undefined;
const asks = (what: 'substituteOhm' | 'bathC' | 'airC' | 'position'): boolean => about.value.needs.includes(what);
/** Where the sensor lies, taken off: its temperature is asked with the reading. */
const places = computed(() =>
  (
    [
      ['bathC', say.waterAt],
      ['airC', about.value.ofNeighbour ? say.itIsThere : say.airAt],
    ] as const
  ).filter(([place]) => asks(place)),
);
/** The healthy value hangs on the temperature beside the sensor. */
const needsAir = computed(
  () => places.value.length === 0 && ['scan', 'plugged', 'key-off', 'taken-off'].includes(about.value.setup),
);
const hot = computed(() => reading.value?.state === 'hot');

function condition(change: JobConditions): void {
  if (reading.value) Object.assign(reading.value.conditions, change);
  else work.draft = { ...work.draft, ...change };
}
function where(text: string): void {
  const at = positions.value.find((p) => p.value === text)?.at;
  if (at) condition(at);
}
const STATES = [
  { value: 'steady', label: say.asFound },
  { value: 'hot', label: say.hotAfterHeat },
  { value: 'wiggling', label: say.wiggling },
] as const;
/** Readings at a connector that is closed have two sides to be taken on. */
const twoSided = computed(() => about.value.id === 'connector-voltage');
const keyOf = ({ wire = 'signal', position = 1, side }: JobConditions): string =>
  [wire, position, twoSided.value ? (side ?? 'module') : ''].join(' ');
const positions = computed(() =>
  (['signal', 'return'] as const).flatMap((wire) =>
    job.loom.stops.flatMap((_, n) =>
      (twoSided.value ? SIDES : [undefined]).map((side) => {
        const at = { wire, position: n + 1, ...(side && { side }) };
        return { value: keyOf(at), label: wayText(at, job.loom), at };
      }),
    ),
  ),
);
</script>

<template>
  <div ref="fields" class="fields">
    <FigureField
      large
      :pad="pad"
      :label="about.name"
      :text="reading?.text ?? ''"
      :quantity="about.quantity"
      :issue="issue"
      v-bind="view"
      :about="about.title"
      :data-measurement="about.id"
      @type="put"
      @choose="put"
      @settle="reading && readings.remember(reading.id, $event)"
      @enter="work.goNext()"
    />
    <LiveTake v-if="live.reading" :measurement="about" @take="put" />
    <NumberPad
      v-if="pad"
      :text="reading?.text ?? ''"
      :quantity="about.quantity"
      :next="say.next"
      @type="put"
      @next="work.goNext()"
      @letters="toLetters"
    />
    <div class="row">
      <EntryField
        v-if="asks('substituteOhm')"
        :label="say.withResistor"
        quantity="ohms"
        :model-value="conditions.substituteOhm ?? blank()"
        :issue="conditionIssue('substituteOhm')"
        @update:model-value="condition({ substituteOhm: $event })"
      />
      <EntryField
        v-for="[place, label] in places"
        :key="place"
        :label="label"
        quantity="told-celsius"
        :model-value="conditions[place] ?? blank()"
        :issue="conditionIssue(place)"
        @update:model-value="condition({ [place]: $event })"
      />
      <PickList
        v-if="asks('position')"
        :label="say.where"
        :options="positions"
        :model-value="keyOf(conditions)"
        @update:model-value="where"
      />
      <EntryField
        v-if="needsAir && hot"
        :label="say.thermometerHot"
        quantity="told-celsius"
        v-model="job.hotTemperatureC"
        :issue="verdict.issues.get('hotTemperatureC')"
      />
      <EntryField
        v-else-if="needsAir"
        :label="say.thermometer"
        quantity="told-celsius"
        v-model="job.temperatureC"
        :issue="verdict.issues.get('temperatureC')"
        :about="say.besideTheSensorByAnotherThermometer"
      />
      <PickList v-if="reading" v-model="reading.state" :label="say.while" :options="STATES" />
    </div>
  </div>
</template>

<style scoped>
.fields {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.row {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
}
@media (max-width: 620px) {
  /* The conditions first, so that figure and pad lie at the foot. */
  .row {
    order: -1;
  }
}
.row > * {
  flex: 1 1 110px;
  max-width: 180px;
}
</style>
