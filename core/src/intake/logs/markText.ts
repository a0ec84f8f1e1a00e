import { type Mark, MARK_KINDS } from './log.ts';

/** Between two marks of one sample. */
export const MARKS_APART = ' | ';

/**
 * A mark as it stands in a table: "wiggling @ engine plug begin", "unplugged end", "note: fan came on". What is none of these is a note. Null for an
 * empty cell.
 */
export function markFromText(text: string, atS: number): Mark | null {
  if (text === '') return null;
  const found = /^([a-z-]+)(?: @ (.{1,80}?))?(?: (begin|end))?$/.exec(text);
  const kind = MARK_KINDS.find((k) => k === found?.[1]);
  if (found && kind && kind !== 'note')
    return { kind, fromS: atS, toS: null, place: found[2] ?? '', text: found[3] === 'end' ? 'end' : '' };
  return { kind: 'note', fromS: atS, toS: atS, place: '', text: text.replace(/^note:\s*/, '').slice(0, 200) };
}

/** Begin or end of a mark as `markFromText` reads it. */
export function markToText({ kind, place, text }: Mark, which: 'begin' | 'end'): string {
  return kind === 'note'
    ? `note: ${text.replaceAll('|', '/')}`
    : `${kind}${place === '' ? '' : ` @ ${place}`} ${which}`;
}
