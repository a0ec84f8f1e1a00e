// @vitest-environment happy-dom
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { describe, expect, test, vi } from 'vitest';
import type { Component } from 'vue';
import { emptyBrowser, until } from '../../test/browserWindow.ts';
import {
  DEMO,
  jobDoor,
  mounted,
  nameOf,
  pageOf,
  pressable,
  show,
  typedFields,
  unmountAll,
} from '../../test/mountedScreens.ts';

/** The rooms beside a check, by the name of their file. Live data and training need a worker: their tests are their own. */
const ROOMS: [string, Component][] = [];
for (const [path, load] of Object.entries(
  import.meta.glob<{ default: Component }>([
    './tools/*Tool.vue',
    './*/{Jobs,Settings,Logbook,Place,Logs,Tools}Screen.vue',
  ]),
))
  ROOMS.push([path.replace(/.*\/|\.vue/g, ''), (await load()).default]);

/** A room as it opens in a browser that holds four checks and nothing else. */
async function opened(place: Component): Promise<VueWrapper> {
  unmountAll();
  document.body.innerHTML = '';
  await emptyBrowser();
  setActivePinia(createPinia());
  for (const job of DEMO.slice(0, 4)) await jobDoor(job.id).write(job, null);
  const room = await show(place);
  await rested();
  return room;
}
/** Waits until the page has stopped changing. */
async function rested(): Promise<void> {
  let [before, same] = ['', 0];
  await until(async () => {
    await flushPromises();
    const now = document.body.innerHTML;
    same = now === before ? same + 1 : 0;
    before = now;
    return same >= 3;
  }, 'a page that rests');
}
/** A file that is saved or opened goes through a click of an element that nobody sees. */
const filed = vi.spyOn(HTMLElement.prototype, 'click');
const seen = (room: VueWrapper): string => `${room.vm.$route.fullPath} ${filed.mock.calls.length} ${pageOf()}`;

describe.each(ROOMS)('%s', (_, place) => {
  test('what is typed into a field is there again after a look at something else', async () => {
    const room = await opened(place);
    const names = typedFields(room).map(({ name }) => name);
    for (const { field } of typedFields(room)) {
      await field.setValue('17');
      await field.trigger('blur');
    }
    await rested();
    mounted.pop()!.unmount();
    const again = await show(place);
    const told = (): [string, string][] =>
      typedFields(again).map(({ name, field }) => [name, field.element.value.replace(/ °C$/, '')]);
    await until(() => told().every(([, value]) => value === '17'), 'what was typed').catch(() => undefined);
    expect(told()).toEqual(names.map((name) => [name, '17']));
  });
  test('every button does something', async () => {
    const names = pressable(await opened(place)).map(nameOf);
    const dead: string[] = [];
    for (let i = 0; i < names.length; i++) {
      const room = await opened(place);
      const before = seen(room);
      await pressable(room)[i].trigger('click');
      await rested();
      if (seen(room) === before) dead.push(names[i]);
    }
    expect(dead).toEqual([]);
  });
});
