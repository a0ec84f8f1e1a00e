<script setup lang="ts">
import TopBar from '../../components/TopBar.vue';
import BackupPart from './BackupPart.vue';
import KeptPart from './KeptPart.vue';
import RestorePart from './RestorePart.vue';

/** Safe-keeping: everything out as one file, and back in; what is kept, and how safely. */
</script>

<template>
  <div>
    <TopBar back><h1 class="title">Safe-keeping</h1></TopBar>
    <main>
      <BackupPart />
      <RestorePart />
      <KeptPart />
    </main>
  </div>
</template>

<style scoped>
.title {
  font-size: 17px;
}
main {
  max-width: 900px;
  margin: 0 auto;
  padding: 10px 12px 24px;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
main :deep(.part) {
  padding: 14px 18px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  align-items: flex-start;
}
main :deep(h2) {
  font-size: 17px;
  margin: 0;
}
main :deep(p) {
  margin: 0;
  max-width: 75ch;
}
main :deep(.row) {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
}
</style>
