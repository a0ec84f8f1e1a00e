<script setup lang="ts">
import { figureFieldWords as say } from '@mellow-probe/core/wording/screens/components';
import ActButton from './base/ActButton.vue';
import type { FieldIssue } from '@mellow-probe/core/check/job/fieldIssue';
import type { FieldQuantity } from '@mellow-probe/core/base/units/quantity';
import { issueText } from '@mellow-probe/core/wording/issueText';
import { computed, useId } from 'vue';
import { usePreferences } from '../data/stores/preferences.ts';

/** One figure as a person types it: label, large field, and under it what is wrong, asked, or to be compared with. */
const props = defineProps<{
  label: string;
  text: string;
  quantity: FieldQuantity;
  issue?: FieldIssue | undefined;
  /** What it was read as, where that is worth showing. */
  readAs?: string;
  /** The healthy range in words. */
  healthy?: string;
  /** fits ●, off ◆ or nothing measured ○. */
  standing?: 'fits' | 'off' | 'none';
  /** Said in words beside the sign: "high", "low". */
  standingText?: string;
  /** A figure that was probably meant, as text to put in its place. */
  meant?: string;
  placeholder?: string;
  /** Said in full where the label is short: where the probes go. */
  about?: string;
  /** Shown while the field waits to be filled in. */
  hint?: string;
  /** What the leading suspect predicts, in words. */
  predicted?: string;
  /** The one field of a card, with figures that are read at arm's length. */
  large?: boolean;
  /** Figures come from keys on the page: the screen's own keyboard stays down. */
  pad?: boolean;
}>();
const emit = defineEmits<{ type: [text: string]; choose: [text: string]; enter: []; settle: [before: string] }>();

const preferences = usePreferences();
const id = useId();
const unit = computed(
  () =>
    ({
      volts: 'V',
      ohms: 'Ω',
      celsius: `°${preferences.temperatureUnit}`,
      'told-celsius': `°${preferences.temperatureUnit}`,
      'ohm-band': 'Ω',
      number: '',
    })[props.quantity],
);
const wrong = computed(
  () => props.issue !== undefined && !(props.issue.reason === 'empty' && props.text.trim() === ''),
);
const choices = computed(() => (props.issue?.reason === 'ambiguous' ? props.issue.choices : []));
const message = computed(() => {
  if (wrong.value && props.issue) return issueText(props.issue, props.quantity, preferences.temperatureUnit);
  return '';
});

let before = '';
/** A figure, a bound or a range without a unit. */
const BARE = /^\s*[~<>≤≥]?\s*[-−+]?[\d.,]+\s*(?:(?:…|\.{2,3}|-|–|±)\s*[-−]?[\d.,]+\s*)?$/;

/** A bare temperature gets the unit it was typed in, so that a later switch of units cannot change its meaning. */
function settle(text: string): void {
  emit('settle', before);
  before = text;
  const temperature = props.quantity === 'celsius' || props.quantity === 'told-celsius';
  if (!temperature || !BARE.test(text) || wrong.value) return;
  emit('choose', `${text.trim()} °${preferences.temperatureUnit}`);
}

/** Enter goes on: from the large field to the next test, elsewhere to the next figure of the screen. */
function goOn(event: KeyboardEvent): void {
  const here = event.target as HTMLInputElement;
  if (props.large) {
    settle(here.value);
    return emit('enter');
  }
  const fields = [
    ...(here.closest('main, [role="dialog"]')?.querySelectorAll<HTMLInputElement>('.figure input') ?? []),
  ];
  fields[(fields.indexOf(here) + 1) % fields.length]?.focus();
}
</script>

<template>
  <div class="figure" :class="{ wrong, large, off: standing === 'off' && !wrong }">
    <label :for="id">
      <span v-if="standing" class="sign" :class="wrong ? 'bad' : standing" aria-hidden="true">{{
        wrong ? '✕' : standing === 'fits' ? '●' : standing === 'off' ? '◆' : '○'
      }}</span>
      <span class="name">{{ label }}</span>
      <span v-if="standingText && !wrong" class="standing">{{ standingText }}</span>
      <span v-if="readAs && !wrong" class="mono read">{{ readAs }}</span>
    </label>
    <div class="box">
      <input
        :id="id"
        :value="text"
        :placeholder="placeholder"
        :aria-label="label === '' ? about : undefined"
        :aria-invalid="wrong"
        :aria-describedby="`${id}-under`"
        :title="about"
        autocomplete="off"
        autocapitalize="off"
        spellcheck="false"
        maxlength="200"
        :inputmode="pad ? 'none' : undefined"
        @input="emit('type', ($event.target as HTMLInputElement).value)"
        @change="settle(($event.target as HTMLInputElement).value)"
        @keydown.enter.prevent="goOn"
        @focus="before = text"
        @keydown.esc="($event.target as HTMLInputElement).blur()"
      />
      <span class="unit" aria-hidden="true">{{ unit }}</span>
    </div>
    <div :id="`${id}-under`" class="under">
      <span v-if="message" class="message" role="alert">{{ message }}</span>
      <template v-else>
        <span v-if="healthy" class="range"
          ><span class="word">{{ `${say.healthy} ` }}</span
          ><span class="mono">{{ healthy }}</span></span
        >
        <span v-else-if="hint">{{ hint }}</span>
        <span v-if="predicted" class="second"
          >{{ say.suspect }} <span class="mono">{{ predicted }}</span></span
        >
      </template>
      <div v-if="choices.length > 0 || meant" class="choices">
        <ActButton kind="bare" v-for="choice in choices" :key="choice.text" @click="emit('choose', choice.text)">
          {{ choice.text }}
        </ActButton>
        <ActButton kind="bare" v-if="meant && !wrong" @click="emit('choose', meant)">{{ say.meant(meant) }}</ActButton>
      </div>
    </div>
  </div>
</template>

<style scoped>
.figure {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
/* One line: what finds no room beside the name is not begun. */
label {
  display: flex;
  flex-wrap: wrap;
  column-gap: 4px;
  max-height: 1lh;
  overflow: hidden;
  font-size: 0.8125rem;
  font-weight: 600;
  white-space: nowrap;
}
.name {
  max-width: calc(100% - 1.4em);
  overflow: hidden;
  text-overflow: ellipsis;
}
.sign {
  color: var(--soft);
}
.sign.fits {
  color: var(--moss);
}
.sign.off {
  color: var(--amber);
}
.sign.bad {
  color: var(--clay);
}
.box {
  display: flex;
  align-items: baseline;
  margin-top: 2px;
  border: 1.5px solid var(--line-strong);
  border-radius: 9px;
  background: var(--field);
  padding: 0 9px;
}
.box:focus-within {
  border-color: var(--spruce);
  outline: 2px solid var(--spruce);
  outline-offset: 0;
}
.off .box {
  border-color: var(--amber);
}
.wrong .box {
  border-color: var(--clay);
}
input {
  flex: 1;
  min-width: 0;
  width: 100%;
  height: 2.5625rem;
  border: 0;
  outline: 0;
  background: transparent;
  font-family: var(--mono);
  font-size: 1.1875rem;
  font-variant-numeric: tabular-nums;
}
input::placeholder {
  color: var(--soft);
  opacity: 0.75;
  font-size: 0.9375rem;
}
.unit {
  font-family: var(--mono);
  color: var(--soft);
  padding-left: 4px;
}
.under {
  min-height: 17px;
  margin-top: 2px;
  font-size: 0.75rem;
  line-height: 1.3;
  color: var(--soft);
}
.large input {
  height: 3.625rem;
  font-size: 2.375rem;
}
.large .unit {
  font-size: 1.375rem;
}
.large .under {
  font-size: 0.875rem;
  min-height: 0;
}
.large label {
  font-size: 0.9375rem;
}
.range,
.second {
  display: block;
  white-space: nowrap;
}
.read {
  font-weight: 400;
  font-size: 0.75rem;
  color: var(--soft);
}
.large .under {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
}
.standing {
  font-weight: 600;
  color: var(--amber-ink);
}
.message {
  color: var(--clay);
  font-weight: 600;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 3px;
}
.choices button {
  min-height: 44px;
  padding: 0 12px;
  border: 1px solid var(--amber);
  border-radius: 8px;
  background: var(--amber-soft);
  font-family: var(--mono);
  cursor: pointer;
}
@media (min-width: 43.8125em) and (max-width: 67.5em) {
  /* The ring, dot or diamond above says that this is the healthy range. */
  .word {
    display: none;
  }
}
</style>
