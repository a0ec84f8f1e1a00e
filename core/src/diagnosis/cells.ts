import { logSumExp } from '../numeric/logSumExp.ts';
import type { Conditional, ConditionalFit } from './conditional.ts';
import type { Hypothesis } from './predictor.ts';

/** A stretch [low, high] of the positions of one hypothesis, with the fits at its node. */
export interface Cell {
  hypothesis: Hypothesis;
  low: number;
  high: number;
  fits: readonly Conditional[];
  /** ln of prior share × width × evidence at the node. */
  logMass: number;
}

const COARSE = 24;
const MAX_NODES = 64;
/** Nodes closer than this are one. */
const TINY = 2e-6;

interface Node {
  position: number;
  fits: Conditional[];
  logEvidence: number;
}

/** The nodes of one hypothesis so far, ascending by position. */
export interface NodeLayout {
  hypothesis: Hypothesis;
  nodes: Node[];
}

/**
 * First look at the positions (sizes) of one hypothesis. Nodes stand on an even grid and wherever a single reading alone would be met
 * exactly, so that a peak far narrower than the grid, or one that only a blunder hides, is found.
 */
export function layNodes(h: Hypothesis, fit: ConditionalFit): NodeLayout {
  fit.focus(h);
  const nodes: Node[] = [];
  if (!h.branch.sized) return { hypothesis: h, nodes: [visit(h, fit, 0.5)] };
  for (let i = 0; i < COARSE; i += 2) insert(nodes, visit(h, fit, (i + 1) / COARSE));
  for (const position of exactPositions(h, fit)) {
    if (nodes.every((node) => Math.abs(node.position - position) > TINY)) insert(nodes, visit(h, fit, position));
  }
  return { hypothesis: h, nodes };
}

/** Positions at which a single reading is met exactly, by sign change on an even grid and two secant steps. */
function exactPositions(h: Hypothesis, fit: ConditionalFit): number[] {
  const found: number[] = [];
  let before = Float64Array.from(fit.residualsAtMiddle(h, 0));
  for (let i = 1; i <= COARSE; i++) {
    const [from, to] = [(i - 1) / COARSE, i / COARSE];
    const here = Float64Array.from(fit.residualsAtMiddle(h, to));
    for (let r = 0; r < here.length; r++) {
      if (before[r] * here[r] >= 0) continue;
      found.push(secant(h, fit, r, from, to, before[r], here[r]));
    }
    before = here;
  }
  return found.sort((a, b) => a - b).filter((p, i, all) => i === 0 || p - all[i - 1] > 1e-4);
}

function secant(h: Hypothesis, fit: ConditionalFit, r: number, from: number, to: number, low: number, high: number): number {
  let [a, b, fa, fb] = [from, to, low, high];
  for (let i = 0; i < 4; i++) {
    const x = i % 2 === 0 ? a + (b - a) * (fa / (fa - fb)) : (a + b) / 2;
    const fx = fit.residualsAtMiddle(h, x)[r];
    if (fx === 0) return x;
    if (fx * fa > 0) [a, fa] = [x, fx];
    else [b, fb] = [x, fx];
  }
  return a + (b - a) * (fa / (fa - fb));
}

/** Fits at one position, from both starts where they end in different places. */
function visit(h: Hypothesis, fit: ConditionalFit, position: number): Node {
  const first = fit.fit(h, position, false);
  if (!first.doubtful) return { position, fits: [first], logEvidence: first.logEvidence };
  const second = fit.fit(h, position, true);
  const fits = different(first, second) ? [first, second] : [first];
  return { position, fits, logEvidence: logSumExp(fits.map((f) => f.logEvidence)) };
}

function different(a: Conditional, b: Conditional): boolean {
  if (Math.abs(a.logEvidence - b.logEvidence) > 0.05) return true;
  return a.mode.some((value, k) => Math.abs(value - b.mode[k]) > 0.1);
}

function insert(nodes: Node[], node: Node): void {
  const at = nodes.findIndex((other) => other.position > node.position);
  nodes.splice(at < 0 ? nodes.length : at, 0, node);
}

/** Halves the gaps beside the heaviest cells until no cell matters that its neighbours do not resemble. At most 64 nodes. */
export function refineLayout({ hypothesis: h, nodes }: NodeLayout, fit: ConditionalFit): void {
  if (!h.branch.sized) return;
  fit.focus(h);
  while (nodes.length < MAX_NODES) {
    const cells = toCells({ hypothesis: h, nodes });
    const total = logSumExp(cells.map((c) => c.logMass));
    let worst = -1;
    let worstScore = 0.01;
    for (let j = 0; j + 1 < cells.length; j++) {
      if (nodes[j + 1].position - nodes[j].position < 2 * TINY) continue;
      // What could be wrong with a gap: the share of its ends, as far as they differ.
      const difference = Math.abs(nodes[j].logEvidence - nodes[j + 1].logEvidence);
      if (difference < 0.5) continue;
      const share = Math.exp(Math.max(cells[j].logMass, cells[j + 1].logMass) - total);
      const score = share * Math.min(1, difference / 2);
      if (score > worstScore) [worst, worstScore] = [j, score];
    }
    if (worst < 0) return;
    insert(nodes, visit(h, fit, (nodes[worst].position + nodes[worst + 1].position) / 2));
  }
}

/** The nodes as cells, borders midway between neighbours. */
export function toCells({ hypothesis, nodes }: NodeLayout): Cell[] {
  return nodes.map((node, j) => {
    const low = j === 0 ? 0 : (nodes[j - 1].position + node.position) / 2;
    const high = j === nodes.length - 1 ? 1 : (node.position + nodes[j + 1].position) / 2;
    const logMass = node.logEvidence + Math.log(high - low) + hypothesis.logShare;
    return { hypothesis, low, high, fits: node.fits, logMass };
  });
}
