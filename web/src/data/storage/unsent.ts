import { workshop } from '../../browser/workshop.ts';

/**
 * Text that was typed and not yet sent off into a job: a code before "Add", a reason before "Void". Small, written with every key, gone when it is
 * sent or emptied. A blocked store only means that it does not outlive the page.
 */
const keyOf = (job: string, name: string): string => `mellow-probe.${workshop}.unsent.${job}.${name}`;

export function readUnsent(job: string, name: string): string {
  try {
    return localStorage.getItem(keyOf(job, name)) ?? '';
  } catch {
    return '';
  }
}

export function writeUnsent(job: string, name: string, text: string): void {
  try {
    if (text === '') localStorage.removeItem(keyOf(job, name));
    else localStorage.setItem(keyOf(job, name), text);
  } catch {
    // It holds until the window closes.
  }
}

/** Forgets everything unsent of a job that is gone. */
export function dropUnsent(job: string): void {
  try {
    const prefix = keyOf(job, '');
    for (const key of Object.keys(localStorage)) if (key.startsWith(prefix)) localStorage.removeItem(key);
  } catch {
    // Nothing was there.
  }
}
