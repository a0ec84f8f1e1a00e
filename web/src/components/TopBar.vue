<script setup lang="ts">
import { ref } from 'vue';
import { workshop } from '../browser/workshop.ts';
import { usePreferences } from '../stores/preferences.ts';
import ShortcutList from './ShortcutList.vue';

/** The bar on top of every screen: where one is, what is being worked on, units, light, help. */
defineProps<{ back?: boolean }>();
const preferences = usePreferences();
const help = ref(false);
</script>

<template>
  <header class="bar">
    <RouterLink v-if="back" class="act quiet back" to="/">‹ Checks</RouterLink>
    <b v-else class="name">Mellow Probe</b>
    <span v-if="workshop === 'demo'" class="demo">Demo workshop<span class="long">: made-up data</span></span>
    <slot />
    <span class="right">
      <button
        class="act quiet"
        type="button"
        :aria-label="`Temperatures in °${preferences.temperatureUnit}, switch`"
        @click="preferences.toggleUnit()"
      >
        °{{ preferences.temperatureUnit }}
      </button>
      <button class="act quiet" type="button" @click="preferences.toggleTheme()">
        {{ preferences.dark ? 'Light' : 'Dark' }}
      </button>
      <button class="act quiet" type="button" aria-label="Help and shortcuts" @click="help = true">?</button>
    </span>
    <ShortcutList v-model:open="help" />
  </header>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 0 10px;
  min-height: 52px;
  background: var(--sheet);
  border-bottom: 1px solid var(--line);
  min-width: 0;
}
.name {
  font-size: 17px;
  padding: 0 8px;
}
.demo {
  font-size: 13px;
  padding: 3px 10px;
  border: 1px dashed var(--amber);
  border-radius: 8px;
  color: var(--amber-ink);
  white-space: nowrap;
}
.right {
  margin-left: auto;
  display: flex;
}
.right .act {
  min-width: 44px;
}
@media (max-width: 900px) {
  .long {
    display: none;
  }
  .bar {
    gap: 4px;
    padding: 0 4px;
  }
  .bar :deep(.act.quiet) {
    padding: 0 6px;
  }
}
</style>
