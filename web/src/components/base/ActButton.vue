<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref, useAttrs } from 'vue';
import { useTurn } from '../../browser/turns.ts';
import ActIcon from './ActIcon.vue';
import type { IconName } from './iconSet.ts';
import { type RouteLocationRaw, RouterLink } from 'vue-router';

/** Something to press: an act, or (with `to` or `href`) a way to another place. */
const props = defineProps<{
  /** main: the one act of a sheet; quiet: without a frame; grave: takes something away; bare: a line or a key that its place dresses. */
  kind?: 'plain' | 'main' | 'quiet' | 'grave' | 'bare';
  to?: RouteLocationRaw;
  href?: string;
  submit?: boolean;
  disabled?: boolean;
  title?: string;
  /** Of the library's set, before the word: it is never read out, the word says it. */
  icon?: IconName | undefined;
}>();
const emit = defineEmits<{ click: [event: MouseEvent] }>();
defineOptions({ inheritAttrs: false });
const attrs = useAttrs();
const here = useTurn();
const TYPES = { plain: 'default', main: 'primary', quiet: 'text', grave: 'text', bare: 'text' } as const;
/** What both kinds of button share. */
const look = computed(() => {
  const kind = props.kind ?? 'plain';
  const family = kind === 'bare' ? [] : ['act'];
  return { class: [attrs.class, ...family, kind], type: TYPES[kind], danger: kind === 'grave', title: props.title };
});
const button = ref<InstanceType<typeof Button>>();
defineExpose({ focus: () => (button.value?.$el as HTMLElement | undefined)?.focus() });
</script>

<template>
  <template v-if="!here" />
  <RouterLink v-else-if="to !== undefined" v-slot="{ href: address, navigate }" custom :to="to">
    <Button v-bind="{ ...$attrs, ...look }" :href="address" @click="navigate($event as MouseEvent)"
      ><ActIcon v-if="icon" :name="icon" /><slot
    /></Button>
  </RouterLink>
  <Button
    v-else
    ref="button"
    v-bind="{ ...$attrs, ...look }"
    :href="href"
    :disabled="disabled"
    :html-type="submit ? 'submit' : 'button'"
    @click="emit('click', $event as MouseEvent)"
    ><ActIcon v-if="icon" :name="icon" /><slot
  /></Button>
</template>

<style scoped>
.act {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 8px;
  max-width: 100%;
  text-decoration: none;
}
.bare {
  height: auto;
  white-space: inherit;
}
.act.main {
  font-weight: 600;
}
.act.quiet,
.act.grave {
  padding-inline: 10px;
}
</style>
