import express, { type ErrorRequestHandler, type Express, type RequestHandler } from 'express';
import packedStatic from 'express-static-gzip';
import helmet from 'helmet';
import { existsSync, statSync } from 'node:fs';
import path from 'node:path';
import { isOurHost, type Settings } from './settings.ts';

/** Files were packed at build; they are served so where the browser takes it. */
const PACKED = { enableBrotli: true, orderPreference: ['br', 'gz'], index: false };

/**
 * The web server of the app: the built page and nothing else. Everything is computed in the browser; no data comes here.
 *
 * @param folder absolute path of the built page (index.html and its assets)
 * @param hosts names under which it answers; null: any
 */
export function createApp(folder: string, hosts: Settings['hosts'] = null): Express {
  if (!existsSync(path.join(folder, 'index.html'))) throw new Error(`createApp: no built page in ${folder}`);
  const app = express();
  app.disable('x-powered-by');
  app.use(securityHeaders());
  app.use((request, response, next) => {
    if (isOurHost(request.headers.host, hosts)) next();
    else
      response
        .status(421)
        .type('text')
        .send('This server has another name. ALLOWED_HOSTS lists those it answers to.\n');
  });
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.use('/api', (_request, response) => {
    response.status(404).json({ ok: false, reason: 'not-found' });
  });
  const built = (): string =>
    [folder, path.join(folder, 'assets'), path.join(folder, 'index.html')].map(stampOf).join();
  app.use(
    '/assets',
    asBuilt(built, () =>
      packedStatic(path.join(folder, 'assets'), {
        ...PACKED,
        serveStatic: { immutable: true, maxAge: '1y', fallthrough: false },
      }),
    ),
  );
  app.get('/robots.txt', (_request, response) => {
    response.type('text').send('User-agent: *\nDisallow: /\n');
  });
  // Asked for by what does not read the page's own link.
  app.get('/favicon.ico', (_request, response) => {
    response.sendFile('icon.svg', { root: folder, headers: { 'Cache-Control': 'max-age=86400' } });
  });
  // What runs offline is asked for at each start: a newer one must be seen.
  app.use(asBuilt(built, () => packedStatic(folder, { ...PACKED, serveStatic: { dotfiles: 'ignore', maxAge: 0 } })));
  // Every other address is a screen of the page.
  app.get('/{*splat}', (_request, response) => {
    response.sendFile('index.html', { root: folder, headers: { 'Cache-Control': 'no-cache' } });
  });
  app.use((_request, response) => {
    response.status(405).type('text').send('Only GET.\n');
  });
  app.use(plainly);
  return app;
}

/** What the page may load, and from where: from this server alone. */
function securityHeaders(): RequestHandler {
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        // The reader of pictures is compiled from bytes that ship with the page.
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        workerSrc: ["'self'"],
        // The component and chart libraries set styles from script.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        formAction: ["'none'"],
        frameAncestors: ["'none'"],
      },
    },
    // Plain HTTP on the loopback address: neither upgrade nor pin to HTTPS.
    strictTransportSecurity: false,
  });
}

/** When a file or folder was last changed; '' while it is not there. */
const stampOf = (file: string): string => String(statSync(file, { throwIfNoEntry: false })?.mtimeMs ?? '');

/** The library lists the packed files once, when it is made: it is made again where a new build lies under a running server. */
function asBuilt(built: () => string, make: () => RequestHandler): RequestHandler {
  let [of, handler] = [built(), make()];
  return (request, response, next) => {
    const now = built();
    if (now !== of) [of, handler] = [now, make()];
    return handler(request, response, next);
  };
}

/** What goes wrong is told by its number: no path, no stack. */
const plainly: ErrorRequestHandler = (error: { status?: number }, _request, response, next) => {
  if (response.headersSent) return next(error);
  const status = error.status && error.status >= 400 && error.status < 500 ? error.status : 500;
  const words = status === 404 ? 'Not here.' : status < 500 ? 'This cannot be answered.' : 'The server failed.';
  response.status(status).type('text').send(`${words}\n`);
};
