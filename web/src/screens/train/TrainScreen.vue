<script setup lang="ts">
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import { type Component, computed, onMounted } from 'vue';
import { useRoute } from 'vue-router';
import NoticeBar from '../../components/base/NoticeBar.vue';
import PartTabs from '../../components/PartTabs.vue';
import TopBar from '../../components/TopBar.vue';
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
  <div>
    <TopBar back class="no-print"><h1 class="title">Training</h1></TopBar>
    <main>
      <PartTabs label="Parts of the training" base="/train" :parts="PARTS" :current="current.id" />
      <div class="part-body">
        <NoticeBar v-if="training.fault" kind="bad">{{ storageFaultText(training.fault) }}</NoticeBar>
        <component :is="current.component" />
      </div>
    </main>
  </div>
</template>

<style scoped>
.title {
  font-size: 17px;
}
main {
  max-width: 1180px;
  margin: 0 auto;
  padding: 8px 12px 24px;
}
.part-body {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
@media print {
  .no-print {
    display: none;
  }
}
</style>
