/** What a channel is of the circuit in hand. */
export const CHANNEL_ROLES = [
  'displayed',
  'signal-volts',
  'across-volts',
  'return-volts',
  'reference-volts',
  'supply-volts',
  'sensor-ohms',
  'thermometer',
  'companion',
  'other',
] as const;
export type ChannelRole = (typeof CHANNEL_ROLES)[number];
