<script setup lang="ts">
import { closeJobWords as say } from '@mellow-probe/core/wording/screens/benchForms';
import TextField from '../../../components/base/TextField.vue';
import ActButton from '../../../components/base/ActButton.vue';
import type { ProofState } from '@mellow-probe/core/check/proof/proofPlan';
import { lacksText } from '@mellow-probe/core/wording/progressText';
import { closedText } from '@mellow-probe/core/wording/noticeText';
import { computed } from 'vue';
import { nowIso } from '../../../browser/newId.ts';
import { useUnsent } from '../../../session/unsent.ts';
import { useSession } from '../../../session/jobSession.ts';

/** A job closes with proof, or with a reason why there is none. */
const props = defineProps<{ state: ProofState }>();
const { job } = useSession();
const reason = useUnsent('closing');
const closed = computed(() => job.closed);
const lacks = computed(() => lacksText(props.state));
function close(how: 'proved' | 'unproved'): void {
  if (how === 'unproved' && reason.value.trim() === '') return;
  job.closed = { at: nowIso(), how, reason: reason.value.trim() };
  reason.value = '';
}
</script>

<template>
  <div data-test="close">
    <h3>{{ say.closeTheJob }}</h3>
    <template v-if="closed">
      <p :class="['told', { odd: closed.how !== 'proved' }]">
        {{ closedText(closed) }}
        <ActButton kind="quiet" @click="job.closed = null">{{ say.openItAgain }}</ActButton>
      </p>
      <ActButton icon="fileText" kind="main" :to="`/check/${job.id}/report`">{{ say.report }}</ActButton>
    </template>
    <template v-else-if="state.proved">
      <p class="told">{{ say.verified }}</p>
      <ActButton kind="main" @click="close('proved')">{{ say.closeAsProved }}</ActButton>
    </template>
    <template v-else>
      <p class="told odd">{{ say.notProvedYet(lacks.join('; ')) }}</p>
      <TextField v-model="reason" unsent :label="say.closeAnyway" :rows="2" :maxlength="20000" />
      <ActButton :disabled="reason.trim() === ''" @click="close('unproved')"> {{ say.closeWithoutProof }} </ActButton>
    </template>
  </div>
</template>

<style scoped>
.act {
  margin-top: 8px;
}
</style>
