/** Addresses that can be offered, with the names of their screens. */
const OFFERED = [
  { path: '/logbook', name: 'logbook' },
  { path: '/live', name: 'live' },
  { path: '/logs', name: 'logs' },
  { path: '/shelf', name: 'shelf' },
  { path: '/train', name: 'train' },
  { path: '/safe', name: 'safe' },
  { path: '/take', name: 'take' },
] as const;
/** More changed letters than this is another word. */
const MOST_CHANGED = 2;

/** Edit distance of two words. Source: Levenshtein 1966. */
function changed(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++)
      next[j] = Math.min(row[j] + 1, next[j - 1] + 1, row[j - 1] + (a[i - 1] === b[j - 1] ? 0 : 1));
    row = next;
  }
  return row[b.length];
}

/** The address that was probably meant; the list of checks where none is near. */
export function nearestAddress(asked: string): { path: string; name: string } {
  const word = asked.split('/')[1] ?? '';
  const [near] = OFFERED.map((to) => ({ to, away: changed(word.toLowerCase(), to.path.slice(1)) })).sort(
    (a, b) => a.away - b.away,
  );
  return near.away <= MOST_CHANGED ? near.to : { path: '/', name: 'jobs' };
}
