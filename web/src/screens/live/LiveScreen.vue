<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import JobGate from '../../components/JobGate.vue';
import TopBar from '../../components/TopBar.vue';
import LiveDesk from './LiveDesk.vue';
import LiveOnCheck from './LiveOnCheck.vue';

/** Live values, of a check or by themselves. */
const route = useRoute();
const id = computed(() => (typeof route.params.id === 'string' && route.params.id !== '' ? route.params.id : null));
</script>

<template>
  <JobGate v-if="id" :id="id">
    <LiveOnCheck />
    <template #bar><TopBar back /></template>
  </JobGate>
  <LiveDesk v-else :job="null" />
</template>
