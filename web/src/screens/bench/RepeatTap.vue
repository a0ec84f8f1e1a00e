<script setup lang="ts">
import { repeatTapWords as say } from '@mellow-probe/core/wording/screens/bench';
import { stateCaution } from '@mellow-probe/core/wording/stateText';
import type { MachineState } from '@mellow-probe/core/base/units/vocabulary';
import { ref } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import TapAside from '../../components/base/TapAside.vue';

/** A further reading of the same test: under which conditions is asked before the figure. */
defineProps<{ kind?: 'quiet' | 'bare' }>();
/** Without a state: in the conditions of the reading on the card. */
const emit = defineEmits<{ again: [state: MachineState | undefined] }>();
const open = ref(false);
const CAUTIONS = (['hot', 'wiggling'] as const).map(stateCaution);
function choose(state?: MachineState): void {
  open.value = false;
  emit('again', state);
}
</script>

<template>
  <TapAside v-model:open="open" :title="say.question">
    <ActButton :kind="kind ?? 'quiet'"><slot /></ActButton>
    <template #content>
      <div class="ways" data-test="repeat">
        <ActButton @click="choose()">{{ say.sameConditions }}</ActButton>
        <ActButton @click="choose('hot')">{{ say.hot }}</ActButton>
        <ActButton @click="choose('wiggling')">{{ say.wiggling }}</ActButton>
        <p v-for="caution in CAUTIONS" :key="caution ?? ''" class="caution">▲ {{ caution }}</p>
      </div>
    </template>
  </TapAside>
</template>

<style scoped>
.ways {
  display: flex;
  flex-direction: column;
  gap: 6px;
  max-width: 260px;
}
.caution {
  margin: 0;
  font-size: 0.7812rem;
  color: var(--amber-ink);
}
</style>
