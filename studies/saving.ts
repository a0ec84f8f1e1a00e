// From a key to "Saved", against a bare write of the same record in the same run, in headless Chromium on the built page. Part of `npm run bench`.
// `npx tsx studies/saving.ts [keys, 60]` (after `npm run build`)
import { chromium } from '@playwright/test';
import { CHROMIUM, servePage } from '../scripts/builtPage.ts';

const keys = Number(process.argv[2] ?? 60);
const { url, stop } = await servePage(4195);
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(`${url}/`);
await page.getByRole('button', { name: /Start the first check/ }).click();
await page.getByLabel('Thermometer').fill('12');
await page.getByLabel('Ohms, sensor').fill('3.6k');
await page.getByLabel('Volts unplugged').fill('5.01');
await page.locator('[data-test="save-state"]', { hasText: 'Saved' }).waitFor();
await page.waitForTimeout(3000);

const middle = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
const measured = await page.evaluate(async (count) => {
  const database = await new Promise<IDBDatabase>((resolve, reject) => {
    const request = indexedDB.open('mellow-probe');
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => reject(new Error('no database'));
  });
  const record: unknown = await new Promise((resolve) => {
    const all = database.transaction('jobs').objectStore('jobs').getAll();
    all.onsuccess = () => resolve(all.result[0]);
  });
  const state = document.querySelector('[data-test="save-state"]')!;
  const input = document.querySelector<HTMLInputElement>('[data-measurement="loaded-voltage"] input')!;
  const saved: number[] = [];
  const bare: number[] = [];
  for (let i = 0; i < count; i++) {
    bare.push(
      await new Promise<number>((resolve) => {
        const at = performance.now();
        const writing = database.transaction('jobs', 'readwrite');
        writing.objectStore('jobs').put(record, 'bare write of the measurement');
        writing.oncomplete = () => resolve(performance.now() - at);
      }),
    );
    await new Promise((resolve) => setTimeout(resolve, 150));
    const at = performance.now();
    input.value = (2 + i / 50).toFixed(2);
    input.dispatchEvent(new Event('input', { bubbles: true }));
    saved.push(
      await new Promise<number>((resolve) => {
        let began = false;
        const watcher = new MutationObserver(() => {
          if (state.textContent !== 'Saved') began = true;
          else if (began) {
            watcher.disconnect();
            resolve(performance.now() - at);
          }
        });
        watcher.observe(state, { childList: true, subtree: true, characterData: true });
      }),
    );
    await new Promise((resolve) => setTimeout(resolve, 150));
  }
  const cleaning = database.transaction('jobs', 'readwrite');
  cleaning.objectStore('jobs').delete('bare write of the measurement');
  database.close();
  return { saved, bare };
}, keys);
console.log(
  `key to saved: median ${middle(measured.saved).toFixed(0)} ms of ${keys}, slowest ${Math.max(...measured.saved).toFixed(0)} (bar: 60); a bare write ${middle(measured.bare).toFixed(0)} ms; ratio ${(middle(measured.saved) / middle(measured.bare)).toFixed(1)} (bar: 2)`,
);
await browser.close();
stop();
