import next from 'eslint-config-next';
import typescript from 'eslint-config-next/typescript';

// The rules of React's compiler are slow, and look at components and hooks only. The two old ones of hooks hold everywhere.
const COMPONENTS = ['src/**/*.tsx', 'src/**/use*.ts'];
const isOfCompiler = (rule) => /^react-hooks\/(?!rules-of-hooks|exhaustive-deps)/.test(rule);
const rulesOf = ({ rules }, wanted) => Object.fromEntries(Object.entries(rules).filter(([rule]) => wanted(rule)));

const config = [
  { ignores: ['.next/**', 'test-results/**', 'node_modules/**', 'next-env.d.ts', 'src/db/migrations/**', 'data/**'] },
  ...next.flatMap((entry) =>
    entry.rules
      ? [
          { ...entry, rules: rulesOf(entry, (rule) => !isOfCompiler(rule)) },
          { files: COMPONENTS, rules: rulesOf(entry, isOfCompiler) },
        ]
      : [entry],
  ),
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
  {
    files: ['src/**/*.tsx'],
    ignores: ['src/ui/frame/Link.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        { paths: [{ name: 'next/link', message: 'Links within the application are those of ui/frame/Link.' }] },
      ],
    },
  },
  {
    files: ['src/features/**/*.{ts,tsx}', 'src/ui/**/*.tsx', 'src/app/**/*.tsx'],
    ignores: ['**/*.test.*'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...['Literal[value=PATH]', 'TemplateElement[value.raw=PATH]:first-child'].map((selector) => ({
          selector: selector.replace(
            'PATH',
            String.raw`/^\u002f(donors|stock|builds|types|guide|settings|sums|photos|datasheets)(\u002f|\?|$)/`,
          ),
          message: 'Addresses stand in src/routes.ts.',
        })),
      ],
    },
  },
  {
    files: ['src/db/repositories/**/*.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'ExportNamedDeclaration TSQualifiedName[right.name=$inferSelect]',
          message: 'Repositories return the types of core; rows of tables stay below.',
        },
      ],
    },
  },
  // Node loads it before the server's own modules.
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
];

export default config;
