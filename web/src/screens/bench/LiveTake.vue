<script setup lang="ts">
import { liveTakeWords as say } from '@mellow-probe/core/wording/screens/bench';
import { evidenceFigure } from '@mellow-probe/core/check/job/logEvidence';
import type { Measurement } from '@mellow-probe/core/circuit/measurements/measurement';
import { standStillText } from '@mellow-probe/core/wording/liveText';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import CheckBox from '../../components/base/CheckBox.vue';
import PickList from '../../components/base/PickList.vue';
import { useLive } from '../../data/stores/live/live.ts';
import { usePreferences } from '../../data/stores/preferences.ts';

/** The live value for the card in hand: taken by tap, by key or foot switch, or when it stands still. */
const props = defineProps<{ measurement: Measurement }>();
const emit = defineEmits<{ take: [text: string] }>();
const live = useLive();
const preferences = usePreferences();
const picked = ref<string>();
const whenStill = ref(false);
const learning = ref(false);
/** Taken once from where it stands: the next is taken only after it has moved. */
const taken = ref(false);

const fitting = computed(
  () => (void live.beat, [...live.channels.values()].filter((c) => c.channel.quantity === props.measurement.quantity)),
);
const own = computed(
  () =>
    fitting.value.find((c) => c.channel.id === picked.value) ??
    fitting.value.find((c) => c.instrument !== 'thermometer' && /coolant/i.test(c.channel.name)) ??
    fitting.value.find((c) => c.instrument !== 'thermometer') ??
    fitting.value[0],
);
const still = computed(() => (void live.beat, own.value ? { ...own.value.still } : null));
const last = computed(() => (void live.beat, own.value?.recent[own.value.recent.length - 1]));
const shown = computed(() => (last.value ? figure(last.value.value) : '—'));
const figure = (v: number): string => evidenceFigure(v === Infinity ? 'OL' : v, props.measurement.quantity);

function take(): void {
  // What stands is better than its last value.
  const value = still.value?.still ? still.value.value : last.value?.value;
  if (value === undefined) return;
  taken.value = true;
  emit('take', figure(value));
}
watch(
  () => still.value?.still ?? false,
  (stands) => {
    if (!stands) taken.value = false;
    else if (whenStill.value && !taken.value) take();
  },
);
watch([() => props.measurement.id, () => own.value?.channel.id], () => (taken.value = true));
/** The key works in the field, too: a foot switch knows nothing of fields. */
function onKey(event: KeyboardEvent): void {
  if (learning.value) {
    event.preventDefault();
    if (event.key !== 'Escape') preferences.takeKey = event.key;
    learning.value = false;
  } else if (event.key === preferences.takeKey && own.value) {
    event.preventDefault();
    take();
  }
}
onMounted(() => window.addEventListener('keydown', onKey, true));
onBeforeUnmount(() => window.removeEventListener('keydown', onKey, true));
const keyName = computed(() => (preferences.takeKey === ' ' ? say.space : preferences.takeKey));
</script>

<template>
  <div v-if="own" class="take" data-test="live-take">
    <PickList
      v-if="fitting.length > 1"
      :model-value="own.channel.id"
      :label="say.live"
      hide-label
      :options="fitting.map((c) => ({ value: c.channel.id, label: c.channel.name }))"
      @update:model-value="picked = $event"
    />
    <span v-else class="name">{{ own.channel.name }}</span>
    <b class="mono">{{ shown }}</b>
    <span class="says" :class="{ still: still?.still }">{{
      still && standStillText(still, measurement.quantity, preferences.temperatureUnit)
    }}</span>
    <ActButton @click="take"
      >{{ say.takeIt }} <kbd>{{ keyName }}</kbd></ActButton
    >
    <CheckBox v-model="whenStill">{{ say.whenItStands }}</CheckBox>
    <ActButton kind="quiet" @click="learning = !learning">{{ learning ? say.awaitingKey : say.otherKey }}</ActButton>
  </div>
</template>

<style scoped>
.take {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  padding: 4px 10px;
  border: 1px dashed var(--line-strong);
  border-radius: 9px;
}
.take > :first-child {
  flex: 0 1 150px;
}
b {
  font-size: 1.125rem;
}
.says {
  font-size: 0.8125rem;
  color: var(--soft);
}
.still {
  color: var(--moss-ink);
}
@media (pointer: coarse) {
  kbd {
    display: none;
  }
}
</style>
