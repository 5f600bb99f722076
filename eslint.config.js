import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';
import noKindByName from './tools/lint/no-kind-by-name.js';
import noOpenLookup from './tools/lint/no-open-lookup.js';

export default tseslint.config(
  { ignores: ['.cache/**', 'dist/**', 'data/**', 'node_modules/**', 'server/db/migrations/**'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  {
    files: ['{core,server,web,cli,demo}/**/*.{ts,tsx}'],
    ignores: ['**/*.test.ts'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { own: { rules: { 'no-open-lookup': noOpenLookup, 'no-kind-by-name': noKindByName } } },
    rules: {
      'own/no-open-lookup': 'error',
      'own/no-kind-by-name': 'error',
      // Types come from schemas and from what is called: a cast through these says that neither is right.
      'no-restricted-syntax': [
        'error',
        { selector: 'TSAsExpression > TSNeverKeyword', message: 'Nothing is of the type never.' },
        {
          selector: 'TSAsExpression > TSAsExpression > TSUnknownKeyword',
          message: 'A cast through unknown hides what does not fit.',
        },
      ],
    },
  },
  {
    // What belongs to one kind.
    files: ['core/widgets/**', 'core/windows/contents/**', 'web/render/widgets/**', 'web/studio/kinds/**'],
    rules: { 'own/no-kind-by-name': 'off' },
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    // The core is pure: no clock, no chance, no browser, no Node.
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'performance',
        'localStorage',
        'navigator',
        'fetch',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The moment comes in as an argument.' },
        { object: 'Math', property: 'random', message: 'The seed comes in as an argument.' },
      ],
    },
  },
  {
    files: ['**/*.test.ts', 'tests/**/*.ts'],
    rules: {
      '@typescript-eslint/no-unused-expressions': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
    },
  },
  { files: ['tools/**', 'bench/**', 'cli/**', 'tests/**', 'server/main.ts'], rules: { 'no-console': 'off' } },
);
