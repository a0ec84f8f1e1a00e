<script setup lang="ts">
import { harnessRowsWords as say } from '@mellow-probe/core/wording/screens/benchHarness';
import { MOST_CONNECTORS } from '@mellow-probe/core/circuit/network/chain';
import { asTemplate, newStop, type StopKind } from '@mellow-probe/core/circuit/harness/harnessSchema';
import { pastedHarness, type PastedHarness } from '@mellow-probe/core/circuit/harness/pastedHarness';
import { stopName } from '@mellow-probe/core/wording/placeText';
import type Sortable from 'sortablejs';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { newId } from '../../../browser/newId.ts';
import ActButton from '../../../components/base/ActButton.vue';
import MenuButton from '../../../components/base/MenuButton.vue';
import NoticeBar from '../../../components/base/NoticeBar.vue';
import PickList from '../../../components/base/PickList.vue';
import TextField from '../../../components/base/TextField.vue';
import EntryField from '../../../components/EntryField.vue';
import { useOwnHarnesses } from '../../../session/ownHarnesses.ts';
import { useSession } from '../../../session/jobSession.ts';
import { useUnsent } from '../../../session/unsent.ts';

/** The loom entered row by row, a row a connector, in the order from the module; dragged, moved by menu, or pasted from a sheet. */
const { job, verdict } = useSession();
const list = ref<HTMLElement>();
const shelf = useOwnHarnesses();
const keptAs = useUnsent('harness-name');
const pasted = useUnsent('harness-rows');
const problems = ref<PastedHarness['problems']>([]);
let sorting: Sortable | null = null;
let gone = false;

onMounted(async () => {
  const { default: Sorter } = await import('sortablejs');
  if (gone || !list.value) return;
  sorting = Sorter.create(list.value, {
    handle: '.grip',
    animation: 0,
    onEnd: ({ item, oldIndex, newIndex }) => {
      if (oldIndex === undefined || newIndex === undefined) return;
      // The rows are drawn from the record: what was dragged goes back to where it was, and the record says where it goes.
      item.remove();
      list.value?.insertBefore(item, list.value.children[oldIndex] ?? null);
      move(oldIndex, newIndex);
    },
  });
});
onBeforeUnmount(() => {
  gone = true;
  sorting?.destroy();
});

function keepHarness(): void {
  shelf.keep(keptAs.value.trim(), job.loom);
  keptAs.value = '';
}
function takeKept(id: string): void {
  const found = shelf.looms.find((l) => l.id === id);
  if (found) job.loom = asTemplate(found.loom);
}
function move(from: number, to: number): void {
  const stops = [...job.loom.stops];
  const [moved] = stops.splice(from, 1);
  stops.splice(to, 0, moved);
  job.loom.stops = stops;
}
function add(kind: StopKind): void {
  job.loom.stops.push(newStop(newId(), kind));
}
function take(): void {
  const read = pastedHarness(pasted.value, newId);
  problems.value = read.problems;
  if (read.stops.length === 0) return;
  job.loom.stops = read.stops;
  pasted.value = '';
}
/** Names that two stops bear: a reading would not be told from one at the other. */
const twice = computed(() => {
  const names = job.loom.stops.map((s) => s.name.trim()).filter((name) => name !== '');
  return [...new Set(names.filter((name, i) => names.indexOf(name) !== i))];
});
const acts = (i: number) => [
  ...(i > 0 ? [{ name: say.towardsTheModule, act: () => move(i, i - 1) }] : []),
  ...(i < job.loom.stops.length - 1 ? [{ name: say.towardsTheSensor, act: () => move(i, i + 1) }] : []),
  { name: say.takeOut, act: () => void job.loom.stops.splice(i, 1), grave: true },
];
</script>

<template>
  <div class="rows">
    <p class="soft">{{ say.purpose }}</p>
    <div ref="list">
      <div
        v-for="(stop, i) in job.loom.stops"
        :key="stop.id"
        class="stop"
        role="group"
        :aria-label="stopName(stop, i + 1)"
      >
        <span class="grip" aria-hidden="true" :title="say.drag">⠿</span>
        <TextField
          v-model="stop.name"
          :label="say.name"
          :maxlength="400"
          :placeholder="stopName({ ...stop, name: '' }, i + 1)"
        />
        <TextField v-model="stop.where" :label="say.where" :maxlength="400" />
        <EntryField
          v-model="stop.minutes"
          :label="say.minutes"
          quantity="number"
          :issue="verdict.issues.get(`loom.${stop.id}.minutes`)"
        />
        <EntryField
          v-model="stop.run.lengthM"
          :label="say.metres"
          quantity="number"
          :issue="verdict.issues.get(`loom.${stop.id}.lengthM`)"
        />
        <MenuButton label="⋯" :name="say.actionsFor(stopName(stop, i + 1))" :entries="acts(i)" />
      </div>
    </div>
    <NoticeBar v-if="twice.length > 0" kind="odd">
      {{ say.sameName(twice.join(', ')) }}
    </NoticeBar>
    <div class="adds">
      <ActButton :disabled="job.loom.stops.length >= MOST_CONNECTORS" @click="add('connector')">{{
        say.addAConnector
      }}</ActButton>
      <ActButton :disabled="job.loom.stops.length >= MOST_CONNECTORS" @click="add('splice')">{{
        say.addASplice
      }}</ActButton>
    </div>
    <TextField
      v-model="pasted"
      :label="say.pasteLabel"
      :rows="3"
      :maxlength="20000"
      unsent
      :placeholder="say.exampleRows"
    />
    <ActButton :disabled="pasted.trim() === ''" @click="take">{{ say.replaceRows }}</ActButton>
    <div class="shelf">
      <PickList
        v-if="shelf.looms.length > 0"
        :label="say.useSaved"
        :prompt="say.replacesThis"
        :options="shelf.looms.map((l) => ({ value: l.id, label: l.name, about: say.onTheWay(l.loom.stops.length) }))"
        @update:model-value="takeKept"
      />
      <TextField v-model="keptAs" :label="say.saveAs" :maxlength="400" :placeholder="say.saveAsHint" />
      <ActButton :disabled="keptAs.trim() === '' || shelf.full || job.loom.stops.length === 0" @click="keepHarness">
        {{ say.keep }}
      </ActButton>
    </div>
    <NoticeBar v-if="problems.length > 0" kind="odd">
      <template v-for="p in problems" :key="p.line">{{ `${say.line(p.line, p.why)} ` }}</template>
    </NoticeBar>
  </div>
</template>

<style scoped>
.rows {
  display: flex;
  flex-direction: column;
  gap: 10px;
  align-items: stretch;
}
.stop {
  display: grid;
  grid-template-columns: 24px minmax(80px, 1fr) minmax(100px, 1.6fr) 84px 84px 44px;
  gap: 4px 8px;
  align-items: end;
  padding: 4px 0 8px;
  border-bottom: 1px solid var(--line);
}
.grip {
  cursor: grab;
  align-self: center;
  text-align: center;
  color: var(--soft);
  touch-action: none;
}
.shelf {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
}
.shelf > :first-child {
  flex: 1 1 180px;
}
.adds {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
@media (max-width: 38.75em) {
  .stop {
    grid-template-columns: 24px 1fr 1fr 44px;
  }
  .stop > :nth-child(3) {
    grid-column: 3 / 5;
  }
  .stop > :nth-child(4) {
    grid-column: 2;
  }
}
</style>
