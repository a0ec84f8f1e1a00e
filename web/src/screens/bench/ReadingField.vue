<script setup lang="ts">
import type { JobReading } from '@mellow-probe/core/check/job/jobSchema';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { computed } from 'vue';
import FigureField from '../../components/FigureField.vue';
import { useReadings } from '../../session/readings.ts';
import { useSession } from '../../session/jobSession.ts';
import { useReadingView } from '../../session/readingView.ts';

/** The field of one reading: the given one, or the first of its measurement, made when typed into. */
const props = defineProps<{ measurement: string; reading?: JobReading | undefined; label?: string }>();

const readings = useReadings();
const { verdict } = useSession();
const viewOf = useReadingView();
const reading = computed(() => props.reading ?? readings.first(props.measurement));
const view = computed(() => viewOf(props.measurement, reading.value));
const issue = computed(() => (reading.value ? verdict.issues.get(`readings.${reading.value.id}`) : undefined));
const about = computed(() => measurementById(props.measurement));

function put(text: string): void {
  if (props.reading) readings.retype(props.reading.id, text);
  else readings.typeInto(props.measurement, text);
}
</script>

<template>
  <FigureField
    :label="label ?? about.name"
    :text="reading?.text ?? ''"
    :quantity="about.quantity"
    :issue="issue"
    v-bind="{ ...view, predicted: '' }"
    :about="about.title"
    :data-measurement="measurement"
    @type="put"
    @choose="put"
  />
</template>
