<script setup lang="ts">
import PartTabs from './PartTabs.vue';
import TopBar from './TopBar.vue';

/** A screen that is read from top to bottom: its name in the bar, its parts as tabs where it has some, and its sheets one under the other. */
defineProps<{
  title: string;
  narrow?: boolean;
  tabs?: { label: string; base: string; parts: readonly { id: string; name: string }[]; current: string };
}>();
</script>

<template>
  <div>
    <TopBar back class="no-print"
      ><h1 class="title">{{ title }}</h1></TopBar
    >
    <main :class="{ narrow }">
      <PartTabs v-if="tabs" v-bind="tabs" />
      <slot />
    </main>
  </div>
</template>

<style scoped>
.title {
  font-size: 1.0625rem;
}
main {
  max-width: 1180px;
  margin: 0 auto;
  padding: 8px 12px 24px;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
main.narrow {
  max-width: 900px;
}
@media print {
  .no-print {
    display: none;
  }
}
</style>
