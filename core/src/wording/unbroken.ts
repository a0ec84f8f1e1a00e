const UNIT = '(?:°[CF]|[kM]?Ω|m?V|mA|K|mm²?|m|min|h|s|%|[kMG]B|\\d{3})(?![\\p{L}\\d])';
const PARTED = new RegExp(`([\\d±]) (?=${UNIT})|(±) (?=\\d)`, 'gu');

/**
 * A text to be shown in lines: a figure stays with its unit and its sign, and its thousands together, by spaces at which no line ends. For the eye
 * only: what is kept, searched and compared has plain spaces.
 *
 * @example unbroken('5 V · 2.49 kΩ') // '5\u00a0V · 2.49\u00a0kΩ'
 */
export function unbroken(text: string): string {
  return text.replace(PARTED, '$1$2\u00a0');
}
