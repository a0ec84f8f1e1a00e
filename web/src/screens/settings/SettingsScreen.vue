<script setup lang="ts">
import { settingsWords as say } from '@mellow-probe/core/wording/screens/settings';
import { type Component, computed, defineAsyncComponent } from 'vue';
import { useRoute } from 'vue-router';
import PageFrame from '../../components/PageFrame.vue';
import AboutPart from './AboutPart.vue';
import GeneralPart from './GeneralPart.vue';
import InstrumentsPart from './InstrumentsPart.vue';
import WorkshopPart from './WorkshopPart.vue';

/** Everything that is set once: units and figures, the workshop, its instruments, what is stored, and about the program. */
const PARTS: readonly { id: string; name: string; component: Component }[] = [
  { id: 'general', name: say.general, component: GeneralPart },
  { id: 'workshop', name: say.workshop, component: WorkshopPart },
  { id: 'instruments', name: say.instruments, component: InstrumentsPart },
  { id: 'storage', name: say.storage, component: defineAsyncComponent(() => import('../safe/StoragePart.vue')) },
  { id: 'about', name: say.about, component: AboutPart },
];
const route = useRoute();
/** `/safe` is the older address of the part for storage. */
const wanted = computed(() => (route.name === 'safe' ? 'storage' : route.params.part));
const current = computed(() => PARTS.find((p) => p.id === wanted.value) ?? PARTS[0]);
</script>

<template>
  <PageFrame
    :title="say.settings"
    narrow
    :tabs="{ label: say.parts, base: '/settings', parts: PARTS, current: current.id }"
  >
    <component :is="current.component" :data-part="current.id" />
  </PageFrame>
</template>
