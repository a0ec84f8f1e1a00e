<script setup lang="ts">
import { workshopPartWords as say } from '@mellow-probe/core/wording/screens/settings';
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import NoticeBar from '../../components/base/NoticeBar.vue';
import WorkshopForm from '../../components/WorkshopForm.vue';
import { useOwnWorkshop } from '../../session/ownWorkshop.ts';

/** Who measures: for the head of every report. */
const own = useOwnWorkshop();
</script>

<template>
  <section class="sheet stacked">
    <p class="soft">{{ say.onEveryReport }}</p>
    <NoticeBar v-if="own.fault" kind="bad">{{ storageFaultText(own.fault) }}</NoticeBar>
    <WorkshopForm v-model="own.workshop" class="form" />
  </section>
</template>

<style scoped>
.form {
  width: 100%;
}
</style>
