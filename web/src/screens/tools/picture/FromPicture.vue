<script setup lang="ts">
import { fromPictureWords as say } from '@mellow-probe/core/wording/screens/shelfPicture';
import ProgressBar from '../../../components/base/ProgressBar.vue';
import FactTable from '../../../components/base/FactTable.vue';
import TextField from '../../../components/base/TextField.vue';
import ActButton from '../../../components/base/ActButton.vue';
import type { ColumnUnit } from '@mellow-probe/core/intake/pointTable/cellFigure';
import { pictureTable } from '@mellow-probe/core/intake/picture/pictureTable';
import type { GrayPicture } from '@mellow-probe/core/intake/picture/grayPicture';
import { type Corners, goRound, wholePicture } from '@mellow-probe/core/intake/picture/straighten';
import { DOUBT_TEXTS } from '@mellow-probe/core/wording/pictureText';
import { unsureFiguresText } from '@mellow-probe/core/wording/noticeText';
import * as Comlink from 'comlink';
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import type { Column } from '../../../components/base/factTable.ts';
import { useDraft } from '../../../session/draft.ts';
import type { useKeptPicture } from '../../../session/keptPicture.ts';
import type { PictureProgress } from '../../../workers/picture.ts';
import PictureHeadings from './PictureHeadings.vue';
import PictureOpen from './PictureOpen.vue';
import PictureStage from './PictureStage.vue';
import { grayPng } from './grayPng.ts';
import {
  cornerHandles,
  nothingRead,
  type PictureReading,
  readingSchema,
  snippetStyle,
  withoutRow,
  withText,
} from './pictureReading.ts';
import { usePictureWork } from './usePictureWork.ts';

/** A table on a picture: its corners are dragged straight, it is read on this device, and every figure is held against its own snippet. */
const props = defineProps<{ kept: ReturnType<typeof useKeptPicture> }>();
const emit = defineEmits<{ use: [text: string] }>();

const { draft, fault: draftFault } = useDraft('picture', readingSchema, nothingRead);

const picture = computed(() => props.kept.picture.value);
const corners = computed<Corners | null>(
  () => (draft.value.corners ?? (picture.value && wholePicture(picture.value))) as Corners | null,
);
const handles = computed(() => cornerHandles(corners.value ?? []));
const round = computed(() => corners.value !== null && goRound(corners.value));

const { busy, note, stop, work } = usePictureWork(say.readFailed);
const progress = ref<PictureProgress | null>(null);
/** The straight page, of which the snippets are cut: an address of its picture, and its size. */
const page = shallowRef<{ url: string; width: number; height: number } | null>(null);

async function showPage(gray: GrayPicture): Promise<void> {
  const url = URL.createObjectURL(await grayPng(gray));
  if (page.value) URL.revokeObjectURL(page.value.url);
  page.value = { url, width: gray.width, height: gray.height };
}
onBeforeUnmount(() => {
  if (page.value) URL.revokeObjectURL(page.value.url);
});

/** The corners as a worker takes them: no part of the draft. */
const plainCorners = (): Corners => corners.value!.map(({ x, y }) => ({ x, y })) as unknown as Corners;

async function read(): Promise<void> {
  const [image, at] = [picture.value!.blob, plainCorners()];
  progress.value = null;
  await work(
    (remote) =>
      remote.read(
        image,
        at,
        Comlink.proxy((p) => (progress.value = p)),
      ),
    async ({ table, page: gray }) => {
      await showPage(gray);
      draft.value = { ...draft.value, heads: table.heads, rows: table.rows, looked: [], units: {} };
      if (table.rows.length === 0) note.value = say.noTable;
    },
  );
}
/** After a reload the figures are there and the straight page is made again. */
watch(
  [picture, () => draft.value.rows.length > 0],
  ([shown, has]) => {
    if (shown && has && corners.value && !page.value && !busy.value) {
      const at = plainCorners();
      void work(
        (remote) => remote.prepare(shown.blob, at),
        ({ page: gray }) => showPage(gray),
      );
    }
  },
  { immediate: true },
);
async function open(file: File): Promise<void> {
  stop();
  if (!(await props.kept.open(file))) return;
  page.value = null;
  draft.value = nothingRead();
}
function moveCorner(id: string, x: number, y: number): void {
  const next = corners.value!.map((c, i) => (String(i) === id ? { x, y } : { ...c }));
  draft.value = { ...draft.value, corners: next };
}

const looked = computed(() => new Set(draft.value.looked));
const put = computed(() =>
  pictureTable(draft.value, (row, column) => looked.value.has(`${row}:${column}`), draft.value.units),
);
const confirmed = computed(() => put.value.headings.every((heading) => heading.confirmed));
function confirmUnit(column: number, unit: ColumnUnit): void {
  draft.value = { ...draft.value, units: { ...draft.value.units, [column]: unit } };
}
const unsure = computed(() => put.value.doubts.flat().filter((why) => why !== null).length);
function correct(row: number, column: number, text: string): void {
  draft.value = withText(draft.value, row, column, text);
}
function confirm(row: number, column: number): void {
  draft.value = { ...draft.value, looked: [...draft.value.looked, `${row}:${column}`] };
}
function leaveOut(row: number): void {
  draft.value = withoutRow(draft.value, row);
}
const heads = computed(() => put.value.text.split('\n')[0].split('\t'));
const columns = computed((): readonly Column<PictureReading['rows'][number]>[] => [
  ...heads.value.map((head, c) => ({ key: String(c), title: head || say.column(c + 1) })),
  { key: 'skip', title: say.skip, quietTitle: true },
]);
</script>

<template>
  <div class="from">
    <PictureOpen
      :kept="kept"
      subject="table"
      :note="note"
      :lost="draftFault && say.figuresNotSaved(draftFault)"
      @open="open"
    />
    <div v-if="picture" class="two">
      <div>
        <p class="soft say">{{ say.cornersHelp }}</p>
        <PictureStage :picture="picture" :handles="handles" outline :label="say.pictureLabel" @move="moveCorner" />
        <div class="row">
          <ActButton kind="main" :disabled="!round || busy" @click="read">
            {{ draft.rows.length > 0 ? say.readItAgain : say.readTheTable }}
          </ActButton>
          <template v-if="busy && progress">
            <ProgressBar :share="progress.share" :label="say.readingTheTable" />
            <span class="soft" role="status">{{
              progress.step === 'fetching' ? say.fetchingTheReader : say.reading(Math.round(100 * progress.share))
            }}</span>
            <ActButton kind="quiet" @click="stop">{{ say.cancel }}</ActButton>
          </template>
          <span v-else-if="!round" class="told odd">{{ say.cornersCross }}</span>
        </div>
      </div>
      <section v-if="draft.rows.length > 0" class="figures" :aria-label="say.figuresLabel" data-test="picture-figures">
        <p role="status" :class="unsure > 0 ? 'told odd' : 'told'">
          {{ unsureFiguresText(unsure, draft.rows.length) }}
        </p>
        <PictureHeadings :headings="put.headings" @confirm="confirmUnit" />
        <div class="scroll" tabindex="0" role="region" :aria-label="say.rowsLabel">
          <FactTable :label="say.rowsLabel" :columns="columns" :rows="draft.rows" :row-key="(_, r) => r">
            <template v-for="(_, c) in heads" :key="c" #[String(c)]="{ row: cells, index: r }">
              <div v-if="cells[c]" class="cell" :class="{ unsure: put.doubts[r][c] !== null }">
                <span class="snippet" :style="snippetStyle(cells[c].box, page)" aria-hidden="true"></span>
                <span class="line">
                  <TextField
                    class="figure-text"
                    mono
                    :model-value="cells[c].text"
                    :maxlength="40"
                    :label="say.row(r + 1, heads[c] || say.column(c + 1))"
                    hide-label
                    lazy
                    @update:model-value="correct(r, c, $event.trim())"
                  />
                  <ActButton
                    v-if="put.doubts[r][c] !== null && put.doubts[r][c] !== 'no-figure'"
                    :aria-label="say.matchesPicture(cells[c].text, r + 1)"
                    @click="confirm(r, c)"
                  >
                    ✓
                  </ActButton>
                </span>
                <span v-if="put.doubts[r][c]" class="why">{{ DOUBT_TEXTS[put.doubts[r][c]!] }}</span>
              </div>
            </template>
            <template #skip="{ index: r }">
              <ActButton kind="quiet" :aria-label="say.skipRow(r + 1)" @click="leaveOut(r)">{{ say.skip }}</ActButton>
            </template>
          </FactTable>
        </div>
        <ActButton kind="main" :disabled="unsure > 0 || !confirmed" @click="emit('use', put.text)">
          {{ say.useTheseFigures }}
        </ActButton>
      </section>
    </div>
  </div>
</template>

<style scoped>
.from {
  display: flex;
  flex-direction: column;
  gap: 12px;
  min-width: 0;
}
.say {
  margin: 0 0 8px;
}
.figures {
  display: flex;
  flex-direction: column;
  gap: 10px;
  align-items: flex-start;
  min-width: 0;
}
.scroll {
  overflow: auto;
  width: 100%;
  max-height: 62vh;
}
.unsure {
  background: var(--amber-soft);
}
.snippet {
  display: block;
  max-width: 100%;
  margin-bottom: 2px;
  border-radius: 3px;
  background-color: #fff;
  background-repeat: no-repeat;
}
.line {
  display: flex;
  gap: 4px;
}
.figure-text {
  width: 116px;
}
.why {
  color: var(--amber-ink);
  font-size: 0.8125rem;
}
</style>
