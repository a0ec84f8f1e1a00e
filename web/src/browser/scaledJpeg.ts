/** Longest side of a kept photo, pixels, and its quality. */
const [LONGEST, QUALITY] = [1280, 0.72];

/** A picture file scaled down as a JPEG data address, or null when the browser cannot read it. `longest`: its longer side, px. */
export function scaledJpeg(file: Blob, longest = LONGEST, quality = QUALITY): Promise<string | null> {
  return scaled(file, longest, (canvas) => canvas.toDataURL('image/jpeg', quality));
}

/** The same as PNG: what is clear stays clear. */
export function scaledPng(file: Blob, longest: number): Promise<string | null> {
  return scaled(file, longest, (canvas) => canvas.toDataURL('image/png'));
}

async function scaled(
  file: Blob,
  longest: number,
  kept: (canvas: HTMLCanvasElement) => string,
): Promise<string | null> {
  try {
    const bitmap = await createImageBitmap(file);
    const scale = Math.min(1, longest / Math.max(bitmap.width, bitmap.height));
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [
      Math.max(1, Math.round(bitmap.width * scale)),
      Math.max(1, Math.round(bitmap.height * scale)),
    ];
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    bitmap.close();
    return kept(canvas);
  } catch {
    return null;
  }
}
