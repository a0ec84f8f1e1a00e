import type { TableColumn } from '../pointTable/layout.ts';
import type { ColumnRole } from '../pointTable/headings.ts';

/** What a column holds, as it stands in a list. */
export const ROLE_NAMES: Record<ColumnRole, string> = {
  temperature: 'temperature',
  nominal: 'resistance',
  min: 'lowest allowed',
  max: 'highest allowed',
  other: 'not read',
};

export const MARK_NAMES = { '.': '12.5 point', ',': '12,5 comma' } as const;

/** What must be said of a column before its table is used; empty where all can be told. `place` from 1. */
export function askedText({ asked }: TableColumn, place: number): string[] {
  const column = `Column ${place}`;
  return [
    asked.role && `${column}: which is it?`,
    asked.unit && `${column}: in which unit, ${asked.unit.join(' or ')}?`,
    asked.decimal && `${column}: is a mark before three digits a decimal point, or does it group thousands?`,
  ].filter((t) => t !== undefined);
}
