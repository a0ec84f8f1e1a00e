<script setup lang="ts">
import { logbookScreenWords as say } from '@mellow-probe/core/wording/screens/logbook';
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import { type Component, computed, onMounted } from 'vue';
import { useRoute } from 'vue-router';
import NoticeBar from '../../components/base/NoticeBar.vue';
import PageFrame from '../../components/PageFrame.vue';
import { useJobs } from '../../data/stores/jobs/jobs.ts';
import DuePart from './DuePart.vue';
import ExperiencePart from './ExperiencePart.vue';
import PlacesPart from './PlacesPart.vue';

/** The workshop's years: machines and places, what is still to be done, and what its own checks have taught. */
const PARTS: readonly { id: string; name: string; component: Component }[] = [
  { id: 'places', name: say.machines, component: PlacesPart },
  { id: 'due', name: say.due, component: DuePart },
  { id: 'experience', name: say.experience, component: ExperiencePart },
];
const route = useRoute();
const jobs = useJobs();
const current = computed(() => PARTS.find((p) => p.id === route.params.part) ?? PARTS[0]);
onMounted(() => void jobs.load());
</script>

<template>
  <PageFrame :title="say.logbook" :tabs="{ label: say.parts, base: '/logbook', parts: PARTS, current: current.id }">
    <NoticeBar v-if="jobs.fault" kind="bad">{{ storageFaultText(jobs.fault) }}</NoticeBar>
    <component :is="current.component" v-if="jobs.loaded" />
    <p v-else class="soft">{{ say.readingTheChecks }}</p>
  </PageFrame>
</template>
