<script setup lang="ts">
import { kitToolWords as say } from '@mellow-probe/core/wording/screens/tools';
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import KitForm from '../../components/KitForm.vue';
import WorkshopForm from '../../components/WorkshopForm.vue';
import { useOwnWorkshop } from '../../session/ownWorkshop.ts';
import { useKit } from '../../session/kit.ts';

/** The technician's own kit: new checks start with a copy of it; and who he is, for reports. */
const kit = useKit();
const own = useOwnWorkshop();
</script>

<template>
  <p class="soft">
    {{ say.nobodyHasToFillThisIn }}
  </p>
  <p v-if="kit.fault ?? own.fault" class="told odd" role="alert">{{ storageFaultText((kit.fault ?? own.fault)!) }}</p>
  <KitForm v-model="kit.kit" />
  <h2>{{ say.workshop }}</h2>
  <p class="soft">{{ say.onTheHeadOfEveryReport }}</p>
  <WorkshopForm v-model="own.workshop" />
</template>

<style scoped>
h2 {
  margin: 20px 0 0;
  font-size: 16px;
}
</style>
