import { describe, expect, test } from 'vitest';
import { chooseFit } from '../../circuit/curves/chooseFit.ts';
import { curveModel } from '../../circuit/curves/curve.ts';
import type { CurveModel } from '../../circuit/curves/curveModel.ts';
import { seededUniform } from '../../base/numeric/random.ts';
import { readPoints } from '../pointTable/readPoints.ts';
import {
  type Axis,
  axisFault,
  type DiagramPoint,
  diagramPoints,
  diagramText,
  straightened,
  tiltOf,
  valueAt,
} from './diagram.ts';
import { followLine } from './followLine.ts';

const LOG: Axis = {
  scale: 'log',
  marks: [
    { at: 700, value: 100 },
    { at: 100, value: 100_000 },
  ],
};
const LINEAR: Axis = {
  scale: 'linear',
  marks: [
    { at: 100, value: -20 },
    { at: 900, value: 120 },
  ],
};

describe('axes', () => {
  test('values between, beyond and at the marks', () => {
    expect(valueAt(LINEAR, 100).value).toBeCloseTo(-20, 12);
    expect(valueAt(LINEAR, 500).value).toBeCloseTo(50, 12);
    expect(valueAt(LINEAR, 980).value).toBeCloseTo(134, 12);
    expect(valueAt(LOG, 100).value).toBeCloseTo(100_000, 6);
    expect(valueAt(LOG, 500).value).toBeCloseTo(1000, 8);
    expect(valueAt(LOG, 500).perPixel).toBeCloseTo(Math.log(1000) / 600, 12);
  });
  test('what is no axis', () => {
    expect(axisFault(LOG)).toBeNull();
    expect(axisFault({ ...LINEAR, marks: [LINEAR.marks[0], { at: 139, value: 5 }] })).toBe('too-close');
    expect(axisFault({ ...LINEAR, marks: [LINEAR.marks[0], { at: 400, value: -20 }] })).toBe('same-value');
    expect(axisFault({ ...LOG, marks: [LOG.marks[0], { at: 10, value: 0 }] })).toBe('not-positive');
    expect(() => diagramPoints({ ...LINEAR, marks: [LINEAR.marks[0], LINEAR.marks[0]] }, LOG, [])).toThrow(RangeError);
  });
});

/** A diagram of a curve with its axes at random, read by a hand that is off by up to 2 px everywhere. */
function readByHand(seed: number): { points: DiagramPoint[]; model: CurveModel } {
  const uniform = seededUniform(seed);
  const between = (a: number, b: number): number => a + (b - a) * uniform();
  const model = curveModel({ kind: 'beta', r25Ohm: between(1000, 50_000), betaK: between(3300, 4200) });
  const [coldC, hotC] = [Math.round(between(-40, 0)), Math.round(between(80, 130))];
  const scale = seed % 3 === 0 ? 'linear' : 'log';
  const ends = [model.resistanceOhm(hotC), model.resistanceOhm(coldC)].map((r, i) =>
    scale === 'log' ? r : i === 0 ? 0 : r,
  );
  const [width, height] = [between(500, 1100), between(400, 900)];
  const across: Axis = {
    scale: 'linear',
    marks: [
      { at: 80, value: coldC },
      { at: 80 + width, value: hotC },
    ],
  };
  const up: Axis = {
    scale,
    marks: [
      { at: 60 + height, value: ends[0] },
      { at: 60, value: ends[1] },
    ],
  };
  const pixel = (axis: Axis, value: number): number => {
    const on = axis.scale === 'log' ? Math.log : (v: number) => v;
    const [a, b] = axis.marks;
    return a.at + ((on(value) - on(a.value)) / (on(b.value) - on(a.value))) * (b.at - a.at);
  };
  const off = (): number => 4 * uniform() - 2;
  const shaken = (axis: Axis): Axis => ({
    ...axis,
    marks: axis.marks.map((m) => ({ ...m, at: m.at + off() })) as unknown as Axis['marks'],
  });
  const temperatures = Array.from({ length: 14 }, (_, i) => coldC + ((hotC - coldC) * (i + 0.5)) / 14);
  // On a linear axis the flat foot of the curve cannot be read: nobody taps where a tenth of it is left.
  const read = temperatures.filter((t) => scale === 'log' || model.resistanceOhm(t) > 0.08 * ends[1]);
  const clicks = read.map((t) => ({ x: pixel(across, t) + off(), y: pixel(up, model.resistanceOhm(t)) + off() }));
  const points = diagramPoints(shaken(across), shaken(up), clicks);
  return { points, model };
}

/** Does the curve through the points keep what it states, at twenty places along them? */
function curveThrough({ points, model }: ReturnType<typeof readByHand>): boolean[] {
  const fit = chooseFit(readPoints(diagramText(points)).rows);
  if (!fit.ok) throw new Error('no fit');
  const fitted = curveModel(fit.curve);
  const [from, to] = [points[0].temperatureC, points[points.length - 1].temperatureC];
  const stated = Math.sqrt(3) * fitted.toleranceLog;
  return Array.from({ length: 20 }, (_, i) => from + ((to - from) * i) / 19).map(
    (t) => Math.abs(Math.log(fitted.resistanceOhm(t) / model.resistanceOhm(t))) <= stated,
  );
}

describe('diagrams read by a hand that is up to 2 px off', () => {
  test('the curve through the points lies within what is stated: 95 of 100 places on twenty diagrams', () => {
    const all = Array.from({ length: 20 }, (_, i) => curveThrough(readByHand(i + 1)));
    expect(all.flat().filter(Boolean).length / all.flat().length).toBeGreaterThanOrEqual(0.95);
  });
  test('so do the points themselves, over many diagrams: the points of one share the error of its axes', () => {
    const all = Array.from({ length: 400 }, (_, i) => readByHand(i + 1)).flatMap(({ points, model }) =>
      points.map((p) => Math.abs(Math.log(p.resistanceOhm / model.resistanceOhm(p.temperatureC))) <= p.halfLog),
    );
    const share = all.filter(Boolean).length / all.length;
    expect(share).toBeGreaterThanOrEqual(0.95);
    expect(share).toBeLessThan(0.98);
  });
  test('what is stated is no blunt width: half of it would not do', () => {
    const uniform = seededUniform(9);
    const off = (): number => 4 * uniform() - 2;
    let beyond = 0;
    for (let i = 0; i < 400; i++) {
      const [point] = diagramPoints(
        { ...LINEAR, marks: LINEAR.marks.map((m) => ({ ...m, at: m.at + off() })) as unknown as Axis['marks'] },
        { ...LOG, marks: LOG.marks.map((m) => ({ ...m, at: m.at + off() })) as unknown as Axis['marks'] },
        [{ x: 500 + off(), y: 400 + off() }],
      );
      beyond += Number(Math.abs(Math.log(point.resistanceOhm / valueAt(LOG, 400).value)) > point.halfLog / 2);
    }
    expect(beyond / 400).toBeGreaterThan(0.2);
  });
  test('points come in order of temperature, one each; a table of them says the limits', () => {
    const points = diagramPoints(LINEAR, LOG, [
      { x: 500, y: 400 },
      { x: 300, y: 300 },
      { x: 500, y: 200 },
    ]);
    expect(points.map((p) => p.temperatureC)).toEqual([15, 50]);
    const { rows, asked } = readPoints(diagramText(points));
    expect(asked).toBe(false);
    expect(rows).toHaveLength(2);
    expect(rows[0].minOhm!).toBeLessThan(rows[0].resistanceOhm);
    expect(rows[0].maxOhm! / rows[0].resistanceOhm).toBeCloseTo(Math.exp(points[0].halfLog), 3);
  });
});

describe('a line is followed by its colour', () => {
  const draw = (grid: [number, number, number], dashed = false) => {
    const [width, height] = [600, 400];
    const data = new Uint8Array(4 * width * height).fill(255);
    const dot = (x: number, y: number, colour: readonly number[]): void =>
      colour.forEach((v, c) => (data[4 * (y * width + x) + c] = v));
    for (let x = 0; x < width; x++) for (let y = 0; y < height; y++) if (x % 100 === 0 || y % 80 === 0) dot(x, y, grid);
    const line = (x: number): number => 40 + 320 * (1 - Math.exp(-x / 250));
    for (let x = 30; x < 570; x++)
      for (let k = -2; k <= 2; k++) if (!dashed || x % 12 < 9) dot(x, Math.round(line(x)) + k, [180, 30, 30]);
    return { picture: { width, height, data }, line };
  };
  test.each([false, true])('over a gray grid, dashed: %s', (dashed) => {
    const { picture, line } = draw([200, 200, 200], dashed);
    const points = followLine(picture, { x: 204, y: line(204) + 3 })!;
    expect(points).toHaveLength(24);
    expect(points[0].x).toBeLessThan(40);
    expect(points[23].x).toBeGreaterThan(560);
    for (const { x, y } of points) expect(Math.abs(y - 0.5 - line(x - 0.5))).toBeLessThan(1.2);
  });
  test('paper is no line, nor is a speck of ink', () => {
    const { picture } = draw([200, 200, 200]);
    expect(followLine(picture, { x: 450, y: 60 })).toBeNull();
    const speck = { width: 200, height: 200, data: new Uint8Array(4 * 200 * 200).fill(255) };
    for (let k = 0; k < 8; k++) speck.data.fill(20, 4 * (100 * 200 + 90 + k), 4 * (100 * 200 + 90 + k) + 3);
    expect(followLine(speck, { x: 94, y: 100 })).toBeNull();
  });
  test('a line in the colour of its grid is followed over the crossings', () => {
    const { picture, line } = draw([180, 30, 30]);
    const points = followLine(picture, { x: 250, y: line(250) })!;
    expect(points.filter(({ x, y }) => Math.abs(y - 0.5 - line(x - 0.5)) < 2).length).toBeGreaterThan(20);
  });
});

describe('a picture that is turned', () => {
  const turned = (degrees: number) => {
    const angle = (degrees * Math.PI) / 180;
    const [c, n] = [Math.cos(angle), Math.sin(angle)];
    const at = (x: number, y: number) => ({ x: c * x - n * y, y: n * x + c * y });
    return { angle, at };
  };
  test('the crosses on both axes say by how much, and places come back straight', () => {
    for (const degrees of [-6, -1, 0, 2.5]) {
      const { angle, at } = turned(degrees);
      const tilt = tiltOf([at(100, 500), at(800, 500)], [at(100, 500), at(100, 50)]);
      expect(tilt).toBeCloseTo(angle, 9);
      const { x, y } = straightened(at(300, 200), tilt);
      expect([x, y]).toEqual([expect.closeTo(300, 6), expect.closeTo(200, 6)]);
    }
  });
  test('crosses that were set roughly, or a picture on its side, turn nothing', () => {
    const { at } = turned(2);
    expect(
      tiltOf(
        [at(100, 500), at(800, 500)],
        [
          { x: 100, y: 500 },
          { x: 100, y: 50 },
        ],
      ),
    ).toBe(0);
    const side = turned(12);
    expect(tiltOf([side.at(100, 500), side.at(800, 500)], [side.at(100, 500), side.at(100, 50)])).toBe(0);
  });
});
