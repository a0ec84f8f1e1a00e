import type { HeatSetup } from './heat.ts';

/** When a fault of a machine in time is there. */
export type When =
  | { kind: 'always' }
  /** Only while the sensor is warmer than this, °C. */
  | { kind: 'above'; aboveC: number }
  /** From `delayS` after the sensor was once warmer than this, °C, for as long as it is not replaced. */
  | { kind: 'after-heat'; aboveC: number; delayS: number }
  /** Now and then, and `wiggled` times as often while the loom is moved at its place; a spell lasts `lastsS` on average. */
  | { kind: 'now-and-then'; perHour: number; lastsS: number; wiggled: number; place: string };

/** One fault of the list (`circuit/faults/list.ts`) at one sensor: its size as a position 0 … 1 in its range. */
export interface TimedFault {
  sensor: SiteId;
  fault: string;
  position: number;
  when: When;
}

/** The sensors of the machine. */
export const SITES = ['coolant', 'intake', 'oil'] as const;
export type SiteId = (typeof SITES)[number];

/** A machine in time, chosen by its id. Invented. */
export interface MachineCase {
  id: string;
  name: string;
  /** What the owner says. */
  complaint: string;
  /** Places of the loom of the sensor in doubt, from the module. */
  places: readonly string[];
  heat: Partial<HeatSetup>;
  faults: readonly TimedFault[];
}

const PLACES = ['bulkhead plug', 'engine plug', 'sensor plug'] as const;

export const MACHINE_CASES: readonly MachineCase[] = [
  {
    id: 'sound',
    name: 'Nothing wrong',
    complaint: 'Warms up as it should; a look for comparison.',
    places: PLACES,
    heat: {},
    faults: [],
  },
  {
    id: 'loose-plug',
    name: 'Value drops out on the road',
    complaint: 'The coolant display falls to the bottom now and then, worse on rough ground.',
    places: PLACES,
    heat: {},
    faults: [
      {
        sensor: 'coolant',
        fault: 'signal-open',
        position: 0.2,
        when: { kind: 'now-and-then', perHour: 6, lastsS: 1.2, wiggled: 120, place: 'engine plug' },
      },
    ],
  },
  {
    id: 'fails-hot',
    name: 'Only when it is hot',
    complaint: 'Cold all is well; from about 70 °C on the display jumps to the bottom.',
    places: PLACES,
    heat: {},
    faults: [{ sensor: 'coolant', fault: 'sensor-open', position: 0.3, when: { kind: 'above', aboveC: 70 } }],
  },
  {
    id: 'after-heat',
    name: 'Wrong after a heat cycle',
    complaint: 'Sound in the morning; ten minutes after it was hot it shows far too little.',
    places: PLACES,
    heat: {},
    faults: [
      {
        sensor: 'coolant',
        fault: 'sensor-high',
        position: 0.22,
        when: { kind: 'after-heat', aboveC: 78, delayS: 120 },
      },
    ],
  },
  {
    id: 'open-thermostat',
    name: 'Never gets warm',
    complaint: 'The heater stays cool and the display with it.',
    places: PLACES,
    heat: { thermostat: { opensC: 84, spanK: 8, stuckOpen: true }, airflow: 2.2 },
    faults: [],
  },
  {
    id: 'bad-joint',
    name: 'Shows too cold',
    complaint: 'The display is some twenty degrees short, hot worse than cold.',
    places: PLACES,
    heat: {},
    faults: [{ sensor: 'coolant', fault: 'signal-resistive', position: 0.24, when: { kind: 'always' } }],
  },
];

/** Throws on an id that is not there. */
export function machineCase(id: string): MachineCase {
  const found = MACHINE_CASES.find((c) => c.id === id);
  if (!found) throw new Error(`machineCase: no case "${id}"`);
  return found;
}
