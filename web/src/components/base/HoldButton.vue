<script setup lang="ts">
import { onBeforeUnmount, ref } from 'vue';
import ActButton from './ActButton.vue';

/** Something that a brush of the hand must not do: pressed and held until its bar is full. A key does it at once. */
const { ms = 600 } = defineProps<{ disabled?: boolean; ms?: number }>();
const emit = defineEmits<{ held: [] }>();
const holding = ref(false);
let timer: ReturnType<typeof setTimeout> | undefined;

function press(): void {
  holding.value = true;
  timer = setTimeout(() => {
    holding.value = false;
    emit('held');
  }, ms);
}
function release(): void {
  clearTimeout(timer);
  holding.value = false;
}
/** A click without a pointer comes from a key or from a reader's own act: it cannot be held. */
function click(event: MouseEvent): void {
  if (event.detail === 0) emit('held');
}
/** What the library's button hands on without knowing it. */
const pointer: Record<string, unknown> = {
  onPointerdown: press,
  onPointerup: release,
  onPointerleave: release,
  onPointercancel: release,
  onContextmenu: (event: Event) => event.preventDefault(),
};
onBeforeUnmount(release);
</script>

<template>
  <ActButton
    kind="main"
    class="hold"
    :class="{ holding }"
    :style="{ '--hold': `${ms}ms` }"
    :disabled="disabled"
    v-bind="pointer"
    @click="click"
  >
    <slot />
  </ActButton>
</template>

<style scoped>
.hold.hold {
  position: relative;
  overflow: hidden;
  min-height: 64px;
  min-width: 200px;
  font-size: 1.25rem;
  touch-action: none;
  user-select: none;
}
.hold::before {
  content: '';
  position: absolute;
  inset: auto 0 0;
  height: 8px;
  background: currentColor;
  transform: scaleX(0);
  transform-origin: left;
}
.hold.holding::before {
  transform: scaleX(1);
  transition: transform var(--hold) linear;
}
</style>
