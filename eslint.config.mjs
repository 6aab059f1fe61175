import next from 'eslint-config-next';
import typescript from 'eslint-config-next/typescript';

const config = [
  { ignores: ['.next/**', 'test-results/**', 'node_modules/**', 'next-env.d.ts', 'src/db/migrations/**', 'data/**'] },
  ...next,
  ...typescript,
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      'no-console': 'error',
      eqeqeq: 'error',
    },
  },
  // Node loads it before the server's own modules.
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
];

export default config;
