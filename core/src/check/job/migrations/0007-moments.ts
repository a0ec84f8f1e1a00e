import type { Migration } from './migration.ts';

const moment = (id: string, temperatureC: unknown): object => ({
  id,
  state: id,
  temperatureC,
  thermometer: null,
  at: null,
});

/** Frozen. Version 7: the cold and the hot temperature of a check become two moments, and every reading belongs to one of them; tests can be left out; customer and order are named. */
export const moments: Migration = {
  to: 7,
  migrate: ({ temperatureC, hotTemperatureC, readings, ...data }) => ({
    ...data,
    formatVersion: 7,
    moments: [moment('steady', temperatureC), moment('hot', hotTemperatureC)],
    customer: '',
    orderNumber: '',
    leftOut: [],
    readings: (readings as { state: string }[]).map((reading) => ({
      ...reading,
      moment: reading.state === 'hot' ? 'hot' : 'steady',
    })),
  }),
};
