import { expect, test } from 'vitest';
import { unbroken } from './unbroken.ts';

const seen = (text: string): string => unbroken(text).replaceAll('\u00a0', '_');

test.each([
  ['Engine coolant · 5 V · 2.49 kΩ · NTC 2 kΩ', 'Engine coolant · 5_V · 2.49_kΩ · NTC 2_kΩ'],
  ['12 °C shown at 21 °C: agrees.', '12_°C shown at 21_°C: agrees.'],
  ['± 0.5 K, wiring 62 %). 5 mV/K', '±_0.5_K, wiring 62_%). 5_mV/K'],
  ['50 000 Ω still show 5 V, 0.75 mm² over 10 m in 3 min', '50_000_Ω still show 5_V, 0.75_mm² over 10_m in 3_min'],
  ['49 kB of 11 GB', '49_kB of 11_GB'],
])('%s: a figure stays with its unit', (text, wanted) => expect(seen(text)).toBe(wanted));

test.each(['3 machines', '2 to 3 k at the plug', 'C1 module', '4 values', 'pump 3 stands', '6 of 7', '12 Vane'])(
  '%s: nothing is a unit here',
  (text) => expect(unbroken(text)).toBe(text),
);
