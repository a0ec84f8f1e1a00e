<script setup lang="ts">
import { liveDeskWords as say } from '@mellow-probe/core/wording/screens/live';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { stopName } from '@mellow-probe/core/wording/placeText';
import { computed, onMounted, ref } from 'vue';
import FoldOut from '../../components/base/FoldOut.vue';
import NoticeBar from '../../components/base/NoticeBar.vue';
import TopBar from '../../components/TopBar.vue';
import { useWakeLock } from '../../browser/useWakeLock.ts';
import { useLive } from '../../data/stores/live/live.ts';
import { warmLogRoom } from '../../workers/logClient.ts';
import HeatCycle from './HeatCycle.vue';
import InstrumentPanel from './InstrumentPanel.vue';
import MachinePanel from './MachinePanel.vue';
import RecordBar from './RecordBar.vue';
import ValueStrip from './ValueStrip.vue';

/** Live values: what the instruments show, standing or moving, and the recording with its marks. */
const props = defineProps<{ job: Job | null }>();
const emit = defineEmits<{ cycle: [text: string, id: string | null] }>();
useWakeLock();
onMounted(warmLogRoom);
const live = useLive();
const channels = computed(() => (void live.beat, [...live.channels.values()]));
const nowS = computed(() => (void live.beat, live.clockS()));
/** Where the loom can be wiggled: the check's own places, else the made-up machine's. */
const places = computed(() => {
  const { job } = props;
  if (!job || job.loom.stops.length === 0) return live.places;
  return [...job.loom.stops, job.loom.plug].map((s, k) => s.name || stopName(s, k + 1));
});
const told = ref('');
function cycleDone(text: string, id: string | null): void {
  if (props.job) emit('cycle', text, id);
  told.value = props.job ? say.noted : say.needsCheck;
}
/** With a check in hand its own ways come first; without one the places of every screen are enough. */
const actions = computed(() =>
  props.job
    ? [
        { name: say.toTheBench, to: `/check/${props.job.id}` },
        { name: say.logs, to: `/logs?check=${props.job.id}` },
      ]
    : [],
);
</script>

<template>
  <div class="live">
    <TopBar back :folds="job !== null" :actions="actions"
      ><h1 class="title">{{ job?.title ? say.live(job.title) : say.liveValues }}</h1></TopBar
    >
    <main>
      <div class="side">
        <InstrumentPanel />
        <MachinePanel v-if="live.standIn" :key="live.standIn.bench" />
        <section class="sheet fold" :aria-label="say.heatCycle">
          <FoldOut :title="say.heatCycleTitle"><HeatCycle @done="cycleDone" /></FoldOut>
          <NoticeBar v-if="told" kind="told" status>{{ told }}</NoticeBar>
        </section>
      </div>
      <div class="values">
        <RecordBar :job="job && { id: job.id, title: job.title }" :places="places" />
        <ValueStrip
          v-for="c in channels"
          :key="c.channel.id"
          :own="c"
          :beat="live.beat"
          :now-s="nowS"
          :fresh-s="live.freshS()"
        />
        <section v-if="channels.length === 0" class="empty sheet">
          <h2>{{ say.emptyTitle }}</h2>
          <p>
            {{ say.emptyHelp }}
          </p>
          <p class="soft">
            {{ say.valuesHelp }}
          </p>
        </section>
      </div>
    </main>
  </div>
</template>

<style scoped>
.live {
  height: 100%;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
}
.title {
  font-size: 1.0625rem;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
main {
  display: grid;
  grid-template-columns: 372px minmax(0, 1fr);
  gap: 8px;
  padding: 8px;
  min-height: 0;
}
.side,
.values {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-width: 0;
  min-height: 0;
  overflow-y: auto;
}
.side > *,
.values > * {
  flex: none;
}
.fold {
  padding: 2px 14px 4px;
}
.empty {
  padding: 28px;
}
h2 {
  font-size: 1.125rem;
}
@media (max-width: 56.25em) {
  .live {
    height: auto;
  }
  main {
    grid-template-columns: minmax(0, 1fr);
  }
  .side,
  .values {
    overflow: visible;
  }
  /* What is read comes first; what is set up once lies below. */
  .values {
    order: -1;
  }
}
</style>
