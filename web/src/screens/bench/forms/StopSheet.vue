<script setup lang="ts">
import { stopSheetWords as say } from '@mellow-probe/core/wording/screens/benchHarness';
import { RUN_MAKES, stopsOf } from '@mellow-probe/core/circuit/harness/harnessSchema';
import { stopName } from '@mellow-probe/core/wording/placeText';
import { computed } from 'vue';
import ActButton from '../../../components/base/ActButton.vue';
import PickList from '../../../components/base/PickList.vue';
import SideSheet from '../../../components/base/SideSheet.vue';
import TextField from '../../../components/base/TextField.vue';
import EntryField from '../../../components/EntryField.vue';
import WireSwatch from '../../../components/harness/WireSwatch.vue';
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
  { value: 'connector', label: say.connector },
  { value: 'splice', label: say.splice },
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
      <PickList v-if="isOwn" v-model="stop.kind" :label="say.kind" :options="KINDS" />
      <TextField v-model="stop.name" :label="say.name" :maxlength="400" :placeholder="say.nameHint" />
      <TextField v-model="stop.where" :label="say.whereItIs" :maxlength="400" :placeholder="say.whereHint" />
      <div class="pair">
        <EntryField
          v-model="stop.minutes"
          :label="say.accessMinutes"
          quantity="number"
          :issue="issue('minutes')"
          :placeholder="say.asUsual"
        />
        <TextField v-model="stop.opening" :label="say.openedWith" :maxlength="400" :placeholder="say.openedWithHint" />
      </div>
      <div class="pair">
        <TextField
          v-for="wire in WIRES"
          :key="wire"
          v-model="stop.pins[wire]"
          :label="say.pin(wire)"
          :maxlength="400"
        />
      </div>
      <HintChecks v-model="stop.hints" :title="say.knownOfPlace" />
      <template v-if="!isLast">
        <h3>{{ say.runTo(stopName(stops[index + 1], index + 1)) }}</h3>
        <div class="pair">
          <EntryField v-model="stop.run.lengthM" :label="say.lengthM" quantity="number" :issue="issue('lengthM')" />
          <EntryField
            v-model="stop.run.areaMm2"
            :label="say.wireMm"
            quantity="number"
            :issue="issue('areaMm2')"
            placeholder="0.75"
          />
        </div>
        <div class="pair">
          <div v-for="wire in WIRES" :key="wire">
            <TextField
              v-model="stop.run.colours[wire]"
              :label="say.colour(wire)"
              :maxlength="400"
              :placeholder="say.colourHint"
            />
            <WireSwatch :colours="stop.run.colours[wire]" />
          </div>
        </div>
        <PickList v-model="stop.run.make" :label="say.make" :options="MAKES" />
        <HintChecks v-model="stop.run.hints" :title="say.knownOfWire" />
      </template>
      <ActButton v-if="isOwn" kind="grave" @click="remove">{{ say.remove }}</ActButton>
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
  font-size: 0.9375rem;
}
</style>
