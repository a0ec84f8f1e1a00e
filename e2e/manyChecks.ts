import type { Page } from '@playwright/test';
import { newJob } from '../core/src/check/job/newJob.ts';

/**
 * Fills the browser's store of the page's workshop with made-up checks, behind the program's back, as an earlier version would have left them.
 * The store must be there: the page has shown its ledger.
 */
export async function fillLedger(page: Page, count: number): Promise<void> {
  const job = newJob('many', '2026-01-01T00:00:00.000Z');
  await page.evaluate(
    async ({ job, count }) => {
      const db = await new Promise<IDBDatabase>((resolve, reject) => {
        const request = indexedDB.open('mellow-probe');
        request.onsuccess = () => resolve(request.result);
        request.onerror = () => reject(new Error('no database'));
      });
      const transaction = db.transaction('jobs', 'readwrite');
      const fields = ['engine', 'climate', 'boiler'];
      for (let i = 0; i < count; i++) {
        const at = new Date(Date.UTC(2020, 0, 1) + i * 36e5).toISOString();
        const value = {
          ...job,
          id: `many-${i}`,
          title: `Machine ${i} · sensor ${i % 7}`,
          machine: `Made-up machine ${i}`,
          field: fields[i % 3],
          createdAt: at,
          updatedAt: at,
          complaint: { ...job.complaint, text: `Reads low since the frost, gauge ${i % 11}.` },
        };
        transaction.objectStore('jobs').put({ kept: 1, revision: `r${i}`, at, follows: [], value }, value.id);
      }
      await new Promise<void>((resolve, reject) => {
        transaction.oncomplete = () => resolve();
        transaction.onerror = () => reject(new Error('not filled'));
      });
      db.close();
    },
    { job, count },
  );
}
