<script setup lang="ts">
import ConfigProvider from 'ant-design-vue/es/config-provider';
import { libraryTheme } from './tokens.ts';

/** What goes on paper is light, whatever the screen is. */
const theme = libraryTheme(false, false, true);
</script>

<template>
  <ConfigProvider :theme="theme" :wave="{ disabled: true }"><slot /></ConfigProvider>
</template>
