<script setup lang="ts">
import { fromPictureWords as say } from '@mellow-probe/core/wording/screens/shelfPicture';
import type { ColumnUnit } from '@mellow-probe/core/intake/pointTable/cellFigure';
import type { pictureTable } from '@mellow-probe/core/intake/picture/pictureTable';
import ActButton from '../../../components/base/ActButton.vue';
import PickList from '../../../components/base/PickList.vue';

/** The headings of a table as they were read, each with the unit of its column: nothing is used before every unit is confirmed. */
defineProps<{ headings: ReturnType<typeof pictureTable>['headings'] }>();
const emit = defineEmits<{ confirm: [column: number, unit: ColumnUnit] }>();
</script>

<template>
  <fieldset class="headings" data-test="picture-headings">
    <legend>{{ say.headings }}</legend>
    <p v-if="headings.some((h) => !h.confirmed)" class="told odd">{{ say.confirmHeadings }}</p>
    <div v-for="h in headings" :key="h.column" class="line" :class="{ unsure: !h.confirmed }">
      <span class="words">{{
        h.words.trim() === '' ? say.headingMissing(h.column + 1) : say.headingRead(h.column + 1, h.words)
      }}</span>
      <PickList
        :model-value="h.unit ?? undefined"
        :label="say.unitOf(h.column + 1)"
        hide-label
        :asked="h.unit === null"
        :prompt="say.pickUnit"
        :options="h.units.map((value) => ({ value, label: value }))"
        @update:model-value="emit('confirm', h.column, $event as ColumnUnit)"
      />
      <ActButton
        v-if="h.unit !== null && !h.confirmed"
        :aria-label="say.unitIsRight(h.unit, h.column + 1)"
        @click="emit('confirm', h.column, h.unit)"
      >
        ✓
      </ActButton>
    </div>
  </fieldset>
</template>

<style scoped>
.headings {
  display: flex;
  flex-direction: column;
  gap: 6px;
  width: 100%;
  min-width: 0;
  margin: 0;
  padding: 0;
  border: 0;
}
.headings legend {
  padding: 0;
  font-weight: 600;
}
.headings p {
  margin: 0;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  align-items: center;
  padding: 4px 6px;
}
.words {
  flex: 1 1 180px;
  overflow-wrap: anywhere;
}
.unsure {
  background: var(--amber-soft);
}
</style>
