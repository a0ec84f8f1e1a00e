import { merged, offsetByClock, offsetByCourse } from '@mellow-probe/core/intake/logs/align';
import { checkJob } from '@mellow-probe/core/check/job/checkJob';
import type { Job } from '@mellow-probe/core/check/job/jobSchema';
import { evidenceOf, type LogEvidence } from '@mellow-probe/core/check/job/logEvidence';
import type { ChannelRole } from '@mellow-probe/core/intake/logs/channelRoles';
import { analyseLog, eventsOfLog, type LogAnalysis } from '@mellow-probe/core/intake/logs/analyseLog';
import { rangeOf } from '@mellow-probe/core/intake/logs/rangeOf';
import { logSettingOf } from '@mellow-probe/core/intake/logs/settingOf';
import { decimate } from '@mellow-probe/core/intake/logs/decimate';
import { indexAt, lengthS, type Log } from '@mellow-probe/core/intake/logs/log';
import type { LogChoices } from '@mellow-probe/core/intake/logs/logColumns';
import { logToCsv } from '@mellow-probe/core/intake/logs/logCsv';
import type { LogRead } from '@mellow-probe/core/intake/logs/logRows';
import { type LogFault, logReader } from '@mellow-probe/core/intake/logs/parseLog';
import * as Comlink from 'comlink';

/** A log without its values: what a screen needs to know of it. */
export interface LogShape {
  rows: number;
  lengthS: number;
  channels: {
    id: string;
    name: string;
    quantity: Log['channels'][number]['quantity'];
    values: number;
    range?: ReturnType<typeof rangeOf>;
  }[];
  marks: Log['marks'];
}

/** What became of a file. */
export type FileRead = { ok: true; read: Omit<LogRead, 'log'>; shape: LogShape } | LogFault;

/** An analysis with what each of its findings would put on a check. */
export type Analysed = LogAnalysis & { evidence: LogEvidence[][] };

/** What became of a second file. */
export type Beside = { ok: true; shape: LogShape; offsetS: number; correlation: number | null } | LogFault | null;

/** Points of one channel over a range of time, few enough to draw. */
export interface ChannelView {
  id: string;
  x: Float64Array;
  y: Float64Array;
  /** Samples in the range; as many as are drawn, or more. */
  of: number;
}

/** When the log in hand began, by its own clock. */
let began: LogRead['began'] = null;
/** Its events by the ends of the scale they were found with: another part for a channel, or another check of such a circuit, finds no others. */
let found: { ends: string; events: LogAnalysis['events'] } | null = null;
/** The log in hand: it stays here, and the screens get of it what they draw. One worker a log. */
let log: Log = { timeS: new Float64Array(0), channels: [], marks: [] };

/** Another log is the one in hand from now on. */
function hold(own: Log, ownBegan: LogRead['began']): LogShape {
  [log, began, found] = [own, ownBegan, null];
  return shapeOf();
}

function shapeOf(): LogShape {
  const count = (values: Float64Array): number => {
    let n = 0;
    for (const v of values) if (!Number.isNaN(v)) n++;
    return n;
  };
  return {
    rows: log.timeS.length,
    lengthS: lengthS(log),
    channels: log.channels.map(({ id, name, quantity, values }) => ({
      ...{ id, name, quantity, values: count(values) },
      range: rangeOf(values),
    })),
    marks: log.marks,
  };
}

/** Text of a file piece by piece: UTF-8, UTF-16 where it says so, else as older programs write it (windows-1252). */
async function readPieces(file: Blob, take: (piece: string, share: number) => boolean): Promise<void> {
  const head = new Uint8Array(await file.slice(0, 65_536).arrayBuffer());
  const decoder = new TextDecoder(encodingOf(head));
  const reader = file.stream().getReader();
  let done = 0;
  for (;;) {
    const piece = await reader.read();
    if (piece.done) break;
    done += piece.value.byteLength;
    if (!take(decoder.decode(piece.value, { stream: true }), done / Math.max(1, file.size))) break;
  }
  take(decoder.decode(), 1);
  await reader.cancel();
}

function encodingOf(head: Uint8Array): string {
  if (head[0] === 0xff && head[1] === 0xfe) return 'utf-16le';
  if (head[0] === 0xfe && head[1] === 0xff) return 'utf-16be';
  try {
    // The last bytes may be the beginning of a letter.
    new TextDecoder('utf-8', { fatal: true }).decode(head.subarray(0, Math.max(0, head.length - 4)));
    return 'utf-8';
  } catch {
    return 'windows-1252';
  }
}

async function parsed(
  file: Blob,
  choices: LogChoices,
  everyS: number | null,
  progress: (share: number) => void,
): Promise<({ ok: true } & LogRead) | LogFault> {
  const reader = logReader(choices, everyS);
  let told = 0;
  await readPieces(file, (piece, share) => {
    if (share - told > 0.02) progress((told = share));
    return piece === '' || reader.push(piece);
  });
  return reader.finish();
}

/** Everything that is done with a log, off the page's own thread. */
export const logWork = {
  /** Reads a file, which becomes the log in hand. */
  async open(
    file: Blob,
    choices: LogChoices,
    everyS: number | null,
    progress: (share: number) => void,
  ): Promise<FileRead> {
    const result = await parsed(file, choices, everyS, progress);
    if (!result.ok) return result;
    const { log: own, ok, ...read } = result;
    return { ok, read, shape: hold(own, read.began) };
  },
  /** A log from the store becomes the one in hand. */
  take(own: Log): LogShape {
    return hold(own, null);
  },
  /**
   * A second file beside the log in hand: laid over it by its clock, or so that its course fits best. Where neither is possible, null and the log stays.
   */
  async beside(file: Blob, by: 'clock' | 'course'): Promise<Beside> {
    const second = await parsed(file, {}, null, () => undefined);
    if (!second.ok) return second;
    // By the clocks of both, where they have one; else both begin at once.
    let [offsetS, correlation]: [number, number | null] = [offsetByClock(began, second.began) ?? 0, null];
    if (by === 'course') {
      const [a, b] = [log.channels.filter(isTemperature), second.log.channels.filter(isTemperature)];
      if (a.length === 0 || b.length === 0) return null;
      const best = offsetByCourse({ timeS: log.timeS, channel: a[0] }, { timeS: second.log.timeS, channel: b[0] });
      if (!best) return null;
      ({ offsetS, correlation } = best);
    }
    return { ok: true, shape: hold(merged(log, second.log, offsetS), began), offsetS, correlation };
  },
  /** What the log tells, with what each finding would put on a check. The check's circuit, where there is one, says more. */
  analyse(roles: Readonly<Record<string, ChannelRole>>, job: Job | null, progress: (share: number) => void): Analysed {
    const circuit = job ? (checkJob(job).problem?.circuit ?? null) : null;
    const setting = logSettingOf(roles, circuit);
    const ends = JSON.stringify(setting.ends ?? {});
    if (found?.ends !== ends) found = { ends, events: eventsOfLog(log, setting.ends, progress) };
    const analysis = analyseLog(log, setting, found.events);
    return { ...analysis, evidence: analysis.findings.map((f) => evidenceOf(f, log, roles, circuit?.supplyV)) };
  },
  /** Each channel over a range of time, so many pixel columns wide; no spike is lost. */
  view(fromS: number, toS: number, columns: number): ChannelView[] {
    const [from, to] = [
      Math.max(0, indexAt(log.timeS, fromS) - 1),
      Math.min(log.timeS.length, indexAt(log.timeS, toS) + 1),
    ];
    const views = log.channels.map(({ id, values }): ChannelView => {
      const at = decimate(log.timeS, values, columns, from, to);
      const x = Float64Array.from(at, (i) => log.timeS[i]);
      // OL has no place on a scale: it is drawn as a gap, and told with the findings.
      const y = Float64Array.from(at, (i) => (values[i] === Infinity ? NaN : values[i]));
      return { id, x, y, of: to - from };
    });
    return Comlink.transfer(
      views,
      views.flatMap((v) => [v.x.buffer, v.y.buffer]),
    );
  },
  /** A copy of the log, for the store. */
  whole(): Log {
    return log;
  },
  csv(): string {
    return logToCsv(log);
  },
};

const isTemperature = (c: Log['channels'][number]): boolean => c.quantity === 'celsius';

export type LogWork = typeof logWork;
