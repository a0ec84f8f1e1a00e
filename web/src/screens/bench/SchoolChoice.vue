<script setup lang="ts">
import PickList from '../../components/base/PickList.vue';
import { SCHOOLS } from '@mellow-probe/core/advice/schools';
import { LEAST_COST } from '@mellow-probe/core/plan/cheapestFirst';
import { computed } from 'vue';

import { useSession } from '../../session/jobSession.ts';

/** The way of working: by what a test tells per minute, or in the order of a school. The cards are the same. */
const { job } = useSession();
const groups = [
  {
    label: 'By the tool',
    options: [
      { value: 'proposal', label: 'Most telling first' },
      { value: LEAST_COST, label: 'Least expected cost' },
    ],
  },
  { label: 'Schools', options: SCHOOLS.map((s) => ({ value: s.id, label: s.name })) },
];
const value = computed(() =>
  job.school === LEAST_COST || SCHOOLS.some((s) => s.id === job.school) ? job.school : 'proposal',
);
</script>

<template>
  <PickList
    class="school"
    label="Way of working"
    hide-label
    :groups="groups"
    :model-value="value"
    @update:model-value="job.school = $event"
  />
</template>

<style scoped>
.school {
  min-width: 150px;
}
</style>
