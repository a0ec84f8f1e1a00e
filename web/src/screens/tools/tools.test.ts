import { readdirSync, readFileSync } from 'node:fs';
import { expect, test } from 'vitest';

const FOLDER = 'web/src/screens/tools';

test('every tool that is written stands on the shelf', () => {
  const list = readFileSync(`${FOLDER}/tools.ts`, 'utf8');
  const written = readdirSync(FOLDER).filter((name) => name.endsWith('Tool.vue'));
  expect(written.length).toBeGreaterThan(0);
  for (const name of written)
    expect(list, `${name} is not listed: add it to TOOLS in ${FOLDER}/tools.ts`).toContain(`import('./${name}')`);
});
