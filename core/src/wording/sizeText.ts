import type { SizeEstimate } from '../inference/verdict/assessment.ts';
import { formatInterval, formatOhmRoughly } from '../base/units/format.ts';
import { fixed } from '../base/units/writing.ts';

/** Above this no meter of the trade tells a resistance from none, Ω. */
const CLEAN_BREAK = 2e9;

/** Ranges wider than this have no middle worth naming: the ratio of their ends. */
const WIDE = 30;
/** A resistance above this is nearly an open, and one below this nearly a short: of a wide range only the other end is of use, Ω. */
const [NEARLY_OPEN, NEARLY_SHORT] = [2e6, 5];

/** The size of a fault in words: "about 15 kΩ (14 … 16 kΩ)", "more than about 3 MΩ", "between about 50 Ω and 2 kΩ". */
export function sizeText(size: SizeEstimate): string {
  const { low, middle, high, unit } = size;
  if (unit === 'ohm') {
    if (low > CLEAN_BREAK) return 'a clean break';
    if (high / low > WIDE) {
      if (high > NEARLY_OPEN) return `more than about ${formatOhmRoughly(low)}`;
      if (low < NEARLY_SHORT) return `less than about ${formatOhmRoughly(high)}`;
      return `between about ${formatOhmRoughly(low)} and ${formatOhmRoughly(high)}`;
    }
    return `about ${formatOhmRoughly(middle)} (${formatInterval(size, 'ohms', 'C')})`;
  }
  if (unit === 'factor') return `about × ${figure(middle)} (× ${figure(low)} … ${figure(high)})`;
  const name = unit === 'volt' ? 'V' : 'K';
  return `about ${figure(middle)} ${name} (${figure(low)} … ${figure(high)} ${name})`;
}

/** A size that is known exactly, of a case that was made up: "15 kΩ", "× 0.85", "0.42 V". */
export function trueSizeText(size: number, unit: SizeEstimate['unit']): string {
  if (unit === 'ohm') return size > CLEAN_BREAK ? 'a clean break' : formatOhmRoughly(size);
  return unit === 'factor' ? `× ${figure(size)}` : `${figure(size)} ${unit === 'volt' ? 'V' : 'K'}`;
}

function figure(value: number): string {
  const size = Math.abs(value);
  return fixed(value, size >= 10 ? 0 : size >= 1 ? 1 : 2);
}
