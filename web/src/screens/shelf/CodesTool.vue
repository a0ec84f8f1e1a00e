<script setup lang="ts">
import { MEANING_NAMES, type OwnCode, ownCodesCsv, readOwnCodes } from '@mellow-probe/core/catalogue/ownCodes';
import { decodeCode } from '@mellow-probe/core/catalogue/troubleCodes';
import { CODE_MEANINGS } from '@mellow-probe/core/units/vocabulary';
import { ownCodeFaultText } from '@mellow-probe/core/wording/codeText';
import { computed, ref } from 'vue';
import { z } from 'zod';
import { saveFile } from '../../browser/saveFile.ts';
import { useDraft } from '../../session/draft.ts';
import { useOwnCodes } from '../../session/ownCodes.ts';

/** The user's own codes: boilers and climate machines have no common ones. What stands here is understood on every check. */
const own = useOwnCodes();
const schema = z.strictObject({ code: z.string().max(80), what: z.string().max(200), says: z.enum(CODE_MEANINGS) });
const blank = (): z.infer<typeof schema> => ({ code: '', what: '', says: 'open' });
const { draft } = useDraft('codes', schema, blank);
/** A list of codes is small. */
const MOST_BYTES = 500_000;
const picker = ref<HTMLInputElement>();
const notes = ref<string[]>([]);
const ready = computed(() => draft.value.code.trim() !== '' && draft.value.what.trim() !== '');
/** A code of the standards may be given another meaning; that it is one is said. */
const known = computed(() => (draft.value.code.trim() === '' ? null : decodeCode(draft.value.code)));

function add(): void {
  if (!ready.value) return;
  const code: OwnCode = { code: draft.value.code.trim(), what: draft.value.what.trim(), says: draft.value.says };
  notes.value = own.keep([code]) > 0 ? ['No room for more codes: the shelf is full.'] : [];
  if (notes.value.length === 0) draft.value = blank();
}
async function load(files: FileList | null): Promise<void> {
  const file = files?.[0];
  if (file && file.size > MOST_BYTES) notes.value = [`${file.name} is too large for a list of codes.`];
  else if (file) {
    const { codes, faults } = readOwnCodes(await file.text());
    const left = own.keep(codes);
    notes.value = [
      `${file.name}: ${codes.length - left} ${codes.length - left === 1 ? 'code' : 'codes'} taken.`,
      ...faults.slice(0, 20).map(ownCodeFaultText),
      ...(left > 0 ? [`${left} found no room.`] : []),
    ];
  }
  if (picker.value) picker.value.value = '';
}
</script>

<template>
  <p class="soft">
    Codes of machines that follow no standard: what stands here is understood on every check, and goes into its verdict.
    A check keeps the meaning that the code had when it was added.
  </p>
  <form class="row add" @submit.prevent="add">
    <label class="line">Code <input v-model="draft.code" class="text mono" maxlength="80" placeholder="E12" /></label>
    <label class="line wide"
      >Circuit <input v-model="draft.what" class="text" maxlength="200" placeholder="flue gas temperature"
    /></label>
    <label class="line"
      >Meaning
      <select v-model="draft.says">
        <option v-for="m in CODE_MEANINGS" :key="m" :value="m">{{ MEANING_NAMES[m] }}</option>
      </select>
    </label>
    <button class="act main" type="submit" :disabled="!ready">Add the code</button>
  </form>
  <p v-if="known" class="told">{{ known.code }} is known already: {{ known.what }}. Your own meaning goes before it.</p>
  <p v-for="note in notes" :key="note" class="told" role="status">{{ note }}</p>
  <p v-if="own.fault" class="told odd" role="alert">
    The codes are not kept: the browser’s storage is {{ own.fault }}.
  </p>
  <p v-if="own.removed" class="told">
    Deleted {{ own.removed.code }}.
    <button class="act" type="button" @click="own.keep([own.removed])">Undo</button>
  </p>
  <table v-if="own.codes.length > 0" data-test="own-codes">
    <thead>
      <tr>
        <th scope="col">Code</th>
        <th scope="col">Circuit</th>
        <th scope="col">Meaning</th>
        <th scope="col"><span class="visually-hidden">Delete</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="c in own.codes" :key="c.code">
        <td class="mono">{{ c.code }}</td>
        <td>{{ c.what }}</td>
        <td>{{ MEANING_NAMES[c.says] }}</td>
        <td>
          <button class="act quiet" type="button" :aria-label="`Delete ${c.code}`" @click="own.remove(c.code)">
            Delete
          </button>
        </td>
      </tr>
    </tbody>
  </table>
  <p v-else class="soft">No codes yet. Add those of the machines you know, or take them from a file.</p>
  <div class="row">
    <button class="act" type="button" @click="picker?.click()">From a file…</button>
    <button
      class="act"
      type="button"
      :disabled="own.codes.length === 0"
      @click="saveFile('own-codes.csv', 'text/csv;charset=utf-8', ownCodesCsv(own.codes))"
    >
      CSV
    </button>
    <input
      ref="picker"
      class="visually-hidden"
      type="file"
      accept=".csv,.txt,text/csv"
      aria-label="Code file"
      tabindex="-1"
      @change="load(($event.target as HTMLInputElement).files)"
    />
  </div>
</template>

<style scoped>
.add {
  align-items: flex-end;
}
.wide {
  flex: 1 1 240px;
}
</style>
