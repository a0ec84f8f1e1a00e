import type { Layout } from 'plotly.js-dist-min';
import { reader } from '../browser/writing.ts';
import { palette, type Palette, SHAPE } from './base/tokens.ts';
import { plainLabel } from './plainLabel.ts';

/** The colours of a chart: the measured is amber, the expected spruce, the suspect plum; `band` fills between its limits. */
export type ChartColours = Palette & { band: string };

export function chartColours(dark: boolean): ChartColours {
  const colours = palette(dark);
  // Two hex digits more: its opacity, a little stronger where the ground is dark.
  return { ...colours, band: `${colours.spruce}${dark ? '33' : '29'}` };
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
    font: { family: SHAPE.sans, size: 12, color: colour.ink },
    margin,
    separators: reader.decimal === ',' ? ',\u202F' : '.,',
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
