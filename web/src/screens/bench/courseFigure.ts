import { courseFigureWords as say } from '@mellow-probe/core/wording/screens/benchVerdict';
import type { CourseStep } from '@mellow-probe/core/inference/verdict/verdictCourse';
import { groupName } from '@mellow-probe/core/wording/groupName';
import type { Data } from 'plotly.js-dist-min';
import { chartColours, chartLayout } from '../../components/chartLook.ts';
import type { Figure } from '../../components/curveFigure.ts';
import { plainLabel } from '../../components/plainLabel.ts';

/** Groups that never had this share are not drawn. */
const WORTH_A_LINE = 0.05;

/** How the probability of each group moved, reading by reading. `nameOf` gives a reading's name. */
export function courseFigure(course: readonly CourseStep[], nameOf: (id: string) => string, dark: boolean): Figure {
  const colour = chartColours(dark);
  const last = course[course.length - 1];
  const x = course.map((_, i) => i);
  const DASHES = ['solid', 'dash', 'dot', 'dashdot', 'longdash', 'longdashdot'] as const;
  const data = (last?.groups ?? []).flatMap(({ group }, k): Data[] => {
    const y = course.map((s) => 100 * (s.groups.find((g) => g.group === group)?.probability ?? 0));
    if (Math.max(...y) < 100 * WORTH_A_LINE) return [];
    const name = groupName(group);
    const highest = y.indexOf(Math.max(...y));
    return [
      {
        type: 'scatter',
        mode: 'text+lines+markers',
        name,
        x,
        y,
        // Its name on the line itself, so that no colour has to be looked up: the leader's at its end, the others' where they stood highest.
        text: y.map((_, i) => (i === (k === 0 ? y.length - 1 : highest) ? name : '')),
        textposition: k === 0 ? 'bottom left' : 'top center',
        cliponaxis: false,
        line: { color: k === 0 ? colour.amber : colour.spruce, width: k === 0 ? 3 : 1.5, dash: DASHES[k] },
        marker: { size: 6 },
        hovertemplate: `${name} %{y:.0f} %<extra></extra>`,
      },
    ];
  });
  const label = (step: CourseStep): string => plainLabel(step.after === null ? say.before : nameOf(step.after));
  return {
    data,
    layout: chartLayout(
      say.probabilityPercent,
      colour,
      { l: 36, r: 24, t: 24, b: 96 },
      {
        tickvals: x,
        ticktext: course.map(label),
        tickangle: -40,
        range: [-0.2, Math.max(1, course.length - 1) + 0.1],
      },
      { range: [-4, 112], tickvals: [0, 25, 50, 75, 100] },
    ),
  };
}
