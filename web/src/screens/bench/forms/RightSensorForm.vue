<script setup lang="ts">
import { rightSensorFormWords as say } from '@mellow-probe/core/wording/screens/benchForms';
import CheckBox from '../../../components/base/CheckBox.vue';
import FactTable from '../../../components/base/FactTable.vue';
import PickList from '../../../components/base/PickList.vue';
import TextField from '../../../components/base/TextField.vue';
import type { Column } from '../../../components/base/factTable.ts';
import ActButton from '../../../components/base/ActButton.vue';
import { MOST } from '@mellow-probe/core/check/job/most';
import { identifyPlugs } from '@mellow-probe/core/check/rightSensor/identifyPlugs';
import { plugText } from '@mellow-probe/core/wording/plugText';
import { computed } from 'vue';
import { newId } from '../../../browser/newId.ts';
import { useSession } from '../../../session/jobSession.ts';
import FormSheet from './FormSheet.vue';

/** Which plug is which value: pull (or bridge) one at a time and note what moved. */
const { job } = useSession();
const record = computed(() => job.rightSensor);
const map = computed(() => identifyPlugs(record.value));
const lines = computed(() => plugText(record.value, map.value));

function trialOf(plugId: string) {
  return record.value.trials.find((t) => t.plugId === plugId);
}
/** A tap on the value that moved; a second tap takes the trial back. */
function toggle(plugId: string, movedId: string): void {
  const rest = record.value.trials.filter((t) => t.plugId !== plugId);
  if (cellOf(plugId, movedId).state === 'moved') record.value.trials = rest;
  else
    record.value.trials = [
      ...rest,
      { id: newId(), plugId, how: trialOf(plugId)?.how ?? 'unplugged', movedId: movedId === 'none' ? null : movedId },
    ];
}
const HOW = [
  { value: 'unplugged', label: say.unplugged },
  { value: 'bridged', label: say.bridged },
] as const;
function how(plugId: string, value: (typeof HOW)[number]['value']): void {
  const trial = trialOf(plugId);
  if (trial) trial.how = value;
}
/** The columns of the matrix: every value, and that nothing moved. */
const moved = computed(() => [
  ...record.value.values.map((v) => ({ id: v.id, name: v.name || say.unnamedValue })),
  { id: 'none', name: say.nothing },
]);
const columns = computed((): readonly Column<(typeof record.value.plugs)[number]>[] => [
  { key: 'plug', title: say.plug },
  ...moved.value.map((v) => ({ key: v.id, title: v.name })),
  { key: 'how', title: say.tried },
]);
const CELLS = {
  moved: { sign: '●', words: say.moved },
  still: { sign: '–', words: say.didNotMove },
  other: { sign: '✕', words: say.ofAnotherPlug },
  open: { sign: '○', words: say.notTried },
} as const;
function cellOf(plugId: string, valueId: string): { state: keyof typeof CELLS; sign: string; words: string } {
  const trial = trialOf(plugId);
  const taken = record.value.trials.some((t) => t.movedId === valueId && t.plugId !== plugId);
  const state = trial ? ((trial.movedId ?? 'none') === valueId ? 'moved' : 'still') : taken ? 'other' : 'open';
  return { state, ...CELLS[state] };
}
const LISTS = [
  {
    title: say.displayedValues,
    name: say.valueName,
    example: say.valueNameHint,
    said: say.complainedOf,
    add: say.addAValue,
    most: MOST.values,
    of: () => record.value.values,
    marked: (id: string) => record.value.wantedValueId === id,
    mark: (id: string | null) => (record.value.wantedValueId = id),
    remove: removeValue,
  },
  {
    title: say.plugs,
    name: say.plugName,
    example: say.plugNameHint,
    said: say.measuredHere,
    add: say.addAPlug,
    most: MOST.plugs,
    of: () => record.value.plugs,
    marked: (id: string) => record.value.measuredPlugId === id,
    mark: (id: string | null) => (record.value.measuredPlugId = id),
    remove: removePlug,
  },
];
function removePlug(id: string): void {
  record.value.plugs = record.value.plugs.filter((p) => p.id !== id);
  record.value.trials = record.value.trials.filter((t) => t.plugId !== id);
  if (record.value.measuredPlugId === id) record.value.measuredPlugId = null;
}
function removeValue(id: string): void {
  record.value.values = record.value.values.filter((v) => v.id !== id);
  record.value.trials = record.value.trials.filter((t) => t.movedId !== id);
  if (record.value.wantedValueId === id) record.value.wantedValueId = null;
}
</script>

<template>
  <FormSheet :title="say.theRightSensor" :purpose="say.purpose">
    <p class="caution">
      {{ say.caution }}
    </p>
    <div class="lists">
      <div v-for="list in LISTS" :key="list.title">
        <h3>{{ list.title }}</h3>
        <div v-for="item in list.of()" :key="item.id" class="item">
          <TextField v-model="item.name" :label="list.name" hide-label :maxlength="400" :placeholder="list.example" />
          <CheckBox :model-value="list.marked(item.id)" @update:model-value="list.mark($event ? item.id : null)">
            {{ list.said }}
          </CheckBox>
          <ActButton kind="quiet" :aria-label="say.remove(item.name)" @click="list.remove(item.id)">✕</ActButton>
        </div>
        <ActButton :disabled="list.of().length >= list.most" @click="list.of().push({ id: newId(), name: '' })">
          {{ list.add }}
        </ActButton>
      </div>
    </div>
    <div v-if="record.plugs.length > 0 && record.values.length > 0">
      <h3>{{ say.whatMoved }}</h3>
      <p class="soft">{{ say.howTo }}</p>
      <FactTable
        :label="say.tableLabel"
        :columns="columns"
        :rows="record.plugs"
        :row-key="(p) => p.id"
        :row-class="(p) => (map.next === p.id ? 'next' : '')"
      >
        <template #plug="{ row }">
          {{ row.name || say.unnamedPlug
          }}<span v-if="map.next === row.id" class="soft">{{ ` · ${say.pullThisNext}` }}</span>
        </template>
        <template #how="{ row }">
          <PickList
            :label="say.howWasTried(row.name)"
            hide-label
            :options="HOW"
            :disabled="!trialOf(row.id)"
            :model-value="trialOf(row.id)?.how ?? 'unplugged'"
            @update:model-value="how(row.id, $event)"
          />
        </template>
        <template v-for="v in moved" :key="v.id" #[v.id]="{ row }">
          <ActButton
            kind="quiet"
            class="cell"
            :class="cellOf(row.id, v.id).state"
            :aria-pressed="cellOf(row.id, v.id).state === 'moved'"
            :aria-label="say.with(v.name, row.name, cellOf(row.id, v.id).words)"
            @click="toggle(row.id, v.id)"
            >{{ cellOf(row.id, v.id).sign }}</ActButton
          >
        </template>
      </FactTable>
    </div>
    <p v-for="l in lines" :key="l.text" :class="['told', { odd: l.odd }]" data-test="plug-told">{{ l.text }}</p>
  </FormSheet>
</template>

<style scoped>
.lists {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(440px, 1fr));
  gap: 18px;
}
.item {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 8px;
  align-items: center;
  margin-bottom: 6px;
}
.cell {
  min-width: 44px;
  font-size: 1.0625rem;
}
.cell.moved {
  color: var(--moss);
}
.cell.other {
  color: var(--soft);
}
:deep(.next) {
  font-weight: 600;
}
@media (max-width: 38.75em) {
  .lists {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
