import type { Measurement } from '../../circuit/measurements/measurement.ts';
import { TOOLS, type Tool } from '../../base/units/vocabulary.ts';
import type { Kit } from './kitSchema.ts';

/** What the technician has and how much work the places are. */
export interface Access {
  tools: readonly Tool[];
  /** Factors on the default minutes by set-up: 2 where the plug is behind the bumper. */
  effort: Readonly<Partial<Record<Measurement['setup'], number>>>;
  /** Minutes by which a risky test counts as dearer than it is. */
  riskMinutes: number;
  /** Tests that cannot be done at this machine, by id. */
  leftOut?: readonly string[];
}

export const EVERYTHING_AT_HAND: Access = {
  tools: TOOLS,
  effort: {},
  riskMinutes: 1,
};

/** Which tests the kit allows, and what they cost at this machine. */
export function accessOf(kit: Kit): Access {
  const factor = { easy: 0.6, usual: 1, hard: 3 };
  const [plug, module, sensor] = [factor[kit.access.plug], factor[kit.access.module], factor[kit.access.sensor]];
  return {
    tools: kit.tools,
    effort: {
      plugged: plug,
      unplugged: plug,
      bridged: plug,
      substituted: plug,
      'key-off': plug,
      'both-ends-free': Math.max(plug, module),
      'taken-off': sensor,
    },
    riskMinutes: 1,
  };
}
