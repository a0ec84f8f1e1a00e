<script setup lang="ts">
import { useOpenJob } from '../../stores/openJob.ts';

/** Whether what was typed is kept, in words; what to do when it is not. */
defineEmits<{ export: [] }>();
const bench = useOpenJob();
</script>

<template>
  <span v-if="bench.saveFault" class="fault" role="alert">
    Not kept: {{ bench.saveFault === 'full' ? 'the browser’s storage is full' : 'the browser blocks its storage' }}.
    <button class="act" type="button" @click="bench.retrySave()">Try again</button>
    <button class="act" type="button" @click="$emit('export')">Export now</button>
  </span>
  <span v-else-if="bench.removedElsewhere" class="fault" role="alert">
    Deleted in another window.
    <button class="act" type="button" @click="bench.retrySave()">Keep it</button>
  </span>
  <span v-else class="soft" data-test="save-state">{{ bench.saving ? 'keeping…' : 'kept' }}</span>
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
</style>
