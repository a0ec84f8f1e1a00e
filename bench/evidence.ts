// The engine's evidence against plain averaging over prior draws, fault by fault. Arguments: cases (60), draws (1000000), 'unknown' for a
// pull-up that has to be learned.
import { posteriorOf } from '../core/src/diagnosis/posterior.ts';
import { seededCase } from './cases.ts';
import { yardstick } from './yardstick.ts';

const cases = Number(process.argv[2] ?? 60);
const draws = Number(process.argv[3] ?? 1_000_000);
const differences: { seed: number; fault: string; nat: number; own: number }[] = [];
let [leaders, engineMs, yardstickMs, compared, unsure] = [0, 0, 0, 0, 0];

for (let i = 0; i < cases; i++) {
  const seed = 1000 + i;
  const { problem } = seededCase(seed, 1 + (i % 18), process.argv[4] === 'unknown');
  const start = performance.now();
  const { faults } = posteriorOf(problem);
  const middle = performance.now();
  const likely = new Set(faults.filter((f) => f.probability > 0.005).map((f) => f.fault.id));
  const brute = yardstick(problem, draws, (f) => likely.has(f.id), seed);
  engineMs += middle - start;
  yardstickMs += ((performance.now() - middle) / likely.size) * faults.length;
  // Both normalised over the faults compared.
  const weight = (log: number, prior: number): number => Math.log(prior) + log;
  const best = brute.reduce((a, b) => (weight(a.logEvidence, a.prior) > weight(b.logEvidence, b.prior) ? a : b));
  const leaderShare = faults[0].probability;
  const mine = faults.find((f) => f.fault.id === best.fault)!;
  const tie = mine.probability > leaderShare * Math.exp(-0.1 - 3 * best.relativeError);
  leaders += mine === faults[0] || tie ? 1 : 0;
  for (const b of brute) {
    const f = faults.find((x) => x.fault.id === b.fault)!;
    if (f.probability < 0.01) continue;
    compared++;
    if (!(b.relativeError < 0.033)) unsure++;
    else differences.push({ seed, fault: b.fault, nat: f.logEvidence - b.logEvidence, own: b.relativeError });
  }
}

const sorted = differences.map((d) => Math.abs(d.nat)).sort((a, b) => a - b);
const at = (share: number): string => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))].toFixed(3);
console.log(`${cases} cases, ${compared} faults above 1 %, ${draws} draws a fault; in ${unsure} the yardstick itself is not good to 0.1 nat (3σ)`);
console.log(`difference in nat: median ${at(0.5)}, 95 % ${at(0.95)}, worst ${at(1)}; beyond 0.1: ${sorted.filter((d) => d > 0.1).length} of ${sorted.length}`);
for (const d of differences.filter((x) => Math.abs(x.nat) > 0.1)) console.log(`  case ${d.seed} ${d.fault}: ${d.nat.toFixed(3)} (yardstick ±${d.own.toFixed(3)})`);
console.log(`same leader: ${leaders} of ${cases}`);
console.log(`time, engine to yardstick (all faults): 1 : ${(yardstickMs / engineMs).toFixed(0)}`);
