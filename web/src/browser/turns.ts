import { nextTick, ref, type Ref } from 'vue';
import { rested } from './rested.ts';

/**
 * The first screen comes in turns: put up at one go it holds a phone for most of a second, in which nothing that is pressed is answered. Pieces
 * that ask for a turn while the page begins wait for it here; those of a page that rests, or was not begun this way, are there at once.
 */
let beginning = false;
const waiting: (() => void)[] = [];
let coming: Promise<void> | null = null;
/** What the first screen is still fetching to show. */
const fetching: Promise<unknown>[] = [];

/** Is it this piece's turn? */
export function useTurn(): Readonly<Ref<boolean>> {
  const here = ref(!beginning);
  if (beginning) {
    waiting.push(() => (here.value = true));
    coming ??= letCome().finally(() => (coming = null));
  }
  return here;
}

async function letCome(): Promise<void> {
  for (let come = waiting.shift(); come; come = waiting.shift()) {
    await breath();
    come();
    await nextTick();
  }
}

/** The first screen is not there before this is. Returned as it is: whoever asks for it hears what went wrong. */
export function toBeShown<T>(work: Promise<T>): Promise<T> {
  if (beginning) fetching.push(work);
  return work;
}

/** A store that does not answer does not keep the screen from showing what it has, ms. */
const PATIENCE = 1000;

/** Puts up a page, `mount`, and then its pieces in the order in which they asked. Resolves when the first screen is there. */
export async function inTurns(mount: () => void): Promise<void> {
  beginning = true;
  mount();
  await coming;
  await Promise.race([
    Promise.allSettled(fetching),
    new Promise((resolve) => {
      setTimeout(resolve, PATIENCE);
    }),
  ]);
  await nextTick();
  await coming;
  // What comes at the first rest, the signs and the picker of files, still comes in turns.
  void rested()
    .then(rested)
    .then(() => (beginning = false));
}

/** A piece of work may last this long before others get a word in, ms: on a phone at a fourth of the speed, what a hand just does not notice. */
const LONGEST = 10;
let since = performance.now();

/** What is fetched is asked for in one task, run in the next, and put up in a third. */
export async function apart<T>(part: () => Promise<T>): Promise<T> {
  await breath();
  const here = await part();
  await breath();
  return here;
}

/** Ends the task, where it has lasted: what was pressed is answered before the work goes on. */
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
