// One command from a fresh clone to the running demo: install what is missing, build what has changed, serve, print the address.
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { ensurePackages, ROOT, run } from './prepare.mjs';

/** Everything that the built page and server are made from. */
const SOURCES = ['core/src', 'web', 'server', 'examples/demo', 'package-lock.json'];
const STAMP = path.join(ROOT, 'node_modules/.cache/demo-sources');
const BUILT = ['web/dist/index.html', 'server/dist/main.js'];

/** A digest of names, sizes and times: any change of a source changes it. */
function digest() {
  const hash = createHash('sha256');
  for (const source of SOURCES) {
    const top = path.join(ROOT, source);
    const files = statSync(top).isFile() ? [''] : readdirSync(top, { recursive: true }).sort();
    for (const file of files) {
      if (/(^|\/)(dist|node_modules)(\/|$)/.test(file)) continue;
      const { size, mtimeMs } = statSync(path.join(top, file));
      hash.update(`${source}/${file} ${size} ${mtimeMs}\n`);
    }
  }
  return hash.digest('hex');
}

ensurePackages();
const wanted = digest();
const built = [STAMP, ...BUILT.map((file) => path.join(ROOT, file))].every((file) => existsSync(file));
if (built && readFileSync(STAMP, 'utf8') === wanted) console.log('Nothing has changed since the last build.');
else {
  console.log('Building the page and the server …');
  if (run('npm', ['run', '--silent', 'build:plain', '--', '--logLevel', 'warn']) !== 0) process.exit(1);
  mkdirSync(path.dirname(STAMP), { recursive: true });
  writeFileSync(STAMP, wanted);
}
console.log('Starting the server …');
process.exit(run('node', ['server/dist/main.js']));
