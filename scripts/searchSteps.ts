// Searches steps for `core/src/base/numeric/quasiRandom.ts`, one after the other, and checks those that stand there.
// `npx tsx scripts/searchSteps.ts [how many, 18] [seed, 1]`: prints steps that keep both rules below. Minutes, not hours.
import { STEPS } from '../core/src/base/numeric/quasiRandom.ts';
import { seededUniform } from '../core/src/base/numeric/random.ts';

/** A step must stay this far from every fraction p/q: q·‖q·step‖, for q up to `DENOMINATORS`. */
const [DISTANCE, DENOMINATORS] = [0.15, 1600];
/** Points at which any two coordinates must fill 8×8 cells, and the largest χ² (63 degrees of freedom) and mean over the pairs. */
const [POINTS, WORST, MEAN] = [[256, 512, 1536], 160, 25];

function farFromFractions(step: number): boolean {
  for (let q = 1; q <= DENOMINATORS; q++) {
    const x = q * step;
    if (q * Math.abs(x - Math.round(x)) < DISTANCE) return false;
  }
  return true;
}

function chiSquare(a: number, b: number, points: number): number {
  const cells = new Int32Array(64);
  for (let i = 1; i <= points; i++) {
    cells[8 * Math.floor(8 * ((0.5 + i * a) % 1)) + Math.floor(8 * ((0.5 + i * b) % 1))]++;
  }
  return cells.reduce((sum, c) => sum + (c - points / 64) ** 2 / (points / 64), 0);
}

/** χ² of every pair at every number of points. */
function pairs(steps: readonly number[]): number[] {
  return steps.flatMap((a, i) => steps.slice(0, i).flatMap((b) => POINTS.map((n) => chiSquare(a, b, n))));
}

const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;

const present = [...STEPS];
const chi = pairs(present);
console.log(
  `the steps in use: ${present.filter(farFromFractions).length} of ${present.length} far from fractions; χ² worst ${Math.max(...chi).toFixed(0)}, mean ${mean(chi).toFixed(1)}`,
);

const [wanted, seed] = [Number(process.argv[2] ?? 18), Number(process.argv[3] ?? 1)];
const uniform = seededUniform(seed);
const found: number[] = [];
for (let tries = 0; found.length < wanted && tries < 3e6; tries++) {
  const step = Number((0.15 + 0.7 * uniform()).toFixed(10));
  if (!farFromFractions(step)) continue;
  const against = found.flatMap((b) => POINTS.map((n) => chiSquare(step, b, n)));
  if (against.some((c) => c > WORST) || (against.length > 0 && mean(against) > MEAN)) continue;
  found.push(step);
  console.log(`${found.length}: ${step} (try ${tries})`);
}
if (found.length < wanted) console.log(`found ${found.length} of ${wanted}: another seed may find more`);
