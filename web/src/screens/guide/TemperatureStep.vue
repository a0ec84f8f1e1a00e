<script setup lang="ts">
import { guideWords, temperatureStepWords as say } from '@mellow-probe/core/wording/screens/guide';
import { entryOf } from '@mellow-probe/core/base/units/entry';
import { NOTICED } from '@mellow-probe/core/base/units/toldTemperature';
import { THERMOMETER_KINDS, type ThermometerKind } from '@mellow-probe/core/base/units/vocabulary';
import { THERMOMETER_NAMES, withinText } from '@mellow-probe/core/wording/thermometerText';
import { computed, ref } from 'vue';
import { useNarrow, useTouch } from '../../browser/useMedia.ts';
import ActButton from '../../components/base/ActButton.vue';
import FoldOut from '../../components/base/FoldOut.vue';
import EntryField from '../../components/EntryField.vue';
import MomentNotice from '../../components/MomentNotice.vue';
import NumberPad from '../../components/NumberPad.vue';
import { usePreferences } from '../../data/stores/preferences.ts';
import { useGeneralMoment } from '../../session/moments.ts';
import { useSession } from '../../session/jobSession.ts';

/** How warm it is beside the sensor, and by what it was measured: the general temperature of the check. */
const emit = defineEmits<{ next: [] }>();
const { job, verdict } = useSession();
const preferences = usePreferences();
const { settled, question } = useGeneralMoment();
const [narrow, touch] = [useNarrow(), useTouch()];
/** On a phone the pad is there until letters are asked for. */
const letters = ref(false);
const pad = computed(() => narrow.value && touch.value && !letters.value);
const moment = computed(() => job.moments[0]);
const own = computed(() => moment.value.thermometer ?? job.kit.thermometer);
const put = (text: string): void => {
  moment.value.temperatureC = entryOf(text, 'told-celsius', preferences.temperatureUnit);
};
/** May the step be left? Not before what the new temperature asks is seen. */
function leave(): boolean {
  settled();
  return question.value === null;
}
const goOn = (): unknown => leave() && emit('next');
defineExpose({ leave });
function measuredWith(kind: ThermometerKind): void {
  settled();
  moment.value.thermometer = kind === job.kit.thermometer ? null : kind;
}
</script>

<template>
  <EntryField
    large
    :pad="pad"
    :label="say.thermometer"
    quantity="told-celsius"
    v-model="moment.temperatureC"
    :issue="verdict.issues.get('moments.steady.temperatureC')"
    hint="20, 18…24, <50"
    @settle="settled"
    @enter="goOn"
  />
  <MomentNotice v-if="question" :question="question" />
  <NumberPad
    v-if="pad"
    :text="moment.temperatureC.text"
    quantity="told-celsius"
    :next="guideWords.next"
    @type="put"
    @next="goOn"
    @letters="letters = true"
  />
  <h3>{{ say.measuredWith }}</h3>
  <div class="tiles" role="group" :aria-label="say.measuredWith">
    <ActButton
      v-for="kind in THERMOMETER_KINDS"
      :key="kind"
      class="tile"
      :aria-pressed="kind === own"
      @click="measuredWith(kind)"
    >
      <span>{{ THERMOMETER_NAMES[kind] }}</span>
      <span class="soft within">{{ withinText(job.kit, kind) }}</span>
    </ActButton>
  </div>
  <FoldOut :title="say.noThermometer">
    <div class="tiles">
      <ActButton v-for="n in NOTICED" :key="n.id" class="tile" :title="n.source" @click="put(n.text)">{{
        n.text
      }}</ActButton>
    </div>
    <p class="caution">▲ {{ say.noticedCaution }}</p>
  </FoldOut>
</template>

<style scoped>
h3 {
  font-size: 1.05rem;
}
.tiles {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 8px;
}
.tile {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 0;
  height: auto;
  min-height: 52px;
  padding: 4px 10px;
  white-space: normal;
  text-align: left;
}
.tile[aria-pressed='true'] {
  border-color: var(--spruce);
  background: var(--spruce-soft);
}
.within {
  font-size: 0.8rem;
}
.caution {
  font-size: 0.85rem;
  color: var(--amber-ink);
}
</style>
