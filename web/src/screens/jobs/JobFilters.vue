<script setup lang="ts">
import type { JobFilter } from '@mellow-probe/core/job/jobList';
import { FAULT_GROUPS, JOB_STATES } from '@mellow-probe/core/units/vocabulary';
import { groupName } from '@mellow-probe/core/wording/groupName';
import CheckBox from '../../components/base/CheckBox.vue';
import PickList from '../../components/base/PickList.vue';
import type { PickOption } from '../../components/base/pickOption.ts';
import TextField from '../../components/base/TextField.vue';

/** What the ledger is narrowed to. */
const filter = defineModel<JobFilter>({ required: true });
function set(change: Partial<JobFilter>): void {
  filter.value = { ...filter.value, ...change };
}
const FIELDS = [
  { value: '', label: 'every field' },
  { value: 'engine', label: 'engines' },
  { value: 'climate', label: 'climate' },
  { value: 'boiler', label: 'boilers' },
] as const;
const STATES: PickOption<JobFilter['state']>[] = [
  { value: '', label: 'every state' },
  ...JOB_STATES.map((value) => ({ value, label: value })),
];
const GROUPS = [
  { value: '' as const, label: 'every decision' },
  { value: 'undecided' as const, label: 'undecided' },
  ...FAULT_GROUPS.map((value) => ({ value, label: groupName(value).toLowerCase() })),
];
</script>

<template>
  <div class="filters" role="search">
    <TextField
      class="search"
      search
      label="Search checks"
      hide-label
      placeholder="Machine, sensor, code, part"
      :model-value="filter.words"
      @update:model-value="set({ words: $event })"
    />
    <PickList
      class="list"
      label="Field"
      hide-label
      :options="FIELDS"
      :model-value="filter.field"
      @update:model-value="set({ field: $event })"
    />
    <PickList
      class="list"
      label="State"
      hide-label
      :options="STATES"
      :model-value="filter.state"
      @update:model-value="set({ state: $event })"
    />
    <PickList
      class="list"
      label="Decided"
      hide-label
      :options="GROUPS"
      :model-value="filter.group"
      @update:model-value="set({ group: $event })"
    />
    <CheckBox :model-value="filter.dueOnly" @update:model-value="set({ dueOnly: $event })">due</CheckBox>
    <CheckBox :model-value="filter.archived" @update:model-value="set({ archived: $event })">archive</CheckBox>
  </div>
</template>

<style scoped>
.filters {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.search {
  flex: 1 1 200px;
}
.list {
  flex: 0 1 150px;
}
</style>
