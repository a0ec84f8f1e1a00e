const waiting = new Map<object, () => void>();
let running = false;

/**
 * Draws when the page has time, one drawing a frame: two charts that change together do not add up to one long task, and what is asked for
 * again before its turn is drawn once.
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
    waiting.delete(first[0]);
    first[1]();
    requestAnimationFrame(() => setTimeout(next));
  };
  requestAnimationFrame(() => setTimeout(next));
}
