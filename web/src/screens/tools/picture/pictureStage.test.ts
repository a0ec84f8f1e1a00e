// @vitest-environment happy-dom
import { expect, test } from 'vitest';
import { show } from '../../../../test/mountedScreens.ts';
import PictureStage, { type Handle } from './PictureStage.vue';

const HANDLES: Handle[] = [
  { id: 'a', label: 'upper left', kind: 'corner', x: 100, y: 50 },
  { id: 'b', label: 'lower right', kind: 'corner', x: 395, y: 200 },
  { id: 'p', label: 'second', kind: 'point', x: 300, y: 80 },
  { id: 'q', label: 'first', kind: 'point', x: 20, y: 90 },
];
/** A picture of 400 by 200 pixels, shown at half its size, its corner at (10, 20) of the window. */
async function stage(outline = false) {
  const picture = { url: 'data:,', width: 400, height: 200 };
  const wrapper = await show(PictureStage, { props: { picture, handles: HANDLES, label: 'a page', outline } });
  const svg = wrapper.get('svg');
  svg.element.getBoundingClientRect = () => new DOMRect(10, 20, 200, 100);
  for (const g of wrapper.findAll('g')) g.element.setPointerCapture = () => undefined;
  return { wrapper, svg, handle: (id: string) => wrapper.findAll('g')[HANDLES.findIndex((h) => h.id === id)] };
}

test('arrow keys move a handle by a pixel, with Shift by ten, never off the picture; other keys leave it', async () => {
  const { wrapper, handle } = await stage();
  const keys: [string, string, boolean][] = [
    ['a', 'ArrowLeft', false],
    ['a', 'ArrowUp', true],
    ['b', 'ArrowRight', true],
    ['b', 'ArrowDown', false],
    ['a', 'Enter', false],
  ];
  for (const [id, key, shiftKey] of keys) await handle(id).trigger('keydown', { key, shiftKey });
  expect(wrapper.emitted('move')).toEqual([
    ['a', 99, 50],
    ['a', 100, 40],
    ['b', 400, 200],
    ['b', 395, 200],
  ]);
  const event = new KeyboardEvent('keydown', { key: 'ArrowLeft', cancelable: true });
  handle('a').element.dispatchEvent(event);
  // The page does not scroll with it; Tab goes on to the next handle.
  expect(event.defaultPrevented).toBe(true);
  const tab = new KeyboardEvent('keydown', { key: 'Tab', cancelable: true });
  handle('a').element.dispatchEvent(tab);
  expect(tab.defaultPrevented).toBe(false);
});
test('a dragged handle keeps its distance from the finger and is dropped once', async () => {
  const { wrapper, handle } = await stage();
  await handle('a').trigger('pointermove', { clientX: 90, clientY: 60 });
  expect(wrapper.emitted('move')).toBeUndefined();
  // Four pixels of the picture beside its middle.
  await handle('a').trigger('pointerdown', { clientX: 62, clientY: 45 });
  await handle('a').trigger('pointermove', { clientX: 112, clientY: 70 });
  await handle('a').trigger('pointermove', { clientX: 500, clientY: -50 });
  await handle('a').trigger('pointerup');
  await handle('a').trigger('pointermove', { clientX: 62, clientY: 45 });
  await handle('a').trigger('pointerup');
  expect(wrapper.emitted('move')).toEqual([
    ['a', 200, 100],
    ['a', 396, 0],
  ]);
  expect(wrapper.emitted('drop')).toEqual([['a']]);
});
test('a tap beside the handles has its place in pixels of the picture; points are joined from left to right', async () => {
  const { wrapper, svg, handle } = await stage();
  await svg.trigger('click', { clientX: 60, clientY: 45 });
  await handle('a').trigger('click', { clientX: 60, clientY: 45 });
  expect(wrapper.emitted('tap')).toEqual([[100, 50]]);
  expect(wrapper.get('[data-test="followed"]').attributes('points')).toBe('20,90 300,80');
  expect(wrapper.find('polygon').exists()).toBe(false);
  const page = await stage(true);
  expect(page.wrapper.get('polygon').attributes('points')).toBe('100,50 395,200');
});
