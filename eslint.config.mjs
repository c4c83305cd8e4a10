import { defineConfig } from 'eslint/config';
import astro from 'eslint-plugin-astro';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const functionsUnder = (max) => ['error', { max, skipBlankLines: true, skipComments: true }];
/** Factories and hooks whose inner functions share what they keep: split, they would hand it round. No others. */
const STATE_IN_A_CLOSURE = [
  'src/editing/saving.ts',
  'src/editing/session.ts',
  'src/islands/classes/use-class-list.ts',
  'src/islands/desk/desk-store.ts',
  'src/islands/library/library-store.ts',
  'src/islands/prompter/use-performance.ts',
];

export default defineConfig(
  { ignores: ['dist/', '.astro/', 'node_modules/', '.calm/', 'test-results/', '**/*.cjs', 'src/env.d.ts'] },
  ...tseslint.configs.recommendedTypeChecked,
  {
    languageOptions: { parserOptions: { project: './tsconfig.json', tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
      'no-restricted-syntax': [
        'error',
        {
          selector: 'JSXAttribute[name.name="dangerouslySetInnerHTML"]',
          message: 'Text from people is never put into HTML.',
        },
        {
          selector: 'TSAsExpression > TSAsExpression > TSUnknownKeyword',
          message: 'What the compiler cannot follow is taken by takenAs, with why.',
        },
      ],
      eqeqeq: 'error',
    },
  },
  {
    files: ['src/**/*.ts'],
    // The demo and the templates are data.
    ignores: ['**/*.test.ts', 'src/demo/**', 'src/templates/**', ...STATE_IN_A_CLOSURE],
    rules: { 'max-lines-per-function': functionsUnder(60) },
  },
  { files: STATE_IN_A_CLOSURE, rules: { 'max-lines-per-function': functionsUnder(135) } },
  { files: ['src/**/*.tsx'], rules: { 'max-lines-per-function': functionsUnder(120) } },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The clock is an argument.' },
        { object: 'Math', property: 'random', message: 'Randomness is an argument.' },
      ],
    },
  },
  { files: ['src/islands/**/*.tsx', 'src/ui/**/*.tsx'], ...reactHooks.configs.flat['recommended-latest'] },
  { files: ['**/*.mjs', 'astro.config.mjs', '*.config.*'], ...tseslint.configs.disableTypeChecked },
  ...astro.configs.recommended,
  { files: ['**/*.astro'], ...tseslint.configs.disableTypeChecked },
  { files: ['**/*.astro/*.ts'], ...tseslint.configs.disableTypeChecked },
);
