<script setup lang="ts">
import { lookFormWords as say } from '@mellow-probe/core/wording/screens/benchForms';
import CheckBox from '../../../components/base/CheckBox.vue';
import TextField from '../../../components/base/TextField.vue';
import { FINDINGS } from '@mellow-probe/core/catalogue/parts/findings';
import { faultById } from '@mellow-probe/core/circuit/faults/list';
import { computed } from 'vue';
import { useSession } from '../../../session/jobSession.ts';
import FormSheet from './FormSheet.vue';
import PhotoStrip from './PhotoStrip.vue';

/** What was seen and felt: each finding moves the odds by its documented factors, which are shown. */
const { job } = useSession();
const KINDS = { look: say.seen, feel: say.feltAndHeated, history: say.history, code: say.unnumberedWarnings } as const;
const groups = Object.entries(KINDS).map(([kind, label]) => ({ label, list: FINDINGS.filter((f) => f.kind === kind) }));
const chosen = computed(() => job.findings);

function toggle(id: string, on: boolean): void {
  const others = chosen.value.filter((f) => f !== id);
  job.findings = on ? [...others, id] : others;
}
const factors = (ratios: Readonly<Record<string, number>>): string =>
  Object.entries(ratios)
    .sort((a, b) => b[1] - a[1])
    .map(([fault, ratio]) => `${faultById(fault).name} × ${ratio}`)
    .join(', ');
</script>

<template>
  <FormSheet :title="say.look" :purpose="say.purpose">
    <p class="caution">
      {{ say.caution }}
    </p>
    <div class="two">
      <div v-for="g in groups" :key="g.label" role="group" :aria-label="g.label">
        <h3>{{ g.label }}</h3>
        <template v-for="f in g.list" :key="f.id">
          <CheckBox :model-value="chosen.includes(f.id)" @update:model-value="toggle(f.id, $event)">{{
            f.name
          }}</CheckBox>
          <p v-if="chosen.includes(f.id)" class="factors">{{ factors(f.ratios) }}</p>
        </template>
      </div>
    </div>
    <TextField v-model="job.note" :label="say.note" :rows="2" :maxlength="20000" :placeholder="say.causeHint" />
    <PhotoStrip />
  </FormSheet>
</template>

<style scoped>
.factors {
  font-size: 0.7812rem;
  color: var(--soft);
  padding: 0 0 4px 30px;
}
</style>
