import type { SizeEstimate } from '../inference/verdict/assessment.ts';
import { formatInterval, formatOhmRoughly } from '../base/units/format.ts';
import { fixed } from '../base/units/writing.ts';

/** Above this no meter of the trade tells a resistance from none, Ω. */
const CLEAN_BREAK = 2e9;

/** The size of a fault in words: "about 15 kΩ (14 … 16 kΩ)". Of wide ranges it is said that the size is not known yet. */
export function sizeText(size: SizeEstimate): string {
  const { low, middle, high, unit } = size;
  if (unit === 'ohm') {
    if (low > CLEAN_BREAK) return 'a clean break';
    if (high / low > 30) return `size not known yet (${formatInterval(size, 'ohms', 'C')})`;
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
