import { defineConfig } from 'eslint/config';
import astro from 'eslint-plugin-astro';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default defineConfig(
  { ignores: ['dist/', '.astro/', 'node_modules/', '.calm/', 'test-results/', '**/*.cjs', 'src/env.d.ts'] },
  ...tseslint.configs.recommendedTypeChecked,
  {
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
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
      ],
      eqeqeq: 'error',
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The clock is an argument.' },
        { object: 'Math', property: 'random', message: 'Chance is an argument.' },
      ],
    },
  },
  { files: ['src/islands/**/*.tsx', 'src/ui/**/*.tsx'], ...reactHooks.configs.flat['recommended-latest'] },
  { files: ['**/*.mjs', 'astro.config.mjs', '*.config.*'], ...tseslint.configs.disableTypeChecked },
  ...astro.configs.recommended,
  { files: ['**/*.astro'], ...tseslint.configs.disableTypeChecked },
  { files: ['**/*.astro/*.ts'], ...tseslint.configs.disableTypeChecked },
);
