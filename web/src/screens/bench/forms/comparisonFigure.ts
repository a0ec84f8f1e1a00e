import { comparisonFigureWords as say } from '@mellow-probe/core/wording/screens/benchForms';
import type { Pair } from '@mellow-probe/core/tools/comparing/comparePairs';
import { curveTable } from '@mellow-probe/core/circuit/curves/curveTable';
import type { CurveModel } from '@mellow-probe/core/circuit/curves/curveModel';
import {
  differenceUnit,
  shownDifference,
  shownTemperature,
  type TemperatureUnit,
} from '@mellow-probe/core/base/units/format';
import type { Data, Layout } from 'plotly.js-dist-min';
import { type ChartColours, chartColours, chartLayout } from '../../../components/chartLook.ts';

/** Paths of a comparison in the order in which they are drawn: the sensor while it is heated, cooled, after heat, and the other one. */
const PATHS = [
  {
    name: say.thisHeating,
    of: (p: Pair) => p.sensor === 'this' && p.phase === 'heating',
    symbol: 'circle',
    dash: 'solid',
  },
  {
    name: say.thisCooling,
    of: (p: Pair) => p.sensor === 'this' && p.phase === 'cooling',
    symbol: 'circle-open',
    dash: 'dash',
  },
  {
    name: say.thisAfterHeat,
    of: (p: Pair) => p.sensor === 'this' && p.phase === 'after',
    symbol: 'diamond-open',
    dash: 'dot',
  },
  { name: say.theOther, of: (p: Pair) => p.sensor === 'other', symbol: 'square', dash: 'solid' },
] as const;

/** A chart as the chart component takes it. */
interface Figure {
  data: Data[];
  layout: Partial<Layout>;
}

/**
 * Pairs of temperature and ohms on the curve, and how far each lies off it in kelvin: there a loop, a jump or a drift of a few per cent
 * is seen, which the curve's decades hide. A pair beyond the curve's range has no place on the second chart.
 *
 * @param pairs in the order in which they were taken
 * @param model the curve that the sensor should follow
 */
export function comparisonFigures(
  pairs: readonly Pair[],
  model: CurveModel,
  unit: TemperatureUnit,
  dark: boolean,
): { ohms: Figure; off: Figure } {
  const colour = chartColours(dark);
  const shown = (c: number): number => shownTemperature(c, unit);
  const temperatures = pairs.map((p) => p.temperatureC);
  const low = Math.max(model.minC, Math.min(...temperatures) - 8);
  const high = Math.min(model.maxC, Math.max(...temperatures) + 8);
  const table = curveTable(model, low, high, (high - low) / 80);
  const t = table.map((l) => shown(l.temperatureC));
  const line = (y: number[], extra: object): Data => ({
    type: 'scatter',
    mode: 'lines',
    x: t,
    y,
    hoverinfo: 'skip',
    ...extra,
  });
  const lows = table.map((l) => l.lowOhm);
  const highs = table.map((l) => l.highOhm);
  const nominal = table.map((l) => l.resistanceOhm);
  const ohms: Data[] = [
    line(lows, { name: say.lowest, line: { width: 0 } }),
    line(highs, { name: say.highest, line: { width: 0 }, fill: 'tonexty', fillcolor: colour.band }),
    line(nominal, { name: say.curve, line: { color: colour.spruce, width: 2 } }),
    ...paths(pairs, (p) => p.resistanceOhm, shown, colour),
  ];
  const degree = shownDifference(1, unit);
  const off: Data[] = [
    line(
      t.map(() => 0),
      { name: say.curve, line: { color: colour.spruce, width: 2 } },
    ),
    ...paths(
      pairs.filter((p) => within(model, model.temperatureC(p.resistanceOhm))),
      (p) => degree * (model.temperatureC(p.resistanceOhm) - p.temperatureC),
      shown,
      colour,
    ),
  ];
  const margin = { l: 52, r: 12, t: 24, b: 28 };
  return {
    ohms: { data: ohms, layout: chartLayout(say.over(unit), colour, margin, {}, { type: 'log', dtick: 1 }) },
    off: {
      data: off,
      layout: chartLayout(say.deviationTitle(differenceUnit(unit), unit), colour, margin, {}, {}),
    },
  };
}

const within = (model: CurveModel, c: number): boolean => c >= model.minC && c <= model.maxC;

function paths(
  pairs: readonly Pair[],
  y: (pair: Pair) => number,
  shown: (c: number) => number,
  colour: ChartColours,
): Data[] {
  return PATHS.flatMap(({ name, of, symbol, dash }): Data[] => {
    const own = pairs.filter(of);
    if (own.length === 0) return [];
    const paint = name === say.theOther ? colour.plum : colour.amber;
    return [
      {
        type: 'scatter',
        mode: 'lines+markers',
        name,
        x: own.map((p) => shown(p.temperatureC)),
        y: own.map(y),
        line: { color: paint, width: 1.5, dash },
        marker: { symbol, size: 10, color: paint, line: { color: paint, width: 1.5 } },
        hovertemplate: `${name}: %{y:.4g}<extra></extra>`,
      },
    ];
  });
}
