import { photos } from './stores.ts';

/** Photos are kept beside the jobs, so that typing does not write megabytes. The key is the photo's id. */
export async function putPhoto(id: string, image: string): Promise<'kept' | 'full' | 'blocked'> {
  try {
    await photos.setItem(id, image);
    return 'kept';
  } catch (error) {
    return error instanceof DOMException && error.name === 'QuotaExceededError' ? 'full' : 'blocked';
  }
}

export async function getPhoto(id: string): Promise<string | null> {
  try {
    return await photos.getItem<string>(id);
  } catch {
    return null;
  }
}

export async function removePhoto(id: string): Promise<void> {
  await photos.removeItem(id);
}
