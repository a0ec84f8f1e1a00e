<script setup lang="ts">
import { titleText } from '@mellow-probe/core/wording/ledgerText';
import { duePartWords as say } from '@mellow-probe/core/wording/screens/logbook';
import { type Due, duesOf } from '@mellow-probe/core/history/register/dues';
import { dueText } from '@mellow-probe/core/wording/logbookText';
import { dayText } from '@mellow-probe/core/base/units/writing';
import dayjs from 'dayjs';
import { computed } from 'vue';
import { fileName, saveFile } from '../../browser/saveFile.ts';
import { workshopBase } from '../../browser/workshop.ts';
import ActButton from '../../components/base/ActButton.vue';
import { nowIso } from '../../browser/newId.ts';
import { useJobs } from '../../data/stores/jobs/jobs.ts';

/** What is still to be done: stand-ins still fitted, then follow-ups by their day; out as a calendar file. */
const jobs = useJobs();
const today = dayjs().format('YYYY-MM-DD');
const dues = computed(() => duesOf(jobs.lines.filter((l) => !l.archived)));
const late = (d: Due): boolean => d.kind === 'stand-in' || d.on <= today;
async function exportCalendar(): Promise<void> {
  const { calendarText } = await import('./calendar.ts');
  const address = (id: string): string => `${window.location.origin}${workshopBase}check/${id}`;
  saveFile(fileName(say.followUps, 'ics'), 'text/calendar;charset=utf-8', calendarText(dues.value, today, address));
}
/** A follow-up that was looked at. A stand-in is taken out on the bench, with its proof. */
async function done(due: Due): Promise<void> {
  await jobs.change([due.line.id], (job) => {
    for (const f of job.followUps) if (f.id === due.id) f.doneAt = nowIso();
  });
}
</script>

<template>
  <section class="sheet part" :aria-label="say.due">
    <template v-if="dues.length > 0">
      <ul>
        <li v-for="d in dues" :key="`${d.line.id} ${d.id}`" data-test="due">
          <span :class="late(d) ? 'late' : 'soft'">{{ late(d) ? '◆' : '○' }} {{ dueText(d, today) }}</span>
          <span class="what">
            <b>{{ d.kind === 'stand-in' ? say.standIn(d.text || say.notNamed) : d.text }}</b>
            <RouterLink :to="`/check/${d.line.id}`">{{ titleText(d.line.title) }}</RouterLink>
            <span class="soft">{{ d.kind === 'stand-in' ? say.temporaryNote : dayText(d.on) }}</span>
          </span>
          <ActButton v-if="d.kind === 'follow-up'" :aria-label="say.doneWith(d.text)" @click="done(d)">{{
            say.done
          }}</ActButton>
          <ActButton v-else :to="`/check/${d.line.id}`">{{ say.open }}</ActButton>
        </li>
      </ul>
      <ActButton icon="calendar" @click="exportCalendar">{{ say.calendarFileIcs }}</ActButton>
    </template>
    <template v-else>
      <h2>{{ say.nothingIsDue }}</h2>
      <p class="soft">{{ say.empty }}</p>
    </template>
  </section>
</template>

<style scoped src="./checkLines.css"></style>
<style scoped>
.part {
  padding: 14px 18px;
}
h2 {
  font-size: 1.125rem;
}
ul {
  list-style: none;
  margin: 0 0 12px;
  padding: 0;
}
li {
  grid-template-columns: minmax(130px, 170px) minmax(0, 1fr) auto;
  align-items: center;
}
.late {
  font-weight: 600;
  color: var(--amber-ink);
}
@media (max-width: 38.75em) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  li > :first-child {
    grid-column: 1 / -1;
  }
}
</style>
