<script setup lang="ts">
import { appWords as say } from '@mellow-probe/core/wording/screens/app';
import ActButton from '../components/base/ActButton.vue';
import ConfigProvider from 'ant-design-vue/es/config-provider';
import { defaultConfig, DesignTokenProvider } from 'ant-design-vue/es/theme/internal';
import { useStill, useTouch } from '../browser/useMedia.ts';
import { libraryTheme, themeAround } from '../components/base/tokens.ts';
import { computed, onErrorCaptured, ref } from 'vue';
import { RouterView } from 'vue-router';
import { useTurn } from '../browser/turns.ts';
import { usePreferences } from '../data/stores/preferences.ts';
import { isMissingPart, missingPart } from './router.ts';

const preferences = usePreferences();
const failure = ref('');
const here = useTurn();
const reload = (): void => window.location.reload();

const [touch, still] = [useTouch(), useStill()];
const antTheme = computed(() => libraryTheme(preferences.dark, touch.value, still.value));
const around = computed(() => themeAround(antTheme.value, defaultConfig));

// A fault in one part must not take down what was typed in another: it is shown, the page stays.
onErrorCaptured((error) => {
  if (isMissingPart(error)) {
    missingPart.value = error;
    return false;
  }
  failure.value = error.message;
  return false;
});
</script>

<template>
  <DesignTokenProvider :value="around">
    <!-- The ring that spreads from what was pressed says nothing and costs a phone every press. -->
    <ConfigProvider :theme="antTheme" :wave="{ disabled: true }">
      <div v-if="failure" class="failure" role="alert">
        <span>{{ say.failure(failure) }}</span>
        <ActButton @click="failure = ''">{{ say.close }}</ActButton>
      </div>
      <div v-if="missingPart" class="failure" role="alert" data-test="missing-part">
        <span>
          {{ say.partNotLoaded }}
        </span>
        <ActButton @click="reload">{{ say.reload }}</ActButton>
      </div>
      <RouterView v-if="here" />
    </ConfigProvider>
  </DesignTokenProvider>
</template>

<style scoped>
.failure {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  padding: 8px 16px;
  background: var(--clay-soft);
  border-bottom: 1px solid var(--clay);
}
</style>
