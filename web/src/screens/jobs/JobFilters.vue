<script setup lang="ts">
import type { JobFilter } from '@mellow-probe/core/job/jobList';
import { JOB_STATES } from '@mellow-probe/core/units/vocabulary';
import { FAULT_GROUPS } from '@mellow-probe/core/units/vocabulary';
import { groupName } from '@mellow-probe/core/wording/groupName';

/** What the ledger is narrowed to. */
const filter = defineModel<JobFilter>({ required: true });
function set(change: Partial<JobFilter>): void {
  filter.value = { ...filter.value, ...change };
}
const text = (event: Event): string => (event.target as HTMLInputElement).value;
const on = (event: Event): boolean => (event.target as HTMLInputElement).checked;
</script>

<template>
  <div class="filters" role="search">
    <input
      class="search"
      type="search"
      :value="filter.words"
      placeholder="Machine, sensor, code, part"
      aria-label="Search checks"
      @input="set({ words: text($event) })"
    />
    <select :value="filter.field" aria-label="Field" @change="set({ field: text($event) as JobFilter['field'] })">
      <option value="">every field</option>
      <option value="engine">engines</option>
      <option value="climate">climate</option>
      <option value="boiler">boilers</option>
    </select>
    <select :value="filter.state" aria-label="State" @change="set({ state: text($event) as JobFilter['state'] })">
      <option value="">every state</option>
      <option v-for="s in JOB_STATES" :key="s" :value="s">{{ s }}</option>
    </select>
    <select :value="filter.group" aria-label="Decided" @change="set({ group: text($event) as JobFilter['group'] })">
      <option value="">every decision</option>
      <option value="undecided">undecided</option>
      <option v-for="g in FAULT_GROUPS" :key="g" :value="g">{{ groupName(g).toLowerCase() }}</option>
    </select>
    <label><input type="checkbox" :checked="filter.dueOnly" @change="set({ dueOnly: on($event) })" />due</label>
    <label><input type="checkbox" :checked="filter.archived" @change="set({ archived: on($event) })" />archive</label>
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
  flex: 1;
  min-width: 200px;
}
.search,
select {
  height: 44px;
  border: 1.5px solid var(--line-strong);
  border-radius: 9px;
  background: var(--field);
  padding: 0 10px;
}
label {
  display: flex;
  gap: 6px;
  align-items: center;
  min-height: 44px;
  padding: 0 6px;
  cursor: pointer;
}
label input {
  width: 20px;
  height: 20px;
  accent-color: var(--spruce);
}
</style>
