import { existsSync, readFileSync } from 'node:fs';
import { createPrivateKey, X509Certificate } from 'node:crypto';

/** What the environment says of how the page is served. */
export interface Settings {
  host: string;
  port: number;
  /** Names under which the server answers, in small letters, without ports; null: any, as it listens to this device alone. */
  hosts: readonly string[] | null;
  /** Paths of certificate and key, PEM; null: plain HTTP. */
  tls: { cert: string; key: string } | null;
}

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];
/** Where a server listens on every address of the device. */
const EVERYWHERE = ['0.0.0.0', '::', '[::]'];

type Environment = Readonly<Record<string, string | undefined>>;

/** Reads `HOST`, `PORT`, `ALLOWED_HOSTS`, `TLS_CERT` and `TLS_KEY`; or says in a sentence what of them cannot be used. */
export function readSettings(env: Environment): { ok: true; settings: Settings } | { ok: false; why: string } {
  const wrong = (why: string): { ok: false; why: string } => ({ ok: false, why });
  const port = portOf(env.PORT);
  if (port === null) return wrong(`PORT must be a number from 0 to 65535, not "${env.PORT}".`);
  const host = env.HOST ?? '127.0.0.1';
  if (host.trim() === '') return wrong('HOST must be an address or a name, not empty.');
  const told = (env.ALLOWED_HOSTS ?? '').split(/[\s,]+/).filter((name) => name !== '');
  const odd = told.find((name) => !/^(\[[0-9a-f:]+\]|[a-z0-9.-]+)$/i.test(name));
  if (odd !== undefined) return wrong(`ALLOWED_HOSTS holds "${odd}", which is no host name; name no ports in it.`);
  const tls = readTls(env.TLS_CERT ?? '', env.TLS_KEY ?? '');
  if (typeof tls === 'string') return wrong(tls);
  const own = EVERYWHERE.includes(host) ? [] : [host.includes(':') && !host.startsWith('[') ? `[${host}]` : host];
  const names = [...new Set([...LOOPBACK, ...own, ...told].map((name) => name.toLowerCase()))];
  return { ok: true, settings: { host, port, hosts: names, tls } };
}

/** The port to listen on, by default 4180; null where the text is none. */
function portOf(text: string | undefined): number | null {
  if (text === undefined) return 4180;
  const port = text.trim() === '' ? NaN : Number(text);
  return Number.isInteger(port) && port >= 0 && port <= 65535 ? port : null;
}

/** Certificate and key, null where neither is named; or a sentence on why they cannot be used. */
function readTls(cert: string, key: string): Settings['tls'] | string {
  if (cert === '' && key === '') return null;
  if (cert === '' || key === '') return 'TLS_CERT and TLS_KEY go together: one of them is missing.';
  for (const [name, file] of Object.entries({ TLS_CERT: cert, TLS_KEY: key }))
    if (!existsSync(file)) return `${name} names a file that is not there: ${file}`;
  return pairFault(cert, key) ?? { cert, key };
}

const [CERTIFICATE, PRIVATE_KEY] = [/-----BEGIN CERTIFICATE/, /-----BEGIN [A-Z ]*PRIVATE KEY/];

/** Why certificate and key cannot be used together, in a sentence; null where they can. */
function pairFault(certFile: string, keyFile: string): string | null {
  const [cert, key] = [certFile, keyFile].map((file) => readText(file));
  if (cert === null) return `TLS_CERT cannot be read: ${certFile}`;
  if (key === null) return `TLS_KEY cannot be read: ${keyFile}`;
  const isCert = CERTIFICATE.test(cert);
  if (!isCert && PRIVATE_KEY.test(cert) && CERTIFICATE.test(key))
    return 'TLS_CERT names the key and TLS_KEY the certificate: swap them.';
  if (!isCert) return `TLS_CERT holds no certificate in PEM: ${certFile}`;
  if (!PRIVATE_KEY.test(key)) return `TLS_KEY holds no private key in PEM: ${keyFile}`;
  try {
    if (new X509Certificate(cert).checkPrivateKey(createPrivateKey(key))) return null;
    return 'TLS_CERT and TLS_KEY cannot be used together: the key is not the key of this certificate.';
  } catch (error) {
    return `TLS_CERT and TLS_KEY cannot be used together: ${error instanceof Error ? error.message : String(error)}.`;
  }
}

function readText(file: string): string | null {
  try {
    return readFileSync(file, 'utf8');
  } catch {
    return null;
  }
}

/** Is a request meant for this server? Its Host header must name it: else a page elsewhere could reach it under a name of its own. */
export function isOurHost(header: string | undefined, hosts: Settings['hosts']): boolean {
  if (hosts === null) return true;
  const found = /^(\[[0-9a-f:]+\]|[^:[\]/@\s]+)(:\d{1,5})?$/i.exec(header ?? '');
  return found !== null && hosts.includes(found[1].toLowerCase());
}
