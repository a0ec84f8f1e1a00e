<script setup lang="ts">
import { notFoundWords as say } from '@mellow-probe/core/wording/screens/app';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { screenTitle } from '../../browser/titles.ts';
import ActButton from '../../components/base/ActButton.vue';
import TopBar from '../../components/TopBar.vue';
import { nearestAddress } from './nearestAddress.ts';

/** An address that leads nowhere: says so, and offers the one that was probably meant. */
const route = useRoute();
const near = computed(() => nearestAddress(route.path));
</script>

<template>
  <div>
    <TopBar back />
    <main>
      <h1>{{ say.thisPageDoesNotExist }}</h1>
      <p>{{ say.checkTheAddress(route.path) }}</p>
      <ActButton kind="main" :to="near.path">{{ say.goTo(screenTitle(near.name)) }}</ActButton>
      <ActButton v-if="near.path !== '/'" to="/">{{ say.allChecks }}</ActButton>
    </main>
  </div>
</template>

<style scoped>
main {
  display: flex;
  flex-direction: column;
  gap: 12px;
  align-items: flex-start;
  padding: 40px 24px;
}
</style>
