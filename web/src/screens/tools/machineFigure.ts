import { machineToolWords as say } from '@mellow-probe/core/wording/screens/tools';
import { shownTemperature, type TemperatureUnit } from '@mellow-probe/core/base/units/format';
import { type LineFigure, lineFigure } from './lineFigure.ts';

/** A sensor on the chart: its value at each moment, °C, and whether it is out of line. */
export interface MachineLine {
  name: string;
  isOdd: boolean;
  valuesC: readonly (number | null)[];
}

/** Half the height of the band in which sensors agree, K. */
const AGREE_K = 2.5;

/** One line a sensor over the moments, with the band in which the others agree; what is out of line is drawn as points. */
export function machineFigure(sensors: readonly MachineLine[], unit: TemperatureUnit, dark: boolean): LineFigure {
  const moments = Math.max(...sensors.map((s) => s.valuesC.length));
  const lines = sensors.map(({ name, isOdd, valuesC }) => ({
    name,
    isOdd,
    points: valuesC.flatMap((c, m) => {
      // One moment alone is drawn as a short line, so that sensors and band can be seen.
      const across = moments > 1 || isOdd ? [m + 1] : [m + 0.6, m + 1.4];
      return c === null ? [] : across.map((x) => ({ x, t: shownTemperature(c, unit) }));
    }),
  }));
  const agreeing = lines.filter((l) => !l.isOdd).flatMap((l) => l.points);
  const half = unit === 'F' ? AGREE_K * 1.8 : AGREE_K;
  const band = [...new Set(agreeing.map((p) => p.x))]
    .sort((a, b) => a - b)
    .map((x) => {
      const there = agreeing.filter((p) => p.x === x);
      return { x, middle: there.reduce((sum, p) => sum + p.t, 0) / there.length };
    });
  const figure = lineFigure(
    say.chartTitle(unit),
    [
      { name: 'low', x: band.map((b) => b.x), y: band.map((b) => b.middle - half), kind: 'band-low' as const },
      { name: 'high', x: band.map((b) => b.x), y: band.map((b) => b.middle + half), kind: 'band-high' as const },
      ...lines.map((l) => ({
        name: l.name,
        x: l.points.map((p) => p.x),
        y: l.points.map((p) => p.t),
        kind: l.isOdd ? ('points' as const) : ('line' as const),
      })),
    ],
    dark,
  );
  // Moments are counted: no half of one stands at the axis.
  figure.layout.xaxis = { ...figure.layout.xaxis, tick0: 1, dtick: 1 };
  return figure;
}
