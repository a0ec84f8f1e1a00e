<script setup lang="ts">
import { aboutPartWords as say } from '@mellow-probe/core/wording/screens/settings';
import { keptPartWords } from '@mellow-probe/core/wording/screens/safe';
import { topBarWords } from '@mellow-probe/core/wording/screens/components';
import { NEWEST_VERSION } from '@mellow-probe/core/check/job/migrations/list';
import { workshop } from '../../browser/workshop.ts';
import ActButton from '../../components/base/ActButton.vue';

/** What this program is, and which versions of it and of its files these are. */
const version = import.meta.env.VITE_VERSION as string | undefined;
</script>

<template>
  <section class="sheet stacked">
    <h2>{{ topBarWords.mellowProbe }}</h2>
    <p>{{ say.whatItDoes }}</p>
    <p>▲ {{ say.advises }}</p>
    <p data-test="versions">
      {{
        version === undefined
          ? keptPartWords.versionLineUnreleased(NEWEST_VERSION)
          : keptPartWords.versionLine(version, NEWEST_VERSION)
      }}
    </p>
    <p class="soft">{{ say.madeUp }}</p>
    <ActButton v-if="workshop === 'own'" href="/demo/">{{ say.demoWorkshop }}</ActButton>
    <ActButton v-else href="/">{{ say.ownChecks }}</ActButton>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.15rem;
}
</style>
