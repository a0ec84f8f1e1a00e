import js from '@eslint/js';
import vue from 'eslint-plugin-vue';
import ts from 'typescript-eslint';
import vueParser from 'vue-eslint-parser';

const noClockNoChance = [
  { object: 'Math', property: 'random', message: 'core takes seeded randomness as an argument.' },
  { object: 'Date', property: 'now', message: 'core takes time as an argument.' },
];

export default ts.config(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      '**/.cache/**',
      'test-results/**',
      'playwright-report/**',
      '.stryker-tmp/**',
      'reports/**',
    ],
  },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-non-null-assertion': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/attributes-order': 'off',
      'vue/require-default-prop': 'off',
      'vue/no-v-html': 'error',
      // What a component says it tells, and never does, is a handler that never runs.
      'vue/no-unused-emit-declarations': 'error',
      'vue/no-unused-properties': 'error',
      'vue/no-unused-refs': 'error',
      'vue/one-component-per-file': 'off',
      // The type check knows a switch over a union to be complete.
      'vue/return-in-computed-property': 'off',
    },
  },
  {
    files: ['web/public/*.js'],
    languageOptions: {
      globals: Object.fromEntries(
        [
          ...['document', 'localStorage', 'matchMedia', 'location', 'MessageChannel', 'KeyboardEvent'],
          ...['addEventListener', 'removeEventListener', 'setTimeout'],
        ].map((name) => [name, 'readonly']),
      ),
    },
  },
  {
    files: ['**/*.vue'],
    languageOptions: { parser: vueParser, parserOptions: { parser: ts.parser } },
    rules: { 'no-undef': 'off' },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['core/src/**/*.test.ts'],
    rules: {
      'no-restricted-properties': ['error', ...noClockNoChance],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'core takes time as an argument.',
        },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'navigator', 'localStorage', 'fetch'],
    },
  },
  {
    // A function does one thing. A switch over a union is a table: it counts once, however many cases it has.
    files: ['*/src/**/*.{ts,vue}'],
    ignores: ['**/*.test.ts'],
    rules: {
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
      complexity: ['error', { max: 15, variant: 'modified' }],
      'vue/max-lines-per-block': ['error', { script: 120, skipBlankLines: true }],
    },
  },
  {
    files: ['**/*.mjs', 'eslint.config.js'],
    languageOptions: {
      globals: {
        performance: 'readonly',
        Buffer: 'readonly',
        process: 'readonly',
        console: 'readonly',
        URL: 'readonly',
        setTimeout: 'readonly',
        fetch: 'readonly',
      },
    },
  },
);
