import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { createApp } from './app.ts';
import { endInOrder, serverFor } from './serving.ts';
import { readSettings } from './settings.ts';
import { attachStandIns } from './standIns.ts';

const read = readSettings(process.env);
if (!read.ok) {
  console.error(read.why);
  process.exit(2);
}
const { host, port, hosts, tls } = read.settings;
const folder = fileURLToPath(new URL('../../web/dist', import.meta.url));
const server = serverFor(createApp(path.resolve(folder), hosts), tls);
const standIns = attachStandIns(server, hosts);

server.once('error', (error) => {
  console.error(`Cannot listen on ${host}:${port}: ${error.message}. Set PORT to a free one.`);
  process.exit(1);
});
server.listen(port, host, () => {
  const address = server.address();
  const taken = typeof address === 'object' && address ? address.port : port;
  const base = `${tls ? 'https' : 'http'}://${host}:${taken}`;
  if (process.getuid?.() === 0) console.warn('Runs as root: it needs no rights, give it a user of its own.');
  console.log(`Mellow Probe:   ${base}/`);
  console.log(`Demo workshop:  ${base}/demo/`);
  if (['0.0.0.0', '::'].includes(host) && !process.env.ALLOWED_HOSTS)
    console.warn('Other devices are refused until ALLOWED_HOSTS holds the name or address they use.');
});
for (const signal of ['SIGTERM', 'SIGINT'] as const)
  process.once(signal, () => {
    standIns.close();
    void endInOrder(server).then(() => process.exit(0));
  });
