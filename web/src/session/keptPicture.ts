import { keptPictureWords as say } from '@mellow-probe/core/wording/screens/session';
import { onScopeDispose, readonly, type Ref, ref, shallowRef, watch } from 'vue';
import { blobOf } from '../browser/dataAddress.ts';
import { scaledJpeg } from '../browser/scaledJpeg.ts';
import { getPhoto, putPhoto, removePhotosOf } from '../data/storage/photoStorage.ts';

/** A picture on the shelf, as the page shows it. */
export interface ShownPicture {
  blob: Blob;
  /** Its data address, as it is kept with a curve. */
  address: string;
  url: string;
  width: number;
  height: number;
}

/** Pictures of the shelf are kept beside the photos of jobs, under this name. */
const SHELF = 'shelf';
/** Longest side, px: figures of a page stay legible. */
const [LONGEST, QUALITY] = [2600, 0.88];
/** Larger files are not opened. */
const MOST_BYTES = 40_000_000;

/** The picture a tool of the shelf works on, kept through reloads under a name. It is large: fetched when it is first `wanted`. */
export function useKeptPicture(
  name: string,
  wanted: () => boolean,
): {
  picture: Readonly<Ref<ShownPicture | null>>;
  fault: Readonly<Ref<string>>;
  open(file: Blob): Promise<boolean>;
  remove(): Promise<void>;
} {
  const picture = shallowRef<ShownPicture | null>(null);
  const fault = ref('');
  let newest = 0;

  function drop(): void {
    if (picture.value) URL.revokeObjectURL(picture.value.url);
    picture.value = null;
  }
  async function show(address: string): Promise<void> {
    const blob = blobOf(address);
    const bitmap = await createImageBitmap(blob);
    drop();
    picture.value = { blob, address, url: URL.createObjectURL(blob), width: bitmap.width, height: bitmap.height };
    bitmap.close();
  }
  async function open(file: Blob): Promise<boolean> {
    const turn = ++newest;
    fault.value = '';
    const address = file.size > MOST_BYTES ? null : await scaledJpeg(file, LONGEST, QUALITY);
    if (turn !== newest) return false;
    if (!address) {
      fault.value = file.size > MOST_BYTES ? say.tooLarge((file.size / 1e6).toFixed(0)) : say.unreadable;
      return false;
    }
    await show(address);
    try {
      await putPhoto(SHELF, name, address);
    } catch {
      fault.value = say.notSaved;
    }
    return true;
  }
  async function remove(): Promise<void> {
    newest++;
    drop();
    await removePhotosOf(SHELF, [name]).catch(() => undefined);
  }
  async function load(): Promise<void> {
    const address = await getPhoto(SHELF, name);
    if (address && newest === 0) await show(address).catch(() => undefined);
  }
  watch(wanted, (now) => void (now && picture.value === null && load()), { immediate: true });
  onScopeDispose(drop);
  return { picture, fault: readonly(fault), open, remove };
}
