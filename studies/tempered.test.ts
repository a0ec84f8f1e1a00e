import { readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, test } from 'vitest';
import { weightedFaults } from '../core/src/inference/model/hypotheses.ts';
import { seededCase } from './cases.ts';
import { temperedEvidence } from './tempered.ts';

interface StoredCase {
  seed: number;
  readings: number;
  unknownPullUp: boolean;
  faults: { fault: string; logEvidence: number; error: number }[];
}
const { cases } = JSON.parse(
  readFileSync(path.resolve(import.meta.dirname, '../core/test/data/evidence.json'), 'utf8'),
) as { cases: StoredCase[] };

const EASY = { runs: 2, particles: 200, moves: 3, draws: 10_000 };
/** On a ridge more is needed. */
const HARD = { runs: 2, particles: 500, moves: 3, draws: 30_000 };

/** Among them the ones in which the engine is known to be off: a ridge (2023), readings that contradict each other (1004, 1324). */
test.each([2003, 2011, 2023, 1004, 1324])('case %i: as plain averaging over a million prior draws says', (seed) => {
  const { readings, unknownPullUp, faults } = cases.find((c) => c.seed === seed)!;
  const { problem } = seededCase(seed, readings, unknownPullUp);
  for (const { fault: id, logEvidence, error } of faults.slice(0, 3)) {
    const { fault } = weightedFaults(problem).find((f) => f.fault.id === id)!;
    const found = temperedEvidence(problem, fault, seed < 2000 ? HARD : EASY);
    expect(found.relativeError, id).toBeLessThan(seed < 2000 ? 0.6 : 0.2);
    expect(Math.abs(found.logEvidence - logEvidence), id).toBeLessThan(4 * Math.hypot(found.relativeError, error));
    expect(found.draws).toBeGreaterThan(15_000);
  }
});
