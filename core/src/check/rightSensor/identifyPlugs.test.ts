import { describe, expect, test } from 'vitest';
import type { RightSensor } from '../job/recordSchemas.ts';
import { identifyPlugs } from './identifyPlugs.ts';

const named = (ids: string) => [...ids].map((id) => ({ id, name: id }));
/** Plugs as capitals, values as small letters; each trial is a plug and what moved ("-": nothing). */
const found = (
  plugs: string,
  values: string,
  trials: readonly string[],
  { measured = null, wanted = null }: { measured?: string | null; wanted?: string | null } = {},
) =>
  identifyPlugs({
    plugs: named(plugs),
    values: named(values),
    trials: trials.map(([plugId, moved], i) => ({ id: `t${i}`, plugId, movedId: moved === '-' ? null : moved })),
    wantedValueId: wanted,
    measuredPlugId: measured,
  } as unknown as RightSensor);

describe('which plug feeds which value', () => {
  test('what was seen; what is open; nothing else', () => {
    expect(found('ABC', 'abc', ['Ab'])).toEqual({
      pairs: [{ plugId: 'A', valueId: 'b', how: 'seen' }],
      openPlugs: ['B', 'C'],
      openValues: ['a', 'c'],
      conflicts: [],
      dead: [],
      wrongPlug: null,
      next: 'B',
    });
  });
  test('the last of each is left over, where there are as many plugs as values and nothing contradicts', () => {
    const all = found('AB', 'ab', ['Ab']);
    expect(all.pairs).toEqual([
      { plugId: 'A', valueId: 'b', how: 'seen' },
      { plugId: 'B', valueId: 'a', how: 'left-over' },
    ]);
    expect([all.openPlugs, all.openValues]).toEqual([[], []]);
    const leftOver = (...of: Parameters<typeof found>): boolean =>
      found(...of).pairs.some((p) => p.how === 'left-over');
    // Two plugs, one value or three: the other may be none of these.
    expect(leftOver('ABC', 'ab', ['Aa', 'C-'])).toBe(false);
    expect(leftOver('AB', 'abc', ['Aa'])).toBe(false);
    expect(leftOver('ABC', 'abc', ['Aa'])).toBe(false);
    // One of each and nothing tried.
    expect(leftOver('A', 'a', [])).toBe(false);
    // A plug that moves nothing leaves its value open: two values, no plug.
    expect(leftOver('AB', 'ab', ['Aa', 'B-'])).toBe(false);
    // A contradiction: two plugs moved one value, one moved two.
    expect(leftOver('ABC', 'abc', ['Aa', 'Ba'])).toBe(false);
    expect(leftOver('ABC', 'abc', ['Aa', 'Bb', 'Cb', 'Cc'])).toBe(false);
  });
  test('contradictions are said, with all that take part', () => {
    expect(found('AB', 'ab', ['Aa', 'Ab']).conflicts).toEqual([
      { kind: 'two-values', plugIds: ['A'], valueIds: ['a', 'b'] },
    ]);
    expect(found('AB', 'ab', ['Aa', 'Ba']).conflicts).toEqual([
      { kind: 'two-plugs', plugIds: ['A', 'B'], valueIds: ['a'] },
    ]);
    expect(found('AB', 'ab', ['Aa', 'Aa', 'Bb']).conflicts).toEqual([]);
  });
  test('a plug that moves nothing is dead and not open; one that moved something once is not dead', () => {
    const dead = found('AB', 'ab', ['A-']);
    expect([dead.dead, dead.openPlugs, dead.next]).toEqual([['A'], ['B'], 'B']);
    expect(found('AB', 'ab', ['A-', 'Aa']).dead).toEqual([]);
  });
});

describe('was it the right plug', () => {
  test('by the value that is complained of, or by what the plug moved', () => {
    expect(found('AB', 'ab', ['Aa'], { measured: 'A', wanted: 'a' }).wrongPlug).toBe(false);
    expect(found('ABC', 'abc', ['Aa'], { measured: 'B', wanted: 'a' }).wrongPlug).toBe(true);
    // The wanted value is open still, but the plug that was measured moved another one.
    expect(found('ABC', 'abc', ['Aa'], { measured: 'A', wanted: 'b' }).wrongPlug).toBe(true);
    // Two plugs moved it: the first that did counts.
    expect(found('ABC', 'abc', ['Ba', 'Ca'], { measured: 'B', wanted: 'a' }).wrongPlug).toBe(false);
  });
  test('not known: nothing measured, nothing wanted, or neither seen', () => {
    expect(found('ABC', 'abc', ['Aa'], { wanted: 'a' }).wrongPlug).toBeNull();
    expect(found('ABC', 'abc', ['Aa'], { measured: 'A' }).wrongPlug).toBeNull();
    expect(found('ABC', 'abc', ['Aa'], { measured: 'B', wanted: 'b' }).wrongPlug).toBeNull();
  });
  test('next: the plug that was measured, else the first untried; none once the wanted value is found', () => {
    expect(found('ABC', 'abc', ['A-'], { measured: 'C', wanted: 'b' }).next).toBe('C');
    expect(found('ABC', 'abc', ['Aa'], { measured: 'A', wanted: 'b' }).next).toBe('B');
    expect(found('ABC', 'abc', ['Aa'], { wanted: 'a' }).next).toBeNull();
    expect(found('AB', 'ab', ['A-', 'B-'], { wanted: 'a' }).next).toBeNull();
    // Tried with two outcomes: not open as a pair, yet not to be tried again either.
    expect(found('AB', 'abc', ['Aa', 'Ab']).next).toBe('B');
  });
});
