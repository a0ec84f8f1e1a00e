import { vi } from 'vitest';

/** What the page handed to the browser as downloads, the latest last; empty it where a test counts from nothing. */
const saved = vi.hoisted((): { name: string; blob: Blob }[] => []);
export { saved };
vi.mock('../src/browser/saveFile.ts', async (original) => ({
  ...(await original<object>()),
  saveFile: (name: string, type: string, text: string) => void saved.push({ name, blob: new Blob([text], { type }) }),
  saveBlob: (name: string, blob: Blob) => void saved.push({ name, blob }),
}));

/** The latest download as text, which is taken off the list. */
export async function lastSaved(): Promise<{ name: string; text: string }> {
  const { name, blob } = saved.pop()!;
  return { name, text: await blob.text() };
}
