import { expect, test } from 'vitest';
import { reference } from '../../../test/reference.ts';
import { scanToolTemperatureC } from './scanToolByte.ts';

test('data bytes of a scan tool (SAE J1979, from memory; decoded alike by python3-scapy)', () => {
  let checked = 0;
  for (const row of reference('saej1979-temperature-pids.csv')) {
    for (const [, hex, value] of row.example.matchAll(/0x([0-9A-F]+) -> (-?[\d.]+)/g)) {
      const bytes = hex.match(/../g)!.map((b) => parseInt(b, 16));
      const celsius = scanToolTemperatureC(row.service_pid, bytes);
      if (row.unit === 'C') {
        expect(celsius, row.service_pid).toBeCloseTo(Number(value), 9);
        checked++;
      } else expect(celsius).toBeNull();
    }
  }
  expect(checked).toBeGreaterThanOrEqual(7);
  expect(scanToolTemperatureC('05', [])).toBeNull();
  expect(scanToolTemperatureC('3C', [1])).toBeNull();
  expect(scanToolTemperatureC('05', [300])).toBeNull();
});
