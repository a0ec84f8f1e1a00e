import { correlationFactor } from '../../base/numeric/exponentialFit.ts';
import { medianOf } from '../../base/numeric/quantiles.ts';
import type { ChannelRole } from './channelRoles.ts';
import type { Found, LogEvent, Stretch } from './finding.ts';
import { ACTS, endOfLogS, indexAt, type Log, type LogChannel, type Mark } from './log.ts';
import { middleIn } from './middleIn.ts';

/** A value is read off a stretch of at least so long, s, in which it moves less than this in all, K, or its share of V and Ω. */
const STEADY_S = 8;
const STEADY = { celsius: 1.5, relative: 0.012 } as const;
/** A machine is hot from here on, °C. */
const HOT_C = 65;

/** Values that stand, as figures for the check: at the start, hot at the end, unplugged, bridged. */
export function stretchesOf(
  log: Log,
  roles: Readonly<Record<string, ChannelRole>>,
  events: Readonly<Record<string, LogEvent[]>>,
): Found<'stretch'>[] {
  if (log.timeS.length === 0) return [];
  const endS = endOfLogS(log);
  const used = log.channels.filter((c) => (roles[c.id] ?? 'other') !== 'other' && roles[c.id] !== 'companion');
  const out: Found<'stretch'>[] = [];
  const tell = (about: Found<'stretch'>['about'], fromS: number, toS: number): void => {
    const stretches = used.flatMap(
      (c) => steadyStretch(log, c, fromS, toS, about === 'cold' || about === 'hot' ? events[c.id] : []) ?? [],
    );
    if (stretches.some((s) => roles[s.channel] !== 'thermometer')) out.push({ kind: 'stretch', about, stretches });
  };
  const acts = log.marks.filter((m) => ACTS.includes(m.kind));
  const firstAct = Math.min(endS, ...acts.map((m) => m.fromS));
  const warm = used.find((c) => roles[c.id] === 'thermometer') ?? used.find((c) => c.quantity === 'celsius');
  // A log may begin on a machine that runs: then what it shows at the start is a hot reading.
  const beginsHot = warm !== undefined && middleIn(log, warm, 0, 30) > HOT_C;
  if (firstAct > STEADY_S && !beginsHot) tell('cold', 0, Math.min(30, firstAct - 1));
  for (const { kind, fromS, toS } of bypassed(acts, endS)) tell(kind, fromS, toS);
  const last = acts.reduce((at, m) => Math.max(at, m.toS ?? endS), 0);
  if (warm && endS - last > 40 && middleIn(log, warm, endS - 30, endS) > HOT_C)
    tell('hot', Math.max(last + 10, endS - 30), endS);
  else if (beginsHot && firstAct > STEADY_S) tell('hot', 0, Math.min(30, firstAct - 1));
  return out;
}

/** While the plug was off or bridged, without the moments of pulling and plugging. */
function bypassed(
  acts: readonly Mark[],
  endS: number,
): { kind: 'unplugged' | 'bridged'; fromS: number; toS: number }[] {
  return acts.flatMap(({ kind, fromS, toS }) => {
    const untilS = Math.min(toS ?? endS, endS);
    if ((kind !== 'unplugged' && kind !== 'bridged') || untilS - fromS <= 4) return [];
    return [{ kind, fromS: fromS + 2, toS: untilS - 0.5 }];
  });
}

/** A channel's value over a stretch, where it stands; null where it moves, or there are too few. */
function steadyStretch(
  log: Log,
  channel: LogChannel,
  fromS: number,
  toS: number,
  leave: readonly LogEvent[],
): Stretch | null {
  const part: number[] = [];
  for (let i = indexAt(log.timeS, fromS); i < log.timeS.length && log.timeS[i] <= toS; i++) {
    const t = log.timeS[i];
    if (!Number.isNaN(channel.values[i]) && !leave.some((e) => t >= e.fromS && t <= e.toS))
      part.push(channel.values[i]);
  }
  // It shows nothing else: then that is what it shows.
  if (part.length === 0 && leave.length > 0) return steadyStretch(log, channel, fromS, toS, []);
  const n = part.length;
  if (n < 5) return null;
  const overload = part.filter((v) => v === Infinity).length;
  const about = { channel: channel.id, fromS, toS, samples: n };
  if (overload > 0.9 * n) return { ...about, value: Infinity, independent: 1, sigma: 0 };
  if (overload > 0) return null;
  const third = Math.floor(n / 3);
  const [first, last, value] = [medianOf(part, 0, third), medianOf(part, n - third), medianOf(part)];
  const may =
    channel.quantity === 'celsius'
      ? STEADY.celsius
      : STEADY.relative * Math.abs(value) + (channel.quantity === 'volts' ? 0.01 : 1);
  if (Math.abs(last - first) > may) return null;
  const left = part.map((v) => v - value);
  const independent = Math.max(1, Math.round(n / correlationFactor(left)));
  const spread = Math.sqrt(left.reduce((a, v) => a + v * v, 0) / n);
  return { ...about, value, independent, sigma: spread / Math.sqrt(independent) };
}
