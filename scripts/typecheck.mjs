// Type-checks every room of the house; exits non-zero when any has an error.
import { run } from './prepare.mjs';

const checks = [
  ['tsc', '-p', 'core'],
  ['tsc', '-p', '.'],
  ['vue-tsc', '--noEmit', '-p', 'web/tsconfig.app.json'],
  ['tsc', '--noEmit', '-p', 'web/tsconfig.worker.json'],
];
const failed = checks.filter(([program, ...args]) => run('npx', ['--no-install', program, ...args]) !== 0);
process.exit(failed.length === 0 ? 0 : 1);
