import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { createApp } from './app.ts';
import { attachStandIns } from './standIns.ts';

const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 4180);
const folder = fileURLToPath(new URL('../../web/dist', import.meta.url));

if (!Number.isInteger(port) || port < 0 || port > 65535) {
  console.error(`PORT must be a number from 0 to 65535, not "${process.env.PORT}".`);
  process.exit(2);
}

const server = createApp(path.resolve(folder)).listen(port, host, (error?: Error) => {
  if (error) {
    console.error(`Cannot listen on ${host}:${port}: ${error.message}. Set PORT to a free one.`);
    process.exit(1);
  }
  const address = server.address();
  const taken = typeof address === 'object' && address ? address.port : port;
  console.log(`Mellow Probe:   http://${host}:${taken}/`);
  console.log(`Demo workshop:  http://${host}:${taken}/demo/`);
});
attachStandIns(server);
