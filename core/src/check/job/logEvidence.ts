import type { ChannelRole } from '../../intake/logs/channelRoles.ts';
import type { Finding, Stretch } from '../../intake/logs/finding.ts';
import type { Log } from '../../intake/logs/log.ts';
import type { HintId } from '../../circuit/harness/hints.ts';
import type { Quantity } from '../../base/units/quantity.ts';
import type { MachineState } from '../../base/units/vocabulary.ts';
import type { Job } from './jobSchema.ts';
import { MOST } from './most.ts';
import { newReading } from './newReading.ts';

/** One thing that a log puts on a job. */
export type LogEvidence =
  /** A reading: one, however many samples stand behind it. V, Ω ('OL') or °C. */
  | {
      kind: 'reading';
      measurement: string;
      value: number | 'OL';
      quantity: Quantity;
      state: MachineState;
      about: string;
    }
  /** What the independent thermometer showed at the same time, °C. */
  | { kind: 'thermometer'; hot: boolean; valueC: number }
  /** Something seen, by its id in the catalogue of findings. */
  | { kind: 'finding'; id: string }
  /** What is known of a place on the way, by the place's name. */
  | { kind: 'hint'; place: string; hint: HintId };

/** What a channel measures, by how the plug stands. */
const MEASURED: Record<'plugged' | 'unplugged' | 'bridged', Partial<Record<ChannelRole, string>>> = {
  plugged: {
    displayed: 'displayed',
    'signal-volts': 'loaded-voltage',
    'across-volts': 'loaded-voltage-return',
    'return-volts': 'return-drop',
  },
  unplugged: {
    displayed: 'displayed-unplugged',
    'signal-volts': 'open-voltage',
    'across-volts': 'open-voltage-return',
    'sensor-ohms': 'sensor-ohms',
  },
  bridged: { displayed: 'displayed-bridged' },
};

/** Supply where no check says it, V, and how far it is charged above its rating. Common practice, no source. */
const [USUAL_SUPPLY_V, CHARGED] = [24, 1.25];

/** What a finding says to the check, in readings, things seen and places; empty where it says nothing that the engine takes. */
export function evidenceOf(
  finding: Finding,
  log: Log,
  roles: Readonly<Record<string, ChannelRole>>,
  supplyV = USUAL_SUPPLY_V,
): LogEvidence[] {
  const reading: ReadingOf = (channel, plug, value, state, about) => {
    const measurement = MEASURED[plug][roles[channel] ?? 'other'];
    if (!measurement) return [];
    const { quantity } = log.channels.find((c) => c.id === channel)!;
    // More than the battery gives stands on no pin of a sensor: a wrong unit is never put on a check.
    if (quantity === 'volts' && Math.abs(value) > CHARGED * supplyV) return [];
    return [{ kind: 'reading', measurement, value: value === Infinity ? 'OL' : value, quantity, state, about }];
  };
  switch (finding.kind) {
    case 'stretch':
      return ofStretch(finding, roles, reading);
    case 'wiggle':
      return ofWiggle(finding, reading);
    case 'events':
      return ofEvents(finding, reading);
    case 'warm-up':
      return finding.setback < 2 && roles[finding.channel] === 'displayed' && finding.holds === 'holds'
        ? [{ kind: 'finding', id: 'falls-when-heated' }]
        : [];
    default:
      return [];
  }
}

/** A reading of a channel with the plug so; empty where the channel measures nothing that way. */
type ReadingOf = (
  channel: string,
  plug: keyof typeof MEASURED,
  value: number,
  state: MachineState,
  about: string,
) => LogEvidence[];

type Kind<K extends Finding['kind']> = Extract<Finding, { kind: K }>;

function ofStretch(
  { about, stretches }: Kind<'stretch'>,
  roles: Readonly<Record<string, ChannelRole>>,
  reading: ReadingOf,
): LogEvidence[] {
  const hot = about === 'hot';
  const plug = about === 'unplugged' || about === 'bridged' ? about : 'plugged';
  const beside = stretches.find((s) => roles[s.channel] === 'thermometer');
  return [
    ...stretches.flatMap((s) => reading(s.channel, plug, s.value, hot ? 'hot' : 'steady', aboutOf(s))),
    ...(beside && plug === 'plugged' ? [{ kind: 'thermometer', hot, valueC: beside.value } as const] : []),
  ];
}

function ofWiggle({ place, places, channel, level }: Kind<'wiggle'>, reading: ReadingOf): LogEvidence[] {
  if (place === null) return [];
  const still = places.filter((p) => p.place !== place && p.count === 0 && p.overS >= 8);
  return [
    { kind: 'finding', id: 'moves-when-wiggled' },
    { kind: 'hint', place, hint: 'wiggle-moves' },
    ...still.map((p): LogEvidence => ({ kind: 'hint', place: p.place, hint: 'wiggle-still' })),
    ...reading(channel, 'plugged', level, 'wiggling', `drop-outs while ${place} was wiggled`),
  ];
}

function ofEvents({ event, events, atC, channel }: Kind<'events'>, reading: ReadingOf): LogEvidence[] {
  if (atC === null || atC.low <= HOT_C) return [];
  if (event === 'drop-out')
    return reading(channel, 'plugged', events[0].level, 'hot', `drop-out from ${Math.round(atC.low)} °C on`);
  return event === 'step' ? [{ kind: 'finding', id: 'jumps-when-heated' }] : [];
}

/** From here on what is read is read hot, °C. */
const HOT_C = 55;

const aboutOf = ({ samples, independent, fromS, toS }: Stretch): string =>
  `${samples} samples over ${Math.round(toS - fromS)} s, as good as ${independent}`;

/** A figure as it stands in a reading: as fine as the instruments are. */
export function evidenceFigure(value: number | 'OL', quantity: Quantity): string {
  if (value === 'OL') return 'OL';
  if (quantity === 'volts') return `${value.toFixed(3).replace(/^-(0\.000)$/, '$1')} V`;
  return quantity === 'ohms' ? `${Number(value.toPrecision(4))} Ω` : `${Number(value.toFixed(1))} °C`;
}

/**
 * Puts evidence on a job. A reading of the same test, state and figure is not put twice; a place is found by its name; what has no place in this job's
 * loom is left out. Returns how many things were new.
 *
 * @param note what is written beside each reading: which log
 */
export function applyEvidence(
  job: Job,
  evidence: readonly LogEvidence[],
  note: string,
  atIso: string,
  newId: () => string,
): number {
  let taken = 0;
  for (const e of evidence) {
    if (e.kind === 'reading') {
      const text = evidenceFigure(e.value, e.quantity);
      const same = job.readings.some(
        (r) => r.measurement === e.measurement && r.state === e.state && r.text === text && !r.voided,
      );
      if (same || job.readings.length >= MOST.readings) continue;
      const value = e.value === 'OL' ? 'OL' : Number(text.split(' ')[0]);
      const first = !job.readings.some((r) => r.measurement === e.measurement);
      job.readings.push(
        newReading(first ? e.measurement : newId(), e.measurement, {
          text,
          value,
          state: e.state,
          note: `${note}: ${e.about}`,
          takenAt: atIso,
        }),
      );
      taken++;
    } else if (e.kind === 'thermometer') {
      const entry = { text: `${e.valueC.toFixed(1)} °C`, value: Number(e.valueC.toFixed(1)) };
      const moment = job.moments[e.hot ? 1 : 0];
      // What a person typed stays.
      if (moment.temperatureC.text.trim() !== '') continue;
      moment.temperatureC = entry;
      taken++;
    } else if (e.kind === 'finding') {
      if (job.findings.includes(e.id)) continue;
      job.findings.push(e.id);
      taken++;
    } else {
      const stop = [job.loom.module, ...job.loom.stops, job.loom.plug].find((s) => s.name === e.place);
      if (!stop || stop.hints.includes(e.hint)) continue;
      stop.hints.push(e.hint);
      taken++;
    }
  }
  return taken;
}
