// @vitest-environment happy-dom
import { flushPromises, mount } from '@vue/test-utils';
import { expect, test, vi } from 'vitest';
import { defineComponent, h, onErrorCaptured, ref } from 'vue';
import { laterPart, laterSheet } from './laterPart.ts';

const Inner = defineComponent({
  props: { text: String, open: Boolean },
  emits: ['done'],
  setup: (p, { emit, slots }) => {
    const typed = ref('');
    return () =>
      h('div', [
        h('button', { onClick: () => emit('done', p.text) }, [p.text, p.open ? ' open' : '']),
        h('input', { value: typed.value, onInput: (e: Event) => (typed.value = (e.target as HTMLInputElement).value) }),
        slots.default?.(),
      ]);
  },
});
const loader = () => vi.fn(() => Promise.resolve({ default: Inner }));

test('a part comes after the screen, with what it is given, and is fetched once', async () => {
  const load = loader();
  const part = laterPart(load);
  expect(load).not.toHaveBeenCalled();
  const done = vi.fn();
  const screen = mount(part, { props: { text: 'a', onDone: done }, slots: { default: () => 'inside' } });
  expect(screen.find('button').exists()).toBe(false);
  await vi.waitFor(() => expect(screen.text()).toBe('ainside'));
  await screen.get('button').trigger('click');
  expect(done).toHaveBeenCalledWith('a');
  mount(part);
  await part.fetch();
  expect(load).toHaveBeenCalledTimes(1);
});

test('brought ahead it is there at once', async () => {
  const part = laterPart(loader());
  await part.fetch();
  expect(mount(part, { props: { text: 'a' } }).text()).toBe('a');
});

test('what is typed in it stays when it is given something else', async () => {
  const part = laterPart(loader());
  const screen = mount(part, { props: { text: 'a' } });
  await vi.waitFor(() => expect(screen.find('input').exists()).toBe(true));
  await screen.get('input').setValue('12k');
  await screen.setProps({ text: 'b' });
  expect(screen.get('button').text()).toBe('b');
  expect(screen.get('input').element.value).toBe('12k');
});

test('a sheet comes when it is first opened, and stays to close', async () => {
  const load = loader();
  const screen = mount(laterSheet(load), { props: { text: 'a', open: false } });
  await flushPromises();
  expect(load).not.toHaveBeenCalled();
  await screen.setProps({ open: true });
  await vi.waitFor(() => expect(screen.text()).toBe('a open'));
  await screen.setProps({ open: false });
  expect(screen.get('button').text()).toBe('a');
});

test('where it cannot be fetched the screen around it gets the error; the next showing fetches again', async () => {
  const load = vi.fn(() => Promise.reject<{ default: typeof Inner }>(new Error('no network')));
  const part = laterPart(load);
  const errors: string[] = [];
  const around = defineComponent({
    setup() {
      onErrorCaptured((error) => (errors.push(error.message), false));
      return () => h(part);
    },
  });
  mount(around);
  await vi.waitFor(() => expect(errors).toEqual(['no network']));
  load.mockImplementation(() => Promise.resolve({ default: Inner }));
  const again = mount(around);
  await vi.waitFor(() => expect(again.find('button').exists()).toBe(true));
  expect(load).toHaveBeenCalledTimes(2);
});
