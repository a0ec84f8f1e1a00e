import type { Layout } from 'plotly.js-dist-min';
import { plainLabel } from './plainLabel.ts';

const COLOURS = {
  light: {
    ink: '#22302d',
    soft: '#5a655e',
    line: '#d8cfbd',
    spruce: '#1d5a55',
    band: 'rgba(29,90,85,0.16)',
    amber: '#c9741b',
    plum: '#6a3f68',
  },
  dark: {
    ink: '#e9e2d3',
    soft: '#a9b3a8',
    line: '#37473f',
    spruce: '#7fc4b8',
    band: 'rgba(127,196,184,0.2)',
    amber: '#e39a4a',
    plum: '#cf9fcb',
  },
};

export type ChartColours = (typeof COLOURS)['light'];

/** The colours of a chart: the measured is amber, the expected spruce, the suspect plum. */
export function chartColours(dark: boolean): ChartColours {
  return dark ? COLOURS.dark : COLOURS.light;
}

type Axis = Partial<Layout['xaxis']>;

/** The one look of all charts: no frame, quiet grid, the title with its units top left. */
export function chartLayout(
  title: string,
  colour: ChartColours,
  margin: Layout['margin'],
  xaxis: Axis,
  yaxis: Axis,
): Partial<Layout> {
  const axis = {
    gridcolor: colour.line,
    zeroline: false,
    linecolor: colour.soft,
    ticks: 'outside',
    tickcolor: colour.line,
  } as const;
  return {
    paper_bgcolor: 'rgba(0,0,0,0)',
    plot_bgcolor: 'rgba(0,0,0,0)',
    font: { family: "'IBM Plex Sans Variable', 'DejaVu Sans', sans-serif", size: 12, color: colour.ink },
    margin,
    showlegend: false,
    hovermode: 'closest',
    xaxis: { ...axis, ...xaxis },
    yaxis: { ...axis, ...yaxis },
    annotations: [
      {
        text: plainLabel(title),
        x: 0,
        y: 1,
        xref: 'paper',
        yref: 'paper',
        xanchor: 'left',
        yanchor: 'bottom',
        showarrow: false,
        font: { size: 13, color: colour.ink },
      },
    ],
  };
}
