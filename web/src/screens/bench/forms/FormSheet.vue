<script setup lang="ts">
/** The sheet a form station stands on: a heading, a line of purpose, and its parts. */
defineProps<{ title: string; purpose: string }>();
</script>

<template>
  <section class="sheet form-sheet" :aria-label="title">
    <header>
      <h2>{{ title }}</h2>
      <p class="soft">{{ purpose }}</p>
    </header>
    <slot />
  </section>
</template>

<style scoped>
.form-sheet {
  padding: 14px 18px 20px;
  overflow-y: auto;
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: 14px;
}
h2 {
  font-size: 1.25rem;
}
.form-sheet :deep(h3) {
  font-size: 0.9375rem;
  margin-bottom: 4px;
}
.form-sheet :deep(.two) {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 6px 18px;
}
.form-sheet :deep(.row) {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.form-sheet :deep(.told) {
  padding: 7px 10px;
  border-left: 4px solid var(--spruce);
  background: var(--spruce-soft);
  border-radius: 0 8px 8px 0;
}
.form-sheet :deep(.told.odd) {
  border-color: var(--amber);
  background: var(--amber-soft);
}
.form-sheet :deep(.caution) {
  font-size: 0.8438rem;
  color: var(--amber-ink);
}
</style>
