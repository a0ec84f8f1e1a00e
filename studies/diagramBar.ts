import { type Axis, diagramPoints, straightened, tiltOf } from '../core/src/intake/picture/diagram.ts';
import { followLine } from '../core/src/intake/picture/followLine.ts';
import type { Spot } from '../core/src/intake/picture/straighten.ts';
import { drawnDiagram } from '../core/test/drawnDiagram.ts';

/** What came of one drawn diagram whose line was tapped once, two pixels beside it. */
export interface DiagramScore {
  name: string;
  /** Was it followed over at least 85 % of its temperatures, 95 of 100 points within 1.5 px of it? */
  followed: boolean;
  /** Errors of the temperatures at its points where a pixel is worth at most 0.3 K, K. */
  errorsK: number[];
  /** Points whose stated uncertainty holds, and all of them. */
  held: number;
  points: number;
}

/** Where a pixel is worth more than this, the picture itself does not say more, K. */
const WORTH_K = 0.3;

export function scoreDiagram(seed: number): DiagramScore {
  const drawn = drawnDiagram(seed);
  const { model, temperatures } = drawn;
  const tap = drawn.at(0.6 * temperatures[0] + 0.4 * temperatures[1]);
  const line = followLine(drawn.picture, { x: tap.x + 2, y: tap.y - 2 });
  if (!line) return { name: drawn.name, followed: false, errorsK: [], held: 0, points: 0 };
  const tilt = tiltOf(drawn.across, drawn.up);
  const straight = (p: Spot): Spot => straightened(p, tilt);
  const axis = (
    [a, b]: readonly [Spot, Spot],
    values: readonly [number, number],
    along: 'x' | 'y',
    scale: Axis['scale'],
  ): Axis => ({
    scale,
    marks: [
      { at: straight(a)[along], value: values[0] },
      { at: straight(b)[along], value: values[1] },
    ],
  });
  const across = axis(drawn.across, temperatures, 'x', 'linear');
  const up = axis(drawn.up, drawn.ohms, 'y', drawn.scale);
  const read = diagramPoints(across, up, line.map(straight));
  const span = (read[read.length - 1].temperatureC - read[0].temperatureC) / (temperatures[1] - temperatures[0]);
  const off = line.map((p) => distanceTo(drawn, p));
  const followed = span > 0.85 && off.filter((d) => d < 1.5).length >= 0.95 * off.length;
  const errors = read.map((p) => {
    const trueOhm = model.resistanceOhm(p.temperatureC);
    // What one pixel up or down is worth at this place, K.
    const [one, two] = [0, 1].map((dy) => model.temperatureC(ohmAt(up, drawn, p.temperatureC, dy)));
    return {
      errorK: Math.abs(model.temperatureC(p.resistanceOhm) - p.temperatureC),
      worthK: Math.abs(one - two),
      trueOhm,
    };
  });
  return {
    name: drawn.name,
    followed,
    errorsK: errors.filter((e) => e.worthK <= WORTH_K).map((e) => e.errorK),
    held: read.filter((p, i) => Math.abs(Math.log(p.resistanceOhm / errors[i].trueOhm)) <= p.halfLog).length,
    points: read.length,
  };
}

/** Resistance that is printed `dy` px above the curve at a temperature. */
function ohmAt(
  { scale, marks: [a, b] }: Axis,
  { model }: ReturnType<typeof drawnDiagram>,
  c: number,
  dy: number,
): number {
  const on = scale === 'log' ? Math.log : (v: number) => v;
  const perPixel = (on(b.value) - on(a.value)) / (b.at - a.at);
  const value = on(model.resistanceOhm(c)) - dy * perPixel;
  return scale === 'log' ? Math.exp(value) : value;
}

function distanceTo({ at, temperatures: [from, to] }: ReturnType<typeof drawnDiagram>, p: Spot): number {
  let least = Infinity;
  for (let c = from; c <= to; c += (to - from) / 2000) {
    const q = at(c);
    least = Math.min(least, Math.hypot(q.x - p.x + 0.5, q.y - p.y + 0.5));
  }
  return least;
}
