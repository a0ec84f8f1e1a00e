<script setup lang="ts">
import { type Entry, entryOf } from '@mellow-probe/core/units/entry';
import { NOTICED } from '@mellow-probe/core/units/toldTemperature';

/** Temperatures that were noticed anyway, one tap each, for those who have no thermometer. Nobody is asked to touch anything. */
const entry = defineModel<Entry>({ required: true });
</script>

<template>
  <div class="noticed" role="group" aria-label="Temperature by what you noticed" data-test="noticed">
    <span class="ask">No thermometer? Noticed already:</span>
    <button
      v-for="n in NOTICED"
      :key="n.id"
      type="button"
      class="act quiet"
      :title="n.source"
      @click="entry = entryOf(n.text, 'told-celsius', 'C')"
    >
      {{ n.text }}
    </button>
    <span class="caution">▲ Do not touch to find out: steam, coolant, flue and fans.</span>
  </div>
</template>

<style scoped>
.noticed {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 6px;
  font-size: 12.5px;
}
.noticed button {
  min-height: 32px;
  padding: 2px 10px;
}
.ask,
.caution {
  color: var(--soft);
}
</style>
