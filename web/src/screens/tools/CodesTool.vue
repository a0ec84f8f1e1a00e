<script setup lang="ts">
import { codesToolWords as say } from '@mellow-probe/core/wording/screens/tools';
import { countText } from '@mellow-probe/core/wording/ledgerText';
import FactTable from '../../components/base/FactTable.vue';
import TextField from '../../components/base/TextField.vue';
import FilePick from '../../components/base/FilePick.vue';
import PickList from '../../components/base/PickList.vue';
import ActButton from '../../components/base/ActButton.vue';
import { MEANING_NAMES, type OwnCode, ownCodesCsv, readOwnCodes } from '@mellow-probe/core/catalogue/parts/ownCodes';
import { decodeCode } from '@mellow-probe/core/catalogue/parts/troubleCodes';
import { CODE_MEANINGS } from '@mellow-probe/core/base/units/vocabulary';
import { ownCodeFaultText } from '@mellow-probe/core/wording/codeText';
import { computed, ref } from 'vue';
import { z } from 'zod';
import type { Column } from '../../components/base/factTable.ts';
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
const MEANINGS = CODE_MEANINGS.map((value) => ({ value, label: MEANING_NAMES[value] }));
const COLUMNS: readonly Column<OwnCode>[] = [
  { key: 'code', title: say.code, mono: true, text: (c) => c.code },
  { key: 'what', title: say.circuit, text: (c) => c.what },
  { key: 'says', title: say.meaning, text: (c) => MEANING_NAMES[c.says] },
  { key: 'delete', title: say.delete, quietTitle: true },
];
const notes = ref<string[]>([]);
const ready = computed(() => draft.value.code.trim() !== '' && draft.value.what.trim() !== '');
/** A code of the standards may be given another meaning; that it is one is said. */
const known = computed(() => (draft.value.code.trim() === '' ? null : decodeCode(draft.value.code)));

function add(): void {
  if (!ready.value) return;
  const code: OwnCode = { code: draft.value.code.trim(), what: draft.value.what.trim(), says: draft.value.says };
  notes.value = own.keep([code]) > 0 ? [say.full] : [];
  if (notes.value.length === 0) draft.value = blank();
}
async function load([file]: readonly File[]): Promise<void> {
  if (file.size > MOST_BYTES) notes.value = [say.tooLarge(file.name)];
  else {
    const { codes, faults } = readOwnCodes(await file.text());
    const left = own.keep(codes);
    notes.value = [
      say.taken(file.name, countText(codes.length - left, 'code', 'codes')),
      ...faults.slice(0, 20).map(ownCodeFaultText),
      ...(left > 0 ? [say.foundNoRoom(left)] : []),
    ];
  }
}
</script>

<template>
  <p class="soft">
    {{ say.purpose }}
  </p>
  <form class="row add" @submit.prevent="add">
    <TextField v-model="draft.code" mono :label="say.code" :maxlength="80" placeholder="E12" />
    <TextField
      v-model="draft.what"
      class="wide"
      :label="say.circuit"
      :maxlength="200"
      :placeholder="say.flueGasTemperature"
    />
    <PickList v-model="draft.says" class="meaning" :label="say.meaning" :options="MEANINGS" />
    <ActButton kind="main" submit :disabled="!ready">{{ say.addTheCode }}</ActButton>
  </form>
  <p v-if="known" class="told">{{ say.knownAlready(known.code, known.what) }}</p>
  <p v-for="note in notes" :key="note" class="told" role="status">{{ note }}</p>
  <p v-if="own.fault" class="told odd" role="alert">
    {{ say.notSaved(own.fault) }}
  </p>
  <p v-if="own.removed" class="told">
    {{ say.deleted(own.removed.code) }}
    <ActButton icon="undo" @click="own.keep([own.removed])">{{ say.undo }}</ActButton>
  </p>
  <FactTable
    v-if="own.codes.length > 0"
    data-test="own-codes"
    :label="say.ownCodes"
    :columns="COLUMNS"
    :rows="own.codes"
    :row-key="(c) => c.code"
  >
    <template #delete="{ row }">
      <ActButton icon="delete" kind="grave" :aria-label="say.deleteCode(row.code)" @click="own.remove(row.code)">{{
        say.delete
      }}</ActButton>
    </template>
  </FactTable>
  <p v-else class="soft">{{ say.empty }}</p>
  <div class="row">
    <FilePick :label="say.fromAFile" :about="say.codeFile" accept=".csv,.txt,text/csv" @files="load" />
    <ActButton
      :disabled="own.codes.length === 0"
      @click="saveFile('own-codes.csv', 'text/csv;charset=utf-8', ownCodesCsv(own.codes))"
    >
      {{ say.csv }}
    </ActButton>
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
