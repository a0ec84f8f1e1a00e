import type { MachineField } from '../../base/units/vocabulary.ts';

/** A cause of the same complaint that is no electrical fault, and how it is ruled out. Source: common practice, no source. */
export interface OtherCause {
  id: string;
  name: string;
  field: MachineField;
  check: string;
  caution: string | null;
}

const COLD_ONLY = 'Cold system only: never open a hot or pressurised cooling system.';

export const OTHER_CAUSES: readonly OtherCause[] = [
  {
    id: 'low-coolant',
    name: 'Coolant low',
    field: 'engine',
    check: 'Level at the cold engine, in the tank and at the highest point.',
    caution: COLD_ONLY,
  },
  {
    id: 'air',
    name: 'Air at the sensor',
    field: 'engine',
    check: 'Bleed; the value must follow the hose beside the sensor.',
    caution: COLD_ONLY,
  },
  {
    id: 'thermostat',
    name: 'Thermostat stuck',
    field: 'engine',
    check: 'Upper hose: cold for some minutes, then warm at once. Warm from the start: open.',
    caution: 'Fans and belts start on their own.',
  },
  {
    id: 'fan',
    name: 'Fan or its relay',
    field: 'engine',
    check: 'The fan’s own test, or fed directly through its fuse.',
    caution: 'Hands, sleeves and leads clear of the fan.',
  },
  {
    id: 'charge',
    name: 'Refrigerant charge or valve',
    field: 'climate',
    check: 'Pressures and superheat, by a qualified person.',
    caution: 'Refrigerant circuits: qualified persons only.',
  },
  {
    id: 'airflow',
    name: 'No air through the coil',
    field: 'climate',
    check: 'Filter, fan, ice, dirt.',
    caution: 'Isolate the fan before reaching in.',
  },
  {
    id: 'defrost',
    name: 'Defrost does not run',
    field: 'climate',
    check: 'Start a defrost by hand and watch the heater current.',
    caution: 'Mains at the heater: isolate, licensed persons.',
  },
  {
    id: 'pump',
    name: 'No flow in the circuit',
    field: 'boiler',
    check: 'Pump runs, valves open, flow and return differ.',
    caution: 'Mains at the pump: isolate first.',
  },
  {
    id: 'pressure',
    name: 'Water pressure or air',
    field: 'boiler',
    check: 'Gauge of the system, bleed the highest point.',
    caution: 'Hot water and steam: let it cool.',
  },
  {
    id: 'settings',
    name: 'Curve, clock or setting of the controller',
    field: 'boiler',
    check: 'Heating curve, holiday mode, time, sensor type set in the menu.',
    caution: null,
  },
];
