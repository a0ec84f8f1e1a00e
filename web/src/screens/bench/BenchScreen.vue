<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import JobGate from '../../components/JobGate.vue';
import TopBar from '../../components/TopBar.vue';
import BenchTable from './BenchTable.vue';

/** One job on the bench. */
const route = useRoute();
const id = computed(() => String(route.params.id));
</script>

<template>
  <JobGate :id="id">
    <BenchTable />
    <template #bar><TopBar back /></template>
  </JobGate>
</template>
