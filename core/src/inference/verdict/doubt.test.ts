import { describe, expect, test } from 'vitest';
import type { FaultPosterior, Posterior } from '../posterior/posterior.ts';
import type { Thermometer } from '../model/problem.ts';
import { doubtOf, explainedReadings, stretchedBy, thermometerSlip } from './doubt.ts';

/** A draw of which only what is looked at is filled in; the first prediction tells the draws apart. */
interface Drawn {
  weight: number;
  u?: readonly number[];
  temperatureC?: number;
  blunder?: number;
  explained?: readonly number[];
}
/** Faults by probability and draws, on as many readings as wanted. The stand-in predictor says of each draw what the draw itself says. */
function standIn(
  faults: readonly (readonly [probability: number, draws: readonly Drawn[]])[],
  {
    readings = 3,
    names = [],
    slips = [],
    steady,
  }: { readings?: number; names?: string[]; slips?: { kind: string; meant: number }[]; steady?: Thermometer } = {},
): { posterior: Posterior; faults: FaultPosterior[] } {
  const all = faults.flatMap(([, draws]) => draws);
  const list = faults.map(([probability, draws]) => ({
    probability,
    draws: draws.map((d) => ({
      weight: d.weight,
      u: d.u ?? [all.indexOf(d)],
      predictions: new Array<number>(readings).fill(all.indexOf(d)),
      hypothesis: all.indexOf(d),
    })),
  })) as unknown as FaultPosterior[];
  const ids = Array.from({ length: readings }, (_, i) => ({ id: `r${i}` }));
  const predictor = {
    problem: { readings: ids, thermometers: { steady } },
    readings: ids.map(() => ({ slips })),
    latent: { names, thermometerBlunder: (u: readonly number[]) => all[u[0]].blunder ?? 0 },
    explanations: (_: number, draw: number, out: Float64Array) => out.set(all[draw].explained ?? [1, 0, 0]),
    solvedAt: (draw: number) => ({ state: { temperatureC: all[draw].temperatureC } }),
  };
  return { posterior: { predictor, faults: list, logEvidence: 0 } as unknown as Posterior, faults: list };
}

describe('how far it may be trusted', () => {
  const doubt = (blunders: readonly number[], thermometer = 0) => {
    const { posterior, faults } = standIn([[1, [{ weight: 1, blunder: thermometer }]]], { readings: blunders.length });
    return doubtOf(posterior, faults, blunders);
  };
  test('nothing read; everything met; a little of everything', () => {
    expect(doubt([])).toEqual({ kind: 'no-readings' });
    expect(doubt([0, 0, 0])).toEqual({ kind: 'none' });
    expect(doubt([0.4, 0.29, 0])).toEqual({ kind: 'none' });
    expect(doubt([0.5, 0.1, 0], 0.5)).toEqual({ kind: 'none' });
  });
  test('two that exclude each other: both, and none that is half as doubtful', () => {
    expect(doubt([0.4, 0, 0.35])).toEqual({ kind: 'contradiction', readings: ['r0', 'r2'] });
    expect(doubt([0.48, 0.25, 0.1])).toEqual({ kind: 'contradiction', readings: ['r0', 'r1'] });
    expect(doubt([0.5, 0.25, 0.1])).toEqual({ kind: 'contradiction', readings: ['r0'] });
  });
  test('one reading is doubted, several are nothing that fits, most doubtful first; the thermometer is one of them', () => {
    expect(doubt([0.1, 0.6, 0])).toEqual({ kind: 'contradiction', readings: ['r1'] });
    expect(doubt([0.7, 0, 0.9])).toEqual({ kind: 'nothing-fits', readings: ['r2', 'r0'] });
    expect(doubt([0, 0, 0], 0.8)).toEqual({ kind: 'contradiction', readings: ['thermometer'] });
    expect(doubt([0.6, 0, 0], 0.8)).toEqual({ kind: 'nothing-fits', readings: ['thermometer', 'r0'] });
  });
  test('of two readings alone nobody says which; the thermometer is told apart', () => {
    expect(doubt([0.6, 0])).toEqual({ kind: 'contradiction', readings: ['r0', 'r1'] });
    expect(doubt([0.1, 0], 0.8)).toEqual({ kind: 'contradiction', readings: ['thermometer'] });
    expect(doubt([0.9])).toEqual({ kind: 'contradiction', readings: ['r0'] });
  });
});

describe('what a reading is', () => {
  const slips = [
    { kind: 'missed-k', meant: 2000 },
    { kind: 'range-switch', meant: 20 },
  ];
  const explained = (draws: readonly Drawn[], second: readonly Drawn[] = []) => {
    const { posterior, faults } = standIn(
      [
        [0.75, draws],
        [0.25, second],
      ],
      { readings: 1, slips },
    );
    return explainedReadings(posterior, faults)[0];
  };
  test('each explanation averaged over faults and draws; the slip that has more than half is named', () => {
    const all = explained(
      [
        { weight: 0.5, explained: [0.8, 0.1, 0, 0.05, 0.05] },
        { weight: 0.5, explained: [0, 1, 0, 0, 0] },
      ],
      [{ weight: 1, explained: [0, 0.9, 0.1, 0, 0] }],
    );
    // 0.375 · 0.1 + 0.375 + 0.25 · 0.9.
    expect(all.blunder).toBeCloseTo(1 - 0.375 * 0.8, 12);
    expect(all.slip).toEqual({ kind: 'missed-k', meant: 2000 });
    expect(explained([{ weight: 1, explained: [0.2, 0.1, 0.7, 0, 0] }]).slip).toEqual({
      kind: 'range-switch',
      meant: 20,
    });
  });
  test('a wrong pin is to be taken again; a half is not enough; any other blunder has no name', () => {
    expect(explained([{ weight: 1, explained: [0.2, 0, 0, 0.7, 0.1] }]).slip).toEqual({
      kind: 'wrong-pin',
      meant: null,
    });
    expect(explained([{ weight: 1, explained: [0.5, 0, 0, 0.5, 0] }]).slip).toBeNull();
    expect(explained([{ weight: 1, explained: [0.5, 0.5, 0, 0, 0] }]).slip).toBeNull();
    const other = explained([{ weight: 1, explained: [0.1, 0, 0, 0, 0.9] }]);
    expect(other.blunder).toBeCloseTo(0.9, 12);
    expect(other.slip).toBeNull();
  });
});

describe('what is stretched', () => {
  const names = ['reference', 'pull-up', 'sensor'];
  const stretched = (u: readonly number[], readings = 1) => {
    const { posterior, faults } = standIn([[1, [{ weight: 1, u }]]], { names, readings });
    return stretchedBy(posterior, faults);
  };
  test('beyond 2.7 σ either way, furthest first; nothing before the first reading', () => {
    expect(stretched([2.6, -2.69, 2.7])).toEqual([]);
    expect(stretched([2.8, 0, -3.5])).toEqual([
      { unknown: 'sensor', sigmas: -3.5 },
      { unknown: 'reference', sigmas: 2.8 },
    ]);
    expect(stretched([5, 5, 5], 0)).toEqual([]);
  });
  test('on the mean of all draws, by their weights and the probability of their faults', () => {
    const { posterior, faults } = standIn(
      [
        [
          0.5,
          [
            { weight: 0.5, u: [4] },
            { weight: 0.5, u: [2] },
          ],
        ],
        [0.25, [{ weight: 1, u: [6] }]],
      ],
      { names: ['reference'] },
    );
    const [only, ...rest] = stretchedBy(posterior, faults);
    expect(rest).toEqual([]);
    expect(only.unknown).toBe('reference');
    expect(only.sigmas).toBeCloseTo(4, 12);
  });
});

describe('a thermometer in the other unit', () => {
  const slip = (readC: number, temperatures: readonly number[], steady?: Partial<Thermometer>) => {
    const draws = temperatures.map((temperatureC) => ({ weight: 1 / temperatures.length, temperatureC }));
    const { posterior, faults } = standIn([[1, draws]], { steady: { readC, sigmaK: 1, ...steady } });
    return thermometerSlip(posterior, faults);
  };
  test('°F taken for °C or the other way round, where most of what is believed lies there', () => {
    expect(slip(20, [68, 67, 30])).toBe(68);
    expect(slip(-4, [-20, -20.5])).toBe(-20);
    // Nearer than four kelvin, in more than half.
    expect(slip(20, [64, 64, 72])).toBeNull();
    expect(slip(20, [68, 20])).toBeNull();
  });
  test('where both units say much the same there is nothing to tell', () => {
    // −30 °C are −22 °F, and −30 °F −34.4 °C: less than twelve kelvin off.
    expect(slip(-30, [-34.4])).toBeNull();
    expect(slip(-30, [-22])).toBeNull();
  });
});
