import type { Migration } from './migration.ts';

const wires = (): object => ({ signal: '', return: '' });
const figure = (): object => ({ text: '', value: null });
const stop = (id: string, kind: string): object => ({
  id,
  kind,
  name: '',
  where: '',
  minutes: figure(),
  opening: '',
  pins: wires(),
  hints: [],
  run: { lengthM: figure(), areaMm2: figure(), colours: wires(), make: 'plain', hints: [] },
});

/** Frozen. Version 6: the loom with its stops in place of a number of connectors, and what is known of prices. */
export const loom: Migration = {
  to: 6,
  migrate: (data) => {
    const { connectors, ...circuit } = data.circuit as { connectors?: unknown };
    const count = typeof connectors === 'number' && connectors > 0 ? Math.min(8, Math.round(connectors)) : 0;
    return {
      ...data,
      formatVersion: 6,
      circuit: { ...circuit, shares: 'unknown' },
      loom: {
        module: stop('module', 'module'),
        stops: Array.from({ length: count }, (_, i) => stop(`c${i + 1}`, 'connector')),
        plug: stop('plug', 'plug'),
      },
      worth: {
        hourPrice: figure(),
        partPrice: figure(),
        fitMinutes: figure(),
        modulePrice: figure(),
        backPrice: figure(),
        assembly: false,
        protects: false,
      },
    };
  },
};
