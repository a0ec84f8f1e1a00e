import { COLUMN_UNITS } from '@mellow-probe/core/intake/pointTable/cellFigure';
import type { Box } from '@mellow-probe/core/intake/picture/grayPicture';
import { fromPictureWords as say } from '@mellow-probe/core/wording/screens/shelfPicture';
import { z } from 'zod';
import type { Handle } from './PictureStage.vue';
import { spotSchema } from './spotSchema.ts';

const box = z.strictObject({ left: z.number(), top: z.number(), right: z.number(), bottom: z.number() });

/** A table as it was read from a picture, and what a person has said of it. */
export const readingSchema = z.strictObject({
  corners: z.array(spotSchema).length(4).nullable(),
  heads: z.array(z.string().max(200)).max(20),
  rows: z
    .array(z.array(z.strictObject({ text: z.string().max(40), doubtful: z.boolean(), box: box.nullable() })).max(20))
    .max(400),
  /** Cells that were looked at, as row:column. */
  looked: z.array(z.string().max(12)).max(8000),
  /** Units that were confirmed, by the place of their columns. */
  units: z.record(z.string().regex(/^\d{1,2}$/), z.enum(COLUMN_UNITS)).optional(),
});
export type PictureReading = z.infer<typeof readingSchema>;

export const nothingRead = (): PictureReading => ({ corners: null, heads: [], rows: [], looked: [], units: {} });

const CORNERS = [say.upperLeftCorner, say.upperRightCorner, say.lowerRightCorner, say.lowerLeftCorner];

/** The corners of a table as handles to drag, named from the upper left one round. */
export const cornerHandles = (corners: readonly { x: number; y: number }[]): Handle[] =>
  corners.map((c, i) => ({ ...c, id: String(i), label: CORNERS[i], kind: 'corner' }));

/** The reading with another text in one cell, which counts as looked at. */
export function withText(reading: PictureReading, row: number, column: number, text: string): PictureReading {
  const rows = reading.rows.map((cells, r) =>
    r === row ? cells.map((cell, c) => (c === column ? { ...cell, text } : cell)) : cells,
  );
  return { ...reading, rows, looked: [...new Set([...reading.looked, `${row}:${column}`])] };
}

/** The reading without one of its rows; what was looked at moves up with the rows below. */
export function withoutRow(reading: PictureReading, row: number): PictureReading {
  const looked = reading.looked.flatMap((key) => {
    const [r, c] = key.split(':').map(Number);
    return r === row ? [] : [`${r > row ? r - 1 : r}:${c}`];
  });
  return { ...reading, rows: reading.rows.filter((_, r) => r !== row), looked };
}

/** Height of a snippet, px: a figure in it can be read. */
const SNIPPET = 26;

/** The style of a cell's snippet: the page behind a window of the cell's size. */
export function snippetStyle(
  at: Box | null,
  page: { url: string; width: number; height: number } | null,
): Record<string, string> {
  if (!at || !page) return {};
  const scale = SNIPPET / (at.bottom - at.top + 8);
  return {
    width: `${(at.right - at.left + 12) * scale}px`,
    height: `${SNIPPET}px`,
    backgroundImage: `url(${page.url})`,
    backgroundSize: `${page.width * scale}px ${page.height * scale}px`,
    backgroundPosition: `${-(at.left - 6) * scale}px ${-(at.top - 4) * scale}px`,
  };
}
