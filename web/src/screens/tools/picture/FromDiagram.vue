<script setup lang="ts">
import { fromDiagramWords as say } from '@mellow-probe/core/wording/screens/shelfPicture';
import FactTable from '../../../components/base/FactTable.vue';
import CheckBox from '../../../components/base/CheckBox.vue';
import ActButton from '../../../components/base/ActButton.vue';
import { type DiagramPoint, diagramText } from '@mellow-probe/core/intake/picture/diagram';
import { formatOhm, formatTemperature } from '@mellow-probe/core/base/units/format';
import { fixed } from '@mellow-probe/core/base/units/writing';
import { computed, ref } from 'vue';
import type { Column } from '../../../components/base/factTable.ts';
import EntryField from '../../../components/EntryField.vue';
import { useDraft } from '../../../session/draft.ts';
import type { useKeptPicture } from '../../../session/keptPicture.ts';
import { usePreferences } from '../../../data/stores/preferences.ts';
import { usePictureWork } from './usePictureWork.ts';
import { useStraighten } from './useStraighten.ts';
import {
  type AxisName,
  blankDiagram,
  type DiagramDraft,
  type DiagramMark,
  diagramSchema,
  marksOf,
  MOST_POINTS,
  readDiagram,
  withoutPlaces,
} from './diagramDraft.ts';
import PictureOpen from './PictureOpen.vue';
import PictureStage, { type Handle } from './PictureStage.vue';

/** A curve off a printed diagram: two known places on each axis, then points along the line, tapped or followed by colour. */
const props = defineProps<{ kept: ReturnType<typeof useKeptPicture> }>();
const emit = defineEmits<{ use: [text: string] }>();
const preferences = usePreferences();

const AXES = ['across', 'up'] as const satisfies readonly AxisName[];
const { draft, fault: draftFault } = useDraft('diagram', diagramSchema, blankDiagram);
const picture = computed(() => props.kept.picture.value);
const marks = computed(() => marksOf(draft.value, picture.value ?? { width: 100, height: 100 }));
const LABELS = {
  across: [say.knownTemperatureLeft, say.knownTemperatureRight],
  up: [say.knownResistanceLow, say.knownResistanceHigh],
} as const;
const straightening = useStraighten(props.kept, (straight) => (draft.value = withoutPlaces(draft.value, straight)));
const marksAndPoints = computed<Handle[]>(() => [
  ...AXES.flatMap((axis) =>
    marks.value[axis].map((m, i) => ({ id: `${axis}:${i}`, label: LABELS[axis][i], x: m.x, y: m.y, kind: axis })),
  ),
  ...draft.value.points.map((p, i) => ({ id: `point:${i}`, label: say.point(i + 1), ...p, kind: 'point' as const })),
]);
const handles = computed(() => straightening.handles.value ?? marksAndPoints.value);
const read = computed(() => readDiagram(draft.value, marks.value));
function move(id: string, x: number, y: number): void {
  if (straightening.move(id, x, y)) return;
  const [kind, i] = [id.split(':')[0], Number(id.split(':')[1])];
  if (kind === 'point')
    draft.value = { ...draft.value, points: draft.value.points.map((p, k) => (k === i ? { x, y } : p)) };
  else setMark(kind as AxisName, i, { x, y });
}
/** A cross that was let go snaps to the printed lines near it. */
async function drop(id: string): Promise<void> {
  const [axis, i] = id.split(':');
  if (axis !== 'across' && axis !== 'up') return;
  const { x, y } = marks.value[axis][Number(i)];
  await work(
    (remote) => remote.snap(picture.value!.blob, { x, y }),
    (at) => setMark(axis, Number(i), at),
  );
}
function setMark(axis: AxisName, i: number, change: Partial<DiagramMark>): void {
  const next = marks.value[axis].map((m, k) => ({ ...m, ...(k === i ? change : {}) }));
  draft.value = { ...draft.value, [axis]: next as DiagramDraft['across'] };
}
const { busy, note, stop, work } = usePictureWork(say.followFailed);
const columns = computed((): readonly Column<DiagramPoint>[] => {
  const unit = preferences.temperatureUnit;
  return [
    { key: 't', title: `°${unit}`, mono: true, text: (p) => formatTemperature(p.temperatureC, unit, 1) },
    { key: 'ohm', title: 'Ω', mono: true, text: (p) => formatOhm(p.resistanceOhm) },
    {
      key: 'half',
      title: say.uncertainty,
      mono: true,
      soft: true,
      text: (p) => `± ${fixed(100 * Math.expm1(p.halfLog), 1)} %`,
    },
  ];
});
const following = ref(false);
async function tap(x: number, y: number): Promise<void> {
  note.value = '';
  if (straightening.handles.value) return;
  if (!following.value) {
    if (draft.value.points.length < MOST_POINTS)
      draft.value = { ...draft.value, points: [...draft.value.points, { x, y }] };
    return;
  }
  if (busy.value) return;
  await work(
    (remote) => remote.follow(picture.value!.blob, { x, y }),
    (line) => {
      if (line) {
        draft.value = { ...draft.value, points: line };
        following.value = false;
      } else note.value = say.noLine;
    },
  );
}
async function open(file: File): Promise<void> {
  stop();
  straightening.cancel();
  if (await props.kept.open(file)) draft.value = blankDiagram();
}
</script>

<template>
  <div class="from">
    <PictureOpen
      :kept="kept"
      subject="diagram"
      :note="note || straightening.note.value"
      :lost="draftFault && say.pointsNotSaved(draftFault)"
      @open="open"
    />
    <div v-if="picture" class="two">
      <div>
        <div class="row straighten">
          <ActButton v-if="!straightening.handles.value" @click="straightening.begin(picture)">{{
            say.straightenThePhoto
          }}</ActButton>
          <template v-else>
            <span class="soft">{{ say.cornersHelp }}</span>
            <ActButton kind="main" :disabled="!straightening.canDo.value" @click="straightening.run()">{{
              say.straighten
            }}</ActButton>
            <ActButton kind="quiet" @click="straightening.cancel()">{{ say.cancel }}</ActButton>
          </template>
        </div>
        <PictureStage
          :picture="picture"
          :handles="handles"
          :outline="straightening.handles.value !== null"
          :label="say.pictureLabel"
          @move="move"
          @drop="drop"
          @tap="tap"
        />
      </div>
      <div class="steps">
        <h3>{{ say.axesTitle }}</h3>
        <p class="soft">{{ say.axesHelp }}</p>
        <div v-for="axis in AXES" :key="axis" class="axis" :class="axis">
          <EntryField
            v-for="(m, i) in marks[axis]"
            :key="i"
            :label="LABELS[axis][i]"
            :quantity="axis === 'across' ? 'celsius' : 'ohms'"
            :model-value="m.value"
            @update:model-value="setMark(axis, i, { value: $event })"
          />
          <CheckBox v-if="axis === 'across'" v-model="draft.logAcross">{{ say.logTemperature }}</CheckBox>
          <CheckBox v-else v-model="draft.logUp">{{ say.logResistance }}</CheckBox>
        </div>
        <p v-for="fault in read.faults" :key="fault" class="told odd" role="alert">{{ fault }}</p>
        <h3>{{ say.pointsTitle }}</h3>
        <p class="soft">{{ say.pointsHelp }}</p>
        <div class="row">
          <ActButton :aria-pressed="following" @click="following = !following">
            {{ following ? say.awaitingTap : say.followByColour }}
          </ActButton>
          <ActButton
            kind="quiet"
            :disabled="draft.points.length === 0"
            @click="draft.points = draft.points.slice(0, -1)"
          >
            {{ say.removeLast }}
          </ActButton>
          <ActButton kind="quiet" :disabled="draft.points.length === 0" @click="draft.points = []">
            {{ say.allAway }}
          </ActButton>
          <span v-if="busy" class="soft" role="status">{{ say.following }}</span>
        </div>
        <div v-if="read.points.length > 0" class="scroll" tabindex="0" role="region" :aria-label="say.pointsReadOff">
          <FactTable
            data-test="diagram-points"
            :label="say.pointsReadOff"
            :columns="columns"
            :rows="read.points"
            :row-key="(p) => p.temperatureC"
          />
        </div>
        <p v-else-if="draft.points.length > 0" class="soft">{{ say.needsValues }}</p>
        <ActButton kind="main" :disabled="read.points.length < 2" @click="emit('use', diagramText(read.points))">
          {{ say.useThesePoints }}
        </ActButton>
      </div>
    </div>
  </div>
</template>

<style scoped>
.from,
.steps {
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-width: 0;
}
.steps {
  align-items: flex-start;
}
.straighten {
  margin-bottom: 8px;
}
.steps h3,
.steps p {
  margin: 0;
}
.axis {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4px 10px;
  width: 100%;
  padding-left: 10px;
  border-left: 4px solid var(--plum);
}
.axis.across {
  border-left-color: var(--clay);
}
.check {
  grid-column: 1 / -1;
}
.scroll {
  overflow: auto;
  width: 100%;
  max-height: 260px;
}
</style>
