import { expect, test } from 'vitest';
import { problemWith } from '../../../test/problems.ts';
import { posteriorOf } from '../posterior/posterior.ts';
import { groupProbabilities } from './assessment.ts';
import { withoutEach } from './withoutReading.ts';

test('each reading left out in turn, as if it had never been taken', () => {
  const problem = problemWith([
    ['open-voltage', 5],
    ['sensor-ohms', Infinity],
  ]);
  const found = withoutEach(problem);
  expect(found.map((f) => f.id)).toEqual(['r0', 'r1']);
  const alone = (measurement: string, value: number) =>
    groupProbabilities(posteriorOf(problemWith([[measurement, value]])).faults);
  const [ohms, volts] = [alone('sensor-ohms', Infinity), alone('open-voltage', 5)];
  expect(found[0]).toMatchObject({
    leader: 'sensor',
    probability: ohms[0].probability,
    ofPresentLeader: ohms[0].probability,
  });
  // Without the ohms nothing is wrong yet; the sensor, which leads with all readings, is told as it would be then.
  expect(found[1].leader).toBe(volts[0].group);
  expect(found[1].probability).toBe(volts[0].probability);
  expect(found[1].ofPresentLeader).toBe(volts.find((g) => g.group === 'sensor')!.probability);
  expect(found[1].ofPresentLeader).toBeLessThan(found[0].ofPresentLeader);
});
