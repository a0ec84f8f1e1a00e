<script setup lang="ts">
import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/circuits';
import { type JobFilter, NO_FILTER, passes } from '@mellow-probe/core/job/jobList';
import type { Job } from '@mellow-probe/core/job/jobSchema';
import { openFaultText } from '@mellow-probe/core/wording/issueText';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { workshop } from '../../browser/workshop.ts';
import TopBar from '../../components/TopBar.vue';
import { onKeyStroke } from '../../browser/onKeyStroke.ts';
import { fileName, saveFile } from '../../browser/saveFile.ts';
import dayjs from 'dayjs';
import { saveJob } from '@mellow-probe/core/job/openJob';
import { storageFaultText } from '@mellow-probe/core/wording/storageText';
import { useKit } from '../../session/kit.ts';
import { withPhotos } from '../../storage/photoStorage.ts';
import { useJobs } from '../../stores/jobs.ts';
import { loadDemo } from './loadDemo.ts';
import JobFilters from './JobFilters.vue';
import JobRow from './JobRow.vue';

/** The ledger of kept checks: open, copy, delete with undo, export, import. */
const jobs = useJobs();
const kit = useKit();
const router = useRouter();
const picker = ref<HTMLInputElement>();
const importNote = ref('');
const filter = ref<JobFilter>({ ...NO_FILTER });
const today = dayjs().format('YYYY-MM-DD');

onMounted(async () => {
  await jobs.load();
  if (workshop === 'demo') await loadDemo(jobs);
});

const shown = computed(() => jobs.jobs.filter((job) => passes(job, filter.value, today)));

async function start(): Promise<void> {
  const job = await jobs.create(await kit.forNewJob(), CATALOGUE_CIRCUITS[0]);
  await router.push(`/check/${job.id}`);
}

async function importFiles(files: FileList | null): Promise<void> {
  const notes: string[] = [];
  for (const file of files ?? []) {
    const result = await jobs.importFile(file);
    if (result.ok) notes.push(`${file.name}: added.`);
    else if (result.reason === 'not-kept') notes.push(`${file.name}: the browser’s storage does not take it.`);
    else notes.push(`${file.name}: not opened. ${openFaultText(result)}`);
  }
  importNote.value = notes.join('\n');
  if (picker.value) picker.value.value = '';
}

async function exportJob(job: Job): Promise<void> {
  saveFile(fileName(job.title, 'json'), 'application/json', saveJob(await withPhotos(job)));
}
async function startLike(job: Job): Promise<void> {
  const fresh = await jobs.startLike(job);
  await router.push(`/check/${fresh.id}`);
}
onKeyStroke('c', () => void start());
</script>

<template>
  <div class="jobs">
    <TopBar />
    <main>
      <h1 v-if="shown.length > 0" class="visually-hidden">Checks</h1>
      <div class="tools">
        <button class="act main" type="button" @click="start">New check <kbd>C</kbd></button>
        <button class="act" type="button" @click="picker?.click()">Import file…</button>
        <input
          ref="picker"
          class="visually-hidden"
          type="file"
          accept=".json,application/json"
          multiple
          aria-label="Import check files"
          tabindex="-1"
          @change="importFiles(($event.target as HTMLInputElement).files)"
        />
        <RouterLink class="act" to="/shelf">Shelf: curves, dividers, kit</RouterLink>
        <a v-if="workshop === 'own'" class="act quiet" href="/demo/">Demo workshop</a>
        <a v-else class="act quiet" href="/">My own checks</a>
      </div>
      <JobFilters v-if="jobs.jobs.length > 0" v-model="filter" />
      <p v-if="jobs.fault" class="note bad" role="alert">
        {{ storageFaultText(jobs.fault) }}
        {{
          jobs.fault === 'full'
            ? 'Delete or export a check first.'
            : 'What you type lives in this window only: export it.'
        }}
        <button class="act" type="button" @click="jobs.load()">Try again</button>
      </p>
      <div v-if="importNote" class="note" role="status">
        <span class="lines">{{ importNote }}</span>
        <button class="act" type="button" @click="importNote = ''">Close</button>
      </div>
      <div v-if="jobs.removed" class="note" role="status">
        Deleted “{{ jobs.removed.title || 'untitled' }}”.
        <button class="act" type="button" @click="jobs.undoRemove()">Undo</button>
        <button class="act quiet" type="button" @click="jobs.forget()">Close</button>
      </div>

      <table v-if="shown.length > 0" class="sheet ledger">
        <thead>
          <tr>
            <th scope="col">Machine and sensor</th>
            <th scope="col">Decided</th>
            <th scope="col">Circuit</th>
            <th scope="col">Readings</th>
            <th scope="col">Changed</th>
            <th scope="col"><span class="visually-hidden">Actions</span></th>
          </tr>
        </thead>
        <tbody>
          <JobRow
            v-for="job in shown"
            :key="job.id"
            :job="job"
            :today="today"
            :homeless="jobs.homeless.has(job.id)"
            @copy="jobs.copy(job)"
            @like="startLike(job)"
            @export="exportJob(job)"
            @archive="jobs.setArchived(job, job.archivedAt === null)"
            @remove="jobs.remove(job)"
          />
        </tbody>
      </table>
      <section v-else-if="jobs.loaded && jobs.jobs.length > 0" class="empty">
        <p>
          No check is like this. <button class="act" type="button" @click="filter = { ...NO_FILTER }">Show all</button>
        </p>
      </section>
      <section v-else-if="jobs.loaded" class="empty sheet">
        <h1>Sensor, supply or wiring?</h1>
        <p>Four figures are enough for a verdict:</p>
        <ol>
          <li>the temperature beside the sensor, by another thermometer</li>
          <li>the sensor’s ohms, unplugged</li>
          <li>the volts at the plug, unplugged</li>
          <li>the volts at the plug, plugged in</li>
        </ol>
        <p>
          Type them in any order. After each one the verdict says what is suspect, how surely, and what to measure next.
        </p>
        <p class="soft">Checks are kept in this browser and nowhere else. Export them to keep a copy.</p>
        <button class="act main" type="button" @click="start">Start the first check</button>
      </section>

      <section v-if="jobs.damaged.length > 0" class="sheet damaged">
        <h2>Kept, but cannot be opened</h2>
        <p v-for="d in jobs.damaged" :key="d.key">
          {{ openFaultText(d.fault) }}
          <button
            class="act"
            type="button"
            @click="saveFile(`${d.key}.json`, 'application/json', JSON.stringify(d.data, null, 2))"
          >
            Export as it is
          </button>
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
.tools .main kbd {
  background: transparent;
  color: inherit;
  border-color: currentColor;
}
@media (pointer: coarse) {
  .tools .main kbd {
    display: none;
  }
}
.ledger {
  width: 100%;
  border-spacing: 0;
}
.ledger th {
  text-align: left;
  font-size: 12px;
  font-weight: 600;
  color: var(--soft);
  padding: 10px 12px;
}
.note {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 8px 14px;
  border-left: 4px solid var(--amber);
  background: var(--amber-soft);
  border-radius: 0 8px 8px 0;
}
.note.bad {
  border-color: var(--clay);
  background: var(--clay-soft);
}
.lines {
  white-space: pre-line;
}
.empty {
  padding: 28px 32px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  align-items: flex-start;
}
.empty h1 {
  font-size: 26px;
}
.empty ol {
  margin: 0;
  padding-left: 22px;
}
.empty p {
  max-width: 62ch;
}
.damaged {
  padding: 14px 18px;
}
.damaged h2 {
  font-size: 16px;
}
/* On a phone each check is a card. */
@media (max-width: 700px) {
  main {
    padding: 12px 10px 40px;
  }
  .ledger,
  .ledger tbody {
    display: block;
  }
  .ledger {
    border: 0;
    background: transparent;
  }
  .ledger thead {
    display: none;
  }
  .empty {
    padding: 20px 16px;
  }
}
</style>
