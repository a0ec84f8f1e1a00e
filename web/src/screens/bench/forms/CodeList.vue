<script setup lang="ts">
import { CODE_STATES } from '@mellow-probe/core/units/vocabulary';
import { codeText } from '@mellow-probe/core/wording/codeText';
import { curveSlope } from '@mellow-probe/core/job/curveSlope';
import { computed, ref } from 'vue';
import { newId } from '../../../composables/newId.ts';
import { useOpenJob } from '../../../stores/openJob.ts';

/** Trouble codes as typed, each with its state and what it means in this very circuit. */
const bench = useOpenJob();
const codes = computed(() => bench.job!.complaint.codes);
const text = ref('');
const STATES = {
  present: 'present',
  sporadic: 'sporadic',
  'came-back': 'cleared, came back',
  past: 'from the past',
} as const;
const meaning = (code: string): string =>
  codeText(code, bench.job!.circuit.layout, curveSlope(bench.job!.circuit.curve)) ??
  'Not a code known here: a maker’s own? Note what the scan tool says.';

function add(): void {
  for (const code of text.value
    .split(/[,;\n]+/)
    .map((c) => c.trim())
    .filter(Boolean)) {
    codes.value.push({ id: newId(), code: code.toUpperCase().slice(0, 400), state: 'present' });
  }
  text.value = '';
}
</script>

<template>
  <div>
    <h3>Codes</h3>
    <div v-for="c in codes" :key="c.id" class="code" data-test="code">
      <span class="mono">{{ c.code }}</span>
      <span class="soft">{{ meaning(c.code) }}</span>
      <select v-model="c.state" :aria-label="`State of ${c.code}`">
        <option v-for="s in CODE_STATES" :key="s" :value="s">{{ STATES[s] }}</option>
      </select>
      <button class="act quiet" type="button" @click="bench.job!.complaint.codes = codes.filter((x) => x.id !== c.id)">
        Remove
      </button>
    </div>
    <form class="row" @submit.prevent="add">
      <input
        v-model="text"
        class="text add"
        aria-label="Add a code"
        placeholder="P0118, or SPN 110 FMI 3"
        maxlength="400"
      />
      <button class="act" type="submit" :disabled="text.trim() === ''">Add code</button>
    </form>
  </div>
</template>

<style scoped>
.code {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr) 170px auto;
  gap: 10px;
  align-items: center;
  padding: 4px 0;
  border-top: 1px solid var(--line);
}
.add {
  max-width: 280px;
}
@media (max-width: 700px) {
  .code {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
