import type { Branch, Fault } from '../../circuit/faults/fault.ts';
import { canStandTogether } from '../../circuit/faults/together.ts';
import { converterKinds, settingOf, weightedFaults } from '../model/hypotheses.ts';
import { type Hypothesis, Predictor } from '../model/predictor.ts';
import type { Problem } from '../model/problem.ts';
import { type Candidate, type Posterior, rank } from './posterior.ts';
import { deficitAt, type Reach, reachOf } from './reach.ts';
import { normalQuantile } from '../../base/numeric/normal.ts';
import { conditionalFit } from './conditionalFit.ts';
import { surveyHypothesis } from './survey.ts';
import { feltUnknowns, makeWorkspace, type Workspace } from './workspace.ts';

/** Chance that two things are wrong at once. Common practice, no source. */
export const PAIR_SHARE = 0.06;

/** Two faults that stand together. */
export interface FaultPair {
  first: Fault;
  second: Fault;
}

/** The ranking of the pairs that were looked at closely; each `fault` stands for the pair of that index. */
export interface PairPosterior {
  pairs: ReadonlyMap<Fault, FaultPair>;
  posterior: Posterior;
}

/** Places at which each size is tried at first: the middles of as many stretches. */
const TRIED = [0.1, 0.3, 0.5, 0.7, 0.9];
/** Places of one fault alone that are tried beside them, and steps of the search from the best of all. */
const [MEETING, STEPS] = [5, [0.1, 0.05, 0.025, 0.0125]] as const;
/** How many pairs are left after a first look, after a closer one and after a fit of each. */
const [REFINED, FITTED, CLOSELY] = [50, 24, 8];
/** A stretch whose deficit is this much worse than the best of its pair is left out; so is a stretch or a pair whose evidence (ln) after a fit is. */
const WORSE = { deficit: 8, fit: 7 } as const;

/** A way in which one fault can be, and the places at which it alone meets a reading. */
interface Way {
  alone: Hypothesis;
  meeting: readonly number[];
}

type PairHypothesis = Hypothesis & { second: NonNullable<Hypothesis['second']> };

/** A way in which both can be, the second size within a stretch, and where in it the readings are missed least. */
interface Stretch {
  both: PairHypothesis;
  /** Positions of both sizes. */
  p: number;
  q: number;
  deficit: number;
}

interface Screened extends FaultPair {
  weight: number;
  stretches: Stretch[];
}

/**
 * Ranks pairs of faults by the same method as single ones: a search over both sizes and a fit of each picks the pairs that could meet the
 * readings, and those are sampled with the second size as one more unknown. Takes several rankings; it yields between its steps, so that whoever
 * runs it can give up for newer figures, and returns null where no two faults can stand together.
 * Source: fault model §6.
 */
export function* pairsOf(problem: Problem, singles: Posterior): Generator<void, PairPosterior | null> {
  const predictor = new Predictor(problem, true);
  const ws = makeWorkspace(predictor);
  const search = new PairSearch(ws, problem, likeliestKind(singles));
  const screened: Screened[] = [];
  for (const some of search.firstLook()) {
    screened.push(...some);
    yield;
  }
  const total = screened.reduce((sum, s) => sum + s.weight, 0);
  if (total === 0) return null;
  const refined = likeliest(screened, REFINED);
  for (const pair of refined) search.closerLook(pair);
  yield;
  const fitted = likeliest(refined, FITTED).map((pair) => fit(ws, pair));
  yield;
  fitted.sort((x, y) => y.score - x.score);
  const pairs = new Map<Fault, FaultPair>();
  const candidates = fitted
    .slice(0, CLOSELY)
    .filter(({ score }) => score > fitted[0].score - WORSE.fit)
    .map(({ first, second, weight, hypotheses }): Candidate => {
      const fault: Fault = { ...first, id: `${first.id}+${second.id}` };
      pairs.set(fault, { first, second });
      const ofEachKind = hypotheses.flatMap((h) => {
        const kinds = converterKinds(problem, [h.branch, h.second.branch]);
        return kinds.map((ratiometric) => ({
          ...h,
          fault,
          ratiometric,
          logShare: h.logShare - Math.log(kinds.length),
        }));
      });
      return { fault, weight: weight / total, hypotheses: ofEachKind };
    });
  return { pairs, posterior: rank(predictor, candidates) };
}

/** The pairs whose readings are missed least, weighed by how likely the two are. */
function likeliest(pairs: readonly Screened[], count: number): Screened[] {
  const cost = ({ stretches, weight }: Screened): number => leastDeficit(stretches) - Math.log(weight);
  return [...pairs].sort((x, y) => cost(x) - cost(y)).slice(0, count);
}

function leastDeficit(stretches: readonly Stretch[]): number {
  return stretches.reduce((least, s) => Math.min(least, s.deficit), Infinity);
}

/** The hypotheses of a pair that are left after a fit of each, and ln of its weight and rough evidence. */
function fit(
  ws: Workspace,
  { first, second, weight, stretches }: Screened,
): FaultPair & { weight: number; hypotheses: PairHypothesis[]; score: number } {
  const limit = leastDeficit(stretches) + WORSE.deficit;
  const felt = feltUnknowns(ws, stretches[0].both);
  const fits = stretches
    .filter((s) => s.deficit < limit)
    .map((stretch) =>
      startsIn(stretch)
        .map((start) => {
          const both = { ...stretch.both, second: { ...stretch.both.second, start } };
          return { both, score: conditionalFit(ws, both, stretch.p, felt, false).logEvidence + both.logShare };
        })
        .reduce((a, b) => (b.score > a.score ? b : a)),
    );
  const best = Math.max(...fits.map(({ score }) => score));
  const hypotheses = fits.filter(({ score }) => score > best - WORSE.fit).map(({ both }) => both);
  return { first, second, weight, hypotheses, score: best + Math.log(weight) };
}

/** Fits within a stretch start no nearer to its ends than these shares of it: at an end the unknown would be infinite, and a narrow peak may lie beside it. */
const EDGES = [0.02, 0.003];

/** Where fits of a stretch start, as its unknown: at the place that was found, and in the middle. */
function startsIn({ both: { second }, q }: Stretch): number[] {
  const share = (q - second.from) / (second.to - second.from);
  const found = EDGES.map((edge) => normalQuantile(Math.min(1 - edge, Math.max(edge, share))));
  return [...new Set([...found, 0])];
}

/** Where along both sizes the readings are missed least, every unknown at its middle. */
class PairSearch {
  private readonly faults: readonly { fault: Fault; weight: number; ways: readonly Way[] }[];
  private readonly reach: Reach;
  private readonly residual: Float64Array;

  constructor(
    private readonly ws: Workspace,
    problem: Problem,
    like: Pick<Hypothesis, 'ratiometric' | 'curve'>,
  ) {
    this.residual = new Float64Array(ws.m);
    const setting = settingOf(problem);
    const faults = weightedFaults(problem).map(({ fault, weight }) => {
      const alone = mainBranches(fault.branches(setting)).map((branch) => ({
        ...like,
        fault,
        branch,
        logShare: 0,
        onlyIn: null,
      }));
      return { fault, weight, alone };
    });
    this.reach = reachOf(
      ws,
      faults.map(({ alone: [h] }) => h),
    );
    this.faults = faults.map(({ fault, weight, alone }) => ({
      fault,
      weight,
      ways: alone.map((h) => ({ alone: h, meeting: this.meetingPlaces(h) })),
    }));
  }

  /** Places at which a reading is met exactly: the peak of two faults together may be as narrow, and it is often there. */
  private meetingPlaces(h: Hypothesis): number[] {
    const places = surveyHypothesis(h, this.ws, this.reach, false).places.filter((p) => p.meets);
    return places
      .sort((a, b) => a.deficit - b.deficit)
      .slice(0, MEETING)
      .map(({ position }) => position);
  }

  private deficit(both: PairHypothesis, p: number, q: number): number {
    const at = { ...both, second: { ...both.second, from: q, to: q } };
    return deficitAt(this.ws, at, p, this.reach, false, this.residual);
  }

  /** Every two faults that can stand together, those of one first fault at a time. */
  *firstLook(): Generator<Screened[]> {
    for (const [i, a] of this.faults.entries()) {
      yield this.faults
        .slice(i + 1)
        .filter((b) => canStandTogether(a.fault, b.fault))
        .map((b) => ({
          first: a.fault,
          second: b.fault,
          weight: a.weight * b.weight,
          stretches: a.ways.flatMap((first) => b.ways.flatMap((second) => this.stretchesOf(first, second))),
        }));
    }
  }

  /** The stretches of the second size, each with the best of the places that are tried. */
  private stretchesOf({ alone, meeting }: Way, { alone: { branch }, meeting: secondMeeting }: Way): Stretch[] {
    const firsts = alone.branch.sized ? [...TRIED, ...meeting] : [0.5];
    const seconds = branch.sized ? TRIED : [0.5];
    const half = 0.5 / seconds.length;
    const logShare = Math.log((alone.branch.share * branch.share) / seconds.length);
    return seconds.map((middle) => {
      const [from, to] = [middle - half, middle + half];
      const stretch: Stretch = {
        both: { ...alone, logShare, second: { branch, from, to } },
        p: 0.5,
        q: middle,
        deficit: Infinity,
      };
      for (const p of firsts) this.consider(stretch, p, middle);
      for (const q of secondMeeting.filter((at) => from < at && at < to))
        for (const p of [stretch.p, ...meeting]) this.consider(stretch, p, q);
      return stretch;
    });
  }

  private consider(stretch: Stretch, p: number, q: number): void {
    const deficit = this.deficit(stretch.both, p, q);
    if (deficit < stretch.deficit) Object.assign(stretch, { p, q, deficit });
  }

  /** Finds the best places of the stretches of a pair more closely, of those that are worth it. */
  closerLook({ stretches }: Screened): void {
    const limit = leastDeficit(stretches) + WORSE.deficit;
    for (const stretch of stretches) if (stretch.deficit < limit) this.walk(stretch);
  }

  private walk(stretch: Stretch): void {
    const { branch, second } = stretch.both;
    for (const step of STEPS) {
      const { p, q } = stretch;
      for (const sign of [-1, 1]) {
        if (branch.sized) this.consider(stretch, Math.min(1, Math.max(0, p + sign * step)), q);
        if (second.branch.sized)
          this.consider(stretch, stretch.p, Math.min(second.to, Math.max(second.from, q + sign * step)));
      }
    }
  }
}

/** The kind of converter and the curve that the single faults make likeliest. */
function likeliestKind({ faults }: Posterior): Pick<Hypothesis, 'ratiometric' | 'curve'> {
  let best = faults[0].draws[0];
  for (const f of faults.slice(0, 3)) for (const d of f.draws) if (d.weight > best.weight) best = d;
  return { ratiometric: best.hypothesis.ratiometric, curve: best.hypothesis.curve };
}

/** One branch for each way in which a fault can be: of the segments of a wire the middle one, of other curves each. */
function mainBranches(branches: readonly Branch[]): Branch[] {
  const sized = branches.filter((b) => b.sized);
  const unsized = branches.filter((b) => !b.sized);
  const segments = sized.filter((b) => b.detail?.startsWith('between'));
  const share = (list: readonly Branch[]): number => list.reduce((sum, b) => sum + b.share, 0);
  const middle = (list: readonly Branch[]): Branch[] =>
    list.length === 0 ? [] : [{ ...list[Math.floor(list.length / 2)], share: share(list) }];
  const broken = unsized.filter((b) => b.detail?.startsWith('between') || b.detail === undefined);
  const others = unsized.filter((b) => !broken.includes(b));
  return [...middle(segments), ...sized.filter((b) => !segments.includes(b)), ...middle(broken), ...others];
}
