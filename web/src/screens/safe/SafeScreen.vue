<script setup lang="ts">
import { safeScreenWords as say } from '@mellow-probe/core/wording/screens/safe';
import PageFrame from '../../components/PageFrame.vue';
import BackupPart from './BackupPart.vue';
import KeptPart from './KeptPart.vue';
import RestorePart from './RestorePart.vue';

/** Safe-keeping: everything out as one file, and back in; what is kept, and how safely. */
</script>

<template>
  <PageFrame :title="say.safeKeeping" narrow class="safe">
    <BackupPart />
    <RestorePart />
    <KeptPart />
  </PageFrame>
</template>

<style scoped>
.safe :deep(h2) {
  font-size: 17px;
  margin: 0;
}
.safe :deep(p) {
  margin: 0;
  max-width: 75ch;
}
.safe :deep(.row) {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
}
</style>
