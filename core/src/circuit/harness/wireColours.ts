/** Colours of wires by their words and by the codes of IEC 60757 (from memory), as they are drawn. */
const COLOURS: readonly { names: readonly string[]; drawn: string }[] = [
  { names: ['black', 'bk', 'blk', 'sw'], drawn: '#1c1c1c' },
  { names: ['brown', 'bn', 'brn', 'br'], drawn: '#6b3f1d' },
  { names: ['red', 'rd', 'rt'], drawn: '#c0271c' },
  { names: ['orange', 'og', 'org', 'or'], drawn: '#e07a1f' },
  { names: ['yellow', 'ye', 'yel', 'ge'], drawn: '#e6c72e' },
  { names: ['green', 'gn', 'grn'], drawn: '#2f8b3a' },
  { names: ['blue', 'bu', 'blu', 'bl'], drawn: '#2559b3' },
  { names: ['violet', 'purple', 'vt', 'vio', 'vi'], drawn: '#7a3d9a' },
  { names: ['grey', 'gray', 'gy', 'gry', 'gr'], drawn: '#8b8f92' },
  { names: ['white', 'wh', 'wht', 'ws'], drawn: '#f4f4f0' },
  { names: ['pink', 'pk', 'pnk', 'rs'], drawn: '#e79ab0' },
  { names: ['turquoise', 'tq'], drawn: '#37b5b5' },
];
const byName = new Map(COLOURS.flatMap(({ names, drawn }) => names.map((name) => [name, drawn] as const)));

/**
 * The colours in which a wire is drawn: one, or the ground colour and its stripe; empty where the words are no colours. "green-white", "GN/WH" and
 * "gnye" are all understood.
 *
 * @example wireColours('GN/WH').length // 2
 */
export function wireColours(text: string): string[] {
  const words = text.toLowerCase().match(/[a-z]+/g) ?? [];
  const parts = words.flatMap((word) => {
    if (byName.has(word)) return [word];
    const [first, second] = [word.slice(0, 2), word.slice(2)];
    return word.length === 4 && byName.has(first) && byName.has(second) ? [first, second] : [];
  });
  return parts.slice(0, 2).map((word) => byName.get(word)!);
}
