import type { ComparisonView } from '../tools/comparing/comparisonView.ts';
import { formatOhm, formatTemperature, type TemperatureUnit } from '../base/units/format.ts';
import { fixed, significant } from '../base/units/writing.ts';

/** A line of a comparison; an odd one speaks against the sensor. */
interface CompareLine {
  text: string;
  odd: boolean;
}

/** What a comparison says, line by line; odd lines speak against the sensor. */
export function compareText(view: ComparisonView, unit: TemperatureUnit): CompareLine[] {
  return [
    directionLine(view),
    jumpsLine(view, unit),
    returnedLine(view),
    otherLine(view),
    tangentLine(view, unit),
  ].filter((line) => line !== null);
}

function directionLine({ own, slope }: ComparisonView): CompareLine | null {
  const [should, other] = slope === 'ntc' ? ['falls', 'rises'] : ['rises', 'falls'];
  if (own.direction === slope) return { text: `Resistance ${should} as it warms, as it should.`, odd: false };
  if (own.direction === 'mixed') return { text: 'The curve reverses. No healthy sensor does that.', odd: true };
  if (own.direction === 'open') return null;
  return { text: `Resistance ${other} as it warms: another kind of sensor, or the pairs are swapped.`, odd: true };
}

function jumpsLine({ own, pairs }: ComparisonView, unit: TemperatureUnit): CompareLine | null {
  if (own.jumps.length === 0) return null;
  const where = own.jumps
    .map((id) => pairs.find((p) => p.id === id))
    .flatMap((p) => (p ? [`${formatOhm(p.resistanceOhm)} at ${formatTemperature(p.temperatureC, unit)}`] : []));
  return { text: `Off the curve: ${where.join(', ')}. Repeat it. If it stays, the sensor jumps.`, odd: true };
}

function returnedLine({ own: { returned } }: ComparisonView): CompareLine | null {
  if (!returned) return null;
  if (returned.ok) return { text: 'After the heat cycle it came back to where it was.', odd: false };
  const ratio = returned.ratio === Infinity ? 'open' : `× ${fixed(returned.ratio, 2)}`;
  return {
    text: `After the heat cycle it did not come back (${ratio}): it passes cold and fails after heat. Replace it.`,
    odd: true,
  };
}

function otherLine({ other }: ComparisonView): CompareLine | null {
  if (!other) return null;
  const percent = `${other.ratio > 1 ? '+' : '−'}${fixed(Math.abs(100 * (other.ratio - 1)), 0)} %`;
  if (!other.differs) return { text: `It agrees with the other sensor (${percent}).`, odd: false };
  return {
    text: `It differs from the other sensor by ${percent} at the same temperature: more than both tolerances allow.`,
    odd: true,
  };
}

function tangentLine({ own: { tangent } }: ComparisonView, unit: TemperatureUnit): CompareLine | null {
  if (!tangent) return null;
  const { atC, ohmPerK, holdsK } = tangent;
  const perDegree = unit === 'F' ? ohmPerK / 1.8 : ohmPerK;
  const along = unit === 'F' ? holdsK * 1.8 : holdsK;
  return {
    text: `Near ${formatTemperature(atC, unit)} it ${perDegree < 0 ? 'falls' : 'rises'} by about ${significant(Math.abs(perDegree), 2)} Ω per °${unit}: a tangent, good to a tenth for ${fixed(along, 0)} °${unit} only.`,
    odd: false,
  };
}

/** What the signs of the comparison's charts mean. */
export const COMPARISON_SIGNS =
  '● heated · ○ cooled, dashed · ◇ after heat, dotted · ■ the new one or neighbour. The band is the part’s tolerance.';
