<script setup lang="ts">
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { placesPartWords as say } from '@mellow-probe/core/wording/screens/logbook';
import { typedPlaceCode } from '@mellow-probe/core/history/register/placeKey';
import { machinesOf, placeByCode, placesOfLines } from '@mellow-probe/core/history/register/register';
import { failingParts, sharedFaults } from '@mellow-probe/core/history/register/repeats';
import { failingPartText, placeLastText, sharedFaultText } from '@mellow-probe/core/wording/logbookText';
import { namelessText } from '@mellow-probe/core/wording/noticeText';
import { computed, defineAsyncComponent, ref } from 'vue';
import { useRouter } from 'vue-router';
import ActButton from '../../components/base/ActButton.vue';
import NoticeBar from '../../components/base/NoticeBar.vue';
import TextField from '../../components/base/TextField.vue';
import { useJobs } from '../../data/stores/jobs/jobs.ts';

/** The register of machines and places: grown from the checks, found by name, by short code, or by the label's QR code. */
const ScanSheet = defineAsyncComponent(() => import('../../components/ScanSheet.vue'));
const jobs = useJobs();
const router = useRouter();
const words = ref('');
const told = ref('');
const scanning = ref(false);
const places = computed(() => placesOfLines(jobs.lines));
const code = computed(() => typedPlaceCode(words.value));
const shown = computed(() => {
  const asked = words.value.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = (p: (typeof places.value)[number]): boolean =>
    p.code === code.value || asked.every((w) => `${p.machine} ${p.circuit}`.toLowerCase().includes(w));
  return machinesOf(places.value.filter(fits));
});
const faults = computed(() => sharedFaults(jobs.lines));
const parts = computed(() => failingParts(jobs.lines));
const nameless = computed(() => jobs.lines.filter((l) => l.machine.trim() === '').length);
/** Machines on the screen at first: a fleet has hundreds. */
const MOST = 40;
const all = ref(false);

/** A scanned or typed code goes straight to its place. */
function find(text: string): void {
  const asked = typedPlaceCode(text);
  const place = placeByCode(places.value, asked);
  if (place) void router.push(`/logbook/place/${place.code}`);
  else told.value = asked ? say.unknownCode(asked) : say.foreignLabel;
}
</script>

<template>
  <section v-if="places.length === 0" class="sheet part" :aria-label="say.machines">
    <h2>{{ say.noMachinesYet }}</h2>
    <p class="soft">
      {{ say.empty }}
    </p>
    <ActButton kind="main" to="/">{{ say.checks }}</ActButton>
  </section>
  <template v-else>
    <div class="find" role="search">
      <TextField
        v-model="words"
        class="search"
        search
        :label="say.searchMachines"
        hide-label
        :placeholder="say.searchHint"
        @enter="code && find(words)"
      />
      <ActButton icon="qrcode" @click="scanning = true">{{ say.scanALabel }}</ActButton>
    </div>
    <NoticeBar v-if="told" status>
      {{ told }}
      <template #action
        ><ActButton @click="told = ''">{{ say.close }}</ActButton></template
      >
    </NoticeBar>
    <NoticeBar v-for="f in faults" :key="`${f.group} ${f.circuit}`" kind="odd" data-test="shared-fault">{{
      unbroken(sharedFaultText(f))
    }}</NoticeBar>
    <NoticeBar v-for="p in parts" :key="p.partNumber" kind="odd" data-test="failing-part">{{
      failingPartText(p)
    }}</NoticeBar>
    <section class="sheet part" :aria-label="say.machines">
      <p v-if="shown.length === 0" class="soft">{{ say.noMatch }}</p>
      <div v-for="m in all ? shown : shown.slice(0, MOST)" :key="m.name" class="machine" data-test="machine">
        <h2>{{ m.name }}</h2>
        <ul>
          <li v-for="p in m.places" :key="p.key">
            <RouterLink :to="`/logbook/place/${p.code}`">
              <b>{{ unbroken(p.circuit) || say.untitledCircuit }}</b>
              <span class="code">{{ p.code }}</span>
              <span class="soft last">{{ placeLastText(p) }}</span>
            </RouterLink>
          </li>
        </ul>
      </div>
      <ActButton v-if="!all && shown.length > MOST" kind="quiet" @click="all = true">{{
        say.showAllMachines(shown.length)
      }}</ActButton>
      <p v-if="nameless > 0" class="soft small">
        {{ namelessText(nameless) }}
      </p>
    </section>
  </template>
  <ScanSheet
    v-if="scanning"
    :title="say.scanTitle"
    @found="((scanning = false), find($event))"
    @close="scanning = false"
  />
</template>

<style scoped>
.part {
  padding: 14px 18px;
}
.find {
  display: flex;
  gap: 8px;
  align-items: center;
}
.search {
  flex: 1 1 200px;
}
h2 {
  font-size: 1rem;
  margin: 0;
}
.machine {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 5fr);
  gap: 4px 16px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
  align-items: start;
}
.machine h2 {
  padding-top: 11px;
  overflow-wrap: anywhere;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li a {
  display: grid;
  grid-template-columns: minmax(0, 3fr) auto minmax(0, 3fr);
  gap: 4px 14px;
  align-items: center;
  min-height: 44px;
  padding: 2px 8px;
  border-radius: 8px;
  color: var(--ink);
  text-decoration: none;
}
li b {
  color: var(--spruce);
  overflow-wrap: anywhere;
}
li a:hover {
  background: var(--spruce-soft);
}
.code {
  font: 0.8125rem/1 var(--mono);
}
.last,
.small {
  font-size: 0.8125rem;
}
@media (max-width: 38.75em) {
  .machine {
    grid-template-columns: minmax(0, 1fr);
  }
  li a {
    grid-template-columns: minmax(0, 1fr) auto;
    min-height: 56px;
  }
  .last {
    grid-column: 1 / -1;
  }
  .part {
    padding: 10px 12px;
  }
}
</style>
