<script setup lang="ts">
import { caseHeadWords as say } from '@mellow-probe/core/wording/screens/trainPlay';
import { caseCostsText, caseCodeText } from '@mellow-probe/core/wording/noticeText';
import { computed } from 'vue';
import { usePractice } from '../../session/practice.ts';

/** The case as it was brought, with the clock and the purse. */
const { standing, handed } = usePractice();
const state = computed(() => standing.value.state);
const spent = computed(() => Math.round(state.value.total));
const over = computed(() => ({
  minutes: state.value.minutes > handed.allowed.minutes,
  money: state.value.total > handed.allowed.money,
}));
</script>

<template>
  <section class="sheet part" :aria-label="say.clockAndPurse">
    <div class="clock">
      <span :class="{ over: over.minutes }" data-test="minutes"
        ><b class="mono">{{ Math.round(state.minutes) }}</b> {{ say.ofMin(handed.allowed.minutes) }}</span
      >
      <span :class="{ over: over.money }" data-test="spent"
        ><b class="mono">{{ spent }}</b> {{ say.ofCost(handed.allowed.money) }}</span
      >
    </div>
    <p class="complaint">{{ handed.job.machine }}. {{ handed.job.complaint.text }}</p>
    <p v-for="c in handed.job.complaint.codes" :key="c.id" class="soft code">
      {{ caseCodeText(c) }}
    </p>
    <p class="soft code">
      {{ caseCostsText(handed.costs) }}
    </p>
  </section>
</template>

<style scoped>
.part {
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding: 10px 14px;
}
.part p {
  margin: 0;
}
.clock {
  display: flex;
  justify-content: space-between;
  gap: 12px;
}
.clock b {
  font-size: 1.25rem;
}
.over {
  color: var(--clay-ink, var(--clay));
  font-weight: 600;
}
.code {
  font-size: 0.8438rem;
}
</style>
