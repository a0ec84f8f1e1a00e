import type { Found } from './finding.ts';
import { ACTS, type Log } from './log.ts';
import { middleIn } from './middleIn.ts';

/** Something moved at a mark when it changed by this many K, or by this share, within these seconds. */
const MOVED = { celsius: 6, relative: 0.15, withinS: 6 } as const;

/** Which channels moved when something was done, and which stood: so a value finds its wire. */
export function movedAtMarks(log: Log): Found<'moved'>[] {
  const acts = log.marks.filter((m) => ACTS.includes(m.kind) || m.kind === 'heated' || m.kind === 'cooled');
  return acts.flatMap((mark): Found<'moved'>[] => {
    const moved: { channel: string; from: number; to: number }[] = [];
    const still: string[] = [];
    for (const c of log.channels) {
      const from = middleIn(log, c, mark.fromS - MOVED.withinS, mark.fromS - 0.3);
      const slow = mark.kind === 'heated' || mark.kind === 'cooled';
      const to = slow
        ? middleIn(log, c, (mark.toS ?? mark.fromS + 60) - 4, (mark.toS ?? mark.fromS + 60) + 4)
        : middleIn(log, c, mark.fromS + 1.5, Math.min(mark.toS ?? Infinity, mark.fromS + MOVED.withinS + 1.5));
      if (Number.isNaN(from) || Number.isNaN(to)) continue;
      const least =
        c.quantity === 'celsius'
          ? MOVED.celsius
          : MOVED.relative * Math.max(Math.abs(from), c.quantity === 'volts' ? 0.5 : 10);
      if (Math.abs(to - from) > least || (to === Infinity && from !== Infinity))
        moved.push({ channel: c.id, from, to });
      else still.push(c.id);
    }
    return moved.length + still.length > 0 ? [{ kind: 'moved', mark, moved, still }] : [];
  });
}
