<script setup lang="ts">
import { recordBarWords as say } from '@mellow-probe/core/wording/screens/live';
import type { MarkKind } from '@mellow-probe/core/intake/logs/log';
import { clockText, MARK_NAMES } from '@mellow-probe/core/wording/logText';
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import { counted } from '@mellow-probe/core/base/units/writing';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import ActButton from '../../components/base/ActButton.vue';
import NoticeBar from '../../components/base/NoticeBar.vue';
import TextField from '../../components/base/TextField.vue';
import { onKeyStroke } from '../../browser/onKeyStroke.ts';
import { useLive } from '../../data/stores/live/live.ts';

/** The recording: begun and ended, with marks by tap or key while it runs. */
const props = defineProps<{ job: { id: string; title: string } | null; places: readonly string[] }>();
const live = useLive();
const router = useRouter();
const note = ref('');
const ending = ref(false);

/** Marks with a key each; a place is wiggled by its number. */
const KEYS: readonly (readonly [MarkKind, string])[] = [
  ['unplugged', 'X'],
  ['bridged', 'B'],
  ['heated', 'H'],
  ['cooled', 'L'],
  ['fan', 'F'],
  ['key-off', 'O'],
];
const running = computed(() => live.recording !== null);
// A copy: the recorder writes into its head, and what follows from it must be looked at anew.
const head = computed(() => (void live.beat, live.recording ? { ...live.recording.head } : null));
const standing = (kind: MarkKind, place = ''): boolean =>
  head.value?.marks.some((m) => m.kind === kind && m.place === place && m.toS === null) ?? false;
const lastMarks = computed(() => [...(head.value?.marks ?? [])].reverse().slice(0, 4));

/** What is done to the made-up machine is done by the same tap as its mark. */
const ACTS: Partial<Record<MarkKind, readonly [begin: string, end: string]>> = {
  unplugged: ['plug open', 'plug sensor'],
  bridged: ['plug bridge', 'plug sensor'],
  'key-off': ['key off', 'key on'],
  heated: ['sensor-at 90', 'sensor-at place'],
  cooled: ['sensor-at 5', 'sensor-at place'],
};
function toggle(kind: MarkKind, place = ''): void {
  if (!running.value) return;
  const ends = standing(kind, place);
  // One place at a time is wiggled: the hand is at the next.
  if (kind === 'wiggling' && !ends)
    for (const m of head.value!.marks) if (m.kind === 'wiggling' && m.toS === null) live.mark('wiggling', m.place);
  live.mark(kind, place);
  // The made-up machine has places of its own: the one that lies as far along.
  if (kind === 'wiggling')
    live.act(ends ? 'wiggle nothing' : `wiggle ${live.places[props.places.indexOf(place)] ?? place}`);
  else if (ACTS[kind]) live.act(ACTS[kind][ends ? 1 : 0]);
}
function tell(): void {
  if (note.value.trim() === '') return;
  live.mark('note', '', note.value.trim());
  note.value = '';
}
async function end(): Promise<void> {
  ending.value = true;
  const id = await live.stopRecording();
  ending.value = false;
  if (id) await router.push({ path: `/logs/${id}`, query: props.job ? { check: props.job.id } : {} });
}
function begin(): void {
  live.startRecording(props.job?.title || say.recording, props.job && { ...props.job });
}
/** The marks as they are pressed: what is done, and where it is wiggled, by number. */
const groups = computed(
  (): { label: string; marks: { kind: MarkKind; place: string; name: string; key: string }[] }[] => [
    {
      label: say.marksHelp,
      marks: KEYS.map(([kind, key]) => ({ kind, place: '', name: MARK_NAMES[kind], key })),
    },
    {
      label: say.wigglingHere,
      marks: props.places.map((place, n) => ({
        kind: 'wiggling',
        place,
        name: say.wiggle(place),
        key: n < 9 ? String(n + 1) : '',
      })),
    },
  ],
);
for (const key of [...KEYS.map(([, k]) => k), ...Array.from({ length: 9 }, (_, n) => String(n + 1))])
  onKeyStroke(key, () => {
    const mark = groups.value.flatMap((g) => g.marks).find((m) => m.key === key);
    if (mark) toggle(mark.kind, mark.place);
  });
onKeyStroke('R', () => (running.value ? void end() : live.reading && begin()));
</script>

<template>
  <section class="bar sheet" :aria-label="say.recording" :class="{ running }">
    <div class="ends">
      <ActButton v-if="!running" kind="main" :disabled="!live.reading" @click="begin"
        >{{ say.record }} <kbd>R</kbd></ActButton
      >
      <ActButton v-else kind="main" :disabled="ending" @click="end">{{ say.stopAndOpen }} <kbd>R</kbd></ActButton>
      <span v-if="head" class="told" role="status" data-test="recording">
        <span class="dot" aria-hidden="true"></span>
        {{ say.progress(clockText(head.lengthS), counted(head.samples)) }}
      </span>
      <span v-else class="soft">{{ live.reading ? say.empty : say.needsInstrument }}</span>
    </div>
    <NoticeBar v-if="live.recordFault" kind="bad">
      {{ say.notSaved(storageFaultText(live.recordFault)) }}
    </NoticeBar>
    <template v-if="running">
      <div v-for="g in groups" :key="g.label" class="marks" role="group" :aria-label="g.label">
        <ActButton
          v-for="m in g.marks"
          :key="m.name"
          class="mark"
          :class="{ on: standing(m.kind, m.place) }"
          :aria-pressed="standing(m.kind, m.place)"
          @click="toggle(m.kind, m.place)"
        >
          {{ m.name }} <kbd v-if="m.key">{{ m.key }}</kbd>
        </ActButton>
        <span v-if="g.marks.length === 0" class="soft">{{ say.placesHelp }}</span>
      </div>
      <form class="note" @submit.prevent="tell">
        <TextField v-model="note" :label="say.addNote" hide-label :placeholder="say.noteHint" />
        <ActButton submit>{{ say.note }}</ActButton>
      </form>
      <p v-if="lastMarks.length > 0" class="last">
        <span v-for="(m, k) in lastMarks" :key="k" class="mono">
          {{ clockText(m.fromS) }}{{ m.toS === null ? ' …' : '' }}
          <b>{{ m.kind === 'note' ? m.text : `${MARK_NAMES[m.kind]}${m.place ? ` ${m.place}` : ''}` }}</b>
        </span>
      </p>
      <p class="caution"><span aria-hidden="true">▲</span> {{ say.caution }}</p>
    </template>
  </section>
</template>

<style scoped>
.bar {
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding: 10px 14px;
}
.running {
  border-color: var(--clay);
}
.ends {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
}
.told {
  font: 0.875rem var(--mono);
}
.dot {
  display: inline-block;
  width: 10px;
  height: 10px;
  border-radius: 50%;
  background: var(--clay);
  forced-color-adjust: none;
}
.marks {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.mark {
  min-height: 44px;
}
.mark.on.act {
  background: var(--amber-soft);
  border-color: var(--amber);
  color: var(--ink);
}
.note {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 6px;
  align-items: end;
}
.last {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  margin: 0;
  font-size: 0.8125rem;
}
.caution {
  margin: 0;
  font-size: 0.8438rem;
  color: var(--amber-ink);
}
@media (pointer: coarse) {
  kbd {
    display: none;
  }
  .mark {
    min-height: 48px;
  }
}
</style>
