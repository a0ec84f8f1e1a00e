import type { Data, Layout } from 'plotly.js-dist-min';

/** A chart as a PNG data address; the chart library is loaded for it. Pixels. */
export async function chartImage(
  figure: { data: Data[]; layout: Partial<Layout> },
  width: number,
  height: number,
): Promise<string> {
  const { default: Plotly } = await import('plotly.js-basic-dist-min');
  return Plotly.toImage({ data: figure.data, layout: figure.layout }, { format: 'png', width, height, scale: 2 });
}
