import { trendFigureWords as say } from '@mellow-probe/core/wording/screens/logbook';
import { driftAt, SURE_SIGMAS } from '@mellow-probe/core/history/trend/drift';
import { ownPoints, type PlaceTrend, type TrendPoint, yearsOf } from '@mellow-probe/core/history/trend/placeTrend';
import { trendPointText } from '@mellow-probe/core/wording/trendText';
import { differenceUnit, shownDifference, type TemperatureUnit } from '@mellow-probe/core/base/units/format';
import type { Data, Layout } from 'plotly.js-dist-min';
import { chartColours, chartLayout } from '../../components/chartLook.ts';
import { dayText } from '@mellow-probe/core/base/units/writing';

/** What counts towards the drift, what a wire or module may have falsified, and what was of a sensor that is gone. */
const KINDS = [
  { name: say.thisSensor, of: (p: TrendPoint, now: number) => p.sensor === now && p.counts, symbol: 'circle' },
  {
    name: say.throughWiring,
    of: (p: TrendPoint, now: number) => p.sensor === now && !p.counts,
    symbol: 'circle-open',
  },
  { name: say.formerSensor, of: (p: TrendPoint, now: number) => p.sensor < now, symbol: 'x-thin-open' },
] as const;

/**
 * Every figure of a place as deviation from its curve over time, with its 95 % bars; tolerance as a band, drift as a line with its own band, repairs and
 * changed sensors as marks on the axis.
 *
 * @param repairs days on which something was repaired here, with what
 */
export function trendFigure(
  trend: PlaceTrend,
  repairs: readonly { at: string; what: string }[],
  unit: TemperatureUnit,
  dark: boolean,
): { data: Data[]; layout: Partial<Layout> } {
  const colour = chartColours(dark);
  const degree = shownDifference(1, unit);
  const { points, changes, drift, toleranceK, outOn } = trend;
  const days = points.map((p) => p.at).sort();
  const [first, last] = [days[0], outOn && outOn > days[days.length - 1] ? outOn : days[days.length - 1]];
  const data = [
    ...(toleranceK > 0 ? toleranceBand([first, last], toleranceK * degree, colour) : []),
    ...(drift ? driftLines(trend, drift, last, degree, colour) : []),
    ...KINDS.flatMap((kind) => {
      const own = points.filter((p) => kind.of(p, changes.length));
      return own.length === 0 ? [] : [pointsOf(kind, own, unit, colour)];
    }),
  ];
  const word = differenceUnit(unit);
  const layout = chartLayout(say.readsOffBy(word), colour, { l: 44, r: 12, t: 28, b: 30 }, { type: 'date' }, {});
  const marks = [
    ...changes.map((c) => ({ at: c.at, what: say.sensorChanged, line: colour.spruce })),
    ...repairs.map((r) => ({ ...r, line: colour.soft })),
  ];
  return { data, layout: withMarks(layout, marks, colour) };
}

type Colours = ReturnType<typeof chartColours>;

/** The part's tolerance, from one day to another, as a band. */
function toleranceBand([first, last]: readonly [string, string], height: number, colour: Colours): Data[] {
  const flat = (y: number, extra: object): Data => ({
    ...{ type: 'scatter', mode: 'lines', x: [first, last], y: [y, y], hoverinfo: 'skip', line: { width: 0 } },
    ...extra,
  });
  return [
    flat(-height, { name: say.toleranceLow }),
    flat(height, { name: say.toleranceHigh, fill: 'tonexty', fillcolor: colour.band }),
  ];
}

/** The drift since the sensor's first figure, with its 95 % limits. */
function driftLines(
  trend: PlaceTrend,
  drift: NonNullable<PlaceTrend['drift']>,
  last: string,
  degree: number,
  colour: Colours,
): Data[] {
  const [from] = ownPoints(trend)
    .map((p) => p.at)
    .sort();
  const at = Array.from({ length: 13 }, (_, i) =>
    new Date(Date.parse(from) + ((Date.parse(last) - Date.parse(from)) * i) / 12).toISOString(),
  );
  const course = at.map((t) => driftAt(drift, yearsOf(t)));
  const line = (name: string, sigmas: number, dash: string, width: number): Data =>
    ({
      ...{ type: 'scatter', mode: 'lines', name, hoverinfo: 'skip' },
      x: at,
      y: course.map((c) => (c.k + sigmas * c.sigmaK) * degree),
      line: { color: colour.plum, width, dash },
    }) as Data;
  return [
    line('drift', 0, 'solid', 2),
    line(say.drift95Low, -SURE_SIGMAS, 'dot', 1),
    line(say.drift95High, SURE_SIGMAS, 'dot', 1),
  ];
}

/** Figures of one kind with their 95 % bars. */
function pointsOf(
  { name, symbol }: (typeof KINDS)[number],
  own: readonly TrendPoint[],
  unit: TemperatureUnit,
  colour: Colours,
): Data {
  const degree = shownDifference(1, unit);
  const paint = name === say.formerSensor ? colour.soft : colour.amber;
  return {
    ...{ type: 'scatter', mode: 'markers', name },
    x: own.map((p) => p.at),
    y: own.map((p) => p.deviationK * degree),
    error_y: { type: 'data', array: own.map((p) => 2 * p.sigmaK * degree), color: paint, thickness: 1, width: 3 },
    marker: { symbol, size: 10, color: paint, line: { color: paint, width: 1.5 } },
    text: own.map((p) => trendPointText(p, unit)),
    customdata: own.map((p) => dayText(p.at)),
    hovertemplate: '%{customdata}<br>%{text}<extra></extra>',
  };
}

/** The layout with a line and a word for each repair and each changed sensor. */
function withMarks(
  layout: Partial<Layout>,
  marks: readonly { at: string; what: string; line: string }[],
  colour: Colours,
): Partial<Layout> {
  return {
    ...layout,
    shapes: marks.map(({ at, line }) => ({
      ...{ type: 'line', xref: 'x', yref: 'paper', x0: at, x1: at, y0: 0, y1: 1 },
      line: { color: line, width: 1, dash: 'dash' },
    })),
    annotations: [
      ...(layout.annotations ?? []),
      ...marks.map(({ at, what }, i) => ({
        ...{ x: at, y: 0.98 - 0.09 * (i % 3), xref: 'x' as const, yref: 'paper' as const, text: what },
        ...{ showarrow: false, xanchor: 'left' as const, font: { size: 11, color: colour.soft } },
      })),
    ],
  };
}
