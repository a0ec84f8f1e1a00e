// @vitest-environment happy-dom
import { dayText, fixed, momentText } from '@mellow-probe/core/units/writing';
import { computed } from 'vue';
import { expect, test } from 'vitest';
import { deviceDayPattern, deviceDecimal, reader, writeAsChosen } from './writing.ts';

test('mark and order of days of a language; Latin figures and the common calendar whatever the language', () => {
  expect(['en-US', 'en-GB', 'de-DE', 'fr-FR', 'sv-SE', 'ar-EG', 'ja-JP'].map(deviceDecimal)).toEqual([
    ...['.', '.', ',', ',', ',', ',', '.'],
  ]);
  expect(['en-US', 'en-GB', 'de-DE', 'sv-SE', 'fr-CA', 'hu-HU', 'th-TH'].map(deviceDayPattern)).toEqual([
    ...['MM/DD/YYYY', 'DD/MM/YYYY', 'DD.MM.YYYY', 'YYYY-MM-DD', 'YYYY-MM-DD', 'YYYY. MM. DD.', 'DD/MM/YYYY'],
  ]);
});

test('what is chosen holds at once, for texts that were written before as well', () => {
  writeAsChosen('.', 'iso');
  const text = computed(() => `${fixed(1.5, 1)} on ${dayText('2026-11-07')}`);
  expect(text.value).toBe('1.5 on 2026-11-07');
  writeAsChosen(',', 'iso');
  expect(text.value).toBe('1,5 on 2026-11-07');
  reader.dayPattern = 'DD.MM.YYYY';
  expect(text.value).toBe('1,5 on 07.11.2026');
  expect(momentText('2026-11-07T12:30:00')).toBe('07.11.2026 12:30');
  writeAsChosen('device', 'device');
  expect([reader.decimal, reader.dayPattern]).toEqual([deviceDecimal(), deviceDayPattern()]);
});
