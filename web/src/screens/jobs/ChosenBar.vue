<script setup lang="ts">
import { MOST } from '@mellow-probe/core/job/most';
import { chosenText } from '@mellow-probe/core/wording/ledgerText';
import { ref } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import AskSheet from '../../components/base/AskSheet.vue';
import NoticeBar from '../../components/base/NoticeBar.vue';
import TextField from '../../components/base/TextField.vue';

/** What can be done with the chosen checks at once. */
defineProps<{ chosen: number; hidden: number; archived: boolean; tags: readonly string[]; busy: boolean }>();
const emit = defineEmits<{ act: [what: 'export' | 'archive' | 'remove']; tag: [text: string]; none: [] }>();
const tagging = ref(false);
const typed = ref('');
function setTags(): void {
  tagging.value = false;
  emit('tag', typed.value);
  typed.value = '';
}
const add = (tag: string): unknown => (typed.value = typed.value.trim() === '' ? tag : `${typed.value}, ${tag}`);
</script>

<template>
  <NoticeBar kind="told" status>
    {{ chosenText(chosen, hidden) }}
    <template #action>
      <ActButton icon="export" :disabled="busy" @click="emit('act', 'export')">Export</ActButton>
      <ActButton icon="tag" :disabled="busy" @click="tagging = true">Tag…</ActButton>
      <ActButton :disabled="busy" @click="emit('act', 'archive')">
        {{ archived ? 'Take out of the archive' : 'Archive' }}
      </ActButton>
      <ActButton icon="delete" kind="grave" :disabled="busy" @click="emit('act', 'remove')">Delete</ActButton>
      <ActButton kind="quiet" @click="emit('none')">None</ActButton>
    </template>
  </NoticeBar>
  <AskSheet v-model:open="tagging" title="Tags" :width="460">
    <form @submit.prevent="setTags">
      <TextField v-model="typed" label="Tags, apart by commas" :maxlength="400" placeholder="harbour, fleet 2" />
      <p class="soft">They go beside those the checks have, {{ MOST.tags }} at most. “-harbour” takes a tag off.</p>
      <div v-if="tags.length > 0" class="known">
        <ActButton v-for="tag in tags" :key="tag" kind="quiet" @click="add(tag)">{{ tag }}</ActButton>
      </div>
      <ActButton kind="main" submit :disabled="typed.trim() === ''">Set tags</ActButton>
    </form>
  </AskSheet>
</template>

<style scoped>
form {
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: flex-start;
}
form > * {
  max-width: 100%;
}
.known {
  display: flex;
  flex-wrap: wrap;
}
</style>
