/** Hands a text to the browser as a download. */
export function saveFile(name: string, type: string, text: string): void {
  saveBlob(name, new Blob([text], { type }));
}

/** Hands a file to the browser as a download. */
export function saveBlob(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The download has its own hold on the data by then.
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

/** A file name from a title: letters and digits of any script, the rest hyphens. */
export function fileName(title: string, ending: string): string {
  const base = title
    .normalize('NFKC')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60);
  return `${base || 'check'}.${ending}`;
}
