<script setup lang="ts">
import { codeListWords as say } from '@mellow-probe/core/wording/screens/benchForms';
import PickList from '../../../components/base/PickList.vue';
import TextField from '../../../components/base/TextField.vue';
import ActButton from '../../../components/base/ActButton.vue';
import { codesIn, meantCode } from '@mellow-probe/core/catalogue/parts/troubleCodes';
import { CODE_STATES } from '@mellow-probe/core/base/units/vocabulary';
import { MOST } from '@mellow-probe/core/check/job/most';
import { codeText } from '@mellow-probe/core/wording/codeText';
import { curveSlope } from '@mellow-probe/core/check/job/curveSlope';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { computed } from 'vue';
import { newId } from '../../../browser/newId.ts';
import { useUnsent } from '../../../session/unsent.ts';
import { useOwnCodes } from '../../../session/ownCodes.ts';
import { useSession } from '../../../session/jobSession.ts';

/** Trouble codes as typed, each with its state and what it means in this very circuit. */
const { job } = useSession();
const ownCodes = useOwnCodes();
const codes = computed(() => job.complaint.codes);
const text = useUnsent('code');
const STATES = {
  present: say.present,
  sporadic: say.sporadic,
  'came-back': say.clearedCameBack,
  past: say.fromThePast,
} as const;
const states = CODE_STATES.map((value) => ({ value, label: STATES[value] }));
const meaning = (code: Job['complaint']['codes'][number]): string =>
  codeText(code, job.circuit.layout, curveSlope(job.circuit.curve), job.circuit.name) ?? say.unknownCode;

/** The code that was probably meant where a letter stands for a digit, beside the one that is kept. */
const meant = computed(() => new Map(codes.value.map((c) => [c.id, c.own ? null : meantCode(c.code)])));

const full = computed(() => codes.value.length >= MOST.codes);
function add(): void {
  const room = MOST.codes - codes.value.length;
  const typed = codesIn(text.value, ownCodes.codes);
  for (const { code, state, own } of typed.slice(0, room))
    codes.value.push({
      id: newId(),
      code: own ? code : code.toUpperCase(),
      state: state ?? 'present',
      ...(own ? { own: { what: own.what, says: own.says } } : {}),
    });
  text.value = typed
    .slice(room)
    .map((c) => c.typed)
    .join(', ');
}
</script>

<template>
  <div>
    <h3>{{ say.codes }}</h3>
    <div v-for="c in codes" :key="c.id" class="code" data-test="code">
      <span class="mono">{{ c.code }}</span>
      <span v-if="meant.get(c.id)" class="meant">
        {{ say.didYouMean(meant.get(c.id)!) }}
        <ActButton @click="c.code = meant.get(c.id)!">{{ say.useCode(meant.get(c.id)!) }}</ActButton>
      </span>
      <span v-else class="soft">{{ meaning(c) }}</span>
      <PickList v-model="c.state" :label="say.stateOf(c.code)" hide-label :options="states" />
      <ActButton kind="quiet" @click="job.complaint.codes = codes.filter((x) => x.id !== c.id)">
        {{ say.remove }}
      </ActButton>
    </div>
    <form class="row" @submit.prevent="add">
      <TextField
        v-model="text"
        class="add"
        unsent
        :label="say.addACode"
        hide-label
        :placeholder="say.exampleCodes"
        :maxlength="400"
      />
      <ActButton submit :disabled="text.trim() === '' || full">{{ say.addCode }}</ActButton>
    </form>
    <p v-if="full" class="soft">{{ say.full(MOST.codes) }}</p>
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
.meant {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
.add {
  flex: 0 1 280px;
}
@media (max-width: 43.75em) {
  .code {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
