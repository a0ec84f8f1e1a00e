<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import JobGate from '../../components/JobGate.vue';
import TopBar from '../../components/TopBar.vue';
import GuidedCheck from './GuidedCheck.vue';

/** One check, a question at a time. */
const route = useRoute();
const id = computed(() => String(route.params.id));
</script>

<template>
  <JobGate :id="id">
    <GuidedCheck />
    <template #bar><TopBar back /></template>
  </JobGate>
</template>
