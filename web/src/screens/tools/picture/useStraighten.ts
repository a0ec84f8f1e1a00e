import { type Corners, goRound, wholePicture } from '@mellow-probe/core/intake/picture/straighten';
import { fromDiagramWords as say } from '@mellow-probe/core/wording/screens/shelfPicture';
import { computed, ref } from 'vue';
import type { ShownPicture, useKeptPicture } from '../../../session/keptPicture.ts';
import { cornerHandles } from './pictureReading.ts';
import { usePictureWork } from './usePictureWork.ts';

/** Straightening a photo by the four corners of its printed frame. `straight` gets the picture that takes its place. */
export function useStraighten(kept: ReturnType<typeof useKeptPicture>, straight: (picture: ShownPicture) => void) {
  /** Where the corners are; null while nothing is being straightened. */
  const corners = ref<Corners | null>(null);
  const { busy, note, work } = usePictureWork(say.straightenFailed);
  return {
    busy,
    note,
    handles: computed(() => corners.value && cornerHandles(corners.value)),
    canDo: computed(() => corners.value !== null && goRound(corners.value) && !busy.value),
    begin: (picture: ShownPicture) => void (corners.value = wholePicture(picture)),
    cancel: () => void (corners.value = null),
    /** Moves a corner; false while nothing is being straightened. */
    move(id: string, x: number, y: number): boolean {
      if (!corners.value) return false;
      corners.value = corners.value.map((c, i) => (String(i) === id ? { x, y } : c)) as unknown as Corners;
      return true;
    },
    async run(): Promise<void> {
      const { blob } = kept.picture.value!;
      const at = corners.value!.map(({ x, y }) => ({ x, y })) as unknown as Corners;
      await work(
        (remote) => remote.straighten(blob, at),
        async (image) => {
          if (!(await kept.open(image))) return;
          corners.value = null;
          straight(kept.picture.value!);
        },
      );
    },
  };
}
