import { isIdList, isRecord, isTyped, same, type WithId } from './plainData.ts';

/**
 * Three-way merge of plain data: what either side changed since `base` is kept; where both changed the same leaf, `mine` wins. Lists of
 * objects with an `id` are merged by id, so that two windows can add readings to one job; other lists count as one leaf, and so do text and
 * value of a typed figure together.
 */
export function mergeThreeWay<T>(base: T, mine: T, theirs: T): T {
  return merge(base, mine, theirs) as T;
}

function merge(base: unknown, mine: unknown, theirs: unknown): unknown {
  if (same(base, theirs) || same(mine, theirs)) return mine;
  if (same(base, mine)) return theirs;
  if (isIdList(mine) && isIdList(theirs)) return mergeLists(isIdList(base) ? base : [], mine, theirs);
  if (isRecord(mine) && isRecord(theirs)) {
    const before = isRecord(base) ? base : {};
    const result: Record<string, unknown> = {};
    for (const key of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
      const value = merge(before[key], mine[key], theirs[key]);
      if (value !== undefined) result[key] = value;
    }
    if (isTyped(mine) && isTyped(theirs)) keepTogether(before, mine, theirs, result);
    return result;
  }
  return mine;
}

/** A figure whose text one side changed and whose value the other side changed is nobody's: it is mine where I touched it, else theirs. */
function keepTogether(
  before: Record<string, unknown>,
  mine: Record<string, unknown>,
  theirs: Record<string, unknown>,
  result: Record<string, unknown>,
): void {
  const touched = !(same(before.text, mine.text) && same(before.value, mine.value));
  const { text, value } = touched ? mine : theirs;
  Object.assign(result, { text, value });
}

function mergeLists(base: WithId[], mine: WithId[], theirs: WithId[]): WithId[] {
  const find = (list: WithId[], id: string): WithId | undefined => list.find((item) => item.id === id);
  const result: WithId[] = [];
  for (const item of mine) {
    const [before, other] = [find(base, item.id), find(theirs, item.id)];
    // Removed by the other side and untouched by this one: gone. Touched by this one: kept.
    if (!other && before && same(before, item)) continue;
    result.push(other ? (merge(before, item, other) as WithId) : item);
  }
  for (const item of theirs) {
    if (find(mine, item.id)) continue;
    const before = find(base, item.id);
    if (!before || !same(before, item)) result.push(item);
  }
  return result;
}
