import type { ColourPicture } from '../src/intake/picture/grayPicture.ts';
import type { Axis } from '../src/intake/picture/diagram.ts';
import type { Spot } from '../src/intake/picture/straighten.ts';
import { curveModel } from '../src/circuit/curves/curve.ts';
import type { CurveModel } from '../src/circuit/curves/curveModel.ts';
import { pick, seededUniform, type Uniform } from '../src/base/numeric/random.ts';

/** A diagram drawn like a page of a data sheet and photographed: turned, shaded, in JPEG. All of it invented. */
export interface DrawnDiagram {
  picture: ColourPicture;
  model: CurveModel;
  /** Two known places on each axis, on the printed axis itself, in the picture; the resistance axis from below. */
  across: readonly [Spot, Spot];
  up: readonly [Spot, Spot];
  /** Values at those places. */
  temperatures: readonly [number, number];
  ohms: readonly [number, number];
  scale: Axis['scale'];
  /** Where the curve is at a temperature. */
  at(c: number): Spot;
  /** The turn of the picture, radians. */
  turn: number;
  name: string;
}

const [WIDTH, HEIGHT] = [900, 640];
const FRAME = { left: 90, right: 850, top: 40, bottom: 570 } as const;
const COLOURS = { black: [25, 25, 30], red: [190, 35, 40], blue: [30, 60, 170], green: [20, 120, 60] } as const;

/** Same seed, same diagram: linear or logarithmic, one or two curves, a gray grid, up to 3° askew, shade to 30 %, JPEG of quality 60. */
export function drawnDiagram(seed: number): DrawnDiagram {
  const uniform = seededUniform(seed * 3571 + 19);
  const scale = seed % 2 === 0 ? 'log' : 'linear';
  const model = curveModel({
    kind: 'beta',
    r25Ohm: pick([2000, 5000, 10_000, 30_000], uniform),
    betaK: 3300 + 800 * uniform(),
  });
  const temperatures = [pick([-20, 0, 10], uniform), pick([80, 100, 120], uniform)] as const;
  const [most, least] = [model.resistanceOhm(temperatures[0]), model.resistanceOhm(temperatures[1])];
  const ohms =
    scale === 'log'
      ? ([10 ** Math.floor(Math.log10(least)), 10 ** Math.ceil(Math.log10(most))] as const)
      : ([0, 1.05 * most] as const);
  const turn = ((6 * uniform() - 3) * Math.PI) / 180;
  const onPage = (c: number, ohm: number): Spot => {
    const share =
      scale === 'log' ? Math.log(ohm / ohms[0]) / Math.log(ohms[1] / ohms[0]) : (ohm - ohms[0]) / (ohms[1] - ohms[0]);
    return {
      x: FRAME.left + ((c - temperatures[0]) / (temperatures[1] - temperatures[0])) * (FRAME.right - FRAME.left),
      y: FRAME.bottom - share * (FRAME.bottom - FRAME.top),
    };
  };
  const inPicture = ({ x, y }: Spot): Spot => {
    const [dx, dy] = [x - WIDTH / 2, y - HEIGHT / 2];
    return {
      x: WIDTH / 2 + dx * Math.cos(turn) - dy * Math.sin(turn),
      y: HEIGHT / 2 + dx * Math.sin(turn) + dy * Math.cos(turn),
    };
  };
  const paint = new Paper(WIDTH, HEIGHT);
  for (let k = 0; k <= 10; k++) {
    const [x, y] = [
      FRAME.left + (k * (FRAME.right - FRAME.left)) / 10,
      FRAME.top + (k * (FRAME.bottom - FRAME.top)) / 10,
    ];
    const edge = k === 0 || k === 10;
    paint.line(
      [
        { x, y: FRAME.top },
        { x, y: FRAME.bottom },
      ].map(inPicture),
      edge ? 2 : 1,
      edge ? COLOURS.black : [185, 185, 185],
    );
    paint.line(
      [
        { x: FRAME.left, y },
        { x: FRAME.right, y },
      ].map(inPicture),
      edge ? 2 : 1,
      edge ? COLOURS.black : [185, 185, 185],
    );
  }
  const names = ['red', 'blue', 'green', 'black'] as const;
  const colour = names[seed % 4];
  const curve = (of: CurveModel): Spot[] =>
    Array.from({ length: 241 }, (_, i) => temperatures[0] + ((temperatures[1] - temperatures[0]) * i) / 240).map((c) =>
      inPicture(onPage(c, of.resistanceOhm(c))),
    );
  // Half of them have a second curve of another colour, lower on the page.
  if (seed % 3 === 0) {
    const second = curveModel({ kind: 'beta', r25Ohm: 0.45 * model.resistanceOhm(25), betaK: 3500 });
    paint.line(curve(second), 2.5, COLOURS[names[(seed + 1) % 4]]);
  }
  paint.line(curve(model), 2 + 1.5 * uniform(), COLOURS[colour]);
  const data = asJpeg(shaded(paint, uniform), WIDTH, HEIGHT, 60);
  const corner = (c: number, share: number): Spot =>
    inPicture({ x: onPage(c, ohms[1]).x, y: FRAME.bottom - share * (FRAME.bottom - FRAME.top) });
  return {
    picture: { width: WIDTH, height: HEIGHT, data },
    ...{ model, temperatures, scale, turn },
    across: [corner(temperatures[0], 0), corner(temperatures[1], 0)],
    up: [corner(temperatures[0], 0), corner(temperatures[0], 1)],
    ohms,
    at: (c) => inPicture(onPage(c, model.resistanceOhm(c))),
    name: `${seed} ${scale}, ${colour}${seed % 3 === 0 ? ', two curves' : ''}, ${((turn * 180) / Math.PI).toFixed(1)}°`,
  };
}

/** White paper that lines are drawn on, with soft edges. */
class Paper {
  readonly data: Float64Array;
  constructor(
    readonly width: number,
    readonly height: number,
  ) {
    this.data = new Float64Array(3 * width * height).fill(248);
  }

  line(places: readonly Spot[], thick: number, colour: readonly number[]): void {
    for (let i = 1; i < places.length; i++) this.stroke(places[i - 1], places[i], thick, colour);
  }

  private stroke(a: Spot, b: Spot, thick: number, colour: readonly number[]): void {
    const half = thick / 2;
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const length = Math.hypot(dx, dy);
    for (
      let y = Math.max(0, Math.floor(Math.min(a.y, b.y) - half - 1));
      y <= Math.min(this.height - 1, Math.max(a.y, b.y) + half + 1);
      y++
    )
      for (
        let x = Math.max(0, Math.floor(Math.min(a.x, b.x) - half - 1));
        x <= Math.min(this.width - 1, Math.max(a.x, b.x) + half + 1);
        x++
      ) {
        const share = length === 0 ? 0 : Math.min(1, Math.max(0, ((x - a.x) * dx + (y - a.y) * dy) / length ** 2));
        const away = Math.hypot(x - a.x - share * dx, y - a.y - share * dy);
        const cover = Math.min(1, Math.max(0, half + 0.5 - away));
        const i = 3 * (y * this.width + x);
        for (let c = 0; c < 3; c++) this.data[i + c] = Math.min(this.data[i + c], 248 + cover * (colour[c] - 248));
      }
  }
}

/** Light that falls off towards one side by up to 30 %, and grain. */
function shaded(paper: Paper, uniform: Uniform): Float64Array {
  const [depth, way] = [0.3 * uniform(), 2 * Math.PI * uniform()];
  const out = new Float64Array(paper.data.length);
  for (let y = 0; y < paper.height; y++)
    for (let x = 0; x < paper.width; x++) {
      const across =
        0.5 + 0.5 * (((2 * x) / paper.width - 1) * Math.cos(way) + ((2 * y) / paper.height - 1) * Math.sin(way)) * 0.7;
      const light = 1 - depth * Math.min(1, Math.max(0, across));
      const i = 3 * (y * paper.width + x);
      for (let c = 0; c < 3; c++) out[i + c] = paper.data[i + c] * light + 5 * (uniform() - 0.5);
    }
  return out;
}

/** What JPEG does to a picture: colours at half the resolution, and cosines rounded to the steps of the example tables (ITU-T T.81, annex K). */
const LUMINANCE = [
  16, 11, 10, 16, 24, 40, 51, 61, 12, 12, 14, 19, 26, 58, 60, 55, 14, 13, 16, 24, 40, 57, 69, 56, 14, 17, 22, 29, 51,
  87, 80, 62, 18, 22, 37, 56, 68, 109, 103, 77, 24, 35, 55, 64, 81, 104, 113, 92, 49, 64, 78, 87, 103, 121, 120, 101,
  72, 92, 95, 98, 112, 100, 103, 99,
];
const CHROMINANCE = [
  17,
  18,
  24,
  47,
  99,
  99,
  99,
  99,
  18,
  21,
  26,
  66,
  99,
  99,
  99,
  99,
  24,
  26,
  56,
  99,
  99,
  99,
  99,
  99,
  47,
  66,
  ...Array<number>(38).fill(99),
];
const COSINES = Array.from({ length: 8 }, (_, u) =>
  Array.from({ length: 8 }, (__, x) => (u === 0 ? Math.SQRT1_2 : 1) * 0.5 * Math.cos(((2 * x + 1) * u * Math.PI) / 16)),
);

function asJpeg(rgb: Float64Array, width: number, height: number, quality: number): Uint8Array {
  const plane = (weights: readonly number[], offset: number): Float64Array =>
    Float64Array.from(
      { length: width * height },
      (_, i) => weights[0] * rgb[3 * i] + weights[1] * rgb[3 * i + 1] + weights[2] * rgb[3 * i + 2] + offset,
    );
  const y = rounded(plane([0.299, 0.587, 0.114], -128), width, height, LUMINANCE, quality);
  const halved = (full: Float64Array): Float64Array => {
    const [w, h] = [width / 2, height / 2];
    const small = Float64Array.from({ length: w * h }, (_, k) => {
      const i = 2 * Math.floor(k / w) * width + 2 * (k % w);
      return (full[i] + full[i + 1] + full[i + width] + full[i + width + 1]) / 4;
    });
    return rounded(small, w, h, CHROMINANCE, quality);
  };
  const cb = halved(plane([-0.1687, -0.3313, 0.5], 0));
  const cr = halved(plane([0.5, -0.4187, -0.0813], 0));
  const out = new Uint8Array(4 * width * height).fill(255);
  for (let i = 0; i < width * height; i++) {
    const k = Math.floor(Math.floor(i / width) / 2) * (width / 2) + Math.floor((i % width) / 2);
    const light = y[i] + 128;
    const values = [light + 1.402 * cr[k], light - 0.3441 * cb[k] - 0.7141 * cr[k], light + 1.772 * cb[k]];
    for (let c = 0; c < 3; c++) out[4 * i + c] = Math.min(255, Math.max(0, Math.round(values[c])));
  }
  return out;
}

/** Blocks of eight by eight, their cosines rounded; what is left over at the edges stays as it is. */
function rounded(
  plane: Float64Array,
  width: number,
  height: number,
  steps: readonly number[],
  quality: number,
): Float64Array {
  const scale = quality < 50 ? 5000 / quality : 200 - 2 * quality;
  const step = steps.map((s) => Math.max(1, Math.floor((s * scale + 50) / 100)));
  const out = Float64Array.from(plane);
  const half = new Float64Array(64);
  const block = new Float64Array(64);
  for (let top = 0; top + 8 <= height; top += 8)
    for (let left = 0; left + 8 <= width; left += 8) {
      for (let v = 0; v < 8; v++)
        for (let u = 0; u < 8; u++)
          half[8 * v + u] = COSINES[u].reduce((sum, c, x) => sum + c * plane[(top + v) * width + left + x], 0);
      for (let v = 0; v < 8; v++)
        for (let u = 0; u < 8; u++) {
          const whole = COSINES[v].reduce((sum, c, yy) => sum + c * half[8 * yy + u], 0);
          block[8 * v + u] = Math.round(whole / step[8 * v + u]) * step[8 * v + u];
        }
      for (let yy = 0; yy < 8; yy++)
        for (let u = 0; u < 8; u++) half[8 * yy + u] = COSINES.reduce((sum, c, v) => sum + c[yy] * block[8 * v + u], 0);
      for (let yy = 0; yy < 8; yy++)
        for (let x = 0; x < 8; x++)
          out[(top + yy) * width + left + x] = COSINES.reduce((sum, c, u) => sum + c[x] * half[8 * yy + u], 0);
    }
  return out;
}
