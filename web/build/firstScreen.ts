import path from 'node:path';

/** Where a first visit leads: its own modules come in one file, for some forty small ones cost a phone more than what is in them. */
const FIRST_SCREEN = path.join(import.meta.dirname, '../src/screens/jobs/JobsScreen.vue');
const first = new Set<string>();
/** Is this the first screen, or an own module that it imports, and so on? What it imports later is not. */
export function ofFirst(
  id: string,
  modules: { getModuleInfo: (id: string) => { importedIds: string[] } | null },
): boolean {
  if (first.size === 0) {
    const ahead = [FIRST_SCREEN];
    for (let next = ahead.pop(); next !== undefined; next = ahead.pop()) {
      if (first.has(next) || next.includes('node_modules')) continue;
      first.add(next);
      ahead.push(...(modules.getModuleInfo(next)?.importedIds ?? []));
    }
  }
  return first.has(id);
}
