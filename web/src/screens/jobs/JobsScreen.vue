<script setup lang="ts">
import { jobsScreenWords as say } from '@mellow-probe/core/wording/screens/jobs';
import ActButton from '../../components/base/ActButton.vue';
import { type JobFilter, type JobLine, narrowed, NO_FILTER, tagsOf } from '@mellow-probe/core/check/job/jobList';
import { openFaultText } from '@mellow-probe/core/wording/issueText';
import { computed, defineAsyncComponent, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useCards, useNarrow } from '../../browser/useMedia.ts';
import { workshop } from '../../browser/workshop.ts';
import type MenuButton from '../../components/base/MenuButton.vue';
import NoticeBar from '../../components/base/NoticeBar.vue';
import TopBar from '../../components/TopBar.vue';
import { useBeginLike } from '../../components/useBeginLike.ts';
import { apart, toBeShown, useTurn } from '../../browser/turns.ts';
import { askForNewVersion, newVersion, takeNewVersion, updateFailed } from '../../browser/offline.ts';
import { onKeyStroke } from '../../browser/onKeyStroke.ts';
import { saveFile } from '../../browser/saveFile.ts';
import dayjs from 'dayjs';
import { duesOf } from '@mellow-probe/core/history/register/dues';
import { dueCountText } from '@mellow-probe/core/wording/logbookText';
import { deletedText } from '@mellow-probe/core/wording/ledgerText';
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import { backupDueText } from '@mellow-probe/core/wording/safeText';
import { nowIso } from '../../browser/newId.ts';
import { lastBackup } from '../../data/storage/lastBackup.ts';
import { useJobs } from '../../data/stores/jobs/jobs.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import ImportFiles from './ImportFiles.vue';
import JobFilters from './JobFilters.vue';
import NoJobs from './NoJobs.vue';
import type { JobAct } from './jobFacts.ts';

/** The ledger of kept checks: open, copy, delete with undo, export, import. */
const jobs = useJobs();
const router = useRouter();
const beginLike = useBeginLike();
const narrow = useCards();
const phone = useNarrow();
const preferences = usePreferences();
const here = useTurn();
/** A phone does not fetch the table, the desk not the cards. */
const JobTable = defineAsyncComponent(() => import('./JobTable.vue'));
const JobCards = defineAsyncComponent(() => import('./JobCards.vue'));
const MoreMenu = defineAsyncComponent(() => apart(() => import('../../components/base/MenuButton.vue')));
const ChosenBar = defineAsyncComponent(() => import('./ChosenBar.vue'));
const importNote = ref('');
const importing = ref(false);
/** What is done now and then: files in, a check from another device, all that are shown chosen, the other workshop. */
const more = computed<InstanceType<typeof MenuButton>['$props']['entries']>(() => [
  { name: say.importFiles, icon: 'folderOpen', act: () => void (importing.value = true) },
  { name: say.receive, icon: 'qrcode', act: () => void router.push('/take') },
  { name: say.chooseAll, icon: 'unorderedList', act: () => void (chosen.value = shown.value.map((l) => l.id)) },
  { name: say.safeKeeping, icon: 'safety', act: () => void router.push('/safe') },
  workshop === 'own'
    ? { name: say.demoWorkshop, act: () => window.location.assign('/demo/') }
    : { name: say.myOwnChecks, act: () => window.location.assign('/') },
]);
const filter = ref<JobFilter>({ ...NO_FILTER });
const today = dayjs().format('YYYY-MM-DD');

async function load(): Promise<void> {
  await jobs.load();
  if (workshop === 'demo') await (await import('./loadDemo.ts')).loadDemo(jobs);
}
onMounted(() => toBeShown(load()));

const shown = computed(() => narrowed(jobs.lines, filter.value, today));
const tags = computed(() => tagsOf(jobs.lines));
/** What must not be forgotten, in a line; empty where nothing is due. */
const dueText = computed(() => dueCountText(duesOf(jobs.lines.filter((l) => !l.archived)), today));
/** In the demo nothing is lost. */
const later = ref(workshop === 'demo');
const backupText = computed(() =>
  later.value || !jobs.loaded ? '' : backupDueText(jobs.lines, lastBackup(), nowIso()),
);
const chosen = ref<readonly string[]>([]);
const hidden = computed(() => {
  const here = new Set(shown.value.map((line) => line.id));
  return chosen.value.filter((id) => !here.has(id)).length;
});
const busy = ref(false);

/** Does something with the chosen checks; `keep`: they stay chosen. */
async function withChosen(work: (ids: readonly string[]) => Promise<void>, keep = false): Promise<void> {
  busy.value = true;
  await work(chosen.value).finally(() => (busy.value = false));
  if (!keep) chosen.value = [];
}
function actOnChosen(what: 'export' | 'archive' | 'remove'): void {
  const ACTS = {
    export: exportAll,
    archive: (ids: readonly string[]) => jobs.setArchived(ids, !filter.value.archived),
    remove: jobs.remove,
  };
  void withChosen(ACTS[what], what === 'export');
}

async function exportAll(ids: readonly string[]): Promise<void> {
  const { exportJobs } = await import('./exportJobs.ts');
  await exportJobs(ids, jobs.read);
}

async function start(query: Record<string, string> = {}): Promise<void> {
  const { useKit } = await import('../../session/kit.ts');
  const job = await jobs.create(await useKit().forNewJob());
  const guided = preferences.opens === 'guided' || (preferences.opens === 'device' && phone.value);
  await router.push({ path: `/check/${job.id}${guided && !('tour' in query) ? '/guide' : ''}`, query });
}

function act({ id, archived }: JobLine, what: JobAct): void {
  const ACTS = {
    copy: () => jobs.copy(id),
    like: () => beginLike(id, 'startLike'),
    again: () => beginLike(id, 'startAgain'),
    export: () => exportAll([id]),
    archive: () => jobs.setArchived([id], !archived),
    remove: () => jobs.remove([id]),
  };
  void ACTS[what]();
}
onKeyStroke('c', () => void start());
</script>

<template>
  <div class="jobs">
    <TopBar />
    <main v-if="here">
      <h1 v-if="shown.length > 0" class="visually-hidden">{{ say.checks }}</h1>
      <div class="tools">
        <JobFilters v-if="jobs.lines.length > 0" v-model="filter" class="search" :tags="tags" />
        <ActButton icon="plus" kind="main" class="new" @click="start()">{{ say.newCheck }} <kbd>C</kbd></ActButton>
        <MoreMenu class="menu" :label="say.more" :name="say.moreMenu" :entries="more" />
      </div>
      <ImportFiles v-model:open="importing" @told="importNote = $event" />
      <NoticeBar v-if="dueText" status>
        {{ dueText }}
        <template #action
          ><ActButton icon="clockCircle" to="/logbook/due">{{ say.whatIsDue }}</ActButton></template
        >
      </NoticeBar>
      <NoticeBar v-if="newVersion" kind="told" status>
        {{ say.updateReady }}
        <template #action>
          <ActButton @click="takeNewVersion">{{ say.takeItNow }}</ActButton>
          <ActButton kind="quiet" @click="newVersion = false">{{ say.later }}</ActButton>
        </template>
      </NoticeBar>
      <NoticeBar v-if="updateFailed" kind="told" status>
        {{ say.updateFailed }}
        <template #action
          ><ActButton icon="reload" @click="askForNewVersion">{{ say.tryAgain }}</ActButton></template
        >
      </NoticeBar>
      <NoticeBar v-if="backupText" status>
        {{ backupText }}
        <template #action>
          <ActButton icon="save" to="/safe">{{ say.backUp }}</ActButton>
          <ActButton kind="quiet" @click="later = true">{{ say.later }}</ActButton>
        </template>
      </NoticeBar>
      <NoticeBar v-if="jobs.fault" kind="bad">
        {{ storageFaultText(jobs.fault) }}
        {{ jobs.fault === 'full' ? say.makeRoom : say.onlyInWindow }}
        <template #action
          ><ActButton icon="reload" @click="jobs.load()">{{ say.tryAgain }}</ActButton></template
        >
      </NoticeBar>
      <NoticeBar v-if="importNote" status>
        <span class="lines">{{ importNote }}</span>
        <template #action
          ><ActButton @click="importNote = ''">{{ say.close }}</ActButton></template
        >
      </NoticeBar>
      <NoticeBar v-if="jobs.removed.length > 0" status>
        {{ deletedText(jobs.removed.map((line) => line.title)) }}
        <template #action>
          <ActButton icon="undo" @click="jobs.undoRemove()">{{ say.undo }}</ActButton>
          <ActButton kind="quiet" @click="jobs.forget()">{{ say.close }}</ActButton>
        </template>
      </NoticeBar>

      <ChosenBar
        v-if="chosen.length > 0"
        :chosen="chosen.length"
        :hidden="hidden"
        :archived="filter.archived"
        :tags="tags"
        :busy="busy"
        @act="actOnChosen"
        @tag="(text) => withChosen((ids) => jobs.tag(ids, text))"
        @none="chosen = []"
      />
      <component
        :is="narrow ? JobCards : JobTable"
        v-if="shown.length > 0"
        v-model:chosen="chosen"
        :jobs="shown"
        :today="today"
        :homeless="jobs.homeless"
        @act="act"
      />
      <NoJobs
        v-else-if="jobs.loaded"
        :filtered="jobs.lines.length > 0"
        @start="start"
        @all="filter = { ...NO_FILTER }"
      />

      <section v-if="jobs.damaged.length > 0" class="sheet damaged">
        <h2>{{ say.damagedTitle }}</h2>
        <p v-for="d in jobs.damaged" :key="d.key">
          {{ openFaultText(d.fault) }}
          <ActButton @click="saveFile(`${d.key}.json`, 'application/json', JSON.stringify(d.data, null, 2))">
            {{ say.exportDamaged }}
          </ActButton>
        </p>
      </section>
    </main>
  </div>
</template>

<style scoped>
.jobs {
  min-height: 100%;
}
main {
  max-width: 1180px;
  margin: 0 auto;
  padding: 18px 20px 40px;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.search {
  flex: 1 1 300px;
}
.new {
  min-height: 48px;
  padding-inline: 22px;
  font-size: 1.05rem;
}
.tools .main kbd {
  background: transparent;
  color: inherit;
  border-color: currentColor;
}
.lines {
  white-space: pre-line;
}
.damaged {
  padding: 14px 18px;
}
.damaged h2 {
  font-size: 1rem;
}
@media (max-width: 43.75em) {
  main {
    padding: 12px 10px 40px;
  }
  .search {
    flex-basis: 100%;
  }
  .new {
    flex: 1;
    min-height: 56px;
  }
}
</style>
