<script setup lang="ts">
import PickList from '../../components/base/PickList.vue';
import TextField from '../../components/base/TextField.vue';
import ActButton from '../../components/base/ActButton.vue';
import { FIT_FORMS, type FitForm } from '@mellow-probe/core/curves/fitCurve';
import { FORM_NAMES } from '@mellow-probe/core/wording/fitText';
import type { ShownPicture } from '../../session/keptPicture.ts';
import { MOST_TEXT, tooLongText } from './tableText.ts';

/** The points of a curve as text, beside the picture they were read from where there is one, and the form they are fitted with. */
defineProps<{ picture: ShownPicture | null }>();
const emit = defineEmits<{ withoutPicture: []; refused: [why: string] }>();
const text = defineModel<string>('text', { required: true });
const form = defineModel<FitForm | 'best'>('form', { required: true });

const EXAMPLE = '0   9420\n20  3520\n40; 1,459k\n°C and Ω unless said: 68F, 4k7, min and max columns by name';
const FORM_OPTIONS = [
  { value: 'best' as const, label: 'what the points bear' },
  ...FIT_FORMS.map((value) => ({ value, label: FORM_NAMES[value] })),
];
function pasted(event: ClipboardEvent): void {
  const why = tooLongText(event.clipboardData?.getData('text') ?? '');
  if (why === null) return;
  event.preventDefault();
  emit('refused', `Not pasted; what stood here stays. ${why}`);
}
</script>

<template>
  <figure v-if="picture" class="beside">
    <img :src="picture.url" alt="The picture the figures were read from" />
    <figcaption class="soft">
      Read from this picture; it is kept with the curve.
      <ActButton kind="quiet" @click="emit('withoutPicture')">Without it</ActButton>
    </figcaption>
  </figure>
  <TextField
    v-model="text"
    mono
    label="Temperature and ohms, a line each"
    :rows="12"
    :maxlength="MOST_TEXT"
    :placeholder="EXAMPLE"
    @paste="pasted"
  />
  <PickList v-model="form" label="Form" :options="FORM_OPTIONS" />
</template>

<style scoped>
.points {
  width: 100%;
  padding: 8px 10px;
  resize: vertical;
  font-size: 15px;
}
.beside {
  margin: 0 0 8px;
}
.beside img {
  max-width: 100%;
  max-height: 240px;
  border: 1px solid var(--line);
}
.beside figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
</style>
