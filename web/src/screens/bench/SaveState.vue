<script setup lang="ts">
import ActButton from '../../components/base/ActButton.vue';
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import { useSession } from '../../session/jobSession.ts';

/** Whether what was typed is kept, in words; what to do when it is not. */
defineEmits<{ export: [] }>();
const { keeping, record } = useSession();
</script>

<template>
  <span v-if="keeping.kind === 'refused'" class="fault" role="alert">
    Not kept. {{ storageFaultText(keeping.fault) }}
    <ActButton icon="reload" @click="record.keepAgain()">Try again</ActButton>
    <ActButton @click="$emit('export')">Export now</ActButton>
  </span>
  <span v-else-if="keeping.kind === 'removed-elsewhere'" class="fault" role="alert">
    Deleted in another window.
    <ActButton @click="record.keepAgain()">Keep it</ActButton>
  </span>
  <span v-else class="soft" data-test="save-state">{{ keeping.kind === 'kept' ? 'kept' : 'keeping…' }}</span>
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
  font-size: 13px;
}
@media (max-width: 620px) {
  .fault {
    flex-wrap: wrap;
    font-size: 13px;
  }
}
</style>
