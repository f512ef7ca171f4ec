import next from 'eslint-config-next';
import regexp from 'eslint-plugin-regexp';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: [
      '.next/**',
      'dist/**',
      'node_modules/**',
      'public/**',
      'tmp/**',
      'data/**',
      'next-env.d.ts',
      'docs/**',
      '**/*.d.mts',
    ],
  },
  // Rules of components and hooks, where there are any.
  ...next.map((c) => (c.rules ? { ...c, files: ['src/{ui,app}/**'] } : c)),
  ...tseslint.configs.strictTypeChecked.map((c) => ({ ...c, files: ['**/*.ts', '**/*.tsx'] })),
  {
    files: ['**/*.ts', '**/*.tsx'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true, allowBoolean: true }],
      '@typescript-eslint/no-confusing-void-expression': 'off',
      // What is out of use changes with packages, not with lines: it is looked for where all is asked for.
      '@typescript-eslint/no-deprecated': process.env['YS_ALL'] === undefined ? 'off' : 'error',
      // There are no enums and hardly a class: looking for them took a fifth of the time.
      '@typescript-eslint/no-unsafe-enum-assignment': 'off',
      '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', ignoreRestSiblings: true }],
      '@typescript-eslint/consistent-type-imports': ['error', { disallowTypeAnnotations: false }],
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
    },
  },
  {
    // What is searched through may come from outside, and be of any length.
    files: ['src/**/*.ts', 'src/**/*.tsx'],
    ignores: ['src/testing/**', '**/*.test.ts'],
    plugins: { regexp },
    rules: {
      'regexp/no-super-linear-backtracking': ['error', { report: 'certain' }],
      'regexp/no-super-linear-move': ['error', { report: 'certain', ignoreSticky: true }],
    },
  },
  {
    // The formatter lays out every line; what it cannot break is broken by hand.
    rules: {
      'max-len': ['error', { code: 120 }],
      'no-warning-comments': ['error', { terms: ['prettier-ignore'], location: 'anywhere' }],
    },
  },
  { files: ['**/*.mjs'], extends: [tseslint.configs.disableTypeChecked] },
);
