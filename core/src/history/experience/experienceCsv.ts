import Papa from 'papaparse';
import { FORMULA_CELL } from '../../base/records/formulaCell.ts';
import { FAULT_GROUPS } from '../../base/units/vocabulary.ts';
import { DEFAULT_SHARES, type KnownCase, ownShares } from './experience.ts';

/** Base rates by field and circuit as a table: checks and found of each group, its default share and its own. */
export function experienceCsv(cases: readonly KnownCase[], strength: number): string {
  const kinds = [...new Map(cases.map((c) => [`${c.field}\n${c.circuit}`, c])).values()];
  const rows = kinds.flatMap(({ field, circuit }) => {
    const own = ownShares(cases, field, circuit, strength);
    const here = cases.filter((c) => c.field === field && c.circuit === circuit);
    return FAULT_GROUPS.map((group) => ({
      ...{ field, circuit, group, checks: here.length },
      found: here.filter((c) => c.group === group).length,
      default_share: DEFAULT_SHARES[group].toFixed(4),
      own_share: own[group].toFixed(4),
      default_counts_for: strength,
    }));
  });
  return `${Papa.unparse(rows, { newline: '\n', escapeFormulae: FORMULA_CELL })}\n`;
}
