// Writes the made-up checks told in `demo/cases.ts` (`npm run demo-data`): one of every kind of verdict, in every state. Prints what the tool says of each.
import { mkdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { checkJob } from '../core/src/check/job/checkJob.ts';
import { openJobData, saveJob } from '../core/src/check/job/openJob.ts';
import { assess } from '../core/src/inference/verdict/assessment.ts';
import { demoCases } from './demo/cases.ts';

const FOLDER = path.resolve(import.meta.dirname, '../examples/demo');
mkdirSync(FOLDER, { recursive: true });
for (const job of await demoCases()) {
  const opened = openJobData(JSON.parse(saveJob(job)));
  if (!opened.ok) throw new Error(`writeDemo: ${job.id}: ${JSON.stringify(opened)}`);
  writeFileSync(path.join(FOLDER, `${job.id.replace(/^demo-/, '')}.json`), saveJob(job));
  const { problem, issues } = checkJob(job);
  const a = problem ? assess(problem) : null;
  console.log(
    job.title.padEnd(44),
    a
      ? a.groups
          .slice(0, 2)
          .map((g) => `${g.group} ${g.probability.toFixed(3)}`)
          .join(', ')
      : JSON.stringify(issues),
    a?.suspects[0]?.fault,
  );
}
