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
/** Most messages of a line between two looks: a technician's program asks a few times a second, a flood would hold up everybody. */
const MOST_AT_ONCE = 200;
/** A line that takes no more is given up when so much waits for it, bytes. */
const MOST_WAITING = 1_000_000;
/** How often a line is asked whether it still lives, ms: one that does not answer until the next time has left, and its place is free. */
const PING_MS = 10_000;
/** Said on closing a line. */
const CLOSE = { busy: 4409, flood: 4429, full: 4503 } as const;

/** A line, and what is known of whoever is at its other end. */
interface Line {
  socket: WebSocket;
  /** Messages since the last look. */
  messages: number;
  /** Has it answered since it was last asked? */
  alive: boolean;
}

interface Running {
  bench: StandInBench;
  startMs: number;
  speed: number;
  lines: Map<StandInId, Line>;
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
  pingMs: number = PING_MS,
): { close(): void } {
  const sockets = new WebSocketServer({ noServer: true, maxPayload: MOST_BYTES });
  const machines = runningMachines(nowMs);

  server.on('upgrade', (request, socket, head) => {
    const asked = request.url?.startsWith(STAND_IN_PATH) ? standInOf(request.url) : null;
    const isAllowed = isOurHost(request.headers.host, hosts) && mayOpen(request);
    if (asked && isAllowed)
      sockets.handleUpgrade(request, socket, head, (line) => machines.takeLine(line, asked.device, asked.choice));
    else
      socket.end(
        `HTTP/1.1 ${asked ? '403 Forbidden' : '404 Not Found'}\r\nConnection: close\r\nContent-Length: 0\r\n\r\n`,
      );
  });
  const timers = [setInterval(machines.look, LOOK_MS), setInterval(machines.ping, pingMs)];
  for (const timer of timers) timer.unref();

  return {
    close() {
      for (const timer of timers) clearInterval(timer);
      for (const line of sockets.clients) line.terminate();
      sockets.close();
    },
  };
}

/** The simulated machines that somebody is connected to, or was until a minute ago. */
function runningMachines(nowMs: () => number) {
  const running = new Map<string, Running>();
  const timeS = (of: Running): number => ((nowMs() - of.startMs) / 1000) * of.speed;

  /** The machine of this choice; null where there are too many. */
  function machineOf(choice: StandInChoice): Running | null {
    const key = [choice.case, choice.seed, choice.bench, choice.speed].join(' ');
    const known = running.get(key);
    if (known || running.size >= MOST_BENCHES) return known ?? null;
    const bench = standInBench(choice.case, choice.seed);
    const own = { bench, startMs: nowMs(), speed: choice.speed, lines: new Map(), emptySinceMs: nowMs() };
    running.set(key, own);
    return own;
  }

  return {
    takeLine(line: WebSocket, device: StandInId, choice: StandInChoice): void {
      const at = machineOf(choice);
      if (!at) return line.close(CLOSE.full, 'too many machines');
      // An instrument has one plug: two that talk to it at once would take each other's answers.
      if (at.lines.has(device)) return line.close(CLOSE.busy, 'in use');
      const theirs: Line = { socket: line, messages: 0, alive: true };
      at.lines.set(device, theirs);
      line.on('pong', () => (theirs.alive = true));
      line.on('message', (data, binary) => {
        if (++theirs.messages > MOST_AT_ONCE) return line.close(CLOSE.flood, 'too many messages at once');
        if (!binary) at.bench.devices[device].receive((data as Buffer).toString('utf8'), timeS(at));
      });
      line.on('close', () => {
        at.lines.delete(device);
        at.emptySinceMs = nowMs();
      });
      line.on('error', () => line.terminate());
    },
    /** Sends what the instruments have to print, and puts away machines that nobody is connected to. */
    look(): void {
      for (const [key, own] of running) {
        if (own.lines.size > 0) printLines(own, timeS(own));
        else if (nowMs() - own.emptySinceMs > KEPT_MS) running.delete(key);
      }
    },
    /** Gives up lines that have not answered since the last time, and asks the others. */
    ping(): void {
      for (const { lines } of running.values())
        for (const line of lines.values()) {
          if (!line.alive) line.socket.terminate();
          line.alive = false;
          line.socket.ping();
        }
    },
  };
}

function printLines({ bench, lines }: Running, nowS: number): void {
  bench.machine.advanceTo(nowS);
  for (const [device, line] of lines) {
    line.messages = 0;
    const text = bench.devices[device].take(nowS);
    const { socket } = line;
    if (socket.bufferedAmount > MOST_WAITING) socket.terminate();
    else if (text !== '' && socket.readyState === socket.OPEN) socket.send(text);
  }
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
