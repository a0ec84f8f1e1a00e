// Speed as ratios in one run; `npm run bench -- evidence` compares with plain averaging instead (about half an hour), or `-- evidence 20 100000`.
import { ensurePackages, ensurePrograms, run } from './prepare.mjs';

ensurePackages();
ensurePrograms({
  '/usr/bin/chromium-headless-shell': 'chromium-headless-shell',
  ngspice: 'ngspice',
  '/usr/lib/python3/dist-packages/numpy': 'python3-numpy',
});
const [which, ...rest] = process.argv.slice(2);
const tsx = (...args) => run('npx', ['--no-install', 'tsx', ...args]);
if (which === 'evidence') process.exit(tsx('studies/evidence.ts', ...rest));
if (run('npm', ['run', '--silent', 'build']) !== 0) process.exit(1);
process.exit(
  tsx('--expose-gc', 'studies/speed.ts') ||
    tsx('studies/shelf.ts') ||
    tsx('studies/laterSpeed.ts') ||
    tsx('studies/page.ts') ||
    tsx('studies/phone.ts') ||
    tsx('studies/saving.ts') ||
    tsx('studies/logPage.ts'),
);
