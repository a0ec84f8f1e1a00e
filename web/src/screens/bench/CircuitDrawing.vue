<script setup lang="ts">
import { computed } from 'vue';
import FigureField from '../../components/FigureField.vue';
import { useReadings } from '../../composables/useReadings.ts';
import { useOpenJob } from '../../stores/openJob.ts';
import { useVerdict } from '../../stores/verdict.ts';
import CircuitChoice from './CircuitChoice.vue';
import CircuitSymbols from './CircuitSymbols.vue';
import ReadingField from './ReadingField.vue';

/** The circuit of this job, carrying every figure where it belongs: what is known of the circuit and what was measured on it. */
defineEmits<{ details: [] }>();
const bench = useOpenJob();
const verdict = useVerdict();
const { entryOf } = useReadings();

const job = computed(() => bench.job!);
const layout = computed(() => job.value.circuit.layout);
const suspect = computed(() => {
  const assessment = verdict.result?.assessment;
  const first = assessment?.suspects[0];
  if (!first || first.fault === 'healthy' || assessment.doubt.kind === 'no-readings' || assessment.doubt.kind === 'nothing-fits') return null;
  return first.probability >= 0.5 ? first : null;
});
const wireNames = computed(() =>
  layout.value === 'pull-down' ? ['feed', 'signal'] : layout.value === 'one-wire' ? ['signal', 'body'] : ['signal', 'return'],
);
</script>

<template>
  <section class="sheet drawing" aria-label="The circuit with its readings">
    <CircuitSymbols :layout="layout" :suspect="suspect" :wires="wireNames" />
    <CircuitChoice class="choice" @details="$emit('details')" />

    <FigureField
      class="at reference"
      label="Reference"
      quantity="volts"
      :text="job.circuit.referenceV.text"
      :issue="verdict.issues.get('circuit.referenceV')"
      @type="job.circuit.referenceV = entryOf($event, 'volts')"
      @choose="job.circuit.referenceV = entryOf($event, 'volts')"
    />
    <FigureField
      class="at pullup"
      :label="layout === 'pull-down' ? 'Pull-down' : 'Pull-up'"
      quantity="ohms"
      :text="job.circuit.pullUpOhm.text"
      :issue="verdict.issues.get('circuit.pullUpOhm')"
      placeholder="unknown"
      @type="job.circuit.pullUpOhm = entryOf($event, 'ohms')"
      @choose="job.circuit.pullUpOhm = entryOf($event, 'ohms')"
    />
    <ReadingField class="at displayed" measurement="displayed" label="Displayed" />
    <ReadingField class="at unplugged" measurement="open-voltage" label="Volts, unplugged" />
    <ReadingField class="at plugged" measurement="loaded-voltage" label="Volts, plugged in" />
    <ReadingField v-if="layout !== 'one-wire'" class="at drop" measurement="return-drop" :label="layout === 'pull-down' ? 'Feed volts' : 'Return drop'" />
    <FigureField
      class="at thermometer"
      label="Thermometer"
      quantity="celsius"
      :text="job.temperatureC.text"
      :issue="verdict.issues.get('temperatureC')"
      hint="beside the sensor"
      @type="job.temperatureC = entryOf($event, 'celsius')"
      @choose="job.temperatureC = entryOf($event, 'celsius')"
    />
    <ReadingField class="at ohms" measurement="sensor-ohms" label="Sensor ohms" />
  </section>
</template>

<style scoped>
.drawing {
  position: relative;
  height: 388px;
  min-width: 0;
}
.at {
  position: absolute;
  width: 17%;
}
.choice {
  position: absolute;
  left: 30%;
  right: 1.5%;
  top: 10px;
}
.reference {
  left: 3%;
  top: 30px;
  width: 13%;
}
.pullup {
  left: 11%;
  top: 116px;
  width: 16%;
}
.displayed {
  left: 3%;
  top: 240px;
  width: 24%;
}
.unplugged {
  left: 31%;
  top: 112px;
}
.plugged {
  left: 49.5%;
  top: 112px;
}
.drop {
  left: 49.5%;
  top: 232px;
}
.thermometer {
  left: 82%;
  top: 112px;
  width: 16.5%;
}
.ohms {
  left: 82%;
  top: 232px;
  width: 16.5%;
}
@media (max-width: 700px) {
  .drawing {
    height: auto;
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 10px;
    padding: 12px;
  }
  .at,
  .choice {
    position: static;
    width: auto;
  }
  .choice {
    grid-column: 1 / 3;
  }
}
</style>
