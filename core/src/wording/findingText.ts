import type { EventKind, Finding, Found, LogEvent } from '../intake/logs/finding.ts';
import type { Log } from '../intake/logs/log.ts';
import { formatOhm, formatQuantity, type TemperatureUnit } from '../base/units/format.ts';
import type { Quantity } from '../base/units/quantity.ts';
import { clockText, kelvinText, MARK_NAMES } from './logText.ts';
import { fixed } from '../base/units/writing.ts';

/** A finding in words: what was seen, what it means, and whether it wants attention. */
export interface FindingText {
  title: string;
  meaning: string;
  tone: 'odd' | 'told' | 'good';
}

const EVENT_NAMES: Record<EventKind, [string, string]> = {
  'drop-out': ['drop-out', 'drop-outs'],
  step: ['step', 'steps'],
  spike: ['spike', 'spikes'],
  stuck: ['stretch that stands', 'stretches that stand'],
  noise: ['noisy stretch', 'noisy stretches'],
  rate: ['rush', 'rushes'],
};
const eventName = (kind: EventKind, count = 1): string => EVENT_NAMES[kind][count === 1 ? 0 : 1];

const percent = (p: number): string => (p < 0.001 ? 'less than 1 in 1000' : `1 in ${Math.max(1, Math.round(1 / p))}`);

/** What was found, in words. */
export function findingText(finding: Finding, log: Log, unit: TemperatureUnit): FindingText {
  const name = (id: string): string => log.channels.find((c) => c.id === id)?.name ?? id;
  const quantity = (id: string): Quantity => log.channels.find((c) => c.id === id)?.quantity ?? 'celsius';
  const show = (v: number, of: Quantity): string =>
    formatQuantity(of === 'celsius' ? Number(v.toFixed(1)) : v, of, unit);
  const degrees = (c: number): string => show(Math.round(c), 'celsius');
  switch (finding.kind) {
    case 'events':
      return eventsText(finding, name(finding.channel), quantity(finding.channel), show, unit);
    case 'wiggle': {
      const at = finding.places.map((p) => `${p.place}: ${p.count} in ${clockText(p.overS)}`).join(' · ');
      return finding.place === null
        ? {
            title: `${name(finding.channel)}: wiggling does not name a place yet`,
            meaning: `${at}. That may be chance. Wiggle each place for half a minute more, one at a time.`,
            tone: 'told',
          }
        : {
            title: `${name(finding.channel)} drops out when ${finding.place} is wiggled`,
            meaning: `${at}. By chance alone: ${percent(finding.chance)}. Look there first: pins, crimp, seal.`,
            tone: 'odd',
          };
    }
    case 'moved': {
      const moved = finding.moved.map(
        (m) => `${name(m.channel)} ${show(m.from, quantity(m.channel))} → ${show(m.to, quantity(m.channel))}`,
      );
      return {
        title: `${MARK_NAMES[finding.mark.kind]} at ${clockText(finding.mark.fromS)}: ${moved.length === 0 ? 'nothing moved' : moved.join(', ')}`,
        meaning:
          moved.length === 0
            ? 'No value here hangs on that plug, or the circuit is dead already.'
            : finding.still.length === 0
              ? 'What moved hangs on it.'
              : `What moved hangs on it. Stood still: ${finding.still.map(name).join(', ')}.`,
        tone: moved.length === 0 ? 'odd' : 'told',
      };
    }
    case 'stretch': {
      const what = { cold: 'At the start', hot: 'Hot, at the end', unplugged: 'Unplugged', bridged: 'Bridged' }[
        finding.about
      ];
      const all = finding.stretches.map((s) => `${name(s.channel)} ${show(s.value, quantity(s.channel))}`);
      return {
        title: `${what}: ${all.join(' · ')}`,
        meaning: 'Each stands still there and counts as one reading: its samples share one instrument.',
        tone: 'told',
      };
    }
    case 'warm-up':
      return warmUpText(finding, name(finding.channel), degrees, unit);
    case 'cold-start': {
      const all = finding.channels.map((c) => `${name(c.channel)} ${degrees(c.valueC)}`).join(' · ');
      return finding.oddOne === null
        ? {
            title: `Cold start: ${all}`,
            meaning: `${finding.apartK < 0.5 ? 'They agree' : `They lie ${kelvinText(finding.apartK, unit)} apart`}. After a night they should agree within some kelvin.`,
            tone: finding.apartK > 5 ? 'odd' : 'good',
          }
        : {
            title: `Cold start: ${name(finding.oddOne)} stands apart`,
            meaning: `${all}. The others agree: that one reads wrong cold, or the machine was not cold.`,
            tone: 'odd',
          };
    }
    case 'air':
      return {
        title: `${name(finding.channel)}: ${finding.dips.length === 1 ? 'a dip' : `${finding.dips.length} dips`} of up to ${kelvinText(Math.max(...finding.dips.map((d) => d.depthK)), unit)}`,
        meaning:
          'Too slow for a wire, too quick for a mass of coolant: air at the sensor. Check the level cold, and bleed.',
        tone: 'odd',
      };
    case 'settling':
      return {
        title: `${name(finding.channel)} is running to ${show(finding.endsAt, quantity(finding.channel))} ± ${quantity(finding.channel) === 'celsius' ? kelvinText(finding.sigma, unit) : show(finding.sigma, quantity(finding.channel))}`,
        meaning: `Time constant ${clockText(finding.timeConstantS)}. ${settledIn(finding.leftNow, finding.timeConstantS)}`,
        tone: 'told',
      };
    case 'loop':
      return {
        title: `${name(finding.channel)} against ${name(finding.against)}: ${kelvinText(Math.abs(finding.widthK), unit)} ${finding.widthK > 0 ? 'more' : 'less'} cooling than heating`,
        meaning:
          finding.lagS !== 0
            ? `${clockText(Math.abs(finding.lagS))} of lag explain it but for ${kelvinText(Math.abs(finding.leftK), unit)}. ${Math.abs(finding.leftK) > 2 ? 'What is left is the sensor’s own: read it again after a heat cycle.' : 'The rest is nothing.'}`
            : 'No lag explains it: it did not come back to where it was. A sensor that changes with heat is bad.',
        tone: Math.abs(finding.leftK) > 2 ? 'odd' : 'good',
      };
    case 'drift':
      return {
        title: `${name(finding.channel)} against ${name(finding.against)}: ${finding.perHourK >= 0 ? '+' : '−'}${kelvinText(Math.abs(finding.perHourK), unit)} an hour ± ${kelvinText(finding.sigma, unit)}`,
        meaning:
          Math.abs(finding.perHourK) > 3 * finding.sigma && Math.abs(finding.perHourK) > 1
            ? 'It runs away: more than its scatter explains.'
            : 'No drift that its scatter would not explain.',
        tone: Math.abs(finding.perHourK) > 3 * finding.sigma && Math.abs(finding.perHourK) > 1 ? 'odd' : 'good',
      };
    case 'compare':
      return {
        title: `${name(finding.channel)} against ${name(finding.against)}: at most ${kelvinText(Math.abs(finding.worstK), unit)} apart, at ${degrees(finding.worstAtC)}`,
        meaning: `${finding.bins.length} ranges of temperature compared, from ${degrees(finding.bins[0].atC)} to ${degrees(finding.bins[finding.bins.length - 1].atC)}.`,
        tone: Math.abs(finding.worstK) > 5 ? 'odd' : 'good',
      };
    case 'divider': {
      const known = finding.pullUpOhm
        ? `pull-up ${formatOhm(finding.pullUpOhm.value)} ± ${formatOhm(finding.pullUpOhm.sigma)}`
        : `B ${Math.round(finding.betaK!.value)} ± ${Math.round(finding.betaK!.sigma)} K`;
      const leaves = finding.leaves;
      return {
        title: `Divider’s curve through the cloud: reference ${fixed(finding.referenceV.value, 2)} ± ${fixed(finding.referenceV.sigma, 2)} V, ${known}`,
        meaning: leaves
          ? `It leaves the line from ${degrees(leaves.fromC)} to ${degrees(leaves.toC)}, by up to ${kelvinText(Math.abs(leaves.offK), unit)}: something changes there.`
          : 'The voltage follows one curve over the whole range.',
        tone: leaves ? 'odd' : 'good',
      };
    }
  }
}

function settledIn(left: number, timeConstantS: number): string {
  const seconds = timeConstantS * Math.log(Math.abs(left) / 0.5);
  return seconds > 1 ? `Within half a kelvin in ${clockText(seconds)}: wait that long.` : 'It has as good as settled.';
}

function eventsText(
  f: Found<'events'>,
  name: string,
  quantity: Quantity,
  show: (v: number, of: Quantity) => string,
  unit: TemperatureUnit,
): FindingText {
  const [first] = f.events;
  const n = f.events.length;
  const ends = new Set(f.events.map((e) => e.end));
  const toEnd =
    f.event === 'drop-out'
      ? ` to ${ends.size > 1 ? 'both ends' : ends.has('low') ? 'the low end' : 'the high end'}`
      : '';
  const longest = Math.max(...f.events.map((e) => e.toS - e.fromS));
  const at = n === 1 ? `at ${clockText(first.fromS)}` : `the first at ${clockText(first.fromS)}`;
  const warm = f.atC
    ? ` ${f.atC.high - f.atC.low < 3 ? `At ${show(Math.round(f.atC.low), 'celsius')}.` : `Between ${show(Math.round(f.atC.low), 'celsius')} and ${show(Math.round(f.atC.high), 'celsius')}.`}`
    : '';
  const under = f.under
    .filter((u) => u.chance < 0.05)
    .map(
      (u) =>
        ` ${u.count} of ${n} while ${MARK_NAMES[u.kind]}${u.place === '' ? '' : ` ${u.place}`} (by chance ${percent(u.chance)}).`,
    )
    .join('');
  return {
    title: `${name}: ${n} ${eventName(f.event, n)}${toEnd}, ${at}${first.kind === 'step' || longest < 0.05 ? '' : `, up to ${clockText(longest)} long`}`,
    meaning: `${MEANING[f.event](first, show, quantity, unit)}${warm}${under}`,
    tone: f.event === 'spike' && n < 3 ? 'told' : 'odd',
  };
}

const MEANING: Record<
  EventKind,
  (e: LogEvent, show: (v: number, of: Quantity) => string, of: Quantity, unit: TemperatureUnit) => string
> = {
  'drop-out': (e, show, of) =>
    `From ${show(e.before, of)} to ${show(e.level, of)}: a contact that opens or a wire that touches, no temperature.`,
  step: (e, show, of) =>
    `From ${show(e.before, of)} to ${show(e.level, of)} between two samples, and it stays: something gave way or came back.`,
  spike: (e, show, of) =>
    `To ${show(e.level, of)} and back: too short for a temperature. Ignition, a contact, or a lost answer.`,
  stuck: () => 'The value stands although it moves elsewhere: an answer that is repeated, or a substituted value.',
  noise: (e) => `It scatters ${fixed(e.sigmas, 0)} times as much as elsewhere: a contact that works, or a disturbance.`,
  rate: (e, show, of) =>
    `From ${show(e.before, of)} to ${show(e.level, of)} faster than any mass of metal follows: look at the circuit, not at the heat.`,
};

function warmUpText(
  f: Found<'warm-up'>,
  name: string,
  degrees: (c: number) => string,
  unit: TemperatureUnit,
): FindingText {
  const smooth = f.setback < 2.5;
  const rise = `${degrees(f.fromC)} → ${degrees(f.toC)} in ${clockText(f.toS - f.fromS)}`;
  const tau = f.timeConstantS && f.holds === 'stays-low' ? ` Time constant ${clockText(f.timeConstantS.value)}.` : '';
  const cycles = f.cycles
    ? ` The fan turns ${f.cycles.count} times, every ${clockText(f.cycles.periodS)}, ${kelvinText(f.cycles.swingK, unit)} up and down.`
    : '';
  const held = {
    holds: `Held at ${degrees(f.plateauC ?? f.toC)}.`,
    'stays-low': `It stays at ${degrees(f.plateauC ?? f.toC)}: a thermostat that stays open, or a display that is short. The thermometer tells which.`,
    'still-rising': 'It was still on its way at the end.',
  }[f.holds];
  return {
    title: `${name} warms up ${smooth ? 'smoothly' : `with a setback of ${kelvinText(f.setback, unit)}`}: ${rise}`,
    meaning: `${held}${cycles}${tau}${smooth ? '' : ' A sensor in coolant does not fall back while it warms: look for a contact or air.'}`,
    tone: smooth && f.holds !== 'stays-low' ? 'good' : 'odd',
  };
}
