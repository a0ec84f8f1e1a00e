<script setup lang="ts">
import { practicePanelWords as say } from '@mellow-probe/core/wording/screens/trainPlay';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import type { Move } from '@mellow-probe/core/training/cases/play';
import { MINUTES } from '@mellow-probe/core/training/cases/play';
import { FAULT_GROUPS, type FaultGroup } from '@mellow-probe/core/base/units/vocabulary';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { cameOfText, CARELESS_TEXT, moveText } from '@mellow-probe/core/wording/trainingText';
import { computed, ref } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import NoticeBar from '../../components/base/NoticeBar.vue';
import PickList from '../../components/base/PickList.vue';
import TextField from '../../components/base/TextField.vue';
import ProbabilityBar from '../../components/ProbabilityBar.vue';
import { useUpright } from '../../browser/useMedia.ts';
import { usePractice } from '../../session/practice.ts';
import BeliefForm from './BeliefForm.vue';
import CaseHead from './CaseHead.vue';
import PlugFace from './PlugFace.vue';

/** What is done beside measuring: look, ask the diagram, warm it; say how likely; act. With the clock, the purse and what has happened. */
const { standing, handed, session, tool, record, failed, make } = usePractice();
const state = computed(() => standing.value.state);
const events = computed(() => [...state.value.events].reverse());
const done = (move: Move): void => void make(move);
const upright = useUpright();
const repairs = FAULT_GROUPS.map((value) => ({
  value,
  label: value === 'healthy' ? say.handOver : say.putRight(groupName(value).toLowerCase()),
}));
const chosen = ref<FaultGroup | undefined>();
const reason = ref('');
function act(): void {
  if (!chosen.value) return;
  done({ kind: 'act', group: chosen.value, reason: reason.value });
  [chosen.value, reason.value] = [undefined, ''];
}
/** In a bet the tool answers once the learner has: what it held likely at that moment. */
const mode = computed(() => record.value.mode);
const betOpen = computed(() => {
  const moves = record.value.moves;
  return mode.value === 'shown' || (mode.value === 'bet' && moves[moves.length - 1]?.kind === 'believe');
});
const proposed = computed(() =>
  mode.value === 'shown' && session.work.proposed ? measurementById(session.work.proposed.measurement).name : '',
);
const careless = computed(() => {
  const last = state.value.events[state.value.events.length - 1];
  return last?.careless ? CARELESS_TEXT[last.careless] : '';
});
</script>

<template>
  <aside class="practice" :aria-label="say.theCase">
    <CaseHead v-if="!upright" />
    <NoticeBar v-if="failed" kind="bad">{{ say.stopped(failed) }}</NoticeBar>
    <NoticeBar v-if="careless" kind="odd">{{ careless }}</NoticeBar>
    <section class="sheet part" :aria-label="say.do">
      <div class="acts">
        <ActButton icon="eye" :disabled="state.looked" @click="done({ kind: 'look' })">{{
          say.inspect(MINUTES.look)
        }}</ActButton>
        <ActButton icon="partition" :disabled="state.knowsCavities" @click="done({ kind: 'diagram' })">{{
          say.diagramMin(MINUTES.diagram)
        }}</ActButton>
        <ActButton icon="fire" :disabled="state.warm" @click="done({ kind: 'warm' })">{{
          say.warmItMin(MINUTES.warm)
        }}</ActButton>
        <template v-if="handed.twoPlugs">
          <ActButton v-for="at in ['A', 'B'] as const" :key="at" @click="done({ kind: 'which-plug', at })">{{
            say.pullWatchMin(at, MINUTES['which-plug'])
          }}</ActButton>
        </template>
      </div>
      <p v-if="state.warm" class="caution"><span aria-hidden="true">▲</span> {{ say.hotCaution }}</p>
      <p v-if="standing.cavitiesText" class="soft" data-test="cavities">{{ say.plug(standing.cavitiesText) }}</p>
      <PlugFace
        v-if="state.looked || state.knowsCavities"
        :known="standing.cavities"
        :seen="state.looked ? session.job.findings : []"
        :across="null"
      />
    </section>
    <section class="sheet part" :aria-label="say.estimateTitle">
      <BeliefForm @say="done({ kind: 'believe', shares: $event })" />
      <div v-if="betOpen && tool" class="tool" data-test="tool">
        <span class="small-head">{{ mode === 'bet' ? say.theToolHeld : say.theToolSays }}</span>
        <ProbabilityBar
          v-for="(g, i) in tool.groups.slice(0, 4)"
          :key="g.group"
          :label="groupName(g.group)"
          :probability="g.probability"
          :leading="i === 0"
        />
        <p v-if="proposed" class="soft">{{ say.itWouldMeasure(proposed) }}</p>
      </div>
    </section>
    <section class="sheet part" :aria-label="say.act">
      <PickList v-model="chosen" :label="say.act" :prompt="say.repairLabel" :options="repairs" />
      <TextField v-model="reason" :label="say.because" :maxlength="400" />
      <div class="acts">
        <ActButton kind="main" :disabled="!chosen || state.ended !== null" @click="act">{{ say.doIt }}</ActButton>
        <ActButton kind="quiet" @click="done({ kind: 'cannot-tell', reason })">{{ say.undecidable }}</ActButton>
        <ActButton kind="quiet" @click="done({ kind: 'give-up' })">{{ say.giveUp }}</ActButton>
      </div>
    </section>
    <section class="sheet part" :aria-label="say.whatHappened">
      <ol class="events">
        <li v-for="(e, i) in events" :key="events.length - i">
          <span class="mono soft">{{ Math.round(e.minutes) }}′</span>
          <span class="event"
            ><span>{{ moveText(e) }}</span> <b v-if="e.shown" class="mono">{{ e.shown.text || '– – –' }}</b>
            <span v-if="cameOfText(e)" class="soft">{{ cameOfText(e) }}</span></span
          >
        </li>
        <li v-if="events.length === 0" class="soft">{{ say.nothingYet }}</li>
      </ol>
    </section>
  </aside>
</template>

<style scoped>
.practice {
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding: 8px 10px 16px 0;
  overflow-y: auto;
  min-height: 0;
}
.part {
  display: flex;
  flex-direction: column;
  gap: 6px;
  padding: 10px 14px;
}
.part p {
  margin: 0;
}
.caution {
  color: var(--amber-ink);
  font-size: 0.8438rem;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.tool {
  --label: 116px;
}
.event {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
}
.events {
  list-style: none;
  margin: 0;
  padding: 0;
}
.events li {
  display: grid;
  grid-template-columns: 40px minmax(0, 1fr);
  padding: 3px 0;
}
@media (max-width: 67.5em) {
  .practice {
    padding: 0;
    overflow: visible;
  }
}
</style>
