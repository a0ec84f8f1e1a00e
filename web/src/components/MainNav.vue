<script setup lang="ts">
import { mainNavWords as say } from '@mellow-probe/core/wording/screens/components';
import { useRoute } from 'vue-router';
import ActIcon from './base/ActIcon.vue';
import { DESTINATIONS } from './destinations.ts';

/** Where to go: a row in the bar at a desk; at the foot of a phone, in the thumb's reach. */
const route = useRoute();
</script>

<template>
  <nav class="main-nav" :aria-label="say.places">
    <RouterLink
      v-for="d in DESTINATIONS"
      :key="d.to"
      :to="d.to"
      :class="{ on: d.here.test(route.path) }"
      :aria-current="d.here.test(route.path) ? 'page' : undefined"
      ><ActIcon :name="d.icon" /><span>{{ d.name }}</span></RouterLink
    >
  </nav>
</template>

<style scoped>
.main-nav {
  display: flex;
  gap: 2px;
}
a {
  display: flex;
  align-items: center;
  gap: 6px;
  min-height: 40px;
  padding: 0 10px;
  border-radius: 9px;
  color: var(--ink);
  text-decoration: none;
  white-space: nowrap;
}
a:hover,
.on {
  background: var(--spruce-soft);
}
.on {
  font-weight: 600;
}
@media (max-width: 67.5em) {
  .main-nav {
    position: fixed;
    inset: auto 0 0;
    z-index: 6;
    justify-content: space-between;
    padding: 2px 2px calc(2px + env(safe-area-inset-bottom));
    border-top: 1px solid var(--line-strong);
    background: var(--sheet);
  }
  a {
    flex: 1 1 0;
    flex-direction: column;
    justify-content: center;
    gap: 0;
    min-width: 0;
    min-height: 52px;
    padding: 0;
    font-size: 0.72rem;
  }
  .main-nav :deep(.icon) {
    font-size: 1.2rem;
  }
}
@media print {
  .main-nav {
    display: none;
  }
}
</style>
