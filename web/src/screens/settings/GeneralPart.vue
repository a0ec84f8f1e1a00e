<script setup lang="ts">
import { generalPartWords as say } from '@mellow-probe/core/wording/screens/settings';
import dayjs from 'dayjs';
import { deviceDayPattern, deviceDecimal } from '../../browser/writing.ts';
import ChoiceRow from '../../components/base/ChoiceRow.vue';
import { usePreferences } from '../../data/stores/preferences.ts';

/** How figures, days and colours are shown, and how a new check opens. */
const preferences = usePreferences();
const now = dayjs();
const UNITS = [
  { value: 'C', label: '°C' },
  { value: 'F', label: '°F' },
] as const;
const THEMES = [
  { value: 'system', label: say.asDevice },
  { value: 'light', label: say.light },
  { value: 'dark', label: say.dark },
] as const;
const DECIMALS = [
  { value: 'device', label: say.decimalAsDevice(deviceDecimal()) },
  { value: '.', label: '12.5' },
  { value: ',', label: '12,5' },
] as const;
const DAYS = [
  { value: 'device', label: say.dateAsDevice(now.format(deviceDayPattern())) },
  { value: 'iso', label: now.format('YYYY-MM-DD') },
] as const;
const OPENS = [
  { value: 'device', label: say.byWidth },
  { value: 'guided', label: say.guided },
  { value: 'quick', label: say.quickForm },
] as const;
</script>

<template>
  <section class="sheet general">
    <span>{{ say.temperatures }}</span>
    <ChoiceRow v-model="preferences.temperatureUnit" :label="say.temperatures" :options="UNITS" />
    <span>{{ say.colours }}</span>
    <ChoiceRow v-model="preferences.themeChoice" :label="say.colours" :options="THEMES" />
    <span>{{ say.decimalMark }}</span>
    <ChoiceRow v-model="preferences.decimal" :label="say.decimalMark" :options="DECIMALS" />
    <span>{{ say.dateFormat }}</span>
    <ChoiceRow v-model="preferences.days" :label="say.dateFormat" :options="DAYS" />
    <span>{{ say.newCheckOpens }}</span>
    <ChoiceRow v-model="preferences.opens" :label="say.newCheckOpens" :options="OPENS" />
  </section>
</template>

<style scoped>
.general {
  display: grid;
  grid-template-columns: 170px minmax(0, 1fr);
  gap: 10px 14px;
  align-items: center;
  padding: 14px 18px;
}
@media (max-width: 38.75em) {
  .general {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
