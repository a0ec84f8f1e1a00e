<script setup lang="ts">
import { workOrderWords as say } from '@mellow-probe/core/wording/screens/bench';
import ActButton from '../../components/base/ActButton.vue';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import type { Station } from '@mellow-probe/core/advice/workOrder/stations';
import { computed, useTemplateRef } from 'vue';
import { useInSight } from '../../components/useInSight.ts';
import { useSession } from '../../session/jobSession.ts';
import SchoolChoice from './SchoolChoice.vue';
import { useReadingView } from '../../session/readingView.ts';
import { useStationState } from './useStationState.ts';

/** The order of work: stations with their state, and the tests of the one that is open with their last readings. Nothing locks. */
const { job, work } = useSession();
const viewOf = useReadingView();
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
    const standing = last ? viewOf(id, last).standing : 'none';
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
useInSight(() => work.station, useTemplateRef<HTMLElement>('order'), useTemplateRef<HTMLElement>('stations'));
</script>

<template>
  <nav ref="order" class="order" :aria-label="say.orderOfWork">
    <div class="head">
      <span class="small-head">{{ say.orderOfWork }}</span>
      <SchoolChoice v-if="job" />
    </div>
    <ol ref="stations">
      <li v-for="s in rows" :key="s.id" :class="{ open: s.open }">
        <ActButton
          kind="bare"
          class="station"
          :data-station="s.id"
          :aria-current="s.open ? 'step' : undefined"
          @click="work.goStation(s.id)"
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
              @click="work.goTest(t.id)"
            >
              <span class="sign" :class="t.sign">{{ SIGNS[t.sign] }}</span>
              <span class="name"
                >{{ t.name }}<span v-if="work.proposed?.measurement === t.id" class="next"> {{ say.next }}</span></span
              >
              <span class="last mono">{{ t.text }}</span>
            </ActButton>
          </li>
        </ul>
      </li>
    </ol>
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
  padding: 2px 8px 6px;
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
  min-height: 35px;
  font-weight: 500;
}
.test {
  min-height: 30px;
  padding-left: 20px;
  font-size: 13.5px;
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
  font-size: 12.5px;
  color: var(--soft);
  max-width: 84px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
/* As wide with the unit as without: a row that grew as its field was left would move the button under a finger that is pressing it. */
.test .last:not(:empty) {
  width: 84px;
  text-align: right;
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
@media (max-width: 1080px) {
  .order {
    overflow: visible;
    padding: 0;
  }
  .head {
    flex-direction: row;
    align-items: center;
  }
  ol {
    display: flex;
    gap: 4px;
    overflow-x: auto;
    align-items: flex-start;
  }
  ol > li {
    flex: none;
  }
  .station {
    min-height: 44px;
    border: 1px solid var(--line);
    background: var(--sheet);
    grid-template-columns: 18px auto auto;
  }
  .station .last {
    display: none;
  }
  ul {
    display: none;
  }
}
/* One line to the side: stations first, the way of working at its end. */
@media (max-width: 620px) {
  .order {
    /* Hidden words scroll with it, too. */
    position: relative;
    display: flex;
    align-items: center;
    gap: 8px;
    overflow-x: auto;
  }
  ol {
    flex: none;
    overflow: visible;
  }
  .head {
    flex: none;
    order: 2;
  }
  .station {
    min-height: 48px;
  }
}
</style>
