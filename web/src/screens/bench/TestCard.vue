<script setup lang="ts">
import { testCardWords as say } from '@mellow-probe/core/wording/screens/bench';
import ActButton from '../../components/base/ActButton.vue';
import { measurementById } from '@mellow-probe/core/circuit/measurements/list';
import { readingConditionsText } from '@mellow-probe/core/wording/conditionsText';
import { informativeText } from '@mellow-probe/core/wording/informativeText';
import { computed, nextTick, ref, watch } from 'vue';
import { useNarrow } from '../../browser/useMedia.ts';
import { usePreferences } from '../../data/stores/preferences.ts';
import { useSession } from '../../session/jobSession.ts';
import CardEntry from './CardEntry.vue';
import CardOutcome from './CardOutcome.vue';
import RepeatTap from './RepeatTap.vue';

/** One test: how it is set up, its caution, one large field, and at once what the figure says. */
const { job, verdict, work } = useSession();
const preferences = usePreferences();
const root = ref<HTMLElement>();
const narrow = useNarrow();
const about = computed(() => measurementById(work.test!));
const siblings = computed(() => work.current?.tests ?? []);
const taken = computed(() => work.readingsOf(work.test!));
const proposal = computed(() => verdict.advice?.proposals.find((p) => p.measurement === work.test));
const bits = computed(() => (proposal.value ? informativeText(proposal.value.bits) : ''));

watch(
  () => [work.test, work.readingId],
  async () => {
    await nextTick();
    root.value?.querySelector<HTMLInputElement>('.large input')?.focus();
    // In the thumb's reach: field and pad at the foot, what to do above them.
    if (narrow.value) root.value?.querySelector('.fields')?.scrollIntoView({ block: 'end' });
  },
  { immediate: true },
);
defineExpose({ focus: () => root.value?.querySelector<HTMLInputElement>('.large input')?.focus() });
</script>

<template>
  <section ref="root" class="sheet card" :aria-label="say.cardLabel" :data-card="work.test">
    <div class="how">
      <div v-if="siblings.length > 1" class="siblings" role="group" :aria-label="say.testList">
        <ActButton
          kind="bare"
          v-for="id in siblings"
          :key="id"
          :class="{ on: id === work.test }"
          :aria-current="id === work.test || undefined"
          @click="work.goTest(id)"
        >
          {{ measurementById(id).name }}
        </ActButton>
      </div>
      <div class="small-head">{{ [say.min(about.name, about.minutes), bits].filter(Boolean).join(' · ') }}</div>
      <h2>{{ about.title }}</h2>
      <ol>
        <li v-for="step in about.steps" :key="step">{{ step }}</li>
      </ol>
      <p v-if="about.caution" class="caution"><span aria-hidden="true">▲</span> {{ about.caution }}</p>
    </div>
    <div class="entry">
      <div
        v-if="taken.length > 1 || about.needs.length > 0 || taken.some((r) => r.voided)"
        class="taken"
        role="group"
        :aria-label="say.readingList"
      >
        <ActButton
          kind="bare"
          v-for="r in taken"
          :key="r.id"
          :class="{ on: r.id === work.readingId, voided: r.voided }"
          :aria-current="r.id === work.readingId || undefined"
          @click="work.goReading(r.id)"
        >
          {{ r.text || '—' }}
          <span v-if="readingConditionsText(r, preferences.temperatureUnit, job)">{{
            readingConditionsText(r, preferences.temperatureUnit, job)
          }}</span>
        </ActButton>
        <ActButton
          v-if="taken.length === 0 || about.needs.length > 0"
          kind="bare"
          :class="{ on: work.readingId === null }"
          @click="work.again('steady')"
        >
          {{ taken.length === 0 ? say.first : say.another }}
        </ActButton>
        <RepeatTap v-else kind="bare" :class="{ on: work.readingId === null }" @again="work.again($event)">
          {{ say.another }}
        </RepeatTap>
      </div>
      <slot>
        <CardEntry :key="work.test!" @next="work.goNext()" />
        <CardOutcome />
      </slot>
    </div>
  </section>
</template>

<style scoped>
.card {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 16px;
  padding: 10px 14px;
  overflow-y: auto;
  min-height: 0;
}
h2 {
  font-size: 1.1875rem;
  line-height: 1.2;
  margin: 1px 0 6px;
}
ol {
  margin: 0;
  padding-left: 20px;
}
li {
  padding: 1px 0;
}
.caution {
  margin-top: 7px;
  padding-top: 6px;
  border-top: 1px dashed var(--line-strong);
  font-size: 0.8438rem;
  color: var(--amber-ink);
}
.entry {
  display: flex;
  flex-direction: column;
  gap: 6px;
  min-width: 0;
}
.siblings {
  display: none;
}
.taken {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.siblings button,
.taken button {
  min-height: 32px;
  padding: 0 8px;
  border: 1px solid var(--line-strong);
  border-radius: 8px;
  background: var(--sheet);
  font: 0.8125rem var(--mono);
  cursor: pointer;
}
.taken span {
  font-family: var(--sans);
  color: var(--soft);
}
.siblings .on,
.taken .on {
  background: var(--spruce-soft);
  border-color: var(--spruce);
}
.taken .voided {
  text-decoration: line-through;
}
@media (pointer: coarse) {
  .siblings button,
  .taken button {
    min-height: 44px;
  }
}
@media (max-width: 67.5em) {
  .siblings {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin-bottom: 8px;
  }
  .siblings button {
    min-height: 44px;
  }
}
@media (max-width: 38.75em) {
  .card {
    grid-template-columns: minmax(0, 1fr);
    overflow: visible;
  }
  /* The line of the verdict stands over the foot of the page. */
  .entry :deep(.fields) {
    scroll-margin-bottom: 96px;
  }
  .siblings {
    flex-wrap: nowrap;
    overflow-x: auto;
  }
  .siblings button {
    flex: none;
    min-height: 48px;
  }
}
</style>
