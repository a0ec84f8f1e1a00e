<script setup lang="ts">
/** A page that only says something: under its bar a few words and what can be done. */
</script>

<template>
  <div>
    <slot name="bar" />
    <main><slot /></main>
  </div>
</template>

<style scoped>
main {
  display: flex;
  flex-direction: column;
  gap: 12px;
  align-items: flex-start;
  padding: 40px;
}
</style>
