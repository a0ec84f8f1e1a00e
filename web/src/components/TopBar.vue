<script setup lang="ts">
import { topBarWords as say } from '@mellow-probe/core/wording/screens/components';
import type { IconName } from './base/iconSet.ts';
import ActButton from './base/ActButton.vue';
import { DESTINATIONS } from './destinations.ts';
import MainNav from './MainNav.vue';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { onKeyStroke } from '../browser/onKeyStroke.ts';
import { apart } from '../browser/turns.ts';
import { useNarrow, useUpright } from '../browser/useMedia.ts';
import { workshop } from '../browser/workshop.ts';
import { usePreferences } from '../data/stores/preferences.ts';

/** The bar on top of every screen: where one is and can go, what is being worked on, units, help. */
const props = defineProps<{
  back?: boolean;
  /** What can be done with the thing on the screen; on a phone or an upright tablet it stands behind "⋯" with units, light and help. */
  actions?: readonly { name: string; run?: () => void; to?: string; icon?: IconName }[];
  /** The places to go to are folded away behind a button: the screen needs its bar and its foot itself. */
  folds?: boolean;
  /** Shows a newcomer round this screen. */
  tour?: () => void;
}>();
const router = useRouter();
const [narrow, upright] = [useNarrow(), useUpright()];
/** A phone folds everything away, an upright tablet too where there is something to do: the title needs the room. */
const folded = computed(() => narrow.value || (upright.value && (props.actions?.length ?? 0) > 0));
const preferences = usePreferences();
const help = ref(false);
onKeyStroke('?', () => (help.value = true));
/** Fetched when it is first asked for, and by the page once it rests. */
const ShortcutList = defineAsyncComponent(() => import('./ShortcutList.vue'));
const helped = ref(false);
watch(help, () => (helped.value = true));
const MoreMenu = defineAsyncComponent(() => apart(() => import('./base/MenuButton.vue')));
const places = DESTINATIONS.map(({ name, to, icon }) => ({ name, icon, act: () => void router.push(to) }));
const unit = computed(() => (preferences.temperatureUnit === 'C' ? 'F' : 'C'));
const all = computed(() => [
  ...(props.actions ?? []).map(({ name, to, run, icon }) => ({
    name,
    icon,
    act: () => (to ? void router.push(to) : run?.()),
  })),
  { name: say.temperaturesIn(unit.value), act: () => preferences.toggleUnit() },
  { name: say.helpAndShortcuts, act: () => void (help.value = true) },
  ...(props.folds ? places : []),
]);
</script>

<template>
  <header class="bar">
    <ActButton v-if="back && folds" kind="quiet" class="back" to="/" :aria-label="say.backToChecks"
      >‹ <span class="place">{{ say.checks }}</span></ActButton
    >
    <b v-else-if="!back" class="name">{{ say.mellowProbe }}</b>
    <MainNav v-if="!folds" />
    <span v-if="workshop === 'demo'" class="demo" :class="{ back }"
      ><span class="brief">{{ say.demoWorkshop }}</span
      ><span class="long">{{ say.demo }}</span></span
    >
    <slot />
    <span v-if="folded" class="more"><MoreMenu label="⋯" name="More" :entries="all" /></span>
    <span v-else class="right">
      <template v-for="a in actions" :key="a.name">
        <ActButton v-if="a.to" kind="quiet" :icon="a.icon" :to="a.to">{{ a.name }}</ActButton>
        <ActButton v-else kind="quiet" :icon="a.icon" @click="a.run?.()">{{ a.name }}</ActButton>
      </template>
      <span v-if="actions?.length" class="rule" aria-hidden="true"></span>
      <ActButton
        kind="quiet"
        :aria-label="say.temperaturesInSwitch(preferences.temperatureUnit)"
        @click="preferences.toggleUnit()"
      >
        °{{ preferences.temperatureUnit }}
      </ActButton>
      <ActButton kind="quiet" :aria-label="say.helpAndShortcuts" @click="help = true">?</ActButton>
      <MoreMenu v-if="folds" label="☰" :name="say.menu" :entries="places" />
    </span>
    <ShortcutList v-if="helped" v-model:open="help" :tour="tour" />
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
  font-size: 1.0625rem;
  padding: 0 8px;
}
.demo {
  font-size: 0.8125rem;
  padding: 3px 10px;
  border: 1px dashed var(--amber);
  border-radius: 8px;
  color: var(--amber-ink);
  white-space: nowrap;
}
.brief {
  display: none;
}
.more {
  margin-left: auto;
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
/* Where the words alone fill the bar, the title needs the room more. */
@media (max-width: 89.9375em) {
  .right :deep(.icon) {
    display: none;
  }
}
@media (max-width: 38.75em) {
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
    font-size: 1.25rem;
  }
}
@media (max-width: 56.25em) {
  .long {
    display: none;
  }
  .brief {
    display: inline;
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
