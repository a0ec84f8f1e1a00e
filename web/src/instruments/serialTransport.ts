import { serialTransportWords as say } from '@mellow-probe/core/wording/screens/instruments';
import type { LineEvents, Transport } from './transport.ts';

/** What is needed of a serial port (Web Serial API); the tests hand in others. */
export interface Port {
  open(options: { baudRate: number }): Promise<void>;
  close(): Promise<void>;
  readonly readable: ReadableStream<Uint8Array> | null;
  readonly writable: WritableStream<Uint8Array> | null;
}

/** Can this browser open serial ports? On a secure page only, and not in every browser. */
export const hasSerial = (): boolean => 'serial' in navigator;

/** Asks which port; rejects where the person picks none. */
export async function askPort(): Promise<Port> {
  const { serial } = navigator as Navigator & { serial: { requestPort(): Promise<Port> } };
  return serial.requestPort();
}

/** A line over a serial port. Pulled out in the middle of a value, it is gone, and the value with it. */
export function serialTransport(port: Port, baudRate: number): Transport {
  let reader: ReadableStreamDefaultReader<Uint8Array> | null = null;
  let writer: WritableStreamDefaultWriter<Uint8Array> | null = null;
  let closing = false;

  async function listen(events: LineEvents): Promise<void> {
    const decoder = new TextDecoder();
    try {
      for (;;) {
        const { value, done } = await reader!.read();
        if (done) break;
        events.text(decoder.decode(value, { stream: true }));
      }
      if (!closing) events.gone(say.closed);
    } catch {
      if (!closing) events.gone(say.unplugged);
    }
  }

  return {
    async open(events) {
      try {
        await port.open({ baudRate });
      } catch {
        throw new Error('the port is in use, or cannot be opened');
      }
      reader = port.readable?.getReader() ?? null;
      writer = port.writable?.getWriter() ?? null;
      if (!reader || !writer) throw new Error('the port cannot be read');
      void listen(events);
    },
    send(text) {
      // What cannot be written comes to light as silence.
      writer?.write(new TextEncoder().encode(text)).catch(() => undefined);
    },
    close() {
      closing = true;
      void (async () => {
        await reader?.cancel().catch(() => undefined);
        reader?.releaseLock();
        writer?.releaseLock();
        await port.close().catch(() => undefined);
      })();
    },
  };
}
