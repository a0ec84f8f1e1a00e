import { expect, test } from 'vitest';
import { pastedSensors } from './pastedSensors.ts';

test.each([
  ['Coolant 18.5', 'Coolant', '18.5'],
  ['oil: 19 °C', 'oil', '19 °C'],
  ['IAT;17,5', 'IAT', '17,5'],
  ['Intake air = -3 C', 'Intake air', '-3 C'],
  ['Sensor 2\t64 °F', 'Sensor 2', '64 °F'],
  ['Boiler flow | −2', 'Boiler flow', '−2'],
])('%s', (line, name, text) => expect(pastedSensors(line)).toEqual([{ name, text }]));

test('several lines; what has no name or no figure is left out', () => {
  expect(pastedSensors('a 1\r\n\nwarm\n17\nb 2\n').map((s) => s.name)).toEqual(['a', 'b']);
});
