import { learnToolWords as say } from '@mellow-probe/core/wording/screens/tools';
import { curveModel } from '@mellow-probe/core/circuit/curves/curve';
import type { LearnedCurve, LearnedPair } from '@mellow-probe/core/history/learn/learnCurve';
import { shownTemperature, type TemperatureUnit } from '@mellow-probe/core/base/units/format';
import { type LineFigure, lineFigure } from './lineFigure.ts';

/** A learned curve with its band, and the pairs it comes from. */
export function learnedFigure(
  { curve, fromC, toC, bandK }: Extract<LearnedCurve, { ok: true }>,
  pairs: readonly LearnedPair[],
  unit: TemperatureUnit,
  dark: boolean,
): LineFigure {
  const model = curveModel(curve);
  const t = Array.from({ length: 60 }, (_, i) => fromC + ((toC - fromC) * i) / 59);
  const x = t.map((c) => shownTemperature(c, unit));
  return lineFigure(
    say.chartTitle(unit),
    [
      { name: 'low', x, y: t.map((c) => model.resistanceOhm(c + bandK(c))), kind: 'band-low' },
      { name: 'high', x, y: t.map((c) => model.resistanceOhm(c - bandK(c))), kind: 'band-high' },
      { name: 'curve', x, y: t.map((c) => model.resistanceOhm(c)) },
      {
        name: 'pairs',
        x: pairs.map((p) => shownTemperature(p.temperatureC, unit)),
        y: pairs.map((p) => p.resistanceOhm),
        kind: 'points',
      },
    ],
    dark,
    true,
  );
}
