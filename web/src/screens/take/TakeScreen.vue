<script setup lang="ts">
import { NOT_TAKEN } from '@mellow-probe/core/wording/storageText';
import { takeScreenWords as say } from '@mellow-probe/core/wording/screens/take';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { MAX_FILE_BYTES, openJob } from '@mellow-probe/core/check/job/openJob';
import { type Collected, takeFrame } from '@mellow-probe/core/check/sharing/frames';
import { openFaultText } from '@mellow-probe/core/wording/issueText';
import { countText, titleText } from '@mellow-probe/core/wording/ledgerText';
import { dayText } from '@mellow-probe/core/base/units/writing';
import { computed, defineAsyncComponent, onMounted, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { unpackText } from '../../browser/packedText.ts';
import ActButton from '../../components/base/ActButton.vue';
import NoticeBar from '../../components/base/NoticeBar.vue';
import PageFrame from '../../components/PageFrame.vue';
import { useJobs } from '../../data/stores/jobs/jobs.ts';

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
    why.value = say.incompleteLink;
    return;
  }
  const opened = openJob(text);
  if (opened.ok) job.value = opened.job;
  else why.value = say.notOpened(openFaultText(opened));
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
  else if (took.kind === 'other') why.value = say.foreignPicture;
  else {
    [scanning.value, collected.value] = [false, null];
    if (took.kind === 'whole') void read(took.text);
    else why.value = say.misread;
  }
}
const progress = computed(() => {
  const c = collected.value;
  return c ? say.of(c.parts.size, countText(c.count, 'picture', 'pictures')) : say.aim;
});
async function keep(): Promise<void> {
  if (!job.value) return;
  const kept = await jobs.keepCopy(job.value);
  if (kept) await router.push(`/check/${kept.id}`);
  else why.value = NOT_TAKEN;
}
</script>

<template>
  <PageFrame :title="say.receiveACheck" narrow>
    <NoticeBar v-if="why" kind="bad" status>{{ why }}</NoticeBar>
    <section v-if="job" class="sheet stacked" :aria-label="say.theCheck" data-test="received">
      <h2>{{ titleText(job.title) }}</h2>
      <p>{{ [job.machine, job.circuit.name].filter(Boolean).join(' · ') }}</p>
      <p class="soft">
        {{ say.begun(dayText(job.createdAt), countText(job.readings.length, 'reading', 'readings')) }}
        <template v-if="job.photos.length > 0">{{ say.withoutPhotos }}</template>
      </p>
      <p v-if="known" class="soft">{{ say.sameOrigin }}</p>
      <div class="row">
        <ActButton kind="main" @click="keep">{{ say.keepIt }}</ActButton>
        <ActButton to="/">{{ say.leaveIt }}</ActButton>
      </div>
    </section>
    <section v-else class="sheet stacked" :aria-label="say.receive">
      <p>
        {{ say.howTo }}
      </p>
      <ActButton icon="qrcode" kind="main" @click="scanning = true">{{ say.scan }}</ActButton>
    </section>
    <ScanSheet
      v-if="scanning"
      :title="say.scanThePictures"
      :progress="progress"
      @found="found"
      @close="((scanning = false), (collected = null))"
    />
  </PageFrame>
</template>

<style scoped>
h2 {
  font-size: 1.125rem;
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
