<script setup lang="ts">
import { circuitChoiceWords as say } from '@mellow-probe/core/wording/screens/bench';
import PickList from '../../components/base/PickList.vue';
import ActButton from '../../components/base/ActButton.vue';
import { CATALOGUE_CIRCUITS } from '@mellow-probe/core/catalogue/parts/circuits';
import { CATALOGUE_CURVES, catalogueCurve } from '@mellow-probe/core/catalogue/parts/curves';
import { circuitLine, curveLine } from '@mellow-probe/core/wording/catalogueFacts';
import { curveModel, TYPED_FORMS, typedForm } from '@mellow-probe/core/circuit/curves/curve';
import type { CurveChoice } from '@mellow-probe/core/check/job/jobSchema';
import { blank } from '@mellow-probe/core/base/units/entry';
import { circuitFromCatalogue } from '@mellow-probe/core/check/job/newJob';
import { computed } from 'vue';
import EntryField from '../../components/EntryField.vue';

import { usePreferences } from '../../data/stores/preferences.ts';
import { useSession } from '../../session/jobSession.ts';

/** Which circuit this is and which curve its sensor has: from the catalogue, or typed. */
const emit = defineEmits<{ details: [] }>();
const { job, verdict } = useSession();
const preferences = usePreferences();
const circuit = computed(() => job.circuit);

const fields = { engine: say.engines, climate: say.climateSystems, boiler: say.boilers } as const;
const circuits = computed(() =>
  Object.entries(fields).map(([field, label]) => ({
    label,
    options: CATALOGUE_CIRCUITS.filter((c) => c.field === field).map((c) => ({
      value: c.id,
      label: c.name,
      about: circuitLine(c, preferences.temperatureUnit),
    })),
  })),
);
const chosenCircuit = computed(() => CATALOGUE_CIRCUITS.find((c) => c.name === circuit.value.name)?.id);

function chooseCircuit(id: string): void {
  const entry = CATALOGUE_CIRCUITS.find((c) => c.id === id);
  if (!entry) return;
  job.circuit = circuitFromCatalogue(entry);
  job.field = entry.field;
}

const curves = computed(() => [
  ...(circuit.value.curve.source === 'given'
    ? [{ label: say.fromTheFile, options: [{ value: 'given', label: circuit.value.curve.name }] }]
    : []),
  {
    label: say.typed,
    options: [
      ...TYPED_FORMS.map((f) => ({ value: typedId(f.kind, f.id), label: f.name })),
      { value: 'points', label: say.curvePoints },
      { value: 'band', label: say.bandNtc },
      { value: 'band ptc', label: say.bandPtc },
      { value: 'unknown', label: say.curveUnknown },
    ],
  },
  {
    label: say.catalogue,
    options: CATALOGUE_CURVES.map((c) => ({
      value: c.id,
      label: c.name,
      about: curveLine(curveModel(c.curve), preferences.temperatureUnit),
    })),
  },
]);
/** The figures of a curve that is typed by its kind. */
const typed = computed(() => {
  const { curve } = circuit.value;
  return curve.source === 'typed' ? { curve, figures: typedForm(curve.kind, curve.form)!.figures } : null;
});
/** The first line of a specification; a second one stands under More… */
const band = computed(() => (circuit.value.curve.source === 'band' ? (circuit.value.curve.bands[0] ?? null) : null));
const chosenCurve = computed(() => {
  const { curve } = circuit.value;
  if (curve.source === 'typed') return typedId(curve.kind, curve.form);
  if (curve.source === 'band') return curve.slope === 'ptc' ? 'band ptc' : 'band';
  return curve.source === 'catalogue' ? (catalogueCurve(curve.id)?.id ?? curve.id) : curve.source;
});
function typedId(kind: string, form: string): string {
  return `typed ${kind} ${form}`;
}
function choiceOf(id: string): CurveChoice {
  const form = TYPED_FORMS.find((f) => typedId(f.kind, f.id) === id);
  if (form) {
    const figures = Object.fromEntries(form.figures.map((f) => [f.key, blank()]));
    return { source: 'typed', kind: form.kind, form: form.id, figures };
  }
  switch (id) {
    case 'points':
      return {
        source: 'points',
        points: Array.from({ length: 3 }, () => ({ temperatureC: blank(), resistanceOhm: blank() })),
      };
    case 'band':
    case 'band ptc':
      return {
        source: 'band',
        slope: id === 'band ptc' ? 'ptc' : 'ntc',
        bands: [{ temperatureC: { text: '20 °C', value: 20 }, resistanceOhm: blank() }],
      };
    case 'unknown':
      return { source: 'unknown' };
    default:
      return { source: 'catalogue', id };
  }
}
function chooseCurve(id: string): void {
  if (id === 'given') return;
  circuit.value.curve = choiceOf(id);
  if (id === 'points') emit('details');
}
</script>

<template>
  <div class="choice">
    <PickList
      class="wide"
      :label="say.circuit"
      :groups="circuits"
      :model-value="chosenCircuit"
      @update:model-value="chooseCircuit"
    />
    <PickList
      :class="typed || band ? 'short' : 'wide'"
      :label="say.sensorCurve"
      :groups="curves"
      :model-value="chosenCurve"
      @update:model-value="chooseCurve"
    />
    <template v-if="typed">
      <EntryField
        v-for="f in typed.figures"
        :key="f.key"
        class="narrow"
        :label="f.name"
        :quantity="f.quantity"
        :model-value="typed.curve.figures[f.key] ?? blank()"
        :issue="verdict.issues.get(`circuit.curve.figures.${f.key}`)"
        @update:model-value="typed.curve.figures[f.key] = $event"
      />
    </template>
    <template v-if="band">
      <EntryField
        class="narrow"
        :label="say.ohmsFromTo"
        quantity="ohm-band"
        placeholder="2–3 k"
        v-model="band.resistanceOhm"
        :issue="verdict.issues.get('circuit.curve.bands.0.resistanceOhm')"
      />
      <EntryField
        class="narrow"
        :label="say.at"
        quantity="told-celsius"
        v-model="band.temperatureC"
        :issue="verdict.issues.get('circuit.curve.bands.0.temperatureC')"
      />
    </template>
    <ActButton class="details" @click="$emit('details')">{{ say.more }}</ActButton>
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  gap: 8px;
  align-items: flex-start;
}
.wide {
  flex: 1 1 40%;
}
.short {
  flex: 1 1 22%;
}
.narrow {
  flex: 0 1 118px;
}
.details {
  margin-top: 20px;
  min-height: 42px;
  padding: 0 12px;
}
@media (max-width: 43.75em) {
  .choice {
    flex-wrap: wrap;
    row-gap: 0;
  }
  .details {
    width: 100%;
    min-height: 48px;
    margin: 8px 0 6px;
  }
}
</style>
