<script setup lang="ts">
import { beliefFormWords as say } from '@mellow-probe/core/wording/screens/trainPlay';
import { formatProbability } from '@mellow-probe/core/base/units/format';
import { FAULT_GROUPS, type FaultGroup } from '@mellow-probe/core/base/units/vocabulary';
import { groupName } from '@mellow-probe/core/wording/groupName';
import { computed, ref } from 'vue';
import ActButton from '../../components/base/ActButton.vue';
import ChoiceRow from '../../components/base/ChoiceRow.vue';
import FoldOut from '../../components/base/FoldOut.vue';
import PickList from '../../components/base/PickList.vue';
import SlideBar from '../../components/base/SlideBar.vue';

/** How likely the learner holds each group: one and how sure, or each by itself. */
const emit = defineEmits<{ say: [shares: Partial<Record<FaultGroup, number>>] }>();
const groups = FAULT_GROUPS.map((value) => ({ value, label: groupName(value) }));
const leader = ref<FaultGroup | undefined>();
const sure = ref<number | undefined>(70);
const SURES = [40, 55, 70, 90, 99].map((value) => ({ value, label: `${value} %` }));
const each = ref(Object.fromEntries(FAULT_GROUPS.map((g) => [g, 1])) as Record<FaultGroup, number>);
const total = computed(() => FAULT_GROUPS.reduce((sum, g) => sum + each.value[g], 0));
/** The rest is spread over the others alike. */
function quick(): void {
  const p = sure.value! / 100;
  const rest = (1 - p) / (FAULT_GROUPS.length - 1);
  emit('say', Object.fromEntries(FAULT_GROUPS.map((g) => [g, g === leader.value ? p : rest])));
  each.value = Object.fromEntries(
    FAULT_GROUPS.map((g) => [g, Math.round(100 * (g === leader.value ? p : rest))]),
  ) as Record<FaultGroup, number>;
}
function sayEach(): void {
  emit('say', Object.fromEntries(FAULT_GROUPS.map((g) => [g, each.value[g] / total.value])));
}
</script>

<template>
  <div class="belief">
    <div class="quick">
      <PickList v-model="leader" :label="say.label" :prompt="say.aGroup" :options="groups" />
      <ChoiceRow v-model="sure" :label="say.howSure" :options="SURES" />
      <ActButton :disabled="!leader || sure === undefined" @click="quick">{{ say.saySo }}</ActButton>
    </div>
    <FoldOut :title="say.eachByItself">
      <SlideBar
        v-for="g in FAULT_GROUPS"
        :key="g"
        v-model="each[g]"
        class="one-group"
        :label="groupName(g)"
        :text="total > 0 ? formatProbability(each[g] / total) : '–'"
        :low="0"
        :high="100"
        :step="1"
      />
      <ActButton :disabled="total === 0" @click="sayEach">{{ say.sayThese }}</ActButton>
    </FoldOut>
  </div>
</template>

<style scoped>
.quick {
  display: flex;
  flex-direction: column;
  gap: 4px;
  align-items: stretch;
}
.quick > :last-child {
  align-self: flex-start;
}
.one-group.one-group {
  grid-template-columns: 118px minmax(60px, 1fr) 48px;
}
</style>
