<script setup lang="ts">
import { shelfScreenWords as say } from '@mellow-probe/core/wording/screens/tools';
import { computed, useTemplateRef } from 'vue';
import { useRoute } from 'vue-router';
import TopBar from '../../components/TopBar.vue';
import { useInSight } from '../../components/useInSight.ts';
import { onKeyStroke } from '../../browser/onKeyStroke.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { TOOLS } from './tools.ts';

/** The reference shelf: tools that stand on their own and feed a job in one step. */
const route = useRoute();
const preferences = usePreferences();
const current = computed(() => TOOLS.find((t) => t.id === route.params.tool) ?? TOOLS[0]);
onKeyStroke('u', () => preferences.toggleUnit());
useInSight(() => current.value.id, useTemplateRef<HTMLElement>('tools'));
</script>

<template>
  <div class="shelf">
    <TopBar back
      ><b class="title">{{ say.shelf }}</b></TopBar
    >
    <main>
      <nav ref="tools" :aria-label="say.title">
        <RouterLink
          v-for="t in TOOLS"
          :key="t.id"
          :to="`/shelf/${t.id}`"
          :class="{ on: t.id === current.id }"
          :aria-current="t.id === current.id ? 'page' : undefined"
          >{{ t.name }}</RouterLink
        >
      </nav>
      <section class="sheet tool" :aria-label="current.name" :data-tool="current.id">
        <header>
          <h1>{{ current.name }}</h1>
          <p class="soft">{{ current.purpose }}</p>
        </header>
        <component :is="current.component" />
      </section>
    </main>
  </div>
</template>

<style scoped>
.shelf {
  height: 100%;
  display: grid;
  grid-template-rows: minmax(52px, auto) minmax(0, 1fr);
}
.title {
  font-size: 1.0625rem;
}
main {
  display: grid;
  grid-template-columns: 204px minmax(0, 1fr);
  min-height: 0;
}
nav {
  display: flex;
  flex-direction: column;
  padding: 10px 6px;
  overflow-y: auto;
}
nav a {
  display: flex;
  align-items: center;
  min-height: 44px;
  padding: 0 12px;
  border-radius: 9px;
  color: var(--ink);
  text-decoration: none;
  font-weight: 500;
}
nav a:hover,
nav .on {
  background: var(--spruce-soft);
}
nav .on {
  font-weight: 600;
}
.tool {
  margin: 8px 10px 8px 4px;
  padding: 12px 18px 18px;
  overflow-y: auto;
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-height: 0;
}
h1 {
  font-size: 1.25rem;
}
.tool > :deep(*) {
  flex: none;
}
.tool :deep(.two) {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 16px;
}
.tool :deep(.fields) {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 4px 12px;
  align-items: start;
}
.tool :deep(.row) {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.tool :deep(.chart) {
  display: flex;
  height: 300px;
  min-width: 0;
}
.tool :deep(.told) {
  padding: 7px 10px;
  border-left: 4px solid var(--spruce);
  background: var(--spruce-soft);
  border-radius: 0 8px 8px 0;
}
.tool :deep(.told.odd) {
  border-color: var(--amber);
  background: var(--amber-soft);
}
.tool :deep(.caution) {
  font-size: 0.8438rem;
  color: var(--amber-ink);
}
.tool :deep(h2) {
  font-size: 0.9375rem;
  margin: 4px 0;
}
@media (max-width: 56.25em) {
  .shelf {
    height: auto;
  }
  main {
    grid-template-columns: minmax(0, 1fr);
  }
  nav {
    flex-direction: row;
    overflow-x: auto;
  }
  nav a {
    white-space: nowrap;
  }
  .tool {
    margin: 0 8px 8px;
  }
  .tool > :deep(*) {
    flex: none;
  }
  .tool :deep(.two) {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
