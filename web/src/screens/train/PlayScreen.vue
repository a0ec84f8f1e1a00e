<script setup lang="ts">
import { playScreenWords as say } from '@mellow-probe/core/wording/screens/trainPlay';
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import { computed, onBeforeUnmount, shallowRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import ActButton from '../../components/base/ActButton.vue';
import ProvideSession from '../../components/ProvideSession.ts';
import TopBar from '../../components/TopBar.vue';
import { useBench } from '../../session/bench.ts';
import { type Opened, openPractice } from '../../session/practice.ts';
import PlayGate from './PlayGate.ts';
import DebriefView from './DebriefView.vue';
import PracticeBench from './PracticeBench.vue';

/** One play of a case: on the bench while it goes on, then its debrief. */
const route = useRoute();
const bench = useBench();
const opened = shallowRef<Opened | null>(null);
const id = computed(() => String(route.params.id));
let asked = 0;
async function open(): Promise<void> {
  const mine = ++asked;
  await close();
  const found = await openPractice(id.value, bench.line);
  if (mine === asked) opened.value = found;
  else if (found.kind === 'open') await found.practice.close();
}
async function close(): Promise<void> {
  const before = opened.value;
  opened.value = null;
  if (before?.kind === 'open') await before.practice.close();
}
watch(id, open, { immediate: true });
onBeforeUnmount(() => {
  asked++;
  void close();
});
</script>

<template>
  <PlayGate v-if="opened?.kind === 'open'" :key="opened.practice.record.value.id" :practice="opened.practice">
    <ProvideSession :session="opened.practice.session">
      <DebriefView v-if="opened.practice.standing.value.state.ended" />
      <PracticeBench v-else />
    </ProvideSession>
  </PlayGate>
  <div v-else>
    <TopBar back folds :actions="[{ name: say.training, to: '/train' }]"
      ><h1 class="number">{{ say.trainingCase }}</h1></TopBar
    >
    <main class="said">
      <p v-if="opened === null" class="soft">{{ say.opening }}</p>
      <p v-else-if="opened.kind === 'missing'">{{ say.missing }}</p>
      <p v-else-if="opened.kind === 'blocked'" role="alert">{{ storageFaultText(opened.fault) }}</p>
      <p v-else role="alert">{{ opened.why }}</p>
      <ActButton to="/train">{{ say.training }}</ActButton>
    </main>
  </div>
</template>

<style scoped>
.number {
  font-size: 1.0625rem;
}
.said {
  padding: 40px;
}
</style>
