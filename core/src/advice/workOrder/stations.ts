import { schoolOrder, SCHOOLS } from '../nextTest/schools.ts';
import { MEASUREMENTS } from '../../circuit/measurements/list.ts';
import type { Layout, TestStation } from '../../base/units/vocabulary.ts';

/** The stations that are forms. */
export const FORM_STATIONS = [
  'quick',
  'complaint',
  'right-sensor',
  'look',
  'compare',
  'where',
  'worth',
  'readings',
  'decision',
  'repair',
  'proof',
] as const;
export type FormStationId = (typeof FORM_STATIONS)[number];

/** The four parts of the order of work. */
export const PARTS_OF_WORK = ['start', 'measure', 'locate', 'finish'] as const;
export type PartOfWork = (typeof PARTS_OF_WORK)[number];

/** One stop of the order of work: a form, or a group of tests that share a place and a set-up. */
export type Station = { part: PartOfWork; name: string; tests: readonly string[] } & (
  { kind: 'form'; id: FormStationId } | { kind: 'tests'; id: TestStation }
);

/** The order of work as the trade does it. A proposal: nothing locks. Source: common practice, no source. */
export const STATIONS: readonly Station[] = [
  form('start', 'quick', 'Quick check'),
  form('start', 'complaint', 'Complaint'),
  form('start', 'right-sensor', 'Which sensor?'),
  tests('measure', 'live', 'Live data', ['displayed', 'neighbour-displayed']),
  form('measure', 'look', 'Inspect'),
  tests('measure', 'supply', 'Supply and ground', [
    'open-voltage',
    'supply-to-return',
    'open-voltage-return',
    'open-voltage-return-bridged',
    'neighbour-reference',
    'reference-alone',
  ]),
  tests('measure', 'loaded', 'Signal voltage, plugged in', ['loaded-voltage', 'loaded-voltage-return', 'return-drop']),
  tests('measure', 'bypass', 'Bypass test', ['displayed-unplugged', 'displayed-bridged', 'displayed-substituted']),
  tests('measure', 'sensor', 'Sensor resistance', [
    'sensor-ohms',
    'pin-to-body',
    'off-ohms',
    'bench-ohms',
    'known-good-ohms',
  ]),
  form('measure', 'compare', 'Compare sensors'),
  tests('measure', 'wires', 'Wires', [
    'panel-ohms',
    'loop-ohms',
    'signal-wire-ohms',
    'return-wire-ohms',
    'isolation-ground',
    'isolation-return',
    'dead-wire-voltage',
  ]),
  form('locate', 'where', 'Locate the fault'),
  tests('locate', 'places', 'Measure along the harness', [
    'connector-voltage',
    'contact-drop',
    'parted-voltage',
    'connector-ohms',
  ]),
  form('finish', 'worth', 'Is it worth it?'),
  form('finish', 'readings', 'All readings'),
  form('finish', 'decision', 'Decision'),
  form('finish', 'repair', 'Repair'),
  form('finish', 'proof', 'Verify the repair'),
];

function form(part: PartOfWork, id: FormStationId, name: string): Station {
  return { part, id, name, kind: 'form', tests: [] };
}

/** The tests of a station: the named ones in their order, then the others that name this station. */
function tests(part: PartOfWork, id: TestStation, name: string, first: readonly string[]): Station {
  const others = MEASUREMENTS.filter((m) => m.station === id && !first.includes(m.id)).map((m) => m.id);
  return { part, id, name, kind: 'tests', tests: [...first, ...others] };
}

/** The stations in the order of a school (or as they are), with the tests that exist in this circuit. */
export function stationsFor(school: string, layout: Layout, connectors: number): Station[] {
  const possible = (id: string): boolean => {
    const m = MEASUREMENTS.find((x) => x.id === id)!;
    return m.layouts.includes(layout) && (!m.needs.includes('position') || connectors > 0);
  };
  const known = SCHOOLS.find((s) => s.id === school);
  const order = known ? schoolOrder(known) : null;
  const rank = (id: string): number => order?.indexOf(id) ?? 0;
  const stations = STATIONS.map((s) =>
    s.kind === 'form' ? s : { ...s, tests: s.tests.filter(possible).sort((a, b) => rank(a) - rank(b)) },
  ).filter((s) => s.kind === 'form' || s.tests.length > 0);
  if (!order) return stations;
  // The tests change places among themselves; forms stay where they are.
  const byFirstTest = stations.filter((s) => s.kind === 'tests').sort((a, b) => rank(a.tests[0]) - rank(b.tests[0]));
  let next = 0;
  // Each keeps the part of the place it comes to, so that the parts stay together.
  return stations.map((s) => (s.kind === 'tests' ? { ...byFirstTest[next++], part: s.part } : s));
}

/** The first test of a school's order that can be done and has no reading yet, or null. */
export function nextOfSchool(school: string, possible: readonly string[], done: ReadonlySet<string>): string | null {
  const known = SCHOOLS.find((s) => s.id === school);
  if (!known) return null;
  return schoolOrder(known).find((id) => possible.includes(id) && !done.has(id)) ?? null;
}
