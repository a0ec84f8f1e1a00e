import type { Migration } from './migration.ts';

/** Frozen. Version 3: R25 and B become one of the typed curves, so that every kind of curve can be typed. */
export const typedCurve: Migration = {
  to: 3,
  migrate(data) {
    const circuit = isRecord(data.circuit) ? data.circuit : null;
    const curve = circuit && isRecord(circuit.curve) ? circuit.curve : null;
    if (curve?.source !== 'r25b') return { ...data, formatVersion: 3 };
    const typed = { source: 'typed', kind: 'beta', form: '', figures: { r25Ohm: curve.r25Ohm, betaK: curve.betaK } };
    return { ...data, formatVersion: 3, circuit: { ...circuit, curve: typed } };
  },
};

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
