import { z } from 'zod';

/** Longest texts that a control lets a person type: a figure, a line, a remark, a paragraph. */
export const LONGEST = { figure: 200, line: 400, remark: 2000, paragraph: 20_000 } as const;

/**
 * The door for files and stored records is this much wider than the controls: what a person typed under other limits, or what a program
 * put together out of typed texts, must open again. Beyond it a record is hostile or broken.
 */
export const FILE_MARGIN = 10;

export const figureText = z.string().max(FILE_MARGIN * LONGEST.figure);
export const line = z.string().max(FILE_MARGIN * LONGEST.line);
export const paragraph = z.string().max(FILE_MARGIN * LONGEST.paragraph);
export const identifier = z.string().min(1).max(100);
export const timestamp = z.iso.datetime({ offset: true });
