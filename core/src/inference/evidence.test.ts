import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { seededCase } from '../../../bench/cases.ts';
import { posteriorOf } from './posterior.ts';

/** ln evidence by plain averaging over a million prior draws (`npm run yardstick`), with the relative standard error of that average. */
const stored = JSON.parse(readFileSync(new URL('../../test/data/evidence.json', import.meta.url), 'utf8')) as {
  cases: {
    seed: number;
    readings: number;
    unknownPullUp: boolean;
    faults: { fault: string; logEvidence: number; error: number }[];
  }[];
};

/** The aim of the fault model, nat. */
const AIM = 0.1;

describe('evidence against brute force', () => {
  test('every fault that matters in every stored case; how far they are apart', () => {
    const differences: { at: string; nat: number; error: number }[] = [];
    for (const { seed, readings, unknownPullUp, faults } of stored.cases) {
      const found = posteriorOf(seededCase(seed, readings, unknownPullUp).problem).faults;
      for (const { fault, logEvidence, error } of faults) {
        const mine = found.find((f) => f.fault.id === fault)!;
        differences.push({ at: `${seed} ${fault}`, nat: mine.logEvidence - logEvidence, error });
      }
    }
    expect(differences.length).toBeGreaterThan(60);
    const size = differences.map((d) => Math.abs(d.nat)).sort((a, b) => a - b);
    expect(size[Math.floor(size.length / 2)]).toBeLessThan(0.03);
    expect(size[Math.floor(size.length * 0.9)]).toBeLessThan(AIM);
    const beyond = differences.filter((d) => Math.abs(d.nat) > AIM + 3 * d.error);
    expect(beyond).toEqual([]);
  });
});
