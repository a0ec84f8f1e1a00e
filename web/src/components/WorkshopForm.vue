<script setup lang="ts">
import type { Workshop } from '@mellow-probe/core/kit/workshopSchema';
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
  fault.value = image ? '' : 'This file is no picture that the browser can read.';
  if (image) workshop.value.logo = image;
}
</script>

<template>
  <div class="workshop">
    <TextField v-model="workshop.name" label="Workshop" :maxlength="400" />
    <TextField v-model="workshop.technician" label="Technician" :maxlength="400" />
    <TextField
      v-model="workshop.contact"
      class="wide"
      label="Address, telephone, licence"
      :maxlength="400"
      placeholder="one line under the name"
    />
    <div class="wide logo">
      <img v-if="workshop.logo" :src="workshop.logo" alt="The workshop’s logo" />
      <FilePick label="Logo…" about="Logo of the workshop" accept="image/*" @files="takeLogo" />
      <ActButton v-if="workshop.logo" kind="quiet" @click="workshop.logo = null">Remove the logo</ActButton>
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
