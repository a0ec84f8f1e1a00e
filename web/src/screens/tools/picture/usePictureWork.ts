import { onBeforeUnmount, readonly, type Ref, ref } from 'vue';
import { pictureRun, PictureStopped } from '../../../workers/pictureClient.ts';

/** Work on a picture for one screen: one piece at a time, ended with the screen; what went wrong is said in `note`. */
export function usePictureWork(failed: string): {
  busy: Readonly<Ref<boolean>>;
  note: Ref<string>;
  stop: () => void;
  work: <T>(ask: Parameters<typeof pictureRun<T>>[0], then: (result: T) => void | Promise<void>) => Promise<void>;
} {
  const note = ref('');
  const busy = ref(false);
  let running: { stop(): void } | null = null;
  const stop = (): void => running?.stop();
  onBeforeUnmount(stop);
  return {
    busy: readonly(busy),
    note,
    stop,
    async work(ask, then) {
      stop();
      note.value = '';
      const mine = pictureRun(ask);
      running = mine;
      busy.value = true;
      try {
        await then(await mine.result);
      } catch (error) {
        if (!(error instanceof PictureStopped))
          note.value = `${failed}: ${error instanceof Error ? error.message : String(error)}`;
      } finally {
        if (running === mine) {
          running = null;
          busy.value = false;
        }
      }
    },
  };
}
