import { type ColourPicture, type GrayPicture, shadeAt } from './grayPicture.ts';

/** A place in a picture, in its pixels from the left and from the top. */
export interface Spot {
  x: number;
  y: number;
}

/** The corners of a page: upper left, upper right, lower right, lower left. */
export type Corners = readonly [Spot, Spot, Spot, Spot];

/** The corners of the whole picture. */
export function wholePicture({ width, height }: { width: number; height: number }): Corners {
  return [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ];
}

/** Do the corners go round a page the right way, each turn the same (no crossing, no dent), and is it at least 20 pixels wide and high? */
export function goRound(corners: Corners): boolean {
  const side = (i: number): Spot => {
    const [a, b] = [corners[i % 4], corners[(i + 1) % 4]];
    return { x: b.x - a.x, y: b.y - a.y };
  };
  return [0, 1, 2, 3].every((i) => {
    const [a, b] = [side(i), side(i + 1)];
    return a.x * b.y - a.y * b.x > 0 && Math.hypot(a.x, a.y) >= 20;
  });
}

/**
 * Where the unit square lies in a picture whose corners are given: the projective map of a square to a quadrilateral.
 * Source: P. S. Heckbert, Fundamentals of Texture Mapping and Image Warping (1989), section 2.2.3.
 */
export function onPage([a, b, c, d]: Corners): (u: number, v: number) => Spot {
  const [dx1, dx2, dx3] = [b.x - c.x, d.x - c.x, a.x - b.x + c.x - d.x];
  const [dy1, dy2, dy3] = [b.y - c.y, d.y - c.y, a.y - b.y + c.y - d.y];
  const determinant = dx1 * dy2 - dx2 * dy1;
  const g = (dx3 * dy2 - dx2 * dy3) / determinant;
  const h = (dx1 * dy3 - dx3 * dy1) / determinant;
  const [px, qx] = [b.x - a.x + g * b.x, d.x - a.x + h * d.x];
  const [py, qy] = [b.y - a.y + g * b.y, d.y - a.y + h * d.y];
  return (u, v) => {
    const w = g * u + h * v + 1;
    return { x: (px * u + qx * v + a.x) / w, y: (py * u + qy * v + a.y) / w };
  };
}

/** The page between the corners, seen from straight above, as large as its longer sides. Throws a `RangeError` where they do not go round. */
export function straightened(picture: GrayPicture, corners: Corners): GrayPicture {
  const { width, height, from } = pageBetween(corners);
  const data = new Uint8Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = from(x, y);
      data[y * width + x] = Math.round(shadeAt(picture, at.x, at.y));
    }
  return { width, height, data };
}

/** The same of a picture in colour; it is opaque. Throws a `RangeError` where the corners do not go round. */
export function straightenedColour(
  picture: ColourPicture,
  corners: Corners,
): { width: number; height: number; data: Uint8ClampedArray<ArrayBuffer> } {
  const { width, height, from } = pageBetween(corners);
  const data = new Uint8ClampedArray(4 * width * height).fill(255);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = from(x, y);
      for (let c = 0; c < 3; c++) data[4 * (y * width + x) + c] = channelAt(picture, c, at.x, at.y);
    }
  return { width, height, data };
}

/** The size of the page between the corners, and where the middle of each of its pixels lies in the picture. */
function pageBetween(corners: Corners): { width: number; height: number; from: (x: number, y: number) => Spot } {
  if (!goRound(corners)) throw new RangeError('straightened: corners do not go round a page');
  const long = (i: number, j: number): number => Math.hypot(corners[i].x - corners[j].x, corners[i].y - corners[j].y);
  const width = Math.round(Math.max(long(0, 1), long(3, 2)));
  const height = Math.round(Math.max(long(0, 3), long(1, 2)));
  const place = onPage(corners);
  return {
    width,
    height,
    from(x, y) {
      const at = place((x + 0.5) / width, (y + 0.5) / height);
      return { x: at.x - 0.5, y: at.y - 0.5 };
    },
  };
}

/** One channel between four pixels; beyond the edge that of the edge. */
function channelAt({ width, height, data }: ColourPicture, channel: number, x: number, y: number): number {
  const [left, top] = [Math.floor(x), Math.floor(y)];
  const at = (px: number, py: number): number =>
    data[4 * (Math.min(height - 1, Math.max(0, py)) * width + Math.min(width - 1, Math.max(0, px))) + channel];
  const [u, v] = [x - left, y - top];
  const upper = at(left, top) * (1 - u) + at(left + 1, top) * u;
  return upper * (1 - v) + (at(left, top + 1) * (1 - u) + at(left + 1, top + 1) * u) * v;
}
