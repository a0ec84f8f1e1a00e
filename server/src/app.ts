import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import path from 'node:path';

/**
 * The web server of the app: the built page and nothing else. Everything is computed in the browser; no data comes here.
 *
 * @param folder absolute path of the built page (index.html and its assets)
 */
export function createApp(folder: string): Express {
  if (!existsSync(path.join(folder, 'index.html'))) throw new Error(`createApp: no built page in ${folder}`);
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
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
    }),
  );
  app.use(compression());
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.use('/api', (_request, response) => {
    response.status(404).json({ ok: false, reason: 'not-found' });
  });
  app.use(
    '/assets',
    express.static(path.join(folder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
  );
  app.use(express.static(folder, { dotfiles: 'ignore' }));
  // Every other address is a screen of the page.
  app.get('/{*splat}', (_request, response) => {
    response.sendFile('index.html', { root: folder, headers: { 'Cache-Control': 'no-cache' } });
  });
  return app;
}
