<script setup lang="ts">
import { dueOf, jobStateOf } from '@mellow-probe/core/job/jobList';
import type { Job } from '@mellow-probe/core/job/jobSchema';
import { groupName } from '@mellow-probe/core/wording/groupName';
import dayjs from 'dayjs';
import { computed } from 'vue';

/** One line of the ledger. */
const props = defineProps<{ job: Job; today: string; homeless?: boolean }>();
defineEmits<{ copy: []; like: []; export: []; archive: []; remove: [] }>();
const FIELDS = { engine: 'Engine', climate: 'Climate', boiler: 'Boiler' } as const;
const STATES = { measuring: '○ measuring', decided: '◐ decided', repaired: '◐ repaired', closed: '● closed' } as const;
const count = computed(() => props.job.readings.filter((r) => r.value !== null && !r.voided).length);
const state = computed(() => jobStateOf(props.job));
const due = computed(() => dueOf(props.job, props.today));
const line = computed(() => props.job.complaint.text || props.job.note);
</script>

<template>
  <tr data-test="job">
    <td class="what">
      <RouterLink class="open" :to="`/check/${job.id}`">{{ job.title || 'Untitled check' }}</RouterLink>
      <div class="soft">
        {{ FIELDS[job.field] }}<template v-if="line"> · {{ line }}</template>
      </div>
      <div v-if="homeless" class="due">◆ not kept: only in this window</div>
      <div v-if="due.standIn" class="due">◆ temporary stand-in still fitted</div>
      <div v-if="due.open > 0" :class="due.due > 0 ? 'due' : 'soft'">
        {{ due.due > 0 ? '◆' : '○' }} {{ due.open }} follow-up{{ due.open > 1 ? 's' : '' }}, next {{ due.next }}
      </div>
    </td>
    <td class="decided">
      <div>{{ job.decision ? groupName(job.decision.group) : '—' }}</div>
      <div class="soft state">{{ STATES[state] }}{{ job.closed?.how === 'unproved' ? ', no proof' : '' }}</div>
    </td>
    <td class="soft circuit">{{ job.circuit.name }}</td>
    <td class="mono count">{{ count }}<span class="word"> readings</span></td>
    <td class="mono when">{{ dayjs(job.updatedAt).format('YYYY-MM-DD HH:mm') }}</td>
    <td class="acts">
      <RouterLink class="act quiet" :to="`/check/${job.id}/report`">Report</RouterLink>
      <details>
        <summary class="act quiet" :aria-label="`More for ${job.title || 'untitled check'}`">More ▾</summary>
        <div class="menu sheet">
          <button class="act quiet" type="button" @click="$emit('copy')">Copy</button>
          <button class="act quiet" type="button" @click="$emit('like')">New check like this</button>
          <button class="act quiet" type="button" @click="$emit('export')">Export</button>
          <button class="act quiet" type="button" @click="$emit('archive')">
            {{ job.archivedAt ? 'Take out of the archive' : 'Archive' }}
          </button>
        </div>
      </details>
      <button class="act quiet" type="button" @click="$emit('remove')">Delete</button>
    </td>
  </tr>
</template>

<style scoped>
td {
  padding: 8px 12px;
  border-top: 1px solid var(--line);
  vertical-align: middle;
}
.open {
  display: inline-flex;
  align-items: center;
  min-height: 32px;
  font-weight: 600;
  font-size: 16px;
  color: var(--spruce);
}
.soft {
  font-size: 13px;
  max-width: 46ch;
}
.state {
  white-space: nowrap;
}
.due {
  font-size: 13px;
  font-weight: 600;
  color: var(--amber-ink);
}
.when {
  font-size: 13px;
  white-space: nowrap;
}
.acts {
  text-align: right;
  white-space: nowrap;
}
details {
  display: inline-block;
  position: relative;
}
summary {
  list-style: none;
}
summary::-webkit-details-marker {
  display: none;
}
.menu {
  position: absolute;
  right: 0;
  z-index: 3;
  display: flex;
  flex-direction: column;
  padding: 4px;
}
.menu .act {
  justify-content: flex-start;
}
.word {
  display: none;
}
@media (max-width: 700px) {
  tr {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 2px 12px;
    margin-bottom: 10px;
    padding: 10px 14px;
    border: 1px solid var(--line);
    border-radius: 12px;
    background: var(--sheet);
  }
  td {
    padding: 0;
    border: 0;
  }
  .what {
    grid-column: 1;
  }
  .what .open {
    min-height: 48px;
    font-size: 17px;
  }
  .decided {
    grid-column: 2;
    grid-row: 1;
    padding-top: 10px;
    text-align: right;
  }
  .circuit,
  .acts {
    grid-column: 1 / -1;
  }
  .count,
  .when {
    padding-top: 2px;
    font-size: 13px;
    color: var(--soft);
  }
  .when {
    text-align: right;
  }
  .word {
    display: inline;
  }
  .acts {
    display: flex;
    justify-content: space-between;
    margin: 4px -10px -6px;
  }
  .acts .act {
    min-height: 48px;
  }
  .menu {
    right: auto;
    left: -60px;
  }
}
</style>
