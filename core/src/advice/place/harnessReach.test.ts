import { describe, expect, test } from 'vitest';
import { genericKit } from '../../catalogue/kit/kitSchema.ts';
import { hintFactor } from '../../circuit/harness/hints.ts';
import { newHarness, newStop } from '../../circuit/harness/harnessSchema.ts';
import { figure } from '../../base/units/entry.ts';
import { reachOf, usualReach } from './harnessReach.ts';

describe('how much work a stop is', () => {
  const harnessOf = (...openings: string[]) => ({
    ...newHarness(),
    stops: openings.map((opening, i) => ({ ...newStop(`c${i}`, i === 2 ? 'splice' : 'connector'), opening })),
  });
  test('what is laid open in one go has one number, however the words are written; no word is an opening of its own', () => {
    expect(reachOf(harnessOf('Left cover', ' left COVER ', ''), genericKit()).opening).toEqual([0, 1, 1, 3, 4]);
    expect(reachOf(harnessOf('', '', ''), genericKit()).opening).toEqual([0, 1, 2, 3, 4]);
    expect(reachOf(harnessOf('a', 'b', 'a'), genericKit()).opening).toEqual([0, 1, 2, 1, 4]);
    const ends = harnessOf('dash', '', '');
    ends.module.opening = 'Dash';
    ends.plug.opening = 'dash';
    expect(reachOf(ends, genericKit()).opening).toEqual([0, 0, 2, 3, 0]);
  });
  test('minutes as told, else as usual for its kind, and by how hard module and plug are to reach', () => {
    const loom = harnessOf('', '', '');
    expect(reachOf(loom, genericKit()).minutes).toEqual([15, 6, 6, 12, 3]);
    loom.stops[0].minutes = figure(40);
    loom.stops[1].minutes = figure(0);
    loom.stops[2].minutes = figure(1e6);
    expect(reachOf(loom, genericKit()).minutes).toEqual([15, 40, 6, 5000, 3]);
    const kit = { ...genericKit(), access: { plug: 'hard', module: 'easy', sensor: 'usual' } as const };
    expect(reachOf(harnessOf('', '', ''), kit).minutes).toEqual([9, 6, 6, 12, 9]);
    expect(usualReach(2)).toMatchObject({ minutes: [15, 6, 6, 3], opening: [0, 1, 2, 3] });
  });
  test('what can still be looked at or wiggled: each once, by what its outcomes add to the hints that stand', () => {
    const loom = harnessOf('', '', '');
    loom.stops[0].hints = ['wiggle-still', 'wet'];
    loom.stops[1].hints = ['corroded'];
    const { looks } = reachOf(loom, genericKit());
    expect(looks.filter((l) => l.stop === 1).map((l) => l.kind)).toEqual(['look']);
    expect(looks.filter((l) => l.stop === 2).map((l) => l.kind)).toEqual(['wiggle']);
    expect(looks.filter((l) => l.stop === 3).map((l) => l.kind)).toEqual(['wiggle', 'look']);
    const [{ outcomes }] = looks.filter((l) => l.stop === 1);
    expect(outcomes.map((o) => o.hint)).toEqual(['corroded', 'looked']);
    for (const { hint, series, leak } of outcomes) {
      const had = loom.stops[0].hints;
      expect(series).toBeCloseTo(hintFactor([...had, hint], 'series') / hintFactor(had, 'series'), 12);
      expect(leak).toBeCloseTo(hintFactor([...had, hint], 'leak') / hintFactor(had, 'leak'), 12);
    }
  });
});
