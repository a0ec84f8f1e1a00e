<script setup lang="ts">
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { whereFormWords as say } from '@mellow-probe/core/wording/screens/benchHarness';
import type { HintId } from '@mellow-probe/core/circuit/harness/hints';
import { stopsOf } from '@mellow-probe/core/circuit/harness/harnessSchema';
import { asksWhere, ofThisHarness } from '@mellow-probe/core/advice/place/placeAdvice';
import { formatMinutes } from '@mellow-probe/core/base/units/format';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import {
  lookLines,
  lookText,
  placeOutcomeLines,
  positionName,
  searchText,
  wayTestName,
  whereText,
} from '@mellow-probe/core/wording/placeText';
import { computed, ref } from 'vue';
import ActButton from '../../../components/base/ActButton.vue';
import FoldOut from '../../../components/base/FoldOut.vue';
import HarnessRun from '../../../components/harness/HarnessRun.vue';
import { useSession } from '../../../session/jobSession.ts';
import { usePreferences } from '../../../data/stores/preferences.ts';
import FormSheet from './FormSheet.vue';
import HarnessRows from './HarnessRows.vue';
import StopSheet from './StopSheet.vue';

/** Where on the way from module to sensor the fault lies, and at which connector to look next. */
const { job, verdict, work } = useSession();
const preferences = usePreferences();
const where = computed(() => (verdict.advice ? ofThisHarness(verdict.advice.where, job.loom) : null));
const next = computed(() => where.value?.next ?? null);
const says = computed(() => (where.value ? whereText(where.value, job.loom) : ''));
const lines = computed(() => (next.value ? placeOutcomeLines(next.value, job.loom, preferences.temperatureUnit) : []));
const first = computed(() => where.value?.first ?? null);
const looks = computed(() => (first.value ? lookLines(first.value, job.loom) : []));
function seen(hint: HintId): void {
  if (first.value) stopsOf(job.loom)[first.value.stop].hints.push(hint);
}
const about = computed(() => (next.value ? measurementById(next.value.measurement) : null));
const empty = computed(() => job.loom.stops.length === 0);
const picked = ref(0);
const open = ref(false);
function pick(element: number): void {
  picked.value = element >> 1;
  open.value = true;
}
</script>

<template>
  <FormSheet :title="say.title" :purpose="say.purpose">
    <p class="caution">
      {{ say.connectorCaution }}
    </p>
    <p v-if="says" class="told" data-test="where">{{ says }}</p>
    <p v-else class="told odd" data-test="where">
      <template v-if="empty">{{ say.empty }}</template>
      <template v-else>{{ say.notAWire }}</template>
    </p>
    <HarnessRun :job="job" :where="where" :earlier="verdict.adviceEarlier" @pick="pick" />
    <section v-if="first" class="before" data-test="where-first" :aria-label="say.inspectFirst">
      <h3>{{ unbroken(say.first(lookText(first, job.loom), formatMinutes(first.minutes))) }}</h3>
      <p v-if="first.kind === 'wiggle'" class="small">{{ say.wiggleCaution }}</p>
      <div v-for="line in looks" :key="line.hint" class="look">
        <ActButton @click="seen(line.hint)">{{ line.says }}</ActButton>
        <span>{{ line.chance }}: {{ line.leaves }}</span>
      </div>
    </section>
    <section v-if="next && about" class="next" data-test="where-next" :aria-label="say.nextPlace">
      <h3>{{ unbroken(say.next(wayTestName(next, job.loom), formatMinutes(next.minutes))) }}</h3>
      <dl>
        <template v-for="line in lines" :key="line.range">
          <dt class="mono">{{ line.range }}</dt>
          <dd>{{ line.leaves }} · {{ line.chance }}</dd>
        </template>
      </dl>
      <p>{{ searchText(next) }}</p>
      <p v-if="about.caution" class="small">▲ {{ about.caution }}</p>
      <ActButton class="go" @click="work.goTest(next.measurement, next.conditions)">
        {{ say.iAmAt(positionName(job.loom, next.conditions.position ?? 1)) }}
      </ActButton>
      <p v-if="where && !asksWhere(where)" class="small">
        {{ say.notDecidedYet }}
      </p>
    </section>
    <FoldOut :title="say.openRows">
      <HarnessRows />
    </FoldOut>
    <StopSheet v-model:open="open" :index="picked" />
  </FormSheet>
</template>

<style scoped>
.before {
  border: 1px solid var(--line);
  border-radius: var(--corner);
  padding: 10px 16px;
}
.before h3 {
  font-size: 1rem;
}
.look {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-top: 8px;
}
.next {
  background: var(--spruce);
  color: var(--on-spruce);
  border-radius: var(--corner);
  padding: 12px 16px;
}
.next h3 {
  font-size: 1.0625rem;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 14px;
  margin: 6px 0;
}
dt {
  font-weight: 600;
  white-space: nowrap;
}
dd {
  margin: 0;
}
.small {
  font-size: 0.8125rem;
}
.go.go {
  width: 100%;
  margin: 8px 0 2px;
  background: var(--sheet);
  color: var(--spruce);
  font-weight: 600;
}
</style>
