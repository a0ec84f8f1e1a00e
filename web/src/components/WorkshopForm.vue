<script setup lang="ts">
import { workshopFormWords as say } from '@mellow-probe/core/wording/screens/components';
import type { Workshop } from '@mellow-probe/core/catalogue/kit/workshopSchema';
import { ref } from 'vue';
import { scaledPng } from '../browser/scaledJpeg.ts';
import ActButton from './base/ActButton.vue';
import FilePick from './base/FilePick.vue';
import TextField from './base/TextField.vue';

/** Who measures: for the head of the report and the line to be signed on. */
const workshop = defineModel<Workshop>({ required: true });
/** Longer side of a kept logo, px. */
const LOGO_PX = 320;
const fault = ref('');

async function takeLogo([file]: File[]): Promise<void> {
  const image = file ? await scaledPng(file, LOGO_PX) : null;
  fault.value = image ? '' : say.unreadableLogo;
  if (image) workshop.value.logo = image;
}
</script>

<template>
  <div class="workshop">
    <TextField v-model="workshop.name" :label="say.workshop" :maxlength="400" />
    <TextField v-model="workshop.technician" :label="say.technician" :maxlength="400" />
    <TextField
      v-model="workshop.contact"
      class="wide"
      :label="say.addressTelephoneLicence"
      :maxlength="400"
      :placeholder="say.tagline"
    />
    <div class="wide logo">
      <img v-if="workshop.logo" :src="workshop.logo" :alt="say.theWorkshopsLogo" />
      <FilePick :label="say.logo" :about="say.logoAlt" accept="image/*" @files="takeLogo" />
      <ActButton v-if="workshop.logo" kind="quiet" @click="workshop.logo = null">{{ say.removeTheLogo }}</ActButton>
      <span v-if="fault" role="alert" class="fault">{{ fault }}</span>
    </div>
  </div>
</template>

<style scoped>
.workshop {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 6px 12px;
}
.wide {
  grid-column: 1 / -1;
}
.logo {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
img {
  max-width: 160px;
  max-height: 56px;
  background: #fff;
  border: 1px solid var(--line);
}
.fault {
  color: var(--clay);
}
</style>
