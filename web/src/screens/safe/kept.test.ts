// @vitest-environment happy-dom
import { newJob } from '@mellow-probe/core/check/job/newJob';
import { bytesText, KIND_NAMES } from '@mellow-probe/core/wording/safeText';
import { keptPartWords as say } from '@mellow-probe/core/wording/screens/safe';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { expectSound, jobDoor, NOW, press, show, untilShown } from '../../../test/mountedScreens.ts';

const server = vi.hoisted(() => ({ kept: false, keepFails: false, offline: [] as boolean[], updates: 0 }));
vi.mock('../../browser/offline.ts', async (original) => ({
  ...(await original<object>()),
  areKept: () => Promise.resolve(server.kept),
  askForNewVersion: () => Promise.resolve(),
  goOffline: (asked: boolean) => (server.offline.push(asked), Promise.resolve(true)),
  keep: () => (server.keepFails ? Promise.reject(new Error('away')) : Promise.resolve((server.kept = true))),
  takeNewVersion: () => void server.updates++,
}));
const { offline, newVersion } = await import('../../browser/offline.ts');
const { default: KeptPart } = await import('./KeptPart.vue');

/** What the browser says of its storage. */
function storage(estimate: object | null, persisted: boolean | null, persist = false): void {
  vi.stubGlobal('navigator', {
    ...{ userAgent: navigator.userAgent, locks: navigator.locks },
    storage: {
      estimate: () => (estimate ? Promise.resolve(estimate) : Promise.reject(new Error('no'))),
      persisted: () => (persisted === null ? Promise.reject(new Error('no')) : Promise.resolve(persisted)),
      persist: () => Promise.resolve(persist),
    },
  });
}
beforeEach(() => {
  vi.unstubAllGlobals();
  Object.assign(server, { kept: false, keepFails: false, offline: [], updates: 0 });
  [offline.value, newVersion.value] = ['not-here', false];
});
const at = (w: VueWrapper, id: string): string => w.get(`[data-test="${id}"]`).text();

describe('what is stored here', () => {
  test('says how much, and what takes the space, the largest first', async () => {
    storage({ usage: 2_000_000, quota: 5_000_000_000 }, true);
    for (const id of ['a', 'b']) await jobDoor(id).write({ ...newJob(id, NOW), note: 'x'.repeat(500) }, null);
    const part = await show(KeptPart);
    expectSound(part);
    expect(at(part, 'usage')).toBe(say.usage(bytesText(2_000_000), bytesText(5_000_000_000)));
    expect([part.text().includes(say.persistent), part.find('[data-test="sizes"]').exists()]).toEqual([true, false]);
    await press(part, say.sizesTitle);
    await untilShown(() => part.find('[data-test="sizes"]').exists(), 'the sizes');
    const sizes = part.findAll('[data-test="sizes"] li').map((li) => li.text());
    expect(sizes[0]).toMatch(new RegExp(`^${KIND_NAMES.job}: `));
    expect(part.find('[role="progressbar"]').exists()).toBe(false);
  });
  test('where the browser may delete it, one button asks it to keep everything, and its answer is shown', async () => {
    storage({ usage: 1, quota: 2 }, false, true);
    const kind = await show(KeptPart);
    expect(kind.text()).toContain(say.notPersistent);
    await press(kind, say.askToPersist);
    expect(kind.text()).toContain(say.persistent);
    storage({ usage: 1 }, false, false);
    const strict = await show(KeptPart);
    expect(strict.find('[data-test="usage"]').exists()).toBe(false);
    await press(strict, say.askToPersist);
    expect(strict.text()).toContain(say.persistRefused);
    expect(strict.findAll('button').some((b) => b.text() === say.askToPersist)).toBe(false);
    storage(null, null);
    const silent = await show(KeptPart);
    expect(silent.text()).toContain(say.persistUnknown);
  });
});

describe('use without the server', () => {
  test.each([
    ['not-here', say.offlineUnavailable, false],
    ['fetching', say.offlineLoading, false],
    ['ready', say.offlineReady, false],
    ['saving', say.offlineSaver, true],
    ['failed', say.offlineFailed, true],
  ] as const)('%s: it says so, and offers to download where that helps', async (state, words, offers) => {
    offline.value = state;
    const part = await show(KeptPart);
    expect(at(part, 'offline')).toContain(words);
    expect(at(part, 'offline').includes(say.fetchItNow)).toBe(offers);
    expect(part.find('[data-test="reader"]').exists()).toBe(state === 'ready');
    if (offers) await press(part, say.fetchItNow);
    expect(server.offline).toEqual(offers ? [true] : []);
  });
  test('a button fetches the reader of pictures; without the server the page says so and can try again', async () => {
    offline.value = 'ready';
    server.keepFails = true;
    const part = await show(KeptPart);
    expect(at(part, 'reader')).toContain(say.picturesAfterFirstUse);
    await press(part, say.fetchReader);
    expect(at(part, 'reader')).toContain(say.readerFailed);
    server.keepFails = false;
    await press(part, say.fetchReader);
    expect(at(part, 'reader')).toBe(say.picturesOffline);
    const again = await show(KeptPart);
    expect(at(again, 'reader')).toBe(say.picturesOffline);
  });
  test('an update that is ready is offered', async () => {
    const part = await show(KeptPart);
    expect(part.text()).not.toContain(say.updateReady);
    newVersion.value = true;
    await flushPromises();
    await press(part, say.takeItNow);
    expect(server.updates).toBe(1);
  });
});
