<script setup lang="ts">
import PickList from '../../components/base/PickList.vue';
import { computed } from 'vue';

import { usePreferences } from '../../stores/preferences.ts';
import { curveLine } from '@mellow-probe/core/wording/catalogueFacts';
import { useCurves } from '../../session/curves.ts';

/** A curve of the shelf, the user's own first. */
const chosen = defineModel<string>({ required: true });
withDefaults(defineProps<{ label?: string }>(), { label: 'Curve' });
const curves = useCurves();
const preferences = usePreferences();
const groups = computed(() => {
  const of = (own: boolean) =>
    curves.all
      .filter((c) => c.own === own)
      .map((c) => ({ value: c.id, label: c.name, about: curveLine(c.model, preferences.temperatureUnit) }));
  return [
    { label: 'Own', options: of(true) },
    { label: 'Generic', options: of(false) },
  ].filter((g) => g.options.length > 0);
});
const shown = computed({ get: () => curves.byId(chosen.value).id, set: (id) => (chosen.value = id) });
</script>

<template>
  <PickList v-model="shown" :label="label" :groups="groups" />
</template>
