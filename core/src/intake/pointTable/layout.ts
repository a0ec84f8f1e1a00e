import { cellFigure, type DecimalMark, isSteady } from './cellFigure.ts';
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
    if (own && own !== 'K') column.role ??= isOhms(own) ? 'resistance' : own === 'V' ? 'other' : 'temperature';
    Object.assign(column, choices[k]);
    // Who says the unit says what it is.
    const said = choices[k]?.unit;
    if (said && !choices[k]?.role && column.role !== 'min' && column.role !== 'max')
      column.role = isOhms(said) ? 'resistance' : said === 'V' ? 'other' : 'temperature';
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
    const reads = column.cells.map((c) => [cellFigure(c, '.'), cellFigure(c, ',')] as const);
    const onlyPoint = reads.some(([p, c]) => p && !c);
    const onlyComma = reads.some(([p, c]) => c && !p);
    const both = reads.filter(([p, c]) => p && c && p.value !== c.value);
    if (onlyComma && !onlyPoint) column.decimal = ',';
    if (both.length === 0 || onlyPoint !== onlyComma) {
      if (onlyPoint !== onlyComma) said.add(column.decimal);
      continue;
    }
    open.push(column);
  }
  for (const column of open) {
    const steady = ([',', '.'] as const).filter((mark) => isSteady(valuesOf(column, mark)));
    // Both marks stand for decimals in one column: what can be both is asked, and left out as long.
    const mixed = column.cells.some((c) => cellFigure(c, '.') && !cellFigure(c, ','));
    const [elsewhere] = said.size === 1 ? said : [undefined];
    const unit = unitInCells(column.cells) ?? column.unit;
    const prefixed = unit === 'kΩ' || unit === 'MΩ' || (unit === 'K' && column.role !== 'temperature');
    const written = column.cells.some((c) => c.includes('.')) ? '.' : ',';
    if (!mixed && steady.length === 1 && column.cells.length >= 3) [column.decimal] = steady;
    else if (!mixed && elsewhere) column.decimal = elsewhere;
    else if (!mixed && prefixed) column.decimal = written;
    else Object.assign(column, { decimal: written, asked: { ...column.asked, decimal: ['.', ','] } });
  }
}
