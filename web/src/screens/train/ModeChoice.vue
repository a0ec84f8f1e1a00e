<script setup lang="ts">
import type { PlayMode } from '@mellow-probe/core/training/playRecord';
import ChoiceRow from '../../components/base/ChoiceRow.vue';

/** Whether the tool's verdict is hidden, sealed until the learner has said his own, or shown. */
const mode = defineModel<PlayMode>({ required: true });
const MODES = [
  { value: 'hidden', label: 'tool hidden' },
  { value: 'bet', label: 'tool answers your bet' },
  { value: 'shown', label: 'tool shown' },
] as const;
</script>

<template>
  <ChoiceRow v-model="mode" label="The tool’s verdict" :options="MODES" />
</template>
