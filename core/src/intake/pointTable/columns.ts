import { z } from 'zod';
import {
  type CellFigure,
  cellFigure,
  COLUMN_UNITS,
  type ColumnUnit,
  type DecimalMark,
  eitherFigure,
  ohmsIn,
} from './cellFigure.ts';
import { COLUMN_ROLES, type ColumnRole } from './headings.ts';

/** What can be asked of a column. */
export type ColumnAspect = 'role' | 'unit' | 'decimal';

/** How one column is read. */
export interface TableColumn {
  head: string;
  role: ColumnRole;
  unit: ColumnUnit;
  decimal: DecimalMark;
  /** What cannot be told from the text and must be said by a person, with the ways there are. */
  asked: Partial<Record<ColumnAspect, readonly string[]>>;
  /** No known sensor has such resistances, but one has a thousand times as much or as little. */
  thousandOff?: true;
}

/** What a person said of the columns, by their place from 0. */
export const columnChoicesSchema = z.record(
  z.string().regex(/^\d{1,2}$/),
  z.strictObject({
    role: z.enum(COLUMN_ROLES).optional(),
    unit: z.enum(COLUMN_UNITS).optional(),
    decimal: z.enum(['.', ',']).optional(),
  }),
);
export type ColumnChoices = Readonly<z.infer<typeof columnChoicesSchema>>;

export const BY_RESISTANCE: readonly ColumnRole[] = ['nominal', 'min', 'max'];
export const isOhms = (unit: ColumnUnit | null): boolean =>
  unit !== null && !Number.isNaN(ohmsIn(unit)) && unit !== 'K';

/** A column while it is being found out. */
export interface Found {
  head: string;
  cells: readonly string[];
  role: ColumnRole | 'resistance' | null;
  unit: ColumnUnit | null;
  decimal: DecimalMark;
  asked: TableColumn['asked'];
}

/** The unit that more than half of the cells carry themselves. */
export function unitInCells(cells: readonly string[]): ColumnUnit | null {
  const units = cells.map((c) => eitherFigure(c)?.unit ?? null);
  for (const unit of new Set(units)) if (unit && units.filter((u) => u === unit).length > cells.length / 2) return unit;
  return null;
}

export const figuresOf = (column: Found, mark = column.decimal): (CellFigure | null)[] =>
  column.cells.map((c) => cellFigure(c, mark));
export const valuesOf = (column: Found, mark = column.decimal): number[] =>
  figuresOf(column, mark).flatMap((f) => (f ? [f.value * (isOhms(f.unit) ? ohmsIn(f.unit!) : 1)] : []));
