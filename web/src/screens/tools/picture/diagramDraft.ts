import {
  type Axis,
  axisFault,
  type DiagramPoint,
  diagramPoints,
  straightened,
  tiltOf,
} from '@mellow-probe/core/intake/picture/diagram';
import { blank, entrySchema } from '@mellow-probe/core/base/units/entry';
import { axisFaultText } from '@mellow-probe/core/wording/pictureText';
import { z } from 'zod';
import { spotSchema } from './spotSchema.ts';

export const MOST_POINTS = 200;

const mark = spotSchema.extend({ value: entrySchema });
/** A known place on an axis, px, and the value that is printed there. */
export type DiagramMark = z.infer<typeof mark>;
export type AxisName = 'across' | 'up';

/** What is known of a printed diagram: two places on each axis, and points along the line. */
export const diagramSchema = z.strictObject({
  across: z.tuple([mark, mark]).nullable(),
  up: z.tuple([mark, mark]).nullable(),
  logAcross: z.boolean(),
  logUp: z.boolean(),
  points: z.array(spotSchema).max(MOST_POINTS),
});
export type DiagramDraft = z.infer<typeof diagramSchema>;

export const blankDiagram = (): DiagramDraft => ({
  across: null,
  up: null,
  logAcross: false,
  logUp: true,
  points: [],
});

/** The places on the axes; while none are known, to begin with, about a tenth in from the edges of the picture. */
export function marksOf(
  { across, up }: DiagramDraft,
  { width, height }: { width: number; height: number },
): Record<AxisName, [DiagramMark, DiagramMark]> {
  const start = (x: number, y: number): DiagramMark => ({ x: x * width, y: y * height, value: blank() });
  return {
    across: across ?? [start(0.12, 0.9), start(0.9, 0.9)],
    up: up ?? [start(0.08, 0.84), start(0.08, 0.1)],
  };
}

/** The same diagram on another picture: the values that were typed stay, the places are those to begin with, and the points are gone. */
export function withoutPlaces(draft: DiagramDraft, picture: { width: number; height: number }): DiagramDraft {
  const fresh = marksOf(blankDiagram(), picture);
  const typed = (name: AxisName): [DiagramMark, DiagramMark] => {
    const [a, b] = fresh[name];
    return [
      { ...a, value: draft[name]?.[0].value ?? a.value },
      { ...b, value: draft[name]?.[1].value ?? b.value },
    ];
  };
  return { ...draft, across: typed('across'), up: typed('up'), points: [] };
}

/** An axis from its two places on a picture that is turned by `tilt`; null while a value is missing. */
function axisOf(name: AxisName, [a, b]: readonly DiagramMark[], isLog: boolean, tilt: number): Axis | null {
  if (a.value.value === null || b.value.value === null) return null;
  const at = name === 'across' ? 'x' : 'y';
  return {
    scale: isLog ? 'log' : 'linear',
    marks: [
      { at: straightened(a, tilt)[at], value: a.value.value },
      { at: straightened(b, tilt)[at], value: b.value.value },
    ],
  };
}

/** The points of a diagram, and what is wrong with its axes. A photo is seldom straight: the marks on both axes say by how much it is turned. */
export function readDiagram(
  { logAcross, logUp, points }: DiagramDraft,
  marks: Record<AxisName, [DiagramMark, DiagramMark]>,
): { points: DiagramPoint[]; faults: string[] } {
  const tilt = tiltOf(marks.across, marks.up);
  const axes = {
    across: axisOf('across', marks.across, logAcross, tilt),
    up: axisOf('up', marks.up, logUp, tilt),
  };
  const faults = (['across', 'up'] as const).flatMap((name) => {
    const fault = axes[name] && axisFault(axes[name]);
    return fault ? [axisFaultText(fault, name)] : [];
  });
  if (!axes.across || !axes.up || faults.length > 0) return { points: [], faults };
  const straight = points.map((p) => straightened(p, tilt));
  return { points: diagramPoints(axes.across, axes.up, straight), faults };
}
