<script setup lang="ts">
import { refusedBarWords as say } from '@mellow-probe/core/wording/screens/train';
import NoticeBar from '../../components/base/NoticeBar.vue';

/** The store would not take a case. */
defineProps<{ shown: boolean }>();
</script>

<template>
  <NoticeBar v-if="shown" kind="bad">{{ say.refused }}</NoticeBar>
</template>
