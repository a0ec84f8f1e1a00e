import { vi } from 'vitest';

/** The work of the log worker in this thread; `held` makes the analysis of a log wait, `fails` breaks what is asked of it. */
const worker = vi.hoisted(() => ({ rooms: 0, left: 0, held: null as null | Promise<void>, fails: '' }));
export { worker };
vi.mock('../src/workers/logClient.ts', async (original) => {
  const real = await original<object>();
  const { logWork } = await import('../src/workers/logs.ts');
  return {
    ...real,
    logRoom: () => {
      worker.rooms++;
      return {
        ask: async (work: (remote: unknown) => Promise<unknown>) => {
          if (worker.fails !== '') throw new Error(worker.fails);
          return work({
            ...logWork,
            analyse: async (...args: Parameters<typeof logWork.analyse>) => {
              await worker.held;
              return logWork.analyse(...args);
            },
          });
        },
        leave: () => void worker.left++,
      };
    },
  };
});

/** A log of one channel that goes up and down by a degree, every half second. */
export const SINE = (n: number, head = 'time s;coolant °C'): string =>
  [head, ...Array.from({ length: n }, (_, i) => `${(i / 2).toFixed(1)};${(70 + Math.sin(i / 30)).toFixed(1)}`)].join(
    '\n',
  );
