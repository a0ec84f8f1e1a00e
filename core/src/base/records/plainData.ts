/** Plain data as it stands in files and stores: no classes, no functions. */
export type PlainRecord = Record<string, unknown>;

/** A thing in a list that has a name of its own. */
export interface WithId {
  id: string;
}

/** A copy without anything shared, also of what is wrapped by an interface. */
export function plainCopy<T>(value: T): T {
  return typeof value === 'object' ? (JSON.parse(JSON.stringify(value)) as T) : value;
}

export function isRecord(value: unknown): value is PlainRecord {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** A list of things with ids; an empty list may become one. */
export function isIdList(value: unknown): value is WithId[] {
  return Array.isArray(value) && value.every((item) => isRecord(item) && typeof item.id === 'string');
}

/** A figure as typed and what it was read as: text and value belong together and are never parted. */
export function isTyped(value: unknown): value is PlainRecord & { text: unknown; value: unknown } {
  return isRecord(value) && 'text' in value && 'value' in value;
}

/** Equal plain data, whatever the order of keys. */
export function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((item, i) => same(item, b[i]));
  if (!isRecord(a) || !isRecord(b)) return false;
  const keys = Object.keys(a);
  return keys.length === Object.keys(b).length && keys.every((key) => key in b && same(a[key], b[key]));
}
