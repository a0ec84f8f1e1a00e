<script setup lang="ts">
import { momentNoticeWords as say } from '@mellow-probe/core/wording/screens/components';
import type { MomentQuestion } from '../session/moments.ts';
import ActButton from './base/ActButton.vue';
import NoticeBar from './base/NoticeBar.vue';

/** Asks of readings whose temperature was changed beside them. Until it is answered they keep what they had. */
defineProps<{ question: MomentQuestion }>();
</script>

<template>
  <NoticeBar data-test="moment">
    {{ say.others(question.count, question.heldAt.text, question.changedTo.text) }}
    <template #action>
      <ActButton @click="question.join()">{{ say.allAt(question.changedTo.text) }}</ActButton>
      <ActButton kind="quiet" @click="question.keep()">{{ say.keep }}</ActButton>
    </template>
  </NoticeBar>
</template>
