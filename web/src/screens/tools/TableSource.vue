<script setup lang="ts">
import { tableSourceWords as say } from '@mellow-probe/core/wording/screens/shelfCurves';
import PickList from '../../components/base/PickList.vue';
import TextField from '../../components/base/TextField.vue';
import ActButton from '../../components/base/ActButton.vue';
import { FIT_FORMS, type FitForm } from '@mellow-probe/core/circuit/curves/fitCurve';
import { FORM_NAMES } from '@mellow-probe/core/wording/fitText';
import type { ShownPicture } from '../../session/keptPicture.ts';
import { MOST_TEXT, tooLongText } from './tableText.ts';

/** The points of a curve as text, beside the picture they were read from where there is one, and the form they are fitted with. */
defineProps<{ picture: ShownPicture | null }>();
const emit = defineEmits<{ withoutPicture: []; refused: [why: string] }>();
const text = defineModel<string>('text', { required: true });
const form = defineModel<FitForm | 'best'>('form', { required: true });

const EXAMPLE = say.example;
const FORM_OPTIONS = [
  { value: 'best' as const, label: say.formBest },
  ...FIT_FORMS.map((value) => ({ value, label: FORM_NAMES[value] })),
];
function pasted(event: ClipboardEvent): void {
  const why = tooLongText(event.clipboardData?.getData('text') ?? '');
  if (why === null) return;
  event.preventDefault();
  emit('refused', say.notPasted(why));
}
</script>

<template>
  <figure v-if="picture" class="beside">
    <img :src="picture.url" :alt="say.pictureAlt" />
    <figcaption class="soft">
      {{ say.pictureNote }}
      <ActButton kind="quiet" @click="emit('withoutPicture')">{{ say.withoutIt }}</ActButton>
    </figcaption>
  </figure>
  <TextField
    v-model="text"
    mono
    :label="say.textLabel"
    :rows="12"
    :maxlength="MOST_TEXT"
    :placeholder="EXAMPLE"
    @paste="pasted"
  />
  <PickList v-model="form" :label="say.form" :options="FORM_OPTIONS" />
</template>

<style scoped>
.points {
  width: 100%;
  padding: 8px 10px;
  resize: vertical;
  font-size: 0.9375rem;
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
