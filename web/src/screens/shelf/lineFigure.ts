import type { Data, Layout } from 'plotly.js-dist-min';
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
export const overlayColour = (dark: boolean): string => (dark ? COLOURS.dark : COLOURS.light).plum;

const COLOURS = {
  light: { ink: '#22302d', soft: '#5a655e', line: '#d8cfbd', spruce: '#1d5a55', band: 'rgba(29,90,85,0.16)', amber: '#c9741b', plum: '#6a3f68' },
  dark: { ink: '#e9e2d3', soft: '#a9b3a8', line: '#37473f', spruce: '#7fc4b8', band: 'rgba(127,196,184,0.2)', amber: '#e39a4a', plum: '#cf9fcb' },
};

/** A plain chart in the look of the bench: title with units in its heading, first line spruce, the second plum and dashed. `ranges` where a line is laid over it. */
export function lineFigure(heading: string, traces: readonly Trace[], dark: boolean, logarithmic = false, ranges?: { x: [number, number]; y: [number, number] }): LineFigure {
  const colour = dark ? COLOURS.dark : COLOURS.light;
  const axis = { gridcolor: colour.line, zeroline: false, linecolor: colour.soft, ticks: 'outside', tickcolor: colour.line } as const;
  const lines = [colour.spruce, colour.plum, colour.amber];
  let n = 0;
  const data = traces.map((t): Data => {
    const common = { type: 'scatter' as const, x: [...t.x], y: [...t.y], name: plainLabel(t.name), hovertemplate: '%{x:.4g}: %{y:.4g}<extra></extra>' };
    if (t.kind === 'points') return { ...common, mode: 'markers', marker: { size: 10, color: colour.amber, line: { color: colour.ink, width: 1.5 } } };
    if (t.kind === 'band-low' || t.kind === 'band-high') {
      return { ...common, mode: 'lines', line: { width: 0 }, hoverinfo: 'skip', ...(t.kind === 'band-high' ? { fill: 'tonexty', fillcolor: colour.band } : {}) };
    }
    return { ...common, mode: 'lines', line: { color: lines[n++ % lines.length], width: 2, dash: t.kind === 'dashed' ? 'dash' : 'solid' } };
  });
  return {
    data,
    layout: {
      paper_bgcolor: 'rgba(0,0,0,0)',
      plot_bgcolor: 'rgba(0,0,0,0)',
      font: { family: "'IBM Plex Sans Variable', 'DejaVu Sans', sans-serif", size: 12, color: colour.ink },
      margin: { l: 48, r: 10, t: 24, b: 28 },
      showlegend: false,
      hovermode: 'closest',
      xaxis: { ...axis, ...(ranges ? { range: ranges.x } : {}) },
      yaxis: { ...axis, ...(logarithmic ? { type: 'log', dtick: 1 } : {}), ...(ranges ? { range: ranges.y } : {}) },
      annotations: [{ text: plainLabel(heading), x: 0, y: 1, xref: 'paper', yref: 'paper', xanchor: 'left', yanchor: 'bottom', showarrow: false, font: { size: 13, color: colour.ink } }],
    },
  };
}
