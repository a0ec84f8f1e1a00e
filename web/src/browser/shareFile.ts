/** Can this browser hand a file to another program of the device? Phones can; most desks cannot. */
export function canShareFiles(): boolean {
  if (typeof navigator.canShare !== 'function') return false;
  return navigator.canShare({ files: [new File([''], 'a.pdf', { type: 'application/pdf' })] });
}

/** Opens the device's own sheet for sharing with this file; false where it was closed without sharing. Throws where sharing is not allowed. */
export async function shareFile(name: string, blob: Blob): Promise<boolean> {
  try {
    await navigator.share({ files: [new File([blob], name, { type: blob.type })], title: name });
    return true;
  } catch (error) {
    if (error instanceof Error && error.name === 'AbortError') return false;
    throw error;
  }
}
