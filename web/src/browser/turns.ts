import { nextTick, ref, type Ref } from 'vue';

/**
 * The first screen comes in turns: put up at one go it holds a phone for most of a second, in which nothing that is pressed is answered. Pieces
 * that ask for a turn while the page begins wait for it here; later ones, and those of a page that was not begun this way, are there at once.
 */
let beginning = false;
const waiting: (() => void)[] = [];

/** Is it this piece's turn? */
export function useTurn(): Readonly<Ref<boolean>> {
  const here = ref(!beginning);
  if (beginning) waiting.push(() => (here.value = true));
  return here;
}

/** Puts up a page, `mount`, and then its pieces in the order in which they asked. Resolves when all are there. */
export async function inTurns(mount: () => void): Promise<void> {
  beginning = true;
  mount();
  for (let come = waiting.shift(); come; come = waiting.shift()) {
    await breath();
    come();
    await nextTick();
  }
  beginning = false;
}

/** A piece of work may last this long before others get a word in, ms: a fourth of what a hand notices, on a phone at a fourth of the speed. */
const LONGEST = 10;
let since = performance.now();

/** Ends the task, where it has lasted. */
export async function breath(): Promise<void> {
  if (performance.now() - since < LONGEST) return;
  await new Promise<void>((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });
  since = performance.now();
}
