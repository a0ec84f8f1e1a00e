import { FAULTS } from '../../circuit/faults/list.ts';
import type { JobLine } from '../../check/job/jobList.ts';
import type { Experience } from '../../check/job/recordSchemas.ts';
import { type ReliabilityBand, reliabilityOf } from '../../base/numeric/reliability.ts';
import { plainName } from '../register/placeKey.ts';
import { FAULT_GROUPS, type FaultGroup } from '../../base/units/vocabulary.ts';
import { USUAL_STRENGTH } from './strengths.ts';

/** A share for each group; they sum to one. */
export type Shares = Record<FaultGroup, number>;

const byGroup = (of: (group: FaultGroup) => number): Shares =>
  Object.fromEntries(FAULT_GROUPS.map((g) => [g, of(g)])) as Shares;

/** The default weights, taken together by group. */
export const DEFAULT_SHARES: Shares = byGroup((group) => {
  const total = FAULTS.reduce((sum, f) => sum + f.weight, 0);
  return FAULTS.reduce((sum, f) => sum + (f.group === group ? f.weight : 0), 0) / total;
});

/** A closed check whose fault is known: it was proved, and did not come back. */
export interface KnownCase {
  field: JobLine['field'];
  /** Its plain name. */
  circuit: string;
  group: FaultGroup;
}

/** Checks that were closed with proof. One whose fault came back was decided wrongly, whatever its proof said. */
function closedOf(lines: readonly JobLine[]): { line: JobLine; group: FaultGroup; cameBack: boolean }[] {
  const cameBack = new Set(lines.flatMap((l) => l.recurrenceOf ?? []));
  return lines.flatMap((line) =>
    line.state === 'closed' && !line.unproved && line.group
      ? [{ line, group: line.group, cameBack: cameBack.has(line.id) }]
      : [],
  );
}

export const knownCases = (lines: readonly JobLine[]): KnownCase[] =>
  closedOf(lines)
    .filter((c) => !c.cameBack)
    .map(({ line, group }) => ({ field: line.field, circuit: plainName(line.circuit), group }));

/**
 * Base rates of the fault groups in a kind of circuit, learned from one's own closed checks: a Dirichlet distribution on top of the default weights,
 * which count for `strength` checks. What other fields tell is the start for this one, what this field's other circuits tell the start for this
 * circuit; no check counts twice.
 */
export function ownShares(
  cases: readonly KnownCase[],
  field: JobLine['field'],
  circuit: string,
  strength: number = USUAL_STRENGTH,
): Shares {
  const kind = plainName(circuit);
  const same = cases.filter((c) => c.field === field && c.circuit === kind);
  const near = cases.filter((c) => c.field === field && c.circuit !== kind);
  const far = cases.filter((c) => c.field !== field);
  return [far, near, same].reduce<Shares>(
    (start, list) =>
      byGroup((g) => (strength * start[g] + list.filter((c) => c.group === g).length) / (strength + list.length)),
    DEFAULT_SHARES,
  );
}

/** What a new check takes with it: the factor of each group on its default weight. Null where there is nothing to learn from. */
export function experienceFor(
  lines: readonly JobLine[],
  { field, circuit }: { field: JobLine['field']; circuit: string },
  strength: number,
  at: string,
): Experience | null {
  const cases = knownCases(lines);
  if (cases.length === 0) return null;
  const own = ownShares(cases, field, circuit, strength);
  const factors = byGroup((g) => Math.round((1000 * own[g]) / DEFAULT_SHARES[g]) / 1000);
  return { factors, checks: cases.length, at };
}

/** How one group came out among the closed checks. */
export interface GroupRecord {
  group: FaultGroup;
  /** Checks closed with this group as the fault. */
  decided: number;
  /** Of them: came back, so it was not that, or not that alone. */
  cameBack: number;
  /** Of those that did not come back: the tool led with it. */
  toolSaid: number;
}

/** What the closed checks say of tool, technician and time. */
export interface TrackRecord {
  closed: number;
  groups: GroupRecord[];
  /** The tool's probabilities on these checks against what was proved. */
  reliability: ReliabilityBand[];
  /** Minutes at measuring, over the checks that know them. */
  minutes: { spent: number; planned: number; checks: number };
}

export function trackRecord(lines: readonly JobLine[]): TrackRecord {
  const closed = closedOf(lines);
  const lasting = closed.filter((c) => !c.cameBack);
  const timed = closed.flatMap((c) => c.line.minutes ?? []);
  const sum = (of: (m: (typeof timed)[number]) => number): number => timed.reduce((all, m) => all + of(m), 0);
  return {
    closed: closed.length,
    groups: FAULT_GROUPS.flatMap((group) => {
      const decided = closed.filter((c) => c.group === group);
      if (decided.length === 0) return [];
      const kept = decided.filter((c) => !c.cameBack);
      return [
        {
          ...{ group, decided: decided.length, cameBack: decided.length - kept.length },
          toolSaid: kept.filter((c) => c.line.tool?.group === group).length,
        },
      ];
    }),
    reliability: reliabilityOf(
      lasting.flatMap(({ line, group }) =>
        line.tool ? [{ probability: line.tool.probability, right: line.tool.group === group }] : [],
      ),
    ),
    minutes: { spent: sum((m) => m.spent), planned: sum((m) => m.planned), checks: timed.length },
  };
}
