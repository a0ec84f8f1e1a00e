<script setup lang="ts">
import { shortcutListWords as say } from '@mellow-probe/core/wording/screens/components';
import MarkedText from './base/MarkedText.vue';
import ActButton from './base/ActButton.vue';
import AskSheet from './base/AskSheet.vue';

/** What the keys do and how figures are typed. Opens with `?`. */
const open = defineModel<boolean>('open', { required: true });
const { tour } = defineProps<{ tour?: (() => void) | undefined }>();
function showRound(): void {
  open.value = false;
  tour?.();
}
</script>

<template>
  <AskSheet v-model:open="open" :title="say.keysAndFigures" :width="560">
    <dl>
      <dt>
        <kbd>{{ say.tab }}</kbd>
      </dt>
      <dd>{{ say.nextFigure }}</dd>
      <dt>
        <kbd>{{ say.enter }}</kbd>
      </dt>
      <dd>{{ say.nextTest }}</dd>
      <dt><kbd>N</kbd></dt>
      <dd>{{ say.suggestedTest }}</dd>
      <dt><kbd>J</kbd> <kbd>K</kbd></dt>
      <dd>{{ say.steps }}</dd>
      <dt><kbd>E</kbd></dt>
      <dd>{{ say.cardField }}</dd>
      <dt>
        <kbd>{{ say.esc }}</kbd>
      </dt>
      <dd>{{ say.leaveField }}</dd>
      <dt><kbd>Q</kbd></dt>
      <dd>{{ say.quickCheck }}</dd>
      <dt><kbd>D</kbd></dt>
      <dd>{{ say.decision }}</dd>
      <dt><kbd>R</kbd></dt>
      <dd>{{ say.largeView }}</dd>
      <dt><kbd>P</kbd></dt>
      <dd>{{ say.report }}</dd>
      <dt><kbd>C</kbd></dt>
      <dd>{{ say.newCheck }}</dd>
      <dt><kbd>U</kbd></dt>
      <dd>{{ say.cOrF }}</dd>
      <dt><kbd>?</kbd></dt>
      <dd>{{ say.thisList }}</dd>
    </dl>
    <ActButton v-if="tour" @click="showRound">{{ say.tour }}</ActButton>
    <p>
      <MarkedText figures :text="say.figuresHelp" />
    </p>
    <p>
      {{ say.advice }}
    </p>
  </AskSheet>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 84px 1fr;
  gap: 6px;
}
dd {
  margin: 0;
}
p {
  margin: 10px 0;
}
</style>
