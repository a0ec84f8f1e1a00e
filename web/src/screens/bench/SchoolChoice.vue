<script setup lang="ts">
import { schoolChoiceWords as say } from '@mellow-probe/core/wording/screens/bench';
import PickList from '../../components/base/PickList.vue';
import { SCHOOLS } from '@mellow-probe/core/advice/nextTest/schools';
import { LEAST_COST } from '@mellow-probe/core/advice/plan/cheapestFirst';
import { computed } from 'vue';

import { useSession } from '../../session/jobSession.ts';

/** The way of working: by what a test tells per minute, or in the order of a school. The cards are the same. */
const { job } = useSession();
const groups = [
  {
    label: say.byTheTool,
    options: [
      { value: 'proposal', label: say.mostTellingFirst },
      { value: LEAST_COST, label: say.leastExpectedCost },
    ],
  },
  { label: say.schools, options: SCHOOLS.map((s) => ({ value: s.id, label: s.name })) },
];
const value = computed(() =>
  job.school === LEAST_COST || SCHOOLS.some((s) => s.id === job.school) ? job.school : 'proposal',
);
</script>

<template>
  <PickList
    class="school"
    :label="say.wayOfWorking"
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
