<script setup lang="ts">
import { notFoundWords as say } from '@mellow-probe/core/wording/screens/app';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { screenTitle } from '../../browser/titles.ts';
import ActButton from '../../components/base/ActButton.vue';
import MessagePage from '../../components/MessagePage.vue';
import TopBar from '../../components/TopBar.vue';
import { nearestAddress } from './nearestAddress.ts';

/** An address that leads nowhere: says so, and offers the one that was probably meant. */
const route = useRoute();
const near = computed(() => nearestAddress(route.path));
</script>

<template>
  <MessagePage>
    <template #bar><TopBar back /></template>
    <h1>{{ say.title }}</h1>
    <p>{{ say.checkTheAddress(route.path) }}</p>
    <ActButton kind="main" :to="near.path">{{ say.goTo(screenTitle(near.name)) }}</ActButton>
    <ActButton v-if="near.path !== '/'" to="/">{{ say.allChecks }}</ActButton>
  </MessagePage>
</template>
