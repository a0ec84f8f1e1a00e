<script setup lang="ts">
import { blank } from '@mellow-probe/core/base/units/entry';
import { settlingSheetWords as say } from '@mellow-probe/core/wording/screens/benchForms';
import ActButton from '../../../components/base/ActButton.vue';
import { MOST } from '@mellow-probe/core/check/job/most';
import { settle } from '@mellow-probe/core/tools/baths/settling';
import { settlingText } from '@mellow-probe/core/wording/settlingText';
import { computed } from 'vue';
import EntryField from '../../../components/EntryField.vue';
import { newId } from '../../../browser/newId.ts';
import { useSession } from '../../../session/jobSession.ts';

/** A few timed readings give the value a sensor will settle at. */
const { job } = useSession();
const rows = computed(() => job.comparison.settling);
const told = computed(() => {
  const readings = rows.value.flatMap((r) =>
    r.minute.value === null || r.value.value === null ? [] : [{ minute: r.minute.value, value: r.value.value }],
  );
  if (readings.length === 0) return '';
  const size = Math.max(...readings.map((r) => Math.abs(r.value)));
  return settlingText(settle(readings, Math.max(size * 1e-3, 1e-3)));
});
function add(): void {
  const last = rows.value[rows.value.length - 1]?.minute.value;
  const minute = typeof last === 'number' ? last + 1 : 0;
  job.comparison.settling.push({
    id: newId(),
    minute: { text: String(minute), value: minute },
    value: blank(),
  });
}
</script>

<template>
  <div>
    <h3>{{ say.settling }}</h3>
    <p class="soft">
      {{ say.needsThree }}
    </p>
    <div v-for="(r, i) in rows" :key="r.id" class="timed" data-test="timed">
      <EntryField :label="say.minute(i + 1)" quantity="number" v-model="r.minute" />
      <EntryField :label="say.value(i + 1)" quantity="number" v-model="r.value" />
      <ActButton
        kind="quiet"
        :aria-label="say.removeTimedReading(i + 1)"
        @click="job.comparison.settling = rows.filter((x) => x.id !== r.id)"
      >
        ✕
      </ActButton>
    </div>
    <ActButton :disabled="job.comparison.settling.length >= MOST.timed" @click="add">
      {{ say.add }}
    </ActButton>
    <p v-if="job.comparison.settling.length >= MOST.timed" class="soft">
      {{ say.full(MOST.timed) }}
    </p>
    <p v-if="told" class="told" data-test="settling-told">{{ told }}</p>
  </div>
</template>

<style scoped>
.timed {
  display: grid;
  grid-template-columns: 110px 160px 44px;
  gap: 10px;
}
.timed .act {
  margin-top: 20px;
}
.told {
  margin-top: 8px;
}
</style>
