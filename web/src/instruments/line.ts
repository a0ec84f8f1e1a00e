import type { Driver, Heard } from '@mellow-probe/core/intake/instruments/heard';
import type { Transport } from './transport.ts';

/** How often a driver is asked whether it has something to say, ms. */
const STEP_MS = 40;

/** A driver on a transport: the conversation runs until it is closed or the line is gone. */
export interface InstrumentLine {
  /** Rejects with a reason for a person. */
  open(): Promise<void>;
  close(): void;
  /** Something said past the driver: an act on the simulated machine. */
  say(text: string): void;
}

/**
 * @param clockS the clock on which samples lie, s
 * @param tell what was heard; a line that is gone is a fault like the others, told last
 */
export function instrumentLine(
  driver: Driver,
  transport: Transport,
  clockS: () => number,
  tell: (heard: readonly Heard[]) => void,
): InstrumentLine {
  let timer: ReturnType<typeof setInterval> | null = null;
  const stop = (): void => {
    if (timer) clearInterval(timer);
    timer = null;
  };
  function step(): void {
    const { send, heard } = driver.step(clockS());
    if (send !== '') transport.send(send);
    if (heard.length > 0) tell(heard);
  }
  return {
    async open() {
      await transport.open({
        text(text) {
          const heard = driver.hear(text, clockS());
          if (heard.length > 0) tell(heard);
          // The next question goes out at once, not at the next look.
          if (timer) step();
        },
        gone(why) {
          stop();
          tell([{ kind: 'fault', fault: 'gone', timeS: clockS(), text: why }]);
        },
      });
      timer = setInterval(step, STEP_MS);
    },
    close() {
      stop();
      transport.close();
    },
    say: (text) => transport.send(text),
  };
}
