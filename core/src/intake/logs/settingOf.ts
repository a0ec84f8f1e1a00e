import type { SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import type { ChannelRole } from './channelRoles.ts';
import type { LogSetting } from './analyseLog.ts';
import type { ValueRange } from './rangeOf.ts';

/** How near to an end of its scale a value counts as at it: K, and share of the reference. */
const NEAR = { kelvin: 4, low: 0.03, high: 0.95 } as const;

/** What a circuit tells beforehand of a log taken on it; of no circuit only the parts of the channels. */
export function logSettingOf(roles: Readonly<Record<string, ChannelRole>>, circuit: SensorCircuit | null): LogSetting {
  if (!circuit) return { roles };
  const { display, referenceV, layout, curve, pullUpOhm } = circuit;
  return {
    roles,
    ends: {
      celsius: { low: display.minC + NEAR.kelvin, high: display.maxC - NEAR.kelvin },
      volts: { low: NEAR.low * referenceV, high: NEAR.high * referenceV },
    },
    divider: {
      layout: layout === 'pull-down' ? 'pull-down' : 'pull-up',
      curve: curve.alternatives === undefined ? curve : null,
      referenceV,
      pullUpOhm,
    },
  };
}

/** Names that a battery or a supply, and a reference, have in logs. */
const SUPPLY_NAME =
  /batt|\bu?bat\b|vbat|\bub\b|supply|\bkl\.?\s?(?:15|30)\b|system\s?volt|control module volt|alternator/i;
const REFERENCE_NAME = /v\s?ref|reference|\b5\s?v\b|sensor supply|geberversorgung/i;
/** No reference of a sensor is above this, V: a channel that is feeds the machine. Common practice, no source. */
const REFERENCE_AT_MOST_V = 6;
/** A reference holds its value: within this share of it, at one of the usual values. */
const [REFERENCE_HOLDS, REFERENCES_V] = [0.006, [5, 3.3]] as const;

const isReference = ({ low, middle, high }: { low: number; middle: number; high: number }): boolean =>
  high - low < REFERENCE_HOLDS * middle && REFERENCES_V.some((v) => Math.abs(middle - v) < 0.02 * v);

/** What a guess goes by: the name, and where most of its values lie. */
interface GuessedOf {
  id: string;
  name: string;
  quantity: 'volts' | 'ohms' | 'celsius';
  /** Absent where there are too few values. */
  range?: ValueRange | undefined;
}

/**
 * The part that each channel probably has, by its id; the person changes it. Where no name says which temperature the circuit's own is, it is the
 * first that no thermometer took.
 */
export function guessedRoles(channels: readonly GuessedOf[]): Record<string, ChannelRole> {
  const taken = new Set<ChannelRole>();
  const roles = Object.fromEntries(
    channels.map((c) => {
      const role = guessedRole(c, (r) => !taken.has(r));
      taken.add(role);
      return [c.id, role] as const;
    }),
  );
  const own = channels.find((c) => c.quantity === 'celsius' && roles[c.id] === 'other');
  if (own && !taken.has('displayed')) roles[own.id] = 'displayed';
  return roles;
}

/** Volts that are not the signal; null where neither the name nor the values say so. */
function voltsRole(name: string, range: ValueRange | undefined): ChannelRole | null {
  if (SUPPLY_NAME.test(name) || (range && range.middle > REFERENCE_AT_MOST_V)) return 'supply-volts';
  if (/\bret(?:urn)?\b|gnd|ground|masse/i.test(name)) return 'return-volts';
  return REFERENCE_NAME.test(name) || (range && isReference(range)) ? 'reference-volts' : null;
}

/** The part of one channel. `first`: no channel before it has the part. */
function guessedRole({ id, name, quantity, range }: GuessedOf, first: (role: ChannelRole) => boolean): ChannelRole {
  if (quantity === 'ohms') return first('sensor-ohms') ? 'sensor-ohms' : 'other';
  if (quantity === 'volts') return voltsRole(name, range) ?? (first('signal-volts') ? 'signal-volts' : 'other');
  if (/therm|probe|refer|^ref|fühler|logger/i.test(name) || id.startsWith('thermometer'))
    return first('thermometer') ? 'thermometer' : 'companion';
  if (/cool|ect|clt|kühl|wasser|displayed|shown/i.test(name)) return first('displayed') ? 'displayed' : 'companion';
  return 'other';
}
