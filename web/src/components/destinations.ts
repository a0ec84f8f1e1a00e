import { mainNavWords as say } from '@mellow-probe/core/wording/screens/components';
import type { IconName } from './base/iconSet.ts';

/** The few places to go to, the same on every screen. `here`: the addresses that belong to it. */
export interface Destination {
  name: string;
  to: string;
  icon: IconName;
  here: RegExp;
}

export const DESTINATIONS: readonly Destination[] = [
  { name: say.checks, to: '/', icon: 'unorderedList', here: /^\/($|check\/|take)/ },
  { name: say.machines, to: '/logbook', icon: 'book', here: /^\/logbook/ },
  { name: say.liveData, to: '/live', icon: 'dashboard', here: /^\/live/ },
  { name: say.logs, to: '/logs', icon: 'lineChart', here: /^\/logs/ },
  { name: say.tools, to: '/shelf', icon: 'tool', here: /^\/shelf/ },
  { name: say.training, to: '/train', icon: 'read', here: /^\/train/ },
  { name: say.settings, to: '/settings', icon: 'setting', here: /^\/(settings|safe)/ },
];
