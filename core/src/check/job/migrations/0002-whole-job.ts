import type { Migration } from './migration.ts';

/** Frozen. Version 2: from one check to the whole job; everything new is empty, a reading gets its history. */
const empty = (): { text: string; value: null } => ({ text: '', value: null });

export const wholeJob: Migration = {
  to: 2,
  migrate(data) {
    const circuit = typeof data.circuit === 'object' && data.circuit !== null ? data.circuit : {};
    const readings = Array.isArray(data.readings) ? data.readings : [];
    return {
      ...data,
      formatVersion: 2,
      circuit: { ...circuit, cableM: empty(), cableMm2: empty() },
      readings: readings.map((r: unknown) =>
        typeof r === 'object' && r !== null ? { ...r, voided: null, history: [] } : r,
      ),
      complaint: { text: '', symptoms: [], codes: [], replaced: [], causes: {} },
      rightSensor: { plugs: [], values: [], trials: [], wantedValueId: null, measuredPlugId: null },
      kit: {
        name: '',
        tools: ['meter', 'thermometer', 'live-data', 'resistors', 'jumper', 'module-access', 'bath', 'second-sensor'],
        meter: { volts: [], ohms: [], inputOhm: empty(), overloadOhm: empty(), leadOhm: empty() },
        thermometer: 'thermocouple',
        thermometerK: empty(),
        displayedK: empty(),
        resistors: { series: 'E12', own: '', tolerancePercent: empty() },
        access: { plug: 'usual', module: 'usual', sensor: 'usual' },
      },
      school: 'proposal',
      comparison: { pairs: [], settling: [] },
      photos: [],
      decision: null,
      repair: { part: '', partNumber: '', cause: '', done: '', doneAt: null, standIn: null },
      proof: { temperatureC: empty(), readings: [], steps: {} },
      followUps: [],
      closed: null,
      archivedAt: null,
    };
  },
};
