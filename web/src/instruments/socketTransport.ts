import { socketTransportWords as say } from '@mellow-probe/core/wording/screens/instruments';
import type { LineEvents, Transport } from './transport.ts';

/** What is needed of a socket; the tests hand in others. */
export type OpenSocket = (address: string) => WebSocket;
const openSocket: OpenSocket = (address) => new WebSocket(address);

const GONE: Readonly<Record<number, string>> = {
  4409: say.busy,
  4429: say.tooManyMessages,
  4503: say.full,
};
/** A server that does not answer in this time is not there, ms. */
const PATIENCE_MS = 4000;

/** A line over a WebSocket to the server that the page came from. */
export function socketTransport(path: string, make: OpenSocket = openSocket): Transport {
  let socket: WebSocket | null = null;
  let closing = false;
  return {
    open(events: LineEvents) {
      const address = `${location.protocol === 'https:' ? 'wss' : 'ws'}://${location.host}${path}`;
      return new Promise<void>((resolve, reject) => {
        let opened = false;
        try {
          socket = make(address);
        } catch {
          reject(new Error(say.refused));
          return;
        }
        const own = socket;
        const timer = setTimeout(() => own.close(), PATIENCE_MS);
        own.onopen = () => {
          clearTimeout(timer);
          opened = true;
          resolve();
        };
        own.onmessage = (event) => typeof event.data === 'string' && events.text(event.data);
        own.onclose = (event) => {
          clearTimeout(timer);
          const why = GONE[event.code] ?? say.silent;
          if (!opened) reject(new Error(why));
          else if (!closing) events.gone(why);
        };
      });
    },
    send(text) {
      if (socket?.readyState === WebSocket.OPEN) socket.send(text);
    },
    close() {
      closing = true;
      socket?.close();
    },
  };
}
