// One command from a fresh clone to the running demo: install what is missing, build, serve, print the address.
import { ensurePackages, run } from './prepare.mjs';

ensurePackages();
if (run('npm', ['run', '--silent', 'build']) !== 0) process.exit(1);
process.exit(run('npm', ['run', '--silent', 'serve']));
