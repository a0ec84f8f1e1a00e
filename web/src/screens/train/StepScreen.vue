<script setup lang="ts">
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { stepScreenWords as say } from '@mellow-probe/core/wording/screens/train';
import { COURSE } from '@mellow-probe/core/training/cases/course';
import type { PlayMode } from '@mellow-probe/core/training/cases/playRecord';
import { computed, onMounted, ref } from 'vue';
import { useRoute } from 'vue-router';
import ActButton from '../../components/base/ActButton.vue';
import TopBar from '../../components/TopBar.vue';
import { useTraining } from '../../data/stores/training.ts';
import { trainingLines } from '../../workers/trainingClient.ts';
import CourseDesk from './CourseDesk.vue';
import ModeChoice from './ModeChoice.vue';
import RefusedBar from './RefusedBar.vue';
import { useBegin } from './useBegin.ts';

/** One step of the course: a page to read, a desk to move, three cases. */
const route = useRoute();
const { begin, refused } = useBegin();
const training = useTraining();
const at = computed(() =>
  Math.max(
    0,
    COURSE.findIndex((s) => s.id === route.params.step),
  ),
);
const step = computed(() => COURSE[at.value]);
const mode = ref<PlayMode>('hidden');
onMounted(() => {
  void training.load();
  trainingLines();
});
const cases = computed(() =>
  step.value.cases.map((number) => {
    const tries = training.plays.filter((p) => p.number === number && p.partOf === step.value.id);
    const best = tries.find((p) => p.result?.right) ?? tries.find((p) => p.result) ?? tries[0];
    const right = best?.result?.right === true;
    return { number, right, stands: !best ? '' : !best.result ? say.begun : right ? say.right : say.notFirstTime };
  }),
);
</script>

<template>
  <div>
    <TopBar back folds :actions="[{ name: say.training, to: '/train' }]">
      <h1 class="title">{{ at + 1 }} · {{ step.title }}</h1>
    </TopBar>
    <main>
      <RefusedBar :shown="refused" />
      <article class="sheet part">
        <p v-for="p in step.page" :key="p">{{ unbroken(p) }}</p>
      </article>
      <section class="sheet part" :aria-label="say.toMove">
        <h2>{{ say.tryIt }}</h2>
        <p>{{ unbroken(step.tryThis) }}</p>
        <CourseDesk :start="step.desk" />
      </section>
      <section class="sheet part" :aria-label="say.threeCases">
        <h2>{{ say.threeCases }}</h2>
        <ModeChoice v-model="mode" />
        <div class="cases">
          <div v-for="(c, i) in cases" :key="c.number" class="case">
            <ActButton
              :kind="i === cases.findIndex((x) => !x.right) ? 'main' : 'plain'"
              @click="begin(c.number, mode, step.id)"
              >{{ say.case(i + 1) }}</ActButton
            >
            <span class="soft">{{ c.stands || c.number }}</span>
          </div>
        </div>
        <div class="ways">
          <ActButton v-if="at > 0" kind="quiet" :to="`/train/course/${COURSE[at - 1].id}`"
            >‹ {{ COURSE[at - 1].title }}</ActButton
          >
          <ActButton v-if="at < COURSE.length - 1" kind="quiet" :to="`/train/course/${COURSE[at + 1].id}`"
            >{{ COURSE[at + 1].title }} ›</ActButton
          >
        </div>
      </section>
    </main>
  </div>
</template>

<style scoped>
.title {
  font-size: 1.0625rem;
  flex: 1;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
main {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
  gap: 10px;
  padding: 12px;
  max-width: 1180px;
  margin: 0 auto;
}
.part {
  padding: 14px 20px;
}
article p {
  font-size: 1.0312rem;
  line-height: 1.55;
  margin: 0 0 12px;
  max-width: 62ch;
}
h2 {
  font-size: 1.0625rem;
  margin: 0 0 6px;
}
main > :nth-child(n + 2):not(:nth-last-child(1)) {
  grid-row: span 2;
}
.cases,
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  margin-top: 10px;
}
.case {
  display: flex;
  align-items: center;
  gap: 8px;
}
.ways {
  justify-content: space-between;
}
@media (max-width: 56.25em) {
  main {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
