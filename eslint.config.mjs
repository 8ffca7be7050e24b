import next from 'eslint-config-next/core-web-vitals'
import nextTypes from 'eslint-config-next/typescript'

/** Rules that take a component through a compiler: half of all the time, and where there is none for nothing. */
const QUICK = process.env.FIKA_LINT === 'quick'
const COMPILED = next
  .flatMap((part) => Object.keys(part.rules ?? {}))
  .filter((rule) => /^react-hooks\/(?!rules-of-hooks|exhaustive-deps)/.test(rule))

const OFF = Object.fromEntries(COMPILED.map((rule) => [rule, 'off']))

const config = [
  { ignores: ['.next/**', 'node_modules/**', 'reports/**', 'next-env.d.ts', 'test-results/**'] },
  ...next,
  ...nextTypes,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      eqeqeq: ['error', 'smart'],
    },
  },
  {
    files: ['**/*.ts', '**/*.mjs', '**/*.cjs', ...(QUICK ? ['**/*.tsx'] : [])],
    ignores: QUICK ? [] : ['**/use*.ts'],
    rules: OFF,
  },
  // What a rule that is off was told to overlook is no fault.
  { linterOptions: { reportUnusedDisableDirectives: QUICK ? 'off' : 'warn' } },
  {
    files: ['tests/**', '**/*.test.{ts,tsx}'],
    rules: OFF,
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'performance'],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Pass the clock in.' },
        { object: 'Math', property: 'random', message: 'Pass a seed in.' },
      ],
    },
  },
  {
    files: ['src/**/*.tsx'],
    ignores: ['src/ui/frame/Link.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        { name: 'next/link', message: 'Take Link from @/ui/frame/Link: it asks for a page when it is wanted.' },
      ],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/db/**', '**/*.test.{ts,tsx}'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.property.name='q']",
          message: 'SQL stands in src/db, in the folder of its noun.',
        },
        {
          selector: "CallExpression[callee.property.name='query'][callee.object.callee.name='pool']",
          message: 'SQL stands in src/db, in the folder of its noun.',
        },
      ],
    },
  },
  {
    files: ['tests/e2e/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.property.name='waitForTimeout']",
          message: 'Wait for what happens, not for the clock.',
        },
      ],
    },
  },
]
export default config
