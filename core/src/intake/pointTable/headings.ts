import { type ColumnUnit, unitOf } from './cellFigure.ts';

/** What a column of a table holds. */
export const COLUMN_ROLES = ['temperature', 'nominal', 'min', 'max', 'other'] as const;
export type ColumnRole = (typeof COLUMN_ROLES)[number];

/** What a heading says of its column; null where it says nothing. */
export interface Heading {
  role: ColumnRole | 'resistance' | null;
  unit: ColumnUnit | null;
}

const TEMPERATURE = /temp|темп|температ|温|溫|온도|θερμ|hőm|teplot|lämpö|°|^\s*[tϑθτ]([\s_,./([]|$)/i;
const RESISTANCE =
  /ohm|Ω|Ω|resist|widerst|wert|résist|weerstand|rezist|rezyst|motst|motst|сопрот|저항|電阻|电阻|阻值|抵抗|vastus|ellenáll|odpor|^\s*r([\s_\d,./([]|$)|^\s*r(?=nom|min|max|typ|cent)/i;
const VOLTS = /volt|spannung|tension|voltaje|напряж|電圧|电压|(^|[\s_])u(_|\s|$)/i;
/** Columns that other tables carry along. */
const OTHER =
  /^\s*(?:no|nr|n°|#|pos|row|line|index|id|code|part|remark|note|bemerkung|tol)\b|%|±|toleran|Δ|delta|error|dev/i;
/** Before the others are looked for: there is a "min" in nominal, and in minute. */
const NOMINAL = /nom|typ|cent(?:er|re|r)|mid|mean|avg|average|mittel|nenn|soll|ном|номин|公称|标称|標準|중심/i;
const MIN = /min(?!ut)|mín|мин|мін|最小|최소|lowest|lower|low\b|unter|kleinst|least|(?:^|[\s_])lo(?:$|[\s_.])/i;
const MAX = /max|máx|mass|макс|最大|최대|highest|upper|high\b|ober|höchst|größt|most|(?:^|[\s_])hi(?:$|[\s_.])/i;

/**
 * What a heading says. Units are taken from brackets, from behind a stroke or comma, or from a word that is nothing else: the F of "of" and the K
 * of "NTC 10 K" or "B = 3976 K" are none.
 *
 * @example headingOf('Temp. of oil (°C)') // { role: 'temperature', unit: '°C' }
 */
export function headingOf(head: string): Heading {
  const text = head.normalize('NFKC').replace(/[º˚]/g, '°');
  const unit = headingUnit(text);
  return { role: roleOf(text, unit), unit };
}

function roleOf(text: string, unit: ColumnUnit | null): Heading['role'] {
  if (text.trim() === '') return null;
  const words = text.replace(/\([^)]*\)|\[[^\]]*\]/g, ' ');
  if (isVolts(words, unit)) return 'other';
  const temperature = unit === '°C' || unit === '°F' || TEMPERATURE.test(words);
  const inOhms = unit === 'Ω' || unit === 'kΩ' || unit === 'MΩ';
  const resistance = inOhms || RESISTANCE.test(words);
  // "R at 25 °C" is a resistance although it names a temperature.
  if (temperature && !(resistance && (unit === null || inOhms))) return 'temperature';
  return limitOf(words, unit) ?? (resistance ? 'resistance' : null);
}

const isVolts = (words: string, unit: ColumnUnit | null): boolean =>
  unit === 'V' || (VOLTS.test(words) && (unit === null || unit === 'K'));

function limitOf(words: string, unit: ColumnUnit | null): ColumnRole | null {
  if (OTHER.test(words) && unit === null) return 'other';
  if (NOMINAL.test(words)) return 'nominal';
  if (MIN.test(words)) return 'min';
  return MAX.test(words) ? 'max' : null;
}

/** Words that may stand alone for a unit: a bare letter needs a bracket or a stroke around it, or to be all there is. */
const WORD_UNIT = /Ω|ohm|meg|kilo|°|celsius|fahrenheit|kelvin|volt/i;

function headingUnit(text: string): ColumnUnit | null {
  const brackets = [...text.matchAll(/[([{]\s*(?:in\s+)?([^)\]}]*?)\s*[)\]}]/g)].map((m) => m[1]);
  const behind = /[/,;:]\s*([^\s/,;:()[\]]+)\s*$/.exec(text)?.[1];
  for (const candidate of [...brackets, behind, text.trim()]) {
    const unit = candidate === undefined ? null : wholeUnit(candidate);
    if (unit) return unit;
  }
  const words = text.split(/[\s_,;/()[\]]+|(?<=temp)(?=[CF]$)/i).filter(Boolean);
  for (const [i, word] of words.entries()) {
    const afterFigure = i > 0 && /\d$/.test(words[i - 1]);
    const afterWord = i === words.length - 1 && i > 0 && /temp|^[tr]$|resist|widerst|in$|deg/i.test(words[i - 1]);
    if (afterFigure || !(WORD_UNIT.test(word) || afterWord)) continue;
    const unit = wholeUnit(word);
    if (unit) return unit;
  }
  return null;
}

/** A unit and nothing else; "10 k" in brackets is a part, not a unit. */
function wholeUnit(text: string): ColumnUnit | null {
  if (/\d/.test(text) || /^\s*[mugr]\s*$/.test(text) || /^\s*R\s*$/.test(text)) return null;
  const found = unitOf(text);
  return found && (found.scale === 1 || found.unit === 'V') ? found.unit : null;
}
