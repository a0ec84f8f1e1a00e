import { MEASUREMENTS } from '../../circuit/measurements/list.ts';

/** A way of working: the same tests in a fixed order. */
export interface School {
  id: string;
  name: string;
  /** In one line: why people work like this. */
  idea: string;
  /** Ids of the tests that come first; the rest of the list follows in the order of work. */
  first: readonly string[];
}

/** The schools of the trade. Source: common practice, no source. */
export const SCHOOLS: readonly School[] = [
  {
    id: 'scan-first',
    name: 'Scan first',
    idea: 'Live data decides most of it in a minute; the meter only where it is unclear.',
    first: ['displayed', 'displayed-unplugged', 'displayed-bridged', 'open-voltage', 'loaded-voltage', 'sensor-ohms'],
  },
  {
    id: 'supply-first',
    name: 'Supply first',
    idea: 'Reference and ground at the plug before anything else.',
    first: ['open-voltage', 'supply-to-return', 'open-voltage-return', 'sensor-ohms', 'loaded-voltage', 'return-drop'],
  },
  {
    id: 'bypass-first',
    name: 'Bypass first',
    idea: 'A resistor in place of the sensor proves wiring, supply and module at once.',
    first: [
      'displayed',
      'displayed-substituted',
      'displayed-unplugged',
      'displayed-bridged',
      'sensor-ohms',
      'open-voltage',
    ],
  },
  {
    id: 'sensor-first',
    name: 'Sensor first',
    idea: 'Ohms against the table, cold and in hot water; no scan tool needed.',
    first: ['sensor-ohms', 'bench-ohms', 'open-voltage', 'loaded-voltage', 'supply-to-return'],
  },
  {
    id: 'compare',
    name: 'Compare',
    idea: 'Old against new at the same temperature; no table needed.',
    first: ['sensor-ohms', 'known-good-ohms', 'displayed', 'displayed-substituted', 'open-voltage'],
  },
];

/** All tests in the order of a school, by id. */
export function schoolOrder(school: School): string[] {
  return [...school.first, ...MEASUREMENTS.map((m) => m.id).filter((id) => !school.first.includes(id))];
}
