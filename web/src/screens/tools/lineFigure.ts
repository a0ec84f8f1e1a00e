import type { Data, Layout } from 'plotly.js-dist-min';
import { chartColours, chartLayout } from '../../components/chartLook.ts';
import { plainLabel } from '../../components/plainLabel.ts';

/** One line or set of points of a chart of the shelf. */
export interface Trace {
  name: string;
  x: readonly number[];
  y: readonly number[];
  kind?: 'line' | 'dashed' | 'points' | 'band-low' | 'band-high';
}

export interface LineFigure {
  data: Data[];
  layout: Partial<Layout>;
}

/** Colour of a line that follows a slider. */
export const overlayColour = (dark: boolean): string => chartColours(dark).plum;

/** A plain chart in the look of the bench: title with units in its heading, first line spruce, the second plum and dashed. `ranges` where a line is laid over it. */
export function lineFigure(
  heading: string,
  traces: readonly Trace[],
  dark: boolean,
  logarithmic = false,
  ranges?: { x: [number, number]; y: [number, number] },
): LineFigure {
  const colour = chartColours(dark);
  const lines = [colour.spruce, colour.plum, colour.amber];
  let n = 0;
  const data = traces.map((t): Data => {
    const common = {
      type: 'scatter' as const,
      x: [...t.x],
      y: [...t.y],
      name: plainLabel(t.name),
      hovertemplate: '%{x:.4g}: %{y:.4g}<extra></extra>',
    };
    if (t.kind === 'points')
      return {
        ...common,
        mode: 'markers',
        marker: { size: 10, color: colour.amber, line: { color: colour.ink, width: 1.5 } },
      };
    if (t.kind === 'band-low' || t.kind === 'band-high') {
      return {
        ...common,
        mode: 'lines',
        line: { width: 0 },
        hoverinfo: 'skip',
        ...(t.kind === 'band-high' ? { fill: 'tonexty', fillcolor: colour.band } : {}),
      };
    }
    return {
      ...common,
      mode: 'lines',
      line: { color: lines[n++ % lines.length], width: 2, dash: t.kind === 'dashed' ? 'dash' : 'solid' },
    };
  });
  const x = ranges ? { range: ranges.x } : {};
  const y = { ...(logarithmic ? { type: 'log' as const, dtick: 1 } : {}), ...(ranges ? { range: ranges.y } : {}) };
  return { data, layout: chartLayout(heading, colour, { l: 48, r: 10, t: 24, b: 28 }, x, y) };
}
