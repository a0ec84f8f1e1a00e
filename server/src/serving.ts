import type { Express } from 'express';
import { readFileSync } from 'node:fs';
import { createServer as createPlain, type Server } from 'node:http';
import { createServer as createSecure } from 'node:https';
import type { Settings } from './settings.ts';

/** A server for the app, secured where certificate and key are given. Throws where they cannot be read or do not belong together. */
export function serverFor(app: Express, tls: Settings['tls']): Server {
  return tls ? createSecure({ cert: readFileSync(tls.cert), key: readFileSync(tls.key) }, app) : createPlain(app);
}

/** A browser may hold its connection open: it is not waited for longer than this, ms. */
const LONGEST_END_MS = 2000;

/** Ends in order: no new calls, what is under way answered. Resolves when it is over. */
export function endInOrder(server: Server, longestMs = LONGEST_END_MS): Promise<void> {
  return new Promise((resolve) => {
    const timer = setTimeout(() => server.closeAllConnections(), longestMs);
    server.close(() => {
      clearTimeout(timer);
      resolve();
    });
    server.closeIdleConnections();
  });
}
