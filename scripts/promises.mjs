// The rules about promises, which need types: a write nobody waits for is lost without a sound. The linter reads types in plain files only, so the script
// of each component is copied to one, its lines at the same numbers, and a finding names the component.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { parse } from 'vue/compiler-sfc';
import { ROOT } from './prepare.mjs';

const SOURCE = path.join(ROOT, 'web/src');
const COPIES = path.join(ROOT, 'web/.cache/promises');
const PROGRAM = ['web/src', 'server/src', 'cli/src', 'e2e'];
const RULES = ['no-floating-promises', 'no-misused-promises', 'await-thenable'];

rmSync(COPIES, { recursive: true, force: true });
const copies = [];
for (const name of readdirSync(SOURCE, { recursive: true }).filter((file) => file.endsWith('.vue'))) {
  const { descriptor } = parse(readFileSync(path.join(SOURCE, name), 'utf8'));
  const { content, loc } = descriptor.scriptSetup ?? descriptor.script ?? {};
  if (!content) continue;
  const copy = path.join(COPIES, `${name}.ts`);
  mkdirSync(path.dirname(copy), { recursive: true });
  writeFileSync(copy, '\n'.repeat(loc.start.line - 1) + content);
  copies.push(copy);
}
// A component that breaks a rule, with an import like theirs: where it is not found, nothing can be said of the others.
const KNOWN = path.join(COPIES, 'Known.vue.ts');
writeFileSync(KNOWN, "import { rested } from './browser/rested.ts';\nrested();\n");
copies.push(KNOWN);
// Relative imports of a copy are looked up beside the component.
const program = {
  extends: path.join(ROOT, 'web/tsconfig.app.json'),
  compilerOptions: { rootDirs: [SOURCE, COPIES], incremental: false, composite: false },
  include: [`${COPIES}/**/*.ts`, `${SOURCE}/env.d.ts`],
  exclude: [],
};
writeFileSync(path.join(COPIES, 'tsconfig.json'), JSON.stringify(program));
const rules = Object.fromEntries(RULES.map((rule) => [`typescript/${rule}`, 'error']));
const config = path.join(COPIES, 'oxlint.json');
writeFileSync(config, JSON.stringify({ plugins: ['typescript'], categories: { correctness: 'off' }, rules }));

const { error, stdout, stderr } = spawnSync(
  path.join(ROOT, 'node_modules/.bin/oxlint'),
  ['--type-aware', '--format', 'json', '-c', config, ...PROGRAM, ...copies],
  { cwd: ROOT, encoding: 'utf8', maxBuffer: 2 ** 26 },
);
if (error) throw error;
process.stderr.write(stderr);
const found = JSON.parse(stdout).diagnostics.map(({ filename, message, code, labels }) => ({
  file: path.resolve(ROOT, filename),
  text: `${labels[0]?.span.line}:${labels[0]?.span.column} ${message} ${code}`,
}));
if (!found.some(({ file }) => file === KNOWN)) throw new Error(`No finding where one is known: ${KNOWN}`);
const real = found.filter(({ file }) => file !== KNOWN);
for (const { file, text } of real) {
  const source = file.startsWith(COPIES) ? path.join(SOURCE, path.relative(COPIES, file)).replace(/\.ts$/, '') : file;
  console.log(`${path.relative(ROOT, source)}:${text}`);
}
process.exit(real.length > 0 ? 1 : 0);
