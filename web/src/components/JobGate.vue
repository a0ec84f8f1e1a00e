<script setup lang="ts">
import { jobGateWords as say } from '@mellow-probe/core/wording/screens/components';
import ActButton from './base/ActButton.vue';
import { openFaultText } from '@mellow-probe/core/wording/issueText';
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { screenTitle, titled } from '../browser/titles.ts';
import { toStorageError } from '../data/storage/storageError.ts';
import { useBench } from '../session/bench.ts';
import MessagePage from './MessagePage.vue';
import ProvideSession from './ProvideSession.ts';

/** Lets through what needs a job only when that job is on the bench; until then, or where it cannot be, it says so. */
const props = defineProps<{ id: string }>();
const bench = useBench();
watch(
  () => props.id,
  (id) => void bench.open(id),
  { immediate: true },
);
/** The session of the job that is asked for; one of another job is none. */
const session = computed(() =>
  bench.state.kind === 'open' && bench.state.session.id === props.id ? bench.state.session : null,
);
const route = useRoute();
/** The window is named after the check, once it is open. */
watch(
  () => [session.value?.job.title ?? '', route.name] as const,
  ([title, screen]) => titled(title, screenTitle(screen)),
  { immediate: true },
);
/** Why it could not be restored. */
const refused = ref('');
async function restore(): Promise<void> {
  refused.value = '';
  await bench
    .restore(props.id)
    .catch((error: unknown) => (refused.value = storageFaultText(toStorageError(error).fault)));
}
const state = computed(() => ('id' in bench.state && bench.state.id === props.id ? bench.state : null));
</script>

<template>
  <ProvideSession v-if="session" :key="session.id" :session="session"><slot /></ProvideSession>
  <MessagePage v-else class="gate">
    <template #bar><slot name="bar" /></template>
    <template v-if="state?.kind === 'missing'">
      <h1>{{ say.missingTitle }}</h1>
      <p>{{ say.missingHelp }}</p>
    </template>
    <div v-else-if="state?.kind === 'deleted'" role="alert" data-test="deleted-check">
      <h1>{{ say.deletedTitle }}</h1>
      <p>{{ refused || say.deletedHelp }}</p>
      <ActButton kind="main" @click="restore">{{ say.restore }}</ActButton>
    </div>
    <template v-else-if="state?.kind === 'unreadable'">
      <h1>{{ say.unopenedTitle }}</h1>
      <p>{{ say.unopenedHelp(openFaultText(state.fault)) }}</p>
    </template>
    <div v-else-if="state?.kind === 'blocked'" role="alert">
      <h1>{{ say.unreadTitle }}</h1>
      <p>{{ storageFaultText(state.fault) }}</p>
      <ActButton icon="reload" @click="bench.open(id)">{{ say.tryAgain }}</ActButton>
    </div>
    <p v-else class="soft">{{ say.opening }}</p>
    <ActButton to="/">{{ say.allChecks }}</ActButton>
  </MessagePage>
</template>
