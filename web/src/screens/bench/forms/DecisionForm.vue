<script setup lang="ts">
import { FAULT_GROUPS, type FaultGroup } from '@mellow-probe/core/units/vocabulary';
import { formatProbability } from '@mellow-probe/core/units/format';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { suspectDetail } from '@mellow-probe/core/wording/verdictText';
import { computed, ref } from 'vue';
import { nowIso } from '../../../browser/newId.ts';
import { useUnsent } from '../../../session/unsent.ts';
import { useSession } from '../../../session/jobSession.ts';
import FormSheet from './FormSheet.vue';

/** The technician decides; the tool's verdict stands beside it, and a reason where they differ. */
const { job, verdict } = useSession();
const decision = computed(() => job.decision);
/** A decision is set beside what the tool says of these very figures. */
const assessment = computed(() => (verdict.fault ? null : (verdict.result?.assessment ?? null)));
const first = computed(() => assessment.value?.groups[0] ?? null);
const suspects = computed(() => assessment.value?.suspects.slice(0, 4) ?? []);
const unmeasured = computed(() => assessment.value?.doubt.kind === 'no-readings');
const chosen = ref<FaultGroup | null>(null);
const differs = computed(() => chosen.value !== null && first.value !== null && chosen.value !== first.value.group);
const unsent = useUnsent('decision');
const reason = computed({
  get: () => unsent.value || (decision.value?.reason ?? ''),
  set: (text) => (unsent.value = text),
});

function decide(): void {
  if (!chosen.value || !first.value || verdict.earlier || (differs.value && reason.value.trim() === '')) return;
  job.decision = {
    group: chosen.value,
    toolGroup: first.value.group,
    toolProbability: first.value.probability,
    reason: reason.value.trim(),
    decidedAt: nowIso(),
  };
  chosen.value = null;
  unsent.value = '';
}
</script>

<template>
  <FormSheet
    title="Decision"
    purpose="The tool advises; you decide, by the maker’s data and local codes. Where you decide otherwise, say why: the report shows both."
  >
    <div v-if="first">
      <h3>{{ unmeasured ? 'Nothing measured yet: the usual odds' : 'The tool says' }}</h3>
      <p>{{ groupName(first.group) }}, {{ formatProbability(first.probability) }}.</p>
      <ul>
        <li v-for="s in suspects" :key="s.fault">
          {{ formatProbability(s.probability) }} {{ s.name
          }}<template v-if="suspectDetail(s)">, {{ suspectDetail(s) }}</template>
        </li>
      </ul>
    </div>
    <div v-if="decision" class="told" data-test="decision">
      <b>Decided: {{ groupName(decision.group) }}</b> (the tool then: {{ groupName(decision.toolGroup).toLowerCase() }}
      {{ formatProbability(decision.toolProbability) }}).
      {{ decision.reason }}
      <button class="act quiet" type="button" @click="job.decision = null">Undo</button>
    </div>
    <div role="radiogroup" aria-label="Your decision">
      <h3>You decide</h3>
      <div class="row">
        <label v-for="g in FAULT_GROUPS" :key="g" class="check choice"
          ><input v-model="chosen" type="radio" name="decision" :value="g" />{{ groupName(g) }}</label
        >
      </div>
    </div>
    <label v-if="chosen" class="line"
      >{{ differs ? 'Why otherwise than the tool (needed)' : 'Reason, if you like' }}
      <textarea v-model="reason" data-unsent rows="2" maxlength="20000"></textarea>
    </label>
    <div>
      <button
        class="act main"
        type="button"
        :disabled="!chosen || !first || verdict.earlier || (differs && reason.trim() === '')"
        @click="decide"
      >
        Record the decision
      </button>
    </div>
  </FormSheet>
</template>

<style scoped>
ul {
  margin: 4px 0 0;
  padding-left: 18px;
}
.choice {
  border: 1px solid var(--line-strong);
  border-radius: 10px;
  padding: 0 14px 0 10px;
  min-height: 44px;
}
</style>
