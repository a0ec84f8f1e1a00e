import type { Job, JobConditions, JobReading } from '@mellow-probe/core/check/job/jobSchema';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import type { Conditions } from '@mellow-probe/core/circuit/measurements/measurement';
import { nextPlace } from '@mellow-probe/core/advice/place/placeAdvice';
import { figure } from '@mellow-probe/core/base/units/entry';
import { nextOfSchool, type Station, stationsFor } from '@mellow-probe/core/advice/workOrder/stations';
import type { MachineState } from '@mellow-probe/core/base/units/vocabulary';
import { plainCopy } from '@mellow-probe/core/base/records/plainData';
import { computed, reactive, ref, toRaw } from 'vue';
import type { PersistedRecord } from './record/recordContract.ts';
import type { VerdictView } from './verdict.ts';

/** Where on the order of work the technician is: a station, on it a test, of it a reading. Nothing locks; any can be gone to at any time. */
export interface WorkOrder {
  readonly station: string;
  readonly test: string | null;
  /** Which reading of the test is on the card; null: one that is still to be taken. */
  readingId: string | null;
  /** Conditions of the reading still to be taken, and the state of the machine it is taken in. */
  draft: JobConditions;
  state: MachineState;
  /** The moment it will belong to; null: the usual one of its state. */
  moment: string | null;
  readonly stations: readonly Station[];
  readonly current: Station | undefined;
  /** The test the tool proposes, or the chosen school's next. */
  readonly proposed: { measurement: string; conditions: Conditions; state?: MachineState } | null;
  readingsOf(measurement: string): readonly JobReading[];
  goStation(id: string): void;
  /** Puts a test on the card, with its latest reading; with conditions: a new reading under those. */
  goTest(measurement: string, conditions?: Conditions, state?: MachineState): void;
  goReading(id: string): void;
  /** A further reading of the test on the card, in this state of the machine; without one, in the same conditions as the reading on the card. */
  again(state?: MachineState): void;
  goProposed(): void;
  /** On to the next test in the order of work that has no reading yet; after the last one, to the decision. */
  goNext(): void;
  step(by: 1 | -1): void;
}

/** The order of work of a job. */
export function followWork(
  record: PersistedRecord<Job>,
  verdict: VerdictView,
  shown: (station: string) => boolean = () => true,
): WorkOrder {
  const job = record.value;
  const station = ref('quick');
  const readingsOf = readingsByTest(job);
  const card = onCard(job, readingsOf);
  const { stations, doneTests, proposed, nextUndone } = testsOf(job, verdict, shown, readingsOf);

  function goStation(id: string): void {
    const next = stations.value.find((s) => s.id === id);
    if (!next) return;
    station.value = id;
    const first = next.tests.find((t) => !doneTests.value.has(t)) ?? next.tests[0];
    if (first) goTest(first);
    else card.clear();
  }

  function goTest(measurement: string, conditions?: Conditions, inState: MachineState = 'steady'): void {
    station.value = stations.value.find((s) => s.tests.includes(measurement))?.id ?? station.value;
    card.put(measurement, conditions, inState);
  }

  function goReading(id: string): void {
    const reading = job.readings.find((r) => r.id === id);
    if (!reading) return;
    goTest(reading.measurement);
    card.readingId.value = id;
  }

  const { test, readingId, draft, state, moment, again } = card;
  return reactive({
    station,
    test,
    readingId,
    draft,
    state,
    moment,
    stations,
    current: computed(() => stations.value.find((s) => s.id === station.value) ?? stations.value[0]),
    proposed,
    readingsOf,
    goStation,
    goTest,
    goReading,
    again,
    goProposed: () =>
      proposed.value && goTest(proposed.value.measurement, proposed.value.conditions, proposed.value.state),
    goNext: () => {
      const next = nextUndone(test.value);
      if (next) goTest(next);
      else goStation('decision');
    },
    step: (by: 1 | -1) => {
      const at = stations.value.findIndex((s) => s.id === station.value);
      const next = stations.value[at + by];
      if (next) goStation(next.id);
    },
  });
}

/** The readings of each test, in their order. Sorted once for all the tests: a check may hold hundreds, and every letter that is typed asks. */
function readingsByTest(job: Job): (measurement: string) => readonly JobReading[] {
  const byTest = computed(() => {
    const lists = new Map<string, JobReading[]>();
    for (const r of job.readings) {
      const list = lists.get(r.measurement);
      if (list) list.push(r);
      else lists.set(r.measurement, [r]);
    }
    return lists;
  });
  return (measurement) => byTest.value.get(measurement) ?? [];
}

/** The stations and tests of a job, which of them are done, and which is next. */
function testsOf(
  job: Job,
  verdict: VerdictView,
  shown: (station: string) => boolean,
  readingsOf: WorkOrder['readingsOf'],
) {
  const stations = computed(() =>
    stationsFor(job.school, job.circuit.layout, job.loom.stops.length).filter((s) => shown(s.id)),
  );
  const allTests = computed(() => stations.value.flatMap((s) => s.tests));
  const isDone = (id: string): boolean => readingsOf(id).some((r) => !r.voided && r.value !== null);
  const doneTests = computed(() => new Set(allTests.value.filter(isDone)));
  const proposed = computed((): WorkOrder['proposed'] => {
    const next = nextOfSchool(job.school, allTests.value, doneTests.value);
    if (next) return { measurement: next, conditions: {} };
    const { advice } = verdict;
    return (advice && nextPlace(advice.where, job.loom)) ?? advice?.proposals[0] ?? null;
  });
  /** The next test after this one that has no reading yet, round to the one before it. */
  function nextUndone(from: string | null): string | undefined {
    const list = allTests.value;
    const here = from ? list.indexOf(from) : -1;
    const after = [...list.slice(here + 1), ...list.slice(0, Math.max(here, 0))];
    return after.find((id) => !doneTests.value.has(id));
  }
  return { stations, doneTests, proposed, nextUndone };
}

/** The test on the card, and which of its readings: one that is there, or one still to be taken. */
function onCard(job: Job, readingsOf: WorkOrder['readingsOf']) {
  const test = ref<string | null>(null);
  const chosen = ref<string | null>(null);
  const draft = ref<JobConditions>({});
  const state = ref<MachineState>('steady');
  const moment = ref<string | null>(null);
  return {
    test,
    draft,
    state,
    moment,
    // A reading that is gone (undone, merged away) is no longer on the card.
    readingId: computed({
      get: () => (job.readings.some((r) => r.id === chosen.value) ? chosen.value : null),
      set: (id) => (chosen.value = id),
    }),
    clear(): void {
      [test.value, chosen.value] = [null, null];
    },
    put(measurement: string, conditions: Conditions | undefined, inState: MachineState): void {
      test.value = measurement;
      const mine = readingsOf(measurement).filter((r) => !r.voided && (inState === 'steady' || r.state === inState));
      const fresh = conditions && measurementById(measurement).needs.length > 0;
      [state.value, moment.value] = [inState, null];
      chosen.value = fresh ? null : (mine[mine.length - 1]?.id ?? null);
      draft.value = conditions ? asTyped(conditions) : {};
    },
    again(inState?: MachineState): void {
      const last = job.readings.find((r) => r.id === chosen.value);
      [state.value, moment.value] = inState ? [inState, null] : [last?.state ?? 'steady', last?.moment ?? null];
      [chosen.value, draft.value] = [null, inState ? {} : plainCopy(toRaw(last?.conditions ?? {}))];
    },
  };
}

function asTyped({ substituteOhm, bathC, airC, wire, position, side }: Conditions): JobConditions {
  return {
    ...(substituteOhm === undefined ? {} : { substituteOhm: figure(substituteOhm) }),
    ...(airC === undefined ? {} : { airC: { text: `${airC} °C`, value: airC } }),
    ...(bathC === undefined ? {} : { bathC: { text: `${bathC} °C`, value: bathC } }),
    ...(wire && position ? { wire, position, ...(side && { side }) } : {}),
  };
}
