import { expect, test } from 'vitest';
import { effectScope, reactive } from 'vue';
import { trackedCopy } from './trackedCopy.ts';

const value = () =>
  reactive<{ title: string; list: { text: string }[]; more?: { deep: number } }>({ title: '', list: [] });
const tracked = (of = value()) => {
  const heard = { times: 0 };
  return { of, heard, ...trackedCopy(of, () => heard.times++) };
};

test('a copy is made anew only where it was written to, and shares nothing with the value', () => {
  const { of, copy, heard } = tracked();
  const first = copy();
  expect(copy()).toBe(first);
  of.title = 'T';
  expect(heard.times).toBe(1);
  const second = copy();
  expect(second).toEqual({ title: 'T', list: [] });
  expect(first).toEqual({ title: '', list: [] });
  expect(copy()).toBe(second);
  expect(second.list).toBe(first.list);
});

test('a field that went is not copied, nor heard of any more; one that is not known yet is as good as gone', () => {
  const { of, copy, heard } = tracked();
  of.more = { deep: 1 };
  const { more } = of;
  copy();
  delete of.more;
  expect(copy()).toEqual({ title: '', list: [] });
  const { times } = heard;
  more.deep = 2;
  expect(heard.times).toBe(times);
  Object.assign(of, { more: undefined });
  expect('more' in copy()).toBe(false);
  of.more = { deep: 3 };
  expect(copy()).toEqual({ title: '', list: [], more: { deep: 3 } });
});

test('every write is heard of: of one event, of a new field, in what came in since', () => {
  const { of, copy, heard } = tracked();
  of.title = 'a';
  of.title = 'b';
  expect(heard.times).toBe(2);
  of.more = { deep: 1 };
  of.list.push({ text: 'x' });
  expect(copy()).toEqual({ title: 'b', list: [{ text: 'x' }], more: { deep: 1 } });
  const { times } = heard;
  of.more.deep = 2;
  of.list[0].text = 'y';
  expect(heard.times).toBe(times + 2);
  expect(copy()).toEqual({ title: 'b', list: [{ text: 'y' }], more: { deep: 2 } });
});

test('stopped, by hand or with its scope, nothing is heard of, and a copy is of what is there', () => {
  const byHand = tracked();
  const scope = effectScope();
  const withScope = scope.run(() => tracked())!;
  for (const { of, copy, heard, end } of [
    { ...byHand, end: byHand.stop },
    { ...withScope, end: () => scope.stop() },
  ]) {
    copy();
    end();
    of.title = 'late';
    expect(heard.times).toBe(0);
    expect(copy().title).toBe('late');
  }
});
