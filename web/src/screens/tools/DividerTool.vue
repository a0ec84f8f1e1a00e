<script setup lang="ts">
import { dividerToolWords as say } from '@mellow-probe/core/wording/screens/tools';
import FactTable from '../../components/base/FactTable.vue';
import PickList from '../../components/base/PickList.vue';
import ActButton from '../../components/base/ActButton.vue';
import { figure as written } from '@mellow-probe/core/base/units/entry';
import { formatOhm, formatTemperature, formatVolt, shownTemperature } from '@mellow-probe/core/base/units/format';
import { computed } from 'vue';
import type { Column } from '../../components/base/factTable.ts';
import EntryField from '../../components/EntryField.vue';
import LazyPlot from '../../components/LazyPlot.ts';
import UseOnJob from '../../components/UseOnJob.vue';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { fixed, significant } from '@mellow-probe/core/base/units/writing';
import { pullUpOfPairText } from '@mellow-probe/core/wording/noticeText';
import { useDraft } from '../../session/draft.ts';
import { useCurves } from '../../session/curves.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import CurvePick from './CurvePick.vue';
import DeskSliders from './DeskSliders.vue';
import { deskSchema, untouchedDesk, useDividerDesk } from './dividerDesk.ts';
import { lineFigure, overlayColour } from './lineFigure.ts';

/** The divider on a desk: volts and shown value over temperature, live, with wires, joints, leaks and the meter's own load. */
const curves = useCurves();
const preferences = usePreferences();
const LAYOUTS = [
  { value: 'pull-up', label: say.resistor },
  { value: 'pull-down', label: say.mirrored },
] as const;
const { draft } = useDraft('divider', deskSchema, untouchedDesk);
const { learned, pullUp, circuit, faults, temperatures, healthy, faulty, at, best } = useDividerDesk(draft, curves);
const unit = computed(() => preferences.temperatureUnit);
const x = computed(() => temperatures.value.map((t) => shownTemperature(t, unit.value)));
const ends = computed<[number, number]>(() => [x.value[0], x.value[x.value.length - 1]]);
const voltChart = computed(() =>
  lineFigure(
    say.voltTitle(unit.value),
    [{ name: say.sound, x: x.value, y: healthy.value.map((p) => p.volts) }],
    preferences.dark,
    false,
    {
      x: ends.value,
      y: [0, 1.04 * (draft.value.referenceV.value ?? 5)],
    },
  ),
);
const errors = computed(() => faulty.value.map((p) => p.shownC - p.temperatureC));
/** Half the height of the error chart, K: in steps, so that the axis stands still while a slider moves. */
const errorHeight = computed(() => {
  const most = Math.max(0.5, ...errors.value.map(Math.abs));
  return [1, 2, 5, 10, 20, 50, 100, 200, 500].find((s) => s >= most) ?? 1000;
});
const errorChart = computed(() =>
  lineFigure(say.errorTitle(unit.value), [{ name: say.none, x: ends.value, y: [0, 0] }], preferences.dark, false, {
    x: ends.value,
    y: [-errorHeight.value, errorHeight.value],
  }),
);
const overlayOf = (y: readonly number[]) => ({ x: x.value, y, colour: overlayColour(preferences.dark) });
const FACTS: readonly Column<{ name: string; value: string }>[] = [
  { key: 'name', title: say.fact, mono: true, text: (f) => f.name },
  { key: 'value', title: say.value, mono: true, text: (f) => f.value },
];
const atFacts = computed(() => {
  if (!at.value) return [];
  const { sound, set, milliVoltPerK, kelvinPerOhm } = at.value;
  return [
    { name: say.sensor, value: formatOhm(sound.sensorOhm) },
    { name: say.volts, value: `${formatVolt(sound.volts)} → ${formatVolt(set.volts)}` },
    { name: say.shownAsSet, value: formatTemperature(set.shownC, unit.value, 1) },
    { name: say.sensitivity, value: say.mVK(fixed(milliVoltPerK, 1)) },
    { name: say.ohmOfWire, value: `${significant(kelvinPerOhm, 2)} K` },
    ...(best.value
      ? [
          {
            name: say.bestPullUp,
            value: say.mVKAtWorst(formatOhm(best.value.ohm), fixed(best.value.worstMilliVoltPerK, 1)),
          },
        ]
      : []),
  ];
});
const unset = (): void => {
  draft.value = { ...draft.value, series: 0, leakGround: 0, leakAcross: 0, wireM: 0, meterOn: false };
};
function apply(job: Job): void {
  const c = curves.byId(draft.value.curve);
  job.circuit.curve = { source: 'given', name: c.name, curve: c.curve };
  job.circuit.layout = draft.value.layout;
  job.circuit.referenceV = draft.value.referenceV;
  job.circuit.pullUpOhm = written(Math.round(pullUp.value!));
}
</script>

<template>
  <div class="row top">
    <CurvePick v-model="draft.curve" class="pick-curve" />
    <PickList v-model="draft.layout" class="layout" :label="say.layout" :options="LAYOUTS" />
    <EntryField class="short" :label="say.reference" quantity="volts" v-model="draft.referenceV" />
    <EntryField
      class="short"
      :label="say.pullUp"
      quantity="ohms"
      :placeholder="say.learnIt"
      v-model="draft.pullUpOhm"
    />
    <EntryField class="short" :label="say.goodPairOhms" quantity="ohms" v-model="draft.pairOhm" />
    <EntryField class="short" :label="say.andVolts" quantity="volts" v-model="draft.pairV" />
  </div>
  <p v-if="learned" :class="['told', { odd: !learned.ok }]" data-test="learned">
    <template v-if="learned.ok">{{ pullUpOfPairText(learned.value, learned.sigma) }}</template>
    <template v-else>{{ say.pairFault }}</template>
  </p>
  <div class="two desk">
    <div>
      <div class="chart">
        <LazyPlot
          :figure="voltChart"
          :overlay="overlayOf(faulty.map((p) => p.volts))"
          :label="say.voltsOverTemperature"
        />
      </div>
      <div class="chart small">
        <LazyPlot :figure="errorChart" :overlay="overlayOf(errors)" :label="say.errorChart" />
      </div>
    </div>
    <div>
      <DeskSliders
        v-model:wire-m="draft.wireM"
        v-model:wire-mm2="draft.wireMm2"
        v-model:series="draft.series"
        v-model:leak-ground="draft.leakGround"
        v-model:leak-across="draft.leakAcross"
        v-model:meter-on="draft.meterOn"
        :faults="faults"
      />
      <ActButton @click="unset">{{ say.allSoundAgain }}</ActButton>
      <div class="fields">
        <EntryField
          v-for="[key, label] in [
            ['at', say.at],
            ['from', say.rangeFrom],
            ['to', say.to],
          ] as const"
          :key="key"
          :label="label"
          quantity="celsius"
          v-model="draft[key]"
        />
      </div>
      <FactTable
        v-if="atFacts.length > 0"
        data-test="desk-at"
        :label="say.atThisTemperature"
        headless
        :columns="FACTS"
        :rows="atFacts"
        :row-key="(f) => f.name"
      />
      <p v-else class="soft">{{ say.needsCircuit }}</p>
    </div>
  </div>
  <UseOnJob :what="say.useOnCheck" :disabled="!circuit" :change="apply" />
</template>

<style scoped>
.row.top.top {
  align-items: flex-start;
}
.pick-curve {
  flex: 1 1 200px;
}
.short {
  flex: 0 1 124px;
}
.desk .chart {
  height: 230px;
}
.desk .chart.small {
  height: 160px;
}
</style>
