<script setup lang="ts">
import { instrumentsPartWords as say } from '@mellow-probe/core/wording/screens/settings';
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import KitForm from '../../components/KitForm.vue';
import NoticeBar from '../../components/base/NoticeBar.vue';
import { useKit } from '../../session/kit.ts';

/** What the technician measures with: new checks start with a copy of it. */
const kit = useKit();
</script>

<template>
  <section class="sheet stacked">
    <p class="soft">{{ say.allOptional }}</p>
    <NoticeBar v-if="kit.fault" kind="bad">{{ storageFaultText(kit.fault) }}</NoticeBar>
    <KitForm v-model="kit.kit" class="form" />
  </section>
</template>

<style scoped>
.form {
  width: 100%;
}
</style>
