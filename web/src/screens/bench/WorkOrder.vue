<script setup lang="ts">
import { workOrderWords as say } from '@mellow-probe/core/wording/screens/bench';
import { guideWords } from '@mellow-probe/core/wording/screens/guide';
import { computed, ref, useTemplateRef } from 'vue';
import { useUpright } from '../../browser/useMedia.ts';
import ActButton from '../../components/base/ActButton.vue';
import { useInSight } from '../../components/useInSight.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { useSession } from '../../session/jobSession.ts';
import { SideSheet } from './laterParts.ts';
import SchoolChoice from './SchoolChoice.vue';
import { useStationState } from './useStationState.ts';
import WorkList from './WorkList.vue';

/** The order of work: beside the bench at a desk; on a phone the step in hand, with the whole list one tap away. Nothing locks. */
/** `guided`: this check can be worked step by step as well. */
defineProps<{ guided?: boolean }>();
const { job, work } = useSession();
const preferences = usePreferences();
const upright = useUpright();
const stateOf = useStationState();
const all = ref(false);
const done = computed(() => work.stations.filter((s) => stateOf(s).state !== 'todo').length);
const at = computed(() => work.stations.findIndex((s) => s.id === work.station));
const order = useTemplateRef<HTMLElement>('order');
useInSight(() => work.station, order, order);
</script>

<template>
  <nav ref="order" class="order" :aria-label="say.orderOfWork">
    <template v-if="upright">
      <div class="step">
        <ActButton kind="quiet" class="beside" :aria-label="say.previousStep" :disabled="at <= 0" @click="work.step(-1)"
          >‹</ActButton
        >
        <span class="now">{{ work.current?.name }}</span>
        <ActButton
          kind="quiet"
          class="beside"
          :aria-label="say.nextStep"
          :disabled="at === work.stations.length - 1"
          @click="work.step(1)"
          >›</ActButton
        >
        <ActButton v-if="guided" :to="`/check/${job.id}/guide`" @click="preferences.opens = 'guided'">{{
          guideWords.guidedCheck
        }}</ActButton>
        <ActButton data-test="all-steps" @click="all = true"
          >{{ guideWords.allSteps }} {{ say.doneOf(done, work.stations.length) }}</ActButton
        >
      </div>
      <SideSheet v-model:open="all" :title="guideWords.allSteps" :width="420">
        <SchoolChoice v-if="job" />
        <WorkList v-if="all" @gone="all = false" />
      </SideSheet>
    </template>
    <template v-else>
      <div class="head">
        <ActButton v-if="guided" class="guide" :to="`/check/${job.id}/guide`" @click="preferences.opens = 'guided'">{{
          guideWords.guidedCheck
        }}</ActButton>
        <SchoolChoice v-if="job" />
      </div>
      <WorkList />
    </template>
  </nav>
</template>

<style scoped>
.order {
  overflow-y: auto;
  padding: 8px 6px 12px;
  min-height: 0;
}
.head {
  display: flex;
  flex-direction: column;
  gap: 4px;
  padding: 2px 8px 2px;
}
.step {
  display: flex;
  align-items: center;
  gap: 2px;
}
.now {
  flex: 1;
  font-weight: 600;
  text-align: center;
}
@media (max-width: 38.75em) {
  .beside {
    display: none;
  }
  .now {
    text-align: left;
    padding-left: 6px;
  }
}
@media (max-width: 67.5em) {
  .order {
    overflow: visible;
    padding: 0;
  }
}
</style>
