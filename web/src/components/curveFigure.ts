import { curveFigureWords as say } from '@mellow-probe/core/wording/screens/components';
import type { BandLine, ChartLines, ChartPoint } from '@mellow-probe/core/inference/verdict/chartLines';
import { significant } from '@mellow-probe/core/base/units/writing';
import { shownTemperature, type TemperatureUnit } from '@mellow-probe/core/base/units/format';
import type { Data, Layout } from 'plotly.js-dist-min';
import { type ChartColours, chartColours, chartLayout } from './chartLook.ts';
import { plainLabel } from './plainLabel.ts';

export interface Figure {
  data: Data[];
  layout: Partial<Layout>;
}

/** The two charts of a check: the sensor's resistance (logarithmic), and the loaded voltage; null while no pull-up is known. */
export function curveFigures(
  lines: ChartLines,
  unit: TemperatureUnit,
  dark: boolean,
): { resistance: Figure; voltage: Figure | null } {
  const colour = chartColours(dark);
  const inKilo = Math.max(...lines.resistance.middle) > 2000;
  const kilo = inKilo ? 1000 : 1;
  const layoutOf = (title: string, yaxis: Partial<Layout['yaxis']>): Partial<Layout> =>
    chartLayout(title, colour, { l: 36, r: 10, t: 22, b: 24 }, {}, yaxis);
  const resistance: Figure = {
    data: [
      ...band(lines.resistance, kilo, unit, colour),
      ...(lines.resistancePoint ? [point(lines.resistancePoint, kilo, unit, colour)] : []),
    ],
    layout: layoutOf(say.sensorOver(inKilo ? 'kΩ' : 'Ω', unit), {
      type: 'log',
      ...decades(lines.resistance, kilo),
    }),
  };
  if (!lines.voltage) return { resistance, voltage: null };
  const suspect: Data[] = lines.suspect
    ? [
        {
          type: 'scatter',
          mode: 'lines',
          x: lines.voltage.temperatureC.map((t) => shownTemperature(t, unit)),
          y: lines.suspect.voltage,
          name: plainLabel(lines.suspect.name),
          line: { color: colour.plum, width: 2, dash: 'dash' },
          hovertemplate: '%{y:.2f} V<extra></extra>',
        },
      ]
    : [];
  const measured = lines.voltagePoint ? [point(lines.voltagePoint, 1, unit, colour)] : [];
  return {
    resistance,
    voltage: {
      data: [...band(lines.voltage, 1, unit, colour), ...suspect, ...measured],
      layout: layoutOf(suspect.length > 0 ? say.titleWithSuspect(unit) : say.title(unit), {
        rangemode: 'tozero',
      }),
    },
  };
}

/** Ticks at 1 of each decade, and at 2 and 5 where the range is short. */
function decades(line: BandLine, scale: number): { tickvals: number[]; ticktext: string[] } {
  const [low, high] = [Math.min(...line.low) / scale, Math.max(...line.high) / scale];
  const steps = high / low > 200 ? [1] : high / low > 12 ? [1, 3] : [1, 1.5, 2, 3, 5, 7];
  const tickvals: number[] = [];
  for (let e = Math.floor(Math.log10(low)); e <= Math.ceil(Math.log10(high)); e++) {
    for (const s of steps) {
      const value = Number((s * Math.pow(10, e)).toPrecision(2));
      if (value >= low * 0.7 && value <= high * 1.4) tickvals.push(value);
    }
  }
  return { tickvals, ticktext: tickvals.map((v) => significant(v, 2)) };
}

function band(line: BandLine, scale: number, unit: TemperatureUnit, colour: ChartColours): Data[] {
  const x = line.temperatureC.map((t) => shownTemperature(t, unit));
  const edge = (values: number[], fill: boolean): Data => ({
    name: fill ? say.highestSound : say.lowestSound,
    type: 'scatter',
    mode: 'lines',
    x,
    y: values.map((v) => v / scale),
    line: { width: 0 },
    hoverinfo: 'skip',
    ...(fill ? { fill: 'tonexty', fillcolor: colour.band } : {}),
  });
  return [
    edge(line.low, false),
    edge(line.high, true),
    {
      type: 'scatter',
      mode: 'lines',
      name: say.expected,
      x,
      y: line.middle.map((v) => v / scale),
      line: { color: colour.spruce, width: 2 },
      hovertemplate: `%{x:.0f} °${unit}: %{y:.3g}<extra></extra>`,
    },
  ];
}

function point(p: ChartPoint, scale: number, unit: TemperatureUnit, colour: ChartColours): Data {
  const shown = (t: number): number => shownTemperature(t, unit);
  const bars = (middle: number, low: number, high: number) => ({
    type: 'data' as const,
    symmetric: false,
    array: [high - middle],
    arrayminus: [middle - low],
    color: colour.ink,
    thickness: 1.5,
    width: 4,
  });
  return {
    type: 'scatter',
    mode: 'markers',
    name: say.measured,
    x: [shown(p.temperatureC.middle)],
    y: [p.value.middle / scale],
    error_x: bars(shown(p.temperatureC.middle), shown(p.temperatureC.low), shown(p.temperatureC.high)),
    error_y: bars(p.value.middle / scale, p.value.low / scale, p.value.high / scale),
    marker: {
      size: 12,
      symbol: p.fits ? 'circle' : 'diamond',
      color: p.fits ? colour.spruce : colour.amber,
      line: { color: colour.ink, width: 1.5 },
    },
    hovertemplate: `${say.measuredAt('%{y:.3g}', '%{x:.0f}', unit)}<extra></extra>`,
  };
}
