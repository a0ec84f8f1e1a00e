import { nextOfSchool, stationsFor } from '@mellow-probe/core/workOrder/stations';
import type { JobConditions, JobReading } from '@mellow-probe/core/job/jobSchema';
import { figure } from '@mellow-probe/core/units/entry';
import { measurementById } from '@mellow-probe/core/measurements/list';
import type { Conditions } from '@mellow-probe/core/measurements/measurement';
import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { useOpenJob } from './openJob.ts';
import { useVerdict } from './verdict.ts';

/** Where on the order of work the technician is: a station, on it a test, of it a reading. Nothing locks; any can be gone to at any time. */
export const useWorkOrder = defineStore('workOrder', () => {
  const bench = useOpenJob();
  const verdict = useVerdict();
  const station = ref('quick');
  const test = ref<string | null>(null);
  /** Which reading of the test is on the card; null: one that is still to be taken. */
  const readingId = ref<string | null>(null);
  /** Conditions of the reading still to be taken. */
  const draft = ref<JobConditions>({});

  const stations = computed(() => {
    const job = bench.job;
    return job ? stationsFor(job.school, job.circuit.layout, job.circuit.connectors) : [];
  });
  const allTests = computed(() => stations.value.flatMap((s) => s.tests));
  const current = computed(() => stations.value.find((s) => s.id === station.value) ?? stations.value[0]);

  function readingsOf(measurement: string): JobReading[] {
    return bench.job?.readings.filter((r) => r.measurement === measurement) ?? [];
  }
  const isDone = (id: string): boolean => readingsOf(id).some((r) => !r.voided && r.value !== null);
  const doneTests = computed(() => new Set(allTests.value.filter(isDone)));

  function goStation(id: string): void {
    const next = stations.value.find((s) => s.id === id);
    if (!next) return;
    station.value = id;
    const first = next.tests.find((t) => !doneTests.value.has(t)) ?? next.tests[0];
    if (first) goTest(first);
    else [test.value, readingId.value] = [null, null];
  }

  /** Puts a test on the card, with its latest reading; with conditions: a new reading under those. */
  function goTest(measurement: string, conditions?: Conditions): void {
    station.value = stations.value.find((s) => s.tests.includes(measurement))?.id ?? station.value;
    test.value = measurement;
    const mine = readingsOf(measurement).filter((r) => !r.voided);
    readingId.value =
      conditions && measurementById(measurement).needs.length > 0 ? null : (mine[mine.length - 1]?.id ?? null);
    draft.value = conditions ? asTyped(conditions) : {};
  }

  function goReading(id: string): void {
    const reading = bench.job?.readings.find((r) => r.id === id);
    if (!reading) return;
    goTest(reading.measurement);
    readingId.value = id;
  }

  /** A further reading of the test on the card. */
  function again(): void {
    [readingId.value, draft.value] = [null, {}];
  }

  /** The test the tool proposes, or the chosen school's next. */
  const proposed = computed<{ measurement: string; conditions: Conditions } | null>(() => {
    const school = bench.job?.school ?? 'proposal';
    const next = nextOfSchool(school, allTests.value, doneTests.value);
    if (next) return { measurement: next, conditions: {} };
    return verdict.advice?.proposals[0] ?? null;
  });

  function goProposed(): void {
    if (proposed.value) goTest(proposed.value.measurement, proposed.value.conditions);
  }

  /** On to the next test in the order of work that has no reading yet; after the last one, to the decision. */
  function goNext(): void {
    const list = allTests.value;
    const here = test.value ? list.indexOf(test.value) : -1;
    const after = [...list.slice(here + 1), ...list.slice(0, Math.max(here, 0))];
    const next = after.find((id) => !doneTests.value.has(id));
    if (next) goTest(next);
    else goStation('decision');
  }

  function step(by: 1 | -1): void {
    const at = stations.value.findIndex((s) => s.id === station.value);
    const next = stations.value[at + by];
    if (next) goStation(next.id);
  }

  watch(
    () => bench.job?.id,
    () => ([station.value, test.value, readingId.value, draft.value] = ['quick', null, null, {}]),
  );

  return {
    station,
    test,
    readingId,
    draft,
    stations,
    current,
    doneTests,
    proposed,
    readingsOf,
    goStation,
    goTest,
    goReading,
    again,
    goProposed,
    goNext,
    step,
  };
});

function asTyped({ substituteOhm, bathC, wire, position }: Conditions): JobConditions {
  return {
    ...(substituteOhm === undefined ? {} : { substituteOhm: figure(substituteOhm) }),
    ...(bathC === undefined ? {} : { bathC: { text: `${bathC} °C`, value: bathC } }),
    ...(wire && position ? { wire, position } : {}),
  };
}
