import type { GrayPicture } from '../src/intake/picture/grayPicture.ts';
import type { ReaderSymbol } from '../src/intake/picture/readTable.ts';

/** Figures of 5 × 7 dots, our own drawing. */
const DOTS: Record<string, readonly string[]> = {
  '0': ['.###.', '#...#', '#...#', '#...#', '#...#', '#...#', '.###.'],
  '1': ['..#..', '.##..', '..#..', '..#..', '..#..', '..#..', '.###.'],
  '2': ['.###.', '#...#', '....#', '..##.', '.#...', '#....', '#####'],
  '3': ['####.', '....#', '....#', '.###.', '....#', '....#', '####.'],
  '4': ['...#.', '..##.', '.#.#.', '#..#.', '#####', '...#.', '...#.'],
  '5': ['#####', '#....', '####.', '....#', '....#', '#...#', '.###.'],
  '6': ['..##.', '.#...', '#....', '####.', '#...#', '#...#', '.###.'],
  '7': ['#####', '....#', '...#.', '..#..', '..#..', '.#...', '.#...'],
  '8': ['.###.', '#...#', '#...#', '.###.', '#...#', '#...#', '.###.'],
  '9': ['.###.', '#...#', '#...#', '.####', '....#', '...#.', '.##..'],
  '.': ['.', '.', '.', '.', '.', '.', '#'],
  ',': ['.', '.', '.', '.', '.', '.', '#', '#'],
  '-': ['....', '....', '....', '####', '....', '....', '....'],
};

/** How a page is drawn: pixels a dot, paper and ink as shades, a shadow from left to right (share of the light it takes), rules round each cell. */
export interface DrawnStyle {
  dot: number;
  paper: number;
  ink: number;
  shadow: number;
  rules: boolean;
}
export const PLAIN: DrawnStyle = { dot: 3, paper: 245, ink: 20, shadow: 0, rules: false };

/** A page with a table, and where each of its symbols stands. */
export interface DrawnPage {
  picture: GrayPicture;
  /** Symbols of each cell, by row and column, at their middle in the picture. */
  symbols: ReaderSymbol[][][];
}

/** Draws a table of figures: columns 54 dots apart, rows 16 dots apart. */
export function drawnPage(rows: readonly (readonly string[])[], style: DrawnStyle = PLAIN): DrawnPage {
  const { dot } = style;
  const [pitch, high] = [54 * dot, 16 * dot];
  const [width, height] = [pitch * Math.max(...rows.map((r) => r.length)) + 60, high * rows.length + 60];
  const ink = new Uint8Array(width * height);
  const symbols = rows.map((row, r) =>
    row.map((text, c) => {
      let x = 40 + c * pitch;
      const y = 40 + r * high;
      return [...text].map((sign) => {
        const dots = DOTS[sign];
        dots.forEach((line, dy) =>
          [...line].forEach((on, dx) => {
            if (on !== '#') return;
            for (let py = 0; py < dot; py++)
              for (let px = 0; px < dot; px++) ink[(y + dy * dot + py) * width + x + dx * dot + px] = 1;
          }),
        );
        const middle = { text: sign, x: x + (dots[0].length * dot) / 2, y: y + 3.5 * dot };
        x += (dots[0].length + 1) * dot;
        return middle;
      });
    }),
  );
  if (style.rules)
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) if ((y - 30) % high === 0 || (x - 25) % pitch === 0) ink[y * width + x] = 1;
  const data = ink.map((on, i) => {
    const light = 1 - (style.shadow * (i % width)) / width;
    return Math.round((on === 1 ? style.ink : style.paper) * light);
  });
  return { picture: { width, height, data }, symbols };
}
