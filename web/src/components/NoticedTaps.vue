<script setup lang="ts">
import { noticedTapsWords as say } from '@mellow-probe/core/wording/screens/components';
import ActButton from './base/ActButton.vue';
import { type Entry, entryOf } from '@mellow-probe/core/base/units/entry';
import { NOTICED } from '@mellow-probe/core/base/units/toldTemperature';
import TapAside from './base/TapAside.vue';
import { ref } from 'vue';

/** Temperatures that were noticed anyway, one tap each, for those who have no thermometer. Nobody is asked to touch anything. */
const entry = defineModel<Entry>({ required: true });
const open = ref(false);
function take(text: string): void {
  entry.value = entryOf(text, 'told-celsius', 'C');
  open.value = false;
}
</script>

<template>
  <TapAside v-model:open="open" :title="say.noticedAlready">
    <ActButton kind="bare" class="tap-text" data-test="noticed" :aria-label="say.title">{{ say.none }}</ActButton>
    <template #content>
      <div class="taps">
        <ActButton v-for="n in NOTICED" :key="n.id" :title="n.source" @click="take(n.text)">{{ n.text }}</ActButton>
        <p class="caution">{{ say.caution }}</p>
      </div>
    </template>
  </TapAside>
</template>

<style scoped>
.taps {
  display: flex;
  flex-direction: column;
  gap: 6px;
  width: 220px;
}
.caution {
  margin: 4px 0 0;
  font-size: 0.7812rem;
}
</style>
