<script setup lang="ts">
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { harnessRunWords as say } from '@mellow-probe/core/wording/screens/drawing';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import type { PlaceAdvice } from '@mellow-probe/core/advice/place/placeAdvice';
import { reachOf } from '@mellow-probe/core/advice/place/harnessReach';
import type { Interval } from '@mellow-probe/core/base/numeric/interval';
import { formatInterval, formatProbability, formatVolt } from '@mellow-probe/core/base/units/format';
import { placeName } from '@mellow-probe/core/wording/placeText';
import { computed } from 'vue';
import ActButton from '../base/ActButton.vue';
import { harnessRows, wayMarks } from './harnessRows.ts';
import WireSwatch from './WireSwatch.vue';

/**
 * The whole run from the module to the sensor plug, to scale of the work to get at it: how likely each place is to be the bad one, and along it the
 * voltage, as the leading fault would have it and as it was read.
 */
const props = defineProps<{ job: Job; where: PlaceAdvice | null; earlier: boolean }>();
defineEmits<{ pick: [element: number] }>();
const rows = computed(() => harnessRows(props.job.loom, reachOf(props.job.loom, props.job.kit).minutes, props.where));
const most = computed(() => Math.max(...rows.value.map((r) => r.share ?? 0), 0.01));
const strand = computed(() => props.where?.strand ?? 'signal');
const marks = computed(() => wayMarks(props.job, strand.value));
const profile = computed(() => props.where?.profile ?? null);
const scale = computed(() => {
  const { before, beyond } = profile.value ?? { before: null, beyond: null };
  const ends = [before?.high, beyond?.high, ...marks.value.map((m) => m.volts)].filter((v) => v !== undefined);
  const top = Math.max(1, ...ends);
  return (volts: number): number => 6 + (88 * Math.max(0, volts)) / top;
});
/** Probability that the bad place lies beyond the middle of a row: there the voltage is still that of the module's side. */
const stillSound = computed(() => {
  const list = rows.value.map((r) => r.share ?? 0);
  const total = list.reduce((a, b) => a + b, 0) || 1;
  let passed = 0;
  return list.map((share) => {
    const beyond = total - passed - share / 2;
    passed += share;
    return beyond / total;
  });
});
const bands = computed(() =>
  profile.value
    ? [
        { ...profile.value.before, weight: (i: number) => stillSound.value[i] },
        { ...profile.value.beyond, weight: (i: number) => 1 - stillSound.value[i] },
      ]
    : [],
);
const voltsText = (range: Interval): string => formatInterval(range, 'volts', 'C');
const marksAt = (element: number) => marks.value.filter((m) => m.element === element);
</script>

<template>
  <ol class="loom" :class="{ earlier }" data-test="loom" :aria-label="say.label">
    <li v-for="(row, i) in rows" :key="row.element" :style="{ minHeight: `${row.height}px` }" :class="{ run: row.run }">
      <span class="rail" aria-hidden="true">
        <span
          v-if="!row.run"
          :class="['stop', row.stop.kind, { hot: row.share !== null && row.share >= most / 2 }]"
        ></span>
        <span v-else-if="row.share !== null && row.share >= most / 2" class="suspect"></span>
      </span>
      <ActButton
        kind="bare"
        class="what"
        :aria-label="
          say.change(
            [placeName(job.loom, row.element), row.about, row.share === null ? '' : formatProbability(row.share)]
              .filter(Boolean)
              .join(', '),
          )
        "
        @click="$emit('pick', row.element)"
      >
        <span class="words">
          <span v-if="row.name" class="name">{{ row.name }}</span>
          <span class="about">
            <template v-if="row.run">
              <WireSwatch :colours="row.run.colours.signal" /> <WireSwatch :colours="row.run.colours.return" />
            </template>
            {{ unbroken(row.about) || (row.run ? say.run : '') }}
          </span>
        </span>
      </ActButton>
      <svg v-if="profile" class="profile" viewBox="0 0 100 40" preserveAspectRatio="none" aria-hidden="true">
        <rect
          v-for="(band, k) in bands"
          :key="k"
          :x="scale(band.low)"
          :width="Math.max(2, scale(band.high) - scale(band.low))"
          y="0"
          height="40"
          :class="k === 0 ? 'before' : 'beyond'"
          :opacity="Math.max(0.08, band.weight(i))"
        />
      </svg>
      <span v-for="m in marksAt(row.element)" :key="m.side" :class="['mark', 'mono', m.side]">{{
        formatVolt(m.volts)
      }}</span>
      <span class="share mono">{{ row.share === null ? '' : formatProbability(row.share) }}</span>
      <span v-if="row.share !== null" class="bar" aria-hidden="true">
        <span :style="{ width: `${(100 * row.share) / most}%` }"></span>
      </span>
    </li>
  </ol>
  <p v-if="profile" class="legend">
    <span class="key before" aria-hidden="true"></span> {{ say.voltsBefore(voltsText(profile.before)) }}
    <span class="key beyond" aria-hidden="true"></span> {{ say.beyondIt(voltsText(profile.beyond)) }}
  </p>
</template>

<style scoped>
.loom {
  list-style: none;
  margin: 0;
  padding: 0;
}
.earlier {
  opacity: 0.7;
}
li {
  position: relative;
  display: grid;
  grid-template-columns: 30px 1fr auto auto 52px 54px;
  align-items: center;
}
.rail {
  position: absolute;
  left: 13px;
  top: 0;
  bottom: 0;
  width: 4px;
  background: var(--ink);
}
li:first-child .rail {
  top: 50%;
}
li:last-child .rail {
  bottom: 50%;
}
.stop {
  position: absolute;
  left: -9px;
  top: calc(50% - 11px);
  width: 22px;
  height: 22px;
  box-sizing: border-box;
  border: 3px solid var(--ink);
  border-radius: 50%;
  background: var(--sheet);
}
li:first-child .stop {
  top: -11px;
}
li:last-child .stop {
  top: auto;
  bottom: -11px;
}
.stop.connector {
  border-radius: 5px;
}
.stop.splice {
  transform: rotate(45deg);
  border-radius: 2px;
}
.stop.hot {
  border-color: var(--amber);
  background: var(--amber-soft);
}
.suspect {
  position: absolute;
  inset: 0;
  background: repeating-linear-gradient(var(--amber) 0 9px, var(--sheet) 9px 14px);
}
.what.what {
  grid-column: 2;
  border: 0;
  padding: 2px 6px;
  min-height: var(--press);
  min-width: 0;
  background: transparent;
  text-align: left;
  color: inherit;
  white-space: normal;
}
.run .what.what {
  min-height: 26px;
}
.words {
  display: block;
}
.name {
  display: block;
  font-weight: 600;
}
.about {
  font-size: 0.8125rem;
  color: var(--soft);
}
.profile {
  grid-column: 3;
  align-self: stretch;
  width: 96px;
  height: auto;
  border-inline: 1px solid var(--line);
}
.before {
  fill: var(--strip);
}
.beyond {
  fill: var(--amber);
}
.mark {
  grid-column: 4;
  padding-left: 8px;
  font-size: 0.8125rem;
  font-weight: 600;
}
.mark + .mark {
  align-self: end;
}
.legend {
  font-size: 0.7812rem;
  color: var(--soft);
}
.key {
  display: inline-block;
  width: 12px;
  height: 12px;
  vertical-align: -2px;
}
.key.before {
  background: var(--strip);
}
.key.beyond {
  background: var(--amber);
  margin-left: 8px;
}
.share {
  grid-column: 5;
  text-align: right;
}
.bar {
  grid-column: 6;
  margin-left: 8px;
  height: 8px;
  border-radius: 4px;
  background: var(--bar);
  overflow: hidden;
}
.bar span {
  display: block;
  height: 100%;
  background: var(--amber);
}
@media (forced-colors: active) {
  .rail,
  .bar span,
  .key,
  .suspect {
    forced-color-adjust: none;
  }
  .rail {
    background: CanvasText;
  }
  .bar {
    border: 1px solid CanvasText;
  }
  .bar span {
    background: Highlight;
  }
}
@media (max-width: 38.75em) {
  li {
    grid-template-columns: 30px 1fr auto auto 50px;
  }
  .bar {
    display: none;
  }
  .profile {
    width: 54px;
  }
}
</style>
