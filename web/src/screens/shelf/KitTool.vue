<script setup lang="ts">
import KitForm from '../../components/KitForm.vue';
import { useKit } from '../../session/kit.ts';

/** The technician's own kit: new checks start with a copy of it. */
const kit = useKit();
</script>

<template>
  <p class="soft">
    Nobody has to fill this in: an empty field means a common instrument. New checks start with a copy; a check keeps
    the kit it was measured with.
  </p>
  <p v-if="kit.fault" class="told odd" role="alert">Not kept: the browser’s storage is {{ kit.fault }}.</p>
  <KitForm v-model="kit.kit" />
</template>
