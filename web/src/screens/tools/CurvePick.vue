<script setup lang="ts">
import { curvePickWords as say } from '@mellow-probe/core/wording/screens/shelfCurves';
import PickList from '../../components/base/PickList.vue';
import { computed } from 'vue';

import { usePreferences } from '../../data/stores/preferences.ts';
import { curveLine } from '@mellow-probe/core/wording/catalogueFacts';
import { useCurves } from '../../session/curves.ts';

/** A curve of the shelf, the user's own first. */
const chosen = defineModel<string>({ required: true });
withDefaults(defineProps<{ label?: string }>(), { label: say.curve });
const curves = useCurves();
const preferences = usePreferences();
const groups = computed(() => {
  const of = (own: boolean) =>
    curves.all
      .filter((c) => c.own === own)
      .map((c) => ({ value: c.id, label: c.name, about: curveLine(c.model, preferences.temperatureUnit) }));
  return [
    { label: say.own, options: of(true) },
    { label: say.generic, options: of(false) },
  ].filter((g) => g.options.length > 0);
});
const shown = computed({ get: () => curves.byId(chosen.value).id, set: (id) => (chosen.value = id) });
</script>

<template>
  <PickList v-model="shown" :label="label" :groups="groups" />
</template>
