<script setup lang="ts">
import { coursePartWords as say } from '@mellow-probe/core/wording/screens/train';
import { COURSE } from '@mellow-probe/core/training/cases/course';
import { computed } from 'vue';
import { useTraining } from '../../data/stores/training.ts';

/** The steps of the course, with how far each has come. */
const training = useTraining();
const steps = computed(() =>
  COURSE.map((s) => {
    const own = training.plays.filter((p) => p.partOf === s.id && p.result);
    const right = s.cases.filter((n) => own.some((p) => p.number === n && p.result!.right)).length;
    return { ...s, right, begun: own.length > 0 };
  }),
);
const next = computed(() => steps.value.findIndex((s) => s.right < s.cases.length));
</script>

<template>
  <section class="sheet part" :aria-label="say.course">
    <p class="soft lead">
      {{ say.purpose }}
    </p>
    <ol>
      <li v-for="(s, i) in steps" :key="s.id">
        <RouterLink :to="`/train/course/${s.id}`" :class="{ next: i === next }">
          <span class="sign" :class="{ done: s.right === s.cases.length }">{{
            s.right === s.cases.length ? '●' : s.begun ? '◐' : '○'
          }}</span>
          <span class="mono number">{{ i + 1 }}</span>
          <span class="name">{{ s.title }}</span>
          <span class="soft count">{{ s.begun ? say.ofRight(s.right, s.cases.length) : '' }}</span>
        </RouterLink>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.part {
  padding: 14px 18px;
}
.lead {
  margin: 0 0 8px;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  columns: 2;
  column-gap: 24px;
}
li {
  break-inside: avoid;
}
a {
  display: grid;
  grid-template-columns: 20px 28px minmax(0, 1fr) auto;
  align-items: center;
  min-height: 46px;
  padding: 0 8px;
  border-radius: 9px;
  color: var(--ink);
  text-decoration: none;
}
a:hover,
.next {
  background: var(--spruce-soft);
}
.next .name {
  font-weight: 600;
}
.sign {
  color: var(--soft);
}
.done {
  color: var(--moss);
}
.count {
  font-size: 0.8125rem;
}
@media (max-width: 56.25em) {
  ol {
    columns: 1;
  }
  a {
    min-height: 48px;
  }
}
</style>
