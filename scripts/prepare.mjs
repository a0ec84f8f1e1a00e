import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';

export const ROOT = path.resolve(import.meta.dirname, '..');

/** Runs a command in the project's folder with its output shown; returns its exit code. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  if (result.error) console.error(`${command}: ${result.error.message}`);
  return result.status ?? 1;
}

/** Installs the npm packages when they are missing or the lock file has changed since. */
export function ensurePackages() {
  if (areInstalled()) return;
  console.log('Installing npm packages …');
  if (run('npm', ['ci', '--no-audit', '--no-fund']) !== 0) {
    console.error('npm ci failed: the packages are needed once from the npm registry.');
    process.exit(1);
  }
}

/** Are the packages of the lock file those that are installed? npm notes what it has installed, and when it was done. */
function areInstalled() {
  const noted = path.join(ROOT, 'node_modules', '.package-lock.json');
  if (!existsSync(noted)) return false;
  const packagesOf = (file) => JSON.parse(readFileSync(file, 'utf8')).packages;
  const installed = packagesOf(noted);
  // A package for another system is not installed here.
  return Object.entries(packagesOf(path.join(ROOT, 'package-lock.json'))).every(
    ([name, { version, link, optional }]) =>
      !name.includes('node_modules/') || link || optional || installed[name]?.version === version,
  );
}

/** Installs Debian packages whose program is missing. `wanted` maps a program (or a file) to its package. */
export function ensurePrograms(wanted) {
  const missing = Object.entries(wanted).filter(([program]) => !isThere(program));
  if (missing.length === 0) return;
  const names = missing.map(([, name]) => name);
  console.log(`Installing Debian packages: ${names.join(' ')} …`);
  const root = process.getuid?.() === 0;
  const apt = (...args) =>
    root
      ? run('apt-get', args, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } })
      : run('sudo', ['apt-get', ...args]);
  apt('update', '-qq');
  if (apt('install', '-y', '-qq', '--no-install-recommends', ...names) !== 0) {
    console.error(`Could not install ${names.join(' ')}. Install them by hand and start again.`);
    process.exit(1);
  }
}

function isThere(program) {
  if (program.startsWith('/')) return existsSync(program);
  return spawnSync('sh', ['-c', `command -v ${program}`]).status === 0;
}
