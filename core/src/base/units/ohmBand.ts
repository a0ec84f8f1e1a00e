import { ROUGHLY } from './toldTemperature.ts';
import { parseReading, type ParseReason } from './parseReading.ts';

/** A resistance as a specification gives it: from … to, Ω. */
export interface OhmBand {
  lowOhm: number;
  highOhm: number;
}

export type ToldBand = { ok: true; band: OhmBand } | { ok: false; reason: Exclude<ParseReason, 'ambiguous'> };

/** A figure with no band, or an "about": so much either way. Common practice, no source. */
const [PLAIN, ABOUT] = [0.05, 0.1];

/**
 * Reads `2-3 k`, `2 … 3 kΩ`, `2000-3000`, `10k to 12k`, `2.5k ± 10 %`, `about 2.5k`, `2.5k`. A unit said once goes for both.
 *
 * @example ohmBand('2–3 kΩ') // { ok: true, band: { lowOhm: 2000, highOhm: 3000 } }
 */
export function ohmBand(text: string): ToldBand {
  const clean = text.normalize('NFKC').replace(/[−–—]/g, '-').replace(/\s+/g, ' ').trim();
  if (clean === '') return { ok: false, reason: 'empty' };
  const percent = /^(.+?)\s*(?:±|\+\/-)\s*([\d.,]+)\s*%$/.exec(clean);
  if (percent) {
    const share = parseReading(percent[2], 'number');
    if (!share.ok || !(share.value > 0) || share.value >= 90) return { ok: false, reason: 'not-a-number' };
    return around(percent[1], share.value / 100);
  }
  const about = ROUGHLY.exec(clean);
  if (about) return around(about[1], ABOUT);
  const between = /^(?:between )?([\d.,]+)\s*([^\d\s.,…-]*)\s*(?:…|\.{2,3}|-|to|and)\s*([\d.,]+[^-…]*)$/i.exec(clean);
  if (!between) return around(clean, PLAIN);
  const unit = between[2] === '' ? /[\d.,\s]*(.*)$/.exec(between[3])![1] : between[2];
  const [low, high] = [ohms(`${between[1]} ${unit}`), ohms(between[3])];
  if (typeof low !== 'number') return low;
  if (typeof high !== 'number') return high;
  return high > low ? { ok: true, band: { lowOhm: low, highOhm: high } } : { ok: false, reason: 'upside-down' };
}

function ohms(text: string): number | Extract<ToldBand, { ok: false }> {
  const parsed = parseReading(text, 'ohms', { overload: false });
  if (parsed.ok) return parsed.value > 0 ? parsed.value : { ok: false, reason: 'out-of-range' };
  return { ok: false, reason: parsed.reason === 'ambiguous' ? 'not-a-number' : parsed.reason };
}

function around(text: string, share: number): ToldBand {
  const middle = ohms(text);
  if (typeof middle !== 'number') return middle;
  return { ok: true, band: { lowOhm: middle * (1 - share), highOhm: middle * (1 + share) } };
}
