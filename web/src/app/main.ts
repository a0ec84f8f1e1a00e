import '../browser/jitless.ts';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { createAppRouter, fetchAhead } from './router.ts';
import './theme.css';

/** The library's styles for this light and hand, on their way since `light.js`; where they do not come, the library works them out itself. */
const library = document.querySelector<HTMLLinkElement>('link#library');
const dressed = new Promise<void>((resolve) => {
  if (!library || library.sheet) resolve();
  else for (const end of ['load', 'error']) library.addEventListener(end, () => resolve());
});

const router = createAppRouter();
const app = createApp(App).use(createPinia()).use(router);
// What index.html shows stays until the first screen is at hand; where that cannot be fetched, the program says so.
void Promise.all([dressed, router.isReady().catch(() => undefined)])
  .then(() => app.mount('#app'))
  .then(fetchAhead);
