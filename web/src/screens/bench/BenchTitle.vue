<script setup lang="ts">
import { titleText } from '@mellow-probe/core/wording/ledgerText';
import { benchTitleWords as say } from '@mellow-probe/core/wording/screens/bench';
import TextField from '../../components/base/TextField.vue';
import { useAfterTyping } from '../../components/useAfterTyping.ts';
import { useSession } from '../../session/jobSession.ts';

/** What the check is called; a part of its own, so that a letter typed here draws this alone. */
const { job } = useSession();
/** For those who are read the page to; it would cost a letter a layout of its own. */
const heading = useAfterTyping(() => titleText(job.title));
</script>

<template>
  <h1 class="visually-hidden">{{ heading }}</h1>
  <TextField
    v-model="job.title"
    class="title"
    :label="say.checkTitle"
    hide-label
    :placeholder="say.machineAndSensor"
    :maxlength="400"
    bare
  />
</template>

<style scoped>
.title {
  flex: 1;
  min-width: 60px;
}
.title :deep(input) {
  padding-inline: 8px;
  font-size: 1.0625rem;
  font-weight: 600;
}
</style>
