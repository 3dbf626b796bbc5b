import next from 'eslint-config-next/core-web-vitals'
import tseslint from 'typescript-eslint'

const config = [
  {
    ignores: [
      '.next/**',
      'node_modules/**',
      'next-env.d.ts',
      'test-results/**',
      'playwright-report/**',
      '.dependency-cruiser.cjs',
    ],
  },
  ...next,
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', destructuredArrayIgnorePattern: '^_' },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }],
      'no-console': 'error',
      eqeqeq: 'error',
      'no-restricted-imports': [
        'error',
        { paths: [{ name: 'zod', message: 'core/base/schema/zod: schemas that write no code at run time' }] },
      ],
    },
  },
  {
    files: ['src/core/base/schema/zod.ts'],
    rules: { 'no-restricted-imports': 'off' },
  },
  {
    files: ['src/core/**/*.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        { name: 'window', message: 'core knows no browser' },
        { name: 'document', message: 'core knows no browser' },
        { name: 'indexedDB', message: 'core knows no storage' },
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'core is given its random source' },
        { object: 'Date', property: 'now', message: 'core is given its clock' },
      ],
    },
  },
  {
    // one clock for all: data/clock.ts
    files: ['src/data/**/*.ts', 'src/features/**/*.{ts,tsx}', 'src/ui/**/*.{ts,tsx}', 'src/demo/**/*.ts'],
    ignores: ['src/data/clock.ts', '**/*.test.ts', '**/*.test.tsx'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'the time comes from the one clock' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'the time comes from the one clock',
        },
      ],
    },
  },
  { files: ['**/*.test.ts', '**/*.test.tsx', 'e2e/**'], rules: { 'max-lines-per-function': 'off' } },
  { files: ['tools/**'], rules: { 'no-console': 'off' } },
]

export default config
