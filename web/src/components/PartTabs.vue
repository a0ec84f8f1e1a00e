<script setup lang="ts">
/** The parts of a screen, as links: each has an address of its own. */
defineProps<{ label: string; base: string; parts: readonly { id: string; name: string }[]; current: string }>();
</script>

<template>
  <nav class="no-print" :aria-label="label">
    <RouterLink
      v-for="p in parts"
      :key="p.id"
      :to="`${base}/${p.id}`"
      :class="{ on: p.id === current }"
      :aria-current="p.id === current ? 'page' : undefined"
      >{{ p.name }}</RouterLink
    >
  </nav>
</template>

<style scoped>
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin-bottom: 8px;
}
nav a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  padding: 0 16px;
  border-radius: 9px;
  color: var(--ink);
  text-decoration: none;
}
nav .on {
  background: var(--spruce-soft);
  font-weight: 600;
}
@media (max-width: 38.75em) {
  nav a {
    padding: 0 12px;
    min-height: 48px;
  }
}
@media print {
  .no-print {
    display: none;
  }
}
</style>
