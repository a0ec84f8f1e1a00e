import { workshop } from '../app/workshop.ts';
import { shelf } from './stores.ts';

const channel = new BroadcastChannel(`mellow-probe-shelf-${workshop}`);

/** Reads one entry of the shelf as it is; who reads it checks it. Null when there is none or the store is blocked. */
export async function readShelf(key: string): Promise<unknown> {
  try {
    return await shelf.getItem(key);
  } catch {
    return null;
  }
}

export async function writeShelf(key: string, data: unknown): Promise<'kept' | 'full' | 'blocked'> {
  try {
    await shelf.setItem(key, data);
    channel.postMessage(key);
    return 'kept';
  } catch (error) {
    return error instanceof DOMException && error.name === 'QuotaExceededError' ? 'full' : 'blocked';
  }
}

/** Calls back with the key when another window changed an entry. */
export function onShelfChangedElsewhere(callback: (key: string) => void): void {
  channel.addEventListener('message', (event: MessageEvent<string>) => callback(event.data));
}
