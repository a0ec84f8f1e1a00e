import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { coolantCircuit, problemWith } from '../../../test/problems.ts';
import { YARD_SPREAD } from '../../circuit/network/spread.ts';
import { CATALOGUE_CIRCUITS } from '../../catalogue/parts/circuits.ts';
import { catalogueCircuit } from '../../catalogue/parts/catalogueCircuit.ts';
import { FAULTS } from '../../circuit/faults/list.ts';
import { MEASUREMENTS } from '../../circuit/measurements/list.ts';
import { normalQuantile } from '../../base/numeric/normal.ts';
import { seededUniform } from '../../base/numeric/random.ts';
import { weightedQuantile } from '../../base/numeric/weightedQuantile.ts';
import { assess, groupProbabilities } from '../verdict/assessment.ts';
import { chartLines } from '../verdict/chartLines.ts';
import { healthyRanges, plainTests } from '../model/healthyRanges.ts';
import { hypothesesOf, settingOf, weightedFaults } from '../model/hypotheses.ts';
import { mutualInformation, outcomeTable, predictAll, thinned } from '../../advice/nextTest/information.ts';
import { inside } from '../../base/numeric/interval.ts';
import { predictiveInterval } from '../model/predictiveInterval.ts';
import { LatentSpace } from '../model/latent.ts';
import { boundNoise, displayedNoise, logMixture, ohmsNoise, voltsNoise } from '../model/noise.ts';
import { outcomesOf } from '../../advice/nextTest/outcomes.ts';
import { candidateTests } from '../../advice/nextTest/nextTest.ts';
import { EVERYTHING_AT_HAND } from '../../catalogue/kit/access.ts';
import { posteriorOf } from './posterior.ts';
import { noiseOf, Predictor } from '../model/predictor.ts';
import { GENERIC_INSTRUMENTS } from '../../catalogue/kit/instruments.ts';
import { simulateCase, withReadings } from '../../training/simulation/simulateCase.ts';

const scale = coolantCircuit().display;

describe('noise', () => {
  const models = {
    volts: voltsNoise(GENERIC_INSTRUMENTS, 12.6),
    ohms: ohmsNoise(GENERIC_INSTRUMENTS),
    celsius: displayedNoise(GENERIC_INSTRUMENTS, scale, YARD_SPREAD),
  };
  test('the density of a voltage integrates to one, and its residual is the deviation in σ', () => {
    const { volts } = models;
    let sum = 0;
    for (let v = 2.5; v < 3.5; v += 1e-4) sum += Math.exp(volts.logGood(v, 3)) * 1e-4;
    expect(sum).toBeCloseTo(1, 6);
    expect(volts.residual(3.1, 3)).toBeCloseTo(-0.1 / volts.sigma(3), 9);
  });
  test('the density of a resistance integrates to one; OL has a chance of its own', () => {
    const { ohms } = models;
    let sum = 0;
    for (let r = 3000; r < 4200; r += 0.25) sum += Math.exp(ohms.logGood(r, 3600)) * 0.25;
    expect(sum).toBeCloseTo(1, 5);
    expect(Math.exp(ohms.logGood(Infinity, Infinity))).toBe(1);
    expect(ohms.logGood(Infinity, 3600)).toBeLessThan(-15);
    expect(ohms.logGood(3600, Infinity)).toBeLessThan(-20);
  });
  test('a bound is met by all that lies above it, and by nothing well below', () => {
    const bound = boundNoise(GENERIC_INSTRUMENTS, 20e6);
    expect([bound.logGood(Infinity, 21e6), bound.residual(Infinity, 21e6)]).toEqual([0, 0]);
    expect([bound.logGood(Infinity, Infinity), bound.residual(Infinity, Infinity)]).toEqual([0, 0]);
    expect(bound.logGood(Infinity, 19e6)).toBeLessThan(-8);
    expect(bound.residual(Infinity, 2e6)).toBeLessThan(-10);
    expect([bound.draw(21e6, 0.3), bound.draw(3600, 0)]).toEqual([Infinity, 3600]);
    expect(bound.logGood(3600, 3600)).toBe(models.ohms.logGood(3600, 3600));
  });
  test('a displayed value: whole degrees add up to one, at the ends of the scale too', () => {
    const { celsius } = models;
    for (const predicted of [20, 149.4, -39.8, -40, 150]) {
      let sum = 0;
      for (let c = scale.minC - 20; c <= scale.maxC + 20; c++) {
        sum += Math.exp(celsius.logGood(c, predicted));
      }
      expect(sum, `${predicted}`).toBeCloseTo(1, 1);
    }
    // At an end a module may show a default instead: any value, but not often.
    expect(celsius.logGood(60, -40)).toBeGreaterThan(Math.log(0.03 / 300));
    expect(celsius.logGood(60, -40)).toBeLessThan(Math.log(0.03 / 150));
    expect(celsius.logGood(60, 20)).toBeLessThan(-500);
  });
  test('residuals are finite and point the right way, whatever is compared (property)', () => {
    const value = fc.oneof(fc.constant(Infinity), fc.double({ min: 0.001, max: 1e7, noNaN: true }));
    fc.assert(
      fc.property(value, value, (v, p) => {
        const r = models.ohms.residual(v, p);
        expect(Number.isFinite(r)).toBe(true);
        if (v < p / 1.5) expect(r).toBeGreaterThan(0);
        if (v > p * 1.5) expect(r).toBeLessThan(0);
      }),
      { seed: 21 },
    );
  });
  test('a mixture of two likelihoods is their sum (property)', () => {
    const log = fc.double({ min: -50, max: 5, noNaN: true });
    fc.assert(
      fc.property(log, log, (a, b) => {
        expect(logMixture(a, b)).toBeCloseTo(Math.log(Math.exp(a) + Math.exp(b)), 9);
      }),
      { seed: 22 },
    );
  });
  test('drawn readings scatter as the density says: 68 % within one σ, blunders all over', () => {
    const uniform = seededUniform(5);
    let within = 0;
    for (let i = 0; i < 4000; i++)
      within += Math.abs(models.volts.draw(3, normalQuantile(uniform())) - 3) < models.volts.sigma(3) ? 1 : 0;
    expect(within / 4000).toBeCloseTo(0.683, 1);
    const blunders = Array.from({ length: 300 }, () => models.volts.drawBlunder(uniform()));
    expect(Math.min(...blunders)).toBeLessThan(0);
    expect(Math.max(...blunders)).toBeGreaterThan(13);
  });
});

describe('the unknowns', () => {
  test('every state of a draw is a sound circuit; the unknown pull-up stays in its bounds', () => {
    const problem = problemWith([['displayed', 20, {}, 'hot']], { circuit: coolantCircuit({ pullUpOhm: null }) });
    const latent = new LatentSpace(problem);
    const uniform = seededUniform(9);
    const u = new Float64Array(latent.dimension);
    const scratch = latent.scratch();
    expect(new Set(latent.names).has('pull-up')).toBe(true);
    for (let i = 0; i < 300; i++) {
      latent.draw(() => normalQuantile(uniform()), uniform, u);
      const state = latent.state(u, i % 2 ? 'hot' : 'steady', true, scratch);
      expect(state.nominalPullUpOhm).toBeGreaterThanOrEqual(300);
      expect(state.nominalPullUpOhm).toBeLessThanOrEqual(100_000);
      expect(state.signalOhm).toBeGreaterThanOrEqual(0.05);
      expect(state.signalOhm).toBeLessThanOrEqual(1.5);
      expect(state.sensorFactor).toBeGreaterThan(0.8);
    }
  });
  test('hot and steady have temperatures of their own, wiggling shares the steady one', () => {
    const problem = problemWith(
      [
        ['displayed', 20],
        ['displayed', 80, {}, 'hot'],
        ['displayed', 20, {}, 'wiggling'],
      ],
      {
        thermometers: { steady: { readC: 20, sigmaK: 1 }, hot: { readC: 80, sigmaK: 2 } },
      },
    );
    const latent = new LatentSpace(problem);
    const u = new Float64Array(latent.dimension);
    const at = (state: 'steady' | 'hot' | 'wiggling'): number =>
      latent.state(u, state, true, latent.scratch()).temperatureC;
    expect([at('steady'), at('hot'), at('wiggling')]).toEqual([20, 80, 20]);
  });
  test('a thermometer far off is believed to be a blunder, near by it is not', () => {
    const latent = new LatentSpace(problemWith([]));
    const u = new Float64Array(latent.dimension);
    expect(latent.thermometerBlunder(u)).toBeLessThan(0.01);
    u[u.length - 1] = 12;
    expect(latent.thermometerBlunder(u)).toBeGreaterThan(0.99);
  });
});

describe('every hypothesis of every fault', () => {
  test.each(CATALOGUE_CIRCUITS.map((c) => [c.id] as const))('%s: weights and shares sum to one', (id) => {
    const problem = problemWith(
      [
        ['displayed', 20],
        ['displayed', 60, {}, 'hot'],
      ],
      { circuit: catalogueCircuit(id) },
    );
    const faults = weightedFaults(problem);
    expect(faults.reduce((s, f) => s + f.weight, 0)).toBeCloseTo(1, 12);
    for (const { fault } of faults) {
      const hypotheses = hypothesesOf(fault, settingOf(problem), problem);
      expect(
        hypotheses.reduce((s, h) => s + Math.exp(h.logShare), 0),
        fault.id,
      ).toBeCloseTo(1, 9);
      // But for a sound circuit: always, or in one state only.
      expect(hypotheses.some((h) => h.onlyIn !== null)).toBe(fault.id !== 'healthy');
    }
  });
  test.each(CATALOGUE_CIRCUITS.map((c) => [c.id] as const))(
    '%s: the kind of converter matters where two kinds are told apart, and nowhere else',
    (id) => {
      const circuit = catalogueCircuit(id);
      const shown = MEASUREMENTS.filter((m) => m.quantity === 'celsius' && m.layouts.includes(circuit.layout));
      const problem = problemWith(
        shown.map((m) => [m.id, 20]),
        { circuit },
      );
      const predictor = new Predictor(problem);
      const uniform = seededUniform(5);
      const at = (): Float64Array =>
        Float64Array.from({ length: predictor.latent.dimension }, () => normalQuantile(uniform()));
      const kinds = weightedFaults(problem).map(({ fault }) => {
        const hypotheses = hypothesesOf(fault, settingOf(problem), problem);
        const differs = hypotheses.some((h) =>
          [0.01, 0.3, 0.7, 0.99].some((position) => {
            const u = at();
            const [yes, no] = [true, false].map((ratiometric) => {
              const out = new Float64Array(shown.length);
              predictor.predict({ ...h, ratiometric }, position, u, out);
              return [...out];
            });
            return yes.some((value, i) => Math.abs(value - no[i]) > 1e-9);
          }),
        );
        const both = hypotheses.some((h) => !h.ratiometric);
        // Where the display is at an end whatever the kind, two kinds are one too many, but not wrong.
        if (differs) expect(both, fault.id).toBe(true);
        return both ? [fault.id] : [];
      });
      expect(kinds.flat()).toEqual(
        weightedFaults(problem)
          .map(({ fault }) => fault.id)
          .filter((fault) => fault.startsWith('reference-')),
      );
    },
  );
});

describe('what would be healthy', () => {
  test('95 % of sound readings of simulated sound circuits lie in the range, test by test', () => {
    const circuit = coolantCircuit();
    const problem = problemWith([], { circuit });
    const tests = plainTests(problem);
    const ranges = healthyRanges(problem, tests);
    const predictor = new Predictor(problem);
    const [h] = hypothesesOf(FAULTS[0], settingOf(problem), problem);
    const uniform = seededUniform(77);
    const u = new Float64Array(predictor.latent.dimension);
    const hits = tests.map(() => 0);
    const rounds = 600;
    for (let i = 0; i < rounds; i++) {
      for (let k = 0; k < u.length; k++) u[k] = normalQuantile(uniform());
      tests.forEach(({ measurement, conditions }, t) => {
        const ideal = measurement.predict(predictor.solvedAt(h, 0.5, u, 'steady'), conditions);
        const reading = noiseOf(problem, measurement, conditions).draw(ideal, normalQuantile(uniform()));
        hits[t] += inside(ranges[t], reading) === 'inside' ? 1 : 0;
      });
    }
    tests.forEach(({ measurement }, t) => expect(hits[t] / rounds, measurement.id).toBeGreaterThan(0.91));
  });
  test('an interval holds its share of the weight, OL at the upper end', () => {
    const noise = voltsNoise(GENERIC_INSTRUMENTS, 12);
    const { low, high } = predictiveInterval(new Float64Array(2000).fill(3), new Float64Array(2000).fill(1), noise);
    expect(low).toBeCloseTo(3 - 1.96 * noise.sigma(3), 2);
    expect(high).toBeCloseTo(3 + 1.96 * noise.sigma(3), 2);
    const open = predictiveInterval(
      [Infinity, Infinity, Infinity, 5e6],
      [1, 1, 1, 0.001],
      ohmsNoise(GENERIC_INSTRUMENTS),
    );
    expect(open).toEqual({ low: Infinity, high: Infinity });
    expect(inside({ low: 1, high: 2 }, 2 + 1e-12)).toBe('inside');
    expect([inside({ low: 1, high: 2 }, 0.5), inside({ low: 1, high: 2 }, 3)]).toEqual(['low', 'high']);
  });
  test('quantiles of weighted values: those of as many copies, never outside, never falling (property)', () => {
    const list = fc.array(fc.tuple(fc.integer({ min: -50, max: 50 }), fc.integer({ min: 1, max: 5 })), {
      minLength: 1,
      maxLength: 20,
    });
    fc.assert(
      fc.property(list, fc.double({ min: 0.01, max: 0.99, noNaN: true }), (pairs, level) => {
        const [values, weights] = [pairs.map(([v]) => v), pairs.map(([, w]) => w)];
        const [q, higher] = weightedQuantile(values, weights, [level, Math.min(1, level + 0.1)]);
        expect(q).toBeGreaterThanOrEqual(Math.min(...values));
        expect(higher).toBeLessThanOrEqual(Math.max(...values));
        expect(higher).toBeGreaterThanOrEqual(q - 1e-9);
        // The middle of equally heavy values is the plain median.
        const odd = [...new Set(values)].filter((_, i, all) => i < all.length - (1 - (all.length % 2)));
        expect(
          weightedQuantile(
            odd,
            odd.map(() => 2),
            [0.5],
          )[0],
        ).toBeCloseTo([...odd].sort((a, b) => a - b)[odd.length >> 1], 9);
      }),
      { seed: 23 },
    );
  });
});

describe('expected information', () => {
  test('against plain simulation of outcomes: the same bits to a tenth', () => {
    const problem = problemWith([['displayed', -10]]);
    const posterior = posteriorOf(problem);
    const faults = posterior.faults.filter((f) => f.draws.length > 0);
    const samples = faults.map((f) => thinned(f));
    for (const id of ['open-voltage', 'sensor-ohms', 'return-drop']) {
      const test = candidateTests(problem, EVERYTHING_AT_HAND).find((t) => t.measurement.id === id)!;
      const predictions = samples.map((s) => predictAll(posterior, test, s));
      const noise = noiseOf(problem, test.measurement, test.conditions);
      const bits = mutualInformation(outcomeTable(faults, predictions, noise));
      expect(
        Math.abs(
          bits -
            simulatedBits(
              faults.map((f) => f.probability),
              predictions,
              noise,
            ),
        ),
        id,
      ).toBeLessThan(0.12);
    }
  });
  test('never negative, never more than what is still open (property)', () => {
    fc.assert(
      fc.property(fc.constantFrom(...[-35, -10, 0, 12, 40, 100]), (shown) => {
        const problem = problemWith([['displayed', shown]]);
        const posterior = posteriorOf(problem);
        const faults = posterior.faults.filter((f) => f.draws.length > 0);
        const entropy = -faults.reduce(
          (s, f) => s + (f.probability > 0 ? f.probability * Math.log2(f.probability) : 0),
          0,
        );
        const samples = faults.map((f) => thinned(f));
        for (const t of candidateTests(problem, EVERYTHING_AT_HAND)) {
          const predictions = samples.map((s) => predictAll(posterior, t, s));
          const table = outcomeTable(faults, predictions, noiseOf(problem, t.measurement, t.conditions));
          const bits = mutualInformation(table);
          expect(bits).toBeGreaterThanOrEqual(0);
          // Every outcome is in one class, and what a class leaves are shares of it.
          const outcomes = outcomesOf(faults, table);
          const covered = outcomes.reduce((s, o) => s + o.probability, 0);
          // A module that substitutes may show anything: those outcomes are rare ones each, and are not listed.
          expect(covered, t.measurement.id).toBeGreaterThan(0.94);
          expect(covered).toBeLessThan(1 + 1e-9);
          for (const { interval, leaves } of outcomes) {
            expect(interval.low).toBeLessThanOrEqual(interval.high);
            expect(leaves.reduce((s, l) => s + l.probability, 0)).toBeLessThan(1 + 1e-9);
          }
          expect(bits).toBeLessThanOrEqual(entropy + 0.05);
        }
      }),
      { seed: 24, numRuns: 6 },
    );
  });
});

/** Mutual information by drawing outcomes and scoring each under every fault, with densities instead of bins. */
function simulatedBits(
  weights: readonly number[],
  predictions: readonly Float64Array[],
  noise: ReturnType<typeof voltsNoise>,
): number {
  const uniform = seededUniform(31);
  const total = weights.reduce((a, b) => a + b, 0);
  const density = (f: number, y: number): number =>
    predictions[f].reduce((s, p) => s + Math.exp(Math.max(-700, noise.logGood(y, p))), 0) / predictions[f].length;
  let bits = 0;
  const rounds = 1500;
  for (let i = 0; i < rounds; i++) {
    let rest = uniform() * total;
    const f = weights.findIndex((w) => (rest -= w) < 0);
    const p = predictions[f][Math.floor(uniform() * predictions[f].length)];
    const y = noise.draw(p, normalQuantile(uniform()));
    const own = density(f, y);
    const all = weights.reduce((s, w, g) => s + (w / total) * density(g, y), 0);
    bits += Math.log2(own / all) / rounds;
  }
  return bits;
}

describe('on simulated cases', () => {
  test('same seed, same case; the truth is drawn by weight', () => {
    const [a, b] = [simulateCase(4), simulateCase(4)];
    expect([a.fault, a.size, a.circuitName]).toEqual([b.fault, b.size, b.circuitName]);
    const counts = new Map<string, number>();
    for (let seed = 0; seed < 600; seed++)
      counts.set(simulateCase(seed).group, (counts.get(simulateCase(seed).group) ?? 0) + 1);
    expect(counts.get('sensor')! / 600).toBeGreaterThan(0.3);
    expect(counts.get('sensor')! / 600).toBeLessThan(0.48);
    expect(counts.get('wiring')! / 600).toBeGreaterThan(0.28);
  });
  test('forty cases with seven readings: the right group nearly always, and what was said is what came true', () => {
    const ids = [
      'displayed',
      'open-voltage',
      'open-voltage-return',
      'supply-to-return',
      'loaded-voltage',
      'return-drop',
      'sensor-ohms',
    ];
    let [right, said] = [0, 0];
    for (let seed = 900; seed < 940; seed++) {
      const simulated = simulateCase(seed);
      const tests = ids.map((id) => ({
        measurement: MEASUREMENTS.find((m) => m.id === id)!,
        conditions: {},
        state: 'steady' as const,
      }));
      const [leader] = groupProbabilities(posteriorOf(withReadings(simulated, tests)).faults);
      right += leader.group === simulated.group ? 1 : 0;
      said += leader.probability;
    }
    expect(right / 40).toBeGreaterThan(0.85);
    expect(Math.abs(right - said) / 40).toBeLessThan(0.08);
  });
});

describe('the charts of a check', () => {
  test.each(CATALOGUE_CIRCUITS.filter((c) => c.pullUpOhm !== null).map((c) => [c.id] as const))(
    '%s: bands hold their lines, volts between the sources',
    (id) => {
      const circuit = catalogueCircuit(id);
      const problem = problemWith(
        [
          ['sensor-ohms', circuit.curve.resistanceOhm(20)],
          ['loaded-voltage', 2],
        ],
        { circuit, thermometers: { steady: { readC: 20, sigmaK: 1 } } },
      );
      const lines = chartLines(problem, assess(problem));
      for (const line of [lines.resistance, lines.voltage!]) {
        line.middle.forEach((m, i) => {
          expect(line.low[i]).toBeLessThanOrEqual(m + 1e-9);
          expect(line.high[i]).toBeGreaterThanOrEqual(m - 1e-9);
        });
      }
      for (const v of lines.voltage!.middle) {
        expect(v).toBeGreaterThanOrEqual(0);
        expect(v).toBeLessThanOrEqual(circuit.referenceV);
      }
      expect(lines.resistancePoint!.fits).toBe(true);
    },
  );
  test('no pull-up, no voltage chart, until it is learned', () => {
    const circuit = coolantCircuit({ pullUpOhm: null });
    const none = problemWith([], { circuit });
    expect(chartLines(none, assess(none)).voltage).toBeNull();
    const learned = problemWith(
      [
        ['sensor-ohms', 3450],
        ['loaded-voltage', 2.9],
      ],
      { circuit },
    );
    expect(chartLines(learned, assess(learned)).voltage).not.toBeNull();
  });
});
