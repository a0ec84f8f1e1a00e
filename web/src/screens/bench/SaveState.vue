<script setup lang="ts">
import { saveStateWords as say } from '@mellow-probe/core/wording/screens/bench';
import ActButton from '../../components/base/ActButton.vue';
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import { useSession } from '../../session/jobSession.ts';

/** Whether what was typed is kept, in words; what to do when it is not. */
defineEmits<{ export: [] }>();
const { keeping, record } = useSession();
</script>

<template>
  <span v-if="keeping.kind === 'refused'" class="fault" role="alert">
    {{ say.notKept(storageFaultText(keeping.fault)) }}
    <ActButton icon="reload" @click="record.keepAgain()">{{ say.tryAgain }}</ActButton>
    <ActButton @click="$emit('export')">{{ say.exportNow }}</ActButton>
  </span>
  <span v-else-if="keeping.kind === 'removed-elsewhere'" class="fault" role="alert">
    {{ say.deletedElsewhere }}
    <ActButton @click="record.keepAgain()">{{ say.keepIt }}</ActButton>
  </span>
  <span v-else class="soft" data-test="save-state">{{ keeping.kind === 'kept' ? say.kept : say.keeping }}</span>
</template>

<style scoped>
.fault {
  display: flex;
  gap: 8px;
  align-items: center;
  color: var(--clay);
  font-weight: 600;
}
.fault .act {
  min-height: 40px;
}
.soft {
  font-size: 0.8125rem;
}
@media (max-width: 38.75em) {
  .fault {
    flex-wrap: wrap;
    font-size: 0.8125rem;
  }
}
</style>
