import { expect, test } from 'vitest';
import type { newJob } from '../check/job/newJob.ts';
import {
  beatenText,
  caseCodeText,
  caseCostsText,
  closedText,
  damagedRecordsText,
  decidedText,
  earlierText,
  lineFaultsText,
  measuringMinutesText,
  namelessText,
  ownRatesText,
  provedChecksText,
  pullUpLearnedText,
  pullUpOfPairText,
  rightAtOnceText,
  unreadablePhotosText,
  unsureFiguresText,
} from './noticeText.ts';

test('one and several', () => {
  expect([1, 2].map(unreadablePhotosText)).toEqual([
    '1 photo is not a picture and is left out.',
    '2 photos are not pictures and are left out.',
  ]);
  expect([1, 3].map(namelessText)).toEqual([
    '1 check names no machine and is not in here.',
    '3 checks name no machine and are not in here.',
  ]);
  expect([1, 4].map(provedChecksText)).toEqual(['1 check verified', '4 checks verified']);
  expect([earlierText(1, false), earlierText(2, true)]).toEqual([
    '1 earlier check here:',
    '2 earlier checks here, and it came back:',
  ]);
  expect([unsureFiguresText(1, 9), unsureFiguresText(2, 9), unsureFiguresText(0, 9)]).toEqual([
    '1 figure to check: correct it, or tap ✓ if it matches the picture.',
    '2 figures to check: correct them, or tap ✓ if they match the picture.',
    '9 rows, each figure beside its place in the picture.',
  ]);
  expect(damagedRecordsText(['a'])).toBe(
    '1 record is damaged or not a record of this program, and will not be restored: a',
  );
  expect(damagedRecordsText(['a', 'b', 'c'])).toBe(
    '3 records are damaged or not records of this program, and will not be restored: a, b, c',
  );
  expect(damagedRecordsText(['a', 'b', 'c', 'd'])).toMatch(/^4 records .* a, b, c …$/);
  expect([1, 2].map((n) => lineFaultsText(n, 'no answer'))).toEqual([
    '1 fault; last: no answer. No figure was taken from it.',
    '2 faults; last: no answer. No figure was taken from it.',
  ]);
});

test('what was decided, closed and learned', () => {
  const at = '2026-11-07T12:30:00Z';
  const decision = {
    group: 'sensor',
    toolGroup: 'wiring',
    toolProbability: 0.623,
    reason: 'ohms',
    decidedAt: at,
  } as const;
  expect(decidedText(decision)).toEqual({ decided: 'Decided: Sensor', then: '(the tool then: wiring 62 %). ohms' });
  expect(decidedText({ ...decision, reason: '' }).then).toBe('(the tool then: wiring 62 %).');
  const closed = { at, how: 'unproved', reason: 'at sea' } as unknown as NonNullable<
    ReturnType<typeof newJob>['closed']
  >;
  expect(closedText(closed)).toBe('Closed 2026-11-07 12:30, not verified. at sea');
  expect(closedText({ ...closed, reason: '' })).toBe('Closed 2026-11-07 12:30, not verified.');
  expect(pullUpOfPairText(2490, 30)).toBe(
    'That pair says a pull-up of about 2.49 kΩ ± 60.0 Ω. Empty the field to use it.',
  );
  expect(pullUpLearnedText({ low: 2300, middle: 2490, high: 2700 })).toBe(
    'Pull-up learned: about 2.49 kΩ (2.30 … 2.70 kΩ)',
  );
  expect(ownRatesText({ checks: 12, at } as unknown as Parameters<typeof ownRatesText>[0])).toBe(
    'It starts from this workshop’s own 12 closed checks, as they stood on 2026-11-07.',
  );
  expect(measuringMinutesText({ spent: 12.6, planned: 9.4, checks: 1 })).toBe(
    '13 min spent in 1 check, pauses over half an hour left out; the tests taken were planned with 9 min.',
  );
});

test('a training case and how it goes', () => {
  expect(caseCostsText({ part: 45, fitMinutes: 19.6, module: 300, back: 60 })).toBe(
    'A sensor costs 45 and 20 min, a module 300; a second visit 60.',
  );
  const code = { id: 'c', code: 'E11', state: 'present' } as const;
  expect(caseCodeText(code)).toBe('Code E11, present');
  expect(caseCodeText({ ...code, state: 'past', own: { what: 'outdoor coil', says: 'low' } })).toBe(
    'Code E11, from the past: outdoor coil',
  );
  expect(rightAtOnceText(3, 7)).toBe('3 of 7 right first time');
  expect(beatenText(2, 3)).toBe(
    'In 2 of them at no more than the ideal’s cost. The next ones are of difficulty 3 of 3.',
  );
});
