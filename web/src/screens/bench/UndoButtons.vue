<script setup lang="ts">
import { changeText } from '@mellow-probe/core/wording/changeText';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import type { Step } from '../../session/history.ts';
import { useSession } from '../../session/jobSession.ts';

/** Take back and do again, over everything typed on the bench; what it will be is said. Ctrl or ⌘ with Z, with Shift to do again. */
const { history, record } = useSession();
const told = ref('');
let timer: ReturnType<typeof setTimeout> | undefined;
const words = (step: Step | null): string => (step ? changeText(record.now(), step.patches) : '');
const undoWords = computed(() => words(history.next.undo));
const redoWords = computed(() => words(history.next.redo));

function move(way: 'undo' | 'redo'): void {
  const what = way === 'undo' ? undoWords.value : redoWords.value;
  const done = history[way]();
  if (!done) return;
  const rest = done.left > 0 ? ' What was changed again elsewhere stays.' : '';
  told.value = `${way === 'undo' ? 'Taken back' : 'Done again'}: ${what}.${rest}`;
  clearTimeout(timer);
  timer = setTimeout(() => (told.value = ''), 6000);
}

function onKey(event: KeyboardEvent): void {
  if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
  const key = event.key.toLowerCase();
  const way = key === 'y' || (key === 'z' && event.shiftKey) ? 'redo' : key === 'z' ? 'undo' : null;
  // Text that is no part of the job yet has the browser's own way back.
  const unsent = event.target instanceof Element && event.target.closest('[data-unsent]') !== null;
  if (!way || unsent) return;
  event.preventDefault();
  move(way);
}
const onFocus = (): void => history.seal();
onMounted(() => {
  window.addEventListener('keydown', onKey);
  document.addEventListener('focusin', onFocus);
});
onBeforeUnmount(() => {
  clearTimeout(timer);
  window.removeEventListener('keydown', onKey);
  document.removeEventListener('focusin', onFocus);
});
</script>

<template>
  <span class="undo">
    <button
      class="act quiet"
      type="button"
      :disabled="!history.next.undo"
      :title="undoWords ? `Take back: ${undoWords}` : 'Nothing to take back'"
      @click="move('undo')"
    >
      Undo<span v-if="undoWords" class="visually-hidden">: {{ undoWords }}</span>
    </button>
    <button
      class="act quiet"
      type="button"
      :disabled="!history.next.redo"
      :title="redoWords ? `Do again: ${redoWords}` : 'Nothing to do again'"
      @click="move('redo')"
    >
      Redo<span v-if="redoWords" class="visually-hidden">: {{ redoWords }}</span>
    </button>
    <span class="told" role="status" data-test="undo-told">{{ told }}</span>
  </span>
</template>

<style scoped>
.undo {
  display: flex;
  align-items: center;
  position: relative;
}
.told {
  position: absolute;
  top: 50%;
  right: 100%;
  transform: translateY(-50%);
  max-width: 46vw;
  overflow: hidden;
  text-overflow: ellipsis;
  z-index: 5;
  padding: 6px 12px;
  border: 1px solid var(--line-strong);
  border-radius: 8px;
  background: var(--sheet);
  white-space: nowrap;
  font-size: 14px;
}
.told:empty {
  display: none;
}
.act:disabled {
  opacity: 0.45;
  cursor: default;
}
</style>
