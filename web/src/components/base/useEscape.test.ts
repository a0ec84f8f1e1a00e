// @vitest-environment happy-dom
import { mount } from '@vue/test-utils';
import { expect, test } from 'vitest';
import { defineComponent, h, ref, type Ref } from 'vue';
import { useEscape } from './useEscape.ts';

const press = (key: string, from: EventTarget = window): boolean =>
  from.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
const sheet = (open: Ref<boolean>) => mount(defineComponent({ setup: () => (useEscape(open), () => h('p')) }));

test('each Escape closes only the sheet that was opened last, wherever the focus is', () => {
  const [below, above] = [ref(true), ref(false)];
  const mounted = [sheet(below), sheet(above)];
  above.value = true;
  press('Enter');
  expect([below.value, above.value]).toEqual([true, true]);
  expect(press('Escape', document.body)).toBe(false);
  expect([below.value, above.value]).toEqual([true, false]);
  press('Escape');
  expect([below.value, above.value]).toEqual([false, false]);
  expect(press('Escape')).toBe(true);
  mounted.forEach((m) => m.unmount());
});

test('a sheet that was opened again is on top; one that left the screen is not closed any more', () => {
  const [first, second] = [ref(true), ref(true)];
  const mounted = [sheet(first), sheet(second)];
  first.value = false;
  first.value = true;
  press('Escape');
  expect([first.value, second.value]).toEqual([false, true]);
  mounted[1].unmount();
  press('Escape');
  expect(second.value).toBe(true);
  mounted[0].unmount();
});
