/** Resolves once the page has nothing more urgent to do; where a browser cannot tell, after a second and a half. */
export const rested = (): Promise<void> =>
  new Promise((resolve) => {
    if ('requestIdleCallback' in window) window.requestIdleCallback(() => resolve());
    else setTimeout(resolve, 1500);
  });
