<script setup lang="ts">
import { undoButtonsWords as say } from '@mellow-probe/core/wording/screens/bench';
import ActButton from '../../components/base/ActButton.vue';
import { changeText } from '@mellow-probe/core/wording/changeText';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { useAfterTyping } from '../../components/useAfterTyping.ts';
import { useSession } from '../../session/jobSession.ts';

/** Take back and do again, over everything typed on the bench; what it will be is said. Ctrl or ⌘ with Z, with Shift to do again. */
const { history, record } = useSession();
const told = ref('');
let timer: ReturnType<typeof setTimeout> | undefined;
const WAYS = [
  { way: 'undo', name: say.undo, would: say.takeBack, nothing: say.nothingToUndo, done: say.takenBack },
  { way: 'redo', name: say.redo, would: say.doAgain, nothing: say.nothingToRedo, done: say.doneAgain },
] as const;
/** Both ways, each with what it would change; empty where there is nothing. */
const ways = computed(() =>
  WAYS.map((w) => {
    const step = history.next[w.way];
    return { ...w, words: step ? changeText(record.now(), step.patches) : '' };
  }),
);
const shown = useAfterTyping(() => ways.value);

function move(way: 'undo' | 'redo'): void {
  const { done, words } = ways.value.find((w) => w.way === way)!;
  const moved = history[way]();
  if (!moved) return;
  told.value = moved.left > 0 ? `${done(words)} ${say.laterChangesStay}` : done(words);
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
    <ActButton
      v-for="{ way, name, would, nothing, words } in shown"
      :key="way"
      kind="quiet"
      :data-sign="way === 'undo' ? '↶' : '↷'"
      :disabled="!history.next[way]"
      :title="words ? would(words) : nothing"
      @click="move(way)"
    >
      <span class="name">{{ name }}</span><span v-if="words" class="visually-hidden">: {{ words }}</span>
    </ActButton>
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
  font-size: 0.875rem;
}
.told:empty {
  display: none;
}
@media (max-width: 38.75em) {
  .undo .act::before {
    content: attr(data-sign) / '';
    font-size: 1.25rem;
  }
  .name {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  .undo .act {
    min-width: 44px;
  }
  .told {
    top: 100%;
    right: 0;
    max-width: 84vw;
    transform: none;
  }
}
.act:disabled {
  opacity: 0.45;
  cursor: default;
}
</style>
