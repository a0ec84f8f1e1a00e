<script setup lang="ts">
import { workOrderWords as say } from '@mellow-probe/core/wording/screens/bench';
import { partOfWorkNames } from '@mellow-probe/core/wording/screens/guide';
import { PARTS_OF_WORK, type Station } from '@mellow-probe/core/advice/workOrder/stations';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { computed } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import { readingStanding } from '../../session/readingView.ts';
import { useSession } from '../../session/jobSession.ts';
import { useStationState } from './useStationState.ts';

/** The whole order of work under four headings: stations with their state, and the tests of the one that is open with their last readings. */
const emit = defineEmits<{ /** A station or a test was gone to. */ gone: [] }>();
const { verdict, work } = useSession();
const stateOf = useStationState();
const SIGNS = { settled: '●', odd: '◆', todo: '○' } as const;
const WORDS = { settled: say.settled, odd: say.odd, todo: say.toDo } as const;

interface TestRow {
  id: string;
  name: string;
  text: string;
  sign: keyof typeof SIGNS;
  open: boolean;
}
function testRows(station: Station): TestRow[] {
  const open = station.id === work.station;
  return station.tests.flatMap((id) => {
    const readings = work.readingsOf(id).filter((r) => !r.voided);
    const last = readings[readings.length - 1];
    if (!open && (!last || station.tests.length === 1)) return [];
    const standing = last ? readingStanding(verdict, last) : 'none';
    const sign = standing === 'fits' ? 'settled' : standing === 'off' ? 'odd' : 'todo';
    return [{ id, name: measurementById(id).name, text: last?.text ?? '', sign, open: open && work.test === id }];
  });
}
const rows = computed(() =>
  work.stations.map((s) => ({
    ...s,
    ...stateOf(s),
    open: s.id === work.station,
    rows: s.tests.length > 1 ? testRows(s) : [],
  })),
);
/** The parts with their stations, and how many of each are done. */
const parts = computed(() =>
  PARTS_OF_WORK.map((id) => {
    const stations = rows.value.filter((s) => s.part === id);
    return { id, stations, done: stations.filter((s) => s.state !== 'todo').length };
  }).filter((p) => p.stations.length > 0),
);
function toStation(id: string): void {
  work.goStation(id);
  emit('gone');
}
function toTest(id: string): void {
  work.goTest(id);
  emit('gone');
}
</script>

<template>
  <div>
    <section v-for="p in parts" :key="p.id" :aria-label="partOfWorkNames[p.id]">
      <h2 class="small-head">
        {{ partOfWorkNames[p.id] }} <span class="count">{{ say.doneOf(p.done, p.stations.length) }}</span>
      </h2>
      <ol>
        <li v-for="s in p.stations" :key="s.id" :class="{ open: s.open }">
          <ActButton
            kind="bare"
            class="station"
            :data-station="s.id"
            :aria-current="s.open ? 'step' : undefined"
            @click="toStation(s.id)"
          >
            <span class="sign" :class="s.state" :title="WORDS[s.state]">{{ SIGNS[s.state] }}</span>
            <span class="name">{{ s.name }}</span>
            <span class="last mono">{{ s.last }}</span>
          </ActButton>
          <ul v-if="s.rows.length > 0">
            <li v-for="t in s.rows" :key="t.id">
              <ActButton
                kind="bare"
                class="test"
                :class="{ on: t.open }"
                :data-test-id="t.id"
                :aria-current="t.open ? 'true' : undefined"
                @click="toTest(t.id)"
              >
                <span class="sign" :class="t.sign">{{ SIGNS[t.sign] }}</span>
                <span class="name"
                  >{{ t.name
                  }}<span v-if="work.proposed?.measurement === t.id" class="next"> {{ say.next }}</span></span
                >
                <span class="last mono">{{ t.text }}</span>
              </ActButton>
            </li>
          </ul>
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
h2 {
  display: flex;
  justify-content: space-between;
  margin: 6px 8px 1px;
}
.count {
  font-weight: 400;
}
ol,
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
button {
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr) auto;
  gap: 6px;
  align-items: center;
  width: 100%;
  border: 0;
  border-radius: 9px;
  background: transparent;
  text-align: left;
  cursor: pointer;
  padding: 3px 8px;
}
.station {
  min-height: 31px;
  font-weight: 500;
}
.test {
  min-height: 30px;
  padding-left: 20px;
  font-size: 0.8438rem;
}
button:hover {
  background: var(--spruce-soft);
}
.open > .station {
  background: var(--spruce-soft);
  font-weight: 600;
}
.test.on {
  background: var(--spruce-soft);
  font-weight: 600;
}
.next {
  color: var(--spruce);
  font-weight: 600;
}
/* Names differ in their last word (unplugged, plugged in): they go on in a second line. */
.name {
  overflow-wrap: anywhere;
  line-height: 1.25;
}
.last {
  font-size: 0.7812rem;
  color: var(--soft);
  max-width: 84px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
/* A line of its own, with the unit or without: a row that grew as its field was left would move the button under a finger that is pressing it. */
.test .last {
  grid-column: 2;
  max-width: none;
}
.sign {
  color: var(--soft);
}
.sign.settled {
  color: var(--moss);
}
.sign.odd {
  color: var(--amber);
}
@media (pointer: coarse) {
  .station,
  .test {
    min-height: 44px;
  }
}
</style>
