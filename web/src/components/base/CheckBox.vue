<script setup lang="ts">
import Checkbox from 'ant-design-vue/es/checkbox';

/** Yes or no, with its words beside it; the whole line is pressed. */
const on = defineModel<boolean>({ required: true });
</script>

<template>
  <Checkbox v-model:checked="on" class="check"><slot /></Checkbox>
</template>

<style scoped>
.check {
  display: flex;
  align-items: center;
  min-height: var(--press);
}
</style>
