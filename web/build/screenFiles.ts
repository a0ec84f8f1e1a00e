import path from 'node:path';

const SRC = path.join(import.meta.dirname, '../src');
/**
 * Screens whose modules come in one file each, and what they take from libraries in another, for a hundred small files cost a phone more than what is
 * in them. A file holds what none before it holds: what a first visit shows, then the checks in the list, then a check. The program itself is what
 * begins last: its own modules stay in a file of their own.
 */
const TOGETHER = [
  { own: 'first', library: 'first-library', from: ['screens/jobs/JobsScreen.vue'] },
  { own: null, library: 'first-library', from: ['app/main.ts'] },
  {
    own: 'jobs',
    library: 'jobs-library',
    from: ['screens/jobs/JobCards.vue', 'data/stores/jobs/wholeJobActions.ts'],
  },
  {
    own: 'check',
    library: 'check-library',
    from: ['screens/bench/BenchScreen.vue', 'screens/guide/GuideScreen.vue'],
  },
];
/** Each file is run in a task of its own: the library of the interface is not run together with what it stands on. */
const libraryFile = (name: string, id: string): string => (id.includes('ant-design-vue') ? `${name}-interface` : name);
const files = new Map<string, string | null>();

/** The file of a module: that of the first screen that imports it, or imports a module that does; null for what comes in a file of its own. */
export function fileOf(
  id: string,
  modules: { getModuleInfo: (id: string) => { importedIds: string[] } | null },
): string | null {
  if (files.size === 0)
    for (const { own, library, from } of TOGETHER) {
      const ahead = from.map((file) => path.join(SRC, file));
      for (let next = ahead.pop(); next !== undefined; next = ahead.pop()) {
        if (files.has(next)) continue;
        files.set(next, next.includes('node_modules') ? libraryFile(library, next) : own);
        ahead.push(...(modules.getModuleInfo(next)?.importedIds ?? []));
      }
    }
  return files.get(id) ?? null;
}
