<script setup lang="ts">
import { shortcutListWords as say } from '@mellow-probe/core/wording/screens/components';
import MarkedText from './base/MarkedText.vue';
import ActButton from './base/ActButton.vue';
import { usePreferences } from '../data/stores/preferences.ts';
import { deviceDecimal, deviceDayPattern } from '../browser/writing.ts';
import AskSheet from './base/AskSheet.vue';
import ChoiceRow from './base/ChoiceRow.vue';
import dayjs from 'dayjs';

/** What the keys do and how figures are typed. Opens with `?`. */
const open = defineModel<boolean>('open', { required: true });
const { tour } = defineProps<{ tour?: (() => void) | undefined }>();
const preferences = usePreferences();
const now = dayjs();
const DECIMALS = [
  { value: 'device', label: say.decimalAsThisDevice(deviceDecimal()) },
  { value: '.', label: '12.5' },
  { value: ',', label: '12,5' },
] as const;
const DAYS = [
  { value: 'device', label: say.asThisDevice(now.format(deviceDayPattern())) },
  { value: 'iso', label: now.format('YYYY-MM-DD') },
] as const;
function showRound(): void {
  open.value = false;
  tour?.();
}
</script>

<template>
  <AskSheet v-model:open="open" :title="say.keysAndFigures" :width="560">
    <dl>
      <dt>
        <kbd>{{ say.tab }}</kbd>
      </dt>
      <dd>{{ say.nextFigure }}</dd>
      <dt>
        <kbd>{{ say.enter }}</kbd>
      </dt>
      <dd>{{ say.onACardToTheNext }}</dd>
      <dt><kbd>N</kbd></dt>
      <dd>{{ say.toTheProposedTest }}</dd>
      <dt><kbd>J</kbd> <kbd>K</kbd></dt>
      <dd>{{ say.nextPreviousStationOfTheOrder }}</dd>
      <dt><kbd>E</kbd></dt>
      <dd>{{ say.intoTheFieldOfTheCard }}</dd>
      <dt>
        <kbd>{{ say.esc }}</kbd>
      </dt>
      <dd>{{ say.outOfAFieldSoThat }}</dd>
      <dt><kbd>Q</kbd></dt>
      <dd>{{ say.quickCheck }}</dd>
      <dt><kbd>D</kbd></dt>
      <dd>{{ say.decision }}</dd>
      <dt><kbd>R</kbd></dt>
      <dd>{{ say.readFarForTwoMetresFigures }}</dd>
      <dt><kbd>P</kbd></dt>
      <dd>{{ say.report }}</dd>
      <dt><kbd>C</kbd></dt>
      <dd>{{ say.inTheLedgerNewCheck }}</dd>
      <dt><kbd>U</kbd></dt>
      <dd>{{ say.cOrF }}</dd>
      <dt><kbd>?</kbd></dt>
      <dd>{{ say.thisList }}</dd>
    </dl>
    <ActButton v-if="tour" @click="showRound">{{ say.showMeRoundTheBench }}</ActButton>
    <p>
      <MarkedText figures :text="say.figuresAreTypedAsTheyAreSpoken" />
    </p>
    <div class="written">
      <span>{{ say.figuresAreWritten }}</span>
      <ChoiceRow v-model="preferences.decimal" :label="say.figuresAreWritten" :options="DECIMALS" />
      <span>{{ say.daysAreWritten }}</span>
      <ChoiceRow v-model="preferences.days" :label="say.daysAreWritten" :options="DAYS" />
    </div>
    <p>
      {{ say.theToolAdvisesTheMakersData }}
    </p>
  </AskSheet>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 84px 1fr;
  gap: 6px;
}
dd {
  margin: 0;
}
.written {
  display: grid;
  grid-template-columns: 150px 1fr;
  align-items: center;
}
@media (max-width: 620px) {
  .written {
    grid-template-columns: 1fr;
  }
}
p {
  margin: 10px 0;
}
</style>
