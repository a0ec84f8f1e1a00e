import type { Fault } from '../../circuit/faults/fault.ts';
import { logSumExp } from '../../base/numeric/logSumExp.ts';
import { completeLayout, type NodeLayout, layNodes, refineLayout, toCells } from './cells.ts';
import { type FaultEvidence, outlineFault, sampleFault } from './sampleFault.ts';
import { hypothesesOf, settingOf, weightedFaults } from '../model/hypotheses.ts';
import { type Hypothesis, Predictor } from '../model/predictor.ts';
import type { Problem } from '../model/problem.ts';
import { reachOf } from './reach.ts';
import { type Survey, surveyHypothesis } from './survey.ts';
import { makeWorkspace } from './workspace.ts';

/** What is believed of one fault after all readings. */
export interface FaultPosterior extends FaultEvidence {
  fault: Fault;
  /** Normalised weight before the readings. */
  prior: number;
  probability: number;
}

export interface Posterior {
  /** Most probable first. */
  faults: readonly FaultPosterior[];
  predictor: Predictor;
  /** ln probability of all readings, over all faults by their weights. */
  logEvidence: number;
}

/** What is to be ranked: a fault, its share before the readings, and the ways in which it can be present. */
export interface Candidate {
  fault: Fault;
  weight: number;
  hypotheses: readonly Hypothesis[];
}

/** A place whose deficit is this much worse than the best place's gets no fit. */
const OUT_OF_REACH = 14;
/** Where even the best place misses by this much, some reading is a blunder, and it may be the thermometer's. */
const IN_TROUBLE = 8;
/** A hypothesis this far (ln) below the best after a first look is left at that: where a reading is doubted that look can be 20 too low. */
const NOT_SEEN_YET = 40;
/** A place whose first fit is this far (ln) below the best is not fitted from other starts, though a reading is doubted there. */
const NOT_DOUBTED_ANEW = 15;
/** A hypothesis this far (ln) below the best is not looked at closely: it is worth less than one in three thousand. */
const HOPELESS = 8;
/** Faults below this probability keep the Laplace estimate and get no draws. */
const SAMPLED = 0.002;

/**
 * Posterior probability of every fault given all readings of a problem. Deterministic and bounded; with no readings it is the prior.
 * Source: fault model §4 (best fit per fault, then integration around it).
 */
export function posteriorOf(problem: Problem): Posterior {
  const setting = settingOf(problem);
  const candidates = weightedFaults(problem).map(({ fault, weight }) => ({
    fault,
    weight,
    hypotheses: hypothesesOf(fault, setting, problem),
  }));
  return rank(new Predictor(problem), candidates);
}

/** Posterior probability of each candidate, of which there is at least one. Deterministic and bounded. */
export function rank(predictor: Predictor, faultHypotheses: readonly Candidate[]): Posterior {
  const { problem } = predictor;
  const ws = makeWorkspace(predictor);
  const reach = reachOf(
    ws,
    faultHypotheses.map(({ hypotheses }) => hypotheses[0]),
  );
  const surveyAll = (doubting: boolean): Survey[][] =>
    faultHypotheses.map(({ hypotheses }) => hypotheses.map((h) => surveyHypothesis(h, ws, reach, doubting)));
  const leastOf = (all: Survey[][]): number =>
    Math.min(...all.flatMap((list) => list.flatMap((s) => s.places.map((p) => p.deficit))));
  let surveys = surveyAll(false);
  if (leastOf(surveys) > IN_TROUBLE) surveys = surveyAll(true);
  const limit = leastOf(surveys) + OUT_OF_REACH + 0.3 * problem.readings.length;
  const candidates = faultHypotheses.map(({ fault, weight }, i) => ({
    fault,
    weight,
    layouts: surveys[i].map((survey) => layNodes(survey, ws, limit)),
  }));
  const massOf = (layout: NodeLayout, weight: number): number =>
    Math.log(weight) + logSumExp(toCells(layout).map((c) => c.logMass));
  const bestMass = (): number => Math.max(...candidates.flatMap((c) => c.layouts.map((l) => massOf(l, c.weight))));
  const atFirst = bestMass();
  candidates.forEach(({ layouts, weight }, i) =>
    layouts.forEach((layout, k) => {
      if (massOf(layout, weight) > atFirst - NOT_SEEN_YET)
        completeLayout(layout, ws, surveys[i][k], limit, atFirst - Math.log(weight) - NOT_DOUBTED_ANEW);
    }),
  );
  const best = bestMass();
  for (const { layouts, weight } of candidates) {
    for (const layout of layouts) if (massOf(layout, weight) > best - HOPELESS) refineLayout(layout, ws);
  }
  const outlines = candidates.map(({ fault, layouts }) => outlineFault(fault, layouts));
  const rough = outlines.map((o, i) => o.logEvidence + Math.log(candidates[i].weight));
  const roughTotal = logSumExp(rough);
  const evidences = outlines.map((outline, i): FaultEvidence => {
    const probability = Math.exp(rough[i] - roughTotal);
    if (probability >= SAMPLED) return sampleFault(outline, predictor, probability);
    return { fault: outline.fault, logEvidence: outline.logEvidence, relativeError: NaN, draws: [] };
  });
  const logs = evidences.map((e, i) => e.logEvidence + Math.log(candidates[i].weight));
  const total = logSumExp(logs);
  const faults = evidences.map((e, i) => ({
    ...e,
    prior: candidates[i].weight,
    probability: Math.exp(logs[i] - total),
  }));
  faults.sort((a, b) => b.probability - a.probability || a.fault.id.localeCompare(b.fault.id));
  return { faults, predictor, logEvidence: total };
}
