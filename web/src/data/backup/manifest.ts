import { z } from 'zod';

/** Kinds of what is kept: store, folder in a backup, and whether a record stands in an envelope with its revision. */
export const KINDS = {
  job: { store: 'jobs', folder: 'checks', envelope: true },
  photo: { store: 'photos', folder: 'photos', envelope: false },
  shelf: { store: 'shelf', folder: 'shelf', envelope: true },
  log: { store: 'recordings', folder: 'logs', envelope: false },
  training: { store: 'training', folder: 'training', envelope: true },
} as const;
export type Kind = keyof typeof KINDS;
export const KIND_LIST = Object.keys(KINDS) as Kind[];

const entrySchema = z.strictObject({
  kind: z.enum(KIND_LIST),
  /** Key of the record in its store. */
  key: z.string().min(1).max(1000),
  path: z.string().min(1).max(4000),
  bytes: z.number().int().min(0),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
  /** Envelope of a record that has one. */
  kept: z.strictObject({ revision: z.string(), at: z.string(), follows: z.array(z.string()).max(50) }).optional(),
});
export type BackupEntry = z.infer<typeof entrySchema>;

export const MANIFEST = 'manifest.json';
export const manifestSchema = z.strictObject({
  format: z.literal('mellow-probe/backup'),
  formatVersion: z.literal(1),
  createdAt: z.iso.datetime(),
  entries: z.array(entrySchema).max(1_000_000),
});
export type Manifest = z.infer<typeof manifestSchema>;

/** Largest record that is looked at, bytes: a log of some millions of rows. */
export const MOST_BYTES = 512 * 1024 * 1024;
