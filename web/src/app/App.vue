<script setup lang="ts">
import { ConfigProvider, theme } from 'ant-design-vue';
import { computed, onErrorCaptured, ref } from 'vue';
import { RouterView } from 'vue-router';
import { usePreferences } from '../stores/preferences.ts';
import { isMissingPart, missingPart } from './router.ts';

const preferences = usePreferences();
const failure = ref('');
const reload = (): void => window.location.reload();

const antTheme = computed(() => {
  const dark = preferences.dark;
  const colour = dark ? '#7fc4b8' : '#1d5a55';
  return {
    algorithm: dark ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      colorPrimary: colour,
      colorInfo: colour,
      colorText: dark ? '#e9e2d3' : '#22302d',
      colorTextLightSolid: dark ? '#10201d' : '#fffdf8',
      colorBgContainer: dark ? '#101a18' : '#ffffff',
      colorBgElevated: dark ? '#1b2927' : '#fffdf8',
      colorBorder: dark ? '#7b8a80' : '#8d8a78',
      colorTextPlaceholder: dark ? '#a9b3a8' : '#5a655e',
      fontFamily: "'IBM Plex Sans Variable', 'DejaVu Sans', sans-serif",
      borderRadius: 8,
      controlHeight: 40,
      fontSize: 15,
    },
  };
});

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
  <ConfigProvider :theme="antTheme">
    <div v-if="failure" class="failure" role="alert">
      <span>Something went wrong: {{ failure }} What you typed is kept.</span>
      <button class="act" @click="failure = ''">Close</button>
    </div>
    <div v-if="missingPart" class="failure" role="alert" data-test="missing-part">
      <span>
        That part of the page could not be fetched: the server does not answer, or it has a newer version. What you
        typed is kept.
      </span>
      <button class="act" type="button" @click="reload">Load the page again</button>
    </div>
    <RouterView />
  </ConfigProvider>
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
