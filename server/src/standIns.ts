import type { IncomingMessage, Server } from 'node:http';
import {
  STAND_IN_PATH,
  type StandInChoice,
  standInOf,
} from '@mellow-probe/core/training/simulation/standIns/standInAddress';
import {
  type StandInBench,
  standInBench,
  type StandInId,
} from '@mellow-probe/core/training/simulation/standIns/standInBench';
import { type WebSocket, WebSocketServer } from 'ws';
import { isOurHost, type Settings } from './settings.ts';

/** How often the instruments look whether they have something to print, ms. */
const LOOK_MS = 25;
/** A machine is put away when nobody was on any of its lines for so long, ms. */
const KEPT_MS = 60_000;
/** Most machines at a time, and longest message. */
const MOST_BENCHES = 20;
const MOST_BYTES = 4096;
/** Said on closing a line. */
const CLOSE = { busy: 4409, full: 4503 } as const;

interface Running {
  bench: StandInBench;
  startMs: number;
  speed: number;
  lines: Map<StandInId, WebSocket>;
  emptySinceMs: number;
}

/**
 * The simulated instruments, over WebSockets on the server's own port. A page may open them only from the address it came from itself; a caller that is no
 * browser (and sends no origin) only from this device.
 */
export function attachStandIns(
  server: Server,
  hosts: Settings['hosts'] = null,
  nowMs: () => number = () => performance.now(),
): { close(): void } {
  const sockets = new WebSocketServer({ noServer: true, maxPayload: MOST_BYTES });
  const running = new Map<string, Running>();

  server.on('upgrade', (request, socket, head) => {
    const asked = request.url?.startsWith(STAND_IN_PATH) ? standInOf(request.url) : null;
    const refused = !asked
      ? '404 Not Found'
      : isOurHost(request.headers.host, hosts) && mayOpen(request)
        ? null
        : '403 Forbidden';
    if (refused || !asked) {
      socket.end(`HTTP/1.1 ${refused}\r\nConnection: close\r\nContent-Length: 0\r\n\r\n`);
      return;
    }
    sockets.handleUpgrade(request, socket, head, (line) => takeLine(line, asked.device, asked.choice));
  });

  function takeLine(line: WebSocket, device: StandInId, choice: StandInChoice): void {
    const key = [choice.case, choice.seed, choice.bench, choice.speed].join(' ');
    let own = running.get(key);
    if (!own) {
      if (running.size >= MOST_BENCHES) return line.close(CLOSE.full, 'too many machines');
      const bench = standInBench(choice.case, choice.seed);
      own = { bench, startMs: nowMs(), speed: choice.speed, lines: new Map(), emptySinceMs: nowMs() };
      running.set(key, own);
    }
    const at = own;
    // An instrument has one plug: two that talk to it at once would take each other's answers.
    if (at.lines.has(device)) return line.close(CLOSE.busy, 'in use');
    at.lines.set(device, line);
    line.on('message', (data, binary) => {
      if (!binary) at.bench.devices[device].receive((data as Buffer).toString('utf8'), timeS(at));
    });
    line.on('close', () => {
      at.lines.delete(device);
      at.emptySinceMs = nowMs();
    });
    line.on('error', () => line.terminate());
  }

  const timeS = (of: Running): number => ((nowMs() - of.startMs) / 1000) * of.speed;

  const timer = setInterval(() => {
    for (const [key, own] of running) {
      if (own.lines.size === 0 && nowMs() - own.emptySinceMs > KEPT_MS) running.delete(key);
      if (own.lines.size === 0) continue;
      const now = timeS(own);
      own.bench.machine.advanceTo(now);
      for (const [device, line] of own.lines) {
        const text = own.bench.devices[device].take(now);
        if (text !== '' && line.readyState === line.OPEN) line.send(text);
      }
    }
  }, LOOK_MS);
  timer.unref();

  return {
    close() {
      clearInterval(timer);
      for (const line of sockets.clients) line.terminate();
      sockets.close();
    },
  };
}

/** From the page that this server gave out, or from a program on this device. */
function mayOpen({ headers, socket }: IncomingMessage): boolean {
  const { origin, host } = headers;
  if (origin === undefined) return ['127.0.0.1', '::1', '::ffff:127.0.0.1'].includes(socket.remoteAddress ?? '');
  try {
    return host !== undefined && new URL(origin).host === host;
  } catch {
    return false;
  }
}
