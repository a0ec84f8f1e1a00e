import { sweepToolWords as say } from '@mellow-probe/core/wording/screens/tools';
import { countText } from '@mellow-probe/core/wording/ledgerText';
import type { moduleSweep } from '@mellow-probe/core/tools/identify/moduleSweep';
import { formatOhm, formatProbability } from '@mellow-probe/core/base/units/format';
import { fixed } from '@mellow-probe/core/base/units/writing';

/** A line of what a sweep says; an odd one speaks of something that does not fit. */
export interface SweepLine {
  text: string;
  odd: boolean;
}

/** A module with a sensor whose values it shows so far off does not suit it, K. */
const SUITS_K = 5;

/** What a sweep of a module with known resistors says, line by line. `temperature` writes °C as the reader has it. */
export function sweepLines(
  { minC, maxC, pullUp, fit, against, expects }: ReturnType<typeof moduleSweep>,
  rows: number,
  sensorName: string,
  temperature: (c: number) => string,
): SweepLine[] {
  const lines: SweepLine[] = [];
  const plain = (text: string): void => void lines.push({ text, odd: false });
  if (minC !== null) plain(say.coldEnd(temperature(minC)));
  if (maxC !== null) plain(say.hotEnd(temperature(maxC)));
  if (pullUp) {
    const from = countText(pullUp.rows, 'row', 'rows');
    plain(say.pullUpAbout(formatOhm(pullUp.value), formatOhm(2 * pullUp.sigma), from));
  }
  if (fit) plain(say.ownCurve(against.length, fixed(2 * fit.sigmaK, 1)));
  const [first] = expects.candidates;
  if (rows > 1 && expects.noneFits) lines.push({ text: say.noCurveFits, odd: true });
  else if (rows > 1) plain(say.theModuleExpects(first.name, formatProbability(first.probability)));
  if (against.length === 0) return lines;
  const worst = against.reduce((a, b) => (Math.abs(b.errorK) > Math.abs(a.errorK) ? b : a));
  if (Math.abs(worst.errorK) <= SUITS_K) plain(say.suits(sensorName, fixed(Math.abs(worst.errorK), 1)));
  else {
    const text = say.showsWrong(sensorName, fixed(worst.errorK, 0), temperature(worst.temperatureC));
    lines.push({ text, odd: true });
  }
  return lines;
}
