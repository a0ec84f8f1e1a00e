import { logPositionDensity } from '../../circuit/faults/fault.ts';
import { logSumExp } from '../../base/numeric/logSumExp.ts';
import { type Conditional, conditionalFit } from './conditionalFit.ts';
import type { Hypothesis } from '../model/predictor.ts';
import type { Survey } from './survey.ts';
import { feltUnknowns, type Workspace } from './workspace.ts';

/** A stretch [low, high] of the positions of one hypothesis, with the fits at its node. */
export interface Cell {
  hypothesis: Hypothesis;
  low: number;
  high: number;
  /** Position of the fits. */
  node: number;
  fits: readonly Conditional[];
  /** ln of prior share × width × evidence at the node. */
  logMass: number;
}

const MAX_NODES = 64;
/** Nodes closer than this are one. */
const TINY = 2e-6;

interface Node {
  position: number;
  /** None where the survey found the readings to be out of reach. */
  fits: Conditional[];
  logEvidence: number;
}

/** The nodes of one hypothesis so far, ascending by position. */
export interface NodeLayout {
  hypothesis: Hypothesis;
  /** The unknowns that its fits may move. */
  felt: readonly number[];
  nodes: Node[];
}

/** Places nearer than this to one that is fitted tell nothing new at a first look. */
const APART = 0.15;

/**
 * The places of a survey as nodes, the two best of them fitted where their deficit is within `limit`: enough to see whether the hypothesis is
 * worth more. What is not fitted counts as impossible for now.
 */
export function layNodes({ hypothesis: h, places }: Survey, ws: Workspace, limit: number): NodeLayout {
  const nodes = places.map(({ position }): Node => ({ position, fits: [], logEvidence: -Infinity }));
  const [first, ...others] = places
    .map(({ deficit }, i) => ({ deficit, i }))
    .filter(({ deficit }) => deficit <= limit)
    .sort((a, b) => a.deficit - b.deficit);
  if (!first) return { hypothesis: h, felt: [], nodes };
  const felt = feltUnknowns(ws, h);
  const second = others.find(({ i }) => Math.abs(places[i].position - places[first.i].position) > APART);
  for (const place of second ? [first, second] : [first]) {
    nodes[place.i] = visit(h, ws, felt, places[place.i].position);
  }
  return { hypothesis: h, felt, nodes };
}

/** Fits the unknowns at every other place of the survey whose deficit is within `limit`; from other starts too where the evidence is `least` (ln). */
export function completeLayout(
  { hypothesis: h, felt, nodes }: NodeLayout,
  ws: Workspace,
  survey: Survey,
  limit: number,
  least = -Infinity,
): void {
  survey.places.forEach(({ position, deficit }, i) => {
    if (deficit <= limit && nodes[i].fits.length === 0) nodes[i] = visit(h, ws, felt, position, least);
  });
}

/** Fits at one position: from the usual start, and where a reading was doubted and the evidence is `least` (ln) from all there are, those that end in different places. */
function visit(h: Hypothesis, ws: Workspace, felt: readonly number[], position: number, least = -Infinity): Node {
  const first = conditionalFit(ws, h, position, felt, false);
  if (!first.doubtful || first.logEvidence < least) return { position, fits: [first], logEvidence: first.logEvidence };
  const fits = [first];
  const add = (fit: Conditional): void => {
    if (fits.every((known) => different(known, fit))) fits.push(fit);
  };
  add(conditionalFit(ws, h, position, felt, true));
  for (const start of ws.predictor.startsOf(h).slice(1)) add(conditionalFit(ws, h, position, felt, false, start));
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
export function refineLayout(layout: NodeLayout, ws: Workspace): void {
  const { hypothesis: h, felt, nodes } = layout;
  if (!h.branch.sized) return;
  while (nodes.length < MAX_NODES) {
    const cells = toCells(layout);
    const total = logSumExp(cells.map((c) => c.logMass));
    let worst = -1;
    let worstScore = 0.01;
    for (let j = 0; j + 1 < cells.length; j++) {
      if (nodes[j + 1].position - nodes[j].position < 2 * TINY) continue;
      // What could be wrong with a gap: the share of its ends, as far as they differ.
      const difference = Math.abs(nodes[j].logEvidence - nodes[j + 1].logEvidence);
      if (!(difference >= 0.5)) continue;
      const share = Math.exp(Math.max(cells[j].logMass, cells[j + 1].logMass) - total);
      const score = share * Math.min(1, difference / 2);
      if (score > worstScore) [worst, worstScore] = [j, score];
    }
    if (worst < 0) return;
    insert(nodes, visit(h, ws, felt, (nodes[worst].position + nodes[worst + 1].position) / 2));
  }
}

/** The nodes as cells, borders midway between neighbours. */
export function toCells({ hypothesis, nodes }: NodeLayout): Cell[] {
  return nodes.map((node, j) => {
    const low = j === 0 ? 0 : (nodes[j - 1].position + node.position) / 2;
    const high = j === nodes.length - 1 ? 1 : (node.position + nodes[j + 1].position) / 2;
    const logPrior = logPositionDensity(hypothesis.branch, node.position) + Math.log(high - low);
    const logMass = node.logEvidence + logPrior + hypothesis.logShare;
    return { hypothesis, low, high, node: node.position, fits: node.fits, logMass };
  });
}
