import { describe, expect, test } from 'vitest';
import { coolantCircuit, problemWith } from '../../../test/problems.ts';
import { faultById } from '../../circuit/faults/list.ts';
import { hypothesesOf, settingOf } from '../model/hypotheses.ts';
import { type Hypothesis, Predictor } from '../model/predictor.ts';
import { normalCdf } from '../../base/numeric/normal.ts';
import type { Cell } from './cells.ts';
import { completeLayout, layNodes, refineLayout, toCells } from './cells.ts';
import { type Conditional, conditionalFit } from './conditionalFit.ts';
import { deficitAt, reachOf } from './reach.ts';
import { outlineFault, sampleFault } from './sampleFault.ts';
import { surveyHypothesis } from './survey.ts';
import { everyUnknown, feltUnknowns, linearise, makeWorkspace, residualsAt, type Workspace } from './workspace.ts';

type Readings = Parameters<typeof problemWith>[0];
const bench = (id: string, readings: Readings, change = {}) => {
  const problem = problemWith(readings, change);
  const predictor = new Predictor(problem);
  const hypotheses = hypothesesOf(faultById(id), settingOf(problem), problem);
  return { predictor, ws: makeWorkspace(predictor), h: hypotheses[0], hypotheses };
};

describe('sampling is true whatever it draws with', () => {
  const { predictor, h } = bench('sensor-high', []);
  const n = predictor.latent.dimension;
  /** A fit by hand, wrong on purpose: its middle, its widths and its slope. */
  const fit = (mode: number, width: number, slope: number, logEvidence = 0): Conditional => {
    const factor = new Float64Array(n * n);
    for (let k = 0; k < n; k++) factor[k * n + k] = 1 / width;
    // Two unknowns that go together.
    factor[n] = 0.4 / width;
    return {
      ...{ logEvidence, doubtful: false, logDet: -2 * n * Math.log(width), factor },
      mode: new Float64Array(n).fill(mode),
      slope: new Float64Array(n).fill(slope),
    };
  };
  const cell = (low: number, high: number, fits: Conditional[], logMass: number): Cell => ({
    ...{ hypothesis: h, low, high, node: (low + high) / 2, fits, logMass },
  });
  const evidence = (cells: Cell[], probability = 0.5) =>
    sampleFault({ fault: h.fault, cells, logEvidence: 0 }, predictor, probability);
  // Without a reading every likelihood is one: the evidence of any fault is one, by whatever normals it is drawn.
  test.each([
    ['from the prior alone', [cell(0, 1, [], 0)], 0.01],
    ['two cells, the lighter one weighed too much', [cell(0, 0.7, [], -3), cell(0.7, 1, [], 0)], 0.02],
    ['a fit that is off and too narrow', [cell(0, 1, [fit(0.4, 0.8, 0)], 0)], 0.06],
    ['a fit that is too wide', [cell(0, 1, [fit(0, 1.15, 0)], 0)], 0.06],
    ['a mode that moves with the size', [cell(0, 1, [fit(0, 0.95, 0.8)], 0)], 0.06],
    [
      'a slope that is wild is held to four σ',
      [cell(0.4, 0.6, [fit(0, 1, 0), fit(0, 1, 300)], 0), cell(0, 0.4, [], 0), cell(0.6, 1, [], 0)],
      0.08,
    ],
    ['two rival fits', [cell(0, 1, [fit(0.3, 0.9, 0), fit(-0.3, 0.9, 0, -8)], 0)], 0.06],
  ])('%s', (_, cells, within) => {
    const found = evidence(cells);
    expect(Math.abs(found.logEvidence)).toBeLessThan(within);
    expect(found.draws.reduce((sum, d) => sum + d.weight, 0)).toBeCloseTo(1, 9);
    // Sizes and unknowns are those of the prior.
    const mean = (of: (d: (typeof found.draws)[number]) => number): number =>
      found.draws.reduce((s, d) => s + d.weight * of(d), 0);
    expect(mean((d) => d.position)).toBeCloseTo(0.5, 1);
    for (let k = 0; k < n; k++) {
      expect(Math.abs(mean((d) => d.u[k])), predictor.latent.names[k]).toBeLessThan(0.12);
      // The last unknown is the thermometer: its prior is wider than one.
      if (k < n - 1) expect(Math.abs(mean((d) => d.u[k] ** 2) - 1), predictor.latent.names[k]).toBeLessThan(0.2);
    }
  });
  test('how many are drawn: until it will do, six batches at most, two where little hangs on it', () => {
    expect(evidence([cell(0, 1, [], 0)]).draws).toHaveLength(256);
    expect(evidence([cell(0, 1, [], 0)]).relativeError).toBeLessThan(1e-3);
    const hard = [cell(0, 0.001, [fit(1.5, 0.5, 0)], 3), cell(0.001, 1, [fit(1.5, 0.5, 0)], 0)];
    expect(evidence(hard).draws).toHaveLength(1536);
    expect(evidence(hard, 0.009).draws).toHaveLength(512);
    expect(evidence(hard).relativeError).toBeGreaterThan(0.03);
  });
  test('where one draw carries nearly all, its weight is cut down', () => {
    // Readings that no prior draw meets: one of many comes nearest.
    const far = bench('sensor-high', [
      ['sensor-ohms', 5000],
      ['open-voltage', 5],
      ['loaded-voltage', 3.3],
    ]);
    const found = sampleFault(
      {
        fault: far.h.fault,
        cells: [{ hypothesis: far.h, low: 0, high: 1, node: 0.5, fits: [], logMass: 0 }],
        logEvidence: 0,
      },
      far.predictor,
      0.001,
    );
    expect(found.relativeError).toBeGreaterThan(0.7);
    expect(Math.max(...found.draws.map((d) => d.weight))).toBeLessThan(0.5);
  });
});

describe('a fit at one size', () => {
  const READINGS: Readings = [
    ['sensor-ohms', 5000],
    ['open-voltage', 4.9],
    ['loaded-voltage', 3.3],
    ['displayed', 4],
  ];
  const { ws, h, predictor } = bench('sensor-high', READINGS);
  const felt = feltUnknowns(ws, h);
  const objective = (u: Float64Array, position: number): number => {
    const out = new Float64Array(ws.m);
    predictor.predict(h, position, u, out);
    let half = 0;
    for (const v of u) half += v * v;
    return predictor.logLikelihood(out) + predictor.latent.logPriorRatio(u) - 0.5 * half;
  };
  const position = Math.log(5000 / 3460 / 1.12) / Math.log(30 / 1.12);
  const found = conditionalFit(ws, h, position, felt, false);
  test('is the top of likelihood times prior: a step along any unknown lowers it', () => {
    const top = objective(found.mode, position);
    for (const k of felt)
      for (const step of [-0.1, 0.1]) {
        const moved = found.mode.slice();
        moved[k] += step;
        expect(objective(moved, position), predictor.latent.names[k]).toBeLessThan(top + 1e-4);
      }
    expect(found.doubtful).toBe(false);
  });
  test('its evidence is Laplace’s, its factor the curvature there', () => {
    const { n } = ws;
    let logDet = 0;
    for (let k = 0; k < n; k++) logDet += 2 * Math.log(found.factor[k * n + k]);
    expect(found.logDet).toBeCloseTo(logDet, 9);
    expect(found.logEvidence).toBeCloseTo(objective(found.mode, position) - 0.5 * logDet, 9);
    // Second differences of the objective against the precision, unknown by unknown.
    for (const k of felt) {
      let precision = 0;
      for (let i = 0; i <= k; i++) precision += found.factor[k * n + i] ** 2;
      const at = (d: number): number => {
        const moved = found.mode.slice();
        moved[k] += d;
        return objective(moved, position);
      };
      const curvature = -(at(0.05) - 2 * at(0) + at(-0.05)) / 0.0025;
      expect(curvature / precision, predictor.latent.names[k]).toBeGreaterThan(0.75);
      expect(curvature / precision, predictor.latent.names[k]).toBeLessThan(1.25);
    }
  });
  test('its slope is how the mode moves with the size', () => {
    const d = 0.004;
    const beside = conditionalFit(ws, h, position + d, felt, false);
    const k = predictor.latent.names.indexOf('sensor tolerance');
    expect(Math.abs(found.slope[k])).toBeGreaterThan(1);
    expect((beside.mode[k] - found.mode[k]) / d / found.slope[k]).toBeCloseTo(1, 0);
    const unsized = bench('healthy', READINGS);
    expect(
      [...conditionalFit(unsized.ws, unsized.h, 0.5, everyUnknown(unsized.ws), false).slope].every((v) => v === 0),
    ).toBe(true);
  });
  test('a reading that looks like a blunder is doubted and left alone, the others are met', () => {
    const odd = bench('healthy', [
      ['sensor-ohms', 3460],
      ['open-voltage', 5],
      ['loaded-voltage', 0.4],
      ['displayed', 12],
    ]);
    const of = conditionalFit(odd.ws, odd.h, 0.5, everyUnknown(odd.ws), false);
    expect(of.doubtful).toBe(true);
    expect(Math.max(...of.mode.map(Math.abs))).toBeLessThan(0.6);
    const out = new Float64Array(4);
    odd.predictor.predict(odd.h, 0.5, of.mode, out);
    expect(out[2]).toBeGreaterThan(2.7);
    // Trusted at first it may end elsewhere, and never with more to show.
    const trusting = conditionalFit(odd.ws, odd.h, 0.5, everyUnknown(odd.ws), true);
    expect(trusting.logEvidence).toBeLessThanOrEqual(of.logEvidence + 0.3);
  });
  test('the unknowns that are felt: those of the readings, no others', () => {
    const names = (id: string, readings: Readings): string[] => {
      const of = bench(id, readings);
      return feltUnknowns(of.ws, of.h).map((k) => of.predictor.latent.names[k]);
    };
    expect(names('healthy', [['sensor-ohms', 3460]])).toEqual(['sensor tolerance', 'curve form', 'temperature']);
    expect(names('healthy', [['supply-to-return', 12.6]])).toEqual(expect.arrayContaining(['supply']));
    expect(names('healthy', [['supply-to-return', 12.6]])).not.toContain('temperature');
    expect(names('sensor-open', [['displayed', -40]])).toContain('low end');
    expect(names('healthy', [['signal-wire-ohms', 0.5]])).toEqual(['signal wire']);
  });
  test('the change of each deviation with each unknown, by plain differences; only what is displayed feels the ends of the scale', () => {
    const all = everyUnknown(ws);
    ws.u.set(found.mode);
    residualsAt(ws, h, position, ws.u, ws.residual);
    linearise(ws, h, position, all);
    const [up, down] = [new Float64Array(ws.m), new Float64Array(ws.m)];
    for (const k of all) {
      const moved = found.mode.slice();
      moved[k] += 1e-3;
      residualsAt(ws, h, position, moved, up);
      moved[k] -= 2e-3;
      residualsAt(ws, h, position, moved, down);
      for (let i = 0; i < ws.m; i++) {
        const slope = (up[i] - down[i]) / 2e-3;
        expect(Math.abs(ws.jacobian[i * ws.n + k] - slope), `${predictor.latent.names[k]} ${i}`).toBeLessThan(
          0.02 + 0.02 * Math.abs(slope),
        );
      }
    }
  });
});

describe('a first look', () => {
  const READINGS: Readings = [
    ['sensor-ohms', 6000],
    ['open-voltage', 5],
  ];
  const { ws, h, predictor } = bench('sensor-high', READINGS);
  const reach = reachOf(ws, [h]);
  test('how far the unknowns reach: one, and twice the squares of what each does to a reading', () => {
    ws.u.fill(0);
    residualsAt(ws, h, 0.5, ws.u, ws.residual);
    linearise(ws, h, 0.5, everyUnknown(ws));
    for (let i = 0; i < ws.m; i++) {
      let [plain, wide] = [0, 0];
      for (let k = 0; k < ws.n; k++) {
        plain += ws.jacobian[i * ws.n + k] ** 2;
        wide += ws.jacobian[i * ws.n + k] ** 2 * predictor.latent.doubtedVariance(k);
      }
      expect(reach.trusted[i]).toBeCloseTo(1 + 2 * plain, 6);
      expect(reach.doubted[i]).toBeCloseTo(1 + 2 * wide, 6);
    }
  });
  test('a deficit is half the squares within that reach, each reading at most ten; a thermometer read wrong costs six', () => {
    const residual = new Float64Array(ws.m);
    const miss = (position: number, widest: Float64Array): number => {
      ws.u.fill(0);
      residualsAt(ws, h, position, ws.u, residual);
      return residual.reduce((sum, r, i) => sum + Math.min(10, (0.5 * r * r) / widest[i]), 0);
    };
    for (const position of [0, 0.2, 0.5, 1]) {
      expect(deficitAt(ws, h, position, reach, false, residual)).toBeCloseTo(miss(position, reach.trusted), 9);
      expect(deficitAt(ws, h, position, reach, true, residual)).toBeCloseTo(
        Math.min(miss(position, reach.trusted), 6 + miss(position, reach.doubted)),
        9,
      );
    }
  });
  test('places: eight even ones, and where a reading is met', () => {
    const { places } = surveyHypothesis(h, ws, reach, false);
    const met = Math.log(6000 / 3467 / 1.12) / Math.log(30 / 1.12);
    const nearest = Math.min(...places.map((p) => Math.abs(p.position - met)));
    expect(nearest).toBeLessThan(0.003);
    for (let i = 1; i < 16; i += 2) expect(places.some((p) => Math.abs(p.position - i / 16) < 1e-12)).toBe(true);
    expect(places).toHaveLength(9);
    expect(places.map((p) => p.position)).toEqual(places.map((p) => p.position).sort((a, b) => a - b));
    const least = places.reduce((a, b) => (b.deficit < a.deficit ? b : a));
    expect(Math.abs(least.position - met)).toBeLessThan(0.003);
    const unsized = bench('healthy', READINGS);
    expect(
      surveyHypothesis(unsized.h, unsized.ws, reachOf(unsized.ws, [unsized.h]), false).places.map((p) => p.position),
    ).toEqual([0.5]);
    expect(places.filter((p) => p.meets).map((p) => Math.abs(p.position - met) < 0.003)).toEqual([true]);
    // A reading that is met everywhere needs no place of its own.
    const level = bench('sensor-high', [['open-voltage', 5]]);
    expect(surveyHypothesis(level.h, level.ws, reachOf(level.ws, [level.h]), false).places).toHaveLength(8);
  });
});

describe('nodes and cells', () => {
  const READINGS: Readings = [
    ['sensor-ohms', 6000],
    ['open-voltage', 5],
  ];
  const laid = (
    limit: number,
  ): {
    ws: Workspace;
    h: Hypothesis;
    survey: ReturnType<typeof surveyHypothesis>;
    layout: ReturnType<typeof layNodes>;
  } => {
    const { ws, h } = bench('sensor-high', READINGS);
    const survey = surveyHypothesis(h, ws, reachOf(ws, [h]), false);
    return { ws, h, survey, layout: layNodes(survey, ws, limit) };
  };
  test('at first the best place is fitted, and the next best one apart from it', () => {
    const { survey, layout } = laid(30);
    const fitted = layout.nodes.flatMap((node, i) => (node.fits.length > 0 ? [i] : []));
    expect(fitted).toHaveLength(2);
    const order = survey.places.map((p, i) => ({ ...p, i })).sort((a, b) => a.deficit - b.deficit);
    expect(fitted).toContain(order[0].i);
    const [a, b] = fitted.map((i) => survey.places[i].position);
    expect(Math.abs(a - b)).toBeGreaterThan(0.15);
    const apart = order.slice(1).find((p) => Math.abs(p.position - order[0].position) > 0.15)!;
    expect(fitted).toContain(apart.i);
    expect(laid(-1).layout.nodes.every((node) => node.fits.length === 0 && node.logEvidence === -Infinity)).toBe(true);
  });
  test('then every place within the limit, and none beyond it', () => {
    const { ws, survey, layout } = laid(30);
    completeLayout(layout, ws, survey, 8);
    survey.places.forEach(({ deficit }, i) => {
      if (deficit <= 8) expect(layout.nodes[i].fits.length).toBeGreaterThan(0);
    });
    expect(layout.nodes.filter((node) => node.fits.length > 0).length).toBeLessThan(layout.nodes.length);
  });
  test('a place with a doubted reading is fitted from other starts too, unless its first fit is hopeless', () => {
    const doubted: Readings = [
      ['sensor-ohms', 6000],
      ['open-voltage', 5],
      ['displayed', 70],
    ];
    const fits = (least?: number): number => {
      const { ws, h } = bench('sensor-high', doubted);
      const survey = surveyHypothesis(h, ws, reachOf(ws, [h]), false);
      const layout = layNodes(survey, ws, -1);
      completeLayout({ ...layout, felt: feltUnknowns(ws, h) }, ws, survey, Infinity, least);
      return layout.nodes.reduce((sum, node) => sum + node.fits.length, 0);
    };
    expect(fits()).toBeGreaterThan(fits(Infinity));
    expect(fits(-1e6)).toBe(fits());
  });
  test('cells meet midway between nodes, fill all sizes, and weigh width times evidence times share', () => {
    const { ws, survey, layout, h } = laid(30);
    completeLayout(layout, ws, survey, 30);
    const cells = toCells(layout);
    expect([cells[0].low, cells.at(-1)!.high]).toEqual([0, 1]);
    cells.forEach((c, j) => {
      if (j > 0) {
        expect(c.low).toBe(cells[j - 1].high);
        expect(c.low).toBeCloseTo((cells[j - 1].node + c.node) / 2, 12);
      }
      expect(c.logMass).toBeCloseTo(layout.nodes[j].logEvidence + Math.log(c.high - c.low) + h.logShare, 12);
    });
    const outline = outlineFault(h.fault, [layout]);
    const sum = cells.reduce((s, c) => s + Math.exp(c.logMass), 0);
    expect(outline.logEvidence).toBeCloseTo(Math.log(sum), 9);
  });
  test('the gaps beside the heaviest cells are halved until neighbours resemble each other', () => {
    const { ws, survey, layout } = laid(30);
    completeLayout(layout, ws, survey, 30);
    const before = layout.nodes.length;
    refineLayout(layout, ws);
    expect(layout.nodes.length).toBeGreaterThan(before + 2);
    expect(layout.nodes.length).toBeLessThanOrEqual(64);
    const cells = toCells(layout);
    const total = Math.log(cells.reduce((s, c) => s + Math.exp(c.logMass), 0));
    cells.slice(1).forEach((c, j) => {
      const difference = Math.abs(layout.nodes[j].logEvidence - layout.nodes[j + 1].logEvidence);
      const share = Math.exp(Math.max(cells[j].logMass, c.logMass) - total);
      if (difference >= 0.5) expect(share * Math.min(1, difference / 2)).toBeLessThanOrEqual(0.01);
    });
    expect(layout.nodes.map((node) => node.position)).toEqual(
      layout.nodes.map((node) => node.position).sort((a, b) => a - b),
    );
    // The sum over cells is the integral over sizes: against a fine plain sum.
    const { ws: own, h } = laid(30);
    const felt = feltUnknowns(own, h);
    let sum = 0;
    for (let i = 0; i < 400; i++)
      sum += Math.exp(conditionalFit(own, h, (i + 0.5) / 400, felt, false).logEvidence) / 400;
    expect(Math.abs(total - h.logShare - Math.log(sum))).toBeLessThan(0.1);
    const flat = bench('healthy', READINGS);
    const one = layNodes(surveyHypothesis(flat.h, flat.ws, reachOf(flat.ws, [flat.h]), false), flat.ws, 30);
    refineLayout(one, flat.ws);
    expect(one.nodes).toHaveLength(1);
  });
});

test('against the integral by hand: one reading of ohms, a sensor that is high by an unknown factor', () => {
  // With everything else sound: ln R = ln R(T) + tolerance + form + temperature + ln factor, all but the last about normal.
  const { predictor, ws, h } = bench('sensor-high', [['sensor-ohms', 9000]], { circuit: coolantCircuit() });
  const survey = surveyHypothesis(h, ws, reachOf(ws, [h]), false);
  const layout = layNodes(survey, ws, 30);
  completeLayout(layout, ws, survey, 30);
  refineLayout(layout, ws);
  const { logEvidence, relativeError } = sampleFault(outlineFault(h.fault, [layout]), predictor, 0.5);
  const span = Math.log(30 / 1.12);
  // The factor is even in ln: the density of ln R is one over its span, and R = 9 000 Ω far from either end.
  const inside = normalCdf(10);
  const sound = Math.log((1 - predictor.problem.instruments.blunder) * inside) - Math.log(span) - Math.log(9000);
  expect(Math.abs(logEvidence - sound)).toBeLessThan(0.05 + 3 * relativeError);
});
