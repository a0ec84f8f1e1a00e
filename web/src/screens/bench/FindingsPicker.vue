<script setup lang="ts">
import { FINDINGS } from '@mellow-probe/core/catalogue/findings';
import { Popover } from 'ant-design-vue';
import { computed } from 'vue';
import { useOpenJob } from '../../stores/openJob.ts';

/** Codes and findings that are no figures: each moves the odds by its documented factors. */
const bench = useOpenJob();
const KINDS = { code: 'Codes', history: 'History', look: 'Seen', feel: 'Felt' } as const;
const groups = Object.entries(KINDS).map(([kind, label]) => ({ label, list: FINDINGS.filter((f) => f.kind === kind) }));
const chosen = computed(() => FINDINGS.filter((f) => bench.job!.findings.includes(f.id)));

function toggle(id: string, on: boolean): void {
  const others = bench.job!.findings.filter((f) => f !== id);
  bench.job!.findings = on ? [...others, id] : others;
}
const factors = (ratios: Readonly<Record<string, number>>): string =>
  Object.entries(ratios)
    .map(([fault, ratio]) => `${fault} × ${ratio}`)
    .join(', ');
</script>

<template>
  <Popover trigger="click" placement="topLeft">
    <button class="act findings" type="button">
      <span v-if="chosen.length === 0">Codes and findings…</span>
      <span v-else class="names">{{ chosen.map((f) => f.name).join(' · ') }}</span>
    </button>
    <template #content>
      <div class="list" role="group" aria-label="Codes and findings">
        <section v-for="g in groups" :key="g.label">
          <div class="small-head">{{ g.label }}</div>
          <label v-for="f in g.list" :key="f.id" :title="factors(f.ratios)">
            <input type="checkbox" :checked="bench.job!.findings.includes(f.id)" @change="toggle(f.id, ($event.target as HTMLInputElement).checked)" />
            {{ f.name }}
          </label>
        </section>
        <p class="soft">Each moves the odds of some faults by a factor (rest the pointer on a line to see them).</p>
      </div>
    </template>
  </Popover>
</template>

<style scoped>
.findings {
  flex: 1 1 0;
  min-width: 0;
  justify-content: flex-start;
}
.names {
  overflow: hidden;
  text-overflow: ellipsis;
}
.list {
  max-height: 60vh;
  overflow-y: auto;
  width: 380px;
  max-width: 90vw;
}
label {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 40px;
  cursor: pointer;
}
input {
  width: 20px;
  height: 20px;
  accent-color: var(--spruce);
}
p {
  font-size: 12.5px;
}
</style>
