import '../browser/jitless.ts';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { inTurns } from '../browser/turns.ts';
import { createAppRouter, fetchAhead } from './router.ts';
import './theme.css';

/** The style sheets on their way since `light.js`. Where the library's does not come, the library works its styles out itself. */
const dressed = [...document.querySelectorAll<HTMLLinkElement>('head > link[rel="stylesheet"]')]
  .filter((link) => !('ended' in link.dataset))
  .map((link) => new Promise((end) => ['load', 'error'].forEach((how) => link.addEventListener(how, end))));

const router = createAppRouter();
const app = createApp(App).use(createPinia()).use(router);
// What index.html shows stays, and covers the page, until the first screen is there; where that cannot be fetched, the program says so.
void Promise.all([...dressed, router.isReady().catch(() => undefined)])
  .then(() => inTurns(() => app.mount('#app')))
  .then(() => {
    document.querySelector('body > .first')?.remove();
    document.querySelector('#app')?.removeAttribute('inert');
    // For `light.js`, which has kept what was pressed meanwhile.
    window.dispatchEvent(new Event('begun'));
  })
  .then(fetchAhead);
