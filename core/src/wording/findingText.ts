import type { EventKind, Finding, Found, LogEvent } from '../intake/logs/finding.ts';
import type { Log } from '../intake/logs/log.ts';
import { runsAway, type Strength } from '../intake/logs/strength.ts';
import { medianOf } from '../base/numeric/quantiles.ts';
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

/** How strong a finding is, beside its title; a finding that claims no fault has no such word. */
export const STRENGTH_NAMES: Readonly<Record<Strength, string>> = {
  clear: 'clear',
  probable: 'probable',
  weak: 'weak: may be chance',
};

const EVENT_NAMES: Record<EventKind, [string, string]> = {
  'drop-out': ['drop-out', 'drop-outs'],
  step: ['step', 'steps'],
  spike: ['spike', 'spikes'],
  stuck: ['stuck section', 'stuck sections'],
  noise: ['noisy stretch', 'noisy stretches'],
  rate: ['rush', 'rushes'],
};
const eventName = (kind: EventKind, count = 1): string => EVENT_NAMES[kind][count === 1 ? 0 : 1];

const percent = (p: number): string => (p < 0.001 ? 'less than 1 in 1000' : `1 in ${Math.max(1, Math.round(1 / p))}`);

/** How the log in hand and its figures are told. */
interface Told {
  name: (channel: string) => string;
  quantity: (channel: string) => Quantity;
  show: (value: number, of: Quantity) => string;
  /** A value of a channel with its unit. */
  value: (channel: string, value: number) => string;
  degrees: (c: number) => string;
  kelvin: (k: number) => string;
  unit: TemperatureUnit;
  /** From sample to sample, s. */
  everyS: number;
}

/** Usual time from one sample of a log to the next, s. */
function usualStepS({ timeS }: Log): number {
  const steps = [];
  for (let i = 1; i < Math.min(timeS.length, 1000); i++)
    if (timeS[i] > timeS[i - 1]) steps.push(timeS[i] - timeS[i - 1]);
  return steps.length > 0 ? medianOf(steps) : 0;
}

/** What was found, in words. */
export function findingText(finding: Finding, log: Log, unit: TemperatureUnit): FindingText {
  const channel = (id: string): Log['channels'][number] | undefined => log.channels.find((c) => c.id === id);
  const quantity = (id: string): Quantity => channel(id)?.quantity ?? 'celsius';
  const show = (v: number, of: Quantity): string =>
    formatQuantity(of === 'celsius' ? Number(v.toFixed(1)) : v, of, unit);
  const told: Told = {
    name: (id) => channel(id)?.name ?? id,
    quantity,
    show,
    value: (id, v) => show(v, quantity(id)),
    degrees: (c) => show(Math.round(c), 'celsius'),
    kelvin: (k) => kelvinText(Math.abs(k), unit),
    unit,
    everyS: usualStepS(log),
  };
  const words = WORDS[finding.kind] as (f: Finding, told: Told) => FindingText;
  return words(finding, told);
}

/** The words of every kind of finding: a new kind is one line here. */
const WORDS: { [K in Finding['kind']]: (f: Found<K>, told: Told) => FindingText } = {
  events: (f, { name, quantity, show, unit, everyS }) =>
    eventsText(f, name(f.channel), quantity(f.channel), show, unit, everyS),
  wiggle: wiggleText,
  moved: movedText,
  stretch(f, { name, value }) {
    const what = { cold: 'At the start', hot: 'Hot, at the end', unplugged: 'Unplugged', bridged: 'Jumpered' }[f.about];
    return {
      title: `${what}: ${f.stretches.map((s) => `${name(s.channel)} ${value(s.channel, s.value)}`).join(' · ')}`,
      meaning: 'Each is steady there and counts as one reading.',
      tone: 'told',
    };
  },
  'warm-up': (f, { name, degrees, unit }) => warmUpText(f, name(f.channel), degrees, unit),
  'cold-start': coldStartText,
  air(f, { name, kelvin }) {
    const dips = f.dips.length === 1 ? 'a dip' : `${f.dips.length} dips`;
    return {
      title: `${name(f.channel)}: ${dips} of up to ${kelvin(Math.max(...f.dips.map((d) => d.depthK)))}`,
      meaning:
        'Too slow for a wire, too quick for a mass of coolant: air at the sensor. Check the level cold, and bleed.',
      tone: 'odd',
    };
  },
  settling(f, { name, quantity, value, kelvin }) {
    const sigma = quantity(f.channel) === 'celsius' ? kelvin(f.sigma) : value(f.channel, f.sigma);
    return {
      title: `${name(f.channel)} is running to ${value(f.channel, f.endsAt)} ± ${sigma}`,
      meaning: `Time constant ${clockText(f.timeConstantS)}. ${settledIn(f.leftNow, f.timeConstantS)}`,
      tone: 'told',
    };
  },
  sag: (f, { name, value }) => ({
    title: `${name(f.channel)} ${f.toV < f.fromV ? 'sags' : 'climbs'} from ${value(f.channel, f.fromV)} to ${value(f.channel, f.toV)} in ${clockText(f.overS)}`,
    meaning: 'Every sensor on this supply is read wrong by it. Check the supply, its load and its ground when hot.',
    tone: 'odd',
  }),
  loop: loopText,
  drift(f, { name, kelvin }) {
    const odd = runsAway(f);
    return {
      title: `${name(f.channel)} against ${name(f.against)}: ${f.perHourK >= 0 ? '+' : '−'}${kelvin(f.perHourK)} an hour ± ${kelvin(f.sigma)}`,
      meaning: odd ? 'It runs away: more than its scatter explains.' : 'No drift that its scatter would not explain.',
      tone: odd ? 'odd' : 'good',
    };
  },
  compare: (f, { name, degrees, kelvin }) => ({
    title: `${name(f.channel)} against ${name(f.against)}: at most ${kelvin(f.worstK)} apart, at ${degrees(f.worstAtC)}`,
    meaning: `${f.bins.length} ranges of temperature compared, from ${degrees(f.bins[0].atC)} to ${degrees(f.bins[f.bins.length - 1].atC)}.`,
    tone: Math.abs(f.worstK) > 5 ? 'odd' : 'good',
  }),
  divider(f, { degrees, kelvin }) {
    const known = f.pullUpOhm
      ? `pull-up ${formatOhm(f.pullUpOhm.value)} ± ${formatOhm(f.pullUpOhm.sigma)}`
      : `B ${Math.round(f.betaK!.value)} ± ${Math.round(f.betaK!.sigma)} K`;
    const { leaves } = f;
    return {
      title: `Divider’s curve through the cloud: reference ${fixed(f.referenceV.value, 2)} ± ${fixed(f.referenceV.sigma, 2)} V, ${known}`,
      meaning: leaves
        ? `It deviates from ${degrees(leaves.fromC)} to ${degrees(leaves.toC)}, by up to ${kelvin(leaves.offK)}: something changes there.`
        : 'The voltage follows one curve over the whole range.',
      tone: leaves ? 'odd' : 'good',
    };
  },
};

function wiggleText(f: Found<'wiggle'>, { name }: Told): FindingText {
  const at = f.places.map((p) => `${p.place}: ${p.count} in ${clockText(p.overS)}`).join(' · ');
  if (f.place === null)
    return {
      title: `${name(f.channel)}: wiggling does not name a place yet`,
      meaning: `${at}. That may be chance. Wiggle each place for half a minute more, one at a time.`,
      tone: 'told',
    };
  return {
    title: `${name(f.channel)} drops out when ${f.place} is wiggled`,
    meaning: `${at}. Probability by chance: ${percent(f.chance)}. Inspect it first: pins, crimp, seal.`,
    tone: 'odd',
  };
}

function movedText(f: Found<'moved'>, { name, value }: Told): FindingText {
  const done = MARK_NAMES[f.mark.kind];
  const at = `${done.charAt(0).toUpperCase()}${done.slice(1)} at ${clockText(f.mark.fromS)}`;
  if (f.moved.length === 0)
    return {
      title: `${at}: nothing changed`,
      meaning: 'No value here depends on that plug, or the circuit is already dead.',
      tone: 'odd',
    };
  const moved = f.moved.map((m) => `${name(m.channel)} ${value(m.channel, m.from)} → ${value(m.channel, m.to)}`);
  const still = f.still.length === 0 ? '' : ` Did not change: ${f.still.map(name).join(', ')}.`;
  return { title: `${at}: ${moved.join(', ')}`, meaning: `These values belong to that plug.${still}`, tone: 'told' };
}

function coldStartText(f: Found<'cold-start'>, { name, degrees, unit }: Told): FindingText {
  const all = f.channels.map((c) => `${name(c.channel)} ${degrees(c.valueC)}`).join(' · ');
  if (f.oddOne !== null)
    return {
      title: `Cold start: ${name(f.oddOne)} differs`,
      meaning: `${all}. The others agree: that one reads wrong cold, or the machine was not cold.`,
      tone: 'odd',
    };
  const apart = f.apartK < 0.5 ? 'They agree' : `They are ${kelvinText(f.apartK, unit)} apart`;
  return {
    title: `Cold start: ${all}`,
    meaning: `${apart}. After a night they should agree within some kelvin.`,
    tone: f.apartK > 5 ? 'odd' : 'good',
  };
}

function loopText(f: Found<'loop'>, { name, kelvin }: Told): FindingText {
  const left = Math.abs(f.leftK) > 2;
  const rest = left ? 'What is left is the sensor’s own: read it again after a heat cycle.' : 'The rest is nothing.';
  return {
    title: `${name(f.channel)} against ${name(f.against)}: ${kelvin(f.widthK)} ${f.widthK > 0 ? 'more' : 'less'} cooling than heating`,
    meaning:
      f.lagS !== 0
        ? `${clockText(Math.abs(f.lagS))} of lag explain it but for ${kelvin(f.leftK)}. ${rest}`
        : 'No lag explains it: it did not come back to where it was. A sensor that changes with heat is bad.',
    tone: left ? 'odd' : 'good',
  };
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
  everyS: number,
): FindingText {
  const [first] = f.events;
  const n = f.events.length;
  const ends = new Set(f.events.map((e) => e.end));
  const toEnd =
    f.event === 'drop-out'
      ? ` to ${ends.size > 1 ? 'both ends' : ends.has('low') ? 'the low end' : 'the high end'}`
      : '';
  // It may have begun just after the sample before it, and ended just before the one after it.
  const longest = Math.max(...f.events.map((e) => e.toS - e.fromS + 2 * everyS));
  const at = n === 1 ? `at ${clockText(first.fromS)}` : `the first at ${clockText(first.fromS)}`;
  const warm = f.atC
    ? ` ${f.atC.high - f.atC.low < 3 ? `At ${show(Math.round(f.atC.low), 'celsius')}.` : `Between ${show(Math.round(f.atC.low), 'celsius')} and ${show(Math.round(f.atC.high), 'celsius')}.`}`
    : '';
  const only = f.onlyAboveC === null ? '' : ` Only when hot: never below ${show(Math.floor(f.onlyAboveC), 'celsius')}.`;
  const under = f.under
    .filter((u) => u.chance < 0.05)
    .map(
      (u) =>
        ` ${u.count} of ${n} while ${MARK_NAMES[u.kind]}${u.place === '' ? '' : ` ${u.place}`} (by chance ${percent(u.chance)}).`,
    )
    .join('');
  return {
    title: `${name}: ${n} ${eventName(f.event, n)}${toEnd}, ${at}${first.kind === 'step' || longest < 0.05 ? '' : `, up to ${clockText(longest)} long`}`,
    meaning: `${MEANING[f.event](first, show, quantity, unit)}${warm}${only}${under}`,
    tone: f.event === 'spike' && n < 3 ? 'told' : 'odd',
  };
}

const MEANING: Record<
  EventKind,
  (e: LogEvent, show: (v: number, of: Quantity) => string, of: Quantity, unit: TemperatureUnit) => string
> = {
  'drop-out': (e, show, of) =>
    `From ${show(e.before, of)} to ${show(e.level, of)}: a contact that opens or a wire that touches, not a temperature.`,
  step: (e, show, of) =>
    `From ${show(e.before, of)} to ${show(e.level, of)} between two samples, and it stays: something gave way or came back.`,
  spike: (e, show, of) =>
    `To ${show(e.level, of)} and back: too short for a temperature. Ignition, a contact, or a lost answer.`,
  stuck: () => 'The value does not change although others do: a repeated answer, or a substitute value.',
  noise: (e) => `It scatters ${fixed(e.sigmas, 0)} times as much as elsewhere: a contact that works, or a disturbance.`,
  rate: (e, show, of) =>
    `From ${show(e.before, of)} to ${show(e.level, of)} faster than metal can follow: suspect the circuit, not the heat.`,
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
    'stays-low': `It stays at ${degrees(f.plateauC ?? f.toC)}: a thermostat that stays open, or a display that is short. Compare with a thermometer.`,
    'still-rising': 'It was still rising at the end.',
  }[f.holds];
  return {
    title: `${name} warms up ${smooth ? 'smoothly' : `with a setback of ${kelvinText(f.setback, unit)}`}: ${rise}`,
    meaning: `${held}${cycles}${tau}${smooth ? '' : ' A sensor in coolant does not fall while it warms. Suspect a contact or air.'}`,
    tone: smooth && f.holds !== 'stays-low' ? 'good' : 'odd',
  };
}
