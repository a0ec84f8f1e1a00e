import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { applyPatches, differences, inverse, TYPED } from './changes.ts';
import { mergeThreeWay } from './mergeThreeWay.ts';
import { isIdList, isRecord, isTyped, same } from './plainData.ts';

describe('plain data', () => {
  test.each<[unknown, unknown, boolean]>([
    [1, 1, true],
    [1, '1', false],
    [NaN, NaN, true],
    [null, undefined, false],
    [null, {}, false],
    [[], {}, false],
    [[1, [2]], [1, [2]], true],
    [[1, 2], [1], false],
    [{ a: 1, b: { c: [1] } }, { b: { c: [1] }, a: 1 }, true],
    [{ a: undefined }, {}, false],
    [{ a: undefined }, { b: undefined }, false],
    [{ a: 1 }, { a: 2 }, false],
  ])('%j and %j are the same: %s', (a, b, equal) => {
    expect(same(a, b)).toBe(equal);
    expect(same(b, a)).toBe(equal);
  });
  test('what is what', () => {
    expect([isRecord({}), isRecord([]), isRecord(null), isRecord('x')]).toEqual([true, false, false, false]);
    expect([isIdList([]), isIdList([{ id: 'a' }]), isIdList([{ id: 1 }]), isIdList(['a']), isIdList({})]).toEqual([
      true,
      true,
      false,
      false,
      false,
    ]);
    expect([isTyped({ text: '', value: null }), isTyped({ text: '' }), isTyped({ value: 1 }), isTyped(null)]).toEqual([
      true,
      false,
      false,
      false,
    ]);
  });
});

describe('differences', () => {
  const list = (...ids: string[]): { id: string; n: number }[] => ids.map((id) => ({ id, n: 1 }));
  test('leaves, new and gone keys, things that come and go, each at its place', () => {
    expect(differences({ a: 1, b: [1], gone: 2 }, { a: 1, b: [2], come: 3 })).toEqual([
      { at: ['b'], before: [1], after: [2] },
      { at: ['gone'], before: 2 },
      { at: ['come'], after: 3 },
    ]);
    expect(differences({ l: list('a', 'b', 'c') }, { l: [...list('a'), { id: 'c', n: 2 }, ...list('d')] })).toEqual([
      { at: ['l', '#b'], before: { id: 'b', n: 1 }, index: 1 },
      { at: ['l', '#c', 'n'], before: 1, after: 2 },
      { at: ['l', '#d'], after: { id: 'd', n: 1 }, index: 2 },
    ]);
    expect(differences([1], [1])).toEqual([]);
    expect(differences(1, 2)).toEqual([{ at: [], before: 1, after: 2 }]);
    expect(differences(null, { a: 1 })).toEqual([{ at: [], before: null, after: { a: 1 } }]);
  });
  test('things that changed places, or stand twice, make the whole list one leaf', () => {
    expect(differences({ l: list('a', 'b') }, { l: list('b', 'a') })).toEqual([
      { at: ['l'], before: list('a', 'b'), after: list('b', 'a') },
    ]);
    expect(differences({ l: list('a', 'a') }, { l: list('a') })).toEqual([
      { at: ['l'], before: list('a', 'a'), after: list('a') },
    ]);
    expect(differences({ l: list('a') }, { l: list('a', 'a') })).toEqual([
      { at: ['l'], before: list('a'), after: list('a', 'a') },
    ]);
  });
  test('text and value of a figure change together, its other parts by themselves', () => {
    const before = { text: '5', value: 5, note: '' };
    expect(differences(before, { text: '5.0', value: 5, note: 'n' })).toEqual([
      { at: [TYPED], before: ['5', 5], after: ['5.0', 5] },
      { at: ['note'], before: '', after: 'n' },
    ]);
    expect(differences(before, { ...before, note: 'n' })).toEqual([{ at: ['note'], before: '', after: 'n' }]);
    expect(differences(before, { ...before, value: 6 })).toEqual([{ at: [TYPED], before: ['5', 5], after: ['5', 6] }]);
  });
});

describe('patches', () => {
  const start = () => ({
    t: 'x',
    l: [
      { id: 'a', n: 1 },
      { id: 'b', n: 2 },
    ],
    f: { text: '5', value: 5 as number | null },
  });
  const apply = (patches: Parameters<typeof applyPatches>[1], how: 'keep' | 'force' = 'keep') => {
    const target = start();
    const left = applyPatches(target, patches, how);
    return { target, left: left.length };
  };
  test('what already is as wanted counts as done', () => {
    expect(apply([{ at: ['t'], before: 'q', after: 'x' }]).left).toBe(0);
    expect(apply([{ at: ['l', '#a'], before: null, after: { id: 'a', n: 1 } }]).left).toBe(0);
    expect(apply([{ at: ['l', '#zz'], before: { id: 'zz' } }]).left).toBe(0);
  });
  test('what was changed since is kept, or forced', () => {
    const patch = [{ at: ['t'], before: 'q', after: 'z' }];
    expect(apply(patch)).toMatchObject({ target: { t: 'x' }, left: 1 });
    expect(apply(patch, 'force')).toMatchObject({ target: { t: 'z' }, left: 0 });
    const drop = [{ at: ['l', '#a'], before: { id: 'a', n: 9 } }];
    expect(apply(drop)).toMatchObject({ left: 1, target: { l: [{ id: 'a' }, { id: 'b' }] } });
    expect(apply(drop, 'force').target.l.map((x) => x.id)).toEqual(['b']);
    const put = [{ at: ['l', '#a'], before: { id: 'a', n: 9 }, after: { id: 'a', n: 7 } }];
    expect(apply(put).left).toBe(1);
    expect(apply(put, 'force').target.l[0]).toEqual({ id: 'a', n: 7 });
    const typed = [{ at: ['f', TYPED], before: ['4', 4], after: ['6', 6] }];
    expect(apply(typed)).toMatchObject({ left: 1, target: { f: { text: '5' } } });
    expect(apply(typed, 'force').target.f).toEqual({ text: '6', value: 6 });
  });
  test('a thing that is gone comes back only by force; a new one at its place, or at the end', () => {
    const gone = [{ at: ['l', '#c'], before: { id: 'c', n: 1 }, after: { id: 'c', n: 2 } }];
    expect(apply(gone).left).toBe(1);
    expect(apply(gone, 'force').target.l.map((x) => x.id)).toEqual(['a', 'b', 'c']);
    expect(apply([{ at: ['l', '#c'], after: { id: 'c' }, index: 1 }]).target.l.map((x) => x.id)).toEqual([
      'a',
      'c',
      'b',
    ]);
    expect(apply([{ at: ['l', '#c'], after: { id: 'c' }, index: 9 }]).target.l.map((x) => x.id)).toEqual([
      'a',
      'b',
      'c',
    ]);
  });
  test('a place that is no longer there is left out and returned', () => {
    for (const at of [['l', '#zz', 'n'], ['t', 'deep'], ['none', 'deep', 'er'], ['l', 'b'], [], ['l', 'x', 'n']])
      expect(apply([{ at, after: 1 }]).left, at.join()).toBe(1);
    expect(apply([{ at: ['new'], after: { deep: [1] } }]).target).toMatchObject({ new: { deep: [1] } });
    expect('t' in apply([{ at: ['t'], before: 'x' }]).target).toBe(false);
  });
  test('what is put in is a copy', () => {
    const thing = { id: 'c', n: 3 };
    const { target } = apply([{ at: ['l', '#c'], after: thing }]);
    expect(target.l[2]).toEqual(thing);
    expect(target.l[2]).not.toBe(thing);
  });

  const leaf = fc.oneof(fc.string({ maxLength: 2 }), fc.integer({ min: 0, max: 3 }), fc.constant(null));
  const item = fc.record({
    id: fc.constantFrom('a', 'b', 'c', 'd', 'e'),
    text: fc.string({ maxLength: 2 }),
    value: fc.option(fc.integer({ max: 3, min: 0 })),
  });
  const data = fc.record({
    x: leaf,
    sub: fc.dictionary(fc.constantFrom('k', 'm'), leaf),
    list: fc.uniqueArray(item, { selector: (i) => i.id, maxLength: 5 }),
    plain: fc.array(leaf, { maxLength: 3 }),
  });
  test('property: differences lead from one state to the other, and their inverse back', () => {
    fc.assert(
      fc.property(data, data, (a, b) => {
        const patches = differences(a, b);
        const target = structuredClone(a);
        expect(applyPatches(target, patches, 'keep')).toEqual([]);
        expect(target).toEqual(b);
        expect(applyPatches(target, inverse(patches), 'keep')).toEqual([]);
        expect(target).toEqual(a);
        expect(patches.length === 0).toBe(same(a, b));
      }),
      { seed: 7, numRuns: 600 },
    );
  });
  test('property: a merge has every change of either side, mine where both changed the same, and a figure is never torn', () => {
    fc.assert(
      fc.property(data, data, data, (base, mine, theirs) => {
        const merged = mergeThreeWay(base, mine, theirs);
        if (!same(base.x, mine.x)) expect(merged.x).toEqual(mine.x);
        else expect(merged.x).toEqual(theirs.x);
        expect(mergeThreeWay(base, mine, base)).toEqual(mine);
        expect(mergeThreeWay(base, base, theirs)).toEqual(theirs);
        for (const thing of merged.list) {
          const from = [base, mine, theirs].flatMap((d) => d.list.filter((i) => i.id === thing.id));
          expect(from.some((i) => i.text === thing.text && same(i.value, thing.value))).toBe(true);
        }
        // What I added and nobody else had is there; what both dropped is not.
        for (const i of mine.list)
          if (base.list.every((b) => b.id !== i.id)) expect(merged.list.some((m) => m.id === i.id)).toBe(true);
        for (const i of base.list)
          if ([mine, theirs].every((d) => d.list.every((x) => x.id !== i.id)))
            expect(merged.list.some((m) => m.id === i.id)).toBe(false);
      }),
      { seed: 8, numRuns: 600 },
    );
  });
  test('merging by hand: edits are not lost where the other side removed the thing, nor removals where it was left alone', () => {
    const base = {
      l: [
        { id: 'a', n: 1 },
        { id: 'b', n: 1 },
      ],
    };
    const edited = {
      l: [
        { id: 'a', n: 2 },
        { id: 'b', n: 1 },
      ],
    };
    const without = { l: [{ id: 'b', n: 1 }] };
    expect(mergeThreeWay(base, edited, without)).toEqual(edited);
    expect(mergeThreeWay(base, without, edited).l.map((x) => [x.id, x.n])).toEqual([
      ['b', 1],
      ['a', 2],
    ]);
    expect(mergeThreeWay(base, base, without)).toEqual(without);
    expect(mergeThreeWay(base, without, base)).toEqual(without);
    expect(mergeThreeWay<unknown>(1, [{ id: 'a' }], [{ id: 'b' }])).toEqual([{ id: 'a' }, { id: 'b' }]);
    expect(mergeThreeWay<unknown>(null, { a: 1 }, { b: 2 })).toEqual({ a: 1, b: 2 });
    const both = mergeThreeWay(
      { f: { text: '5', value: 5 } },
      { f: { text: '5.0', value: 5 } },
      { f: { text: '6', value: 6 } },
    );
    expect(both.f).toEqual({ text: '5.0', value: 5 });
    const theirs = mergeThreeWay(
      { f: { text: '5', value: 5, n: 0 } },
      { f: { text: '5', value: 5, n: 1 } },
      { f: { text: '6', value: 6, n: 0 } },
    );
    expect(theirs.f).toEqual({ text: '6', value: 6, n: 1 });
  });
});
