import { meaningOf, speaksOfAnother, type TroubleCode } from '../catalogue/parts/troubleCodes.ts';
import type { OwnCodesRead } from '../catalogue/parts/ownCodes.ts';
import type { Layout } from '../base/units/vocabulary.ts';

/**
 * What a code means in this circuit: "low" and "high" are the signal's voltage, so which way the value reads hangs on layout and curve.
 * `null` for a code that is not known.
 */
export function codeText(
  code: Parameters<typeof meaningOf>[0],
  layout: Layout,
  slope: 'ntc' | 'ptc',
  circuitName = '',
): string | null {
  const known = meaningOf(code);
  const text = known && meaningText(known, layout, slope);
  if (!known || !text || !speaksOfAnother(known, circuitName)) return text;
  return `${text} It belongs to another sensor: it counts only for what they share.`;
}

function meaningText(known: TroubleCode, layout: Layout, slope: 'ntc' | 'ptc'): string {
  const what = known.what.charAt(0).toUpperCase() + known.what.slice(1);
  if (known.kind === 'not-temperature') return `${what}: not a temperature circuit.`;
  if (known.kind === 'high-voltage') return HIGH_VOLTAGE;
  if (known.kind === 'condition') return `${what}: this describes the machine, not a fault of the circuit.`;
  if (known.kind === 'reference')
    return `${what} ${known.says === 'open' ? 'open' : known.says}: what several circuits share.`;
  switch (known.says) {
    case 'low':
    case 'high': {
      // Under a pull-up more ohms are more volts; in the mirrored layout less.
      const moreOhm = (known.says === 'high') === (layout !== 'pull-down');
      const reads = moreOhm === (slope === 'ntc') ? 'cold' : 'hot';
      return `${what}: signal voltage too ${known.says}; in this circuit that reads ${reads}${moreOhm ? ', like an open' : ', like a short'}.`;
    }
    case 'open':
      return `${what}: circuit open; in this circuit that reads ${slope === 'ntc' ? 'cold' : 'hot'}.`;
    case 'ohms-low':
    case 'ohms-high': {
      const more = known.says === 'ohms-high';
      const reads = more === (slope === 'ntc') ? 'cold' : 'hot';
      return `${what}: resistance too ${more ? 'high' : 'low'}; that reads ${reads}, like ${more ? 'an open' : 'a short'}.`;
    }
    case 'low-or-open':
    case 'high-or-open':
      return `${what}: signal voltage too ${known.says === 'low-or-open' ? 'low' : 'high'}, or the circuit open.`;
    case 'range':
      return `${what}: believable but wrong; neither open nor short.`;
    case 'intermittent':
      return `${what}: comes and goes; wiggle and heat.`;
    default:
      return `${what}: the circuit, kind not given.`;
  }
}

/** What stands in place of a suggested test while a code of a high-voltage system is on the check. */
export const HIGH_VOLTAGE =
  'High-voltage system: for qualified persons only, by the maker’s procedure. Do not probe this circuit.';

/** What is wrong with a line of a file of own codes. */
export function ownCodeFaultText({ line, reason, text }: OwnCodesRead['faults'][number]): string {
  const why = {
    'no-code': 'no code',
    'no-circuit': 'no circuit',
    meaning: 'the meaning is not in the list',
    twice: 'the code is already in the list',
    'too-many': 'no room for more',
  }[reason];
  return `Line ${line} is left out: ${why} (${text}).`;
}
