<script setup lang="ts">
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { titleText } from '@mellow-probe/core/wording/ledgerText';
import { placeScreenWords as say } from '@mellow-probe/core/wording/screens/logbook';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { duesOf } from '@mellow-probe/core/history/register/dues';
import { dueText, lineOutcomeText } from '@mellow-probe/core/wording/logbookText';
import { dayText } from '@mellow-probe/core/base/units/writing';
import dayjs from 'dayjs';
import { computed, ref, shallowRef, watch } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import NoticeBar from '../../components/base/NoticeBar.vue';
import TopBar from '../../components/TopBar.vue';
import { useBeginLike } from '../../components/useBeginLike.ts';
import { withPhotos } from '../../data/storage/photoStorage.ts';
import { useJobs } from '../../data/stores/jobs/jobs.ts';
import PlaceTrendView from './PlaceTrendView.vue';
import { usePlace } from './usePlace.ts';

/** One place: its checks, how its sensor has moved over the years, what is due, and the way to the next check. */
const jobs = useJobs();
const beginLike = useBeginLike();
const { code, place } = usePlace();
const whole = shallowRef<readonly Job[]>([]);
const photos = ref<{ id: string; job: string; caption: string; image: string }[]>([]);
const today = dayjs().format('YYYY-MM-DD');
const dues = computed(() => duesOf(place.value?.lines ?? []));

/** The checks whole: their figures make the trend. Read again when one of them has changed. */
const revisions = computed(() => place.value?.lines.map((l) => `${l.id} ${l.updatedAt}`).join('\n') ?? '');
watch(
  revisions,
  async (asked) => {
    const ids = place.value?.lines.map((l) => l.id) ?? [];
    const read = (await Promise.all(ids.map((id) => jobs.read(id)))).filter((j) => j !== null);
    if (asked !== revisions.value) return;
    whole.value = read;
    const found = (await Promise.all(read.map(withPhotos))).flatMap((job) =>
      job.photos.flatMap(({ id, caption, image }) => (image ? [{ id, job: job.id, caption, image }] : [])),
    );
    if (asked === revisions.value) photos.value = found.slice(0, MOST_PHOTOS);
  },
  { immediate: true },
);
const MOST_PHOTOS = 12;
const byId = computed(() => new Map(whole.value.map((j) => [j.id, j])));
const rows = computed(() => (place.value?.lines ?? []).map((line) => ({ line, job: byId.value.get(line.id) ?? null })));
</script>

<template>
  <div>
    <TopBar back>
      <ActButton kind="quiet" to="/logbook/places">{{ say.logbook }}</ActButton>
    </TopBar>
    <main>
      <section v-if="jobs.loaded && !place" class="sheet part">
        <h2>{{ say.unknownCode(code) }}</h2>
        <p class="soft">{{ say.unknownHelp }}</p>
        <ActButton icon="unorderedList" to="/logbook/places">{{ say.allMachines }}</ActButton>
      </section>
      <template v-else-if="place">
        <h1>
          {{ place.machine }} <span class="soft circuit">{{ unbroken(place.circuit) }}</span>
        </h1>
        <div class="acts">
          <ActButton icon="plus" kind="main" @click="beginLike(place.lines[0].id, 'startLike')">{{
            say.nextCheckHere
          }}</ActButton>
          <ActButton icon="qrcode" :to="`/logbook/place/${place.code}/label`">{{ say.label }}</ActButton>
          <span class="code" data-test="code">{{ place.code }}</span>
          <span class="soft small">{{ say.nextCheckHelp }}</span>
        </div>
        <NoticeBar v-for="d in dues" :key="`${d.line.id} ${d.id}`" :kind="d.kind === 'stand-in' ? 'bad' : 'odd'">
          {{ d.kind === 'stand-in' ? say.temporaryFitted(d.text || say.notNamed) : d.text }}, {{ dueText(d, today) }}
        </NoticeBar>
        <section class="sheet part" :aria-label="say.overTheYears">
          <h2>{{ say.overTheYears }}</h2>
          <PlaceTrendView v-if="whole.length > 0" :jobs="whole" />
        </section>
        <section class="sheet part" :aria-label="say.checksHere">
          <h2>{{ say.checksHere }}</h2>
          <ol>
            <li v-for="{ line, job } in rows" :key="line.id" data-test="place-check">
              <span class="day">{{ dayText(line.createdAt) }}</span>
              <span class="what">
                <RouterLink :to="`/check/${line.id}`">{{ titleText(line.title) }}</RouterLink>
                <b>{{ lineOutcomeText(line) }}</b>
                <span v-if="line.recurrenceOf" class="back">{{ say.cameBack }}</span>
                <span v-if="line.about" class="soft">{{ line.about }}</span>
                <span v-if="job?.repair.done" class="soft">{{ say.done(job.repair.done) }}</span>
                <span v-if="job?.note" class="soft">{{ say.note(job.note) }}</span>
              </span>
              <ActButton
                v-if="line.state !== 'measuring'"
                kind="quiet"
                class="again"
                @click="beginLike(line.id, 'startAgain')"
                >{{ say.itCameBack }}</ActButton
              >
            </li>
          </ol>
        </section>
        <section v-if="photos.length > 0" class="sheet part" :aria-label="say.photosFromHere">
          <h2>{{ say.photosFromHere }}</h2>
          <div class="photos">
            <figure v-for="p in photos" :key="`${p.job} ${p.id}`">
              <img :src="p.image" :alt="p.caption || say.untitledPhoto" />
              <figcaption class="soft">{{ p.caption }}</figcaption>
            </figure>
          </div>
        </section>
      </template>
    </main>
  </div>
</template>

<style scoped src="./checkLines.css"></style>
<style scoped>
h1 {
  font-size: 1.25rem;
  margin: 0;
  overflow-wrap: anywhere;
}
.circuit {
  font-size: 0.9375rem;
  font-weight: 400;
}
main {
  max-width: 1180px;
  margin: 0 auto;
  padding: 10px 12px 24px;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}
.code {
  font: 0.9375rem/1 var(--mono);
}
.small {
  font-size: 0.8125rem;
}
.part {
  padding: 14px 18px;
}
h2 {
  font-size: 1rem;
  margin: 0 0 6px;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  grid-template-columns: 100px minmax(0, 1fr) auto;
  align-items: start;
}
.day {
  font: 0.875rem/1.6 var(--mono);
}
.back {
  font-weight: 600;
  color: var(--amber-ink);
}
.photos {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
figure {
  margin: 0;
  width: 180px;
}
img {
  width: 100%;
  border-radius: 8px;
}
@media (max-width: 38.75em) {
  li {
    grid-template-columns: minmax(0, 1fr);
  }
  .again {
    justify-self: start;
  }
}
</style>
