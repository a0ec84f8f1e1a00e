<script setup lang="ts">
import { trainScreenWords as say } from '@mellow-probe/core/wording/screens/train';
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import { type Component, computed, onMounted } from 'vue';
import { useRoute } from 'vue-router';
import NoticeBar from '../../components/base/NoticeBar.vue';
import PageFrame from '../../components/PageFrame.vue';
import { useTraining } from '../../data/stores/training.ts';
import { trainingLines } from '../../workers/trainingClient.ts';
import CasesPart from './CasesPart.vue';
import CoursePart from './CoursePart.vue';
import ExamPart from './ExamPart.vue';
import ProgressPart from './ProgressPart.vue';

/** The training bench: a course, cases, exams, and how it goes. */
const PARTS: readonly { id: string; name: string; component: Component }[] = [
  { id: 'course', name: say.course, component: CoursePart },
  { id: 'cases', name: say.cases, component: CasesPart },
  { id: 'exam', name: say.exam, component: ExamPart },
  { id: 'progress', name: say.progress, component: ProgressPart },
];
const route = useRoute();
const training = useTraining();
const current = computed(() => PARTS.find((p) => p.id === route.params.part) ?? PARTS[0]);
onMounted(() => {
  void training.load();
  trainingLines();
});
</script>

<template>
  <PageFrame :title="say.training" :tabs="{ label: say.parts, base: '/train', parts: PARTS, current: current.id }">
    <NoticeBar v-if="training.fault" kind="bad">{{ storageFaultText(training.fault) }}</NoticeBar>
    <component :is="current.component" />
  </PageFrame>
</template>
