<script setup lang="ts">
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import { type Component, computed, onMounted } from 'vue';
import { useRoute } from 'vue-router';
import NoticeBar from '../../components/base/NoticeBar.vue';
import PageFrame from '../../components/PageFrame.vue';
import { useTraining } from '../../stores/training.ts';
import { trainingLines } from '../../workers/trainingClient.ts';
import CasesPart from './CasesPart.vue';
import CoursePart from './CoursePart.vue';
import ExamPart from './ExamPart.vue';
import ProgressPart from './ProgressPart.vue';

/** The training bench: a course, cases, exams, and how it goes. */
const PARTS: readonly { id: string; name: string; component: Component }[] = [
  { id: 'course', name: 'Course', component: CoursePart },
  { id: 'cases', name: 'Cases', component: CasesPart },
  { id: 'exam', name: 'Exam', component: ExamPart },
  { id: 'progress', name: 'Progress', component: ProgressPart },
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
  <PageFrame
    title="Training"
    :tabs="{ label: 'Parts of the training', base: '/train', parts: PARTS, current: current.id }"
  >
    <NoticeBar v-if="training.fault" kind="bad">{{ storageFaultText(training.fault) }}</NoticeBar>
    <component :is="current.component" />
  </PageFrame>
</template>
