import type { LogEvent } from '@mellow-probe/core/intake/logs/finding';
import type { Mark } from '@mellow-probe/core/intake/logs/log';
import { shownTemperature, type TemperatureUnit } from '@mellow-probe/core/base/units/format';
import type { Quantity } from '@mellow-probe/core/base/units/quantity';
import { clockText, MARK_NAMES } from '@mellow-probe/core/wording/logText';
import type { Data, Layout, Shape } from 'plotly.js-dist-min';
import { chartColours, chartLayout } from '../../components/chartLook.ts';
import { plainLabel } from '../../components/plainLabel.ts';
import type { ChannelView, LogShape } from '../../workers/logs.ts';
import { fixed } from '@mellow-probe/core/base/units/writing';

/** What a chart of a log is drawn from. */
export interface LogPicture {
  shape: LogShape;
  views: readonly ChannelView[];
  events: Readonly<Record<string, readonly LogEvent[]>>;
  /** The range of time shown, s. */
  range: readonly [fromS: number, toS: number];
  unit: TemperatureUnit;
  dark: boolean;
  hidden: ReadonlySet<string>;
  /** Pixels across, for the labels of the marks. */
  width: number;
}

const ORDER: readonly Quantity[] = ['celsius', 'volts', 'ohms'];
const TITLE: Record<Quantity, (unit: TemperatureUnit) => string> = {
  celsius: (unit) => `°${unit}`,
  volts: () => 'V',
  ohms: () => 'Ω',
};
/** Space between two panels, share of the height. */
const GAP = 0.07;
/** Steps of the axis of time, s. */
const STEPS = [0.1, 0.2, 0.5, 1, 2, 5, 10, 15, 30, 60, 120, 300, 600, 900, 1800, 3600, 7200, 14_400, 28_800];
/** Most events that are marked: a chart of thousands would be all marks. */
const MOST_MARKS = 150;

/** The colour of the n-th channel, the same on the chart and beside its name. */
export function channelColour(n: number, dark: boolean): string {
  const c = chartColours(dark);
  const all = [c.spruce, c.amber, c.plum, c.moss, c.clay, c.soft];
  return all[n % all.length];
}

/** A panel for each quantity, one axis of time; marks as bands through all, events as thin bands in their own panel. */
export function logFigure(picture: LogPicture): { data: Data[]; layout: Partial<Layout> } {
  const { shape, range, unit, dark, hidden, width } = picture;
  const colour = chartColours(dark);
  const shown = shape.channels.filter((c) => !hidden.has(c.id));
  const panels = panelsOf(shown);
  const base = chartLayout(
    '',
    colour,
    { l: 50, r: 12, t: 20, b: 26 },
    { ...axisOfTime(range), anchor: `y${panels.axisOf(panels.list.at(-1) ?? 'celsius')}` as 'y' },
    { domain: panels.domainOf(0), fixedrange: true },
  );
  const axes = Object.fromEntries(
    panels.list.map((q, k) => [
      `yaxis${panels.axisOf(q)}`,
      { ...base.yaxis, domain: panels.domainOf(k), fixedrange: true, title: { text: TITLE[q](unit), standoff: 4 } },
    ]),
  );
  const marks = shape.marks.filter((m) => isWithin(range, m.fromS, m.toS ?? range[1]));
  return {
    data: shown.flatMap((c) => lineOf(picture, c, panels.axisOf(c.quantity))),
    layout: {
      ...base,
      ...axes,
      shapes: [
        ...marks
          .filter((m) => m.kind !== 'note')
          .map((m) => band(m.fromS, m.toS ?? shape.lengthS, 'paper', [0, 1], colour.amber, 0.13)),
        ...eventBands(picture, shown, panels, colour.clay),
      ],
      annotations: markLabels(marks, range, width, colour.ink),
      dragmode: 'zoom',
      hovermode: 'x',
      showlegend: false,
    },
  };
}

type ShownChannel = LogShape['channels'][number];

const isWithin = ([from, to]: LogPicture['range'], fromS: number, toS: number): boolean => toS >= from && fromS <= to;

/** Which panels there are, where each lies (share of the height), and the number of its axis. */
function panelsOf(shown: readonly ShownChannel[]) {
  const list = ORDER.filter((q) => shown.some((c) => c.quantity === q));
  const height = (1 - GAP * (list.length - 1)) / Math.max(1, list.length);
  return {
    list,
    domainOf: (k: number): [number, number] => [1 - (k + 1) * height - k * GAP, 1 - k * (height + GAP)],
    axisOf: (q: Quantity): string => (list.indexOf(q) === 0 ? '' : String(list.indexOf(q) + 1)),
  };
}

/** The line of one channel on its panel's axis; none while its points are not there. */
function lineOf({ shape, views, unit, dark }: LogPicture, channel: ShownChannel, axis: string): Data[] {
  const view = views.find((v) => v.id === channel.id);
  if (!view) return [];
  const isWhole = view.x.length >= view.of;
  const few = view.x.length < 160;
  return [
    {
      type: 'scatter',
      x: Array.from(view.x),
      y: Array.from(view.y, (v) => (channel.quantity === 'celsius' ? shownTemperature(v, unit) : v)),
      yaxis: `y${axis}`,
      name: plainLabel(channel.name),
      mode: few && isWhole ? 'lines+markers' : 'lines',
      marker: { size: 4 },
      // Instruments give their values at different times: each line runs over the others' rows.
      connectgaps: true,
      line: { color: channelColour(shape.channels.indexOf(channel), dark), width: 1.6 },
      hovertemplate: `${plainLabel(channel.name)} %{y:.4g}<extra></extra>`,
    },
  ];
}

/** Events of the range as thin bands, each in the panel of its channel. */
function eventBands(
  { events, range }: LogPicture,
  shown: readonly ShownChannel[],
  { list, domainOf }: ReturnType<typeof panelsOf>,
  paint: string,
): Partial<Shape>[] {
  const least = (range[1] - range[0]) / 400;
  return shown
    .flatMap((c) => (events[c.id] ?? []).map((e) => ({ e, q: c.quantity })))
    .filter(({ e }) => isWithin(range, e.fromS, e.toS))
    .slice(0, MOST_MARKS)
    .map(({ e, q }) => {
      const toS = Math.max(e.toS, e.fromS) + least / 2;
      return band(e.fromS - least / 2, toS, 'paper', domainOf(list.indexOf(q)), paint, 0.3);
    });
}

const band = (
  x0: number,
  x1: number,
  yref: Shape['yref'],
  [y0, y1]: readonly [number, number],
  fillcolor: string,
  opacity: number,
): Partial<Shape> => ({
  type: 'rect',
  xref: 'x',
  yref,
  x0,
  x1,
  y0,
  y1,
  fillcolor,
  opacity,
  line: { width: 0 },
  layer: 'below',
});

/** Width of a letter of a label, px. */
const LETTER_PX = 6.3;

/** The words of the marks over the chart, as many as have room. */
function markLabels(
  marks: readonly Mark[],
  range: readonly [number, number],
  width: number,
  color: string,
): NonNullable<Layout['annotations']> {
  let free = -Infinity;
  return [...marks]
    .sort((a, b) => a.fromS - b.fromS)
    .flatMap((m) => {
      const text = m.kind === 'note' ? m.text.slice(0, 24) : m.place ? m.place : MARK_NAMES[m.kind];
      const x = Math.max(m.fromS, range[0]);
      const px = ((x - range[0]) / (range[1] - range[0])) * width;
      if (px < free || px + text.length * LETTER_PX > width) return [];
      free = px + (text.length + 1) * LETTER_PX;
      return [
        {
          x,
          y: 1,
          xref: 'x',
          yref: 'paper',
          xanchor: 'left',
          yanchor: 'bottom',
          showarrow: false,
          font: { size: 11, color },
          text: plainLabel(text),
        },
      ];
    });
}

function axisOfTime([from, to]: readonly [number, number]): Partial<Layout['xaxis']> {
  const step = STEPS.find((s) => (to - from) / s <= 8) ?? 86_400;
  const ticks: number[] = [];
  for (let t = Math.ceil(from / step) * step; t <= to + 1e-9; t += step) ticks.push(Number(t.toFixed(3)));
  return {
    range: [from, to],
    tickvals: ticks,
    ticktext: ticks.map((t) => (step < 1 ? `${fixed(t, 1)} s` : clockText(t))),
  };
}
