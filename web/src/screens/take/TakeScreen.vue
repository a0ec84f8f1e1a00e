<script setup lang="ts">
import type { Job } from '@mellow-probe/core/job/jobSchema';
import { MAX_FILE_BYTES, openJob } from '@mellow-probe/core/job/openJob';
import { type Collected, takeFrame } from '@mellow-probe/core/sharing/frames';
import { openFaultText } from '@mellow-probe/core/wording/issueText';
import { countText } from '@mellow-probe/core/wording/ledgerText';
import { dayText } from '@mellow-probe/core/units/writing';
import { computed, defineAsyncComponent, onMounted, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { unpackText } from '../../browser/packedText.ts';
import ActButton from '../../components/base/ActButton.vue';
import NoticeBar from '../../components/base/NoticeBar.vue';
import PageFrame from '../../components/PageFrame.vue';
import { useJobs } from '../../stores/jobs.ts';

/** A check from another device: out of a link, or read off its screen. It is looked at before it is kept, and never written over another. */
const ScanSheet = defineAsyncComponent(() => import('../../components/ScanSheet.vue'));
const route = useRoute();
const router = useRouter();
const jobs = useJobs();
const scanning = ref(false);
const collected = shallowRef<Collected | null>(null);
const job = shallowRef<Job | null>(null);
const why = ref('');
onMounted(() => void jobs.load());
const known = computed(() => jobs.lines.some((l) => l.id === job.value?.id));

async function read(packed: string): Promise<void> {
  [job.value, why.value] = [null, ''];
  const text = await unpackText(packed, MAX_FILE_BYTES);
  if (text === null) {
    why.value = 'This holds no check, or only a part of one.';
    return;
  }
  const opened = openJob(text);
  if (opened.ok) job.value = opened.job;
  else why.value = `Not opened. ${openFaultText(opened)}`;
}
watch(
  () => route.hash,
  (hash) => void (hash.length > 1 && read(hash.slice(1))),
  { immediate: true },
);
function found(text: string): void {
  // A link may be in the picture itself, or typed.
  const packed = /#([\w-]+)$/.exec(text.trim());
  const took = packed ? { kind: 'whole' as const, text: packed[1] } : takeFrame(collected.value, text);
  if (took.kind === 'more') collected.value = took.collected;
  else if (took.kind === 'other') why.value = 'That is no picture of a check.';
  else {
    [scanning.value, collected.value] = [false, null];
    if (took.kind === 'whole') void read(took.text);
    else why.value = 'A picture was read wrongly: scan it once more.';
  }
}
const progress = computed(() => {
  const c = collected.value;
  return c ? `${c.parts.size} of ${countText(c.count, 'picture', 'pictures')}` : 'Hold it on the other screen.';
});
async function keep(): Promise<void> {
  if (!job.value) return;
  const kept = await jobs.keepCopy(job.value);
  if (kept) await router.push(`/check/${kept.id}`);
  else why.value = 'The browser’s storage does not take it.';
}
</script>

<template>
  <PageFrame title="Receive a check" narrow>
    <NoticeBar v-if="why" kind="bad" status>{{ why }}</NoticeBar>
    <section v-if="job" class="sheet stacked" aria-label="The check" data-test="received">
      <h2>{{ job.title || 'Untitled check' }}</h2>
      <p>{{ [job.machine, job.circuit.name].filter(Boolean).join(' · ') }}</p>
      <p class="soft">
        Begun {{ dayText(job.createdAt) }}, {{ countText(job.readings.length, 'reading', 'readings') }}.
        {{ job.photos.length > 0 ? 'Its photos stayed on the other device.' : '' }}
      </p>
      <p v-if="known" class="soft">A check of the same origin is here: this one is kept beside it.</p>
      <div class="row">
        <ActButton kind="main" @click="keep">Keep it</ActButton>
        <ActButton to="/">Leave it</ActButton>
      </div>
    </section>
    <section v-else class="sheet stacked" aria-label="Receive">
      <p>
        On the other device: open the check, then Share. Scan the pictures there, or open its link here. A file is taken
        with Import on the list of checks.
      </p>
      <ActButton icon="qrcode" kind="main" @click="scanning = true">Scan…</ActButton>
    </section>
    <ScanSheet
      v-if="scanning"
      title="Scan the pictures"
      :progress="progress"
      @found="found"
      @close="((scanning = false), (collected = null))"
    />
  </PageFrame>
</template>

<style scoped>
h2 {
  font-size: 18px;
  margin: 0;
}
p {
  margin: 0;
}
.row {
  display: flex;
  gap: 10px;
}
</style>
