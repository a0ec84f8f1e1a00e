import { expect, test } from 'vitest';
import type { EventKind, Finding, LogEvent } from './finding.ts';
import { strengthOf } from './strength.ts';

const event = (kind: EventKind, sigmas: number): LogEvent => ({
  ...{ kind, fromS: 1, toS: 2, samples: 3, before: 0, level: 1, end: null, sigmas },
});
const events = (kind: EventKind, ...sigmas: number[]): Finding => ({
  kind: 'events',
  event: kind,
  channel: 'a',
  events: sigmas.map((s) => event(kind, s)),
  atC: null,
  onlyAboveC: null,
  under: [],
});

test('events by how far they stand out; the strongest counts', () => {
  expect([4, 6.4, 6.5, 9.9, 10].map((s) => strengthOf(events('spike', s)))).toEqual([
    'weak',
    'weak',
    'probable',
    'probable',
    'clear',
  ]);
  expect(strengthOf(events('step', 5, 12))).toBe('clear');
  expect(strengthOf(events('drop-out', 1))).toBe('clear');
  expect([strengthOf(events('stuck', 1)), strengthOf(events('stuck', 1, 1))]).toEqual(['probable', 'clear']);
  expect([3.5, 4, 6].map((s) => strengthOf(events('noise', s)))).toEqual(['weak', 'probable', 'clear']);
});
test('drift and loops by their own figure; a drift that is none claims nothing', () => {
  const drift = (perHourK: number, sigma: number): Finding => ({
    ...{ kind: 'drift', channel: 'a', against: 'b', meanK: 0, perHourK, sigma },
  });
  expect(strengthOf(drift(0.9, 0.01))).toBeNull();
  expect(strengthOf(drift(2, 0.7))).toBeNull();
  expect([strengthOf(drift(-2, 0.6)), strengthOf(drift(2, 0.5)), strengthOf(drift(-4, 0.5))]).toEqual([
    'weak',
    'probable',
    'clear',
  ]);
  const loop = (leftK: number): Finding => ({
    ...{ kind: 'loop', channel: 'a', against: 'b', widthK: 5, lagS: 0, sigmaK: 0.5, leftK },
  });
  expect([strengthOf(loop(1)), strengthOf(loop(-2)), strengthOf(loop(4))]).toEqual(['weak', 'probable', 'clear']);
});
test('a supply by its share, a cold start by its kelvin, wiggling by chance', () => {
  const sag = (toV: number): Finding => ({ kind: 'sag', channel: 'a', fromV: 5, toV, overS: 900 });
  expect([4.85, 4.8, 4.55, 5.45].map((v) => strengthOf(sag(v)))).toEqual(['weak', 'probable', 'clear', 'clear']);
  const cold = (oddOne: string | null, apartK: number): Finding => ({
    kind: 'cold-start',
    channels: [],
    oddOne,
    apartK,
  });
  expect([cold(null, 20), cold('a', 4), cold('a', 5), cold('a', 8)].map(strengthOf)).toEqual([
    null,
    'weak',
    'probable',
    'clear',
  ]);
  const wiggle = (place: string | null, chance: number): Finding => ({
    ...{ kind: 'wiggle', channel: 'a', count: 3, places: [], level: 0, place, chance },
  });
  expect([wiggle(null, 0), wiggle('plug', 0.2), wiggle('plug', 0.05), wiggle('plug', 0.001)].map(strengthOf)).toEqual([
    'weak',
    'weak',
    'probable',
    'clear',
  ]);
});
test('what was only read claims nothing', () => {
  expect(strengthOf({ kind: 'stretch', about: 'cold', stretches: [] })).toBeNull();
});
