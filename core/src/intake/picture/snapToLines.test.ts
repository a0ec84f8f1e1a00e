import { describe, expect, test } from 'vitest';
import { drawnDiagram } from '../../../test/drawnDiagram.ts';
import { seededUniform } from '../../base/numeric/random.ts';
import { grayOf } from './grayPicture.ts';
import { snapToLines } from './snapToLines.ts';
import { type Corners, onPage, type Spot, straightenedColour } from './straighten.ts';

const gray = (width: number, height: number, shade: (x: number, y: number) => number) => ({
  width,
  height,
  data: Uint8Array.from({ length: width * height }, (_, i) => shade(i % width, Math.floor(i / width))),
});

describe('a cross snaps to the printed lines', () => {
  test('of drawn and photographed diagrams: within 1 px of the axis in six of seven, from up to 6 px off; now and then the curve itself lies nearer', () => {
    const uniform = seededUniform(5);
    let [near, far, all] = [0, 0, 0];
    for (let seed = 0; seed < 16; seed++) {
      const { picture, across, up } = drawnDiagram(seed);
      const page = grayOf(picture.data, picture.width, picture.height);
      for (const mark of [...across, ...up]) {
        const [dx, dy] = [12 * uniform() - 6, 12 * uniform() - 6];
        const at = snapToLines(page, { x: mark.x + dx, y: mark.y + dy }, 9);
        // Drawn places are the middles of pixels.
        const off = Math.hypot(at.x - mark.x - 0.5, at.y - mark.y - 0.5);
        near += Number(off < 1);
        far += Number(off > 2);
        all++;
      }
    }
    expect(near / all).toBeGreaterThan(6 / 7);
    expect(far / all).toBeLessThan(0.04);
  });
  test('one line alone moves one coordinate; on blank paper, and beside letters, nothing moves', () => {
    const upright = gray(200, 200, (x) => (x === 100 || x === 101 ? 60 : 250));
    const at = snapToLines(upright, { x: 95, y: 90.5 }, 8);
    expect(at.x).toBeCloseTo(101, 0);
    expect(at.y).toBe(90.5);
    expect(
      snapToLines(
        gray(200, 200, () => 250),
        { x: 50.2, y: 60.4 },
        8,
      ),
    ).toEqual({ x: 50.2, y: 60.4 });
    const letter = gray(200, 200, (x, y) => (x === 100 && y > 92 && y < 104 ? 0 : 250));
    expect(snapToLines(letter, { x: 96, y: 98 }, 8)).toEqual({ x: 96, y: 98 });
  });
  test('of two lines the nearer one; none further away than its reach', () => {
    const two = gray(200, 200, (x) => (x === 100 || x === 112 ? 60 : 250));
    expect(snapToLines(two, { x: 104, y: 100 }, 9).x).toBeCloseTo(100.5, 0);
    expect(snapToLines(two, { x: 109, y: 100 }, 9).x).toBeCloseTo(112.5, 0);
    expect(snapToLines(two, { x: 70, y: 100 }, 9).x).toBe(70);
  });
  test('a line that is a little turned is met at the height of the cross', () => {
    const turned = gray(300, 300, (x, y) => (Math.abs(x - (150 + 0.05 * (y - 150))) < 1.2 ? 40 : 250));
    for (const y of [80, 150, 220])
      expect(snapToLines(turned, { x: 147 + 0.05 * (y - 150), y }, 8).x).toBeCloseTo(150.5 + 0.05 * (y - 150), 0);
  });
});

describe('a photo taken from the side', () => {
  test('is straight again between its four corners: what was a grid is a grid, colours stay', () => {
    const corners: Corners = [
      { x: 40, y: 30 },
      { x: 360, y: 60 },
      { x: 380, y: 270 },
      { x: 20, y: 290 },
    ];
    // The photo is painted from a page of 320 × 240: red on its left half, a dot at (240, 60).
    const place = onPage(corners);
    const dot = place(240 / 320, 60 / 240);
    const photo = new Uint8ClampedArray(4 * 400 * 300).fill(255);
    const half: Spot[] = [place(0.5, 0), place(0.5, 1)];
    for (let y = 0; y < 300; y++)
      for (let x = 0; x < 400; x++) {
        const i = 4 * (y * 400 + x);
        const edge = half[0].x + ((half[1].x - half[0].x) * (y - half[0].y)) / (half[1].y - half[0].y);
        if (x + 0.5 < edge) photo.set([200, 40, 40], i);
        if (Math.hypot(x + 0.5 - dot.x, y + 0.5 - dot.y) < 4) photo.set([0, 0, 0], i);
      }
    const straight = straightenedColour({ width: 400, height: 300, data: photo }, corners);
    const colourAt = (u: number, v: number): number[] => {
      const i = 4 * (Math.floor(v * straight.height) * straight.width + Math.floor(u * straight.width));
      return [...straight.data.slice(i, i + 4)];
    };
    expect(straight.width).toBeGreaterThan(320);
    expect([colourAt(0.45, 0.1), colourAt(0.45, 0.9)]).toEqual([
      [200, 40, 40, 255],
      [200, 40, 40, 255],
    ]);
    expect([colourAt(0.55, 0.1), colourAt(0.55, 0.9)]).toEqual([
      [255, 255, 255, 255],
      [255, 255, 255, 255],
    ]);
    expect(colourAt(0.75, 0.25)).toEqual([0, 0, 0, 255]);
    expect(() =>
      straightenedColour({ width: 400, height: 300, data: photo }, [corners[1], corners[0], corners[2], corners[3]]),
    ).toThrow(RangeError);
  });
});
