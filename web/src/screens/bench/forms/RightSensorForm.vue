<script setup lang="ts">
import { identifyPlugs } from '@mellow-probe/core/rightSensor/identifyPlugs';
import { plugText } from '@mellow-probe/core/wording/plugText';
import { computed } from 'vue';
import { newId } from '../../../browser/newId.ts';
import { useSession } from '../../../session/jobSession.ts';
import FormSheet from './FormSheet.vue';

/** Which plug is which value: pull (or bridge) one at a time and note what moved. */
const { job } = useSession();
const record = computed(() => job.rightSensor);
const map = computed(() => identifyPlugs(record.value));
const lines = computed(() => plugText(record.value, map.value));

function trialOf(plugId: string) {
  return record.value.trials.find((t) => t.plugId === plugId);
}
function tried(plugId: string, movedId: string): void {
  const rest = record.value.trials.filter((t) => t.plugId !== plugId);
  if (movedId === '') record.value.trials = rest;
  else
    record.value.trials = [
      ...rest,
      { id: newId(), plugId, how: trialOf(plugId)?.how ?? 'unplugged', movedId: movedId === 'none' ? null : movedId },
    ];
}
function how(plugId: string, value: string): void {
  const trial = trialOf(plugId);
  if (trial) trial.how = value as 'unplugged' | 'bridged';
}
function removePlug(id: string): void {
  record.value.plugs = record.value.plugs.filter((p) => p.id !== id);
  record.value.trials = record.value.trials.filter((t) => t.plugId !== id);
  if (record.value.measuredPlugId === id) record.value.measuredPlugId = null;
}
function removeValue(id: string): void {
  record.value.values = record.value.values.filter((v) => v.id !== id);
  record.value.trials = record.value.trials.filter((t) => t.movedId !== id);
  if (record.value.wantedValueId === id) record.value.wantedValueId = null;
}
</script>

<template>
  <FormSheet
    title="The right sensor"
    purpose="Machines carry look-alikes: gauge sender and controller sensor, coolant 1 and 2, three exhaust sensors. Pull one plug, see which value jumps."
  >
    <p class="caution">
      ▲ Key on, engine off. A bridge only across the two cavities of an identified sensor plug; never airbag or
      high-voltage plugs. Hot exhaust: let it cool.
    </p>
    <div class="lists">
      <div>
        <h3>Displayed values</h3>
        <div v-for="v in record.values" :key="v.id" class="item">
          <input
            v-model="v.name"
            class="text"
            aria-label="Name of a displayed value"
            maxlength="400"
            placeholder="as the scan tool names it"
          />
          <label class="pick"
            ><input
              type="radio"
              name="wanted"
              :checked="record.wantedValueId === v.id"
              @change="record.wantedValueId = v.id"
            />complained of</label
          >
          <button class="act quiet" type="button" :aria-label="`Remove ${v.name}`" @click="removeValue(v.id)">✕</button>
        </div>
        <button
          class="act"
          type="button"
          :disabled="record.values.length >= 12"
          @click="record.values.push({ id: newId(), name: '' })"
        >
          Add a value
        </button>
      </div>
      <div>
        <h3>Plugs</h3>
        <div v-for="p in record.plugs" :key="p.id" class="item">
          <input
            v-model="p.name"
            class="text"
            aria-label="Name of a plug"
            maxlength="400"
            placeholder="where it sits, its colour"
          />
          <label class="pick"
            ><input
              type="radio"
              name="measured"
              :checked="record.measuredPlugId === p.id"
              @change="record.measuredPlugId = p.id"
            />measured here</label
          >
          <button class="act quiet" type="button" :aria-label="`Remove ${p.name}`" @click="removePlug(p.id)">✕</button>
        </div>
        <button
          class="act"
          type="button"
          :disabled="record.plugs.length >= 12"
          @click="record.plugs.push({ id: newId(), name: '' })"
        >
          Add a plug
        </button>
      </div>
    </div>
    <div v-if="record.plugs.length > 0 && record.values.length > 0">
      <h3>What moved</h3>
      <table>
        <tbody>
          <tr v-for="p in record.plugs" :key="p.id" :class="{ next: map.next === p.id }">
            <th scope="row">
              {{ p.name || 'unnamed plug' }}<span v-if="map.next === p.id" class="soft"> · pull this next</span>
            </th>
            <td>
              <select
                :value="trialOf(p.id)?.how ?? 'unplugged'"
                :aria-label="`How ${p.name} was tried`"
                :disabled="!trialOf(p.id)"
                @change="how(p.id, ($event.target as HTMLSelectElement).value)"
              >
                <option value="unplugged">unplugged</option>
                <option value="bridged">bridged</option>
              </select>
            </td>
            <td>
              <select
                :value="trialOf(p.id) ? (trialOf(p.id)!.movedId ?? 'none') : ''"
                :aria-label="`What moved with ${p.name}`"
                @change="tried(p.id, ($event.target as HTMLSelectElement).value)"
              >
                <option value="">not tried</option>
                <option v-for="v in record.values" :key="v.id" :value="v.id">{{ v.name || 'unnamed value' }}</option>
                <option value="none">nothing moved</option>
              </select>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-for="l in lines" :key="l.text" :class="['told', { odd: l.odd }]" data-test="plug-told">{{ l.text }}</p>
  </FormSheet>
</template>

<style scoped>
.lists {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(440px, 1fr));
  gap: 18px;
}
.item {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 8px;
  align-items: center;
  margin-bottom: 6px;
}
.pick {
  display: flex;
  gap: 6px;
  align-items: center;
  min-height: 44px;
  font-size: 13px;
}
.pick input {
  width: 20px;
  height: 20px;
  accent-color: var(--spruce);
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: left;
  font-weight: 500;
}
td,
th {
  padding: 4px 8px 4px 0;
  border-top: 1px solid var(--line);
}
.next th {
  font-weight: 600;
}
</style>
