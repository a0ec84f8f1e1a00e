import '../browser/jitless.ts';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { createAppRouter, fetchAhead } from './router.ts';
import './theme.css';

createApp(App).use(createPinia()).use(createAppRouter()).mount('#app');
void fetchAhead();
