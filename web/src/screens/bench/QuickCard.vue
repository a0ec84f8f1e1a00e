<script setup lang="ts">
import { quickCardWords as say } from '@mellow-probe/core/wording/screens/bench';
import { formatTemperature } from '@mellow-probe/core/base/units/format';
import { computed } from 'vue';
import EntryField from '../../components/EntryField.vue';
import { useGeneralMoment } from '../../session/moments.ts';
import { useSession } from '../../session/jobSession.ts';
import MomentNotice from '../../components/MomentNotice.vue';
import NoticedTaps from '../../components/NoticedTaps.vue';
import ThermometerTap from '../../components/ThermometerTap.vue';
import { usePreferences } from '../../data/stores/preferences.ts';
import CircuitChoice from './CircuitChoice.vue';
import ReadingField from './ReadingField.vue';

/** The quick check: which circuit, and the few figures that are often enough. Every other test has its card in the order of work. */
defineEmits<{ details: [] }>();
const { job, verdict } = useSession();
const layout = computed(() => job.circuit.layout);
const preferences = usePreferences();
const { settled, question } = useGeneralMoment();
/** The thermometer's figure in the other unit, where that is what the readings ask for. */
const thermometerMeant = computed(() => {
  const meant = verdict.fault ? null : (verdict.result?.assessment.thermometerSlip ?? null);
  return meant === null ? '' : formatTemperature(meant, preferences.temperatureUnit);
});
</script>

<template>
  <section class="sheet quick" :aria-label="say.quickCheck">
    <CircuitChoice @details="$emit('details')" />
    <div class="row">
      <EntryField
        :label="say.reference"
        quantity="volts"
        v-model="job.circuit.referenceV"
        :issue="verdict.issues.get('circuit.referenceV')"
      />
      <EntryField
        :label="layout === 'pull-down' ? say.pullDown : say.pullUp"
        quantity="ohms"
        v-model="job.circuit.pullUpOhm"
        :issue="verdict.issues.get('circuit.pullUpOhm')"
        :placeholder="say.unknown"
      />
      <div class="told">
        <EntryField
          class="measured"
          :label="say.thermometer"
          quantity="told-celsius"
          v-model="job.moments[0].temperatureC"
          :issue="verdict.issues.get('moments.steady.temperatureC')"
          :meant="thermometerMeant"
          hint="20, 18…24, <50"
          @settle="settled"
        />
        <NoticedTaps v-if="job.moments[0].temperatureC.text.trim() === ''" v-model="job.moments[0].temperatureC" />
        <ThermometerTap v-else v-model="job.moments[0].thermometer" :kit="job.kit" />
      </div>
      <ReadingField class="measured" measurement="displayed" :label="say.displayed" />
    </div>
    <MomentNotice v-if="question" :question="question" />
    <div class="row">
      <ReadingField class="ohms" measurement="sensor-ohms" :label="say.sensorOhms" />
      <ReadingField measurement="open-voltage" :label="say.voltsUnplugged" />
      <ReadingField measurement="loaded-voltage" :label="say.voltsPluggedIn" />
      <ReadingField
        v-if="layout !== 'one-wire'"
        measurement="return-drop"
        :label="layout === 'pull-down' ? say.feedVolts : say.returnDrop"
      />
    </div>
  </section>
</template>

<style scoped>
.quick {
  padding: 8px 14px;
  display: flex;
  flex-direction: column;
  gap: 6px;
  overflow-y: auto;
  min-height: 0;
}
.row {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 12px;
}
.told {
  position: relative;
}
.told :deep(.none),
.told :deep(.within) {
  position: absolute;
  top: 3px;
  right: 2px;
}
@media (max-width: 38.75em) {
  .row {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
