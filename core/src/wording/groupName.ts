import type { FaultGroup } from '../base/units/vocabulary.ts';

const NAMES: Record<FaultGroup, string> = {
  sensor: 'Sensor',
  wiring: 'Wiring',
  reference: 'Reference supply',
  module: 'Module',
  installation: 'Installation',
  healthy: 'Nothing wrong',
};

/** A fault group as the verdict names it. */
export function groupName(group: FaultGroup): string {
  return NAMES[group];
}
