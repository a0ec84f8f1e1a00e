/**
 * The way from the module to the sensor plug as a chain of elements: the contact of the module's plug, a run of wire, the contact of connector 1, a
 * run, … the contact of connector N, a run, the terminal of the sensor plug. Element 2k is contact k (0: module's plug, N + 1: sensor plug),
 * element 2k + 1 the run after it. Point p lies before element p: connector k is reached on its module side at point 2k, on its sensor side at 2k + 1.
 */
export const SIDES = ['module', 'sensor'] as const;
export type Side = (typeof SIDES)[number];

/** Most connectors and splices of a loom. */
export const MOST_CONNECTORS = 8;

/** Number of elements of a chain with so many connectors. */
export const elementsOf = (connectors: number): number => 2 * connectors + 3;

/** Point of connector `position` (1 = next to the module) on one of its sides. */
export const pointAt = (position: number, side: Side = 'module'): number => 2 * position + (side === 'sensor' ? 1 : 0);

/** Share of a wire's copper that lies before a point, the runs taken alike. */
export const shareBefore = (point: number, connectors: number): number => Math.floor(point / 2) / (connectors + 1);

/**
 * Point at which the returns of several sensors come together, counted from the module: the first connector, or half of the way where there is none.
 * What lies before it is shared. Common practice, no source.
 */
export const JOIN = pointAt(1);

/** Sensors beside this one whose currents run through a return that is shared, as many as are usual. Common practice, no source. */
export const NEIGHBOURS = 2;

/** What other sensors share with this one. */
export const SHARES = ['unknown', 'nothing', 'reference', 'return', 'both'] as const;
export type Shares = (typeof SHARES)[number];
