<script setup lang="ts">
import { cardEntryWords as say } from '@mellow-probe/core/wording/screens/bench';
import { SIDES } from '@mellow-probe/core/circuit/network/chain';
import { wayText } from '@mellow-probe/core/wording/placeText';
import PickList from '../../components/base/PickList.vue';
import { AS_FOUND } from '@mellow-probe/core/check/job/moments';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { blank } from '@mellow-probe/core/base/units/entry';
import type { JobConditions } from '@mellow-probe/core/check/job/jobSchema';
import type { MachineState } from '@mellow-probe/core/base/units/vocabulary';
import { usualMoment } from '@mellow-probe/core/inference/model/problem';
import { computed, nextTick, ref } from 'vue';
import { useNarrow, useTouch } from '../../browser/useMedia.ts';
import EntryField from '../../components/EntryField.vue';
import FigureField from '../../components/FigureField.vue';
import MomentNotice from '../../components/MomentNotice.vue';
import ThermometerTap from '../../components/ThermometerTap.vue';
import LiveTake from './LiveTake.vue';
import NumberPad from '../../components/NumberPad.vue';
import { useLive } from '../../data/stores/live/live.ts';
import { useCardReading } from '../../session/cardReading.ts';
import { useReadings } from '../../session/readings.ts';
import { useCardMoment } from '../../session/moments.ts';
import { useSession } from '../../session/jobSession.ts';
import { useReadingView } from '../../session/readingView.ts';

const USUAL_WAYS = [
  { value: 'steady', label: say.asFound },
  { value: 'hot', label: say.hotAfterHeat },
  { value: 'wiggling', label: say.wiggling },
];
/** The large field of a card with the conditions of its reading. A reading comes into being with the first figure typed; `next`: Enter, or the key of the pad. */
const emit = defineEmits<{ next: [] }>();
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
/** Before a figure is there, the healthy range is that of the machine as it was found: it says nothing of one that is hot. */
const view = computed(() => ({
  ...viewOf(about.value.id, reading.value),
  ...(!reading.value && moment.value.id !== AS_FOUND && { healthy: '' }),
}));
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
const { moment, put: putTemperature, question } = useCardMoment(reading);
const temperature = computed({ get: () => moment.value.temperatureC, set: putTemperature });
const hot = computed(() => moment.value.state === 'hot');

function condition(change: JobConditions): void {
  if (reading.value) Object.assign(reading.value.conditions, change);
  else work.draft = { ...work.draft, ...change };
}
function where(text: string): void {
  const at = positions.value.find((p) => p.value === text)?.at;
  if (at) condition(at);
}
/** How and at which moment the reading was taken: the three usual ways, then the moments that this check has besides. */
const ways = computed(() => [
  ...USUAL_WAYS,
  ...job.moments.slice(2).map(({ id, temperatureC }) => ({ value: id, label: say.atTemperature(temperatureC.text) })),
]);
const way = computed({
  get: () =>
    (reading.value && ways.value.slice(3).find((w) => w.value === reading.value!.moment)?.value) ??
    reading.value?.state ??
    'steady',
  set: (value) => {
    if (!reading.value) return;
    const other = job.moments.slice(2).find((m) => m.id === value);
    const state = other?.state ?? (value as MachineState);
    Object.assign(reading.value, { state, moment: other?.id ?? usualMoment(state) });
  },
});
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
      @enter="emit('next')"
    />
    <LiveTake v-if="live.reading" :measurement="about" @take="put" />
    <NumberPad
      v-if="pad"
      :text="reading?.text ?? ''"
      :quantity="about.quantity"
      :next="say.next"
      @type="put"
      @next="emit('next')"
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
      <div v-if="needsAir" class="thermometer">
        <EntryField
          :label="hot ? say.thermometerHot : say.thermometer"
          quantity="told-celsius"
          v-model="temperature"
          :issue="verdict.issues.get(`moments.${moment.id}.temperatureC`)"
          :about="say.thermometerHint"
        />
        <ThermometerTap v-if="temperature.text.trim() !== ''" v-model="moment.thermometer" :kit="job.kit" />
      </div>
      <PickList v-if="reading" v-model="way" :label="say.while" :options="ways" />
    </div>
    <MomentNotice v-if="question" :question="question" />
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
.thermometer {
  position: relative;
}
/* How good it is stands in the line of the label. */
.thermometer :deep([data-test='thermometer']) {
  position: absolute;
  top: 3px;
  right: 2px;
}
@media (pointer: coarse) {
  /* Taller for a finger: its text stays in the line of the label. */
  .thermometer :deep([data-test='thermometer']) {
    top: -4px;
  }
}
@media (max-width: 38.75em) {
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
