import type { JobLine } from '../../check/job/jobList.ts';

/** Something that a closed or open check still asks for. */
export interface Due {
  kind: 'stand-in' | 'follow-up';
  line: JobLine;
  /** Id of the follow-up; empty for a stand-in. */
  id: string;
  text: string;
  /** The day it is due, or since which the stand-in is fitted, YYYY-MM-DD. */
  on: string;
}

/** All that is still to be done: stand-ins still fitted first, the oldest on top, then follow-ups by their day. */
export function duesOf(lines: readonly JobLine[]): Due[] {
  const standIns = lines.flatMap((line): Due[] =>
    line.standIn
      ? [{ kind: 'stand-in', line, id: '', text: line.standIn.what, on: line.standIn.fittedAt.slice(0, 10) }]
      : [],
  );
  const follow = lines.flatMap((line) =>
    line.open.map((f): Due => ({ kind: 'follow-up', line, id: f.id, text: f.text, on: f.dueOn })),
  );
  const byDay = (a: Due, b: Due): number => a.on.localeCompare(b.on);
  return [...standIns.sort(byDay), ...follow.sort(byDay)];
}
