<script setup lang="ts">
import { modeChoiceWords as say } from '@mellow-probe/core/wording/screens/trainPlay';
import type { PlayMode } from '@mellow-probe/core/training/cases/playRecord';
import ChoiceRow from '../../components/base/ChoiceRow.vue';

/** Whether the tool's verdict is hidden, sealed until the learner has said his own, or shown. */
const mode = defineModel<PlayMode>({ required: true });
const MODES = [
  { value: 'hidden', label: say.toolHidden },
  { value: 'bet', label: say.answers },
  { value: 'shown', label: say.toolShown },
] as const;
</script>

<template>
  <ChoiceRow v-model="mode" :label="say.theToolsVerdict" :options="MODES" />
</template>
