<script setup lang="ts">
import { chosenBarWords as say } from '@mellow-probe/core/wording/screens/jobs';
import { MOST } from '@mellow-probe/core/check/job/most';
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
      <ActButton icon="export" :disabled="busy" @click="emit('act', 'export')">{{ say.export }}</ActButton>
      <ActButton icon="tag" :disabled="busy" @click="tagging = true">{{ say.tag }}</ActButton>
      <ActButton :disabled="busy" @click="emit('act', 'archive')">
        {{ archived ? say.unarchive : say.archive }}
      </ActButton>
      <ActButton icon="delete" kind="grave" :disabled="busy" @click="emit('act', 'remove')">{{ say.delete }}</ActButton>
      <ActButton kind="quiet" @click="emit('none')">{{ say.none }}</ActButton>
    </template>
  </NoticeBar>
  <AskSheet v-model:open="tagging" :title="say.tags" :width="460">
    <form @submit.prevent="setTags">
      <TextField v-model="typed" :label="say.tagsLabel" :maxlength="400" :placeholder="say.harbourFleet2" />
      <p class="soft">{{ say.tagsHelp(MOST.tags) }}</p>
      <div v-if="tags.length > 0" class="known">
        <ActButton v-for="tag in tags" :key="tag" kind="quiet" @click="add(tag)">{{ tag }}</ActButton>
      </div>
      <ActButton kind="main" submit :disabled="typed.trim() === ''">{{ say.setTags }}</ActButton>
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
