import { expect, test } from 'vitest';
import { chosenText, countText, deletedText, followUpsText } from './ledgerText.ts';
import { spokenText } from './spokenText.ts';
import { withoutText } from './withoutText.ts';

test('one and many', () => {
  expect([countText(1, 'check', 'checks'), countText(0, 'check', 'checks')]).toEqual(['1 check', '0 checks']);
  expect(followUpsText({ open: 1, next: '2026-04-02' })).toBe('1 follow-up, next 2026-04-02');
  expect(followUpsText({ open: 2, next: null })).toBe('2 follow-ups');
  expect([deletedText(['Boat']), deletedText(['']), deletedText(['a', 'b'])]).toEqual([
    'Deleted “Boat”.',
    'Deleted “untitled”.',
    'Deleted 2 checks.',
  ]);
  expect([chosenText(1, 0), chosenText(3, 2)]).toEqual([
    '1 check chosen.',
    '3 checks chosen, 2 of them not shown here.',
  ]);
});

test('a figure as a voice says it: no sign that a voice would swallow', () => {
  expect(spokenText(4.4, 'volts', 'high', 'C')).toBe('4.40 volts, high.');
  expect(spokenText(0.0123, 'volts', '', 'C')).toBe('0.01 volts.');
  expect(spokenText(3600, 'ohms', 'as healthy', 'C')).toBe('3.60 kilohms, as healthy.');
  expect(spokenText(2.2e6, 'ohms', 'low', 'C')).toBe('2.20 megohms, low.');
  expect(spokenText(330, 'ohms', '', 'C')).toBe('330 ohms.');
  expect(spokenText(-24, 'celsius', 'low', 'C')).toBe('minus 24 degrees Celsius, low.');
  expect(spokenText(20, 'celsius', '', 'F')).toBe('68 degrees Fahrenheit.');
  expect(spokenText('OL', 'ohms', 'high', 'C')).toBe('Over range, no connection, high.');
});

test('what hangs on a reading, and who would lead without it', () => {
  const without = { id: 'a', leader: 'wiring', probability: 0.9, ofPresentLeader: 0.9 } as const;
  expect(withoutText(without, 'wiring', 'sensor ohms')).toBe('Without sensor ohms: wiring 90 %.');
  expect(withoutText({ ...without, leader: 'sensor', probability: 0.69, ofPresentLeader: 0.19 }, 'wiring', 'it')).toBe(
    'Without it: wiring 19 %; sensor would lead with 69 %.',
  );
});
