<script setup lang="ts">
import { thermometerTapsWords as say } from '@mellow-probe/core/wording/screens/components';
import type { Kit } from '@mellow-probe/core/catalogue/kit/kitSchema';
import { THERMOMETER_NAMES, thermometerChoices, withinText } from '@mellow-probe/core/wording/thermometerText';
import type { ThermometerKind } from '@mellow-probe/core/base/units/vocabulary';
import { computed, ref } from 'vue';
import ActButton from './base/ActButton.vue';
import TapAside from './base/TapAside.vue';

/** How exact the temperature beside it is, and a choice of what it was measured with. */
const kind = defineModel<ThermometerKind | null>({ required: true });
const props = defineProps<{ kit: Kit }>();
const open = ref(false);
const own = computed(() => kind.value ?? props.kit.thermometer);
/** The first words are enough beside a field. */
const within = computed(() => withinText(props.kit, own.value).split(',')[0]);
function choose(value: ThermometerKind): void {
  kind.value = value === props.kit.thermometer ? null : value;
  open.value = false;
}
</script>

<template>
  <TapAside v-model:open="open" :title="say.question">
    <ActButton kind="bare" class="tap-text" data-test="thermometer" :aria-label="say.change(THERMOMETER_NAMES[own])">{{
      within
    }}</ActButton>
    <template #content>
      <div class="kinds">
        <ActButton
          v-for="c in thermometerChoices(kit)"
          :key="c.value"
          :aria-pressed="c.value === own"
          @click="choose(c.value)"
          >{{ c.label }}</ActButton
        >
      </div>
    </template>
  </TapAside>
</template>

<style scoped>
.kinds {
  display: flex;
  flex-direction: column;
  gap: 6px;
  max-width: 320px;
}
.kinds button {
  height: auto;
  min-height: 36px;
  white-space: normal;
  text-align: left;
}
</style>
