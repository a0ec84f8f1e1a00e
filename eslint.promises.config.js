import ts from 'typescript-eslint';
import vueParser from 'vue-eslint-parser';

/**
 * The rules that need types, where there are promises: a write nobody waits for is lost without a sound. A program of its own, since
 * building the types costs three times what all other rules cost together; the type check finds what the other typed rules would.
 */
const rules = {
  '@typescript-eslint/no-floating-promises': 'error',
  '@typescript-eslint/no-misused-promises': 'error',
  '@typescript-eslint/await-thenable': 'error',
};
// Whole programs, each built once: the language service builds anew for every component, at nearly twice the cost.
const parserOptions = {
  project: ['web/tsconfig.app.json', 'web/tsconfig.worker.json', 'tsconfig.node.json'],
  tsconfigRootDir: import.meta.dirname,
  extraFileExtensions: ['.vue'],
};
const shared = {
  plugins: { '@typescript-eslint': ts.plugin },
  linterOptions: { reportUnusedDisableDirectives: 'off' },
  rules,
};

export default [
  { ignores: ['**/dist/**', '**/node_modules/**'] },
  {
    ...shared,
    files: ['web/src/**/*.ts', 'server/src/**/*.ts', 'cli/src/**/*.ts', 'e2e/**/*.ts'],
    languageOptions: { parser: ts.parser, parserOptions },
  },
  {
    ...shared,
    files: ['web/src/**/*.vue'],
    languageOptions: { parser: vueParser, parserOptions: { ...parserOptions, parser: ts.parser } },
  },
];
