/** A picture in shades of gray, row by row: 0 black … 255 white. */
export interface GrayPicture {
  width: number;
  height: number;
  data: Uint8Array;
}

/** A picture in colour, four bytes a pixel. */
export interface ColourPicture {
  width: number;
  height: number;
  data: ArrayLike<number>;
}

/** A part of a picture in its pixels; `right` and `bottom` lie just outside. */
export interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/**
 * Shades of gray from red, green, blue and opacity (four bytes a pixel, on white paper). Luma of ITU-R BT.601.
 * Throws a `RangeError` where the bytes do not fill width × height.
 */
export function grayOf(rgba: ArrayLike<number>, width: number, height: number): GrayPicture {
  if (!(width > 0 && height > 0) || rgba.length !== 4 * width * height)
    throw new RangeError(`grayOf: ${rgba.length} bytes for ${width} × ${height}`);
  const data = new Uint8Array(width * height);
  for (let i = 0; i < data.length; i++) {
    const opacity = rgba[4 * i + 3] / 255;
    const luma = 0.299 * rgba[4 * i] + 0.587 * rgba[4 * i + 1] + 0.114 * rgba[4 * i + 2];
    data[i] = Math.round(255 + (luma - 255) * opacity);
  }
  return { width, height, data };
}

/** The shade between four pixels, white outside the picture. Coordinates of pixel centres. */
export function shadeAt({ width, height, data }: GrayPicture, x: number, y: number): number {
  const [left, top] = [Math.floor(x), Math.floor(y)];
  const at = (px: number, py: number): number =>
    px < 0 || py < 0 || px >= width || py >= height ? 255 : data[py * width + px];
  const [fx, fy] = [x - left, y - top];
  const upper = at(left, top) * (1 - fx) + at(left + 1, top) * fx;
  const lower = at(left, top + 1) * (1 - fx) + at(left + 1, top + 1) * fx;
  return upper * (1 - fy) + lower * fy;
}

/** A part of a picture at `scale` times its size, on a white border of `margin` pixels of the result. */
export function cutOut(picture: GrayPicture, box: Box, scale: number, margin: number): GrayPicture {
  const width = Math.max(1, Math.round((box.right - box.left) * scale)) + 2 * margin;
  const height = Math.max(1, Math.round((box.bottom - box.top) * scale)) + 2 * margin;
  const data = new Uint8Array(width * height).fill(255);
  for (let y = margin; y < height - margin; y++)
    for (let x = margin; x < width - margin; x++)
      data[y * width + x] = Math.round(
        shadeAt(picture, box.left + (x - margin + 0.5) / scale - 0.5, box.top + (y - margin + 0.5) / scale - 0.5),
      );
  return { width, height, data };
}

/** Averages of blocks: at most `most` pixels on the longer side. The picture itself where it is small enough. */
export function noLargerThan(picture: GrayPicture, most: number): GrayPicture {
  const factor = Math.max(picture.width, picture.height) / most;
  if (factor <= 1) return picture;
  const [width, height] = [picture.width, picture.height].map((n) => Math.max(1, Math.round(n / factor)));
  const data = new Uint8Array(width * height);
  for (let y = 0; y < height; y++) {
    const [top, bottom] = [Math.floor(y * factor), Math.min(picture.height, Math.ceil((y + 1) * factor))];
    for (let x = 0; x < width; x++) {
      const [left, right] = [Math.floor(x * factor), Math.min(picture.width, Math.ceil((x + 1) * factor))];
      let sum = 0;
      for (let py = top; py < bottom; py++)
        for (let px = left; px < right; px++) sum += picture.data[py * picture.width + px];
      data[y * width + x] = Math.round(sum / ((bottom - top) * (right - left)));
    }
  }
  return { width, height, data };
}

/** The file of a gray picture that any reader of pictures opens: portable graymap, binary (Netpbm's P5). */
export function graymapFile({ width, height, data }: GrayPicture): Uint8Array {
  const head = new TextEncoder().encode(`P5\n${width} ${height}\n255\n`);
  const file = new Uint8Array(head.length + data.length);
  file.set(head);
  file.set(data, head.length);
  return file;
}
