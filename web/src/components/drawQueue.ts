const waiting = new Map<object, () => void>();
let running = false;

/** A chart waits until nothing was typed for so long, ms: between two keys of a figure nobody looks at it, and a redraw would hold up the letter. */
const REST_MS = 300;
let typedAt = -Infinity;
window.addEventListener('input', () => (typedAt = performance.now()), { capture: true });

/**
 * Draws when the page has time and nobody is typing, one drawing a frame: two charts that change together do not add up to one long task, and what is
 * asked for again before its turn is drawn once.
 * @param key who draws; a later drawing of the same key replaces the earlier one
 */
export function drawSoon(key: object, draw: () => void): void {
  waiting.set(key, draw);
  if (running) return;
  running = true;
  const next = (): void => {
    const [first] = waiting;
    if (!first) {
      running = false;
      return;
    }
    const rest = typedAt + REST_MS - performance.now();
    if (rest > 0) {
      setTimeout(next, rest);
      return;
    }
    waiting.delete(first[0]);
    first[1]();
    requestAnimationFrame(() => setTimeout(next));
  };
  requestAnimationFrame(() => setTimeout(next));
}
