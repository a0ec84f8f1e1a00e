import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { saveJob } from '@mellow-probe/core/check/job/openJob';
import { fileName, saveBlob, saveFile } from '../../browser/saveFile.ts';
import { withPhotos } from '../../data/storage/photoStorage.ts';

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
  const { BlobWriter, TextReader, ZipWriter } = await import('@zip.js/zip.js');
  const zip = new ZipWriter(new BlobWriter('application/zip'), { useWebWorkers: false });
  for (const { name, text } of files) await zip.add(name, new TextReader(text));
  saveBlob(`checks-${files.length}.zip`, await zip.close());
}

/** Two checks may have one title. */
function freeName(name: string, taken: readonly { name: string }[]): string {
  const [stem, end] = [name.slice(0, -'.json'.length), '.json'];
  for (let n = 1; ; n++) {
    const next = n === 1 ? name : `${stem}-${n}${end}`;
    if (!taken.some((t) => t.name === next)) return next;
  }
}
