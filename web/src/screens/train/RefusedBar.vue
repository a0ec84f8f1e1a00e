<script setup lang="ts">
import NoticeBar from '../../components/base/NoticeBar.vue';

/** The store would not take a case. */
defineProps<{ shown: boolean }>();
</script>

<template>
  <NoticeBar v-if="shown" kind="bad">The browser’s storage does not take it: the case cannot be begun.</NoticeBar>
</template>
