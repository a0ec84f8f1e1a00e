/**
 * Cells that a spreadsheet would take for a formula, the full-width signs of East Asian keyboards among them, are written as text. A negative figure
 * is data. Source: OWASP, "CSV injection", from memory.
 */
export const FORMULA_CELL = /^\s*(?:[=@＝＠\t\r]|[+\-＋－](?!\d*[.,]?\d+$))/;
