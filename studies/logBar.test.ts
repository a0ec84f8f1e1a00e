import { expect, test } from 'vitest';
import { scoreLog } from './logBar.ts';

// A fixed sample of the bar of `npm run accuracy`: 16 faulty and 16 sound logs of the test set, every machine, fault and sort of logger among them.
const SEEDS = Array.from({ length: 16 }, (_, i) => 15 * i);

test('columns, units and clocks of made-up logs are read right, or asked; never silently wrong', () => {
  const all = SEEDS.map((seed) => scoreLog('test', seed, false));
  expect(all.filter((s) => s.columns === 'wrong')).toEqual([]);
  expect(all.filter((s) => s.columns === 'asked').length).toBeLessThanOrEqual(1);
  expect(all.filter((s) => s.columns === 'right' && !s.right).map((s) => s.name)).toEqual([]);
});
test('what was put into a log is found as what it is', () => {
  const all = SEEDS.map((seed) => scoreLog('test', seed, true));
  expect(all.filter((s) => s.columns === 'wrong')).toEqual([]);
  expect(all.filter((s) => !s.right).length).toBeLessThanOrEqual(1);
});
