import type { TableColumn } from '../intake/pointTable/columns.ts';
import type { ColumnRole } from '../intake/pointTable/headings.ts';

/** What a column holds, as it stands in a list. */
export const ROLE_NAMES: Record<ColumnRole, string> = {
  temperature: 'temperature',
  nominal: 'resistance',
  min: 'lowest',
  max: 'highest',
  other: 'not read',
};

export const MARK_NAMES = { '.': '12.5 point', ',': '12,5 comma' } as const;

/** What must be said before a table is used, each question once with the columns it is about; empty where all can be told. */
export function askedText(columns: readonly TableColumn[]): string[] {
  const questions = new Map<string, number[]>();
  columns.forEach(({ role, asked, thousandOff }, k) => {
    const ask = (question: string): void => void questions.set(question, [...(questions.get(question) ?? []), k + 1]);
    if (asked.role) ask('which is it?');
    if (role === 'other') return;
    if (asked.unit && thousandOff)
      ask(`no known sensor has such resistances. Which unit is right, ${asked.unit.join(' or ')}?`);
    else if (asked.unit) ask(`in which unit, ${asked.unit.join(' or ')}?`);
    if (asked.decimal) ask('is a mark before three digits a decimal point, or does it group thousands?');
  });
  return [...questions].map(
    ([question, places]) => `Column${places.length > 1 ? 's' : ''} ${places.join(', ')}: ${question}`,
  );
}

/** Says that some lines give only the ends of a range, and what was used as their value; null where none does. */
export function middlesText(lines: readonly number[]): string | null {
  if (lines.length === 0) return null;
  const where = lines.length === 1 ? `Line ${lines[0]} gives` : `${lines.length} lines give`;
  return `${where} only the lowest and the highest value. The geometric mean of the two is used as the nominal value.`;
}
