import type { Job } from '@mellow-probe/core/job/jobSchema';
import { saveJob } from '@mellow-probe/core/job/openJob';
import { fileName, saveBlob, saveFile } from '../../browser/saveFile.ts';
import { withPhotos } from '../../storage/photoStorage.ts';

/** One check as its file, several as a ZIP of theirs, each with its photos. `read` gives a check by its id, null where it is gone. */
export async function exportJobs(ids: readonly string[], read: (id: string) => Promise<Job | null>): Promise<void> {
  const files: { name: string; text: string }[] = [];
  for (const id of ids) {
    const job = await read(id);
    if (!job) continue;
    const text = saveJob(await withPhotos(job));
    files.push({ name: freeName(fileName(job.title, 'json'), files), text });
  }
  if (files.length === 1) saveFile(files[0].name, 'application/json', files[0].text);
  if (files.length < 2) return;
  const { strToU8, Zip, ZipDeflate } = await import('fflate');
  const parts: Uint8Array<ArrayBuffer>[] = [];
  const archive = new Zip((error, data) => {
    if (error) throw error;
    parts.push(data as Uint8Array<ArrayBuffer>);
  });
  for (const { name, text } of files) {
    const entry = new ZipDeflate(name);
    archive.add(entry);
    entry.push(strToU8(text), true);
    // Photos take their time: the page stays free between two checks.
    await new Promise((next) => setTimeout(next));
  }
  archive.end();
  saveBlob(`checks-${files.length}.zip`, new Blob(parts, { type: 'application/zip' }));
}

/** Two checks may have one title. */
function freeName(name: string, taken: readonly { name: string }[]): string {
  const [stem, end] = [name.slice(0, -'.json'.length), '.json'];
  for (let n = 1; ; n++) {
    const next = n === 1 ? name : `${stem}-${n}${end}`;
    if (!taken.some((t) => t.name === next)) return next;
  }
}
