// Hostile texts and files, backups under kills; and nothing typed is lost: reloads, kills and failing stores at random moments. Arguments: trials (2000), first seed (1).
import { ensurePackages, ensurePrograms, run } from './prepare.mjs';

ensurePackages();
ensurePrograms({ '/usr/bin/chromium-headless-shell': 'chromium-headless-shell' });
if (run('npm', ['run', '--silent', 'build']) !== 0) process.exit(1);
// Each on its own: one that fails does not hide the others.
const codes = [
  run('npx', ['--no-install', 'tsx', 'e2e/campaign.ts', ...process.argv.slice(2)]),
  run('npx', ['--no-install', 'tsx', 'e2e/campaignKills.ts']),
  run('npx', ['--no-install', 'tsx', 'e2e/campaignBackup.ts']),
  run('npx', ['--no-install', 'tsx', 'e2e/campaignHostile.ts']),
  run('npx', ['--no-install', 'tsx', 'e2e/campaignFrames.ts']),
  run('npx', ['--no-install', 'tsx', 'e2e/campaignMany.ts']),
  run('npx', ['--no-install', 'tsx', 'studies/longRecording.ts']),
  run('npx', ['--no-install', 'tsx', 'studies/hostile.ts']),
  run('npx', ['--no-install', 'tsx', 'studies/hostileLogs.ts']),
];
process.exit(Math.max(...codes));
