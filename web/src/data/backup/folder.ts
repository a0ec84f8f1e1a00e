import { withStore } from '../storage/stores.ts';

/** A folder of this device that was chosen once for backups, where the browser knows such folders (File System Access). */
type WithPicker = typeof globalThis & {
  showDirectoryPicker?: (options: { id: string; mode: 'readwrite' }) => Promise<FileSystemDirectoryHandle>;
};
type WithPermission = FileSystemDirectoryHandle & {
  requestPermission?: (options: { mode: 'readwrite' }) => Promise<PermissionState>;
};
const KEY = 'folder';

export const knowsFolders = (): boolean => 'showDirectoryPicker' in globalThis;

/** Asks for the folder and remembers it; null where none was chosen. */
export async function chooseFolder(): Promise<FileSystemDirectoryHandle | null> {
  const folder = await (globalThis as WithPicker)
    .showDirectoryPicker?.({ id: 'backups', mode: 'readwrite' })
    .catch(() => null);
  if (!folder) return null;
  await withStore('staging', (s) => s.setItem(KEY, folder));
  return folder;
}

/** The folder chosen earlier; null where there is none. */
export async function chosenFolder(): Promise<FileSystemDirectoryHandle | null> {
  return withStore('staging', (s) => s.getItem<FileSystemDirectoryHandle>(KEY)).catch(() => null);
}

/** A file in the folder to write to. Throws where it was not allowed, or the folder is gone. */
export async function fileIn(folder: FileSystemDirectoryHandle, name: string): Promise<FileSystemWritableFileStream> {
  const allowed = await (folder as WithPermission).requestPermission?.({ mode: 'readwrite' });
  if (allowed === 'denied') throw new Error('The folder was not allowed.');
  return (await folder.getFileHandle(name, { create: true })).createWritable();
}
