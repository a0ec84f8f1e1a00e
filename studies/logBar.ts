import { analyseLog } from '../core/src/intake/logs/analyseLog.ts';
import type { Finding } from '../core/src/intake/logs/finding.ts';
import { parseLog } from '../core/src/intake/logs/parseLog.ts';
import { rangeOf } from '../core/src/intake/logs/rangeOf.ts';
import { guessedRoles, logSettingOf } from '../core/src/intake/logs/settingOf.ts';
import { runsAway } from '../core/src/intake/logs/strength.ts';
import { loggerText } from '../core/src/training/simulation/loggerText.ts';
import { LOG_FAULTS, type LogSet, machineLog, type MachineLog } from '../core/src/training/simulation/machineLog.ts';

/** What came of one made-up log, read and analysed as it comes, with no answer from a person. */
export interface LogScore {
  /** Machine, fault and sort of logger, for the list of misses. */
  name: string;
  /** asked: a unit or the clock; wrong: read silently as something else. */
  columns: 'right' | 'asked' | 'wrong';
  /** Of a faulty log: was the right kind found at its place? Of a sound one: false where anything was called odd. */
  right: boolean;
  /** Kinds that were called odd. */
  told: string[];
}

/** Does a finding call the machine faulty? */
const isAlarm = (f: Finding): boolean =>
  f.kind === 'events' ||
  f.kind === 'sag' ||
  f.kind === 'air' ||
  (f.kind === 'cold-start' && f.oddOne !== null) ||
  (f.kind === 'drift' && runsAway(f));

/** Slow kinds are right where they overlap the stretch, sudden ones within two updates of the display; the ends of a stretch within 20 s. */
function isFound(
  findings: readonly Finding[],
  channel: string,
  fault: NonNullable<MachineLog['fault']>,
  updateS: number,
): boolean {
  const { kind, fromS, toS } = fault;
  if (kind === 'sag') return findings.some((f) => f.kind === 'sag' && f.channel === channel);
  if (kind === 'drift') return findings.some((f) => f.kind === 'drift' && f.channel === channel && isAlarm(f));
  const hot = kind === 'drop-out when hot';
  const event = hot ? 'drop-out' : kind;
  const beside = 2 * updateS + (kind === 'stuck' || kind === 'noise' ? 20 : 0);
  return findings.some(
    (f) =>
      f.kind === 'events' &&
      f.event === event &&
      f.channel === channel &&
      (!hot || f.onlyAboveC !== null) &&
      f.events.some((e) => e.fromS <= toS + beside && e.toS >= fromS - beside),
  );
}

/** One log of a set, sound or faulty, by its number. */
export function scoreLog(set: LogSet, seed: number, faulty: boolean): LogScore {
  const wanted = faulty ? LOG_FAULTS[Math.floor(seed / 8) % LOG_FAULTS.length] : null;
  const made = machineLog(set, seed + (faulty ? 100_000 : 0), wanted);
  const { text, logger, units } = loggerText(made, set, seed * 7 + Math.floor(seed / 11));
  const name = `${seed} ${made.machine}, ${made.fault?.kind ?? 'sound'}, logger ${logger}`;
  const read = parseLog(text);
  if (!read.ok) return { name, columns: 'asked', right: false, told: [read.reason] };
  const values = read.columns.filter((c) => c.use === 'values');
  const lastS = made.timeS[made.timeS.length - 1];
  const clock = Math.abs(read.log.timeS[read.log.timeS.length - 1] - lastS) < 0.5;
  const asked = values.some((c) => c.unit === null);
  const same = values.map((c) => c.unit).join() === units.join();
  if (asked || !same || !clock) return { name, columns: asked ? 'asked' : 'wrong', right: false, told: [] };
  const roles = guessedRoles(read.log.channels.map((c) => ({ ...c, range: rangeOf(c.values) })));
  const { findings } = analyseLog(read.log, logSettingOf(roles, null));
  const told = findings.filter(isAlarm).map((f) => (f.kind === 'events' ? f.event : f.kind));
  const { fault, timeS } = made;
  const right =
    fault === null
      ? told.length === 0
      : isFound(findings, read.log.channels[fault.channel].id, fault, timeS[1] - timeS[0]);
  return { name, columns: 'right', right, told };
}
