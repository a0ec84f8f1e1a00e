<script setup lang="ts">
import { jobFiltersWords as say } from '@mellow-probe/core/wording/screens/jobs';
import { type JobFilter, NO_FILTER } from '@mellow-probe/core/check/job/jobList';
import { FAULT_GROUPS, JOB_STATES } from '@mellow-probe/core/base/units/vocabulary';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { computed, ref, type WritableComputedRef } from 'vue';
import { useCards } from '../../browser/useMedia.ts';
import ActButton from '../../components/base/ActButton.vue';
import CheckBox from '../../components/base/CheckBox.vue';
import PickList from '../../components/base/PickList.vue';
import type { PickOption } from '../../components/base/pickOption.ts';
import TextField from '../../components/base/TextField.vue';

/** What the ledger is narrowed to. */
const { tags } = defineProps<{ tags: readonly string[] }>();
const filter = defineModel<JobFilter>({ required: true });
function part<K extends keyof JobFilter>(key: K): WritableComputedRef<JobFilter[K]> {
  return computed({
    get: () => filter.value[key],
    set: (value) => (filter.value = { ...filter.value, [key]: value }),
  });
}
const [words, field, state, group, tag] = [part('words'), part('field'), part('state'), part('group'), part('tag')];
const tagOptions = computed(() => [
  { value: '', label: say.everyTag },
  ...tags.map((value) => ({ value, label: value })),
]);
const [dueOnly, archived] = [part('dueOnly'), part('archived')];
/** On a phone the lists fold away; how many of them narrow is said on their button. */
const narrow = useCards();
const open = ref(false);
const narrowing = computed(
  () =>
    (Object.keys(NO_FILTER) as (keyof JobFilter)[]).filter((k) => k !== 'words' && filter.value[k] !== NO_FILTER[k])
      .length,
);
const FIELDS = [
  { value: '', label: say.everyField },
  { value: 'engine', label: say.engines },
  { value: 'climate', label: say.climate },
  { value: 'boiler', label: say.boilers },
] as const;
const STATES: PickOption<JobFilter['state']>[] = [
  { value: '', label: say.everyState },
  ...JOB_STATES.map((value) => ({ value, label: value })),
];
const GROUPS = [
  { value: '' as const, label: say.everyDecision },
  { value: 'undecided' as const, label: say.undecided },
  ...FAULT_GROUPS.map((value) => ({ value, label: groupName(value).toLowerCase() })),
];
</script>

<template>
  <div class="filters" role="search">
    <TextField
      v-model="words"
      class="search"
      search
      :label="say.searchChecks"
      hide-label
      :placeholder="say.searchHint"
    />
    <ActButton v-if="narrow" kind="quiet" :aria-expanded="open" @click="open = !open">
      {{ open ? say.fewer : say.narrow }}{{ !open && narrowing > 0 ? ` (${narrowing})` : '' }}
    </ActButton>
    <template v-if="!narrow || open">
      <PickList v-model="field" class="list" :label="say.field" hide-label :options="FIELDS" />
      <PickList v-model="state" class="list" :label="say.state" hide-label :options="STATES" />
      <PickList v-model="group" class="list" :label="say.decided" hide-label :options="GROUPS" />
      <PickList v-if="tags.length > 0" v-model="tag" class="list" :label="say.tag" hide-label :options="tagOptions" />
      <CheckBox v-model="dueOnly">{{ say.due }}</CheckBox>
      <CheckBox v-model="archived">{{ say.archive }}</CheckBox>
    </template>
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
  flex: 1 1 130px;
}
.list {
  flex: 0 1 126px;
}
</style>
