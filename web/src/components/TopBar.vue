<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useNarrow } from '../browser/useMedia.ts';
import { workshop } from '../browser/workshop.ts';
import { usePreferences } from '../stores/preferences.ts';
import ShortcutList from './ShortcutList.vue';

/** The bar on top of every screen: where one is, what is being worked on, units, light, help. */
const props = defineProps<{
  back?: boolean;
  /** What can be done with the thing on the screen; on a phone it stands behind "⋯" with units, light and help. */
  actions?: readonly { name: string; run?: () => void; to?: string }[];
}>();
const router = useRouter();
const narrow = useNarrow();
const preferences = usePreferences();
const help = ref(false);
/** Only a phone needs it: the desk does not fetch it. */
const MoreMenu = defineAsyncComponent(() => import('./MoreMenu.vue'));
const unit = computed(() => (preferences.temperatureUnit === 'C' ? 'F' : 'C'));
const all = computed(() => [
  ...(props.actions ?? []).map(({ name, to, run }) => ({ name, act: () => (to ? void router.push(to) : run?.()) })),
  { name: `Temperatures in °${unit.value}`, act: () => preferences.toggleUnit() },
  { name: preferences.dark ? 'Light' : 'Dark', act: () => preferences.toggleTheme() },
  { name: 'Help and shortcuts', act: () => void (help.value = true) },
]);
</script>

<template>
  <header class="bar">
    <RouterLink v-if="back" class="act quiet back" to="/" aria-label="‹ Checks"
      >‹ <span class="place">Checks</span></RouterLink
    >
    <b v-else class="name">Mellow Probe</b>
    <span v-if="workshop === 'demo'" class="demo" :class="{ back }"
      >Demo workshop<span class="long">: made-up data</span></span
    >
    <slot />
    <MoreMenu v-if="narrow" :entries="all" />
    <span v-else class="right">
      <template v-for="a in actions" :key="a.name">
        <RouterLink v-if="a.to" class="act quiet" :to="a.to">{{ a.name }}</RouterLink>
        <button v-else class="act quiet" type="button" @click="a.run?.()">{{ a.name }}</button>
      </template>
      <span v-if="actions?.length" class="rule" aria-hidden="true"></span>
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
  position: relative;
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
.rule {
  align-self: center;
  width: 1px;
  height: 24px;
  margin: 0 4px;
  background: var(--line);
}
.right .act {
  min-width: 44px;
}
@media (max-width: 620px) {
  .demo {
    padding: 3px 6px;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .name {
    white-space: nowrap;
  }
  .place,
  .demo.back {
    display: none;
  }
  .back {
    min-width: 44px;
    font-size: 20px;
  }
}
@media (max-width: 900px) {
  .long {
    display: none;
  }
  .bar {
    flex-wrap: wrap;
    gap: 4px;
    padding: 0 4px;
  }
  .bar :deep(.act.quiet) {
    padding: 0 6px;
  }
}
</style>
