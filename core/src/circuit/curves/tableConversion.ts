import { KELVIN } from './curveModel.ts';

/** Straight lines of 1/T over ln R: from which ln R on each runs, its value at ln R = 0, and its slope. Ascending. */
export interface LogLines {
  from: Float64Array;
  starts: Float64Array;
  slopes: Float64Array;
}

/** Leading bits of the mantissa that name a cell: 128 cells for a doubling of the resistance. */
const BITS = 7;
const SHIFT = 20 - BITS;
const HIGH = new Uint8Array(Uint32Array.of(1).buffer)[0] === 1 ? 1 : 0;
/** Numbers of one piece: its middle, and the four coefficients of the cubic around it. */
const PIECE = 5;
/** More cells than this are a table over more decades than there are. */
const MOST_CELLS = 1 << 14;

/**
 * Makes the conversion of a whole log, Ω to °C, out of straight lines of 1/T over ln R: neither a logarithm nor a division a value. The bits of a
 * number are its logarithm in rough: exponent and leading bits of the mantissa name a cell of at most 0.8 %, in which the line is a cubic in Ω to
 * 1e-7 K; a cell in which one line ends and the next begins holds two. What lies outside the lines, or in a cell with more ends, is left to `slowly`.
 */
export function tableConversion(
  { from, starts, slopes }: LogLines,
  slowly: (ohm: number) => number,
): (ohms: Float64Array, out: Float64Array) => void {
  const number = new Float64Array(1);
  const words = new Uint32Array(number.buffer);
  const cellOf = (ohm: number): number => {
    number[0] = ohm;
    return words[HIGH] >>> SHIFT;
  };
  const edgeOf = (cell: number): number => {
    words[HIGH] = cell << SHIFT;
    words[1 - HIGH] = 0;
    return number[0];
  };
  const ends = Float64Array.from(from, Math.exp);
  const first = cellOf(ends[0]) + 1;
  const cells = Math.min(MOST_CELLS, Math.max(0, cellOf(ends[ends.length - 1]) - first));
  /** Where the second line of a cell begins; NaN sends the cell to `slowly`. */
  const begins = new Float64Array(cells).fill(Infinity);
  const pieces = new Float64Array(2 * PIECE * cells);
  for (let c = 0, line = 0; c < cells; c++) {
    const [low, high] = [edgeOf(first + c), edgeOf(first + c + 1)];
    while (line < slopes.length - 1 && ends[line + 1] <= low) line++;
    const middle = (low + high) / 2;
    put(pieces, 2 * PIECE * c, middle, starts[line], slopes[line]);
    const next = line + 1;
    if (next >= slopes.length || ends[next] >= high) continue;
    begins[c] = ends[next + 1] < high ? NaN : ends[next];
    put(pieces, 2 * PIECE * c + PIECE, middle, starts[next], slopes[next]);
  }
  return (ohms, out) => {
    const bits = new Uint32Array(ohms.buffer, ohms.byteOffset, 2 * ohms.length);
    for (let k = 0; k < ohms.length; k++) {
      const cell = (bits[2 * k + HIGH] >>> SHIFT) - first;
      const ohm = ohms[k];
      // The sign is in the bits too: a negative number lies beyond all cells.
      if (cell < 0 || cell >= cells || begins[cell] !== begins[cell]) {
        out[k] = slowly(ohm);
        continue;
      }
      const at = 2 * PIECE * cell + (ohm >= begins[cell] ? PIECE : 0);
      const d = ohm - pieces[at];
      out[k] = pieces[at + 1] + d * (pieces[at + 2] + d * (pieces[at + 3] + d * pieces[at + 4]));
    }
  };
}

/** The cubic of 1/(start + slope·ln R) − 273.15 around a middle: Taylor's, written out. */
function put(pieces: Float64Array, at: number, middle: number, start: number, slope: number): void {
  const w = 1 / (start + slope * Math.log(middle));
  const [one, two, three] = [slope * w * w, slope * slope * w ** 3, slope ** 3 * w ** 4];
  pieces[at] = middle;
  pieces[at + 1] = w - KELVIN;
  pieces[at + 2] = -one / middle;
  pieces[at + 3] = (one / 2 + two) / middle ** 2;
  pieces[at + 4] = -(one / 3 + two + three) / middle ** 3;
}
