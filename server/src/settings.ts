import { existsSync } from 'node:fs';

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
  const port = env.PORT === undefined ? 4180 : env.PORT.trim() === '' ? NaN : Number(env.PORT);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    return wrong(`PORT must be a number from 0 to 65535, not "${env.PORT}".`);
  const host = env.HOST ?? '127.0.0.1';
  if (host.trim() === '') return wrong('HOST must be an address or a name, not empty.');
  const told = (env.ALLOWED_HOSTS ?? '').split(/[\s,]+/).filter((name) => name !== '');
  const odd = told.find((name) => !/^(\[[0-9a-f:]+\]|[a-z0-9.-]+)$/i.test(name));
  if (odd !== undefined) return wrong(`ALLOWED_HOSTS holds "${odd}", which is no host name; name no ports in it.`);
  const [cert, key] = [env.TLS_CERT ?? '', env.TLS_KEY ?? ''];
  if ((cert === '') !== (key === '')) return wrong('TLS_CERT and TLS_KEY go together: one of them is missing.');
  for (const [name, file] of Object.entries({ TLS_CERT: cert, TLS_KEY: key }))
    if (file !== '' && !existsSync(file)) return wrong(`${name} names a file that is not there: ${file}`);
  const own = EVERYWHERE.includes(host) ? [] : [host.includes(':') && !host.startsWith('[') ? `[${host}]` : host];
  const names = [...new Set([...LOOPBACK, ...own, ...told].map((name) => name.toLowerCase()))];
  return {
    ok: true,
    settings: { host, port, hosts: names, tls: cert === '' ? null : { cert, key } },
  };
}

/** Is a request meant for this server? Its Host header must name it: else a page elsewhere could reach it under a name of its own. */
export function isOurHost(header: string | undefined, hosts: Settings['hosts']): boolean {
  if (hosts === null) return true;
  const found = /^(\[[0-9a-f:]+\]|[^:[\]/@\s]+)(:\d{1,5})?$/i.exec(header ?? '');
  return found !== null && hosts.includes(found[1].toLowerCase());
}
