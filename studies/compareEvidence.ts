import { posteriorOf } from '../core/src/inference/posterior/posterior.ts';
import { seededCase } from './cases.ts';
import { yardstick } from './yardstick.ts';

/** How far the engine's ln evidence is from the yardstick's, over faults above 1 %. */
export interface EvidenceComparison {
  cases: number;
  draws: number;
  /** Faults above 1 % that were compared, and those for which the yardstick itself is not good to 0.1 nat (3σ). */
  compared: number;
  unsure: number;
  differences: { seed: number; fault: string; nat: number; own: number }[];
  sameLeader: number;
  /** How many times longer the yardstick takes for all faults. */
  timeRatio: number;
}

/** Compares on seeded cases with 1 to 18 readings. `unknownPullUp`: the pull-up has to be learned too. */
export function compareEvidence(
  cases: number,
  draws: number,
  unknownPullUp: boolean,
  progress: (done: number) => void,
): EvidenceComparison {
  const differences: EvidenceComparison['differences'] = [];
  let [sameLeader, engineMs, yardstickMs, compared, unsure] = [0, 0, 0, 0, 0];
  for (let i = 0; i < cases; i++) {
    const seed = 1000 + i;
    const { problem } = seededCase(seed, 1 + (i % 18), unknownPullUp);
    const start = performance.now();
    const { faults } = posteriorOf(problem);
    const middle = performance.now();
    const likely = new Set(faults.filter((f) => f.probability > 0.005).map((f) => f.fault.id));
    const brute = yardstick(problem, draws, (f) => likely.has(f.id), seed);
    engineMs += middle - start;
    yardstickMs += ((performance.now() - middle) / likely.size) * faults.length;
    const weight = (b: (typeof brute)[number]): number => Math.log(b.prior) + b.logEvidence;
    const best = brute.reduce((a, b) => (weight(a) > weight(b) ? a : b));
    const mine = faults.find((f) => f.fault.id === best.fault)!;
    // Two leaders closer than the errors of both are one.
    const tie = mine.probability > faults[0].probability * Math.exp(-0.1 - 3 * best.relativeError);
    sameLeader += mine === faults[0] || tie ? 1 : 0;
    for (const b of brute) {
      const f = faults.find((x) => x.fault.id === b.fault)!;
      if (f.probability < 0.01) continue;
      compared++;
      if (!(b.relativeError < 0.033)) unsure++;
      else differences.push({ seed, fault: b.fault, nat: f.logEvidence - b.logEvidence, own: b.relativeError });
    }
    progress(i + 1);
  }
  return { cases, draws, compared, unsure, differences, sameLeader, timeRatio: yardstickMs / engineMs };
}

/** The comparison as lines of text. */
export function evidenceText(c: EvidenceComparison): string[] {
  const sorted = c.differences.map((d) => Math.abs(d.nat)).sort((a, b) => a - b);
  const at = (share: number): string =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))].toFixed(3);
  const beyond = c.differences.filter((d) => Math.abs(d.nat) > 0.1);
  return [
    `${c.cases} cases with 1 to 18 readings, ${c.compared} faults above 1 %, ${c.draws} prior draws a fault; for ${c.unsure} of them the yardstick itself is not good to 0.1 nat (3σ)`,
    `difference in ln evidence: median ${at(0.5)}, 95 % ${at(0.95)}, worst ${at(1)} nat; beyond 0.1: ${beyond.length} of ${sorted.length}`,
    ...beyond.map((d) => `case ${d.seed}, ${d.fault}: ${d.nat.toFixed(3)} nat (yardstick ±${d.own.toFixed(3)})`),
    `same leader: ${c.sameLeader} of ${c.cases}`,
    `time, engine to yardstick (all faults): 1 : ${c.timeRatio.toFixed(0)}`,
  ];
}
