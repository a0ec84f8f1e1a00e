import { cellFigure, type ColumnUnit, type DecimalMark, isSteady } from './cellFigure.ts';
import type { CellLine } from './cells.ts';
import { type ColumnChoices, type Found, isOhms, type TableColumn, unitInCells, valuesOf } from './columns.ts';
import { headingOf } from './headings.ts';
import { settleRoles } from './roles.ts';
import { settleUnit } from './units.ts';

/** Finds out how a table is to be read; what a person chose stands, what cannot be told is asked. */
export function layoutOf(heads: readonly string[], lines: readonly CellLine[], choices: ColumnChoices): TableColumn[] {
  const width = Math.max(0, ...lines.map((l) => l.cells.length));
  const columns: Found[] = Array.from({ length: width }, (_, k) => {
    const head = heads[k] ?? '';
    const cells = lines.map((l) => l.cells[k] ?? '');
    const { role, unit } = headingOf(head);
    return { head, cells, role, unit, decimal: '.', asked: {} };
  });
  // A, B, C are names of curves where another column is the temperature.
  for (const column of columns) {
    if (/^\s*[cfk]\s*$/i.test(column.head) && columns.some((c) => c !== column && c.role === 'temperature'))
      Object.assign(column, { role: null, unit: null });
  }
  for (const [k, column] of columns.entries()) {
    const own = unitInCells(column.cells);
    // What stands in the cells is nearer to the figures than a heading.
    if (own && own !== 'K') column.role ??= roleByUnit(own);
    const { unit: said, role } = choices[k] ?? {};
    Object.assign(column, choices[k]);
    // Who says the unit says what it is.
    if (said && !role && column.role !== 'min' && column.role !== 'max') column.role = roleByUnit(said);
  }
  settleDecimals(columns, choices);
  settleRoles(columns, choices);
  columns.forEach((column) => settleUnit(column, columns, choices));
  return columns.map(({ head, role, unit, decimal, asked }) => ({
    head,
    role: role === null || role === 'resistance' ? 'other' : role,
    unit: unit ?? 'Ω',
    decimal,
    asked,
  }));
}

function roleByUnit(unit: ColumnUnit): Found['role'] {
  if (isOhms(unit)) return 'resistance';
  return unit === 'V' ? 'other' : 'temperature';
}

/**
 * The decimal mark of each column: by cells that can be read one way only, else by the way in which the figures run on steadily, else as in the
 * other columns, else as prefixed units are written. Left over: the mark is asked.
 */
function settleDecimals(columns: readonly Found[], choices: ColumnChoices): void {
  const open: Found[] = [];
  const said = new Set<DecimalMark>();
  for (const [k, column] of columns.entries()) {
    if (choices[k]?.decimal) {
      // One answer goes for the whole table.
      said.add(column.decimal);
      continue;
    }
    const { marks, doubtful } = marksIn(column.cells);
    const [only] = marks.length === 1 ? marks : [undefined];
    if (only) said.add((column.decimal = only));
    else if (doubtful) open.push(column);
  }
  const [elsewhere] = said.size === 1 ? said : [undefined];
  for (const column of open) {
    const mark = likelyDecimal(column, elsewhere);
    if (mark) column.decimal = mark;
    else Object.assign(column, { decimal: writtenMark(column), asked: { ...column.asked, decimal: ['.', ','] } });
  }
}

/** The decimal marks that cells of a column can only be read with, and whether a cell means another figure with each. */
function marksIn(cells: readonly string[]): { marks: DecimalMark[]; doubtful: boolean } {
  const reads = cells.map((c) => [cellFigure(c, '.'), cellFigure(c, ',')] as const);
  const marks: DecimalMark[] = [];
  if (reads.some(([p, c]) => p && !c)) marks.push('.');
  if (reads.some(([p, c]) => c && !p)) marks.push(',');
  return { marks, doubtful: reads.some(([p, c]) => p && c && p.value !== c.value) };
}

const writtenMark = ({ cells }: Found): DecimalMark => (cells.some((c) => c.includes('.')) ? '.' : ',');

/** The decimal mark of a column that can be read both ways; null where nothing tells. */
function likelyDecimal(column: Found, elsewhere: DecimalMark | undefined): DecimalMark | null {
  // Both marks stand for decimals in one column: a figure that can be both is a question, and left out until it is answered.
  if (column.cells.some((c) => cellFigure(c, '.') && !cellFigure(c, ','))) return null;
  const steady = ([',', '.'] as const).filter((mark) => isSteady(valuesOf(column, mark)));
  if (steady.length === 1 && column.cells.length >= 3) return steady[0];
  if (elsewhere) return elsewhere;
  const unit = unitInCells(column.cells) ?? column.unit;
  const prefixed = unit === 'kΩ' || unit === 'MΩ' || (unit === 'K' && column.role !== 'temperature');
  return prefixed ? writtenMark(column) : null;
}
