import type { SensorCircuit } from '../../circuit/network/sensorCircuit.ts';
import type { ChannelRole } from './channelRoles.ts';
import type { LogSetting } from './analyseLog.ts';

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

/** The part that a channel probably has, by its id, name and quantity; the person changes it. `first`: no channel before it has the part. */
export function guessedRole(
  { id, name, quantity }: { id: string; name: string; quantity: 'volts' | 'ohms' | 'celsius' },
  first: (role: ChannelRole) => boolean,
): ChannelRole {
  if (quantity === 'ohms') return first('sensor-ohms') ? 'sensor-ohms' : 'other';
  if (quantity === 'volts') {
    if (/ret|gnd|ground|masse/i.test(name)) return 'return-volts';
    return first('signal-volts') ? 'signal-volts' : 'other';
  }
  if (/therm|probe|refer|^ref|fühler|logger/i.test(name) || id.startsWith('thermometer'))
    return first('thermometer') ? 'thermometer' : 'companion';
  if (/cool|ect|clt|kühl|wasser|displayed|shown/i.test(name)) return first('displayed') ? 'displayed' : 'companion';
  return 'other';
}
