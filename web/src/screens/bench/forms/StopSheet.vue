<script setup lang="ts">
import { RUN_MAKES, stopsOf } from '@mellow-probe/core/loom/loomSchema';
import { stopName } from '@mellow-probe/core/wording/placeText';
import { computed } from 'vue';
import ActButton from '../../../components/base/ActButton.vue';
import PickList from '../../../components/base/PickList.vue';
import SideSheet from '../../../components/base/SideSheet.vue';
import TextField from '../../../components/base/TextField.vue';
import EntryField from '../../../components/EntryField.vue';
import WireSwatch from '../../../components/loom/WireSwatch.vue';
import { useSession } from '../../../session/jobSession.ts';
import HintChecks from './HintChecks.vue';

/** Everything of one stop of the loom and of the run that leaves it towards the sensor. */
const props = defineProps<{ index: number }>();
const open = defineModel<boolean>('open', { required: true });
const { job, verdict } = useSession();
const stops = computed(() => stopsOf(job.loom));
const stop = computed(() => stops.value[props.index]);
const isLast = computed(() => props.index === stops.value.length - 1);
const isOwn = computed(() => stop.value.kind === 'connector' || stop.value.kind === 'splice');
const KINDS = [
  { value: 'connector', label: 'connector' },
  { value: 'splice', label: 'splice (joint under tape)' },
] as const;
const MAKES = RUN_MAKES.map((value) => ({ value, label: value }));
const issue = (path: string) => verdict.issues.get(`loom.${stop.value.id}.${path}`);
const WIRES = ['signal', 'return'] as const;

function remove(): void {
  open.value = false;
  job.loom.stops = job.loom.stops.filter((s) => s.id !== stop.value.id);
}
</script>

<template>
  <SideSheet v-model:open="open" :title="stop ? stopName(stop, index) : ''" :width="480">
    <div v-if="stop" class="form">
      <PickList v-if="isOwn" v-model="stop.kind" label="Kind" :options="KINDS" />
      <TextField v-model="stop.name" label="Name" :maxlength="400" placeholder="as in the diagram: C2" />
      <TextField v-model="stop.where" label="Where it is" :maxlength="400" placeholder="behind the day tank" />
      <div class="pair">
        <EntryField
          v-model="stop.minutes"
          label="Minutes to get at it"
          quantity="number"
          :issue="issue('minutes')"
          placeholder="as usual"
        />
        <TextField
          v-model="stop.opening"
          label="Laid open together with"
          :maxlength="400"
          placeholder="same word, one go"
        />
      </div>
      <div class="pair">
        <TextField
          v-for="wire in WIRES"
          :key="wire"
          v-model="stop.pins[wire]"
          :label="`Pin, ${wire}`"
          :maxlength="400"
        />
      </div>
      <HintChecks v-model="stop.hints" title="What is known of this place" />
      <template v-if="!isLast">
        <h3>Run to {{ stopName(stops[index + 1], index + 1) }}</h3>
        <div class="pair">
          <EntryField v-model="stop.run.lengthM" label="Length, m" quantity="number" :issue="issue('lengthM')" />
          <EntryField
            v-model="stop.run.areaMm2"
            label="Wire, mm²"
            quantity="number"
            :issue="issue('areaMm2')"
            placeholder="0.75"
          />
        </div>
        <div class="pair">
          <div v-for="wire in WIRES" :key="wire">
            <TextField
              v-model="stop.run.colours[wire]"
              :label="`Colour, ${wire}`"
              :maxlength="400"
              placeholder="green-white, GN/WH"
            />
            <WireSwatch :colours="stop.run.colours[wire]" />
          </div>
        </div>
        <PickList v-model="stop.run.make" label="Make" :options="MAKES" />
        <HintChecks v-model="stop.run.hints" title="What is known of this run" />
      </template>
      <ActButton v-if="isOwn" kind="grave" @click="remove">Take out of the loom</ActButton>
    </div>
  </SideSheet>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 12px;
}
h3 {
  font-size: 15px;
}
</style>
