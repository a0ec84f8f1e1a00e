import type { Problem } from './problem.ts';

/** How near two displayed values are the same, K. */
const SAME_K = 1.5;

/** Does the display show the same whether the sensor is plugged in, unplugged or bridged? Then it tells nothing more. */
export function displayStuck({ readings, circuit }: Problem): boolean {
  const of = (id: string) => readings.filter((r) => r.measurement === id && r.state === 'steady').map((r) => r.value);
  const plugged = of('displayed');
  const others = [...of('displayed-unplugged'), ...of('displayed-bridged')];
  const { minC, maxC } = circuit.display;
  const atEnd = (v: number): boolean => v <= minC + 3 * SAME_K || v >= maxC - 3 * SAME_K;
  const same = (a: number, b: number): boolean => a === b || Math.abs(a - b) <= SAME_K;
  const [open] = of('displayed-unplugged');
  const [bridged] = of('displayed-bridged');
  if (open !== undefined && bridged !== undefined) return same(open, bridged);
  return others.some((v) => !atEnd(v) && plugged.some((p) => same(p, v)));
}
