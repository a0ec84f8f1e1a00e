// @vitest-environment happy-dom
import { mount } from '@vue/test-utils';
import { afterEach, expect, test, vi } from 'vitest';
import { defineComponent, h } from 'vue';
import { onKeyStroke } from './onKeyStroke.ts';

const pressed = vi.fn();
const Page = defineComponent({
  setup() {
    onKeyStroke('n', pressed);
    return () =>
      h('main', [
        h('input', { id: 'figure' }),
        h('input', { id: 'radio', type: 'radio' }),
        h('input', { id: 'box', type: 'checkbox' }),
        h('input', { id: 'list', role: 'combobox' }),
        h('textarea', { id: 'words' }),
        h('button', { id: 'button' }),
        h('div', { role: 'dialog' }, h('button', { id: 'inside' })),
      ]);
  },
});
const page = mount(Page, { attachTo: document.body });
afterEach(() => pressed.mockClear());
const press = (id: string, init: KeyboardEventInit = { key: 'n' }): boolean =>
  document
    .getElementById(id)!
    .dispatchEvent(new KeyboardEvent('keydown', { bubbles: true, cancelable: true, ...init }));

test.each([
  ['radio', 1],
  ['box', 1],
  ['button', 1],
  ['figure', 0],
  ['words', 0],
  ['list', 0],
  ['inside', 0],
])('a key pressed in %s is heard %d times', (id, times) => {
  press(id);
  expect(pressed).toHaveBeenCalledTimes(times);
});
test('capitals count; another key, a modifier and a page that is gone do not', () => {
  press('button', { key: 'N' });
  expect(pressed).toHaveBeenCalledTimes(1);
  press('button', { key: 'm' });
  press('button', { key: 'n', ctrlKey: true });
  page.unmount();
  window.dispatchEvent(new KeyboardEvent('keydown', { key: 'n' }));
  expect(pressed).toHaveBeenCalledTimes(1);
});
