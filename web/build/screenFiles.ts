import path from 'node:path';

const SRC = path.join(import.meta.dirname, '../src');
/**
 * Screens whose modules come in one file each, and what they take from libraries in another, for a hundred small files cost a phone more than what is
 * in them. A file holds what none before it holds: what a first visit shows, then the checks in the list, then a check.
 */
const TOGETHER = [
  { name: 'first', from: ['app/main.ts', 'screens/jobs/JobsScreen.vue'] },
  { name: 'jobs', from: ['screens/jobs/JobCards.vue', 'data/stores/jobs/wholeJobActions.ts'] },
  { name: 'check', from: ['screens/bench/BenchScreen.vue', 'screens/guide/GuideScreen.vue'] },
];
const files = new Map<string, string>();

/** The file of a module: that of the first screen that imports it, or imports a module that does; null for what screens import later. */
export function fileOf(
  id: string,
  modules: { getModuleInfo: (id: string) => { importedIds: string[] } | null },
): string | null {
  if (files.size === 0)
    for (const { name, from } of TOGETHER) {
      const ahead = from.map((file) => path.join(SRC, file));
      for (let next = ahead.pop(); next !== undefined; next = ahead.pop()) {
        if (files.has(next)) continue;
        files.set(next, next.includes('node_modules') ? `${name}-library` : name);
        ahead.push(...(modules.getModuleInfo(next)?.importedIds ?? []));
      }
    }
  return files.get(id) ?? null;
}
