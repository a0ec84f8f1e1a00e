import { isIdList, isRecord, isTyped, plainCopy, type PlainRecord, same, type WithId } from './plainData.ts';

/**
 * One difference between two states of plain data. `at` leads there by keys; in a list of things with ids a step is `#id`. A missing `before`
 * or `after` means: was not there, is gone. `index` is the place of a thing that comes into a list or goes from it.
 */
export interface Patch {
  at: readonly string[];
  before?: unknown;
  after?: unknown;
  index?: number;
}

/** Last step of a difference in a typed figure: text and value change together. Both states are [text, value]. */
export const TYPED = 'text+value';

/**
 * What changed from `before` to `after`, as small as the data allow. Lists of things with ids are compared thing by thing; other lists, and
 * lists whose things changed places, count as one leaf.
 *
 * @example differences({ a: 1, b: 2 }, { a: 1, b: 3 }) // [{ at: ['b'], before: 2, after: 3 }]
 */
export function differences(before: unknown, after: unknown): Patch[] {
  const patches: Patch[] = [];
  collect(before, after, [], patches);
  return patches;
}

function collect(before: unknown, after: unknown, at: readonly string[], out: Patch[]): void {
  if (same(before, after)) return;
  if (isIdList(before) && isIdList(after) && keepsOrder(before, after)) return collectList(before, after, at, out);
  if (!isRecord(before) || !isRecord(after)) {
    out.push({ at, ...present('before', before), ...present('after', after) });
    return;
  }
  const typed = isTyped(before) && isTyped(after);
  if (typed && !(same(before.text, after.text) && same(before.value, after.value))) {
    out.push({ at: [...at, TYPED], before: [before.text, before.value], after: [after.text, after.value] });
  }
  for (const key of new Set([...Object.keys(before), ...Object.keys(after)])) {
    if (typed && (key === 'text' || key === 'value')) continue;
    collect(before[key], after[key], [...at, key], out);
  }
}

/** The value under its key, or nothing where it is missing. */
function present<K extends string>(key: K, value: unknown): { [P in K]?: unknown } {
  return value === undefined ? {} : ({ [key]: value } as { [P in K]?: unknown });
}

function collectList(before: WithId[], after: WithId[], at: readonly string[], out: Patch[]): void {
  const [was, is] = [new Map(before.map((x) => [x.id, x])), new Map(after.map((x) => [x.id, x]))];
  before.forEach((item, index) => {
    if (!is.has(item.id)) out.push({ at: [...at, `#${item.id}`], before: item, index });
  });
  after.forEach((item, index) => {
    const old = was.get(item.id);
    if (old) collect(old, item, [...at, `#${item.id}`], out);
    else out.push({ at: [...at, `#${item.id}`], after: item, index });
  });
}

/** Do two lists hold what both have in the same order, each thing once? */
function keepsOrder(before: readonly WithId[], after: readonly WithId[]): boolean {
  const ids = (list: readonly WithId[]): string[] => list.map((x) => x.id);
  const [was, is] = [new Set(ids(before)), new Set(ids(after))];
  if (was.size !== before.length || is.size !== after.length) return false;
  return same(
    ids(before).filter((id) => is.has(id)),
    ids(after).filter((id) => was.has(id)),
  );
}

/** The way back: what came goes first, then what went comes back to its place, from the front of the list to its end. */
export function inverse(patches: readonly Patch[]): Patch[] {
  const back = patches.map(({ at, before, after, index }): Patch => ({
    at,
    ...present('before', after),
    ...present('after', before),
    ...(index === undefined ? {} : { index }),
  }));
  const goes = (p: Patch): boolean => p.index !== undefined && p.after === undefined;
  return [...back.filter(goes), ...back.filter((p) => !goes(p))];
}

/** Where a change meets something else than it started from: `keep` what stands there, or `force` the change. */
export type OnConflict = 'keep' | 'force';

/**
 * Changes `target` in place. A patch whose place is gone, or (with 'keep') holds something else by now, is left out; returns those. A place
 * that already is as the patch wants it counts as done.
 */
export function applyPatches(target: PlainRecord, patches: readonly Patch[], onConflict: OnConflict): Patch[] {
  return patches.filter((patch) => !applyOne(target, patch, onConflict));
}

function applyOne(target: PlainRecord, patch: Patch, onConflict: OnConflict): boolean {
  const holder = walk(target, patch.at.slice(0, -1));
  const last = patch.at[patch.at.length - 1];
  if (holder === undefined || last === undefined) return false;
  if (Array.isArray(holder))
    return last.startsWith('#') && applyToList(holder as WithId[], last.slice(1), patch, onConflict);
  const here = last === TYPED ? [holder.text, holder.value] : holder[last];
  if (same(here, patch.after)) return true;
  if (onConflict === 'keep' && !same(here, patch.before)) return false;
  if (last === TYPED) [holder.text, holder.value] = plainCopy(patch.after) as unknown[];
  else if (patch.after === undefined) delete holder[last];
  else holder[last] = plainCopy(patch.after);
  return true;
}

function applyToList(list: WithId[], id: string, { before, after, index }: Patch, onConflict: OnConflict): boolean {
  const at = list.findIndex((item) => item.id === id);
  if (after === undefined) {
    if (at < 0) return true;
    if (onConflict === 'keep' && !same(list[at], before)) return false;
    list.splice(at, 1);
    return true;
  }
  if (at >= 0) {
    if (same(list[at], after)) return true;
    if (onConflict === 'keep') return false;
    list[at] = plainCopy(after) as WithId;
    return true;
  }
  // A thing that was changed, not added, and is gone by now: only force brings it back.
  if (before !== undefined && onConflict === 'keep') return false;
  list.splice(Math.min(index ?? list.length, list.length), 0, plainCopy(after) as WithId);
  return true;
}

function walk(from: PlainRecord, steps: readonly string[]): PlainRecord | unknown[] | undefined {
  let here: unknown = from;
  for (const step of steps) {
    if (Array.isArray(here))
      here = step.startsWith('#') ? (here as WithId[]).find((x) => x.id === step.slice(1)) : undefined;
    else if (isRecord(here)) here = here[step];
    else return undefined;
  }
  return isRecord(here) || Array.isArray(here) ? here : undefined;
}
