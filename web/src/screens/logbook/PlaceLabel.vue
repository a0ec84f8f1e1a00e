<script setup lang="ts">
import { unbroken } from '@mellow-probe/core/wording/unbroken';
import { placeLabelWords as say } from '@mellow-probe/core/wording/screens/logbook';
import { dayText } from '@mellow-probe/core/base/units/writing';
import { computed } from 'vue';
import { workshopBase } from '../../browser/workshop.ts';
import ActButton from '../../components/base/ActButton.vue';
import PaperLight from '../../components/base/PaperLight.vue';
import QrCode from '../../components/QrCode.vue';
import TopBar from '../../components/TopBar.vue';
import { useJobs } from '../../data/stores/jobs/jobs.ts';
import { usePlace } from './usePlace.ts';

/** The label of a place: its QR code is the way to it on this device, its short code the way to it in any backup. */
const jobs = useJobs();
const { code, place } = usePlace();
const address = computed(() => `${window.location.origin}${workshopBase}logbook/place/${code.value}`);
const print = (): void => window.print();
</script>

<template>
  <div>
    <TopBar class="no-print" back folds>
      <ActButton kind="quiet" :to="`/logbook/place/${code}`">{{ say.place }}</ActButton>
      <ActButton icon="printer" kind="main" @click="print">{{ say.print }}</ActButton>
    </TopBar>
    <main v-if="place" :aria-label="say.label">
      <PaperLight
        ><div class="light label">
          <QrCode :text="address" :label="say.qrCode(address)" />
          <div class="words">
            <h1>{{ place.machine }}</h1>
            <p>{{ unbroken(place.circuit) }}</p>
            <p class="code">{{ place.code }}</p>
            <p class="soft">{{ say.sensorChecksLast(dayText(place.lines[0].createdAt)) }}</p>
          </div>
        </div></PaperLight
      >
      <p class="soft no-print note">
        {{ say.howToUse }}
        <span class="mono">{{ address }}</span>
      </p>
    </main>
    <main v-else-if="jobs.loaded" class="soft">{{ say.unknownCode(code) }}</main>
  </div>
</template>

<style scoped>
main {
  max-width: 620px;
  margin: 16px auto;
  padding: 0 12px;
}
.label {
  display: grid;
  grid-template-columns: 34mm minmax(0, 1fr);
  gap: 5mm;
  width: 96mm;
  max-width: 100%;
  padding: 4mm;
  background: #fff;
  color: var(--ink);
  border: 1px solid var(--line-strong);
  border-radius: 2mm;
}
h1 {
  font-size: 0.9375rem;
  margin: 0;
  overflow-wrap: anywhere;
}
.words p {
  margin: 2px 0 0;
}
.code {
  font: 600 1.3125rem/1.4 var(--mono);
}
.words .soft {
  font-size: 0.6875rem;
}
.note {
  margin-top: 12px;
  overflow-wrap: anywhere;
}
.mono {
  font-family: var(--mono);
}
@media print {
  .no-print.no-print {
    display: none;
  }
  main {
    margin: 0;
    padding: 0;
  }
}
</style>
