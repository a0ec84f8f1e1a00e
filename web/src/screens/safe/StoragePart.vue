<script setup lang="ts">
import BackupPart from './BackupPart.vue';
import KeptPart from './KeptPart.vue';
import RestorePart from './RestorePart.vue';

/** Everything out as one file, and back in; what is stored, how safely, and for use without the server. */
</script>

<template>
  <div class="storage">
    <BackupPart />
    <RestorePart />
    <KeptPart />
  </div>
</template>

<style scoped>
.storage {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.storage :deep(h2) {
  font-size: 1.0625rem;
  margin: 0;
}
.storage :deep(p) {
  margin: 0;
  max-width: 75ch;
}
.storage :deep(.row) {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
}
</style>
