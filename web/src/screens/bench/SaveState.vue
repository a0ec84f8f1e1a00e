<script setup lang="ts">
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import { useSession } from '../../session/jobSession.ts';

/** Whether what was typed is kept, in words; what to do when it is not. */
defineEmits<{ export: [] }>();
const { keeping, record } = useSession();
</script>

<template>
  <span v-if="keeping.kind === 'refused'" class="fault" role="alert">
    Not kept. {{ storageFaultText(keeping.fault) }}
    <button class="act" type="button" @click="record.keepAgain()">Try again</button>
    <button class="act" type="button" @click="$emit('export')">Export now</button>
  </span>
  <span v-else-if="keeping.kind === 'removed-elsewhere'" class="fault" role="alert">
    Deleted in another window.
    <button class="act" type="button" @click="record.keepAgain()">Keep it</button>
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
