<script setup lang="ts">
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { decisionFormWords as say } from '@mellow-probe/core/wording/screens/benchForms';
import ChoiceRow from '../../../components/base/ChoiceRow.vue';
import TextField from '../../../components/base/TextField.vue';
import ActButton from '../../../components/base/ActButton.vue';
import { FAULT_GROUPS, type FaultGroup } from '@mellow-probe/core/base/units/vocabulary';
import { formatProbability } from '@mellow-probe/core/base/units/format';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { suspectDetail } from '@mellow-probe/core/wording/verdictText';
import { decidedText } from '@mellow-probe/core/wording/noticeText';
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
const chosen = ref<FaultGroup>();
const groups = FAULT_GROUPS.map((value) => ({ value, label: groupName(value) }));
const differs = computed(() => chosen.value && first.value !== null && chosen.value !== first.value.group);
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
  chosen.value = undefined;
  unsent.value = '';
}
</script>

<template>
  <FormSheet :title="say.decision" :purpose="say.purpose">
    <div v-if="first">
      <h3>{{ unmeasured ? say.onlyUsualOdds : say.theToolSays }}</h3>
      <p>{{ groupName(first.group) }}, {{ formatProbability(first.probability) }}.</p>
      <ul>
        <li v-for="s in suspects" :key="s.fault">
          {{ formatProbability(s.probability) }} {{ s.name
          }}<template v-if="suspectDetail(s)">, {{ suspectDetail(s) }}</template>
        </li>
      </ul>
    </div>
    <div v-if="decision" class="told" data-test="decision">
      <b>{{ decidedText(decision).decided }}</b> {{ unbroken(decidedText(decision).then) }}
      <ActButton icon="undo" kind="quiet" @click="job.decision = null">{{ say.undo }}</ActButton>
    </div>
    <div>
      <h3>{{ say.youDecide }}</h3>
      <ChoiceRow v-model="chosen" :label="say.yourDecision" :options="groups" />
    </div>
    <TextField
      v-if="chosen"
      v-model="reason"
      unsent
      :label="differs ? say.reasonRequired : say.reasonOptional"
      :rows="2"
      :maxlength="20000"
    />
    <div>
      <ActButton
        kind="main"
        :disabled="!chosen || !first || verdict.earlier || (differs && reason.trim() === '')"
        @click="decide"
      >
        {{ say.record }}
      </ActButton>
    </div>
  </FormSheet>
</template>

<style scoped>
ul {
  margin: 4px 0 0;
  padding-left: 18px;
}
</style>
