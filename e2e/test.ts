import { type BrowserContext, test as plain } from '@playwright/test';

export { expect } from '@playwright/test';

/** Has the pages of a browser fetch only what they show, as with the device's data saver on: reading the whole program ahead costs more than most tests. */
export async function sparesData(context: BrowserContext): Promise<void> {
  await context.addInitScript(() => {
    Object.defineProperty(Object.getPrototypeOf(Reflect.get(navigator, 'connection')), 'saveData', { value: true });
  });
}

/** The tests of the browser. `fetchesAhead`: the page brings what other screens need while it rests, as on most devices. */
export const test = plain.extend<{ fetchesAhead: boolean }>({
  fetchesAhead: [false, { option: true }],
  context: async ({ context, fetchesAhead }, use) => {
    if (!fetchesAhead) await sparesData(context);
    await use(context);
  },
});
