import { type Kind, KIND_LIST } from '../../data/backup/manifest.ts';

/** The chosen kinds with one of them put in or left out, in their own order. */
export const withKind = (chosen: readonly Kind[], kind: Kind, on: boolean): Kind[] =>
  KIND_LIST.filter((k) => (k === kind ? on : chosen.includes(k)));
