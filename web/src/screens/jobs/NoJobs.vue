<script setup lang="ts">
import { noJobsWords as say } from '@mellow-probe/core/wording/screens/jobs';
import { workshop } from '../../browser/workshop.ts';
import ActButton from '../../components/base/ActButton.vue';

/** What stands where no check does: how one begins, or, where some are only filtered away, the way back to them. */
defineProps<{ filtered: boolean }>();
const emit = defineEmits<{ start: [query?: Record<string, string>]; all: [] }>();
</script>

<template>
  <section v-if="filtered" class="empty">
    <p>
      {{ say.noMatch }} <ActButton @click="emit('all')">{{ say.showAll }}</ActButton>
    </p>
  </section>
  <section v-else class="empty sheet">
    <h1>{{ say.title }}</h1>
    <p>{{ say.fourFigures }}</p>
    <ol>
      <li>{{ say.figureTemperature }}</li>
      <li>{{ say.figureOhms }}</li>
      <li>{{ say.figureUnplugged }}</li>
      <li>{{ say.figurePluggedIn }}</li>
    </ol>
    <p>
      {{ say.anyOrder }}
    </p>
    <p class="soft">{{ say.storedHere }}</p>
    <div class="tools">
      <ActButton icon="plus" kind="main" @click="emit('start')">{{ say.startFirst }}</ActButton>
      <ActButton @click="emit('start', { tour: '' })">{{ say.startWithTour }}</ActButton>
      <ActButton v-if="workshop === 'own'" href="/demo/">{{ say.openDemo }}</ActButton>
    </div>
  </section>
</template>

<style scoped>
.empty {
  padding: 28px 32px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  align-items: flex-start;
}
h1 {
  font-size: 1.625rem;
}
ol {
  margin: 0;
  padding-left: 22px;
}
p {
  max-width: 62ch;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
@media (max-width: 43.75em) {
  .empty {
    padding: 20px 16px;
  }
}
</style>
