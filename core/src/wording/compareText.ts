import type { ComparisonView } from '../tools/comparing/comparisonView.ts';
import { formatOhm, formatTemperature, type TemperatureUnit } from '../base/units/format.ts';
import { fixed, significant } from '../base/units/writing.ts';

/** What a comparison says, line by line; odd lines speak against the sensor. */
export function compareText(
  { own, other, slope, pairs }: ComparisonView,
  unit: TemperatureUnit,
): { text: string; odd: boolean }[] {
  const lines: { text: string; odd: boolean }[] = [];
  const kind = slope === 'ntc' ? 'falls' : 'rises';
  if (own.direction === slope) lines.push({ text: `Resistance ${kind} as it warms, as it should.`, odd: false });
  else if (own.direction === 'mixed')
    lines.push({ text: 'The curve reverses. No healthy sensor does that.', odd: true });
  else if (own.direction !== 'open')
    lines.push({
      text: `Resistance ${kind === 'falls' ? 'rises' : 'falls'} as it warms: another kind of sensor, or the pairs are swapped.`,
      odd: true,
    });
  if (own.jumps.length > 0) {
    const where = own.jumps
      .map((id) => pairs.find((p) => p.id === id))
      .flatMap((p) => (p ? [`${formatOhm(p.resistanceOhm)} at ${formatTemperature(p.temperatureC, unit)}`] : []));
    lines.push({ text: `Off the curve: ${where.join(', ')}. Repeat it. If it stays, the sensor jumps.`, odd: true });
  }
  if (own.returned) {
    const ratio = own.returned.ratio === Infinity ? 'open' : `× ${fixed(own.returned.ratio, 2)}`;
    lines.push(
      own.returned.ok
        ? { text: 'After the heat cycle it came back to where it was.', odd: false }
        : {
            text: `After the heat cycle it did not come back (${ratio}): it passes cold and fails after heat. Replace it.`,
            odd: true,
          },
    );
  }
  if (other) {
    const percent = `${other.ratio > 1 ? '+' : '−'}${fixed(Math.abs(100 * (other.ratio - 1)), 0)} %`;
    lines.push(
      other.differs
        ? {
            text: `It differs from the other sensor by ${percent} at the same temperature: more than both tolerances allow.`,
            odd: true,
          }
        : { text: `It agrees with the other sensor (${percent}).`, odd: false },
    );
  }
  if (own.tangent) {
    const { atC, ohmPerK, holdsK } = own.tangent;
    const perDegree = unit === 'F' ? ohmPerK / 1.8 : ohmPerK;
    const along = unit === 'F' ? holdsK * 1.8 : holdsK;
    lines.push({
      text: `Near ${formatTemperature(atC, unit)} it ${perDegree < 0 ? 'falls' : 'rises'} by about ${significant(Math.abs(perDegree), 2)} Ω per °${unit}: a tangent, good to a tenth for ${fixed(along, 0)} °${unit} only.`,
      odd: false,
    });
  }
  return lines;
}

/** What the signs of the comparison's charts mean. */
export const COMPARISON_SIGNS =
  '● heated · ○ cooled, dashed · ◇ after heat, dotted · ■ the new one or neighbour. The band is the part’s tolerance.';
