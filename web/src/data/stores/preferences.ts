import { STRENGTHS, USUAL_STRENGTH } from '@mellow-probe/core/history/experience/strengths';
import type { TemperatureUnit } from '@mellow-probe/core/base/units/format';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { DAY_CHOICES, DECIMAL_CHOICES, writeAsChosen } from '../../browser/writing.ts';
import { readPreference, readWord, writePreference } from '../storage/preferences.ts';

type ThemeChoice = 'light' | 'dark' | 'system';

/** What a person set once for all screens: °C or °F, light or dark. */
export const usePreferences = defineStore('preferences', () => {
  const temperatureUnit = ref<TemperatureUnit>(readPreference('temperatureUnit', ['C', 'F'], 'C'));
  const themeChoice = ref<ThemeChoice>(readPreference('theme', ['light', 'dark', 'system'], 'system'));
  const systemDark = window.matchMedia('(prefers-color-scheme: dark)');
  const systemIsDark = ref(systemDark.matches);
  systemDark.addEventListener('change', (event) => (systemIsDark.value = event.matches));
  const dark = computed(() => (themeChoice.value === 'system' ? systemIsDark.value : themeChoice.value === 'dark'));
  watch(dark, (on) => (document.documentElement.dataset.theme = on ? 'dark' : 'light'), { immediate: true });
  watch(temperatureUnit, (unit) => writePreference('temperatureUnit', unit));
  /** How figures and days are written. */
  const decimal = ref(readPreference('decimal', DECIMAL_CHOICES, 'device'));
  const days = ref(readPreference('days', DAY_CHOICES, 'device'));
  watch(decimal, (mark) => writePreference('decimal', mark));
  watch(days, (way) => writePreference('days', way));
  watch([decimal, days], () => writeAsChosen(decimal.value, days.value), { immediate: true });
  /** How a check opens: guided or as the quick form; as the device is wide, until one was chosen. */
  const opens = ref(readPreference('opens', ['guided', 'quick', 'device'], 'device'));
  watch(opens, (way) => writePreference('opens', way));
  /** On a phone the charts of a check are shown below its figures. */
  const phoneCharts = ref(readPreference('phoneCharts', ['yes', 'no'], 'no') === 'yes');
  watch(phoneCharts, (on) => writePreference('phoneCharts', on ? 'yes' : 'no'));
  /** Figures are spoken in the reading mode. */
  const spoken = ref(readPreference('spoken', ['yes', 'no'], 'no') === 'yes');
  watch(spoken, (on) => writePreference('spoken', on ? 'yes' : 'no'));
  /** The key, or the foot switch that stands for one, with which a live figure is taken into the card. */
  const takeKey = ref(readWord('takeKey', 'F8'));
  watch(takeKey, (key) => writePreference('takeKey', key));
  watch(themeChoice, (choice) => writePreference('theme', choice));
  /** New checks start from the workshop's own base rates, beside default weights that count for so many checks. */
  const experience = ref(readPreference('experience', ['yes', 'no'], 'no') === 'yes');
  watch(experience, (on) => writePreference('experience', on ? 'yes' : 'no'));
  const strengthWords = STRENGTHS.map(String);
  const experienceStrength = ref(Number(readPreference('experienceStrength', strengthWords, String(USUAL_STRENGTH))));
  watch(experienceStrength, (n) => writePreference('experienceStrength', String(n)));
  return {
    temperatureUnit,
    decimal,
    days,
    opens,
    phoneCharts,
    experience,
    experienceStrength,
    dark,
    spoken,
    takeKey,
    themeChoice,
    toggleUnit: () => (temperatureUnit.value = temperatureUnit.value === 'C' ? 'F' : 'C'),
  };
});
