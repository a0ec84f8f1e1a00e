import type { Branch, Fault } from '../../circuit/faults/fault.ts';
import { canStandTogether } from '../../circuit/faults/together.ts';
import { settingOf, weightedFaults } from '../model/hypotheses.ts';
import { type Hypothesis, Predictor } from '../model/predictor.ts';
import type { Problem } from '../model/problem.ts';
import { type Candidate, type Posterior, rank } from './posterior.ts';
import { deficitAt, type Reach, reachOf } from './reach.ts';
import { makeWorkspace, type Workspace } from './workspace.ts';

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

/** Positions at which the sizes of both are tried at first, and steps of the search from the best of them. */
const TRIED = [0.08, 0.29, 0.5, 0.71, 0.92];
const STEPS = [0.1, 0.05, 0.025, 0.0125];
/** Pairs that are looked at closely, and stretches into which the second size is parted. */
const [CLOSELY, STRETCHES] = [8, 6];

interface Screened {
  first: Fault;
  second: Fault;
  weight: number;
  branches: { first: Branch; second: Branch; secondPosition: number; deficit: number }[];
  deficit: number;
}

/**
 * Ranks pairs of faults by the same method as single ones: a coarse search over both sizes picks the pairs that could meet the readings, and
 * those are fitted and sampled with the second size as one more unknown. Takes several rankings; it yields between its steps, so that whoever
 * runs it can give up for newer figures, and returns null where no two faults can stand together.
 * Source: fault model §6.
 */
export function* pairsOf(problem: Problem, singles: Posterior): Generator<void, PairPosterior | null> {
  const faults = weightedFaults(problem);
  const predictor = new Predictor(problem, true);
  const ws = makeWorkspace(predictor);
  const like = likeliestKind(singles);
  const setting = settingOf(problem);
  const alone = (branch: Branch, fault: Fault): Hypothesis => ({ ...like, fault, branch, logShare: 0, onlyIn: null });
  const branchesOf = faults.map(({ fault }) => mainBranches(fault.branches(setting)));
  const reach = reachOf(
    ws,
    faults.map(({ fault }, i) => alone(branchesOf[i][0], fault)),
  );
  const screened: Screened[] = [];
  for (let i = 0; i < faults.length; i++) {
    yield;
    for (let j = i + 1; j < faults.length; j++) {
      const [a, b] = [faults[i], faults[j]];
      if (!canStandTogether(a.fault, b.fault)) continue;
      const branches = branchesOf[i].flatMap((first) =>
        branchesOf[j].map((second) => search(ws, reach, alone(first, a.fault), second)),
      );
      const deficit = Math.min(...branches.map((x) => x.deficit));
      screened.push({ first: a.fault, second: b.fault, weight: a.weight * b.weight, branches, deficit });
    }
  }
  // By what could be met, weighed by how likely the two are.
  screened.sort((x, y) => x.deficit - Math.log(x.weight) - (y.deficit - Math.log(y.weight)));
  const total = screened.reduce((sum, s) => sum + s.weight, 0);
  const chosen = screened.slice(0, CLOSELY);
  if (chosen.length === 0 || total === 0) return null;
  const pairs = new Map<Fault, FaultPair>();
  const candidates = chosen.map(({ first, second, weight, branches }): Candidate => {
    const fault: Fault = { ...first, id: `${first.id}+${second.id}` };
    pairs.set(fault, { first, second });
    const least = Math.min(...branches.map((b) => b.deficit));
    const hypotheses = branches
      .filter((b) => b.deficit < least + 6)
      .flatMap((b) => stretchesOf({ ...like, fault, branch: b.first, onlyIn: null }, b.second, b.secondPosition));
    return { fault, weight: weight / total, hypotheses };
  });
  yield;
  return { pairs, posterior: rank(predictor, candidates) };
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

/** Where along both sizes the readings are missed least, every unknown at its middle. */
function search(ws: Workspace, reach: Reach, h: Hypothesis, second: Branch): Screened['branches'][number] {
  const residual = new Float64Array(ws.m);
  const at = (p: number, q: number): number =>
    deficitAt(ws, { ...h, second: { branch: second, from: q, to: q } }, p, reach, false, residual);
  const firsts = h.branch.sized ? TRIED : [0.5];
  const seconds = second.sized ? TRIED : [0.5];
  let best = { p: 0.5, q: 0.5, deficit: Infinity };
  const consider = (p: number, q: number): void => {
    const deficit = at(p, q);
    if (deficit < best.deficit) best = { p, q, deficit };
  };
  for (const p of firsts) for (const q of seconds) consider(p, q);
  for (const step of STEPS) {
    const { p, q } = best;
    for (const sign of [-1, 1]) {
      if (h.branch.sized) consider(Math.min(1, Math.max(0, p + sign * step)), q);
      if (second.sized) consider(best.p, Math.min(1, Math.max(0, q + sign * step)));
    }
  }
  return { first: h.branch, second, secondPosition: best.q, deficit: best.deficit };
}

/** A pair as hypotheses: the second size in the stretch where the search found it and in those beside it. */
function stretchesOf(h: Omit<Hypothesis, 'logShare'>, second: Branch, position: number): Hypothesis[] {
  const logShare = Math.log(h.branch.share * second.share);
  if (!second.sized) return [{ ...h, logShare, second: { branch: second, from: 0.5, to: 0.5 } }];
  const at = Math.min(STRETCHES - 1, Math.floor(position * STRETCHES));
  return [at - 1, at, at + 1]
    .filter((i) => i >= 0 && i < STRETCHES)
    .map((i) => ({
      ...h,
      logShare: logShare - Math.log(STRETCHES),
      second: { branch: second, from: i / STRETCHES, to: (i + 1) / STRETCHES },
    }));
}
