import { medianOf } from '../../base/numeric/quantiles.ts';
import type { Quantity } from '../../base/units/quantity.ts';
import type { ChannelRole } from './channelRoles.ts';
import { coldStart, compareOf, driftOf, loopOf } from './compareChannels.ts';
import { dividerCloud, type DividerKnown } from './dividerCloud.ts';
import { type ScaleEnds, USUAL_ENDS } from './events/ends.ts';
import { findEvents } from './events/findEvents.ts';
import { EVENT_KINDS, type Finding, type Found, type LogEvent } from './finding.ts';
import { ACTS, comesOfAct, endOfLogS, indexAt, lengthS, type Log, type LogChannel } from './log.ts';
import { movedAtMarks } from './movedAtMarks.ts';
import { rangeOf } from './rangeOf.ts';
import { settlingOf } from './settling.ts';
import { stretchesOf } from './stretches.ts';
import { supplySag } from './supplySag.ts';
import { underMarks, wigglePlaces } from './underMarks.ts';
import { airDips, warmUp } from './warmUp.ts';

/** Ends of the scale by quantity, where they are known. */
export type LogEnds = Partial<Record<Quantity, ScaleEnds>>;

/** What is known beforehand: the part each channel has, the ends of the display, the divider. */
export interface LogSetting {
  roles: Readonly<Record<string, ChannelRole>>;
  ends?: LogEnds;
  divider?: DividerKnown;
}

/** A log analysed: what was found, and the events of each channel for the chart. */
export interface LogAnalysis {
  findings: Finding[];
  events: Record<string, LogEvent[]>;
}

/** Parts of a channel that feed a sensor or the module. */
const SUPPLIES: readonly ChannelRole[] = ['reference-volts', 'supply-volts'];

/** Events of each channel, by its id. */
type ChannelEvents = Readonly<Record<string, LogEvent[]>>;

/**
 * Where each channel breaks off from its course: the greater part of the work of an analysis, and the same whatever parts the channels have.
 *
 * @param progress told after each channel, 0 … 1
 */
export function eventsOfLog(
  log: Log,
  ends: LogEnds = {},
  progress: (share: number) => void = () => undefined,
): Record<string, LogEvent[]> {
  const events: Record<string, LogEvent[]> = {};
  log.channels.forEach((c, k) => {
    events[c.id] = findEvents(log.timeS, c.values, c.quantity, ends[c.quantity] ?? USUAL_ENDS[c.quantity]);
    progress((k + 1) / log.channels.length);
  });
  return events;
}

/**
 * Everything that a log tells. Works on any log; with roles it tells more.
 *
 * @param all events where they are known already
 */
export function analyseLog(log: Log, setting: LogSetting, all = eventsOfLog(log, setting.ends)): LogAnalysis {
  const events = Object.fromEntries(
    log.channels.map((c) => [c.id, outOfOrder(c, setting.roles[c.id], all[c.id])] as const),
  );
  const endS = endOfLogS(log);
  const temperatures = log.channels.filter((c) => c.quantity === 'celsius');
  const warm =
    temperatures.find((c) => setting.roles[c.id] === 'thermometer') ??
    temperatures.find((c) => setting.roles[c.id] === 'displayed') ??
    temperatures[0];
  const findings: Finding[] = [
    ...log.channels.flatMap((c) => eventFindings(log, c, events[c.id], warm, endS)),
    ...wiggleFindings(log, events, endS),
    ...movedAtMarks(log),
    ...stretchesOf(log, setting.roles, events),
    ...courses(log, temperatures, events),
    ...pairsOf(log, temperatures, setting, events),
    ...log.channels.flatMap((c) => (SUPPLIES.includes(setting.roles[c.id]) ? (supplySag(log, c) ?? []) : [])),
  ];
  return { findings, events };
}

/** Warmer than this for a while, °C: exhaust gas, which changes as fast as the load does. Common practice, no source. */
const EXHAUST_C = 160;
const isExhaust = ({ quantity, values }: LogChannel): boolean =>
  quantity === 'celsius' && (rangeOf(values)?.high ?? 0) > EXHAUST_C;

/** What a supply does in order, as shares of its usual value: cranking pulls it down for a moment, charging lifts it. Common practice, no source. */
const SUPPLY_HOLDS = { low: 0.45, high: 1.3 } as const;

/** The events of a channel that are out of order for what it is. */
function outOfOrder(channel: LogChannel, role: ChannelRole | undefined, events: readonly LogEvent[]): LogEvent[] {
  if (isExhaust(channel)) return events.filter((e) => e.kind !== 'rate');
  if (role !== 'supply-volts') return [...events];
  const usual = rangeOf(channel.values)?.middle ?? NaN;
  const holds = (v: number): boolean => v > SUPPLY_HOLDS.low * usual && v < SUPPLY_HOLDS.high * usual;
  return events.filter((e) => !(holds(e.level) && (e.kind === 'step' || e.kind === 'spike')));
}

function eventFindings(
  log: Log,
  channel: LogChannel,
  all: readonly LogEvent[],
  warm: LogChannel | undefined,
  endS: number,
): Finding[] {
  const out: Finding[] = [];
  // What an act explains is no fault: it goes to the end because the plug was pulled.
  const free = all.filter((e) => e.kind === 'noise' || !comesOfAct(log.marks, e.fromS, endS));
  for (const event of EVENT_KINDS) {
    const of = free.filter((e) => e.kind === event);
    if (of.length === 0) continue;
    const begins = of.map((e) => e.fromS);
    const temperatures = warm
      ? of.map((e) => temperatureBefore(log, warm, e.fromS)).filter((c) => Number.isFinite(c))
      : [];
    const atC = temperatures.length > 0 ? { low: Math.min(...temperatures), high: Math.max(...temperatures) } : null;
    out.push({
      kind: 'events',
      event,
      channel: channel.id,
      events: of,
      atC,
      onlyAboveC: warm && atC ? onlyAbove(log, warm, atC.low, temperatures.length) : null,
      under: underMarks(begins, log.marks, endS),
    });
  }
  return out;
}

/** So far below the lowest of them the log must have been, K; and so rarely may chance put them all above it. */
const [WELL_BELOW_K, BY_CHANCE] = [10, 0.01];

/** The temperature above which alone something happened so often, °C, where the time the machine spent below speaks against chance; else null. */
function onlyAbove({ timeS }: Log, warm: LogChannel, lowestC: number, count: number): number | null {
  let [all, above, coldest] = [0, 0, Infinity];
  for (let i = 1; i < timeS.length; i++) {
    const c = warm.values[i];
    if (!Number.isFinite(c)) continue;
    const s = timeS[i] - timeS[i - 1];
    all += s;
    if (c >= lowestC - 1) above += s;
    coldest = Math.min(coldest, c);
  }
  if (all === 0 || coldest > lowestC - WELL_BELOW_K) return null;
  return (above / all) ** count < BY_CHANCE ? lowestC : null;
}

/** What wiggling told: once a place is named by one channel, those that name none are silent. */
function wiggleFindings(log: Log, events: ChannelEvents, endS: number): Finding[] {
  const found = log.channels.flatMap((c) => wiggleFinding(log, c, events[c.id], endS) ?? []);
  return found.some((f) => f.place !== null) ? found.filter((f) => f.place !== null) : found;
}

/** Which place makes a channel drop out (or, where it never does, jump, step or scatter) when it is wiggled; null without drop-outs or marks. */
function wiggleFinding(log: Log, channel: LogChannel, all: readonly LogEvent[], endS: number): Found<'wiggle'> | null {
  const dropOuts = all.filter((e) => e.kind === 'drop-out');
  const of = dropOuts.length > 0 ? dropOuts : all.filter((e) => e.kind !== 'stuck' && e.kind !== 'rate');
  const free = of.filter((e) => !comesOfAct(log.marks, e.fromS, endS));
  const places = wigglePlaces(
    free.map((e) => e.fromS),
    log.marks,
    endS,
  );
  if (!places?.places.some((p) => p.count > 0)) return null;
  return {
    kind: 'wiggle',
    channel: channel.id,
    place: places.place,
    count: free.length,
    places: places.places,
    chance: places.none,
    level: medianOf(free.map((e) => e.level)),
  };
}

/** Temperature just before a time: at the drop-out itself the same channel shows nonsense. */
function temperatureBefore(log: Log, warm: LogChannel, atS: number): number {
  const at = indexAt(log.timeS, atS - 0.5);
  for (let i = Math.min(at, log.timeS.length) - 1; i >= 0 && log.timeS[i] > atS - 30; i--)
    if (Number.isFinite(warm.values[i])) return warm.values[i];
  return NaN;
}

function courses(log: Log, temperatures: readonly LogChannel[], events: ChannelEvents): Finding[] {
  const out: Finding[] = [];
  const endS = lengthS(log);
  const last = Math.max(0, ...log.marks.map((m) => Math.min(m.toS ?? m.fromS, endS)));
  for (const c of temperatures) {
    const warm = warmUp(log.timeS, c, events[c.id]);
    if (warm) out.push(warm);
    const air = isExhaust(c) ? null : airDips(log.timeS, c, events[c.id]);
    if (air) out.push(air);
    const steps = events[c.id].filter((e) => e.kind === 'step' || e.kind === 'drop-out').map((e) => e.toS + 1);
    const settling = warm ? null : settlingOf(log.timeS, c, Math.max(last, ...steps, 0));
    if (settling) out.push(settling);
  }
  const cold = coldStart(log.timeS, temperatures);
  if (cold) out.push(cold);
  return out;
}

function pairsOf(
  log: Log,
  temperatures: readonly LogChannel[],
  { roles, divider }: LogSetting,
  events: ChannelEvents,
): Finding[] {
  const by = (role: ChannelRole): LogChannel | undefined => log.channels.find((c) => roles[c.id] === role);
  const against = by('thermometer') ?? by('companion');
  const judged =
    by('displayed') ?? temperatures.find((c) => c !== against && roles[c.id] !== 'other' && roles[c.id] !== undefined);
  const volts = by('signal-volts') ?? by('across-volts');
  const beside = by('thermometer') ?? by('displayed');
  return [
    ...(against && judged ? besideEachOther(log.timeS, against, judged, events) : []),
    ...(divider && volts && beside ? voltsBeside(log, volts, beside, divider, events) : []),
  ];
}

/** What a temperature shows against another one that was recorded with it. */
function besideEachOther(
  timeS: Float64Array,
  against: LogChannel,
  judged: LogChannel,
  events: ChannelEvents,
): Finding[] {
  if (judged === against || against.quantity !== 'celsius') return [];
  const leave = events[judged.id];
  const stepped = leave.some((e) => e.kind === 'step');
  return [
    loopOf(timeS, against, judged, leave),
    stepped ? null : driftOf(timeS, against, judged, leave),
    compareOf(timeS, against, judged, leave),
  ].filter((f) => f !== null);
}

/** The volts of the signal against a temperature, through the divider. */
function voltsBeside(
  { timeS, marks }: Log,
  volts: LogChannel,
  beside: LogChannel,
  divider: NonNullable<LogSetting['divider']>,
  events: ChannelEvents,
): Finding[] {
  const lasting = events[volts.id].find((e) => e.kind === 'step')?.fromS ?? Infinity;
  const acts = marks
    .filter((m) => ACTS.includes(m.kind))
    .map((m) => ({ fromS: m.fromS - 1, toS: (m.toS ?? m.fromS) + 2 }));
  const cloud = dividerCloud(timeS, volts, beside, divider, [...events[volts.id], ...acts], lasting);
  return cloud ? [cloud] : [];
}
